package homalon.planner;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntUnaryOperator;

/**
 * Where something that runs by itself is over, as straight lines: with each minute that it begins later it ends one later, or where it runs
 * into a closing no later at all.
 *
 * @param from the first begin for which it holds
 * @param to the last
 * @param over where it is over for the first
 * @param rises whether it ends a minute later with each
 */
record Alone(int from, int to, int over, boolean rises) {
    boolean holds(int begin) {
        return begin >= from && begin <= to;
    }

    /**
     * @param ends where it is over for each begin
     * @param last begin that is looked at
     */
    static List<Alone> of(IntUnaryOperator ends, int last) {
        List<Alone> all = new ArrayList<>();
        int from = 0;
        int over = ends.applyAsInt(0);
        int before = over;
        boolean rises = true;
        for (int begin = 1; begin <= last; begin++) {
            int now = ends.applyAsInt(begin);
            boolean line = now == before || now == before + 1;
            boolean up = now != before;
            if (!line || (begin - from > 1 && up != rises)) {
                all.add(new Alone(from, begin - 1, over, rises));
                from = begin;
                over = now;
                rises = true;
            } else if (begin - from == 1) {
                rises = up;
            }
            before = now;
        }
        all.add(new Alone(from, last, over, rises));
        return all;
    }
}

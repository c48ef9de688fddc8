package homalon.core.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;

/**
 * How much later each work of a timetable could begin without breaking a promise, all others kept in their order: the least that is left on
 * any way from it to a casting that was promised. Closings are not looked at: what must not be left lying may have less.
 */
public final class Slack {
    private static final int FREE = Integer.MAX_VALUE;

    private final Bench bench;
    private final Map<String, Placed> placed;
    private final Map<String, List<Placed>> after = new HashMap<>();
    private final Map<String, Integer> due = new HashMap<>();
    private final Map<String, Integer> known = new HashMap<>();

    private Slack(Bench bench, Timetable timetable) {
        this.bench = bench;
        this.placed = timetable.byWork();
        for (Due one : bench.dues()) {
            one.promised().ifPresent(at -> due.put(one.casting(), at));
        }
    }

    /** @return open minutes by work, none below nothing; without those on which no promise hangs */
    public static Map<String, Integer> of(Bench bench, Timetable timetable) {
        Slack slack = new Slack(bench, timetable);
        slack.follow();
        Map<String, Integer> all = new TreeMap<>();
        for (Placed one : timetable.placed()) {
            int left = slack.left(one);
            if (left != FREE) {
                all.put(one.work(), Math.max(0, left));
            }
        }
        return all;
    }

    /** Of one work; empty where no promise hangs on it. */
    public static OptionalInt of(Bench bench, Timetable timetable, String work) {
        Integer left = of(bench, timetable).get(work);
        return left == null ? OptionalInt.empty() : OptionalInt.of(left);
    }

    /** What comes next after each: by an order, on its station, in the same hands, on the same casting. */
    private void follow() {
        Map<String, List<Placed>> chains = new HashMap<>();
        for (Work work : bench.works()) {
            Placed one = placed.get(work.id());
            if (one == null) {
                continue;
            }
            put(chains, "casting " + work.casting(), one);
            if (!one.station().isEmpty()) {
                put(chains, "station " + one.station(), one);
            }
            one.parts().stream()
                    .map(Placed.Part::person)
                    .filter(p -> !p.isEmpty())
                    .distinct()
                    .forEach(p -> put(chains, "person " + p, one));
        }
        for (List<Placed> chain : chains.values()) {
            chain.sort(Comparator.comparingInt(Placed::begins));
            for (int i = 1; i < chain.size(); i++) {
                next(chain.get(i - 1), chain.get(i));
            }
        }
        for (Order order : bench.orders()) {
            Placed before = placed.get(order.before());
            Placed behind = placed.get(order.after());
            if (order.must() && before != null && behind != null) {
                next(before, behind);
            }
        }
    }

    private static void put(Map<String, List<Placed>> chains, String name, Placed one) {
        chains.computeIfAbsent(name, k -> new ArrayList<>()).add(one);
    }

    /** What overlaps, as castings in one oven do, does not follow. */
    private void next(Placed one, Placed other) {
        if (one.to() <= other.from()) {
            after.computeIfAbsent(one.work(), k -> new ArrayList<>()).add(other);
        }
    }

    private int left(Placed of) {
        Integer before = known.get(of.work());
        if (before != null) {
            return before;
        }
        int least = FREE;
        for (Work work : bench.works()) {
            Integer at = work.id().equals(of.work()) ? due.get(work.casting()) : null;
            if (at != null) {
                least = at - of.to();
            }
        }
        for (Placed next : after.getOrDefault(of.work(), List.of())) {
            int later = left(next);
            int gap = Math.max(0, next.begins() - of.to());
            least = Math.min(least, later == FREE ? FREE : later + gap);
        }
        known.put(of.work(), least);
        return least;
    }
}

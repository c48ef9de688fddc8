package homalon.core.bench;

import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Where on a time something can begin, as far as closings and nights go, and whoever is at it. */
final class Begins {
    private final OpenTime time;
    private final int length;
    private final int[] closings;
    /** By how long it runs by itself, minutes of the day. */
    private final Map<Integer, List<Stretch>> byDay = new HashMap<>();

    Begins(OpenTime time) {
        this.time = time;
        // Asked for with every place that is tried.
        this.length = time.length();
        this.closings = time.openings().stream().mapToInt(Stretch::to).toArray();
    }

    /** The first minute from one on at which a piece that nobody is at can begin; {@link Passage#NOWHERE} for none. */
    int alone(Piece.Kind kind, int from, int minutes) {
        if (kind != Piece.Kind.BY_DAY) {
            return from;
        }
        for (Stretch s : byDay.computeIfAbsent(minutes, time::beginsByDayFor)) {
            if (from < s.to()) {
                return Math.max(from, s.from());
            }
        }
        return Passage.NOWHERE;
    }

    int alone(Piece piece, int from) {
        return alone(piece.kind(), from, piece.minutes());
    }

    /** Whoever begins, and where; {@link Numbered#NONE} for what nobody is at. */
    record First(int who, int at) {}

    /**
     * The first begin of a piece.
     *
     * @param people all of them, as far as they are taken
     * @param of numbers of those who may be at it; the first of several that are free as early
     */
    First first(Piece piece, int now, int setUp, Busy[] people, int[] of) {
        if (!piece.attended()) {
            return new First(Numbered.NONE, alone(piece, now));
        }
        First best = new First(Numbered.NONE, Passage.NOWHERE);
        for (int one : of) {
            int at = free(people[one], now, setUp, piece);
            best = at < best.at() ? new First(one, at) : best;
        }
        return best;
    }

    /** Where somebody is free for a piece and the set-up before it; {@link Passage#NOWHERE} for nowhere. */
    int free(Busy busy, int earliest, int setUp, Piece piece) {
        int at = Math.max(earliest, setUp);
        while (at < length) {
            int from = busy.next(at - setUp, setUp + piece.minutes()) + setUp;
            int closing = piece.kind() == Piece.Kind.WHOLE ? closing(from, from + piece.minutes()) : -1;
            if (closing < 0) {
                return from;
            }
            at = closing;
        }
        return Passage.NOWHERE;
    }

    /** The last closing within; -1 for none. */
    private int closing(int from, int to) {
        for (int i = closings.length - 1; i >= 0; i--) {
            if (closings[i] > from && closings[i] < to) {
                return closings[i];
            }
        }
        return -1;
    }
}

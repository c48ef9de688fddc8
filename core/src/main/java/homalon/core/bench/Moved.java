package homalon.core.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A work of which people were told one thing and another holds now.
 *
 * @param told where it was
 * @param now where it is
 * @param why it is not earlier: what holds it first; empty where it came forward
 */
public record Moved(Placed told, Placed now, Optional<Why.Link> why) {
    /** Open minutes by which it is later; below nothing where it came forward. */
    public int later() {
        return now.from() - told.from();
    }

    /** Whether somebody else does it, or it is done elsewhere. */
    public boolean elsewhere() {
        return !told.station().equals(now.station()) || !told.person().equals(now.person());
    }

    /**
     * All that moved, as {@link Score#moved} counts it but however far ahead it was told.
     *
     * @return what was told first, first
     */
    public static List<Moved> of(Bench bench, Timetable timetable) {
        Map<String, Placed> placed = timetable.byWork();
        return bench.told().stream()
                .sorted(Comparator.comparingInt(Placed::from).thenComparing(Placed::work))
                .flatMap(told -> Optional.ofNullable(placed.get(told.work()))
                        .filter(now -> Score.moved(told, now))
                        .map(now -> new Moved(told, now, why(bench, timetable, told, now)))
                        .stream())
                .toList();
    }

    private static Optional<Why.Link> why(Bench bench, Timetable timetable, Placed told, Placed now) {
        return now.from() > told.from()
                ? Optional.of(Why.notEarlier(bench, timetable, now.work()).get(0))
                : Optional.empty();
    }
}

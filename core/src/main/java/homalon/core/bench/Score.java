package homalon.core.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * How good a legal timetable is, the first figure before all others: the less the better.
 *
 * @param late open minutes past what was promised or asked for, as much as each counts ({@link Due#late})
 * @param moved works that people were told of and that are elsewhere now
 * @param setUp minutes of set-up
 * @param standing open minutes in which castings stand: from now until each is done, and once more from its first work on; and two hours
 *     for each order that is broken though it would be better kept
 */
public record Score(long late, int moved, int setUp, long standing) implements Comparable<Score> {
    /** A work that begins within so many minutes of what was told is where it was. */
    public static final int NEAR = 15;
    /** A broken better order counts as if a casting stood so long. */
    public static final int BETTER = 120;

    private static final Comparator<Score> LESS = Comparator.comparingLong(Score::late)
            .thenComparingInt(Score::moved)
            .thenComparingInt(Score::setUp)
            .thenComparingLong(Score::standing);

    public static Score of(Bench bench, Timetable timetable) {
        Map<String, Placed> by = timetable.byWork();
        Map<String, List<Placed>> castings = bench.works().stream()
                .filter(w -> by.containsKey(w.id()))
                .collect(Collectors.groupingBy(
                        Work::casting, Collectors.mapping(w -> by.get(w.id()), Collectors.toList())));
        long late = 0;
        for (Due due : bench.dues()) {
            List<Placed> own = castings.getOrDefault(due.casting(), List.of());
            late += own.isEmpty() ? 0 : due.late(end(own));
        }
        long standing = 0;
        for (List<Placed> own : castings.values()) {
            int begin = own.stream().mapToInt(Placed::from).min().orElseThrow();
            standing += 2L * end(own) - begin;
        }
        int setUp = timetable.placed().stream().mapToInt(Placed::setUp).sum();
        return new Score(
                late,
                moved(bench, by),
                setUp,
                standing + (long) BETTER * broken(bench, timetable).size());
    }

    private static int end(List<Placed> own) {
        return own.stream().mapToInt(Placed::to).max().orElseThrow();
    }

    private static int moved(Bench bench, Map<String, Placed> by) {
        return (int) bench.told().stream()
                .filter(t -> t.from() < bench.soon())
                .filter(t -> by.containsKey(t.work()) && moved(t, by.get(t.work())))
                .count();
    }

    /** Whether somebody who was told the one is told something else by the other. */
    public static boolean moved(Placed told, Placed now) {
        return !told.station().equals(now.station())
                || !told.person().equals(now.person())
                || Math.abs(told.from() - now.from()) > NEAR;
    }

    /** Orders that would be better kept and are not. */
    public static List<Order> broken(Bench bench, Timetable timetable) {
        Map<String, Placed> by = timetable.byWork();
        return bench.orders().stream()
                .filter(o -> !o.must() && broken(by.get(o.before()), by.get(o.after())))
                .toList();
    }

    private static boolean broken(@Nullable Placed before, @Nullable Placed after) {
        return before != null && after != null && before.to() > after.from();
    }

    @Override
    public int compareTo(Score other) {
        return LESS.compare(this, other);
    }
}

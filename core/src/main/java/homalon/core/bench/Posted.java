package homalon.core.bench;

import homalon.core.bench.DayPlan.Told;
import homalon.core.bench.DayPlan.ToldPart;
import homalon.core.route.Operation;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A plan as people are told of it, by the clock.
 *
 * @param lines its works, the first first
 * @param stands why some can have no place
 * @param left works for which there was none within the time that was looked at
 * @param late castings that are done later than promised or asked for, and when
 * @param moved what people were told otherwise before, the latest first
 * @param beyond castings that are not planned yet, since others are due before them and a plan holds so many at the most
 * @param ready when each casting can be ready; without those for which it was not looked at
 * @param gap how near it is to the best there can be
 * @param unkept pins that it does not keep
 */
public record Posted(
        List<Line> lines,
        List<Hindrance> stands,
        List<String> left,
        Map<String, Instant> late,
        List<Move> moved,
        int beyond,
        Map<String, Ready> ready,
        Gap gap,
        List<Unkept> unkept) {
    /** On which no promise hangs. */
    public static final int FREE = -1;

    public static final Posted NOTHING =
            new Posted(List.of(), List.of(), List.of(), Map.of(), List.of(), 0, Map.of(), Gap.NONE, List.of());

    /**
     * A work of it.
     *
     * @param why it is not earlier
     * @param slack open minutes by which it could be later without breaking a promise; {@link #FREE} where none hangs on it
     */
    public record Line(Told told, Why.Link why, int slack) {}

    /**
     * A work that is elsewhere than people were told.
     *
     * @param was when it was told to begin
     * @param begins when it does
     * @param why it is not earlier; of what came forward, that nothing holds it
     * @param at when it moved
     */
    public record Move(String work, Instant was, Instant begins, Why.Link why, Instant at) {}

    /** So long it is told that something moved. */
    private static final Duration TOLD_FOR = Duration.ofHours(4);

    private static final int MOST_MOVES = 12;

    /** With what moved before, as far as it is not long ago and the same work did not move again. */
    public Posted after(List<Move> earlier, Instant now) {
        Set<String> known = new HashSet<>();
        List<Move> all = Stream.concat(moved.stream(), earlier.stream())
                .filter(c -> c.at().isAfter(now.minus(TOLD_FOR)) && known.add(c.work()))
                .limit(MOST_MOVES)
                .toList();
        return new Posted(lines, stands, left, late, all, beyond, ready, gap, unkept);
    }

    /**
     * When a casting can be ready, by simulation: times, arrivals and findings are drawn anew in each draw.
     *
     * @param half done by then in 50 of 100 draws
     * @param most in 80
     * @param nearlyAll in 95
     * @param last the work that the plan does last
     * @param past whether some of these lie beyond the time that is planned; those are its end
     */
    public record Ready(Instant half, Instant most, Instant nearlyAll, String last, boolean past) {}

    /** The same, with when each can be ready. */
    public Posted withReady(Map<String, Ready> all) {
        return new Posted(lines, stands, left, late, moved, beyond, all, gap, unkept);
    }

    /** The same, with the pins that it does not keep. */
    public Posted withUnkept(List<Unkept> all) {
        return new Posted(lines, stands, left, late, moved, beyond, ready, gap, all);
    }

    /**
     * How near a plan is to the best there can be.
     *
     * @param late what it is late, as {@link Score} counts
     * @param lateAtLeast below which no plan of the same bench is
     * @param setUp minutes of set-up
     * @param setUpAtLeast likewise, for any plan
     * @param searched whether the solver looked for a better one
     */
    public record Gap(long late, long lateAtLeast, int setUp, int setUpAtLeast, boolean searched) {
        public static final Gap NONE = new Gap(0, 0, 0, 0, false);

        /** Whether no plan is less late. */
        public boolean leastLate() {
            return lateAtLeast >= late;
        }

        /** Of a hundred of what it is late, what another plan might take off at the most. */
        public int percent() {
            return leastLate() ? 0 : (int) Math.ceil(100.0 * (late - lateAtLeast) / late);
        }
    }

    /** The same after the solver looked at it. */
    public Posted searched() {
        return new Posted(
                lines,
                stands,
                left,
                late,
                moved,
                beyond,
                ready,
                new Gap(gap.late(), gap.lateAtLeast(), gap.setUp(), gap.setUpAtLeast(), true),
                unkept);
    }

    /** Castings for which a station is set up once: the same work of each, one after the other, the first first; two at the least. */
    public List<List<String>> inARow(Operation operation) {
        Map<String, List<Line>> on = lines.stream()
                .filter(l -> !l.told().station().isEmpty())
                .collect(Collectors.groupingBy(l -> l.told().station(), TreeMap::new, Collectors.toList()));
        List<List<String>> rows = new ArrayList<>();
        for (List<Line> there : on.values()) {
            List<String> row = new ArrayList<>();
            for (Line line : there) {
                boolean same = RouteWorks.operation(line.told().work()) == operation;
                String casting = RouteWorks.casting(line.told().work());
                if (!same || line.told().setUp() > 0) {
                    rows.add(row);
                    row = new ArrayList<>();
                }
                if (same && !row.contains(casting)) {
                    row.add(casting);
                }
            }
            rows.add(row);
        }
        return rows.stream().filter(r -> r.size() > 1).toList();
    }

    /** What is done to a casting, the first first. */
    public List<Line> of(String casting) {
        return lines.stream()
                .filter(l -> RouteWorks.casting(l.told().work()).equals(casting))
                .toList();
    }

    public Posted {
        moved = List.copyOf(moved);
        lines = lines.stream()
                .sorted(Comparator.comparing((Line l) -> l.told().from())
                        .thenComparing(l -> l.told().work()))
                .toList();
        stands = List.copyOf(stands);
        left = List.copyOf(left);
        late = Map.copyOf(late);
        // A plan that was kept before it was looked at has none.
        ready = ready == null ? Map.of() : Map.copyOf(ready);
        gap = gap == null ? Gap.NONE : gap;
        unkept = unkept == null ? List.of() : List.copyOf(unkept);
    }

    public List<Told> told() {
        return lines.stream().map(Line::told).toList();
    }

    public Optional<Line> line(String work) {
        return lines.stream().filter(l -> l.told().work().equals(work)).findFirst();
    }

    /** How a piece stands to now. */
    public enum When {
        /** Its time has come. */
        NOW,
        /** The first after that. */
        NEXT,
        LATER
    }

    /**
     * Something that one person does.
     *
     * @param piece of the work, 0 the first
     * @param setUp minutes before it in which this person sets the station up
     */
    public record Turn(Line line, int piece, int setUp, Instant from, Instant to, When when) {}

    /** What somebody does, the first first; what should be over is not shown any more. */
    public List<Turn> of(String person, Instant now) {
        List<Turn> all = new ArrayList<>();
        for (Line line : lines) {
            for (int i = 0; i < line.told().parts().size(); i++) {
                ToldPart part = line.told().parts().get(i);
                if (part.person().equals(person) && part.to().isAfter(now)) {
                    all.add(new Turn(line, i, i == 0 ? line.told().setUp() : 0, part.from(), part.to(), When.LATER));
                }
            }
        }
        all.sort(Comparator.comparing(Turn::from));
        List<Turn> told = new ArrayList<>();
        boolean next = true;
        for (Turn turn : all) {
            boolean begun = !turn.from().minusSeconds(60L * turn.setUp()).isAfter(now);
            When when = begun ? When.NOW : next ? When.NEXT : When.LATER;
            next &= begun;
            told.add(new Turn(turn.line(), turn.piece(), turn.setUp(), turn.from(), turn.to(), when));
        }
        return told;
    }

    /** Why a work is not earlier, link by link to what no work moves. */
    public List<Why.Link> chain(String work) {
        List<Why.Link> chain = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        Optional<Line> next = line(work);
        while (next.isPresent() && seen.add(next.get().told().work())) {
            Why.Link link = next.get().why();
            chain.add(link);
            next = line(link.by());
        }
        return chain;
    }
}

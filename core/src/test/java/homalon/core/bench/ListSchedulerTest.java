package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.hours.Stretch;
import homalon.core.sim.MadeUpBench;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Timetables made by a list. */
class ListSchedulerTest {
    private static final int SHOPS = 10_000;

    /** A small bench with what can go wrong: pins, somebody away for weeks, stations down, what comes late or never, circles. */
    private static Bench odd(int seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Bench drawn = MadeUpBench.draw(seed, 1 + random.nextInt(4), 1 + random.nextInt(3));
        List<Work> works = new ArrayList<>();
        for (Work w : drawn.works()) {
            OptionalInt at = random.nextInt(12) == 0 ? OptionalInt.of(random.nextInt(2000)) : OptionalInt.empty();
            int earliest = random.nextInt(40) == 0 ? random.nextInt(40_000) : w.earliest();
            List<Way> ways = w.ways();
            if (random.nextInt(60) == 0) {
                ways = List.of(new Way(ways.get(0).station(), List.of(new Piece(400, Piece.Kind.WHOLE))));
            } else if (random.nextInt(10) == 0) {
                ways = ways.stream().map(way -> slower(way, random.nextInt(30))).toList();
            }
            List<String> people = random.nextInt(60) == 0 ? List.of("Nobody") : w.people();
            works.add(new Work(w.id(), w.casting(), ways, people, w.setUp(), earliest, at));
        }
        List<Order> orders = new ArrayList<>(drawn.orders());
        if (random.nextInt(10) == 0) {
            Order one = orders.get(random.nextInt(orders.size()));
            orders.add(new Order(/* before= */ one.after(), /* after= */ one.before(), random.nextBoolean()));
        }
        List<Station> stations = drawn.stations().stream()
                .map(s -> random.nextInt(30) == 0
                        ? new Station(s.id(), s.holds(), List.of(new Stretch(random.nextInt(300), 90_000)), s.setUp())
                        : s)
                .toList();
        List<Person> people = drawn.people().stream()
                .map(p -> random.nextInt(8) == 0
                        ? new Person(p.id(), List.of(new Stretch(random.nextInt(900), 90_000)))
                        : p)
                .toList();
        return new Bench(drawn.time(), stations, people, drawn.dues(), works, orders, drawn.changes(), List.of(), 2000);
    }

    private static Way slower(Way way, int minutes) {
        return new Way(
                way.station(),
                way.pieces().stream()
                        .map(p -> new Piece(p.minutes() + minutes, p.kind()))
                        .toList());
    }

    /** What is left to be legal once what could have no place is out, and pins that could not be kept are pulled. */
    private static Bench placed(Bench bench, ListScheduler.Made made) {
        return bench.with(bench.works().stream()
                .filter(w -> !made.left().contains(w.id()))
                .map(w -> made.unpinned().contains(w.id()) ? w.free() : w)
                .toList());
    }

    @Test
    void ofTenThousandOddShopsEveryTimetableIsLegalAndEveryWorkIsPlacedOrTold() {
        List<String> wrong = IntStream.range(0, SHOPS)
                .parallel()
                .mapToObj(seed -> {
                    Bench bench = odd(seed);
                    Hindrances.Cleared cleared = Hindrances.of(bench);
                    ListScheduler.Made made = ListScheduler.of(cleared.bench(), 2, seed);
                    List<Breach> found = Checker.look(placed(cleared.bench(), made), made.timetable());
                    Set<String> told = new HashSet<>(made.left());
                    cleared.found().forEach(h -> told.add(h.work()));
                    made.timetable().placed().forEach(p -> told.add(p.work()));
                    boolean all = told.size() == bench.works().size();
                    return found.isEmpty() && all
                            ? ""
                            : seed + " " + found + (all ? "" : " some neither placed nor told");
                })
                .filter(s -> !s.isEmpty())
                .toList();
        assertEquals(List.of(), wrong.stream().limit(3).toList(), () -> wrong.size() + " shops");
    }

    @Test
    void theSameBenchGivesTheSameTimetable() {
        Bench bench = MadeUpBench.draw(3, 12, 3);
        assertEquals(ListScheduler.of(bench, 20, 7), ListScheduler.of(bench, 20, 7));
    }

    @Test
    void roundsNeverMakeItWorse() {
        for (int seed = 0; seed < 10; seed++) {
            Bench bench = MadeUpBench.draw(seed, 15, 3);
            Score rule = Score.of(bench, ListScheduler.of(bench, 0, 1).timetable());
            Score more = Score.of(bench, ListScheduler.of(bench, 30, 1).timetable());
            assertTrue(more.compareTo(rule) <= 0, more + " after " + rule);
        }
    }

    @Test
    void whatIsPinnedStaysAndWhatMustComeBeforeItComesBeforeIt() {
        Bench bench = MadeUpBench.draw(5, 10, 3);
        ListScheduler.Made free = ListScheduler.of(bench, 5, 1);
        Placed last = free.timetable().placed().stream()
                .filter(p -> p.work().endsWith("proof"))
                .reduce((a, b) -> b)
                .orElseThrow();
        Bench pinned = bench.with(bench.works().stream()
                .map(w -> w.id().equals(last.work()) ? w.at(last.from() + 20) : w)
                .toList());
        ListScheduler.Made made = ListScheduler.of(pinned, 5, 1);
        assertEquals(List.of(), made.unpinned());
        assertEquals(List.of(), Checker.look(pinned, made.timetable()));
    }

    @Test
    void whatWasToldStaysWhereNothingSpeaksAgainstIt() {
        Bench bench = MadeUpBench.draw(8, 12, 3);
        List<Placed> told = ListScheduler.of(bench, 40, 1).timetable().placed();
        int soon = 990;
        List<Person> people = bench.people().stream()
                .map(p -> p.id().equals("Ines") ? new Person(p.id(), List.of(new Stretch(100, 400))) : p)
                .toList();
        Bench ill = new Bench(
                bench.time(),
                bench.stations(),
                people,
                List.of(),
                bench.works(),
                bench.orders(),
                bench.changes(),
                told,
                soon);
        Set<String> hit = told.stream()
                .filter(t ->
                        t.parts().stream().anyMatch(p -> p.person().equals("Ines") && p.from() < 400 && p.to() > 100))
                .map(Placed::work)
                .collect(Collectors.toSet());
        Score score = Score.of(ill, ListScheduler.of(ill, 40, 1).timetable());
        long known = told.stream().filter(t -> t.from() < soon).count();
        assertTrue(!hit.isEmpty() && score.moved() >= hit.size(), () -> score + " of " + hit);
        assertTrue(score.moved() < known / 2, () -> score + ", told " + known + ", hit " + hit.size());
    }

    /** Five castings to be baked in an oven for four, by one person. */
    private static Bench five(Piece.Kind kind, int earliest) {
        List<Piece> bake =
                List.of(new Piece(5, Piece.Kind.ATTENDED), new Piece(90, kind), new Piece(5, Piece.Kind.ATTENDED));
        List<Work> works = IntStream.range(0, 5)
                .mapToObj(i -> Work.of("bake " + i, "T-" + i, bake, List.of("oven"), List.of("Ines"), "iron", earliest))
                .toList();
        return new Bench(
                MadeUpBench.draw(2, 1, 1).time(),
                List.of(new Station("oven", 4, List.of(), "")),
                List.of(new Person("Ines", List.of())),
                List.of(),
                works,
                List.of(),
                List.of(),
                List.of(),
                0);
    }

    @Test
    void whatIsPinnedToOneLoadGoesInTogether() {
        Bench bench = five(Piece.Kind.ALONE, 0);
        Bench pinned = bench.with(bench.works().stream()
                .map(w -> w.id().equals("bake 1") ? w.at(100) : w.id().equals("bake 3") ? w.at(105) : w)
                .toList());
        ListScheduler.Made made = ListScheduler.of(pinned, 0, 1);
        assertEquals(List.of(), made.unpinned());
        assertEquals(List.of(), Checker.look(pinned, made.timetable()));
        Bench apart = bench.with(bench.works().stream()
                .map(w -> w.id().equals("bake 1") ? w.at(100) : w.id().equals("bake 3") ? w.at(150) : w)
                .toList());
        assertEquals(
                List.of("bake 3"), ListScheduler.of(apart, 0, 1).unpinned(), "it would go in while the other bakes");
    }

    @Test
    void whatDoesNotRunAtNightIsLoadedInTheMorning() {
        // The shop opens at 7:30 and closes at 16:30 with 45 minutes for dinner; it is 8:00.
        int four = 7 * 60 + 15;
        int closing = four + 30;
        assertEquals(four, first(five(Piece.Kind.ALONE, four)), "what does may go in for the night");
        assertEquals(closing, first(five(Piece.Kind.BY_DAY, four)));
        assertEquals(closing - 100, first(five(Piece.Kind.BY_DAY, closing - 100)), "it is over by then");
    }

    /** Where the first of a made timetable is loaded. */
    private static int first(Bench bench) {
        Timetable made = ListScheduler.of(bench, 0, 1).timetable();
        assertEquals(List.of(), Checker.look(bench, made));
        return made.placed().stream().mapToInt(Placed::from).min().orElseThrow();
    }

    @Test
    void whereNothingIsToBePlacedNothingIs() {
        Bench none = MadeUpBench.draw(2, 1, 1).with(List.of());
        ListScheduler.Made made = ListScheduler.of(none, 120, 1);
        assertEquals(List.of(), made.timetable().placed());
        assertEquals(List.of(), Checker.look(none, made.timetable()));
    }

    @Test
    void castingsOfOneProgrammeGoInTogether() {
        Bench five = five(Piece.Kind.ALONE, 0);
        Timetable made = ListScheduler.of(five, 0, 1).timetable();
        assertEquals(List.of(), Checker.look(five, made));
        assertEquals(
                List.of(4L, 1L),
                made.placed().stream()
                        .collect(Collectors.groupingBy(
                                p -> p.parts().get(1).from(), java.util.TreeMap::new, Collectors.counting()))
                        .values()
                        .stream()
                        .toList());
    }
}

package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import homalon.core.sim.MadeUpBench;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What no timetable can be below. */
class BoundsTest {
    private static final OpenTime ALWAYS =
            new OpenTime(Instant.parse("2026-11-02T07:00:00Z"), List.of(new Stretch(0, 10_000)), 10_000);
    private static final List<Change> CHANGES =
            List.of(new Change("mill", "", "iron", 10), new Change("mill", "", "brass", 25));

    private static Work work(String casting, String id, int minutes, int earliest, String setUp, Piece.Kind kind) {
        return Work.of(
                casting + id,
                casting,
                List.of(new Piece(minutes, kind)),
                List.of("mill"),
                kind == Piece.Kind.ALONE ? List.of() : List.of("Ines", "Marit"),
                setUp,
                earliest);
    }

    private static Due due(String casting, int at, int weight) {
        return new Due(casting, OptionalInt.empty(), OptionalInt.of(at), weight);
    }

    private static Bench bench(List<String> people, List<Due> dues, List<Work> works, List<Order> orders) {
        return new Bench(
                ALWAYS,
                List.of(new Station("mill", 1, List.of(), "iron")),
                people.stream().map(p -> new Person(p, List.of())).toList(),
                dues,
                works,
                orders,
                CHANGES,
                List.of(),
                0);
    }

    /** However good a timetable, no bound is above it. */
    @ParameterizedTest
    @ValueSource(ints = {3, 8, 15, 30})
    void noTimetableIsBelow(int castings) {
        long bound = 0;
        long late = 0;
        for (int seed = 0; seed < 40; seed++) {
            Bench bench = MadeUpBench.draw(seed, castings, 1 + seed % 4);
            Score score = Score.of(bench, ListScheduler.of(bench, 12, 1).timetable());
            Bounds bounds = Bounds.of(bench);
            int told = seed;
            assertTrue(bounds.late() <= score.late(), () -> told + ": " + bounds + " over " + score);
            assertTrue(bounds.setUp() <= score.setUp(), () -> told + ": " + bounds + " over " + score);
            bound += bounds.late();
            late += score.late();
        }
        assertTrue(bound > 0.3 * late, bound + " of " + late);
    }

    /** Alone in the shop, one thing after the other: 20 from 5 on, then 30, is over at 55; at the other work as well somebody stands for 10. */
    @ParameterizedTest
    @CsvSource({"40, 1, 25", "60, 1, 5", "65, 1, 0", "80, 1, 0", "40, 3, 75"})
    void aCastingCannotBeDoneBeforeItsOwnWorkIsOver(int due, int weight, long late) {
        Bench bench = bench(
                List.of("Ines", "Marit"),
                List.of(due("A", due, weight)),
                List.of(
                        work("A", "1", 20, 5, "", Piece.Kind.ATTENDED),
                        work("A", "2", 30, 0, "", Piece.Kind.ATTENDED),
                        work("A", "3", 15, 5, "", Piece.Kind.ATTENDED)),
                List.of(new Order("A1", "A2", true), new Order("A3", "A1", false)));
        assertEquals(late, Bounds.of(bench).late());
    }

    @Test
    void whatRunsByItselfTakesItsTimeButNobodysHands() {
        Bench bench = bench(
                List.of("Ines"),
                List.of(due("A", 100, 1), due("B", 100, 1)),
                List.of(work("A", "1", 150, 0, "", Piece.Kind.ALONE), work("B", "1", 150, 0, "", Piece.Kind.ALONE)),
                List.of());
        assertEquals(100, Bounds.of(bench).late());
    }

    /** Three times 60 minutes, one pair of hands, all due at 60: the second is 60 late, the third 120; two pairs share it. */
    @Test
    void handsThatAreSharedMakeLate() {
        List<Due> dues = List.of(due("A", 60, 1), due("B", 60, 1), due("C", 60, 1));
        List<Work> works = new ArrayList<>();
        for (String casting : List.of("A", "B", "C")) {
            works.add(work(casting, "1", 60, 0, "", Piece.Kind.ATTENDED));
        }
        assertEquals(
                180, Bounds.of(bench(List.of("Ines"), dues, works, List.of())).late());
        assertEquals(
                30,
                Bounds.of(bench(List.of("Ines", "Marit"), dues, works, List.of()))
                        .late());
        // The last comes when the first two are done: nobody is late who need not be.
        works.set(2, work("C", "1", 60, 120, "", Piece.Kind.ATTENDED));
        assertEquals(
                180, Bounds.of(bench(List.of("Ines"), dues, works, List.of())).late());
    }

    @Test
    void aFormThatTheStationDoesNotStandAtIsSetUpOnce() {
        List<Work> works = List.of(
                work("A", "1", 10, 0, "iron", Piece.Kind.WHOLE),
                work("B", "1", 10, 0, "brass", Piece.Kind.WHOLE),
                work("C", "1", 10, 0, "brass", Piece.Kind.WHOLE));
        assertEquals(
                25,
                Bounds.of(bench(List.of("Ines"), List.of(), works, List.of())).setUp());
        assertEquals(
                0,
                Bounds.of(bench(List.of("Ines"), List.of(), works.subList(0, 1), List.of()))
                        .setUp());
    }
}

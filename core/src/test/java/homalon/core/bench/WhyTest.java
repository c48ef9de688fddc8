package homalon.core.bench;

import static homalon.core.bench.CheckerTest.BENCH;
import static homalon.core.bench.CheckerTest.LEGAL;
import static homalon.core.bench.CheckerTest.instead;
import static homalon.core.bench.CheckerTest.part;
import static homalon.core.bench.CheckerTest.placed;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.bench.Why.Holds;
import homalon.core.bench.Why.Link;
import homalon.core.sim.MadeUpBench;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Why not earlier. */
class WhyTest {
    @Test
    void theChainIsWalkedToWhatNothingHolds() {
        assertEquals(
                List.of(
                        new Link("weld 3", Holds.CASTING, "bake 3"),
                        new Link("bake 3", Holds.STATION, "bake 2"),
                        new Link("bake 2", Holds.PERSON, "bake 1"),
                        new Link("bake 1", Holds.NOW, "")),
                Why.notEarlier(BENCH, LEGAL, "weld 3"));
    }

    static Stream<Arguments> held() {
        return Stream.of(
                Arguments.of(placed("cut 1", "surfacer", 0, part("Ines", 75, 105)), Holds.AFTER, "bake 1"),
                Arguments.of(placed("cut 1", "surfacer", 0, part("Ines", 80, 110)), Holds.NOTHING, ""),
                Arguments.of(placed("cut 2", "surfacer", 20, part("Ines", 130, 160)), Holds.STATION, "cut 1"),
                Arguments.of(placed("cut 2", "surfacer", 20, part("Ines", 280, 310)), Holds.DOWN, "surfacer"),
                Arguments.of(placed("cut 2", "surfacer", 20, part("Ines", 350, 380)), Holds.AWAY, "Ines"),
                Arguments.of(placed("cut 2", "surfacer", 20, part("Ines", 480, 510)), Holds.CLOSING, ""),
                Arguments.of(
                        placed("bake 3", "oven", 0, part("Oda", 480, 485), part("", 485, 545), part("Oda", 545, 550)),
                        Holds.CLOSING,
                        ""),
                Arguments.of(placed("look 1", "bench", 0, part("Oda", 10, 50)), Holds.NOT_BEFORE, ""),
                Arguments.of(placed("look 1", "bench", 0, part("Oda", 480, 520)), Holds.NOTHING, ""));
    }

    @ParameterizedTest
    @MethodSource("held")
    void whatHoldsItIsWhatEndsWhereItBegins(Placed place, Holds holds, String by) {
        Timetable timetable = instead(place).apply(LEGAL);
        assertEquals(
                new Link(place.work(), holds, by),
                Why.notEarlier(BENCH, timetable, place.work()).get(0));
    }

    @Test
    void whatIsPinnedIsHeldByNothingElse() {
        Bench pinned = BENCH.with(BENCH.works().stream()
                .map(w -> w.id().equals("bake 3") ? w.at(80) : w)
                .toList());
        assertEquals(List.of(new Link("bake 3", Holds.PINNED, "")), Why.notEarlier(pinned, LEGAL, "bake 3"));
    }

    @Test
    void aBetterOrderHoldsWhereNothingElseDoes() {
        Bench better = new Bench(
                BENCH.time(),
                BENCH.stations(),
                BENCH.people(),
                BENCH.dues(),
                BENCH.works(),
                List.of(new Order("cut 2", "look 1", false)),
                BENCH.changes(),
                List.of(),
                0);
        Timetable timetable =
                instead(placed("look 1", "bench", 0, part("Oda", 170, 210))).apply(LEGAL);
        assertEquals(
                new Link("look 1", Holds.BETTER_AFTER, "cut 2"),
                Why.notEarlier(better, timetable, "look 1").get(0));
    }

    @Test
    void ofWhatIsNotPlacedNothingIsSaid() {
        assertThrows(IllegalArgumentException.class, () -> Why.notEarlier(BENCH, LEGAL, "paint"));
    }

    @Test
    void everyWorkOfATimetableHasAChainThatEnds() {
        Bench bench = MadeUpBench.draw(3, 15, 3);
        Timetable timetable = ListScheduler.of(bench, 5, 1).timetable();
        for (Placed one : timetable.placed()) {
            List<Link> chain = Why.notEarlier(bench, timetable, one.work());
            assertEquals(one.work(), chain.get(0).work());
            assertTrue(chain.stream().map(Link::work).distinct().count() == chain.size(), chain::toString);
        }
    }
}

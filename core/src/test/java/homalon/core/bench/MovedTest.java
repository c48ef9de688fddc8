package homalon.core.bench;

import static homalon.core.bench.CheckerTest.BENCH;
import static homalon.core.bench.CheckerTest.LEGAL;
import static homalon.core.bench.CheckerTest.instead;
import static homalon.core.bench.CheckerTest.part;
import static homalon.core.bench.CheckerTest.placed;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What moved, and why. */
class MovedTest {
    private static Bench told(List<Placed> told) {
        return new Bench(
                BENCH.time(),
                BENCH.stations(),
                BENCH.people(),
                BENCH.dues(),
                BENCH.works(),
                BENCH.orders(),
                BENCH.changes(),
                told,
                0);
    }

    @Test
    void nothingMovedWhereAllIsAsItWasTold() {
        assertEquals(List.of(), Moved.of(told(LEGAL.placed()), LEGAL));
    }

    @Test
    void whatIsLaterSaysWhatHoldsItAndWhatCameForwardDoesNot() {
        Timetable now = instead(
                        placed("cut 2", "surfacer", 20, part("Ines", 280, 310)),
                        placed("look 1", "bench", 0, part("Oda", 300, 340)))
                .apply(LEGAL);
        List<Moved> moved = Moved.of(told(LEGAL.placed()), now);
        assertEquals(
                List.of("cut 2", "look 1"),
                moved.stream().map(m -> m.now().work()).toList());
        assertEquals(140, moved.get(0).later());
        assertEquals(
                Optional.of(new Why.Link("cut 2", Why.Holds.DOWN, "surfacer")),
                moved.get(0).why());
        assertEquals(-150, moved.get(1).later());
        assertEquals(Optional.empty(), moved.get(1).why());
        assertFalse(moved.get(1).elsewhere());
    }

    @Test
    void inOtherHandsAtTheSameMinuteIsMoved() {
        Timetable now =
                instead(placed("look 1", "bench", 0, part("Ines", 450, 490))).apply(LEGAL);
        List<Moved> moved = Moved.of(told(LEGAL.placed()), now);
        assertTrue(moved.get(0).elsewhere());
        assertEquals(0, moved.get(0).later());
    }

    @Test
    void whatIsDoneMeanwhileDidNotMove() {
        Placed done = placed("paint", "bench", 0, part("Oda", 0, 5));
        assertEquals(List.of(), Moved.of(told(List.of(done)), LEGAL));
    }
}

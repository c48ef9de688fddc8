package homalon.core.bench;

import static homalon.core.bench.CheckerTest.BENCH;
import static homalon.core.bench.CheckerTest.LEGAL;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** How much later. */
class SlackTest {
    private static Bench promised(String casting, int at) {
        return new Bench(
                BENCH.time(),
                BENCH.stations(),
                BENCH.people(),
                List.of(new Due(casting, OptionalInt.of(at), OptionalInt.empty(), 1)),
                BENCH.works(),
                BENCH.orders(),
                BENCH.changes(),
                List.of(),
                0);
    }

    @Test
    void itIsTheLeastOnAnyWayToAPromise() {
        // The second casting is done at 170 and promised for 300; what stands before that has the gaps on the way as
        // well.
        assertEquals(
                Map.of("cut 2", 130, "cut 1", 140, "bake 1", 145, "bake 2", 170),
                Slack.of(promised("T-2", 300), LEGAL));
    }

    @Test
    void aPromiseThatIsBrokenLeavesNothing() {
        assertEquals(OptionalInt.of(0), Slack.of(promised("T-2", 150), LEGAL, "cut 2"));
    }

    @Test
    void withoutAPromiseThereIsNoEndToIt() {
        assertEquals(Map.of(), Slack.of(BENCH, LEGAL));
        assertEquals(OptionalInt.empty(), Slack.of(promised("T-2", 300), LEGAL, "weld 3"));
    }
}

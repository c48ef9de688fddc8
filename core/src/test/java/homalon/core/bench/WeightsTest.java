package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeightsTest {
    @ParameterizedTest
    @CsvSource({
        "false, 0, 3",
        "false, 13, 3",
        "false, 14, 4",
        "false, 41, 5",
        "false, 42, 6",
        "false, 4000, 6",
        "true, 0, 1",
        "true, 14, 2",
        "true, 42, 4",
        "true, 900, 4",
        // A clock that was put back.
        "false, -3, 3",
        "true, -40, 1"
    })
    void whatIsPaidForAndWhatHasLainCountsMore(boolean own, long days, int weight) {
        assertEquals(weight, Weights.of(own, days));
    }

    @Test
    void theShopsOwnIsNotStarvedAndNeverOutweighsWhatLayAsLong() {
        assertTrue(Weights.of(true, 42) > Weights.of(false, 0));
        for (int days = 0; days < 100; days++) {
            assertTrue(Weights.of(true, days) < Weights.of(false, days));
        }
    }
}

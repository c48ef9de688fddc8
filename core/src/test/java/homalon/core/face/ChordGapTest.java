package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChordGapTest {
    private static double along(double e, double f, double d, double du, double dv) {
        return Math.abs(e * du * du + f * dv * dv + d * du * dv) / 4;
    }

    @ParameterizedTest
    @CsvSource({
        "0.05, -0.05, 0.05, 0.0625", // five lines show 0.05; an edge off the diagonal sees it
        "0.05, 0, 0, 0.05",
        "0, -0.03, 0, 0.03",
        "0, 0, 0.04, 0.04",
        "0.05, 0.02, 0, 0.07",
        "0.02, 0.02, -0.05, 0.09",
        "-0.05, 0.05, -0.05, 0.0625",
        "0, 0, 0, 0"
    })
    void theGreatestBowOfAShape(double e, double f, double d, double most) {
        assertEquals(most, ChordGap.of(new double[] {e, f, d}), 1e-12);
    }

    /** Of any shape: no chord of a fine fan shows more, and one shows nearly as much. */
    @Test
    void noChordShowsMore() {
        Random random = new Random(3);
        for (int n = 0; n < 500; n++) {
            double e = random.nextGaussian();
            double f = random.nextGaussian();
            double d = random.nextGaussian();
            double most = ChordGap.of(new double[] {e, f, d});
            double seen = 0;
            for (int i = -200; i <= 200; i++) {
                seen = Math.max(seen, along(e, f, d, 2, i / 100.0));
                seen = Math.max(seen, along(e, f, d, i / 100.0, 2));
                assertTrue(
                        along(e, f, d, 2 * random.nextDouble(), 4 * random.nextDouble() - 2) <= most + 1e-12,
                        "within the face");
            }
            assertTrue(seen <= most + 1e-12 && seen >= most * 0.999, seen + " of " + most);
        }
    }
}

package homalon.core.numeric;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Points;
import java.util.Arrays;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whether heights reach further than so much: looked for no longer than it takes, and never other than the whole search says. */
class MinimaxPlacesTest {
    private static double[] each(int count, IntToDoubleFunction value) {
        double[] all = new double[count];
        Arrays.setAll(all, value);
        return all;
    }

    private static double zone(double[] x, double[] y, double[] z) {
        MinimaxPlane.Fit fit = MinimaxPlane.fit(Points.of(x, y, z));
        return fit.extent() * fit.middle().cosTilt();
    }

    /** Asked about everything from half of what it is to twice as much, and just beside it. */
    @ParameterizedTest
    @CsvSource({"4, 1", "5, 2", "12, 3", "60, 4", "400, 5", "400, 6"})
    void theShortSearchSaysWhatTheWholeOneFinds(int count, int seed) {
        Random random = new Random(seed);
        double[] x = each(count, i -> 400 * random.nextDouble());
        double[] y = each(count, i -> 150 * random.nextDouble());
        MinimaxPlaces places = new MinimaxPlaces(x, y);
        for (int round = 0; round < 50; round++) {
            double tilt = 1e-3 * random.nextGaussian();
            double[] z = each(count, i -> 0.02 * random.nextGaussian() + tilt * x[i]);
            double zone = zone(x, y, z);
            for (double share : new double[] {0.5, 0.9, 0.99, 1 - 1e-5, 1 + 1e-5, 1.01, 1.1, 2}) {
                assertEquals(share < 1, places.apart(z, share * zone), count + " places, " + share);
            }
        }
    }

    /** A row's straightness, as its own slope leaves it. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 30, 90})
    void placesOnALineAreAskedAboutTheLine(double degrees) {
        double[] t = each(9, i -> 12.5 * i);
        double[] x = each(9, i -> t[i] * Math.cos(Math.toRadians(degrees)));
        double[] y = each(9, i -> t[i] * Math.sin(Math.toRadians(degrees)));
        double[] z = each(9, i -> 0.001 * t[i] + (i == 4 ? 0.03 : 0));
        MinimaxPlaces row = new MinimaxPlaces(x, y);
        double zone = zone(x, y, z);
        assertEquals(0.03, zone, 1e-6);
        assertTrue(row.apart(z, 0.0299));
        assertFalse(row.apart(z, 0.0301));
    }

    @ParameterizedTest
    @CsvSource({"1", "2", "3", "7"})
    void whatLiesOnOnePlaneIsNoDistanceApart(int count) {
        double[] x = each(count, i -> 40 * i);
        double[] y = each(count, i -> i % 2 == 0 ? 0 : 50);
        double[] z = each(count, i -> 0.01 + 1e-4 * x[i] - 2e-4 * y[i]);
        assertFalse(new MinimaxPlaces(x, y).apart(z, 1e-9));
    }
}

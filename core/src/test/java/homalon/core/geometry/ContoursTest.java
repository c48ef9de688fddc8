package homalon.core.geometry;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ContoursTest {
    private static final double[] LEVELS = {-0.6, -0.2, 0, 0.2, 0.6};

    private static Raster rough(long seed, int columns, int rows) {
        Random random = new Random(seed);
        Raster raster = new Raster(-3, 2, 1.5, 0.75, columns, rows);
        for (int j = 0; j < rows; j++) {
            for (int i = 0; i < columns; i++) {
                // Some nodes lie on a level, some neighbours are equal.
                raster.set(i, j, Math.rint(random.nextGaussian() * 5) / 10);
            }
        }
        return raster;
    }

    private static boolean inside(List<double[]> rings, double x, double y) {
        boolean in = false;
        for (double[] ring : rings) {
            for (int k = 0, before = ring.length - 2; k < ring.length; before = k, k += 2) {
                boolean crosses = ring[k + 1] > y != ring[before + 1] > y;
                double at = ring[k] + (y - ring[k + 1]) / (ring[before + 1] - ring[k + 1]) * (ring[before] - ring[k]);
                in ^= crosses && x < at;
            }
        }
        return in;
    }

    /** A node clearly above a level is inside its rings, one clearly below is outside, whatever the size of the grid. */
    @ParameterizedTest
    @ValueSource(ints = {2, 3, 6, 7, 14, 15, 31, 62})
    void ringsHoldWhatIsHigh(int columns) {
        for (int seed = 0; seed < 20; seed++) {
            Raster raster = rough(seed * 71L + columns, columns, 9);
            List<List<double[]>> all = Contours.atOrAbove(raster, LEVELS);
            for (int k = 0; k < LEVELS.length; k++) {
                for (int j = 1; j < raster.rows() - 1; j++) {
                    for (int i = 1; i < columns - 1; i++) {
                        double over = raster.get(i, j) - LEVELS[k];
                        if (Math.abs(over) > 1e-9) {
                            // Beside the node, since rings run along the grid's own lines.
                            double x = raster.x(i) + 1e-7;
                            double y = raster.y(j) + 1.3e-7;
                            assertEquals(
                                    over > 0, inside(all.get(k), x, y), "level " + LEVELS[k] + " node " + i + " " + j);
                        }
                    }
                }
            }
        }
    }

    @Test
    void oneLevelIsDrawnTheSameAloneAndAmongOthers() {
        Raster raster = rough(5, 40, 20);
        List<List<double[]>> all = Contours.atOrAbove(raster, LEVELS);
        for (int k = 0; k < LEVELS.length; k++) {
            List<double[]> alone = Contours.atOrAbove(raster, LEVELS[k]).get(0);
            assertEquals(alone.size(), all.get(k).size());
            for (int r = 0; r < alone.size(); r++) {
                assertTrue(java.util.Arrays.equals(alone.get(r), all.get(k).get(r)));
            }
        }
    }

    @Test
    void levelsGoUp() {
        Raster raster = rough(1, 5, 5);
        assertThrows(IllegalArgumentException.class, () -> Contours.atOrAbove(raster, 0.2, 0.1));
        assertEquals(List.of(), Contours.atOrAbove(raster));
    }

    @Test
    void betweenItsNodesAGridIsLinearAndBeyondItStaysAtItsBorder() {
        Raster raster = new Raster(10, 20, 2, 3, 4, 3);
        for (int j = 0; j < 3; j++) {
            for (int i = 0; i < 4; i++) {
                raster.set(i, j, 0.5 * raster.x(i) - 0.25 * raster.y(j));
            }
        }
        assertEquals(0.5 * 13.1 - 0.25 * 24.7, raster.between(13.1, 24.7), 1e-12);
        assertEquals(0.5 * 16 - 0.25 * 26, raster.between(16, 26), 1e-12);
        assertEquals(0.5 * 16 - 0.25 * 26, raster.between(99, 99), 1e-12);
        assertEquals(0.5 * 10 - 0.25 * 20, raster.between(-99, -99), 1e-12);
    }
}

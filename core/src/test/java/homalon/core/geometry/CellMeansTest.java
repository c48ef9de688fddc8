package homalon.core.geometry;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CellMeansTest {
    private static final Box BOX = new Box(10, -20, 410, 130);

    private static Points points(int count, double share, long seed) {
        Random random = new Random(seed);
        double[] x =
                random.doubles(count, BOX.x0(), BOX.x0() + share * BOX.width()).toArray();
        double[] y = random.doubles(count, BOX.y0(), BOX.y1()).toArray();
        double[] z = new double[count];
        for (int i = 0; i < count; i++) {
            z[i] = 0.3 + 0.001 * x[i] - 0.002 * y[i];
        }
        return Points.of(x, y, z);
    }

    @ParameterizedTest
    @CsvSource({"301, 1", "301, 0.02", "5000, 1", "5000, 0.3", "200000, 1", "200000, 0.05"})
    void thereAreNoMoreThanAskedForAndEveryPointHasOneNearby(int count, double share) {
        Points many = points(count, share, count);
        Points means = CellMeans.of(many, BOX, 300);
        assertTrue(means.size() <= 300, means.size() + " means");
        // Cells grow by whole steps of a quarter of the side that fills the box: fine where little of it holds points.
        assertTrue(means.size() >= 100 || share < 1, means.size() + " means");
        double side = Math.sqrt(BOX.width() * BOX.height() / 300);
        for (int i = 0; i < many.size(); i += 97) {
            double nearest = Double.POSITIVE_INFINITY;
            for (int j = 0; j < means.size(); j++) {
                nearest = Math.min(nearest, many.spot(i).distance(means.spot(j)));
            }
            assertTrue(nearest < 2 * side, nearest + " mm");
        }
    }

    @Test
    void meansOfAPlaneLieOnIt() {
        Points means = CellMeans.of(points(20_000, 1, 3), BOX, 300);
        for (int i = 0; i < means.size(); i++) {
            assertEquals(0.3 + 0.001 * means.x(i) - 0.002 * means.y(i), means.z(i), 1e-12);
        }
    }

    @Test
    void fewPointsAreLeftAsTheyAre() {
        Points few = points(300, 1, 4);
        assertSame(few, CellMeans.of(few, BOX, 300));
    }

    @Test
    void whatLiesOutsideCountsForTheNearestCell() {
        Points inside = points(1000, 1, 5);
        double[] x = inside.xs().clone();
        double[] y = inside.ys().clone();
        x[0] = BOX.x1() + 300;
        y[0] = BOX.y1() + 300;
        Points means = CellMeans.of(Points.of(x, y, inside.zs()), BOX, 10);
        assertEquals(CellMeans.of(inside, BOX, 10).size(), means.size());
        double right = 0;
        for (int i = 0; i < means.size(); i++) {
            right = Math.max(right, means.x(i));
        }
        assertTrue(right < x[0] - 200, "it moves a mean and has none of its own");
    }

    @Test
    void oneCellHoldsTheMeanOfAll() {
        Points all = points(1000, 1, 6);
        Points mean = CellMeans.of(all, BOX, 1);
        assertEquals(1, mean.size());
        double sum = 0;
        for (int i = 0; i < all.size(); i++) {
            sum += all.x(i);
        }
        assertEquals(sum / all.size(), mean.x(0), 1e-9);
    }
}

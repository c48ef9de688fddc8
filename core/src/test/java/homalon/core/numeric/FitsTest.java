package homalon.core.numeric;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Fits against what they must be by definition, far from the origin too. */
class FitsTest {
    private static Points random(Random random, int n, double far) {
        double[][] rows = new double[n][];
        for (int i = 0; i < n; i++) {
            rows[i] = new double[] {
                far + 400 * random.nextDouble(), -far + 150 * random.nextDouble(), 0.1 * random.nextGaussian()
            };
        }
        return Points.of(rows);
    }

    private static double squares(Points points, Plane plane) {
        double sum = 0;
        for (int i = 0; i < points.size(); i++) {
            sum += points.above(plane, i) * points.above(plane, i);
        }
        return sum;
    }

    /** No plane nearby has a smaller sum of squares: the definition, not the formula. */
    @Test
    void theLeastSquaresPlaneHasTheLeastSquares() {
        Random random = new Random(2);
        for (double far : new double[] {0, 1e4}) {
            for (int k = 0; k < 50; k++) {
                Points points = random(random, 4 + random.nextInt(40), far);
                Plane best = LeastSquaresPlane.fit(points);
                double least = squares(points, best);
                for (int j = 0; j < 20; j++) {
                    double a = 1e-5 * random.nextGaussian();
                    double b = 1e-5 * random.nextGaussian();
                    double c = 1e-3 * random.nextGaussian();
                    Plane other = new Plane(best.a() + a, best.b() + b, best.c() + c - a * far + b * far);
                    assertTrue(squares(points, other) >= least * (1 - 1e-9));
                }
            }
        }
    }

    @Test
    void theSplineGoesThroughItsPointsAndBendsNoPlane() {
        Random random = new Random(3);
        for (int k = 0; k < 30; k++) {
            Points points = random(random, 4 + random.nextInt(30), 500);
            ThinPlateSpline spline = ThinPlateSpline.through(points);
            for (int i = 0; i < points.size(); i++) {
                assertEquals(points.z(i), spline.at(points.x(i), points.y(i)), 1e-9);
            }
            Plane plane = new Plane(1e-4 * random.nextGaussian(), 1e-4 * random.nextGaussian(), 0.3);
            double[] z = new double[points.size()];
            for (int i = 0; i < z.length; i++) {
                z[i] = plane.at(points.x(i), points.y(i));
            }
            ThinPlateSpline flat = ThinPlateSpline.through(Points.of(points.xs(), points.ys(), z));
            assertEquals(plane.at(650, -420), flat.at(650, -420), 1e-9);
        }
    }

    @Test
    void aSplineNeedsPlacesThatSpanAPlane() {
        Points line = Points.of(new double[][] {{0, 0, 0}, {1, 1, 0}, {2, 2, 1}});
        assertThrows(IllegalArgumentException.class, () -> ThinPlateSpline.through(line));
        Points twice = Points.of(new double[][] {{0, 0, 0}, {1, 0, 0}, {0, 1, 1}, {0, 1, 2}});
        assertThrows(IllegalArgumentException.class, () -> ThinPlateSpline.through(twice));
    }

    /** y = c + a u, with the column of v always equal to that of u: a alone is open, c is not. */
    @Test
    void aCoefficientStandsAloneWhereTheOthersAreOpen() {
        double[][] rows = {{1, -1, -1}, {1, 0, 0}, {1, 1, 1}, {1, 0.5, 0.5}};
        double[] z = {1, 3, 5, 4};
        double[][] normal = new double[3][3];
        double[] right = new double[3];
        for (int i = 0; i < rows.length; i++) {
            for (int j = 0; j < 3; j++) {
                right[j] += rows[i][j] * z[i];
                for (int k = 0; k < 3; k++) {
                    normal[j][k] += rows[i][j] * rows[i][k];
                }
            }
        }
        PartialFit fit = PartialFit.solve(normal, right);
        assertEquals(3, fit.coefficient(0), 1e-9);
        assertTrue(fit.standardError(0) < 1);
        assertEquals(Double.POSITIVE_INFINITY, fit.standardError(1));
        assertEquals(Double.POSITIVE_INFINITY, fit.standardError(2));
        assertEquals(2, fit.coefficient(1) + fit.coefficient(2), 1e-9, "their sum is what the data say");
    }

    /** Through three points exactly, through more with the least squares; and the first place where it comes to a value. */
    @Test
    void theParabolaIsTheNearestAndItsFirstRootIsTheFirst() {
        Random random = new Random(8);
        for (int k = 0; k < 300; k++) {
            int n = 3 + random.nextInt(5);
            double[] x = new double[n];
            double[] y = new double[n];
            for (int i = 0; i < n; i++) {
                x[i] = i * (0.2 + random.nextDouble());
                y[i] = 50 - 4.5 * x[i] + 0.3 * x[i] * x[i] + 0.2 * random.nextGaussian();
            }
            QuadraticFit fit = QuadraticFit.of(x, y);
            if (n == 3) {
                for (int i = 0; i < n; i++) {
                    assertEquals(y[i], fit.at(x[i]), 1e-9);
                }
            }
            double least = squares(fit, x, y);
            for (int d = 0; d < 6; d++) {
                double e = (d % 2 == 0 ? 1 : -1) * 1e-3;
                QuadraticFit near = new QuadraticFit(
                        fit.c0() + (d / 2 == 0 ? e : 0),
                        fit.c1() + (d / 2 == 1 ? e : 0),
                        fit.c2() + (d / 2 == 2 ? e : 0));
                assertTrue(squares(near, x, y) > least);
            }
            double wanted = fit.at(0) - 3 * random.nextDouble();
            double root = fit.firstAbove(wanted);
            if (Double.isNaN(root)) {
                continue;
            }
            assertEquals(wanted, fit.at(root), 1e-9);
            for (double before = root / 64; before < root - 1e-6; before += root / 64) {
                assertTrue((fit.at(before) > wanted) == (fit.at(0) > wanted), "nothing comes to it sooner");
            }
        }
        assertTrue(Double.isNaN(new QuadraticFit(5, 0, 1).firstAbove(4)), "it never comes down to that");
        assertEquals(2, new QuadraticFit(5, -1, 0).firstAbove(3), 1e-12);
        assertTrue(Double.isNaN(new QuadraticFit(5, 1, 0).firstAbove(3)), "only behind zero");
    }

    private static double squares(QuadraticFit fit, double[] x, double[] y) {
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            sum += Math.pow(fit.at(x[i]) - y[i], 2);
        }
        return sum;
    }
}

package homalon.core.numeric;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;

/**
 * The least-squares polynomial of degree one or two through points, y = c0 + c1 x + c2 x x: exact for as many points as it has
 * coefficients. Solved on x scaled to order one by Householder reflections.
 *
 * @param c0 value at zero
 * @param c1 slope at zero
 * @param c2 half the curvature; 0 for a straight line
 */
public record QuadraticFit(double c0, double c1, double c2) {

    /**
     * The least-squares line or parabola that goes through one point exactly.
     *
     * @param c0 its value at zero
     * @param x other than zero; with two different ones or more a parabola is fitted, with one a straight line
     * @param y as many values
     */
    public static QuadraticFit from(double c0, double[] x, double[] y) {
        double[] rise = new double[y.length];
        for (int i = 0; i < y.length; i++) {
            rise[i] = (y[i] - c0) / x[i];
        }
        QuadraticFit slope = fitted(x, rise, x, 2);
        return new QuadraticFit(c0, slope.c0, slope.c1);
    }

    /**
     * @param x at least two different places; with three or more a quadratic is fitted, with two a straight line
     * @param y as many values
     */
    public static QuadraticFit of(double[] x, double[] y) {
        double[] same = new double[x.length];
        java.util.Arrays.fill(same, 1);
        return fitted(x, y, same, 3);
    }

    /** @param weight of each row, as a factor of it and of its value */
    private static QuadraticFit fitted(double[] x, double[] y, double[] weight, int most) {
        double scale = 0;
        for (double v : x) {
            scale = Math.max(scale, Math.abs(v));
        }
        double unit = scale == 0 ? 1 : scale;
        int terms = (int) Math.min(most, java.util.Arrays.stream(x).distinct().count());
        double[][] rows = new double[x.length][terms];
        for (int i = 0; i < x.length; i++) {
            double power = weight[i];
            for (int k = 0; k < terms; k++) {
                rows[i][k] = power;
                power *= x[i] / unit;
            }
        }
        double[] right = new double[y.length];
        for (int i = 0; i < y.length; i++) {
            right[i] = weight[i] * y[i];
        }
        double[] c = new QRDecomposition(new Array2DRowRealMatrix(rows, false))
                .getSolver()
                .solve(new ArrayRealVector(right, false))
                .toArray();
        return new QuadraticFit(c[0], terms > 1 ? c[1] / unit : 0, terms > 2 ? c[2] / unit / unit : 0);
    }

    public double at(double x) {
        return c0 + x * (c1 + x * c2);
    }

    public double slope(double x) {
        return c1 + 2 * c2 * x;
    }

    /** The smallest x above zero at which it comes to a value; NaN when it never does. */
    public double firstAbove(double value) {
        double c = c0 - value;
        double d = c1 * c1 - 4 * c2 * c;
        if (c2 == 0 || Math.abs(c2 * c) < 1e-14 * c1 * c1) {
            double x = c1 == 0 ? Double.NaN : -c / c1;
            return x > 0 ? x : Double.NaN;
        }
        if (d < 0) {
            return Double.NaN;
        }
        // The form that does not cancel: both roots from the larger sum.
        double q = -0.5 * (c1 + Math.copySign(Math.sqrt(d), c1));
        double one = q / c2;
        double two = q == 0 ? Double.NaN : c / q;
        double low = Math.min(one > 0 ? one : Double.POSITIVE_INFINITY, two > 0 ? two : Double.POSITIVE_INFINITY);
        return Double.isInfinite(low) ? Double.NaN : low;
    }
}

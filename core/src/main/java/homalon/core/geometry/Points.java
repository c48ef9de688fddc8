package homalon.core.geometry;

import java.util.Arrays;

/**
 * Measured points of a face: n places with a height each, held in three parallel arrays of millimetres. The arrays are
 * handed over, not copied, since a scan may hold two million points; nobody writes to them afterwards.
 */
public final class Points {
    private final double[] x;
    private final double[] y;
    private final double[] z;

    private Points(double[] x, double[] y, double[] z) {
        this.x = x;
        this.y = y;
        this.z = z;
    }

    /** @throws IllegalArgumentException when the arrays differ in length or hold a value that is not finite. */
    public static Points of(double[] x, double[] y, double[] z) {
        if (x.length != y.length || x.length != z.length) {
            throw new IllegalArgumentException("x, y and z must hold one value for every point");
        }
        for (int i = 0; i < x.length; i++) {
            if (!Double.isFinite(x[i]) || !Double.isFinite(y[i]) || !Double.isFinite(z[i])) {
                throw new IllegalArgumentException("points[" + i + "] must hold three finite numbers");
            }
        }
        return new Points(x, y, z);
    }

    public static Points of(double[][] rows) {
        double[] x = Arrays.stream(rows).mapToDouble(r -> r[0]).toArray();
        double[] y = Arrays.stream(rows).mapToDouble(r -> r[1]).toArray();
        double[] z = Arrays.stream(rows).mapToDouble(r -> r[2]).toArray();
        return of(x, y, z);
    }

    public int size() {
        return x.length;
    }

    public double x(int i) {
        return x[i];
    }

    public double y(int i) {
        return y[i];
    }

    public double z(int i) {
        return z[i];
    }

    public Spot spot(int i) {
        return new Spot(x[i], y[i]);
    }

    /** The array itself, for hot loops; not to be written to. */
    public double[] xs() {
        return x;
    }

    /** The array itself, for hot loops; not to be written to. */
    public double[] ys() {
        return y;
    }

    /** The array itself, for hot loops; not to be written to. */
    public double[] zs() {
        return z;
    }

    /** The points at the given indices, in that order. */
    public Points pick(int[] indices) {
        return new Points(pick(x, indices), pick(y, indices), pick(z, indices));
    }

    private static double[] pick(double[] from, int[] indices) {
        double[] to = new double[indices.length];
        for (int k = 0; k < indices.length; k++) {
            to[k] = from[indices[k]];
        }
        return to;
    }

    /** Height of point i above the plane, along z. */
    public double above(Plane plane, int i) {
        return z[i] - plane.at(x[i], y[i]);
    }

    /** Lowest and highest height above the plane, along z. */
    public Range range(Plane plane) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < x.length; i++) {
            double r = above(plane, i);
            least = Math.min(least, r);
            most = Math.max(most, r);
        }
        return new Range(least, most);
    }

    /**
     * Smallest rectangle that holds all places.
     *
     * @throws IllegalArgumentException when they lie on one line along an axis
     */
    public Box bounds() {
        return new Box(min(x), min(y), max(x), max(y));
    }

    /** True when all places lie on one line (or on one spot), to within a billionth of their spread. */
    public boolean onOneLine() {
        return Spread.of(x, y).rank() < 2;
    }

    private static double min(double[] values) {
        return Arrays.stream(values).min().orElse(Double.NaN);
    }

    private static double max(double[] values) {
        return Arrays.stream(values).max().orElse(Double.NaN);
    }
}

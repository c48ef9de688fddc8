package homalon.core.numeric;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.geometry.Spread;
import java.util.Arrays;
import java.util.function.IntFunction;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * The surface of least bending through given points (thin-plate spline, J. Duchon 1977): s(p) = c0 + c1 u + c2 v + sum of
 * w_i r_i^2 log r_i, exact at the points. Places must be distinct and not on one line; heights in millimetres. The surface is
 * the same in any {@link Frame}: another scale only adds a plane, which c takes up.
 */
public final class ThinPlateSpline {
    /** Where u and v are counted from and in which unit of millimetres, so that they are about one. */
    public record Frame(double x, double y, double scale) {
        public static Frame of(Box box) {
            return new Frame((box.x0() + box.x1()) / 2, (box.y0() + box.y1()) / 2, box.width() / 2);
        }

        private double u(double at) {
            return (at - x) / scale;
        }

        private double v(double at) {
            return (at - y) / scale;
        }

        /** r^2 log r from a place to every node of a grid, row by row: the dear part of a surface, the same for any heights. */
        public double[] reach(Raster grid, Spot place) {
            double[] column = new double[grid.rows() * grid.columns()];
            for (int j = 0; j < grid.rows(); j++) {
                double dv = v(grid.y(j)) - v(place.y());
                for (int i = 0; i < grid.columns(); i++) {
                    column[j * grid.columns() + i] = kernel(u(grid.x(i)) - u(place.x()), dv);
                }
            }
            return column;
        }
    }

    private final Frame frame;
    private final double[] u;
    private final double[] v;
    private final double[] w;
    private final double[] c;

    private ThinPlateSpline(Frame frame, double[] u, double[] v, double[] w, double[] c) {
        this.frame = frame;
        this.u = u;
        this.v = v;
        this.w = w;
        this.c = c;
    }

    /** @throws IllegalArgumentException when the places are on one line or two of them are the same */
    public static ThinPlateSpline through(Points points) {
        Spread spread = Spread.of(points.xs(), points.ys());
        return through(points, new Frame(spread.cx(), spread.cy(), spread.along()));
    }

    /** The same, worked out in a given frame. */
    public static ThinPlateSpline through(Points points, Frame frame) {
        return Knots.of(points, frame).through(points.zs());
    }

    /** The places of a surface with their equations taken apart, ready for any heights. */
    public static final class Knots {
        private final Frame frame;
        private final double[] u;
        private final double[] v;
        private final DecompositionSolver solver;

        private Knots(Frame frame, double[] u, double[] v, DecompositionSolver solver) {
            this.frame = frame;
            this.u = u;
            this.v = v;
            this.solver = solver;
        }

        /**
         * @param places whose heights do not matter
         * @throws IllegalArgumentException when they are on one line or two of them are the same
         */
        public static Knots of(Points places, Frame frame) {
            int n = places.size();
            if (n < 3 || Spread.of(places.xs(), places.ys()).rank() < 2) {
                throw new IllegalArgumentException("a surface needs three places that are not on one line");
            }
            double[] u = new double[n];
            double[] v = new double[n];
            double[][] m = new double[n + 3][n + 3];
            for (int i = 0; i < n; i++) {
                u[i] = frame.u(places.x(i));
                v[i] = frame.v(places.y(i));
                for (int j = 0; j < i; j++) {
                    m[i][j] = kernel(u[i] - u[j], v[i] - v[j]);
                    m[j][i] = m[i][j];
                }
                m[i][n] = 1;
                m[i][n + 1] = u[i];
                m[i][n + 2] = v[i];
                m[n][i] = 1;
                m[n + 1][i] = u[i];
                m[n + 2][i] = v[i];
            }
            DecompositionSolver solver = new LUDecomposition(new Array2DRowRealMatrix(m, false), 1e-14).getSolver();
            if (!solver.isNonSingular()) {
                throw new IllegalArgumentException("a surface needs distinct places");
            }
            return new Knots(frame, u, v, solver);
        }

        /** @param z a height for each place, in their order */
        public ThinPlateSpline through(double[] z) {
            int n = u.length;
            RealVector s = solver.solve(new ArrayRealVector(Arrays.copyOf(z, n + 3), false));
            return new ThinPlateSpline(
                    frame,
                    u,
                    v,
                    s.getSubVector(0, n).toArray(),
                    s.getSubVector(n, 3).toArray());
        }
    }

    public double at(double x, double y) {
        double pu = frame.u(x);
        double pv = frame.v(y);
        double s = c[0] + c[1] * pu + c[2] * pv;
        for (int i = 0; i < u.length; i++) {
            s += w[i] * kernel(pu - u[i], pv - v[i]);
        }
        return s;
    }

    /**
     * Heights at every node of a grid, row by row.
     *
     * @param reach of the i-th point over the same grid, as {@link Frame#reach} of this surface's frame makes it
     */
    public double[] over(Raster grid, IntFunction<double[]> reach) {
        int columns = grid.columns();
        double[] heights = new double[grid.rows() * columns];
        double[] along = new double[columns];
        for (int i = 0; i < columns; i++) {
            along[i] = c[0] + c[1] * frame.u(grid.x(i));
        }
        for (int j = 0; j < grid.rows(); j++) {
            double across = c[2] * frame.v(grid.y(j));
            for (int i = 0; i < columns; i++) {
                heights[j * columns + i] = along[i] + across;
            }
        }
        int p = 0;
        for (; p + 4 <= w.length; p += 4) {
            add(
                    heights,
                    Arrays.copyOfRange(w, p, p + 4),
                    reach.apply(p),
                    reach.apply(p + 1),
                    reach.apply(p + 2),
                    reach.apply(p + 3));
        }
        for (; p < w.length; p++) {
            double[] column = reach.apply(p);
            double weight = w[p];
            for (int k = 0; k < heights.length; k++) {
                heights[k] += weight * column[k];
            }
        }
        return heights;
    }

    /** Four at once: the heights themselves go to and from memory a quarter as often. */
    private static void add(double[] heights, double[] weights, double[] a, double[] b, double[] c, double[] d) {
        double wa = weights[0];
        double wb = weights[1];
        double wc = weights[2];
        double wd = weights[3];
        for (int k = 0; k < heights.length; k++) {
            heights[k] += wa * a[k] + wb * b[k] + wc * c[k] + wd * d[k];
        }
    }

    private static double kernel(double du, double dv) {
        double r2 = du * du + dv * dv;
        return r2 == 0 ? 0 : 0.5 * r2 * Math.log(r2);
    }
}

package homalon.core.numeric;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spread;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * The surface of least bending through given points (thin-plate spline, J. Duchon 1977): s(p) = c0 + c1 u + c2 v + sum of
 * w_i r_i^2 log r_i, exact at the points. Places must be distinct and not on one line; heights in millimetres.
 */
public final class ThinPlateSpline {
    private final double cx;
    private final double cy;
    private final double scale;
    private final double[] u;
    private final double[] v;
    private final double[] w;
    private final double[] c;

    private ThinPlateSpline(Spread spread, double[] u, double[] v, double[] w, double[] c) {
        this.cx = spread.cx();
        this.cy = spread.cy();
        this.scale = spread.along();
        this.u = u;
        this.v = v;
        this.w = w;
        this.c = c;
    }

    /** @throws IllegalArgumentException when the places are on one line or two of them are the same */
    public static ThinPlateSpline through(Points points) {
        int n = points.size();
        Spread spread = Spread.of(points.xs(), points.ys());
        if (n < 3 || spread.rank() < 2) {
            throw new IllegalArgumentException("a surface needs three places that are not on one line");
        }
        double[] u = new double[n];
        double[] v = new double[n];
        double[][] m = new double[n + 3][n + 3];
        double[] right = new double[n + 3];
        for (int i = 0; i < n; i++) {
            u[i] = (points.x(i) - spread.cx()) / spread.along();
            v[i] = (points.y(i) - spread.cy()) / spread.along();
            right[i] = points.z(i);
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
        LUDecomposition lu = new LUDecomposition(new Array2DRowRealMatrix(m, false), 1e-14);
        if (!lu.getSolver().isNonSingular()) {
            throw new IllegalArgumentException("a surface needs distinct places");
        }
        RealVector s = lu.getSolver().solve(new ArrayRealVector(right, false));
        return new ThinPlateSpline(
                spread,
                u,
                v,
                s.getSubVector(0, n).toArray(),
                s.getSubVector(n, 3).toArray());
    }

    public double at(double x, double y) {
        double pu = (x - cx) / scale;
        double pv = (y - cy) / scale;
        double s = c[0] + c[1] * pu + c[2] * pv;
        for (int i = 0; i < u.length; i++) {
            s += w[i] * kernel(pu - u[i], pv - v[i]);
        }
        return s;
    }

    private static double kernel(double du, double dv) {
        double r2 = du * du + dv * dv;
        return r2 == 0 ? 0 : 0.5 * r2 * Math.log(r2);
    }
}

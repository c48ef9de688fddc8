package homalon.core.numeric;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spread;

/**
 * The plane z = a x + b y + c with the least sum of squared heights, by the normal equations about the centre of the
 * points, so that places far from the origin cost no digits. Not the orthogonal fit: for the slopes of a face on its
 * supports the two differ by less than a nanometre.
 */
public final class LeastSquaresPlane {
    private LeastSquaresPlane() {}

    /** @throws IllegalArgumentException when the points lie on one line, so that no plane is determined */
    public static Plane fit(Points points) {
        if (points.size() < 3 || points.onOneLine()) {
            throw new IllegalArgumentException("a plane needs three points that are not on one line");
        }
        Spread spread = Spread.of(points.xs(), points.ys());
        int n = points.size();
        double z0 = points.z(0);
        double tt = 0;
        double ts = 0;
        double ss = 0;
        double tz = 0;
        double sz = 0;
        double mean = 0;
        for (int i = 0; i < n; i++) {
            double px = points.x(i) - spread.cx();
            double py = points.y(i) - spread.cy();
            double t = px * spread.dx() + py * spread.dy();
            double s = py * spread.dx() - px * spread.dy();
            double z = points.z(i) - z0;
            tt += t * t;
            ts += t * s;
            ss += s * s;
            tz += t * z;
            sz += s * z;
            mean += z / n;
        }
        double det = tt * ss - ts * ts;
        double along = (tz * ss - sz * ts) / det;
        double across = (sz * tt - tz * ts) / det;
        double a = along * spread.dx() - across * spread.dy();
        double b = along * spread.dy() + across * spread.dx();
        return new Plane(a, b, z0 + mean - a * spread.cx() - b * spread.cy());
    }
}

package homalon.core.numeric;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Spread;
import java.util.Arrays;

/** Heights over {@link MinimaxPlaces}, with a first plane taken off and scaled to order one, ready for {@link Minimax}. */
final class MinimaxFrame {
    private final MinimaxPlaces places;
    private final double z0;
    private final double[] z;
    private final double[] off = new double[3];
    private final int[] start;
    private double scaleZ = 1;

    MinimaxFrame(MinimaxPlaces places, double[] heights) {
        this.places = places;
        this.z0 = heights[0];
        this.z = new double[heights.length];
        for (int i = 0; i < z.length; i++) {
            z[i] = heights[i] - z0;
        }
        this.start = begin();
    }

    /**
     * The corners of the places, and the one furthest off the plane through them, which is taken off all heights; the corners alone where
     * everything lies on that plane.
     */
    private int[] begin() {
        int[] corners = places.corners();
        takeOffPlaneThrough(corners);
        double[] u = places.u();
        double[] v = places.v();
        int at = -1;
        double most = 0;
        double range = 0;
        for (int i = 0; i < z.length; i++) {
            if (Math.abs(z[i]) > most) {
                most = Math.abs(z[i]);
                at = i;
            }
            range = Math.max(range, Math.abs(z[i] + off[0] + off[1] * u[i] + off[2] * v[i]));
        }
        if (at < 0 || most <= 1e-15 * range) {
            return corners;
        }
        scaleZ = most;
        for (int i = 0; i < z.length; i++) {
            z[i] /= most;
        }
        int[] all = Arrays.copyOf(corners, corners.length + 1);
        all[corners.length] = at;
        return all;
    }

    private void takeOffPlaneThrough(int[] corner) {
        int d = corner.length;
        double[] u = places.u();
        double[] v = places.v();
        double[][] m = new double[d][d];
        double[] right = new double[d];
        for (int j = 0; j < d; j++) {
            double[] place = {1, u[corner[j]], v[corner[j]]};
            System.arraycopy(place, 0, m[j], 0, d);
            right[j] = z[corner[j]];
        }
        double[] p = Elimination.solve(m, right);
        if (p == null) {
            throw new ArithmeticException("the first points of a minimax fit do not determine it");
        }
        System.arraycopy(p, 0, off, 0, d);
        for (int i = 0; i < z.length; i++) {
            z[i] -= off[0] + off[1] * u[i] + off[2] * v[i];
        }
        for (int j : corner) {
            z[j] = 0;
        }
    }

    /** Whether all heights lie on one plane, line or spot. */
    boolean exact() {
        return start.length <= places.rank() + 1;
    }

    int[] start() {
        return start;
    }

    Minimax minimax() {
        return new Minimax(places.u(), places.v(), z, places.rank() + 1, start);
    }

    /** Distance of the two planes along z for a greatest deviation, mm. */
    double extent(double deviation) {
        return 2 * scaleZ * deviation;
    }

    /** The plane of those coefficients, in mm. */
    Plane plane(double[] p) {
        Spread spread = places.spread();
        double constant = off[0] + scaleZ * p[0];
        double along = places.rank() > 0 ? (off[1] + scaleZ * p[1]) / places.scaleU() : 0;
        double across = places.rank() > 1 ? (off[2] + scaleZ * p[2]) / places.scaleV() : 0;
        double a = along * spread.dx() - across * spread.dy();
        double b = along * spread.dy() + across * spread.dx();
        return new Plane(a, b, z0 + constant - a * spread.cx() - b * spread.cy());
    }
}

package homalon.core.numeric;

import homalon.core.geometry.Spread;

/**
 * Places over which heights are asked again and again how closely two parallel planes hold them: centred, turned along their longest reach,
 * scaled to order one. Places on one line, or on one spot, leave the slopes out that they do not tell of.
 */
public final class MinimaxPlaces {
    /** Of an extent along z, by how much it may be more than square to planes that are all but level. */
    private static final double TILT = 1e-4;

    private final Spread spread;
    private final int rank;
    private final double[] u;
    private final double[] v;
    /** Furthest along, furthest the other way, and furthest off the line through both: as many as there are slopes, and one. */
    private final int[] corners;

    /**
     * @param x of each place, mm; one at least
     * @param y of each place, mm
     */
    public MinimaxPlaces(double[] x, double[] y) {
        spread = Spread.of(x, y);
        rank = spread.rank();
        u = new double[x.length];
        v = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            double px = x[i] - spread.cx();
            double py = y[i] - spread.cy();
            u[i] = rank > 0 ? (px * spread.dx() + py * spread.dy()) / scaleU() : 0;
            v[i] = rank > 1 ? (py * spread.dx() - px * spread.dy()) / scaleV() : 0;
        }
        corners = new int[rank + 1];
        if (rank > 0) {
            corners[0] = furthest(-1);
            corners[1] = furthest(1);
        }
        if (rank > 1) {
            corners[2] = furthestOff(corners[0], corners[1]);
        }
    }

    /**
     * Whether the two planes closest together that hold these heights are further apart than so much, square to them. The same as by
     * {@link MinimaxPlane}, but looked for no longer than it takes to tell.
     *
     * @param heights of each place, mm, about level
     */
    public boolean apart(double[] heights, double most) {
        MinimaxFrame frame = new MinimaxFrame(this, heights);
        if (frame.exact()) {
            return 0 > most;
        }
        Minimax minimax = frame.minimax();
        double least = most / frame.extent(1);
        Minimax.Lies lies = minimax.solve(least, least * (1 + TILT));
        if (lies != Minimax.Lies.FOUND) {
            return lies == Minimax.Lies.ABOVE;
        }
        double tilt = frame.plane(minimax.coefficients()).cosTilt();
        return frame.extent(minimax.deviation()) * tilt > most;
    }

    private int furthest(int sign) {
        int at = 0;
        for (int i = 1; i < u.length; i++) {
            if (sign * u[i] > sign * u[at]) {
                at = i;
            }
        }
        return at;
    }

    /** The place that lies furthest off the line through two, seen from above. */
    private int furthestOff(int first, int second) {
        double du = u[second] - u[first];
        double dv = v[second] - v[first];
        int furthest = 0;
        double most = -1;
        for (int i = 0; i < u.length; i++) {
            double off = Math.abs((u[i] - u[first]) * dv - (v[i] - v[first]) * du);
            if (off > most) {
                most = off;
                furthest = i;
            }
        }
        return furthest;
    }

    Spread spread() {
        return spread;
    }

    int rank() {
        return rank;
    }

    double scaleU() {
        return rank > 0 ? spread.along() : 1;
    }

    double scaleV() {
        return rank > 1 ? spread.across() : 1;
    }

    double[] u() {
        return u;
    }

    double[] v() {
        return v;
    }

    int[] corners() {
        return corners;
    }
}

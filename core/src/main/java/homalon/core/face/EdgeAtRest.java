package homalon.core.face;

/**
 * A straightedge at rest on the metal under it: on the two places that it bridges about its middle. Where these are not its ends it
 * lies on a crown and rocks; then it is held down level on the crown.
 *
 * @param at where metal is, from 0 to 1 along the edge, rising; two at least
 * @param heights of that metal, mm
 * @param left number of the place on which it rests before its middle
 * @param right the same beyond it
 */
public record EdgeAtRest(double[] at, double[] heights, int left, int right) {
    private static final double MIDDLE = 0.5;
    private static final double ROUNDING = 1e-13;

    /**
     * Lays an edge on the metal under it: it comes down on its two ends, and where metal stands above the line through the places that it
     * rests on, the highest of it takes the place of the one on the same side of the middle.
     */
    public static EdgeAtRest of(double[] at, double[] heights) {
        int left = 0;
        int right = at.length - 1;
        while (true) {
            int highest = highest(at, heights, left, right);
            if (highest < 0) {
                return new EdgeAtRest(at, heights, left, right);
            }
            if (at[highest] < MIDDLE) {
                left = highest;
            } else {
                right = highest;
            }
        }
    }

    /** Of the places in between, the one that stands highest above the line through both; -1 where none does. */
    private static int highest(double[] at, double[] z, int left, int right) {
        double run = at[right] - at[left];
        double rise = z[right] - z[left];
        double most = ROUNDING;
        int found = -1;
        for (int i = left + 1; i < right; i++) {
            double above = (z[i] - z[left]) * run - rise * (at[i] - at[left]);
            if (above > most) {
                most = above;
                found = i;
            }
        }
        return found;
    }

    private double line(int a, int b, double t) {
        return heights[a] + (heights[b] - heights[a]) * (t - at[a]) / (at[b] - at[a]);
    }

    /** The gap under the edge at a place, mm; nothing beyond where it rests. */
    public double gap(int place) {
        return place <= left || place >= right ? 0 : Math.max(0, line(left, right, at[place]) - heights[place]);
    }

    /** The greatest gap under it, mm. */
    public double widest() {
        double most = 0;
        for (int i = left + 1; i < right; i++) {
            most = Math.max(most, line(left, right, at[i]) - heights[i]);
        }
        return most;
    }

    /** Blades as thick as this under both ends stop its rocking, mm; 0 where it bridges end to end. */
    public double rock() {
        int last = at.length - 1;
        return left == 0 && right == last ? 0 : Math.max(0, line(left, right, MIDDLE) - line(0, last, MIDDLE));
    }
}

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

    /** Lays an edge on the metal under it. */
    public static EdgeAtRest of(double[] at, double[] heights) {
        int[] hull = new int[at.length];
        int size = 0;
        for (int i = 0; i < at.length; i++) {
            while (size > 1 && below(at, heights, hull[size - 2], hull[size - 1], i)) {
                size--;
            }
            hull[size++] = i;
        }
        int right = 1;
        while (right < size - 1 && at[hull[right]] < MIDDLE) {
            right++;
        }
        return new EdgeAtRest(at, heights, hull[right - 1], hull[right]);
    }

    /** Whether the place in between lies under the line from one to the other. */
    private static boolean below(double[] at, double[] z, int a, int b, int c) {
        return (z[b] - z[a]) * (at[c] - at[a]) <= (z[c] - z[a]) * (at[b] - at[a]) + ROUNDING;
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

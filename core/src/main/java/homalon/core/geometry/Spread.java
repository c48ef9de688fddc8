package homalon.core.geometry;

/**
 * How places are spread: their centre and the direction in which they reach furthest. Exact enough to tell places on one
 * line from places in a plane, wherever the origin is.
 *
 * @param cx centre, mm
 * @param cy centre, mm
 * @param dx unit direction of the longest reach
 * @param dy unit direction of the longest reach
 * @param along half the reach along that direction, mm
 * @param across greatest distance from the line through the centre in that direction, mm
 */
public record Spread(double cx, double cy, double dx, double dy, double along, double across) {
    private static final double HAIR = 1e-9;

    /** Two passes: centre first, then second moments about it. */
    public static Spread of(double[] x, double[] y) {
        int n = x.length;
        double cx = mean(x);
        double cy = mean(y);
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (int i = 0; i < n; i++) {
            double px = x[i] - cx;
            double py = y[i] - cy;
            xx += px * px;
            xy += px * py;
            yy += py * py;
        }
        double angle = 0.5 * Math.atan2(2 * xy, xx - yy);
        double dx = Math.cos(angle);
        double dy = Math.sin(angle);
        double along = 0;
        double across = 0;
        for (int i = 0; i < n; i++) {
            double px = x[i] - cx;
            double py = y[i] - cy;
            along = Math.max(along, Math.abs(px * dx + py * dy));
            across = Math.max(across, Math.abs(py * dx - px * dy));
        }
        return new Spread(cx, cy, dx, dy, along, across);
    }

    /** 2 for places in a plane, 1 on one line, 0 on one spot. */
    public int rank() {
        if (along <= HAIR * (1 + Math.abs(cx) + Math.abs(cy)) * 1e-3) {
            return 0;
        }
        return across <= HAIR * along ? 1 : 2;
    }

    private static double mean(double[] values) {
        double first = values.length == 0 ? 0 : values[0];
        double sum = 0;
        for (double v : values) {
            sum += v - first;
        }
        return first + sum / Math.max(1, values.length);
    }
}

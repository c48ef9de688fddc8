package homalon.core.geometry;

import java.util.List;

/** An axis-aligned rectangle in millimetres; x0 &lt; x1 and y0 &lt; y1. */
public record Box(double x0, double y0, double x1, double y1) {
    public Box {
        if (!(x1 > x0) || !(y1 > y0)) {
            throw new IllegalArgumentException(
                    "box must run from its lower left to its upper right corner: [x0, y0, x1, y1] with x1 > x0, y1 > y0");
        }
    }

    public double width() {
        return x1 - x0;
    }

    public double height() {
        return y1 - y0;
    }

    /** Upper front, upper rear, lower front, lower rear, as a face is drawn. */
    public List<Spot> corners() {
        return List.of(new Spot(x0, y1), new Spot(x1, y1), new Spot(x0, y0), new Spot(x1, y0));
    }

    public double diagonal() {
        return Math.hypot(width(), height());
    }

    /** Position along the length, -1 at x0 and 1 at x1. */
    public double u(double x) {
        return 2 * (x - x0) / (x1 - x0) - 1;
    }

    /** Position across, -1 at y0 and 1 at y1. */
    public double v(double y) {
        return 2 * (y - y0) / (y1 - y0) - 1;
    }
}

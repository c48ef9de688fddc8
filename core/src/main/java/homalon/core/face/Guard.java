package homalon.core.face;

import homalon.core.gauge.Uncertain;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;

/**
 * What is kept on both sides of each limit of a face (ISO 14253-1).
 *
 * @param uncertainty of the instrument, mm
 * @param curvature standard uncertainty of a bend that all readings share, 1/mm: what is open of warmth that was taken off
 */
record Guard(Layout layout, double uncertainty, double curvature) {

    /** Of the instrument, and twice what is open of warmth over as much of the face as the limit asks about, mm. */
    double kept(FlatnessLimit limit) {
        return curvature == 0 ? uncertainty : Math.hypot(uncertainty, Uncertain.KEPT * curvature * squared(limit) / 8);
    }

    /** The square of the widest stretch that it asks about, mm2. */
    private double squared(FlatnessLimit limit) {
        double length = layout.box().width();
        double width = layout.box().height();
        double side = limit.window().map(Length::mm).orElse(0.0);
        return switch (limit.scope()) {
            case OVERALL -> length * length + width * width;
            case ALONG -> length * length;
            case ACROSS -> width * width;
            case WINDOW -> 2 * side * side;
            case BORE -> widestRing() * widestRing();
        };
    }

    private double widestRing() {
        double bore =
                layout.bores().stream().mapToDouble(Layout.Bore::diameter).max().orElse(0);
        return bore + 2 * FlatnessSettings.over(layout.box()).band();
    }
}

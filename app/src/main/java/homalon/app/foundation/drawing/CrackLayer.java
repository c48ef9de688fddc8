package homalon.app.foundation.drawing;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import java.util.List;

/** Draws cracks: a jagged line from tip to tip, its pins to scale, its number on a plate; a place without length as a ring. */
final class CrackLayer {
    private static final double TOOTH = 4;

    private final Markup svg;
    private final Box box;
    private final double px;
    private final boolean small;

    CrackLayer(Markup svg, Box box, double px, boolean small) {
        this.svg = svg;
        this.box = box;
        this.px = px;
        this.small = small;
    }

    void draw(List<CrackMark> cracks) {
        if (cracks.isEmpty()) {
            return;
        }
        svg.open("g", "class", "cracks");
        cracks.forEach(this::draw);
        svg.close("g");
    }

    private void draw(CrackMark crack) {
        svg.open("g", "class", "crack " + crack.style());
        svg.open("title").text(crack.title()).close("title");
        double x0 = crack.from().x();
        double y0 = up(crack.from());
        double x1 = crack.to().x();
        double y1 = up(crack.to());
        double length = Math.hypot(x1 - x0, y1 - y0);
        if (length < 0.5) {
            svg.empty("circle", "class", "ring-mark", "cx", x0, "cy", y0, "r", 9 * px, "stroke-width", 2 * px);
        } else {
            svg.empty("path", "class", "jag", "stroke-width", 2.4 * px, "d", jag(x0, y0, x1, y1, length));
        }
        for (Spot pin : crack.pins()) {
            svg.empty(
                    "circle",
                    "class",
                    "pin",
                    "cx",
                    pin.x(),
                    "cy",
                    up(pin),
                    "r",
                    crack.pin() / 2,
                    "stroke-width",
                    1.2 * px);
        }
        if (!small && !crack.label().isEmpty()) {
            double w = (crack.label().length() * 8 + 9) * px;
            double x = Math.min(Math.max(x1 + 8 * px, 0), box.width() - w);
            double y = Math.max(y1 - 22 * px, -14 * px);
            svg.empty("rect", "class", "crack-plate", "x", x, "y", y, "width", w, "height", 17 * px, "rx", 2 * px);
            svg.open(
                            "text",
                            "class",
                            "crack-number",
                            "x",
                            x + w / 2,
                            "y",
                            y + 13 * px,
                            "font-size",
                            13 * px,
                            "text-anchor",
                            "middle")
                    .text(crack.label())
                    .close("text");
        }
        svg.close("g");
    }

    /** A polyline that leaves the straight line to both sides, so that a crack is told from an edge without colour. */
    private String jag(double x0, double y0, double x1, double y1, double length) {
        int teeth = Math.max(2, (int) Math.round(length / (TOOTH * 2 * px)));
        StringBuilder d = new StringBuilder();
        for (int i = 0; i <= teeth; i++) {
            double t = (double) i / teeth;
            double off = i == 0 || i == teeth ? 0 : (i % 2 == 0 ? 1 : -1) * TOOTH * px * 0.6;
            double x = x0 + t * (x1 - x0) - off * (y1 - y0) / length;
            double y = y0 + t * (y1 - y0) + off * (x1 - x0) / length;
            Markup.point(d.append(i == 0 ? 'M' : 'L'), x, y);
        }
        return d.toString();
    }

    private double up(Spot spot) {
        return box.height() - spot.y();
    }
}

package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import java.util.List;

/** Draws cracks: a jagged line from tip to tip, its pins to scale, its number on a plate; a place without length as a ring. */
final class CrackLayer {
    private static final double TOOTH = 4;

    private final Svg svg;
    private final Box box;
    private final double px;
    private final boolean small;

    CrackLayer(Svg svg, Box box, double px, boolean small) {
        this.svg = svg;
        this.box = box;
        this.px = px;
        this.small = small;
    }

    void draw(List<CrackMark> cracks) {
        if (cracks.isEmpty()) {
            return;
        }
        svg.group("cracks");
        cracks.forEach(this::draw);
        svg.closeGroup();
    }

    private void draw(CrackMark crack) {
        svg.group("crack " + crack.style());
        svg.title(crack.title());
        double x0 = crack.from().x();
        double y0 = up(crack.from());
        double x1 = crack.to().x();
        double y1 = up(crack.to());
        double length = Math.hypot(x1 - x0, y1 - y0);
        if (length < 0.5) {
            svg.circle("ring-mark", x0, y0, 9 * px, 2 * px);
        } else {
            svg.path("jag", jag(x0, y0, x1, y1, length), 2.4 * px);
        }
        crack.pins().forEach(pin -> svg.circle("pin", pin.x(), up(pin), crack.pin() / 2, 1.2 * px));
        if (!small && !crack.label().isEmpty()) {
            plate(crack.label(), x1, y1);
        }
        svg.closeGroup();
    }

    private void plate(String number, double x1, double y1) {
        double w = (number.length() * 8 + 9) * px;
        double x = Math.min(Math.max(x1 + 8 * px, 0), box.width() - w);
        double y = Math.max(y1 - 22 * px, -14 * px);
        svg.rounded("crack-plate", x, y, w, 17 * px, 2 * px);
        svg.words("crack-number", x + w / 2, y + 13 * px, Anchor.MIDDLE, 13 * px, number);
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

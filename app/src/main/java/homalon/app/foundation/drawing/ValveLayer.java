package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.geometry.Box;
import java.util.List;

/** Draws valves: intakes round, exhausts with corners, each hatched by what was found of it so that colour is not alone. */
final class ValveLayer {
    private final Svg svg;
    private final Box box;
    private final double px;
    private final String id;

    ValveLayer(Svg svg, Box box, double px, String id) {
        this.svg = svg;
        this.box = box;
        this.px = px;
        this.id = id;
    }

    void draw(List<ValveSign> valves) {
        if (valves.isEmpty()) {
            return;
        }
        svg.group("valves");
        valves.forEach(this::draw);
        svg.closeGroup();
    }

    private void draw(ValveSign v) {
        double r = Math.max(v.diameter() / 2, (v.square() ? 14.2 : 13.2) * px);
        double x = v.centre().x();
        double y = box.height() - v.centre().y();
        // No link inside a picture: a table beside it holds the links, and a click on the sign follows the same way.
        svg.group("valve-sign " + v.style(), "data-valve", v.key(), "data-href", v.href());
        svg.title(v.title());
        shape(v, x, y, r, "class", "seat", "stroke-width", 2 * px);
        if (v.style().equals("out")) {
            shape(v, x, y, r, "fill", "url(#" + id + "-hatch)");
        }
        double size = Math.min(15 * px, r * 1.05);
        double half = size * 0.27 * v.label().length() + 2 * px;
        // Inside its sign a word is read as it is, and the sign is seen.
        if (half > r) {
            svg.rounded("plate", x - half, y - size * 0.62, 2 * half, size * 1.24, 2 * px);
        }
        svg.words(null, x, y + size * 0.36, Anchor.MIDDLE, size, v.label());
        svg.closeGroup();
    }

    private void shape(ValveSign v, double x, double y, double r, Object... look) {
        if (v.square()) {
            svg.rounded(null, x - r * 0.9, y - r * 0.9, r * 1.8, r * 1.8, r * 0.3, look);
        } else {
            svg.circle(null, x, y, r, look);
        }
    }
}

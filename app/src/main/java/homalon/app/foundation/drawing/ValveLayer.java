package homalon.app.foundation.drawing;

import homalon.core.geometry.Box;
import java.util.List;

/** Draws valves: intakes round, exhausts with corners, each hatched by what was found of it so that colour is not alone. */
final class ValveLayer {
    private final Markup svg;
    private final Box box;
    private final double px;
    private final String id;

    ValveLayer(Markup svg, Box box, double px, String id) {
        this.svg = svg;
        this.box = box;
        this.px = px;
        this.id = id;
    }

    void draw(List<ValveSign> valves) {
        if (valves.isEmpty()) {
            return;
        }
        svg.open("g", "class", "valves");
        valves.forEach(this::draw);
        svg.close("g");
    }

    private void draw(ValveSign v) {
        double r = Math.max(v.diameter() / 2, 11 * px);
        double x = v.centre().x();
        double y = box.height() - v.centre().y();
        // No link inside a picture: a table beside it holds the links, and a click on the sign follows the same way.
        svg.open("g", "class", "valve-sign " + v.style(), "data-valve", v.key(), "data-href", v.href());
        svg.open("title").text(v.title()).close("title");
        shape(v, x, y, r, "class", "seat", "stroke-width", 2 * px);
        if (v.style().equals("out")) {
            shape(v, x, y, r, "fill", "url(#" + id + "-hatch)");
        }
        double size = Math.min(15 * px, r * 1.05);
        double half = size * 0.34 * v.label().length() + 2 * px;
        svg.empty(
                "rect",
                "class",
                "plate",
                "x",
                x - half,
                "y",
                y - size * 0.62,
                "width",
                2 * half,
                "height",
                size * 1.24,
                "rx",
                2 * px);
        svg.open("text", "x", x, "y", y + size * 0.36, "font-size", size, "text-anchor", "middle")
                .text(v.label())
                .close("text");
        svg.close("g");
    }

    private void shape(ValveSign v, double x, double y, double r, Object... look) {
        Object[] where = v.square()
                ? new Object[] {"x", x - r * 0.9, "y", y - r * 0.9, "width", r * 1.8, "height", r * 1.8, "rx", r * 0.3}
                : new Object[] {"cx", x, "cy", y, "r", r};
        Object[] all = new Object[where.length + look.length];
        System.arraycopy(where, 0, all, 0, where.length);
        System.arraycopy(look, 0, all, where.length, look.length);
        svg.empty(v.square() ? "rect" : "circle", all);
    }
}

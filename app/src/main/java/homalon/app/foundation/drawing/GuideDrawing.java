package homalon.app.foundation.drawing;

import java.util.List;

/**
 * Draws a guide cut open along its axis: the bore at top, middle and bottom with its wear drawn many times larger, the stem in
 * it, and what was not read left open.
 */
public final class GuideDrawing {
    private static final double WIDTH = 560;
    private static final double HEIGHT = 176;
    private static final double LEFT = 92;
    private static final double LONG = 390;
    private static final double AXIS = 66;
    private static final double HALF = 30;

    private GuideDrawing() {}

    /**
     * One place of the guide.
     *
     * @param along half of what its bore along the rocker line is wider than the stem, mm; NaN where it was not read
     */
    public record Place(String name, double along, double across, String written) {}

    /**
     * @param places top, middle, bottom
     * @param service half of the service clearance, mm
     */
    public static String svg(List<Place> places, double service, String title) {
        Markup svg = new Markup();
        svg.picture(
                "0 0 " + Markup.number(WIDTH) + " " + Markup.number(HEIGHT),
                0,
                0,
                "class",
                "guide",
                "role",
                "img",
                "aria-label",
                title);
        double most = places.stream()
                .flatMap(p -> java.util.stream.Stream.of(p.along(), p.across()))
                .filter(v -> !Double.isNaN(v))
                .max(Double::compare)
                .orElse(service);
        double scale = 26 / Math.max(service, most);
        for (int side : new int[] {-1, 1}) {
            double edge = AXIS + side * (HALF + 30);
            svg.empty("path", "class", "wall", "d", wall(places, side, scale, edge));
            svg.empty(
                    "path",
                    "class",
                    "service",
                    "d",
                    "M" + Markup.number(LEFT) + " " + Markup.number(AXIS + side * (HALF + service * scale)) + "h"
                            + Markup.number(LONG));
        }
        svg.empty("rect", "class", "stem", "x", LEFT - 34, "y", AXIS - HALF, "width", LONG + 68, "height", 2 * HALF);
        for (int i = 0; i < places.size(); i++) {
            Place p = places.get(i);
            double x = x(i);
            svg.open("text", "x", x, "y", HEIGHT - 30, "text-anchor", "middle", "font-size", 14)
                    .text(p.name())
                    .close("text");
            svg.open(
                            "text",
                            "class",
                            Double.isNaN(p.along()) ? "unread" : "figure",
                            "x",
                            x,
                            "y",
                            HEIGHT - 10,
                            "text-anchor",
                            "middle",
                            "font-size",
                            14)
                    .text(p.written())
                    .close("text");
        }
        svg.open("text", "x", 8, "y", AXIS + 5, "font-size", 13).text("spring").close("text");
        svg.open("text", "x", WIDTH - 8, "y", AXIS + 5, "text-anchor", "end", "font-size", 13)
                .text("port")
                .close("text");
        return svg.close("svg").toString();
    }

    private static double x(int i) {
        return LEFT + LONG * (0.06 + 0.44 * i);
    }

    /** The upper half shows the direction along the rocker line, the lower one across it. */
    private static String wall(List<Place> places, int side, double scale, double edge) {
        StringBuilder d = new StringBuilder("M").append(at(LEFT, edge));
        double before = 0;
        boolean first = true;
        for (int i = 0; i < places.size(); i++) {
            double gap = side < 0 ? places.get(i).along() : places.get(i).across();
            if (Double.isNaN(gap)) {
                continue;
            }
            double y = AXIS + side * (HALF + gap * scale);
            if (first) {
                d.append('L').append(at(LEFT, y));
                first = false;
            }
            d.append('L').append(at(x(i), y));
            before = y;
        }
        if (first) {
            before = AXIS + side * HALF;
            d.append('L').append(at(LEFT, before));
        }
        return d.append('L')
                .append(at(LEFT + LONG, before))
                .append('L')
                .append(at(LEFT + LONG, edge))
                .append('Z')
                .toString();
    }

    private static String at(double x, double y) {
        return Markup.number(x) + " " + Markup.number(y);
    }
}

package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;

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
     * @param along half of what its bore along the rocker line is wider than the stem, mm; empty where it was not read
     */
    public record Place(String name, OptionalDouble along, OptionalDouble across, String written) {
        public static Place unread(String name) {
            return new Place(name, OptionalDouble.empty(), OptionalDouble.empty(), "not read");
        }
    }

    /**
     * @param places top, middle, bottom
     * @param service half of the service clearance, mm
     */
    public static String svg(List<Place> places, double service, String title) {
        Svg svg = new Svg();
        svg.picture("guide", WIDTH, HEIGHT, title);
        double scale = 26 / Math.max(service, widest(places));
        for (int side : new int[] {-1, 1}) {
            double edge = AXIS + side * (HALF + 30);
            svg.path("wall", wall(places, side, scale, edge));
            String from = Markup.number(LEFT) + " " + Markup.number(AXIS + side * (HALF + service * scale));
            svg.path("service", "M" + from + "h" + Markup.number(LONG));
        }
        svg.rect("stem", LEFT - 34, AXIS - HALF, LONG + 68, 2 * HALF);
        words(svg, places);
        return svg.close("svg").toString();
    }

    /** Nothing where none is read. */
    private static double widest(List<Place> places) {
        return places.stream()
                .flatMap(p -> Stream.of(p.along(), p.across()))
                .flatMapToDouble(OptionalDouble::stream)
                .max()
                .orElse(0);
    }

    private static void words(Svg svg, List<Place> places) {
        for (int i = 0; i < places.size(); i++) {
            Place p = places.get(i);
            double x = x(i);
            svg.words(null, x, HEIGHT - 30, Anchor.MIDDLE, 14, p.name());
            svg.words(p.along().isEmpty() ? "unread" : "figure", x, HEIGHT - 10, Anchor.MIDDLE, 14, p.written());
        }
        svg.words(null, 8, AXIS + 5, Anchor.START, 13, "spring");
        svg.words(null, WIDTH - 8, AXIS + 5, Anchor.END, 13, "port");
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
            OptionalDouble gap =
                    side < 0 ? places.get(i).along() : places.get(i).across();
            if (gap.isEmpty()) {
                continue;
            }
            double y = AXIS + side * (HALF + gap.getAsDouble() * scale);
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

package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import java.util.Locale;
import java.util.OptionalDouble;

/** Draws a burette with the liquid at a reading, and through a lens how that reading is taken. It counts downwards from its top. */
public final class BuretteDrawing {
    private static final double TOP = 16;
    private static final double BOTTOM = 282;
    private static final double LEFT = 62;
    private static final double RIGHT = 92;
    private static final double LENS_X = 150;
    private static final double LENS = 40;
    /** Graduations seen above and below the reading. */
    private static final int SEEN = 2;

    private final Svg svg = new Svg();
    private final double capacity;
    private final double mark;

    private BuretteDrawing(double capacity, double mark) {
        this.capacity = capacity;
        this.mark = mark;
    }

    /**
     * @param capacity cm3
     * @param from reading at the start of the last run; empty for none
     * @param to reading at its end
     * @param title what it shows, in words
     */
    public static String svg(double capacity, OptionalDouble from, double to, String title) {
        return new BuretteDrawing(capacity, capacity > 60 ? 0.2 : capacity > 15 ? 0.1 : 0.05).draw(from, to, title);
    }

    private String draw(OptionalDouble from, double to, String title) {
        svg.picture("burette", 196, 322, title);
        svg.path("liquid", liquid(to));
        svg.path(
                "glass",
                "M" + LEFT + " 6V" + BOTTOM + "q0 12 11 14V318M" + RIGHT + " 6V" + BOTTOM + "q0 12 -11 14V318");
        svg.rounded("tap", LEFT + 2, 301.0, 26.0, 7.0, 3.0);
        scale();
        from.ifPresent(at -> svg.path("start", "M" + (LEFT - 2) + " " + Markup.number(y(at)) + "H" + (RIGHT + 2)));
        lens(to);
        return svg.close("svg").toString();
    }

    private void scale() {
        double major = capacity / 10;
        for (int i = 0; i <= 50; i++) {
            double at = capacity * i / 50;
            boolean whole = i % 5 == 0;
            double y = y(at);
            svg.path("tick", "M" + RIGHT + " " + Markup.number(y) + "h" + (whole ? -14 : -7));
            if (whole) {
                text(LEFT - 6, y + 4, Anchor.END, plain(Math.floorDiv(i, 5) * major), "scale");
            }
        }
    }

    /** Down from the reading, its top hollowed as water stands in glass. */
    private String liquid(double to) {
        double y = y(to);
        return "M" + LEFT + " " + Markup.number(y - 4) + "Q" + (LEFT + RIGHT) / 2 + " " + Markup.number(y + 4) + " "
                + RIGHT + " " + Markup.number(y - 4) + "V" + BOTTOM + "q0 12 -11 14V318H" + (LEFT + 11)
                + "V296q-11 -2 -11 -14Z";
    }

    private void lens(double to) {
        double y = Math.min(Math.max(y(to), TOP + LENS), BOTTOM - LENS);
        double px = LENS / (SEEN + 1.2);
        svg.group(null, "transform", "translate(" + LENS_X + " " + Markup.number(y) + ")");
        svg.circle("lens", 0, 0, LENS);
        svg.path("liquid", "M-37.8 -13Q0 13 37.8 -13A40 40 0 1 1 -37.8 -13Z");
        long middle = Math.round(to / mark);
        for (long k = middle - SEEN; k <= middle + SEEN; k++) {
            double off = (k * mark - to) / mark * px;
            boolean fifth = Math.floorMod(k, 5) == 0;
            svg.path("tick", "M" + (fifth ? 4 : 14) + " " + Markup.number(off) + "H30");
        }
        svg.path("eye", "M-38 0H38");
        svg.closeGroup();
        svg.path("eye", "M" + RIGHT + " " + Markup.number(y(to)) + "L" + (LENS_X - LENS) + " " + Markup.number(y));
        text(LENS_X, y + LENS + 17, Anchor.MIDDLE, String.format(Locale.ROOT, "%.1f", to), "read");
    }

    private void text(double x, double y, Anchor anchor, String words, String look) {
        svg.words(look, x, y, anchor, words);
    }

    private double y(double reading) {
        return TOP + (BOTTOM - TOP) * Math.min(Math.max(reading, 0), capacity) / capacity;
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString(Math.round(value)) : String.format(Locale.ROOT, "%.1f", value);
    }
}

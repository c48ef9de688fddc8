package homalon.app.foundation.drawing;

import homalon.core.seats.Damage;

/**
 * Draws a counterbore from above, to scale, 12 o'clock up: the hole as it is with what is broken out of it, the size it would be
 * cut to, and the ring of metal to water.
 */
public final class CounterboreDrawing {
    private static final double SIZE = 300;

    private CounterboreDrawing() {}

    /**
     * @param counterbore present diameter, mm
     * @param cutTo diameter to cut; NaN before one is chosen
     * @param wall thinnest metal from the present bore to water, mm; NaN where it was not measured
     */
    public static String svg(
            double counterbore, double cutTo, double wall, double throat, Damage damage, String title) {
        double reach = counterbore / 2 + Math.max(damage.deepest(), Double.isNaN(wall) ? 2 : wall);
        reach = Double.isNaN(cutTo) ? reach : Math.max(reach, cutTo / 2);
        double scale = SIZE / 2 / (reach * 1.06);
        Markup svg = new Markup();
        double c = SIZE / 2;
        svg.picture(
                "0 0 " + Markup.number(SIZE) + " " + Markup.number(SIZE),
                0,
                0,
                "class",
                "counterbore",
                "role",
                "img",
                "aria-label",
                title);
        if (!Double.isNaN(wall)) {
            svg.empty("circle", "class", "water", "cx", c, "cy", c, "r", (counterbore / 2 + wall) * scale);
        }
        svg.empty("circle", "class", "bore", "cx", c, "cy", c, "r", counterbore / 2 * scale);
        for (Damage.Arc a : damage.arcs()) {
            svg.empty(
                    "path",
                    "class",
                    "broken",
                    "d",
                    bite(c, counterbore / 2 * scale, (counterbore / 2 + a.beyond()) * scale, a));
        }
        if (throat > 0) {
            svg.empty("circle", "class", "throat", "cx", c, "cy", c, "r", throat / 2 * scale);
        }
        if (!Double.isNaN(cutTo)) {
            svg.empty("circle", "class", "cut-to", "cx", c, "cy", c, "r", cutTo / 2 * scale);
        }
        for (int hour : new int[] {12, 3, 6, 9}) {
            double a = Math.toRadians(hour * 30);
            double r = throat > 0 ? throat / 2 * scale - 16 : counterbore / 2 * scale - 16;
            svg.open(
                            "text",
                            "x",
                            c + r * Math.sin(a),
                            "y",
                            c - r * Math.cos(a) + 5,
                            "text-anchor",
                            "middle",
                            "font-size",
                            14)
                    .text(Integer.toString(hour))
                    .close("text");
        }
        return svg.close("svg").toString();
    }

    private static String bite(double c, double inner, double outer, Damage.Arc a) {
        double span = (a.to() - a.from() + 360) % 360;
        span = span == 0 ? 359.9 : span;
        int large = span > 180 ? 1 : 0;
        double to = a.from() + span;
        return "M" + on(c, inner, a.from()) + "L" + on(c, outer, a.from()) + "A" + Markup.number(outer) + " "
                + Markup.number(outer) + " 0 " + large + " 1 " + on(c, outer, to) + "L" + on(c, inner, to) + "A"
                + Markup.number(inner) + " " + Markup.number(inner) + " 0 " + large + " 0 " + on(c, inner, a.from())
                + "Z";
    }

    private static String on(double c, double r, double degrees) {
        double a = Math.toRadians(degrees);
        return Markup.number(c + r * Math.sin(a)) + " " + Markup.number(c - r * Math.cos(a));
    }
}

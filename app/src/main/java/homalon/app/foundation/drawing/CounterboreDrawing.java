package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.seats.Damage;
import java.util.OptionalDouble;

/**
 * Draws a counterbore from above, to scale, 12 o'clock up: the hole as it is with what is broken out of it, the size it would be
 * cut to, and the ring of metal to water.
 */
public final class CounterboreDrawing {
    private static final double SIZE = 300;
    private static final double C = SIZE / 2;

    private CounterboreDrawing() {}

    /**
     * @param counterbore present diameter, mm
     * @param cutTo diameter to cut; empty before one is chosen
     * @param wall thinnest metal from the present bore to water, mm
     */
    public static String svg(
            double counterbore, OptionalDouble cutTo, double wall, double throat, Damage damage, String title) {
        double reach = counterbore / 2 + Math.max(damage.deepest(), wall);
        reach = Math.max(reach, cutTo.orElse(0) / 2);
        double scale = SIZE / 2 / (reach * 1.06);
        double r = counterbore / 2;
        Svg svg = new Svg();
        svg.picture("counterbore", SIZE, SIZE, title);
        ring(svg, "water", (r + wall) * scale);
        ring(svg, "bore", r * scale);
        for (Damage.Arc a : damage.arcs()) {
            svg.path("broken", bite(C, r * scale, (r + a.beyond()) * scale, a));
        }
        ring(svg, "throat", throat / 2 * scale);
        cutTo.ifPresent(d -> ring(svg, "cut-to", d / 2 * scale));
        hours(svg, (throat > 0 ? throat / 2 : r) * scale - 16);
        return svg.close("svg").toString();
    }

    /** Nothing for one that is not known. */
    private static void ring(Svg svg, String style, double r) {
        if (r > 0) {
            svg.circle(style, C, C, r);
        }
    }

    private static void hours(Svg svg, double r) {
        for (int hour : new int[] {12, 3, 6, 9}) {
            double a = Math.toRadians(hour * 30);
            svg.words(null, C + r * Math.sin(a), C - r * Math.cos(a) + 5, Anchor.MIDDLE, 15, Integer.toString(hour));
        }
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

package homalon.app.foundation.drawing;

import homalon.core.integrity.Decay;
import java.util.List;

/**
 * Draws a pressure test over its minutes: what the gauge said as crosses, what it would say at the first reading's temperature
 * as a line, and below it how far that may fall.
 */
public final class DecayDrawing {
    private static final double WIDTH = 760;
    private static final double HEIGHT = 250;
    private static final double LEFT = 64;
    private static final double BOTTOM = 34;
    private static final double TOP = 16;

    private final List<Decay.Point> curve;
    private final Decay.Asked asked;
    private final double span;
    private final double high;
    private final double low;

    private DecayDrawing(List<Decay.Point> curve, Decay.Asked asked) {
        this.curve = curve;
        this.asked = asked;
        this.span = Math.max(asked.hold(), curve.get(curve.size() - 1).minute()) * 1.05;
        double start = curve.get(0).bar();
        double up = start;
        double down = start - asked.mostLost();
        for (Decay.Point p : curve) {
            up = Math.max(up, Math.max(p.bar(), p.corrected()));
            down = Math.min(down, Math.min(p.bar(), p.corrected()));
        }
        double room = Math.max(0.02, (up - down) * 0.15);
        this.high = up + room;
        this.low = down - room;
    }

    /** @param curve one reading or more */
    public static String svg(List<Decay.Point> curve, Decay.Asked asked, String title) {
        return new DecayDrawing(curve, asked).draw(title);
    }

    private String draw(String title) {
        Markup svg = new Markup();
        svg.picture(
                "0 0 " + Markup.number(WIDTH) + " " + Markup.number(HEIGHT),
                0,
                0,
                "class",
                "decay",
                "role",
                "img",
                "aria-label",
                title);
        double start = curve.get(0).bar();
        String lost = "M" + at(0, start) + "L" + at(asked.hold(), start - asked.mostLost()) + "L"
                + at(asked.hold(), low) + "L" + at(0, low) + "Z";
        svg.empty("path", "class", "lost", "d", lost);
        svg.empty("path", "class", "may", "d", "M" + at(0, start) + "L" + at(asked.hold(), start - asked.mostLost()));
        svg.empty("path", "class", "hold", "d", "M" + at(asked.hold(), low) + "L" + at(asked.hold(), high));
        StringBuilder line = new StringBuilder();
        for (Decay.Point p : curve) {
            line.append(line.isEmpty() ? 'M' : 'L').append(at(p.minute(), p.corrected()));
        }
        svg.empty("path", "class", "corrected", "d", line);
        for (Decay.Point p : curve) {
            String cross = "M" + at(p.minute(), p.bar()) + "m-5 -5l10 10m-10 0l10 -10";
            svg.empty("path", "class", "raw", "d", cross);
            svg.empty("circle", "class", "dot", "cx", x(p.minute()), "cy", y(p.corrected()), "r", 4);
        }
        axes(svg);
        return svg.close("svg").toString();
    }

    private void axes(Markup svg) {
        double step = span > 40 ? 10 : span > 15 ? 5 : span > 6 ? 2 : 1;
        for (double m = 0; m <= span; m += step) {
            text(svg, x(m), HEIGHT - 12, "middle", Markup.number(m));
        }
        text(svg, WIDTH - 2, HEIGHT - 12, "end", "min");
        double bar = high - low > 0.5 ? 0.2 : high - low > 0.2 ? 0.05 : 0.02;
        for (double p = Math.ceil(low / bar) * bar; p <= high; p += bar) {
            text(svg, LEFT - 8, y(p) + 4, "end", String.format(java.util.Locale.ROOT, "%.2f", p));
            svg.empty("path", "class", "grid", "d", "M" + at(0, p) + "L" + at(span, p));
        }
        text(svg, LEFT - 8, HEIGHT - 12, "end", "bar");
    }

    private static void text(Markup svg, double x, double y, String anchor, String words) {
        svg.open("text", "x", x, "y", y, "text-anchor", anchor, "font-size", 13)
                .text(words)
                .close("text");
    }

    private String at(double minute, double bar) {
        return Markup.number(x(minute)) + " " + Markup.number(y(bar));
    }

    private double x(double minute) {
        return LEFT + (WIDTH - LEFT - 20) * minute / span;
    }

    private double y(double bar) {
        return TOP + (HEIGHT - TOP - BOTTOM) * (high - bar) / (high - low);
    }
}

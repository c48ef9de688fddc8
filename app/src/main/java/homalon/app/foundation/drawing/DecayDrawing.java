package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.integrity.Decay;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Quantity;
import java.util.List;
import java.util.Locale;

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
    private static final int LINES = 5;

    private final List<Decay.Point> curve;
    private final Decay.Asked asked;
    private final double span;
    private final double high;
    private final double low;

    private final BenchUnit unit;

    private DecayDrawing(List<Decay.Point> curve, Decay.Asked asked, BenchUnit unit) {
        this.curve = curve;
        this.unit = unit;
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
    public static String svg(List<Decay.Point> curve, Decay.Asked asked, String title, BenchUnit unit) {
        return new DecayDrawing(curve, asked, unit).draw(title);
    }

    private String draw(String title) {
        Svg svg = new Svg();
        svg.picture("decay", WIDTH, HEIGHT, title);
        double start = curve.get(0).bar();
        String lost = "M" + at(0, start) + "L" + at(asked.hold(), start - asked.mostLost()) + "L"
                + at(asked.hold(), low) + "L" + at(0, low) + "Z";
        svg.path("lost", lost);
        svg.path("may", "M" + at(0, start) + "L" + at(asked.hold(), start - asked.mostLost()));
        svg.path("hold", "M" + at(asked.hold(), low) + "L" + at(asked.hold(), high));
        readings(svg);
        axes(svg);
        return svg.close("svg").toString();
    }

    private void readings(Svg svg) {
        StringBuilder line = new StringBuilder();
        for (Decay.Point p : curve) {
            line.append(line.isEmpty() ? 'M' : 'L').append(at(p.minute(), p.corrected()));
        }
        svg.path("corrected", line);
        for (Decay.Point p : curve) {
            svg.path("raw", "M" + at(p.minute(), p.bar()) + "m-5 -5l10 10m-10 0l10 -10");
            svg.circle("dot", x(p.minute()), y(p.corrected()), 4);
        }
    }

    private void axes(Svg svg) {
        double step = span > 40 ? 10 : span > 15 ? 5 : span > 6 ? 2 : 1;
        for (double m = 0; m <= span; m += step) {
            text(svg, x(m), HEIGHT - 12, Anchor.MIDDLE, Markup.number(m));
        }
        text(svg, WIDTH - 2, HEIGHT - 12, Anchor.END, "min");
        double least = Quantity.PRESSURE.at(low, unit);
        double most = Quantity.PRESSURE.at(high, unit);
        double each = round((most - least) / LINES);
        for (double p = Math.ceil(least / each) * each; p <= most; p += each) {
            double bar = Quantity.PRESSURE.of(p, unit);
            text(svg, LEFT - 8, y(bar) + 4, Anchor.END, String.format(Locale.ROOT, each < 1 ? "%.2f" : "%.0f", p));
            svg.path("grid", "M" + at(0, bar) + "L" + at(span, bar));
        }
        text(svg, LEFT - 8, HEIGHT - 12, Anchor.END, Quantity.PRESSURE.unit(unit));
    }

    /** The next of 1, 2 and 5 times a power of ten. */
    private static double round(double step) {
        double ten = Math.pow(10, Math.floor(Math.log10(step)));
        return step <= ten ? ten : step <= 2 * ten ? 2 * ten : step <= 5 * ten ? 5 * ten : 10 * ten;
    }

    private static void text(Svg svg, double x, double y, Anchor anchor, String words) {
        svg.words(null, x, y, anchor, 13, words);
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

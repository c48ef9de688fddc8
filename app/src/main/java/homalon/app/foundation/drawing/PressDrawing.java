package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.geometry.Spot;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.seats.PressFit;
import java.util.List;

/** Draws the press of an insert with head and ring at one temperature, from deep cold to overheating. */
public final class PressDrawing {
    private static final double WIDTH = 520;
    private static final double HEIGHT = 230;
    private static final double LEFT = 58;
    private static final double RIGHT = 16;
    private static final double TOP = 18;
    private static final double BOTTOM = 34;

    private final PressFit fit;
    private final double high;
    private final double low;

    private PressDrawing(PressFit fit) {
        this.fit = fit;
        List<Spot> curve = fit.curve();
        double most = curve.stream().mapToDouble(Spot::y).max().orElse(0.1);
        double least = curve.stream().mapToDouble(Spot::y).min().orElse(0);
        this.high = Math.max(most, 0.04) * 1.06;
        this.low = Math.min(least, 0) - 0.004;
    }

    public static String svg(PressFit fit, LengthWriter writer, String title) {
        return new PressDrawing(fit).draw(writer, title);
    }

    private String draw(LengthWriter writer, String title) {
        Svg svg = new Svg();
        svg.picture("decay press", WIDTH, HEIGHT, title);
        svg.rect(
                "lost",
                LEFT,
                y(fit.asked().leastHot()),
                WIDTH - LEFT - RIGHT,
                y(low) - y(fit.asked().leastHot()));
        svg.path(
                "may",
                "M" + at(-200, fit.asked().leastHot()) + "L"
                        + at(350, fit.asked().leastHot()));
        svg.path("grid", "M" + at(-200, 0) + "L" + at(350, 0));
        double run = fit.asked().runAt();
        svg.path("hold", "M" + at(run, low) + "L" + at(run, high));
        StringBuilder line = new StringBuilder();
        for (Spot s : fit.curve()) {
            line.append(line.isEmpty() ? 'M' : 'L').append(at(s.x(), s.y()));
        }
        svg.path("corrected", line);
        svg.circle("dot", x(20), y(fit.press()), 4);
        svg.circle("dot", x(run), y(fit.hot()), 4);
        scales(svg, writer);
        return svg.close("svg").toString();
    }

    private void scales(Svg svg, LengthWriter writer) {
        int step = writer.fahrenheit() ? 200 : 100;
        int last = writer.fahrenheit() ? 400 : 300;
        for (int t = -200; t <= last; t += step) {
            double celsius = Quantity.TEMPERATURE.of(t, writer.degrees());
            text(svg, x(celsius), HEIGHT - 12, Anchor.MIDDLE, (t < 0 ? "\u2212" : "") + Math.abs(t));
        }
        text(svg, WIDTH - 2, HEIGHT - 12, Anchor.END, writer.temperatureUnit());
        text(svg, LEFT - 6, y(fit.press()) + 4, Anchor.END, writer.number(fit.press()));
        text(svg, LEFT - 6, y(0) + 4, Anchor.END, "0");
        text(svg, LEFT + 4, TOP - 2, Anchor.START, writer.unit().label());
    }

    private static void text(Svg svg, double x, double y, Anchor anchor, String words) {
        svg.words(null, x, y, anchor, 13, words);
    }

    private String at(double t, double press) {
        return Markup.number(x(t)) + " " + Markup.number(y(press));
    }

    private static double x(double t) {
        return LEFT + (WIDTH - LEFT - RIGHT) * (t + 200) / 550;
    }

    private double y(double press) {
        return TOP + (HEIGHT - TOP - BOTTOM) * (high - press) / (high - low);
    }
}

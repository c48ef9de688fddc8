package homalon.app.foundation.drawing;

import homalon.core.geometry.Spot;
import homalon.core.quantity.LengthWriter;
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
        Markup svg = new Markup();
        svg.picture(
                "0 0 " + Markup.number(WIDTH) + " " + Markup.number(HEIGHT),
                0,
                0,
                "class",
                "decay press",
                "role",
                "img",
                "aria-label",
                title);
        svg.empty(
                "rect",
                "class",
                "lost",
                "x",
                LEFT,
                "y",
                y(PressFit.LEAST_HOT),
                "width",
                WIDTH - LEFT - RIGHT,
                "height",
                y(low) - y(PressFit.LEAST_HOT));
        svg.empty("path", "class", "may", "d", "M" + at(-200, PressFit.LEAST_HOT) + "L" + at(350, PressFit.LEAST_HOT));
        svg.empty("path", "class", "grid", "d", "M" + at(-200, 0) + "L" + at(350, 0));
        double run = fit.asked().runAt();
        svg.empty("path", "class", "hold", "d", "M" + at(run, low) + "L" + at(run, high));
        StringBuilder line = new StringBuilder();
        for (Spot s : fit.curve()) {
            line.append(line.isEmpty() ? 'M' : 'L').append(at(s.x(), s.y()));
        }
        svg.empty("path", "class", "corrected", "d", line);
        svg.empty("circle", "class", "dot", "cx", x(20), "cy", y(fit.press()), "r", 4);
        svg.empty("circle", "class", "dot", "cx", x(run), "cy", y(fit.hot()), "r", 4);
        for (int t = -200; t <= 300; t += 100) {
            text(svg, x(t), HEIGHT - 12, "middle", (t < 0 ? "\u2212" : "") + Math.abs(t));
        }
        text(svg, WIDTH - 2, HEIGHT - 12, "end", "°C");
        text(svg, LEFT - 6, y(fit.press()) + 4, "end", writer.number(fit.press()));
        text(svg, LEFT - 6, y(0) + 4, "end", "0");
        text(svg, LEFT + 4, TOP - 2, "start", writer.unit().label());
        return svg.close("svg").toString();
    }

    private static void text(Markup svg, double x, double y, String anchor, String words) {
        svg.open("text", "x", x, "y", y, "text-anchor", anchor, "font-size", 13)
                .text(words)
                .close("text");
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

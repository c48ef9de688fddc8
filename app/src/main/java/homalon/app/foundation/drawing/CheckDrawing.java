package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.gauge.ControlChart;
import java.util.function.DoubleFunction;

/** Checks of a gauge one after another, with the centre and the three standard deviations to either side of their chart. */
public final class CheckDrawing {
    private static final double WIDTH = 760;
    private static final double HEIGHT = 190;
    private static final double LEFT = 96;
    private static final double RIGHT = 16;
    private static final double EDGE = 18;

    private CheckDrawing() {}

    /**
     * @param off what each read less what its reference is
     * @param written a figure with its unit
     */
    public static String svg(double[] off, ControlChart chart, DoubleFunction<String> written, String title) {
        double high = chart.upper();
        double low = chart.lower();
        for (double v : off) {
            high = Math.max(high, v);
            low = Math.min(low, v);
        }
        double span = Math.max(1e-6, high - low);
        double most = high;
        double perUnit = (HEIGHT - 2 * EDGE) / span;
        Svg svg = new Svg();
        svg.picture("checks", WIDTH, HEIGHT, title);
        double[] levels = {chart.upper(), chart.centre(), chart.lower()};
        for (int l = 0; l < levels.length; l++) {
            double y = EDGE + (most - levels[l]) * perUnit;
            svg.line(l == 1 ? "centre" : "limit", LEFT, y, WIDTH - RIGHT, y);
            svg.words("figure", LEFT - 8, y + 4, Anchor.END, 13, written.apply(levels[l]));
        }
        double step = (WIDTH - LEFT - RIGHT - 24) / Math.max(1, off.length - 1);
        StringBuilder way = new StringBuilder();
        for (int n = 0; n < off.length; n++) {
            way.append(n == 0 ? 'M' : 'L').append(at(n, step)).append(' ').append(EDGE + (most - off[n]) * perUnit);
        }
        svg.path("trend", way);
        for (int n = 0; n < off.length; n++) {
            int number = n;
            boolean out = chart.signals().stream().anyMatch(s -> s.number() == number);
            svg.circle(out ? "check out" : "check", at(n, step), EDGE + (most - off[n]) * perUnit, out ? 6 : 4);
        }
        svg.close("svg");
        return svg.toString();
    }

    private static double at(int n, double step) {
        return LEFT + 12 + n * step;
    }
}

package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.app.foundation.words.Words;
import homalon.core.route.Route;
import homalon.core.route.Strength;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Draws a route as a track from the top down: each step a stop in the row of how much comes before it, joined by what must
 * come first (whole lines) and what better comes first (broken ones).
 */
public final class RouteDrawing {
    private static final double STOP = 168;
    private static final double GAP = 26;
    private static final double TALL = 32;
    private static final double ROW = 56;
    private static final double LEAST = 780;

    private final Route route;
    private final List<Route.Step> shown;
    private final Map<Integer, double[]> spots = new HashMap<>();
    private double width;
    private double height;

    private RouteDrawing(Route route) {
        this.route = route;
        this.shown = route.steps();
        lay();
    }

    public static String svg(Route route) {
        return new RouteDrawing(route).draw();
    }

    private void lay() {
        Map<Integer, List<Route.Step>> rows = shown.stream().collect(Collectors.groupingBy(Route.Step::layer));
        int most = rows.values().stream().mapToInt(List::size).max().orElse(1);
        int last = shown.stream().mapToInt(Route.Step::layer).max().orElse(0);
        width = Math.max(LEAST, most * (STOP + GAP));
        height = (last + 1) * ROW + 8;
        rows.forEach((layer, steps) -> {
            for (int i = 0; i < steps.size(); i++) {
                double x = width * (i + 0.5) / steps.size();
                spots.put(steps.get(i).id(), new double[] {x, 4 + layer * ROW + TALL / 2});
            }
        });
    }

    private String draw() {
        Svg svg = new Svg();
        svg.picture(
                "track",
                width,
                height,
                "The route of this part: "
                        + shown.stream()
                                .map(s -> Words.of(s.operation().words()) + " " + words(s.state()))
                                .collect(Collectors.joining(", ")));
        route.drawn().forEach(b -> before(svg, b));
        shown.forEach(step -> stop(svg, step));
        return svg.close("svg").toString();
    }

    private void before(Svg svg, Route.Before b) {
        double[] from = spots.get(b.from());
        double[] to = spots.get(b.to());
        double y0 = from[1] + TALL / 2;
        double y1 = to[1] - TALL / 2;
        double bend = Math.max(ROW - TALL, (y1 - y0) / 2);
        // A line over several rows would run behind the stops between: it swings out beside them.
        double out = y1 - y0 > ROW && Math.abs(from[0] - to[0]) < 1 ? STOP * 0.62 + (y1 - y0) / 12 : 0;
        String d = "M" + at(from[0], y0) + "C" + at(from[0] + out, y0 + bend) + " " + at(to[0] + out, y1 - bend) + " "
                + at(to[0], y1);
        svg.open("path", "class", b.strength() == Strength.MUST ? "must" : "better", "d", d);
        svg.title(Words.of(b.because())).close("path");
    }

    private static String at(double x, double y) {
        return Markup.number(x) + " " + Markup.number(y);
    }

    private void stop(Svg svg, Route.Step step) {
        double[] at = spots.get(step.id());
        String words = Words.of(step.operation().words());
        svg.group("stop " + step.state().name().toLowerCase(Locale.ROOT));
        svg.title(words + ", " + words(step.state()) + ". " + String.join("; ", Words.of(step.because())));
        svg.rounded(null, at[0] - STOP / 2, at[1] - TALL / 2, STOP, TALL, 3);
        svg.words(null, at[0], at[1] + 5, Anchor.MIDDLE, 16, sign(step.state()) + words);
        svg.closeGroup();
    }

    private static String sign(Route.State state) {
        return switch (state) {
            case DONE -> "\u2713 ";
            case WAIVED -> "\u2013 ";
            case DUE -> "\u25b8 ";
            case WAITS -> "";
        };
    }

    /** A state as it is read out. */
    public static String words(Route.State state) {
        return switch (state) {
            case DONE -> "done";
            case WAIVED -> "left out, signed";
            case DUE -> "due";
            case WAITS -> "waits";
        };
    }
}

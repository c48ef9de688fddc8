package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.geometry.Spot;
import homalon.core.seats.SeatPlan;
import homalon.core.seats.SeatProfile;
import java.util.List;

/**
 * Draws one side of a seat cut open, to scale: as found, as planned, and the valve resting on it. Its paths are the corners of
 * the core's own sections; {@code data-scale}, {@code data-r} and {@code data-z} say how they lie: x = (r - r0) scale, y = (z0 - z)
 * scale.
 */
public final class SeatDrawing {
    private static final double WIDTH = 700;
    private static final double HEIGHT = 330;

    private final SeatPlan plan;
    private final double from;
    private final double to;
    private final double top;
    private final double scale;
    private final double width;

    private SeatDrawing(SeatPlan plan) {
        this.plan = plan;
        double valve = plan.asked().headDiameter() / 2;
        this.from = plan.after().inner() - 1.3;
        this.to = valve + 2.2;
        this.top = Math.max(plan.before().at(to), plan.before().faceAt(valve) + 1) + 0.15;
        double bottom = plan.after().at(from) - 0.35;
        this.scale = Math.min(WIDTH / (to - from), HEIGHT / (top - bottom));
        this.width = scale * (to - from);
    }

    /** @param angles written at the cuts, such as {@code 30°} for the top */
    public static String svg(SeatPlan plan, List<String> angles, String title) {
        return new SeatDrawing(plan).draw(angles, title);
    }

    private String draw(List<String> angles, String title) {
        Svg svg = new Svg();
        // The places of its cuts, for a hand that drags one.
        String r = Double.toString(from);
        String z = Double.toString(top);
        svg.picture("seat-cut", width, HEIGHT, title, "data-scale", Double.toString(scale), "data-r", r, "data-z", z);
        String after = line(plan.after());
        svg.path("body", after + "L" + at(width, HEIGHT) + "L" + at(0, HEIGHT) + "Z");
        svg.rings("taken", line(plan.before()) + back(plan.after()) + "Z");
        svg.path("before", line(plan.before()));
        svg.path("after", after);
        svg.path("valve-was", valve(plan.before()));
        svg.path("valve-now", valve(plan.after()));
        labels(svg, angles);
        return svg.close("svg").toString();
    }

    /** Angles stand in the metal under their cuts. */
    private void labels(Svg svg, List<String> angles) {
        SeatProfile p = plan.after();
        double[] middle = {(p.outer() + to) / 2, (p.outer() + p.inner()) / 2, (p.inner() + from) / 2};
        for (int i = 0; i < middle.length && i < angles.size(); i++) {
            svg.words(null, x(middle[i]) + 22, y(p.at(middle[i])) + 24, Anchor.MIDDLE, 16, angles.get(i));
        }
    }

    private String line(SeatProfile profile) {
        StringBuilder d = new StringBuilder();
        for (Spot s : profile.corners(from, to)) {
            d.append(d.isEmpty() ? 'M' : 'L').append(at(x(s.x()), y(s.y())));
        }
        return d.toString();
    }

    private String back(SeatProfile profile) {
        List<Spot> corners = profile.corners(from, to);
        StringBuilder d = new StringBuilder();
        for (int i = corners.size() - 1; i >= 0; i--) {
            d.append('L').append(at(x(corners.get(i).x()), y(corners.get(i).y())));
        }
        return d.toString();
    }

    /** The head's face lies on the seat's; above its edge the margin, below it the way to the stem. */
    private String valve(SeatProfile profile) {
        double edge = plan.asked().headDiameter() / 2;
        double low = Math.max(from, profile.inner() - 0.9);
        double z = profile.faceAt(edge);
        return "M" + at(x(from), y(z + 1)) + "L" + at(x(edge), y(z + 1)) + "L" + at(x(edge), y(z)) + "L"
                + at(x(low), y(profile.faceAt(low))) + "L" + at(x(from), y(profile.faceAt(low) - 0.12));
    }

    private double x(double r) {
        return (r - from) * scale;
    }

    private double y(double z) {
        return (top - z) * scale;
    }

    private static String at(double x, double y) {
        return Markup.number(x) + " " + Markup.number(y);
    }
}

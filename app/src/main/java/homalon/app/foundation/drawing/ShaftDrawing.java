package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.lines.ShaftLine;
import homalon.core.lines.ShaftLine.Bore;
import java.util.ArrayList;
import java.util.List;

/**
 * Draws a line of bores from the side, heights much enlarged and said so: each bore as a gate as wide as its clearance, the best
 * straight line through them as the shaft's axis, and the bore that has least left.
 */
public final class ShaftDrawing {
    private static final double WIDTH = 760;
    private static final double TALL = 210;
    private static final double SIDE = 46;

    private final ShaftLine shaft;
    private final List<Bore> bores;
    private final double from;
    private final double run;
    private final double scale;
    private final double middle;

    private ShaftDrawing(ShaftLine shaft, List<Bore> bores) {
        this.shaft = shaft;
        this.bores = bores;
        this.from = bores.stream().mapToDouble(Bore::at).min().orElse(0);
        this.run = Math.max(1e-6, bores.stream().mapToDouble(Bore::at).max().orElse(1) - from);
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (Bore b : bores) {
            low = Math.min(
                    low, Math.min(b.height() - b.clearance() / 2, shaft.line().heightAt(b.at())));
            high = Math.max(
                    high, Math.max(b.height() + b.clearance() / 2, shaft.line().heightAt(b.at())));
        }
        this.middle = (low + high) / 2;
        this.scale = (TALL - 70) / Math.max(0.02, high - low);
    }

    /** How much heights are enlarged against lengths. */
    public static long enlarged(ShaftLine shaft, List<Bore> bores) {
        ShaftDrawing d = new ShaftDrawing(shaft, bores);
        return Math.round(d.scale / ((WIDTH - 2 * SIDE) / d.run));
    }

    /** @param figures a label for each bore, in its order */
    public static String svg(ShaftLine shaft, List<Bore> bores, List<String> figures, String title) {
        return new ShaftDrawing(shaft, bores).draw(new ArrayList<>(figures), title);
    }

    private String draw(List<String> figures, String title) {
        Svg svg = new Svg();
        svg.picture("shaft", WIDTH, TALL, title);
        svg.path("axis", "M" + at(from - run * 0.04) + "L" + at(from + run * 1.04));
        for (int i = 0; i < bores.size(); i++) {
            bore(svg, i, figures.get(i));
        }
        return svg.close("svg").toString();
    }

    private void bore(Svg svg, int i, String figure) {
        Bore b = bores.get(i);
        double x = x(b.at());
        double top = y(b.height() + b.clearance() / 2);
        double bottom = y(b.height() - b.clearance() / 2);
        boolean binds = shaft.left().get(i) < 0;
        String left = "M" + Markup.number(x - 11) + " ";
        String deep = Markup.number(TALL - 34);
        svg.group(binds ? "gate binds" : i == shaft.worst() ? "gate worst" : "gate");
        svg.path("metal-above", left + "14V" + Markup.number(top) + "h22V14Z");
        svg.path("metal-below", left + deep + "V" + Markup.number(bottom) + "h22V" + deep + "Z");
        svg.path("centre", "M" + Markup.number(x - 7) + " " + Markup.number(y(b.height())) + "h14");
        svg.closeGroup();
        svg.words(null, x, TALL - 18, Anchor.MIDDLE, 13, "bore " + (i + 1));
        svg.words(binds ? "left binds" : "left", x, TALL - 3, Anchor.MIDDLE, 13, figure);
    }

    private String at(double along) {
        return Markup.number(x(along)) + " " + Markup.number(y(shaft.line().heightAt(along)));
    }

    private double x(double along) {
        return SIDE + (WIDTH - 2 * SIDE) * (along - from) / run;
    }

    private double y(double height) {
        return 14 + (TALL - 48) / 2 - (height - middle) * scale;
    }
}

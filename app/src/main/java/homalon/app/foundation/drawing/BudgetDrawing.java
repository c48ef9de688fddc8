package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;

/**
 * Draws what may come off as bars on one rule, all in depth of the cut from first touch: what each limit leaves, what the cut takes
 * of it, what the face needs.
 */
public final class BudgetDrawing {
    private static final double WIDTH = 760;
    private static final double LABEL = 204;
    private static final double NOTE = 134;
    private static final double ROW = 30;
    private static final double HEAD = 44;
    private static final double BAR = 17;

    /**
     * One limit.
     *
     * @param room mm; infinite when the cut does not change it, empty when it was not measured
     * @param used of it before, mm, for the one that counts a whole life; 0 else
     * @param note what is left of it, in words
     * @param style {@code within}, {@code line}, {@code over}, {@code unread}
     * @param binds whether it ends first
     */
    public record Bar(String name, OptionalDouble room, double used, String note, String style, boolean binds) {}

    /**
     * What the face needs.
     *
     * @param depth mm
     */
    public record Need(String words, double depth) {}

    private final Svg svg = new Svg();
    private final double most;
    private final double least;

    private BudgetDrawing(double least, double most) {
        this.least = least;
        this.most = most;
    }

    /**
     * @param cut that is looked at, mm
     * @param step between numbers of the rule, mm
     * @param number writes a depth
     */
    public static String svg(
            List<Bar> bars, List<Need> needs, double cut, double step, DoubleFunction<String> number, String title) {
        double reach = Math.max(cut * 1.15, step * 4);
        for (Need n : needs) {
            reach = Math.max(reach, n.depth() * 1.15);
        }
        double furthest = 0;
        for (Bar b : bars) {
            double room = b.room().orElse(0);
            furthest = Double.isFinite(room) ? Math.max(furthest, room * 1.05) : furthest;
        }
        double used = bars.stream().mapToDouble(Bar::used).max().orElse(0);
        // What lies far beyond the cut is cut short with an arrow, so that what matters is seen.
        double most = Math.max(reach, Math.min(furthest, 3 * reach));
        return new BudgetDrawing(-Math.min(used, most * 0.5), most).draw(bars, needs, cut, step, number, title);
    }

    private String draw(
            List<Bar> bars, List<Need> needs, double cut, double step, DoubleFunction<String> number, String title) {
        double height = HEAD + bars.size() * ROW + 8;
        svg.picture("budgets", WIDTH, height, title);
        svg.open("defs");
        hatch("over-hatch", 6, "hatch", "M0 6L6 0");
        hatch("used-hatch", 5, "used-line", "M0 0L5 5");
        svg.close("defs");
        rule(step, number);
        for (int i = 0; i < bars.size(); i++) {
            bar(bars.get(i), HEAD + i * ROW, cut);
        }
        for (Need n : needs) {
            svg.group(null).title(n.words());
            svg.path("need", "M" + at(n.depth()) + " " + (HEAD - 6) + "V" + Markup.number(height));
            svg.closeGroup();
        }
        svg.path("cut", "M" + at(cut) + " " + (HEAD - 10) + "V" + Markup.number(height));
        svg.path("cut-head", "M" + at(cut) + " " + (HEAD - 6) + "l-6 -9h12Z");
        return svg.close("svg").toString();
    }

    private void hatch(String id, double size, String style, String way) {
        svg.pattern(id, size);
        svg.path(style, way).close("pattern");
    }

    private void rule(double step, DoubleFunction<String> number) {
        svg.path("steel", "M" + at(least) + " " + (HEAD - 22) + "H" + at(most));
        int k = (int) Math.ceil(least / step - 1e-9);
        for (; k * step <= most + 1e-9; k++) {
            double x = x(k * step);
            svg.path("tick", "M" + Markup.number(x) + " " + (HEAD - 22) + "v8");
            boolean said = k >= 0 && x < WIDTH - NOTE - 8;
            if (said) {
                text(x, HEAD - 27, Anchor.MIDDLE, number.apply(k * step), "scale");
            }
        }
    }

    private void bar(Bar bar, double top, double cut) {
        svg.group("bar " + bar.style() + (bar.binds() ? " binds" : ""));
        double y = top + (ROW - BAR) / 2;
        text(LABEL - 10, y + BAR - 4, Anchor.END, bar.name(), "label");
        double has = bar.room().orElse(0);
        if (bar.room().isEmpty()) {
            rect("unread", 0, most, y);
        } else if (Double.isInfinite(has)) {
            svg.path("untouched", "M" + at(0) + " " + Markup.number(y + BAR / 2) + "H" + at(most));
        } else {
            if (bar.used() > 0) {
                rect("used", Math.max(least, -bar.used()), 0, y);
            }
            double room = Math.max(0, Math.min(has, most));
            rect("room", 0, room, y);
            rect("taken", 0, Math.min(cut, room), y);
            if (cut > has) {
                rect("over", Math.max(0, has), Math.min(cut, most), y);
            }
            svg.path(
                    has > most ? "on" : "end",
                    has > most
                            ? "M" + at(most) + " " + Markup.number(y) + "l8 " + Markup.number(BAR / 2) + "l-8 "
                                    + Markup.number(BAR / 2) + "Z"
                            : "M" + at(room) + " " + Markup.number(y - 3) + "v" + Markup.number(BAR + 6));
        }
        text(WIDTH - NOTE + 14, y + BAR - 4, Anchor.START, bar.note(), "note");
        svg.closeGroup();
    }

    private void rect(String look, double from, double to, double y) {
        if (to > from) {
            svg.rect(look, x(from), y, x(to) - x(from), BAR);
        }
    }

    private void text(double x, double y, Anchor anchor, String words, String look) {
        svg.words(look, x, y, anchor, words);
    }

    private double x(double mm) {
        return LABEL + (WIDTH - LABEL - NOTE) * (Math.min(mm, most) - least) / (most - least);
    }

    private String at(double mm) {
        return Markup.number(x(mm));
    }
}

package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import java.util.List;

/**
 * What an edge laid along each judged line would see: the straightedge as a line, under it every surface that the readings
 * allow, as a band. A twist shows here as nothing along and across, a hollow under one diagonal and a crown under the other.
 */
public final class BowDrawing {
    private static final int PANEL = 160;
    private static final int HEIGHT = 96;
    private static final double EDGE = 34;
    private static final double REACH = 30;
    private static final int STEPS = 24;

    /**
     * One line.
     *
     * @param name above it
     * @param least K / 4 allowed, + hollow, mm; minus infinity when nothing bounds it
     * @param most K / 4 allowed, mm
     * @param words under it
     * @param tried false when no edge was laid there
     */
    public record Panel(String name, double least, double most, String words, boolean tried) {}

    private BowDrawing() {}

    /**
     * One picture for each line, so that they wrap on a narrow screen.
     *
     * @param full bow drawn at full height, mm
     */
    public static String svg(List<Panel> panels, double full) {
        StringBuilder all = new StringBuilder();
        for (Panel panel : panels) {
            Svg svg = new Svg();
            svg.picture("bows", PANEL, HEIGHT, panel.name() + ": " + panel.words());
            panel(svg, panel, full);
            all.append(svg.close("svg"));
        }
        return all.toString();
    }

    private static void panel(Svg svg, Panel p, double full) {
        svg.group(p.tried() ? "panel" : "panel untried");
        text(svg, "name", PANEL / 2.0, 13, p.name());
        double[] ends = {10, PANEL - 10};
        // The edge rests on the ends of a hollow, on the middle of a crown.
        StringBuilder d = new StringBuilder();
        curve(d, 'M', ends, clipped(p.most(), full), false);
        curve(d, 'L', ends, clipped(p.least(), full), true);
        svg.path(open(p) ? "allowed open" : "allowed", d.append('Z').toString());
        svg.line("straight", ends[0], EDGE, ends[1], EDGE);
        text(svg, "words", PANEL / 2.0, HEIGHT - 6, p.words());
        svg.closeGroup();
    }

    private static boolean open(Panel p) {
        return Double.isInfinite(p.least()) || Double.isInfinite(p.most());
    }

    private static double clipped(double quarterK, double full) {
        return Math.max(-1, Math.min(1, quarterK / full)) * REACH;
    }

    /** Surface under the edge for a bow: the ends touch it for a hollow, the middle for a crown. */
    private static void curve(StringBuilder d, char first, double[] ends, double bow, boolean back) {
        for (int i = 0; i <= STEPS; i++) {
            double t = (double) (back ? STEPS - i : i) / STEPS;
            double sag = bow * 4 * t * (1 - t);
            double y = EDGE + sag - Math.min(0, bow);
            Markup.point(d.append(i == 0 ? first : 'L'), ends[0] + t * (ends[1] - ends[0]), y);
        }
    }

    private static void text(Svg svg, String style, double x, double y, String words) {
        svg.words(style, x, y, Anchor.MIDDLE, 11.5, words);
    }
}

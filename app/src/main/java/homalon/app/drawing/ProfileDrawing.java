package homalon.app.drawing;

import homalon.core.face.FaceMap;
import homalon.core.geometry.Plane;
import homalon.core.part.Layout;

/** A section along the middle of a face, front to back, with its height drawn many times too large. */
public final class ProfileDrawing {
    private static final int WIDTH = 800;

    private ProfileDrawing() {}

    /**
     * @param id unique on its page
     * @param level heights are drawn above it
     * @param downTo a height at which a dashed line shows where the cutter ends; NaN for none
     * @param height of the picture, px
     */
    public static String svg(FaceMap map, Plane level, double downTo, int height, String id, boolean numbers) {
        Layout layout = map.land().layout();
        double middle = layout.box().height() / 2;
        int steps = 80;
        double[] z = new double[steps + 1];
        double least = Double.isNaN(downTo) ? 0 : downTo;
        double most = 0;
        for (int i = 0; i <= steps; i++) {
            double x = layout.box().width() * i / steps;
            z[i] = map.above(x, middle) + map.level().at(x, middle) - level.at(x, middle);
            least = Math.min(least, z[i]);
            most = Math.max(most, z[i]);
        }
        double top = 8;
        double bottom = numbers ? height - 22.0 : height - 4.0;
        double perMm = (bottom - top) / Math.max(most - least, 1e-4);
        StringBuilder line = new StringBuilder();
        for (int i = 0; i <= steps; i++) {
            line.append(i == 0 ? 'M' : 'L')
                    .append(Svg.number(WIDTH * (double) i / steps))
                    .append(' ')
                    .append(Svg.number(top + (most - z[i]) * perMm));
        }
        Svg svg = new Svg();
        svg.open(
                "svg",
                "xmlns",
                "http://www.w3.org/2000/svg",
                "viewBox",
                "0 0 " + WIDTH + " " + height,
                "class",
                "profile",
                "role",
                "img",
                "aria-label",
                "Section along the middle, front at the left, height drawn " + exaggeration(layout, perMm) + " times",
                "id",
                id);
        svg.empty(
                "path",
                "class",
                "body",
                "d",
                line + "L" + WIDTH + " " + Svg.number(bottom) + "L0 " + Svg.number(bottom) + "Z");
        double reference = Double.isNaN(downTo) ? most : downTo;
        svg.empty(
                "line",
                "class",
                Double.isNaN(downTo) ? "straight" : "cut",
                "x1",
                0,
                "x2",
                WIDTH,
                "y1",
                top + (most - reference) * perMm,
                "y2",
                top + (most - reference) * perMm);
        svg.empty("path", "class", "surface", "d", line);
        if (numbers) {
            for (Layout.Bore bore : layout.bores()) {
                double x = bore.centre().x() / layout.box().width() * WIDTH;
                svg.empty("line", "class", "tick", "x1", x, "x2", x, "y1", bottom, "y2", bottom + 5);
                svg.open(
                                "text",
                                "class",
                                "figure",
                                "x",
                                x,
                                "y",
                                (double) height - 3,
                                "font-size",
                                14,
                                "text-anchor",
                                "middle")
                        .text(Integer.toString(bore.number()))
                        .close("text");
            }
        }
        return svg.close("svg").toString();
    }

    /** How many times the height is enlarged against the length, to two figures. */
    public static long exaggeration(Layout layout, double pxPerMm) {
        double times = pxPerMm / (WIDTH / layout.box().width());
        double power = Math.pow(10, Math.max(0, Math.floor(Math.log10(times)) - 1));
        return Math.round(times / power) * (long) power;
    }
}

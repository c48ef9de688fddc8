package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.face.FaceMap;
import homalon.core.geometry.Plane;
import homalon.core.part.Layout;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A section along the middle of a face, front to rear, with its height drawn many times too large; on request the two long
 * edges as thin lines, since a twist shows nowhere else.
 */
public final class ProfileDrawing {
    private static final int WIDTH = 800;
    private static final int STEPS = 80;

    private final FaceMap map;
    private final Layout layout;
    private final Plane level;
    private final String id;
    private String style = "";
    private double paper;
    private int height = 84;
    private double leastSpan = 1e-4;
    private OptionalDouble cut = OptionalDouble.empty();
    private boolean edges;
    private boolean numbered;
    /** As cut through the map, once. */
    private List<Section> cuts;

    private ProfileDrawing(FaceMap map, Plane level, String id) {
        this.map = map;
        this.layout = map.land().layout();
        this.level = level;
        this.id = id;
    }

    /**
     * @param level heights are drawn above it
     * @param id unique on its page
     */
    public static ProfileDrawing of(FaceMap map, Plane level, String id) {
        return new ProfileDrawing(map, level, id);
    }

    public ProfileDrawing height(int px) {
        this.height = px;
        return this;
    }

    /** Heights that fill the picture at the least, mm: a flat face is to look flat. */
    public ProfileDrawing span(double mm) {
        this.leastSpan = Math.max(leastSpan, mm);
        return this;
    }

    /** A dashed line at this height, where the cutter ends. */
    public ProfileDrawing cut(double downTo) {
        this.cut = OptionalDouble.of(downTo);
        return this;
    }

    /** For paper: so wide, mm, and with its own style sheet. */
    public ProfileDrawing onPaper(double millimetres, String css) {
        this.paper = millimetres;
        this.style = css;
        return this;
    }

    /** The two long edges as well: exhaust thin, intake dotted. */
    public ProfileDrawing edges() {
        this.edges = true;
        this.cuts = null;
        return this;
    }

    /** Numbers of the bores below. */
    public ProfileDrawing numbered() {
        this.numbered = true;
        return this;
    }

    /** A section at one place across, and the style of its line. */
    private record Section(String style, double[] z) {}

    private Section section(String style, double share) {
        double[] z = new double[STEPS + 1];
        double y = layout.box().height() * share;
        for (int i = 0; i <= STEPS; i++) {
            z[i] = map.drawn(level, layout.box().width() * i / STEPS, y);
        }
        return new Section(style, z);
    }

    /** How the heights lie in the picture. */
    private final class Scale {
        private static final double TOP = 8;
        private final double most;
        private final double bottom = numbered ? height - 22.0 : height - 4.0;
        private final double perMm;

        Scale(List<Section> sections) {
            double least = cut.orElse(Double.POSITIVE_INFINITY);
            double greatest = Double.NEGATIVE_INFINITY;
            for (Section s : sections) {
                for (double z : s.z()) {
                    least = Math.min(least, z);
                    greatest = Math.max(greatest, z);
                }
            }
            this.most = greatest;
            this.perMm = (bottom - TOP) / Math.max(greatest - least, leastSpan);
        }

        double y(double z) {
            return TOP + (most - z) * perMm;
        }

        /** How many times the height is enlarged against the length, to two figures. */
        long exaggeration() {
            double times = perMm / (WIDTH / layout.box().width());
            double power = Math.pow(10, Math.max(0, Math.floor(Math.log10(times)) - 1));
            return Math.round(times / power) * (long) power;
        }
    }

    /** The edges first, where they are wanted; the middle last, over them. */
    private List<Section> sections() {
        if (cuts == null) {
            List<Section> all = new ArrayList<>();
            if (edges) {
                boolean intakeTop = layout.numbers().intakeAtTop();
                all.add(section(intakeTop ? "edge-exhaust" : "edge-intake", 0.04));
                all.add(section(intakeTop ? "edge-intake" : "edge-exhaust", 0.96));
            }
            all.add(section("surface", 0.5));
            cuts = all;
        }
        return cuts;
    }

    /** {@code height drawn 580 times}. */
    public String enlarged() {
        return "height drawn " + new Scale(sections()).exaggeration() + " times";
    }

    public String svg() {
        List<Section> sections = sections();
        Scale scale = new Scale(sections);
        Svg svg = new Svg();
        String label =
                "Section along the middle" + (edges ? " and both edges" : "") + ", front at the left, " + enlarged();
        String view = "0 0 " + WIDTH + " " + height;
        double high = paper * height / WIDTH;
        svg.frame(view, paper, high, "profile", label, "preserveAspectRatio", "none", "id", id);
        svg.style(style);
        String body = line(sections.get(sections.size() - 1), scale);
        svg.path(
                "body",
                body + "L" + WIDTH + " " + Markup.number(scale.bottom) + "L0 " + Markup.number(scale.bottom) + "Z");
        boolean cutting = cut.isPresent();
        double reference = scale.y(cut.orElse(scale.most));
        svg.line(cutting ? "cut" : "straight", 0, reference, WIDTH, reference);
        for (Section s : sections) {
            svg.path(s.style(), line(s, scale));
        }
        if (numbered) {
            numbers(svg, scale.bottom);
        }
        return svg.close("svg").toString();
    }

    private static String line(Section section, Scale scale) {
        StringBuilder line = new StringBuilder();
        for (int i = 0; i <= STEPS; i++) {
            Markup.point(line.append(i == 0 ? 'M' : 'L'), WIDTH * (double) i / STEPS, scale.y(section.z()[i]));
        }
        return line.toString();
    }

    private void numbers(Svg svg, double bottom) {
        for (Layout.Bore bore : layout.bores()) {
            double x = bore.centre().x() / layout.box().width() * WIDTH;
            svg.line("tick", x, bottom, x, bottom + 5);
            svg.words("figure", x, (double) height - 3, Anchor.MIDDLE, 14, Integer.toString(bore.number()));
        }
    }
}

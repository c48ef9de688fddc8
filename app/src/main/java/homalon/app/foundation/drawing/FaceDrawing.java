package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.cut.TouchCells;
import homalon.core.face.FaceMap;
import homalon.core.geometry.Box;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.sure.Sureness;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/**
 * Draws one face to scale, front end at the left. Layers are put on one by one and written in a fixed order; whoever
 * draws chooses layers, never shapes.
 */
public final class FaceDrawing {
    /** Room beside and below the casting on a usual bench screen, which label sizes are made for, px. */
    private static final double REFERENCE_WIDTH = 816;

    private static final double REFERENCE_HEIGHT = 400;
    /** Kept free at each side, and above and below for the names of the sides, px. */
    private static final double BESIDE = 8;

    private static final double ABOVE = 26;

    private final Layout layout;
    private String id;
    private final String title;
    private String style = "";
    private double paper;
    private final Box box;
    /** Millimetres that look like one pixel at the width for which it is drawn. */
    private double px;

    private boolean small;
    private FaceMap map;
    private Bands bands;
    private Raster above;
    private double touchedDownTo;
    private boolean touched;
    private final List<Sureness.Unknown> unknown = new ArrayList<>();
    private final List<PlaceMark> places = new ArrayList<>();
    private final List<EdgeMark> edges = new ArrayList<>();
    private double fullGap = 0.05;
    private final List<CrackMark> cracks = new ArrayList<>();
    private final List<ValveSign> valves = new ArrayList<>();
    private List<TouchCells.Cell> cells = List.of();
    private BitSet painted = new BitSet();
    private BitSet expected = new BitSet();

    private FaceDrawing(Layout layout, String id, String title) {
        this.layout = layout;
        this.id = id;
        this.title = title;
        this.box = layout.box();
        fittedInto(REFERENCE_WIDTH, REFERENCE_HEIGHT);
    }

    /**
     * @param id unique on its page
     * @param title what a screen reader says
     */
    public static FaceDrawing of(Layout layout, String id, String title) {
        return new FaceDrawing(layout, id, title);
    }

    /** Width at which it will be seen, px: signs and figures keep their size on the screen. */
    public FaceDrawing shownAt(double width) {
        this.px = Math.max(box.width(), box.height() * 1.9) / width;
        return this;
    }

    /** Room into which it is fitted whole, px: signs and figures keep their size on the screen. */
    public FaceDrawing fittedInto(double width, double height) {
        this.px = Math.max(box.width() / (width - 2 * BESIDE), box.height() / (height - 2 * ABOVE));
        return this;
    }

    /** The same drawing under another id, where two stand on one page. */
    public FaceDrawing named(String other) {
        this.id = other;
        return this;
    }

    /**
     * For paper: so wide, and with its own style sheet, since a printed drawing does not see the style of the page.
     *
     * @param millimetres width on the paper
     */
    public FaceDrawing onPaper(double millimetres, String css) {
        this.paper = millimetres;
        this.style = css;
        return this;
    }

    /** No labels, no side names: for lists. */
    public FaceDrawing small() {
        this.small = true;
        return this;
    }

    public FaceDrawing map(FaceMap faceMap, Bands colours) {
        this.map = faceMap;
        this.bands = colours;
        return this;
    }

    /** Bare where the cutter has come down to a height over a plane, untouched elsewhere. */
    public FaceDrawing touched(Raster heightsAbove, double downTo) {
        this.above = heightsAbove;
        this.touchedDownTo = downTo;
        this.touched = true;
        return this;
    }

    /** Parts of which little is known: the map fades there. */
    public FaceDrawing unknown(List<Sureness.Unknown> parts) {
        this.unknown.addAll(parts);
        return this;
    }

    public FaceDrawing places(List<PlaceMark> marks) {
        this.places.addAll(marks);
        return this;
    }

    /**
     * Laid straightedges with what feelers said along them.
     *
     * @param full the gap whose sign is drawn at its full height, mm; wider ones are drawn higher, up to twice that
     */
    public FaceDrawing edges(List<EdgeMark> marks, double full) {
        this.edges.addAll(marks);
        this.fullGap = full;
        return this;
    }

    /**
     * Cells to paint.
     *
     * @param on those painted
     * @param expected those that the cutter should have touched
     */
    public FaceDrawing cells(List<TouchCells.Cell> all, BitSet on, BitSet expected) {
        this.cells = all;
        this.painted = on;
        this.expected = expected;
        return this;
    }

    /** Cracks with the pins along them, and where bubbles were seen. */
    public FaceDrawing cracks(List<CrackMark> marks) {
        this.cracks.addAll(marks);
        return this;
    }

    /** Valves with what was found of each; they take the place of those drawn for recognition. */
    public FaceDrawing valves(List<ValveSign> signs) {
        this.valves.addAll(signs);
        return this;
    }

    public String svg() {
        double margin = small ? 2 * px : ABOVE * px;
        double side = small ? 2 * px : BESIDE * px;
        Svg svg = new Svg();
        String view = Markup.number(-side) + " " + Markup.number(-margin) + " " + Markup.number(box.width() + 2 * side)
                + " " + Markup.number(box.height() + 2 * margin);
        double high = paper * (box.height() + 2 * margin) / (box.width() + 2 * side);
        svg.frame(view, paper, high, small ? "face face-small" : "face", title, "data-height", box.height());
        svg.style(style);
        definitions(svg);
        land(svg, "metal", 0);
        MapLayer layer = new MapLayer(svg, box, px, id, small);
        svg.group(null, "id", id + "-map", "clip-path", "url(#" + id + "-land)");
        heights(layer);
        svg.closeGroup();
        drawCasting(svg);
        if (!small) {
            drawSides(svg);
            Optional.ofNullable(map).flatMap(m -> m.land().bands().inked()).ifPresent(layer::inked);
        }
        marks(svg);
        return svg.close("svg").toString();
    }

    private void heights(MapLayer layer) {
        if (touched) {
            layer.touched(above, touchedDownTo, !painted.isEmpty());
        } else if (map != null) {
            layer.map(map, bands);
        }
        for (int grade = 1; grade <= 3; grade++) {
            fade(layer, grade);
        }
    }

    private void fade(MapLayer layer, int grade) {
        List<Box> parts = unknown.stream()
                .filter(u -> u.grade() == grade)
                .map(Sureness.Unknown::cell)
                .toList();
        if (!parts.isEmpty()) {
            layer.fade(parts, grade);
        }
    }

    /** What was read, found or is to be done, over the casting. */
    private void marks(Svg svg) {
        drawCells(svg);
        if (!edges.isEmpty()) {
            new EdgeLayer(svg, box, px, fullGap).draw(edges);
        }
        new ValveLayer(svg, box, px, id).draw(valves);
        new CrackLayer(svg, box, px, small).draw(cracks);
        new PlaceLayer(layout, places, id, px).draw(svg);
    }

    private void definitions(Svg svg) {
        svg.open("defs");
        svg.empty(
                "path", "id", id + "-shape", "fill-rule", "evenodd", "clip-rule", "evenodd", "d", LandPath.of(layout));
        svg.open("clipPath", "id", id + "-land");
        land(svg, "clip", 0);
        svg.close("clipPath");
        double gap = (small ? 9 : 7) * px;
        svg.pattern(id + "-hatch", gap, "patternTransform", "rotate(45)");
        svg.line("hatch", 0, 0, 0, gap, 1.6 * px);
        svg.close("pattern");
        if (!unknown.isEmpty()) {
            svg.pattern(id + "-dots", 1.6 * gap);
            svg.circle("dot", 0.8 * gap, 0.8 * gap, 0.9 * px, 0);
            svg.close("pattern");
        }
        svg.close("defs");
    }

    private void drawCasting(Svg svg) {
        double line = (small ? 2.2 : 1.4) * px;
        land(svg, "edge", line);
        if (small) {
            return;
        }
        if (valves.isEmpty()) {
            layout.valves().forEach(v -> circle(svg, "valve", v.centre(), v.diameter() / 2, px));
        }
        layout.dowels().forEach(d -> circle(svg, "dowel", d.centre(), d.diameter() / 2, 2.2 * px));
        for (Layout.Bore bore : layout.bores()) {
            Spot c = bore.centre();
            String dash = Markup.number(5 * px) + " " + Markup.number(3 * px);
            svg.dashed("ring", c.x(), up(c.y()), bore.diameter() / 2 + 5 * px, 0.8 * px, dash);
            double y = up(c.y() + bore.diameter() * 0.19);
            text(svg, "bore-number", c.x(), y, 20, Anchor.MIDDLE, Integer.toString(bore.number()));
        }
    }

    private void drawCells(Svg svg) {
        if (cells.isEmpty()) {
            return;
        }
        svg.group("cells", "clip-path", "url(#" + id + "-land)", "stroke-width", 0.6 * px);
        for (TouchCells.Cell c : cells) {
            String style = (painted.get(c.number()) ? "on" : "off") + (expected.get(c.number()) ? " expected" : "");
            double top = box.height() - c.y0() - c.height();
            svg.rect(style, c.x0(), top, c.width(), c.height(), "data-cell", c.number());
        }
        svg.closeGroup();
    }

    private void drawSides(Svg svg) {
        boolean intakeTop = layout.numbers().intakeAtTop();
        double middle = box.width() / 2;
        text(svg, "side", middle, -9 * px, 14, Anchor.MIDDLE, intakeTop ? "INTAKE SIDE" : "EXHAUST SIDE");
        text(
                svg,
                "side",
                middle,
                box.height() + 19 * px,
                14,
                Anchor.MIDDLE,
                intakeTop ? "EXHAUST SIDE" : "INTAKE SIDE");
        text(svg, "side", 26 * px, -9 * px, 14, Anchor.START, "FRONT");
        String arrow = "M" + Markup.number(20 * px) + " " + Markup.number(-14 * px) + "H" + Markup.number(0) + "m"
                + Markup.number(7 * px) + " " + Markup.number(-4 * px) + "l" + Markup.number(-7 * px) + " "
                + Markup.number(4 * px)
                + "l" + Markup.number(7 * px) + " " + Markup.number(4 * px);
        svg.path("arrow", arrow, 1.3 * px);
    }

    private void text(Svg svg, String style, double x, double y, double sizePx, Anchor anchor, String content) {
        svg.words(style, x, y, anchor, sizePx * px, content);
    }

    private void circle(Svg svg, String style, Spot centre, double r, double line) {
        svg.circle(style, centre.x(), up(centre.y()), r, line);
    }

    private double up(double y) {
        return box.height() - y;
    }

    /** The land, drawn once and used wherever it is wanted. */
    private void land(Svg svg, String style, double line) {
        svg.empty("use", "class", style, "xlink:href", "#" + id + "-shape", "stroke-width", line);
    }
}

package homalon.app.foundation.drawing;

import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import java.util.List;

/** Places on a face with what is read there, supports, and the place that would tell most. */
final class PlaceLayer {
    private final Layout layout;
    private final List<PlaceMark> places;
    private final String id;
    private final double px;

    /** @param px millimetres of a pixel */
    PlaceLayer(Layout layout, List<PlaceMark> places, String id, double px) {
        this.layout = layout;
        this.places = places;
        this.id = id;
        this.px = px;
    }

    void draw(Markup svg) {
        // What all of them share is said once: sixty places come with every reading.
        svg.open(
                "g",
                "class",
                "places",
                "id",
                id + "-places",
                "stroke-width",
                1.4 * px,
                "font-size",
                12.5 * px,
                "text-anchor",
                "middle");
        LabelRoom room = new LabelRoom(layout, px);
        places.forEach(p -> room.keep(p.spot()));
        for (PlaceMark mark : places) {
            drawPlace(svg, mark, room);
        }
        svg.close("g");
    }

    private void drawPlace(Markup svg, PlaceMark mark, LabelRoom room) {
        double x = mark.spot().x();
        double y = up(mark.spot().y());
        svg.open(
                "g",
                "class",
                "place "
                        + mark.state().name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'),
                "data-place",
                mark.id());
        svg.open("title").text(mark.title()).close("title");
        svg.empty("circle", "class", "halo touch-area", "cx", x, "cy", y, "r", 15 * px, "stroke-width", 3 * px);
        double r = 4.5 * px;
        switch (mark.state()) {
            case SUPPORT -> {
                String d = "M" + Markup.number(x) + " " + Markup.number(y - 7 * px) + "l" + Markup.number(8 * px) + " "
                        + Markup.number(13 * px) + "h" + Markup.number(-16 * px) + "z";
                svg.empty("path", "class", "sign", "d", d);
            }
            case SUGGESTED ->
                svg.empty(
                        "circle",
                        "class",
                        "sign",
                        "cx",
                        x,
                        "cy",
                        y,
                        "r",
                        9 * px,
                        "stroke-width",
                        2 * px,
                        "stroke-dasharray",
                        Markup.number(4 * px));
            case SKIPPED -> svg.empty("path", "class", "sign", "d", cross(x, y, r * 0.8, true));
            case OPEN -> svg.empty("circle", "class", "sign", "cx", x, "cy", y, "r", r, "stroke-width", 1.6 * px);
            default -> svg.empty("path", "class", "sign", "d", cross(x, y, r, false));
        }
        if (!mark.label().isEmpty()) {
            label(svg, mark, room);
        }
        svg.close("g");
    }

    private void label(Markup svg, PlaceMark mark, LabelRoom room) {
        double width = (mark.label().length() * 7.4 + 8) * px;
        double height = 16 * px;
        Spot centre = room.place(mark.spot(), width, height);
        svg.empty(
                "rect",
                "class",
                "plate",
                "x",
                centre.x() - width / 2,
                "y",
                up(centre.y()) - height / 2,
                "width",
                width,
                "height",
                height,
                "rx",
                2 * px);
        svg.open("text", "class", "figure", "x", centre.x(), "y", up(centre.y()) + 4.4 * px)
                .text(mark.label())
                .close("text");
    }

    private static String cross(double x, double y, double r, boolean turned) {
        String d = Markup.number(2 * r);
        if (turned) {
            return "M" + Markup.number(x - r) + " " + Markup.number(y - r) + "l" + d + " " + d + "M"
                    + Markup.number(x - r) + " " + Markup.number(y + r) + "l" + d + " -" + d;
        }
        return "M" + Markup.number(x - r) + " " + Markup.number(y) + "h" + d + "M" + Markup.number(x) + " "
                + Markup.number(y - r) + "v" + d;
    }

    private double up(double y) {
        return layout.box().height() - y;
    }
}

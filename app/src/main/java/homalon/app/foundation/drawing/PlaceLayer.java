package homalon.app.foundation.drawing;

import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import java.util.List;
import java.util.Locale;

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

    void draw(Svg svg) {
        // What all of them share is said once: sixty places come with every reading.
        String name = id + "-places";
        double text = 13.2 * px;
        svg.group("places", "id", name, "stroke-width", 1.4 * px, "font-size", text, "text-anchor", "middle");
        LabelRoom room = new LabelRoom(layout, px);
        places.forEach(p -> room.keep(p.spot()));
        for (PlaceMark mark : places) {
            drawPlace(svg, mark, room);
        }
        svg.closeGroup();
    }

    private void drawPlace(Svg svg, PlaceMark mark, LabelRoom room) {
        double x = mark.spot().x();
        double y = up(mark.spot().y());
        String state = mark.state().name().toLowerCase(Locale.ROOT).replace('_', '-');
        svg.group("place " + state, "data-place", mark.id());
        svg.title(mark.title());
        svg.circle("halo touch-area", x, y, 15 * px, 3 * px);
        double r = 4.5 * px;
        switch (mark.state()) {
            case SUPPORT -> {
                String d = "M" + Markup.number(x) + " " + Markup.number(y - 7 * px) + "l" + Markup.number(8 * px) + " "
                        + Markup.number(13 * px) + "h" + Markup.number(-16 * px) + "z";
                svg.path("sign", d);
            }
            case SUGGESTED -> svg.dashed("sign", x, y, 9 * px, 2 * px, Markup.number(4 * px));
            case SKIPPED -> svg.path("sign", cross(x, y, r * 0.8, true));
            case OPEN -> svg.circle("sign", x, y, r, 1.6 * px);
            default -> svg.path("sign", cross(x, y, r, false));
        }
        if (!mark.label().isEmpty()) {
            label(svg, mark, room);
        }
        svg.closeGroup();
    }

    private void label(Svg svg, PlaceMark mark, LabelRoom room) {
        double width = (mark.label().length() * 7.8 + 8) * px;
        double height = 16 * px;
        Spot centre = room.place(mark.spot(), width, height);
        svg.rounded("plate", centre.x() - width / 2, up(centre.y()) - height / 2, width, height, 2 * px);
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

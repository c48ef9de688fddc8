package homalon.core.integrity;

import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import java.util.Comparator;
import java.util.List;

/** Where a crack lies on the drawing when only its place, its bore and its length are known; millimetres of the layout. */
public final class CrackSpots {
    private CrackSpots() {}

    /** From one tip to the other. */
    public record Tips(Spot from, Spot to) {}

    /**
     * @param bore index from 0; clamped to the bores there are
     * @param length mm; 0 gives one spot twice
     */
    public static Tips of(Layout layout, CrackPlace place, int bore, double length) {
        int i = Math.max(0, Math.min(layout.bores().size() - 1, bore));
        Layout.Bore b = layout.bores().get(i);
        double r = b.diameter() / 2;
        double x = b.centre().x();
        double y = b.centre().y();
        return switch (place) {
            case BETWEEN_SEATS -> across(new Spot(x, y), length, 1, 0);
            case SEAT_TO_BORE -> {
                // The valves of a block stand on its exhaust side.
                double out = layout.numbers().intakeAtTop() ? -1 : 1;
                yield onwards(new Spot(x + r * 0.42, y + out * r), length, 0, out);
            }
            case SEAT_TO_PLUG -> onwards(new Spot(x - r * 0.4, y + r * 0.37), length, 0, 1);
            case SEAT_TO_WATER ->
                towards(new Spot(x, y), nearest(layout.waterHoles(), b, new Spot(x, y - r)), r * 0.6, length);
            case BETWEEN_BORES -> {
                double next = i + 1 < layout.bores().size()
                        ? (x + layout.bores().get(i + 1).centre().x()) / 2
                        : x + r + 6;
                yield across(new Spot(next, y), length, 0, 1);
            }
            case BORE_WALL -> across(new Spot(x, y - r), length, 1, 0);
            case BOLT_HOLE ->
                towards(nearest(layout.boltHoles(), b, new Spot(x - r, y - r)), new Spot(x, y), 4, length);
            case EXHAUST_PORT, GUIDE_BOSS, SPRING_POCKET -> across(new Spot(x + r * 0.44, y), length, 0.7, 0.7);
            case MAIN_WEB, FACE -> across(new Spot(x + r, y + r), length, 0.7, -0.7);
        };
    }

    private static Spot nearest(List<Layout.Hole> holes, Layout.Bore bore, Spot otherwise) {
        return holes.stream()
                .map(Layout.Hole::centre)
                .min(Comparator.comparingDouble(c -> c.distance(bore.centre())))
                .orElse(otherwise);
    }

    private static Tips across(Spot middle, double length, double ax, double ay) {
        double n = Math.hypot(ax, ay);
        double dx = ax / n * length / 2;
        double dy = ay / n * length / 2;
        return new Tips(new Spot(middle.x() - dx, middle.y() - dy), new Spot(middle.x() + dx, middle.y() + dy));
    }

    private static Tips onwards(Spot from, double length, double ax, double ay) {
        return new Tips(from, new Spot(from.x() + ax * length, from.y() + ay * length));
    }

    private static Tips towards(Spot from, Spot to, double begin, double length) {
        double n = Math.max(1e-6, from.distance(to));
        double ax = (to.x() - from.x()) / n;
        double ay = (to.y() - from.y()) / n;
        return onwards(new Spot(from.x() + ax * begin, from.y() + ay * begin), length, ax, ay);
    }
}

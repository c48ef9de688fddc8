package homalon.app.foundation.drawing;

import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import java.util.ArrayList;
import java.util.List;

/** Finds room for a figure beside its place: off the holes and off the other figures, as far as there is any. */
final class LabelRoom {
    private record Plate(double x, double y, double width, double height) {
        double overlap(Plate o) {
            double w = Math.min(x + width / 2, o.x + o.width / 2) - Math.max(x - width / 2, o.x - o.width / 2);
            double h = Math.min(y + height / 2, o.y + o.height / 2) - Math.max(y - height / 2, o.y - o.height / 2);
            return w > 0 && h > 0 ? w * h : 0;
        }
    }

    private record Weighed(Plate plate, double weight) {}

    private final Layout layout;
    private final double px;
    private final List<Plate> taken = new ArrayList<>(150);
    private final List<Plate> holes = new ArrayList<>();
    private final List<Weighed> near = new ArrayList<>(50);

    LabelRoom(Layout layout, double px) {
        this.layout = layout;
        this.px = px;
        for (List<Layout.Hole> some : List.of(layout.boltHoles(), layout.waterHoles())) {
            some.forEach(h -> holes.add(new Plate(h.centre().x(), h.centre().y(), h.diameter(), h.diameter())));
        }
    }

    /** Keeps a place's own sign clear. */
    void keep(Spot spot) {
        taken.add(new Plate(spot.x(), spot.y(), 10 * px, 10 * px));
    }

    Spot place(Spot spot, double width, double height) {
        double dx = width / 2 + 8 * px;
        double dy = height / 2 + 8 * px;
        double[][] sides = {{0, -dy}, {0, dy}, {dx, 0}, {-dx, 0}, {dx, -dy}, {-dx, -dy}, {dx, dy}, {-dx, dy}};
        near.clear();
        Plate reach = new Plate(spot.x(), spot.y(), 2 * (dx + width), 2 * (dy + height));
        choose(taken, reach, 3);
        choose(holes, reach, 1);
        Plate best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int k = 0; k < sides.length; k++) {
            Plate plate = new Plate(
                    within(spot.x() + sides[k][0], width, layout.box().width()),
                    within(spot.y() + sides[k][1], height, layout.box().height()),
                    width,
                    height);
            double cost = cost(plate, k * 0.01 * px * px, least);
            if (cost < least) {
                least = cost;
                best = plate;
            }
        }
        taken.add(best);
        return new Spot(best.x(), best.y());
    }

    /** What no side of this place can come near is not asked about for each side. */
    private void choose(List<Plate> from, Plate reach, double weight) {
        for (Plate plate : from) {
            if (reach.overlap(plate) > 0) {
                near.add(new Weighed(plate, weight));
            }
        }
    }

    private static double within(double centre, double size, double most) {
        return Math.max(size / 2, Math.min(most - size / 2, centre));
    }

    /** Stops adding up once it is no better than the least so far. */
    private double cost(Plate plate, double start, double least) {
        double cost = start;
        for (int i = 0; i < near.size() && cost < least; i++) {
            cost += near.get(i).weight() * plate.overlap(near.get(i).plate());
        }
        return cost;
    }
}

package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import java.util.Optional;

/** So many more places wanted in some part of the face: in a rectangle, or in a ring. Counted down as places are set. */
final class PlaceDemand {
    private record Ring(Spot centre, double from, double to) {}

    private final Box reach;
    private final Optional<Ring> ring;
    private int open;

    private PlaceDemand(Box reach, Optional<Ring> ring, int open) {
        this.reach = reach;
        this.ring = ring;
        this.open = open;
    }

    static PlaceDemand in(Box box, int places) {
        return new PlaceDemand(box, Optional.empty(), places);
    }

    /** @param from radius from which the ring runs to the other, mm; 0 for a disc */
    static PlaceDemand around(Spot centre, double from, double to, int places) {
        Box reach = new Box(centre.x() - to, centre.y() - to, centre.x() + to, centre.y() + to);
        return new PlaceDemand(reach, Optional.of(new Ring(centre, from, to)), places);
    }

    /** Nothing outside it serves. */
    Box reach() {
        return reach;
    }

    boolean fillsItsReach() {
        return ring.isEmpty();
    }

    /** Edges serve as well. */
    boolean holds(double x, double y) {
        if (ring.isEmpty()) {
            return x >= reach.x0() && x <= reach.x1() && y >= reach.y0() && y <= reach.y1();
        }
        Ring r = ring.get();
        double away = r.centre().distance(new Spot(x, y));
        return away >= r.from() && away <= r.to();
    }

    void place(Spot spot) {
        if (open > 0 && holds(spot.x(), spot.y())) {
            open--;
        }
    }

    boolean met() {
        return open == 0;
    }
}

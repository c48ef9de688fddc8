package homalon.core.cut;

import homalon.core.face.FaceMap;
import homalon.core.geometry.Box;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.ledger.CornerDepths;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What one set-up takes off where, worked out from the map, on the rounded shims. Depths are millimetres along z.
 *
 * @param setUp the set-up
 * @param moreThanLeast its depth to clean, on the rounded shims, against the least of all set-ups, zero or more
 * @param corners metal off at the four corners of the face once it is clean
 * @param bores metal off around each bore: the mean over the middle of the ring where the fire ring seals
 * @param taperLeft what the face is off parallel afterwards; empty when the thickness was not measured
 * @param heights of the map above the plane that is cut
 * @param firstTouch height over that plane at which the cutter first touches
 * @param cornerHeights of the map at the corners of the face above the plane that is cut, in the order of the layout
 */
public record Removal(
        SetUp setUp,
        double moreThanLeast,
        List<At> corners,
        List<At> bores,
        Optional<TaperLeft> taperLeft,
        Raster heights,
        double firstTouch,
        List<Double> cornerHeights) {
    private static final int AROUND = 48;

    /** A named place and the metal off there, zero or more. */
    public record At(String name, Spot spot, double depth) {}

    /**
     * @param along how much thicker the rear end stays than the front, mm over the length
     * @param across how much thicker the upper edge of the drawing stays than the lower, mm over the width
     */
    public record TaperLeft(double along, double across) {
        /** True when a micrometer would see none of it. */
        public boolean none() {
            return Math.max(Math.abs(along), Math.abs(across)) < 5e-5;
        }
    }

    static Removal of(SetUp setUp, double least, FaceMap map, double highest, Optional<Slopes> reference) {
        Layout layout = map.land().layout();
        double bottom = highest - setUp.toClean();
        List<At> corners = new ArrayList<>();
        List<Double> cornerHeights = new ArrayList<>();
        for (Spot corner : layout.corners()) {
            double height = map.above(setUp.onShims(), corner.x(), corner.y());
            cornerHeights.add(height);
            corners.add(new At(PlaceNames.corner(layout, corner), corner, Math.max(0, height - bottom)));
        }
        List<At> bores = layout.bores().stream()
                .map(b -> new At(Integer.toString(b.number()), b.centre(), around(b, setUp, map, bottom)))
                .toList();
        return new Removal(
                setUp,
                Math.max(0, setUp.toClean() - least),
                List.copyOf(corners),
                bores,
                reference.map(r -> taper(setUp, r, layout.box())),
                map.heightsAbove(setUp.onShims()),
                highest,
                List.copyOf(cornerHeights));
    }

    private static double around(Layout.Bore bore, SetUp setUp, FaceMap map, double bottom) {
        double r = bore.diameter() / 2 + RuleBook.DEFAULT_FIRE_RING_BAND.mm() / 2;
        return IntStream.range(0, AROUND)
                .mapToDouble(k -> 2 * Math.PI * k / AROUND)
                .map(angle -> map.above(
                        setUp.onShims(),
                        bore.centre().x() + r * Math.cos(angle),
                        bore.centre().y() + r * Math.sin(angle)))
                .map(height -> Math.max(0, height - bottom))
                .average()
                .orElse(0);
    }

    private static TaperLeft taper(SetUp setUp, Slopes reference, Box box) {
        return new TaperLeft(
                (setUp.onShims().a() - reference.a()) * box.width(),
                (setUp.onShims().b() - reference.b()) * box.height());
    }

    /**
     * Metal off at the corners by one pass: what the cutter takes there between two depths from first touch, which is at the
     * highest metal of the map. A deeper cut never takes less anywhere.
     *
     * @param before cut already
     * @param depth of the pass
     */
    public CornerDepths taken(Length before, Length depth) {
        List<Length> each = new ArrayList<>();
        for (double height : cornerHeights) {
            double from = Math.max(0, height - firstTouch + before.mm());
            double to = Math.max(0, height - firstTouch + before.plus(depth).mm());
            Length off = Length.roundedFromMm(to - from);
            each.add(off);
        }
        return new CornerDepths(each);
    }

    /** What the cut takes at the rim of each chamber. */
    public RimDepths rims(FaceMap map) {
        return RimDepths.of(map, setUp.onShims(), firstTouch);
    }

    /** Height over the plane that is cut to which the cutter has come after so much in all. */
    public double downTo(Length total) {
        return total.signum() == 0 ? Math.nextUp(firstTouch) : firstTouch - total.mm();
    }
}

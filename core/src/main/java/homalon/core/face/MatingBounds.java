package homalon.core.face;

import homalon.core.geometry.Range;
import homalon.core.numeric.LinearBounds.Band;
import homalon.core.part.Layout;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A head on its deck when at least one of them was read with straightedge and feelers: no map, but what bow and twist each may
 * have. The gap between two smooth faces is the zone of their sum, e_h + e_d, f_h + f_d, and the twists added as the faces
 * lie on each other. It is greatest at a corner of what the readings of each allow; the least that is told is taken over the
 * three ranges by themselves, and may be less than it is. Local dips are not in it.
 *
 * @param gap that may stay open between the two, mm; infinite where nothing bounds it
 * @param words what the two shapes say together
 */
public record MatingBounds(Range gap, List<Message> words) {

    /**
     * What one smooth face may be, mm: long bow, cross bow and fourth-corner lift.
     *
     * @param corners of all three together, the lift by its quarter; none where nothing bounds it
     */
    public record Shape(Range longBow, Range crossBow, Range fourthCornerLift, List<double[]> corners) {
        /** Known by its three ranges only. */
        static Shape within(Range longBow, Range crossBow, Range fourthCornerLift) {
            List<double[]> corners = new ArrayList<>();
            if (finite(longBow) && finite(crossBow) && finite(fourthCornerLift)) {
                for (double e : new double[] {longBow.least(), longBow.most()}) {
                    for (double f : new double[] {crossBow.least(), crossBow.most()}) {
                        for (double lift : new double[] {fourthCornerLift.least(), fourthCornerLift.most()}) {
                            corners.add(new double[] {e, f, lift / 4});
                        }
                    }
                }
            }
            return new Shape(longBow, crossBow, fourthCornerLift, List.copyOf(corners));
        }

        /** By feelers; empty when no one smooth bow and twist explains them. */
        public static Optional<Shape> of(FeelerResult result) {
            return result.fits() == FeelerResult.Fits.ONE_BOW
                    ? result.shape().map(a -> new Shape(a.longBow(), a.crossBow(), a.fourthCornerLift(), a.corners()))
                    : Optional.empty();
        }

        /**
         * By points, each as wide as two standard errors.
         *
         * @param reading standard error of one reading, mm
         */
        public static Shape of(BowAndTwist bend, double reading) {
            return within(
                    range(bend.longBow().orElse(0), bend.error().longBow(), reading),
                    range(bend.crossBow().orElse(0), bend.error().crossBow(), reading),
                    range(bend.fourthCornerLift().orElse(0), bend.error().fourthCornerLift(), reading));
        }

        private static Range range(double value, double error, double reading) {
            double half = 2 * error * reading;
            return Double.isNaN(half) || Double.isInfinite(error)
                    ? new Range(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY)
                    : new Range(value - half, value + half);
        }
    }

    /** Empty when the two can be no pair. */
    public static Optional<MatingBounds> of(Shape head, Layout headLayout, Shape deck, Layout deckLayout) {
        if (!Mating.pair(headLayout, deckLayout)) {
            return Optional.empty();
        }
        boolean mirrored =
                headLayout.numbers().intakeAtTop() != deckLayout.numbers().intakeAtTop();
        Range twist = mirrored ? minus(head.fourthCornerLift()) : head.fourthCornerLift();
        Range e = plus(head.longBow(), deck.longBow());
        Range f = plus(head.crossBow(), deck.crossBow());
        Range lift = plus(twist, deck.fourthCornerLift());
        List<Band> bands = List.of(
                new Band(new double[] {1, 0, 0}, e.least(), e.most()),
                new Band(new double[] {0, 1, 0}, f.least(), f.most()),
                new Band(new double[] {0, 0, 4}, lift.least(), lift.most()));
        double least = BowTwistZone.over(bands, List.of()).least();
        double most = 0;
        for (double[] h : head.corners()) {
            for (double[] d : deck.corners()) {
                double twists = mirrored ? d[2] - h[2] : d[2] + h[2];
                most = Math.max(most, BowTwistZone.of(new double[] {h[0] + d[0], h[1] + d[1], twists}));
            }
        }
        boolean bounded = !head.corners().isEmpty() && !deck.corners().isEmpty();
        Range gap = bounded ? new Range(Math.min(least, most), most) : new Range(least, Double.POSITIVE_INFINITY);
        return Optional.of(new MatingBounds(gap, words(head, deck)));
    }

    private static List<Message> words(Shape head, Shape deck) {
        List<Message> words = new ArrayList<>();
        say(words, "lengthwise", head.longBow(), deck.longBow());
        say(words, "crosswise", head.crossBow(), deck.crossBow());
        words.add(Message.of("face.by-bow-and-twist-alone-dips-between-the"));
        return List.copyOf(words);
    }

    private static void say(List<Message> words, String way, Range head, Range deck) {
        if (sign(head) > 0 && sign(deck) > 0) {
            words.add(Message.of("face.both-are-hollow-they-moved-together-so", way));
        } else if (sign(head) * sign(deck) < 0) {
            words.add(Message.of("face.one-is-hollow-where-the-other-is", way));
        } else if (sign(head) < 0 && sign(deck) < 0) {
            words.add(Message.of("face.both-are-crowned-they-touch-in-the", way));
        }
    }

    /** Of a bow that is proven; 0 for one that may be either way. */
    private static int sign(Range range) {
        return range.least() > 0 ? 1 : range.most() < 0 ? -1 : 0;
    }

    private static Range plus(Range a, Range b) {
        return new Range(a.least() + b.least(), a.most() + b.most());
    }

    private static Range minus(Range a) {
        return new Range(-a.most(), -a.least());
    }

    private static boolean finite(Range r) {
        return Double.isFinite(r.least()) && Double.isFinite(r.most());
    }
}

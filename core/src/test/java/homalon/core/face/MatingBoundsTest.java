package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.MatingBounds.Shape;
import homalon.core.geometry.Box;
import homalon.core.geometry.Range;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import homalon.core.words.English;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MatingBoundsTest {
    private static Layout layout(PartKind kind, int bores) {
        return Layout.of(LayoutNumbers.proposed(kind, bores, Length.ofMm("87"), Length.ofMm("98")));
    }

    private static final Layout HEAD = layout(PartKind.HEAD, 4);
    private static final Layout DECK = layout(PartKind.DECK, 4);

    private static Shape exactly(double e, double f, double lift) {
        return Shape.within(new Range(e, e), new Range(f, f), new Range(lift, lift));
    }

    private static MatingBounds of(Shape head, Shape deck) {
        return MatingBounds.of(head, HEAD, deck, DECK).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "0.06, 0.04, 0.10, cut both",
        "0.06, -0.06, 0, close better",
        "-0.03, -0.02, 0.05, touch in the middle",
        "0.06, 0, 0.06, dips between"
    })
    void bowsAddUp(double head, double deck, double gap, String says) {
        MatingBounds both = of(exactly(head, 0, 0), exactly(deck, 0, 0));
        assertEquals(gap, both.gap().most(), 1e-9);
        assertEquals(gap, both.gap().least(), 1e-9);
        assertTrue(
                String.join(" ", English.of(both.words())).contains(says),
                English.of(both.words()).toString());
    }

    /** Lift L is a twist of L / 2 from plane to plane; on each other, turned over, equal twists may cancel or add. */
    @Test
    void twistsAddAsTheFacesLieOnEachOther() {
        boolean mirrored = HEAD.numbers().intakeAtTop() != DECK.numbers().intakeAtTop();
        double alike = of(exactly(0, 0, 0.1), exactly(0, 0, 0.1)).gap().most();
        double against = of(exactly(0, 0, 0.1), exactly(0, 0, -0.1)).gap().most();
        assertEquals(mirrored ? 0 : 0.1, alike, 1e-9);
        assertEquals(mirrored ? 0.1 : 0, against, 1e-9);
    }

    /** Both twists are known to a range, and add as the faces lie on each other: neither end of the gap is lost on the way. */
    @Test
    void rangesOfTwistKeepBothEnds() {
        boolean mirrored = HEAD.numbers().intakeAtTop() != DECK.numbers().intakeAtTop();
        Range none = new Range(0, 0);
        Shape head = Shape.within(none, none, new Range(0.10, 0.14));
        Shape deck = Shape.within(none, none, mirrored ? new Range(-0.08, -0.06) : new Range(0.06, 0.08));
        Range gap = of(head, deck).gap();
        assertEquals(0.16 / 2, gap.least(), 1e-6);
        assertEquals(0.22 / 2, gap.most(), 1e-9);
    }

    /** What may be either way moved with nothing. */
    @ParameterizedTest
    @CsvSource({"0, 0.02, 0.01, 0.02, 1", "-0.02, 0, -0.02, -0.01, 1", "0.01, 0.02, 0.01, 0.02, 2"})
    void aBowThatMayBeNoneIsNotCalledOne(double a, double b, double c, double d, int words) {
        Range none = new Range(0, 0);
        assertEquals(
                words,
                English.of(of(Shape.within(new Range(a, b), none, none), Shape.within(new Range(c, d), none, none))
                                .words())
                        .size());
    }

    /** Feelers that one bow and twist explain bound the shape; an edge that bows by itself does not. */
    @Test
    void feelersBoundAShape() {
        Box box = new Box(0, 0, 400, 150);
        FeelerResult one = Feelers.look(felt(new SeededFace(box, 0, 0, 0.06, 0, 0, List.of())));
        Shape shape = Shape.of(one).orElseThrow();
        assertEquals(one.shape().orElseThrow().longBow(), shape.longBow());
        assertEquals(one.shape().orElseThrow().crossBow(), shape.crossBow());
        assertEquals(one.shape().orElseThrow().fourthCornerLift(), shape.fourthCornerLift());
        assertTrue(shape.longBow().least() <= 0.06 && 0.06 <= shape.longBow().most());
        assertTrue(Shape.of(Feelers.look(felt(new SeededFace(box, 0, 0, 0.03, 0, 0, 0.03, List.of()))))
                .isEmpty());
    }

    private static FeelerSurvey felt(SeededFace face) {
        List<FeelerLine> lines = FeelerHand.lines(face.box(), 3).stream()
                .map(l -> FeelerHand.findGap(face, l))
                .toList();
        return new FeelerSurvey(face.box(), 0.02, lines, 0.2, FeelerSurvey.Kind.ZONE);
    }

    @Test
    void theTrueGapOfTwoSmoothFacesIsAlwaysWithinTheBounds() {
        Random random = new Random(3);
        boolean mirrored = HEAD.numbers().intakeAtTop() != DECK.numbers().intakeAtTop();
        for (int i = 0; i < 500; i++) {
            double[] h = {random.nextGaussian() * 0.05, random.nextGaussian() * 0.02, random.nextGaussian() * 0.1};
            double[] d = {random.nextGaussian() * 0.05, random.nextGaussian() * 0.02, random.nextGaussian() * 0.1};
            MatingBounds both = of(around(h, random), around(d, random));
            double gap =
                    BowTwistZone.of(new double[] {h[0] + d[0], h[1] + d[1], ((mirrored ? -h[2] : h[2]) + d[2]) / 4});
            assertTrue(both.gap().least() <= gap + 1e-9 && gap <= both.gap().most() + 1e-9);
        }
    }

    private static Shape around(double[] x, Random random) {
        Range[] r = new Range[3];
        for (int i = 0; i < 3; i++) {
            r[i] = new Range(x[i] - random.nextDouble() * 0.03, x[i] + random.nextDouble() * 0.03);
        }
        return Shape.within(r[0], r[1], r[2]);
    }

    @Test
    void whatIsNotBoundedLeavesTheGapOpenAndOtherBoresAreNoPair() {
        Range open = new Range(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
        MatingBounds both = of(Shape.within(new Range(0.05, 0.06), open, new Range(0, 0)), exactly(0.02, 0, 0));
        assertEquals(Double.POSITIVE_INFINITY, both.gap().most());
        assertEquals(0.07, both.gap().least(), 1e-6);
        assertTrue(MatingBounds.of(exactly(0, 0, 0), layout(PartKind.HEAD, 3), exactly(0, 0, 0), DECK)
                .isEmpty());
    }

    @Test
    void aShapeByPointsIsAsWideAsItsStandardErrors() {
        BowAndTwist bend = new BowAndTwist(
                OptionalDouble.of(0.05),
                OptionalDouble.empty(),
                OptionalDouble.of(0.02),
                new BowAndTwist.Errors(0.5, Double.POSITIVE_INFINITY, 2),
                0,
                0,
                0);
        Shape shape = Shape.of(bend, 0.003);
        assertEquals(0.047, shape.longBow().least(), 1e-12);
        assertEquals(0.053, shape.longBow().most(), 1e-12);
        assertEquals(Double.POSITIVE_INFINITY, shape.crossBow().most());
        assertEquals(0.032, shape.fourthCornerLift().most(), 1e-12);
    }

    private static Layout turned(Layout of) {
        LayoutNumbers n = of.numbers();
        return Layout.of(new LayoutNumbers(
                n.cylinders(),
                n.firstNumber(),
                n.numberStep(),
                n.bore(),
                n.spacing(),
                n.length(),
                n.width(),
                n.boltRows(),
                n.boltHole(),
                n.waterHoles(),
                n.chambers(),
                !n.intakeAtTop()));
    }

    /** Drawn with its intake on the other edge, a deck's twist stands the other way round against its head's. */
    @Test
    void aDeckThatIsDrawnTheOtherWayRoundTurnsTheTwist() {
        Shape twisted = exactly(0, 0, 0.1);
        Layout other = turned(DECK);
        assertEquals(
                0.1,
                MatingBounds.of(twisted, HEAD, twisted, DECK)
                        .orElseThrow()
                        .gap()
                        .most(),
                1e-9);
        MatingBounds against = MatingBounds.of(twisted, HEAD, twisted, other).orElseThrow();
        assertEquals(0, against.gap().most(), 1e-9);
        assertEquals(0, against.gap().least(), 1e-9);
        Shape wide = Shape.within(new Range(0, 0), new Range(0, 0), new Range(0.06, 0.1));
        MatingBounds open = MatingBounds.of(wide, HEAD, twisted, other).orElseThrow();
        assertEquals(0.02, open.gap().most(), 1e-9, "0.1 less 0.06, half of it from plane to plane");
        assertEquals(0, open.gap().least(), 1e-9);
    }

    /** Lifts of 0.10 to 0.14 and of 0.30 to 0.34 against one of 0.20: the less they leave is told, whichever is the greater. */
    @ParameterizedTest
    @CsvSource({"0.10, 0.14, 0.03, 0.05", "0.30, 0.34, 0.05, 0.07"})
    void mirroredRangesOfTwistKeepBothEnds(double from, double to, double least, double most) {
        Range none = new Range(0, 0);
        Range gap = MatingBounds.of(
                        Shape.within(none, none, new Range(from, to)), HEAD, exactly(0, 0, 0.20), turned(DECK))
                .orElseThrow()
                .gap();
        assertEquals(least, gap.least(), 1e-6);
        assertEquals(most, gap.most(), 1e-9);
    }

    /** What may be either way is not called hollow or crowned. */
    @ParameterizedTest
    @CsvSource({"0, 0.02", "-0.02, 0", "-0.01, 0.01"})
    void aBowThatMayBeEitherWayIsNotNamed(double least, double most) {
        Shape open = Shape.within(new Range(least, most), new Range(0, 0), new Range(0, 0));
        assertEquals(1, English.of(of(open, exactly(0.05, 0, 0)).words()).size());
        assertEquals(1, English.of(of(open, exactly(-0.05, 0, 0)).words()).size());
    }
}

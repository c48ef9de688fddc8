package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.Length;
import homalon.core.sim.SeededFace;
import homalon.core.words.English;
import org.junit.jupiter.api.Test;

class MatingTest {

    private static Layout layout(int bores, ChamberShape shape, boolean intakeAtTop) {
        return Layout.of(new LayoutNumbers(
                bores,
                1,
                1,
                Length.ofMm("87"),
                Length.ofMm("98"),
                Length.ofMm("412"),
                Length.ofMm("150"),
                BoltRows.TWO,
                Length.ofMm("12"),
                4,
                shape,
                intakeAtTop));
    }

    @Test
    void twoHollowsAddUpAndAreSaidToHaveMovedTogether() {
        FaceMap head = SeededMaps.map(layout(4, ChamberShape.CUT_OFF, false), 0.06, 0.2);
        FaceMap deck = SeededMaps.map(layout(4, ChamberShape.ROUND, false), 0.04, -0.1);
        Mating both = Mating.of(head, deck).orElseThrow();
        assertEquals(0.10, both.greatest(), 0.012);
        assertTrue(
                English.of(both.words()).get(1).contains("cut both"),
                English.of(both.words()).toString());
        assertTrue(
                English.of(both.words()).get(0).contains("between 2 and 3"),
                English.of(both.words()).toString());
    }

    @Test
    void aHollowHeadOnACrownedDeckClosesUp() {
        FaceMap head = SeededMaps.map(layout(4, ChamberShape.CUT_OFF, false), 0.06, 0);
        FaceMap deck = SeededMaps.map(layout(4, ChamberShape.ROUND, false), -0.06, 0);
        Mating both = Mating.of(head, deck).orElseThrow();
        assertTrue(both.greatest() < 0.012, "left open: " + both.greatest());
        assertTrue(English.of(both.words()).get(1).contains("close better"));
    }

    /** A head is turned over onto its deck: what is drawn above on one is drawn below on the other. */
    @Test
    void sidesMeetByIntakeAndExhaustNotByTheDrawing() {
        Layout top = layout(4, ChamberShape.CUT_OFF, false);
        Layout bottom = layout(4, ChamberShape.ROUND, true);
        // Both low at the intake edge: below on the head's drawing, above on the deck's.
        FaceMap head = SeededMaps.map(top, 0, 0, new SeededFace.Dip(new Spot(206, 10), 0.06, 60));
        FaceMap deck = SeededMaps.map(bottom, 0, 0, new SeededFace.Dip(new Spot(206, 140), 0.06, 60));
        Mating both = Mating.of(head, deck).orElseThrow();
        assertTrue(both.greatest() > 0.1, "the two dips lie over each other: " + both.greatest());
        assertTrue(both.at().y() > 100);
        Layout same = layout(4, ChamberShape.ROUND, false);
        FaceMap other = SeededMaps.map(same, 0, 0, new SeededFace.Dip(new Spot(206, 140), 0.06, 60));
        assertTrue(Mating.of(head, other).orElseThrow().greatest() < 0.085);
    }

    @Test
    void castingsThatCanBeNoPairAreNotPutTogether() {
        FaceMap head = SeededMaps.map(layout(4, ChamberShape.CUT_OFF, false), 0.06, 0);
        FaceMap deck = SeededMaps.map(layout(3, ChamberShape.ROUND, false), 0.06, 0);
        assertTrue(Mating.of(head, deck).isEmpty());
    }
}

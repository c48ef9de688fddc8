package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
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

/** What changed of a face's shape between two surveys, made from faces whose shape is known. */
class FaceChangeTest {
    private static final double TOLD = 0.01;

    private static Layout layout(String length) {
        return Layout.of(new LayoutNumbers(
                4,
                1,
                1,
                Length.ofMm("87"),
                Length.ofMm("98"),
                Length.ofMm(length),
                Length.ofMm("150"),
                BoltRows.TWO,
                Length.ofMm("12"),
                4,
                ChamberShape.CUT_OFF,
                false));
    }

    private static final Layout FOUR = layout("412");

    private static FaceChange change(FaceMap earlier, FaceMap later) {
        return FaceChange.of(earlier, later, TOLD).orElseThrow();
    }

    @Test
    void theSameShapeStandingAskewHasNotChanged() {
        FaceChange change = change(SeededMaps.map(FOUR, 0.06, 0.2), SeededMaps.map(FOUR, 0.06, -0.35));
        assertFalse(change.seen());
        assertTrue(
                English.of(change.words()).startsWith("No place changed by more than 0.010"),
                English.of(change.words()));
        assertTrue(change.map().range().extent() < 0.002);
    }

    @Test
    void aHollowThatWasCutFlatRoseInItsMiddleAndSankAtItsEnds() {
        FaceChange change = change(SeededMaps.map(FOUR, 0.10, 0), SeededMaps.map(FOUR, 0, 0));
        assertTrue(change.seen());
        // A bow of 0.10 lies within 0.05 on either side of the middle of its zone.
        assertEquals(0.05, change.risen().orElseThrow().by(), 0.008);
        assertEquals(0.05, change.sunk().orElseThrow().by(), 0.008);
        assertEquals(206, change.risen().orElseThrow().spot().x(), 40);
        double end = change.sunk().orElseThrow().spot().x();
        assertTrue(end < 60 || end > 352, "sank at an end: " + end);
    }

    @Test
    void theOtherWayRoundIsTheOpposite() {
        FaceMap hollow = SeededMaps.map(FOUR, 0.08, 0.1);
        FaceMap flat = SeededMaps.map(FOUR, 0, 0);
        FaceChange forth = change(hollow, flat);
        FaceChange back = change(flat, hollow);
        assertEquals(forth.risen().orElseThrow().by(), back.sunk().orElseThrow().by(), 1e-9);
        assertEquals(
                forth.risen().orElseThrow().spot(), back.sunk().orElseThrow().spot());
        assertEquals(-forth.map().range().least(), back.map().range().most(), 1e-9);
    }

    @Test
    void aDipThatCameSinceIsFoundWhereItIs() {
        Spot dip = new Spot(300, 75);
        FaceChange change =
                change(SeededMaps.map(FOUR, 0, 0), SeededMaps.map(FOUR, 0, 0, new SeededFace.Dip(dip, 0.08, 40)));
        FaceChange.At sunk = change.sunk().orElseThrow();
        assertTrue(sunk.by() > 0.03, "sank by " + sunk.by());
        assertTrue(sunk.spot().distance(dip) < 45, "sank at " + sunk.spot());
        assertTrue(English.of(change.words()).startsWith("It sank most at "), English.of(change.words()));
    }

    @Test
    void onlyWhatTheInstrumentsCanTellIsSaid() {
        FaceMap flat = SeededMaps.map(FOUR, 0, 0);
        FaceMap bowed = SeededMaps.map(FOUR, 0.03, 0);
        FaceChange fine = FaceChange.of(flat, bowed, 0.001).orElseThrow();
        FaceChange coarse = FaceChange.of(flat, bowed, 0.05).orElseThrow();
        assertTrue(fine.seen());
        assertFalse(coarse.seen());
        assertEquals(fine.sunk(), coarse.sunk());
    }

    @Test
    void mapsOfTwoLayoutsAreNotOfOneFace() {
        FaceMap four = SeededMaps.map(FOUR, 0, 0);
        FaceMap longer = SeededMaps.map(layout("414"), 0, 0);
        assertThrows(IllegalArgumentException.class, () -> FaceChange.of(four, longer, TOLD));
    }
}

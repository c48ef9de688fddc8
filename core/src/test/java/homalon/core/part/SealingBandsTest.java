package homalon.core.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import java.util.BitSet;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where the gasket in hand seals. */
class SealingBandsTest {
    private static final Layout DECK =
            Layout.of(LayoutNumbers.proposed(PartKind.DECK, 4, Length.ofMm("80"), Length.ofMm("95")));

    private static SealingBands bands(String ring, String bead, String opening) {
        return new SealingBands(
                Length.ofMm(ring),
                Length.ofMm(bead),
                Optional.ofNullable(opening).map(Length::ofMm));
    }

    /** So far from the middle of bore 1, away from its water holes. */
    @ParameterizedTest
    @CsvSource({
        "12, , 40, true, false",
        "12, , 52, true, false",
        "12, , 52.1, false, false",
        "5, , 45.1, false, false",
        // Bored out to 84, or a gasket that opens so wide: what lies within leaves the depth, the ring begins there.
        "12, 84, 41.9, false, true",
        "12, 84, 42, true, false",
        "12, 84, 54, true, false",
        "12, 84, 54.1, false, false",
        // A gasket that is smaller than the bore begins at the bore all the same.
        "12, 70, 40, true, false"
    })
    void aRingBeginsAtTheOpeningAndIsAsWideAsKeyed(
            String ring, String opening, double from, boolean seals, boolean boredAway) {
        SealingBands bands = bands(ring, "0", opening);
        Spot centre = DECK.bores().get(0).centre();
        Spot spot = new Spot(centre.x() - from, centre.y());
        assertEquals(seals, bands.seals(DECK, spot));
        assertEquals(boredAway, bands.boredAway(DECK, spot));
    }

    @Test
    void aBeadRunsAroundEveryWaterHole() {
        Layout.Hole hole = DECK.waterHoles().get(0);
        Spot beside = new Spot(hole.centre().x(), hole.centre().y() + hole.diameter() / 2 + 5.9);
        assertTrue(bands("1", "6", null).seals(DECK, beside));
        Spot beyond = new Spot(hole.centre().x(), hole.centre().y() + hole.diameter() / 2 + 6.1);
        assertEquals(false, bands("1", "6", null).seals(DECK, beyond));
    }

    @ParameterizedTest
    @CsvSource({"0.9, 6, ", "81, 6, ", "12, -1, ", "12, 41, ", "12, 6, 19", "12, 6, 601"})
    void bandsThatNoGasketHasAreRefused(String ring, String bead, String opening) {
        assertThrows(BadInputException.class, () -> bands(ring, bead, opening));
    }

    @Test
    void theSameLandUnderAnotherGasketHasOtherBands() {
        LandRaster usual = LandRaster.of(DECK, 84);
        assertSame(usual, usual.under(SealingBands.USUAL));
        LandRaster narrow = usual.under(bands("4", "2", null));
        BitSet outside = narrow.sealing();
        outside.andNot(usual.sealing());
        assertTrue(outside.isEmpty(), "narrower bands lie within wider ones");
        assertTrue(narrow.sealing().cardinality() < usual.sealing().cardinality());
        assertEquals(usual.landNodes(), narrow.landNodes());
    }
}

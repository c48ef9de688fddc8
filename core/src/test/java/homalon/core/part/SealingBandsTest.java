package homalon.core.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.util.BitSet;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

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

    private static SealingBands inked(String opening, String line) {
        return new SealingBands(
                Length.ofMm("12"),
                Length.ofMm("6"),
                Optional.ofNullable(opening).map(Length::ofMm),
                Optional.of(InkedLine.read(line, BenchUnit.MM)));
    }

    /** A line around bore 1, 62 to each side of its middle: what lies within it seals, in the place of the rings. */
    @ParameterizedTest
    @CsvSource({
        // along and across from the middle of bore 1, opening, seals
        "-41, 0, , true",
        "-61.9, 0, , true",
        "-62, 0, , true",
        "-62.1, 0, , false",
        "0, 61.9, , true",
        "41, 0, , true",
        // The next bore's ring is not within the line.
        "95, 45, , false",
        // Bored away it seals nothing, inked or not.
        "-41, 0, 84, false",
        "-42, 0, 84, true"
    })
    void withinAnInkedLineAllOfTheLandSeals(double along, double across, String opening, boolean seals) {
        Spot centre = DECK.bores().get(0).centre();
        String line = String.format(
                Locale.ROOT,
                "%1$f %3$f, %2$f %3$f, %2$f %4$f, %1$f %4$f",
                centre.x() - 62,
                centre.x() + 46,
                centre.y() - 62,
                centre.y() + 62);
        SealingBands bands = inked(opening, line);
        Spot spot = new Spot(centre.x() + along, centre.y() + across);
        assertEquals(seals, bands.seals(DECK, spot));
        assertEquals(!seals, bands.leavesOut(DECK, spot));
        assertEquals(
                opening != null && Math.hypot(along, across) < 42,
                new SealingBands(bands.ring(), bands.bead(), bands.opening()).leavesOut(DECK, spot),
                "without a line only what is bored away leaves the depth");
    }

    @ParameterizedTest
    @CsvSource({
        "'20 15, 180 15, 180 90, 20 90', MM, 4, '20 15, 180 15, 180 90, 20 90'",
        "' 0 0 ; 120.5 0 ;0 80 ', MM, 3, '0 0, 120.5 0, 0 80'",
        "'1 1, 4 1, 4 3', THOU, 3, '1 1, 4 1, 4 3'",
        "'25.4mm 25.4mm, 4 1, 4 3', THOU, 3, '1 1, 4 1, 4 3'"
    })
    void aLineIsReadAsItIsWritten(String typed, BenchUnit unit, int corners, String written) {
        InkedLine line = InkedLine.read(typed, unit);
        assertEquals(corners, line.points().size());
        assertEquals(written, line.written(unit));
        assertEquals(line, InkedLine.read(line.written(unit), unit));
        assertEquals(
                unit == BenchUnit.MM ? 1 : 25.4,
                line.points().get(1).x() / Double.parseDouble(written.split("[ ,]+")[2]),
                1e-9);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "20 15, 180 15",
                "20 15 3, 180 15, 4 4",
                "20, 15, 180",
                "a b, 180 15, 180 90",
                "20 15, 180 90, 180 15, 20 90",
                "20 15, 21 15, 21 16",
                ""
            })
    void aLineThatEnclosesNothingIsRefused(String typed) {
        assertThrows(BadInputException.class, () -> InkedLine.read(typed, BenchUnit.MM));
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

package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BenchGauges;
import homalon.core.words.English;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Shafts as they are set up, and what is read of them. */
class LineSetupTest {
    private static LineSetup typed(String at, String clearance, LineSetup.Way way, String blade, boolean both) {
        return LineSetup.typed(
                new LineSetup.Typed("Cam", at, clearance, "0.02", way, blade, both, false), BenchUnit.MM);
    }

    private static LineSetup indicator() {
        return typed("0 98 196", "0.06", LineSetup.Way.INDICATOR, "", false);
    }

    @ParameterizedTest
    @CsvSource({
        "'0', 0.06, INDICATOR, '', at",
        "'0 98 98', 0.06, INDICATOR, '', at",
        "'0 98 196', '0.06 0.05', INDICATOR, '', clearance",
        "'0 98 196', 0, INDICATOR, '', clearance",
        "'0 98 196', '0.06 0.05 -0.01', INDICATOR, '', clearance",
        "'0 98 196', '', INDICATOR, '', clearance",
        "'0 98 196', 0.06, LIMIT_BLADE, '0.02 0.03', blade",
        "'0 98 196', 0.06, LIMIT_BLADE, 0, blade",
        "'0 98 196', 0.02, LIMIT_BLADE, '', blade",
        "'0 9x 196', 0.06, INDICATOR, '', at",
    })
    void whatCannotBeIsNamed(String at, String clearance, LineSetup.Way way, String blade, String field) {
        BadInputException bad = assertThrows(BadInputException.class, () -> typed(at, clearance, way, blade, false));
        assertTrue(bad.problems().stream().anyMatch(p -> p.field().equals(field)), English.of(bad.sentence()));
    }

    @Test
    void oneClearanceStandsForAllAndSeveralForEach() {
        assertEquals(
                List.of(Length.ofMm("0.06"), Length.ofMm("0.06"), Length.ofMm("0.06")),
                indicator().clearance());
        assertEquals(
                Length.ofMm("0.05"),
                typed("0 98", "0.06 0.05", LineSetup.Way.INDICATOR, "", false)
                        .clearance()
                        .get(1));
    }

    /** Refused everywhere, it leaves the tightest bore its running clearance. */
    @Test
    void theBladeThatNobodyKeyedIsTheOneThatProves() {
        LineSetup setup = typed("0 98", "0.06 0.05", LineSetup.Way.LIMIT_BLADE, "", false);
        assertEquals(Optional.of(Length.ofMm("0.03")), setup.blade());
        assertEquals(
                Optional.of(Length.ofMm("0.04")),
                typed("0 98", "0.06", LineSetup.Way.LIMIT_BLADE, "0.04", false).blade());
        assertEquals(Optional.empty(), indicator().blade());
    }

    @Test
    void sidesAreForBladesAndSidewaysForAnIndicator() {
        assertFalse(typed("0 98", "0.06", LineSetup.Way.INDICATOR, "", true).bothSides());
        assertEquals(
                List.of("", "b"),
                typed("0 98", "0.06", LineSetup.Way.FEELERS, "", true).sides());
        LineSetup.Typed both =
                new LineSetup.Typed(" ", "0 98", "0.06", "0.02", LineSetup.Way.INDICATOR, "", false, true);
        LineSetup setup = LineSetup.typed(both, BenchUnit.MM);
        assertTrue(setup.sideways());
        assertEquals("Line", setup.name());
        assertEquals(
                List.of("h0", "h1", "s0", "s1"),
                setup.places(false).stream().map(LineSetup.Place::key).toList());
        assertEquals(
                "Line, bore 2, sideways", English.of(setup.places(true).get(3).name()));
    }

    @Test
    void bladesAreAskedTwiceOrOnceAtEachSide() {
        assertEquals(
                List.of("go0", "no0", "go1", "no1"),
                typed("0 98", "0.06", LineSetup.Way.FEELERS, "", false).places(false).stream()
                        .map(LineSetup.Place::key)
                        .toList());
        LineSetup limit = typed("0 98", "0.06", LineSetup.Way.LIMIT_BLADE, "", true);
        assertEquals(
                List.of("b0", "b0b", "b1", "b1b"),
                limit.places(false).stream().map(LineSetup.Place::key).toList());
        assertEquals(
                "Bore 1 at the rear, limit blade: + goes, - refused",
                English.of(limit.places(false).get(1).name()));
        assertTrue(limit.takesBlade("b1b"));
        assertFalse(limit.takesBlade("h0"));
        assertFalse(indicator().takesBlade("h0"));
    }

    @Test
    void aSetUpComesBackAsItWasKept() {
        LineSetup limit = typed("0 98", "0.06 0.05", LineSetup.Way.LIMIT_BLADE, "", true);
        assertEquals(limit, LineSetup.of(limit.kept()));
        assertEquals(indicator(), LineSetup.of(indicator().kept()));
    }

    /** Set up again as it was, a shaft keeps its readings; measured in another way, it is read anew. */
    @Test
    void aShaftKeepsItsPlacesWhileItsBoresStandWhereTheyWere() {
        SheetFile once = new SheetHand(Sheet.LINE).setUp(indicator().kept()).file();
        LineSetup wider = typed("0 98 196", "0.08", LineSetup.Way.INDICATOR, "", false);
        assertEquals("", wider.beside(once).prefix());
        assertEquals(
                "2-",
                typed("0 98 197", "0.06", LineSetup.Way.INDICATOR, "", false)
                        .beside(once)
                        .prefix());
        assertEquals(
                "2-",
                typed("0 98 196", "0.06", LineSetup.Way.FEELERS, "", false)
                        .beside(once)
                        .prefix());
        assertEquals("", indicator().beside(new SheetHand(Sheet.LINE).file()).prefix());
    }

    @Test
    void aDroppedShaftIsNoLongerThere() {
        LineSetup other = LineSetup.typed(
                new LineSetup.Typed("Main", "0 98", "0.06", "0.02", LineSetup.Way.INDICATOR, "", false, false),
                BenchUnit.MM);
        SheetFile sheet = new SheetHand(Sheet.LINE)
                .setUp(indicator().kept())
                .setUp(other.kept())
                .setUp(LineSetup.dropped("CAM"))
                .file();
        assertEquals(
                List.of("Main"),
                LineSetup.all(sheet).stream().map(LineSetup::name).toList());
    }

    @Test
    void aLineIsFoundOnceEveryBoreIsRead() {
        LineSetup setup = indicator();
        SheetHand hand =
                new SheetHand(Sheet.LINE).setUp(setup.kept()).key("h0", "0").key("h1", "0.05");
        assertEquals(Optional.empty(), LineFinding.of(hand.file(), setup, BenchGauges.EXACT));
        assertEquals(
                Turns.NOT_PROVEN,
                LineFinding.shafts(hand.file(), BenchGauges.EXACT).get(0).turns());
        SheetFile read = hand.key("h2", "0").file();
        // Half of 0.05 either way of the best line leaves 0.01 of 0.06 on the diameter, less than the 0.02 it needs to
        // run.
        LineFinding found = LineFinding.of(read, setup, BenchGauges.EXACT).orElseThrow();
        assertEquals(Turns.TIGHT, found.verdict());
        assertEquals(0.05, found.shaft().bow(), 1e-9);
        assertEquals(0.01, found.shaft().clearanceLeft(), 1e-9);
        LineFinding.Shaft shaft = LineFinding.shafts(read, BenchGauges.EXACT).get(0);
        assertEquals(Turns.TIGHT, shaft.turns());
        assertEquals(Optional.of(SheetHand.START.plusSeconds(60)), shaft.oldest());
    }

    @Test
    void aBladeThatGoesStopsItsBoreUntilMoreIsKnown() {
        LineSetup setup = typed("0 98 196", "0.06", LineSetup.Way.LIMIT_BLADE, "", false);
        SheetHand hand = new SheetHand(Sheet.LINE)
                .setUp(setup.kept())
                .blade("b0", "0.04", false)
                .blade("b1", "0.04", true);
        assertEquals(Optional.empty(), LineFinding.of(hand.file(), setup, BenchGauges.EXACT));
        LineFinding out = LineFinding.of(hand.blade("b2", "0.04", false).file(), setup, BenchGauges.EXACT)
                .orElseThrow();
        assertEquals(List.of(2), out.stopped());
        assertEquals(Turns.TIGHT, out.verdict());
        LineFinding good = LineFinding.of(
                        new SheetHand(Sheet.LINE)
                                .setUp(setup.kept())
                                .blade("b0", "0.04", false)
                                .blade("b1", "0.04", false)
                                .blade("b2", "0.04", false)
                                .file(),
                        setup,
                        BenchGauges.EXACT)
                .orElseThrow();
        assertEquals(List.of(), good.stopped());
        assertEquals(Turns.FREE, good.verdict());
        assertTrue(good.span().isPresent());
    }

    @Test
    void feelersWantBothBlades() {
        LineSetup setup = typed("0 98", "0.06", LineSetup.Way.FEELERS, "", false);
        SheetHand hand = new SheetHand(Sheet.LINE)
                .setUp(setup.kept())
                .key("go0", "0")
                .key("no0", "0.02")
                .key("go1", "0.02");
        assertFalse(setup.saddle(hand.file(), 1).isTried());
        assertTrue(setup.saddle(hand.file(), 0).isTried());
        assertTrue(setup.saddle(hand.key("no1", "0.03").file(), 1).isTried());
    }

    /** What was said before a place was skipped is not what stands there. */
    @Test
    void aSkipClearsWhatBladesHaveSaid() {
        LineSetup setup = typed("0 98", "0.06", LineSetup.Way.LIMIT_BLADE, "", false);
        SheetFile sheet = new SheetHand(Sheet.LINE)
                .setUp(setup.kept())
                .blade("b0", "0.04", true)
                .skip("b0")
                .file();
        assertFalse(setup.saddle(sheet, 0).isTried());
        assertEquals(Map.of(), new SheetHand(Sheet.LINE).file().setup());
    }
}

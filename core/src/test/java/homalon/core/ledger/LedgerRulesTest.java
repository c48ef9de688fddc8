package homalon.core.ledger;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Single rules of the ledger, each at its very limit. */
class LedgerRulesTest {
    private static final UUID OLD = UUID.randomUUID();
    private static final UUID NOW = UUID.randomUUID();
    private static final Box BOX = new Box(0, 0, 400, 100);

    private static Entry entry(UUID job, Entry.Kind kind, String depth) {
        return new Entry(UUID.randomUUID(), job, kind, Length.ofMm(depth), Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({"0.001, true", "2, true", "2.001, false", "0, false", "-0.001, false"})
    void howDeepAPassMayBe(String depth, boolean taken) {
        if (taken) {
            Ledger.checkPass(Length.ofMm(depth));
        } else {
            assertThrows(BadInputException.class, () -> Ledger.checkPass(Length.ofMm(depth)));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "OPENING_KNOWN, 0, true",
        "OPENING_KNOWN, 20, true",
        "OPENING_ESTIMATED, 0.4, true",
        "OPENING_UNKNOWN, 0, true",
        "OPENING_KNOWN, 20.001, false",
        "OPENING_KNOWN, -0.001, false",
        "OPENING_UNKNOWN, 0.1, false"
    })
    void whatMayHaveComeOffBefore(Entry.Kind kind, String depth, boolean taken) {
        Ledger ledger = new Ledger(List.of(entry(OLD, Entry.Kind.PASS, "0.1")));
        if (taken) {
            ledger.checkOpening(kind, Length.ofMm(depth));
        } else {
            assertThrows(BadInputException.class, () -> ledger.checkOpening(kind, Length.ofMm(depth)));
        }
    }

    /** One opening stands; taken back, another may. */
    @ParameterizedTest
    @CsvSource({"OPENING_KNOWN, KNOWN, 0.3", "OPENING_ESTIMATED, ESTIMATED, 0.3", "OPENING_UNKNOWN, UNKNOWN, 0"})
    void oneOpeningStands(Entry.Kind kind, Ledger.Opening opening, String depth) {
        Entry first = entry(OLD, kind, depth);
        assertTrue(kind.isOpening());
        Ledger ledger = new Ledger(List.of(first));
        assertEquals(opening, ledger.totals(NOW).opening());
        assertThrows(BadInputException.class, () -> ledger.checkOpening(Entry.Kind.OPENING_KNOWN, Length.ofMm("0.1")));
        Ledger back = new Ledger(List.of(
                first, new Entry(UUID.randomUUID(), OLD, Entry.Kind.REVERSAL, Length.ZERO, Optional.of(first.id()))));
        back.checkOpening(Entry.Kind.OPENING_KNOWN, Length.ofMm("0.1"));
        assertEquals(Ledger.Opening.NOT_ASKED, back.totals(NOW).opening());
        assertEquals(2, back.entries().size(), "nothing is lost");
    }

    @ParameterizedTest
    @CsvSource({"PASS", "REVERSAL"})
    void whatIsNoOpening(Entry.Kind kind) {
        assertFalse(kind.isOpening());
    }

    /** Of one visit, of passes, and of those that stand. */
    @Test
    void standingPassesAreOfOneVisitAndInOrder() {
        Entry before = entry(OLD, Entry.Kind.PASS, "0.5");
        Entry opening = entry(NOW, Entry.Kind.OPENING_KNOWN, "0.2");
        Entry first = entry(NOW, Entry.Kind.PASS, "0.03");
        Entry wrong = entry(NOW, Entry.Kind.PASS, "0.3");
        Entry back = new Entry(UUID.randomUUID(), NOW, Entry.Kind.REVERSAL, Length.ZERO, Optional.of(wrong.id()));
        Entry last = entry(NOW, Entry.Kind.PASS, "0.02");
        Ledger ledger = new Ledger(List.of(before, opening, first, wrong, back, last));
        assertEquals(List.of(first, last), ledger.standingPasses(NOW));
        assertSame(first, ledger.reversible(first.id()));
        assertFalse(ledger.stands(back) || ledger.stands(wrong));
        assertEquals(Length.ofMm("0.05"), ledger.totals(NOW).thisJob());
        assertEquals(Length.ofMm("0.75"), ledger.totals(NOW).life());
    }

    /** The life at the corners holds the opening and other visits; this visit holds its own passes alone. */
    @Test
    void cornersOfAVisitAndOfALife() {
        CornerDepths tilted =
                new CornerDepths(List.of(Length.ofMm("0.1"), Length.ofMm("0.05"), Length.ofMm("0.02"), Length.ZERO));
        Entry pass = new Entry(
                UUID.randomUUID(), NOW, Entry.Kind.PASS, Length.ofMm("0.1"), Optional.empty(), Optional.of(tilted));
        Ledger ledger = new Ledger(
                List.of(entry(OLD, Entry.Kind.OPENING_KNOWN, "0.2"), entry(OLD, Entry.Kind.PASS, "0.03"), pass));
        Ledger.CornerTotals totals = ledger.corners(NOW);
        assertEquals(tilted, totals.thisJob());
        assertEquals(Length.ofMm("0.33"), totals.life().each().get(0));
        assertEquals(Length.ofMm("0.23"), totals.life().least());
        assertEquals(Length.ofMm("0.33"), totals.life().most());
        assertTrue(totals.told());
        assertFalse(new Ledger(List.of(entry(NOW, Entry.Kind.PASS, "0.03")))
                .corners(NOW)
                .told());
    }

    /** Straight between the corners: upper front, upper rear, lower front, lower rear. */
    @ParameterizedTest
    @CsvSource({
        "0, 100, 0.4",
        "400, 100, 0.2",
        "0, 0, 0.1",
        "400, 0, 0",
        "200, 50, 0.175",
        "100, 100, 0.35",
        "0, 25, 0.175"
    })
    void metalOffBetweenTheCorners(double x, double y, double off) {
        CornerDepths corners =
                new CornerDepths(List.of(Length.ofMm("0.4"), Length.ofMm("0.2"), Length.ofMm("0.1"), Length.ZERO));
        assertEquals(off, corners.at(BOX, new Spot(x, y)), 1e-12);
        assertThrows(IllegalArgumentException.class, () -> new CornerDepths(List.of(Length.ZERO)));
        assertThrows(
                IllegalArgumentException.class,
                () -> new CornerDepths(List.of(Length.ZERO, Length.ZERO, Length.ZERO, Length.ofMm("-0.1"))));
    }

    private static ThicknessCheck.Read read(double x, String thickness) {
        return new ThicknessCheck.Read("at " + x, new Spot(x, 50), Length.ofMm(thickness));
    }

    /** Micrometer and ledger: up to two hundredths apart they agree, whichever took more. */
    @ParameterizedTest
    @CsvSource({"99.90, true", "99.88, true", "99.92, true", "99.879, false", "99.921, false"})
    void micrometerAgainstLedger(String after, boolean agrees) {
        ThicknessCheck check = ThicknessCheck.of(
                        List.of(read(10, "100")), List.of(read(10, after)), CornerDepths.even(Length.ofMm("0.1")), BOX)
                .orElseThrow();
        assertEquals(agrees, check.agrees());
        assertEquals(100 - Double.parseDouble(after) - 0.1, check.worst().apart(), 1e-9);
    }

    /** The nearest reading before stands against one after; further away there is none; the worst is the furthest off, the first of equals. */
    @Test
    void placesAreHeldAgainstTheirOwn() {
        List<ThicknessCheck.Read> before = List.of(read(10, "100"), read(12, "101"), read(200, "100"));
        List<ThicknessCheck.Read> after = List.of(read(11.5, "100.9"), read(200, "99.7"), read(390, "99"));
        ThicknessCheck check = ThicknessCheck.of(before, after, CornerDepths.even(Length.ofMm("0.1")), BOX)
                .orElseThrow();
        assertEquals(2, check.places().size(), "at 390 nobody read before");
        assertEquals(Length.ofMm("0.1"), check.places().get(0).byMicrometer());
        assertEquals("at 200.0", check.worst().name());
        assertTrue(ThicknessCheck.of(before, List.of(read(390, "99")), CornerDepths.NONE, BOX)
                .isEmpty());
        ThicknessCheck even = ThicknessCheck.of(
                        List.of(read(10, "100"), read(200, "100")),
                        List.of(read(10, "99.95"), read(200, "100.05")),
                        CornerDepths.NONE,
                        BOX)
                .orElseThrow();
        assertEquals("at 10.0", even.worst().name());
    }
}

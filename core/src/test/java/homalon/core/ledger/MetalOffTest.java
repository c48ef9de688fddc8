package homalon.core.ledger;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.quantity.Length;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MetalOffTest {
    private static final UUID FIRST = new UUID(0, 1);
    private static final UUID SECOND = new UUID(0, 2);

    private static Entry line(UUID visit, Entry.Kind kind, String mm) {
        return new Entry(UUID.randomUUID(), visit, kind, Length.ofMm(mm), Optional.empty());
    }

    private static MetalOff of(Entry... lines) {
        return MetalOff.of(new Ledger(List.of(lines)), List.of(FIRST, SECOND));
    }

    @Test
    void eachVisitHasWhatStandsOfItsPassesAndTheLifeIsTheirSum() {
        Entry wrong = line(SECOND, Entry.Kind.PASS, "0.09");
        MetalOff off = of(
                line(FIRST, Entry.Kind.OPENING_KNOWN, "0.25"),
                line(FIRST, Entry.Kind.PASS, "0.10"),
                wrong,
                line(FIRST, Entry.Kind.PASS, "0.02"),
                new Entry(UUID.randomUUID(), SECOND, Entry.Kind.REVERSAL, Length.ZERO, Optional.of(wrong.id())),
                line(SECOND, Entry.Kind.PASS, "0.03"));
        assertEquals(Length.ofMm("0.25"), off.before());
        assertEquals(List.of(Length.ofMm("0.12"), Length.ofMm("0.03")), off.visits());
        assertEquals(Length.ofMm("0.40"), off.life());
    }

    /** The sum over visits is the total that the ledger itself keeps. */
    @Test
    void agreesWithTheLedger() {
        Ledger ledger = new Ledger(List.of(
                line(FIRST, Entry.Kind.OPENING_ESTIMATED, "0.3"),
                line(FIRST, Entry.Kind.PASS, "0.1"),
                line(SECOND, Entry.Kind.PASS, "0.05")));
        assertEquals(
                ledger.totals(SECOND).life(),
                MetalOff.of(ledger, List.of(FIRST, SECOND)).life());
    }

    @ParameterizedTest
    @CsvSource({"OPENING_KNOWN,0.2,false", "OPENING_ESTIMATED,0.2,false", "OPENING_UNKNOWN,0,true"})
    void isALeastFigureWhereNobodyKnowsWhatCameOffBefore(Entry.Kind opening, String mm, boolean atLeast) {
        assertEquals(
                atLeast,
                of(line(FIRST, opening, mm), line(SECOND, Entry.Kind.PASS, "0.1"))
                        .atLeast());
    }

    @Test
    void withoutALineNothingIsOffAndNobodyWasAsked() {
        MetalOff off = of();
        assertEquals(Length.ZERO, off.life());
        assertTrue(off.atLeast());
        assertFalse(of(line(FIRST, Entry.Kind.OPENING_KNOWN, "0")).atLeast());
    }
}

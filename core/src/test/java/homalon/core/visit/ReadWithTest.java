package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.gauge.Closing;
import homalon.core.gauge.GaugeStanding.State;
import homalon.core.gauge.InUse;
import homalon.core.gauge.InstrumentKind;
import homalon.core.quantity.Length;
import homalon.core.visit.ReadWith.Taken;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ReadWithTest {
    private static final Length USUAL = Length.ofMm("0.002");
    private static final InUse FINE = use("M-01", InstrumentKind.INDICATOR, 0.0015);
    private static final InUse COARSE = use("M-02", InstrumentKind.INDICATOR, 0.004);
    private static final InUse TABLE = use("M-03", InstrumentKind.TABLE, 0.002);

    private static InUse use(String code, InstrumentKind kind, double standard) {
        return new InUse(code, "one", kind, standard, State.GOOD, Optional.empty());
    }

    private static Instant at(int minute) {
        return Instant.parse("2026-03-10T08:00:00Z").plusSeconds(60L * minute);
    }

    private static Taken took(int minute, InUse use) {
        return new Taken(at(minute), use.kind(), Optional.of(use));
    }

    private static Taken putAway(int minute) {
        return new Taken(at(minute), InstrumentKind.INDICATOR, Optional.empty());
    }

    private static ReadWith read(List<Taken> taken, Integer... minutes) {
        return ReadWith.of(
                USUAL, taken, Arrays.stream(minutes).map(ReadWithTest::at).toList(), Optional.empty());
    }

    @Test
    void withoutAnInstrumentWhatWasKeyedIsKept() {
        assertEquals(USUAL, read(List.of(), 1, 2).kept());
        assertEquals(USUAL, ReadWith.keyed(USUAL).kept());
    }

    @Test
    void gaugeAndTableAddTheirSquares() {
        ReadWith with = read(List.of(took(0, FINE), took(0, TABLE)), 1, 2);
        assertFalse(with.byKeyed());
        assertEquals(Math.hypot(0.0015, 0.002), with.standard(), 1e-12);
        assertEquals(Length.ofMm("0.005"), with.kept(), "twice 0.0025");
    }

    @Test
    void aTableAloneComesOnTopOfWhatWasKeyedForTheGauge() {
        ReadWith with = read(List.of(took(0, TABLE)), 1);
        assertTrue(with.byKeyed());
        assertEquals(Math.hypot(0.001, 0.002), with.standard(), 1e-12);
    }

    @Test
    void oneTakenForAnotherCountsWhileAReadingRestsOnIt() {
        List<Taken> changed = List.of(took(0, COARSE), took(10, FINE));
        ReadWith both = read(changed, 5, 12);
        assertEquals(List.of(COARSE, FINE), both.instruments());
        assertEquals(0.004, both.standard(), 1e-12, "the coarser counts");
        assertTrue(both.changed());
        // all of it was read again
        assertEquals(List.of(FINE), read(changed, 10, 12).instruments());
        assertEquals(0.0015, read(changed, 10, 12).standard(), 1e-12);
    }

    @Test
    void whatWasReadBeforeOrAfterAGaugeWasNotedRestsOnWhatWasKeyed() {
        assertTrue(read(List.of(took(10, FINE)), 5, 12).byKeyed(), "before");
        assertEquals(0.0015, read(List.of(took(10, FINE)), 5, 12).standard(), 1e-12, "the coarser of the two");
        assertFalse(read(List.of(took(10, FINE)), 11, 12).byKeyed());
        ReadWith away = read(List.of(took(0, FINE), putAway(10)), 5);
        assertEquals(List.of(FINE), away.instruments(), "a reading rests on it");
        assertTrue(away.byKeyed(), "the next one rests on what was keyed");
        assertEquals(List.of(), read(List.of(took(0, FINE), putAway(10)), 12).instruments());
    }

    @Test
    void whatMovedIsLeftOpenInEveryReading() {
        Closing moved = new Closing(0, 0.012, 0.002);
        ReadWith with = ReadWith.of(USUAL, List.of(), List.of(at(1)), Optional.of(moved));
        assertEquals(2 * Math.hypot(0.001, 0.012 / Math.sqrt(12)), with.kept().mm(), 1e-4);
        Closing held = new Closing(0, 0.002, 0.002);
        assertEquals(
                USUAL,
                ReadWith.of(USUAL, List.of(), List.of(at(1)), Optional.of(held)).kept());
    }

    @Test
    void anInstrumentThatWasFoundOffIsTakenForAsFarOff() {
        ReadWith with = read(List.of(took(0, FINE), took(0, TABLE)), 1);
        ReadWith off = with.off("M-01", -0.02);
        assertEquals(Math.hypot(0.02 / Math.sqrt(3), 0.002), off.standard(), 1e-12);
        assertEquals(with.standard(), with.off("M-01", 0.0001).standard(), 1e-12, "never better than it is known");
        assertEquals(with.standard(), with.off("M-09", 0.02).standard(), 1e-12, "another one");
    }
}

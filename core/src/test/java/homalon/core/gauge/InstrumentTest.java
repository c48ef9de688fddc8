package homalon.core.gauge;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.gauge.GaugeStanding.State;
import homalon.core.input.BadInputException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class InstrumentTest {
    private static final LocalDate MARCH = LocalDate.of(2026, 3, 10);

    private static Instrument indicator(OptionalInt months) {
        return new Instrument(
                "M-01", "lever indicator", InstrumentKind.INDICATOR, Instrument.Known.LIMITS, 0.003, months);
    }

    private static Compared compared(LocalDate on, double error) {
        return new Compared(on, "gauge blocks", error);
    }

    private static GaugeStanding on(LocalDate day, Compared... all) {
        return GaugeStanding.of(indicator(OptionalInt.of(12)), List.of(all), day);
    }

    @Test
    void limitsAreSpreadEvenlyAndAStandardUncertaintyIsTakenAsItIs() {
        assertEquals(0.003 / Math.sqrt(3), indicator(OptionalInt.empty()).standard(), 1e-12);
        assertEquals(0.003, indicator(OptionalInt.empty()).limits());
        Instrument studied = indicator(OptionalInt.empty()).good(0.0012);
        assertEquals(0.0012, studied.standard());
        assertEquals(0.0024, studied.limits(), 1e-12);
        assertEquals(0.002, studied.of(0.001).limits(), 1e-12, "of the same kind");
    }

    @ParameterizedTest
    @CsvSource({"m-01", "M01", "M-1", "MAUG-01", "M-1234567", "''", "G-01", "JB-01", "K-01", "Z-01"})
    void aCodeIsLettersADashAndDigits(String code) {
        assertThrows(
                BadInputException.class,
                () -> new Instrument(
                        code, "x", InstrumentKind.TABLE, Instrument.Known.LIMITS, 0.01, OptionalInt.empty()));
    }

    @ParameterizedTest
    @CsvSource({"0, 12", "-0.1, 12", "11, 12", "0.01, 0", "0.01, 121"})
    void whatItIsGoodToAndItsTermAreChecked(double amount, int months) {
        assertThrows(
                BadInputException.class,
                () -> new Instrument(
                        "M-01", "x", InstrumentKind.TABLE, Instrument.Known.LIMITS, amount, OptionalInt.of(months)));
    }

    /** Compared on 10 March 2026 with a term of a year. */
    @ParameterizedTest
    @CsvSource({
        "2026-03-09, NEVER",
        "2026-03-10, GOOD",
        "2027-02-23, GOOD",
        "2027-02-24, SOON",
        "2027-03-10, SOON",
        "2027-03-11, PAST_DUE"
    })
    void itStandsByItsTerm(LocalDate day, State state) {
        GaugeStanding standing = on(day, compared(MARCH, 0.003));
        assertEquals(state, standing.state());
        assertEquals(state == State.NEVER ? Optional.empty() : Optional.of(LocalDate.of(2027, 3, 10)), standing.due());
    }

    @Test
    void withoutATermItIsNeverDueButNeverGoodBeforeItWasCompared() {
        Instrument open = indicator(OptionalInt.empty());
        assertEquals(State.NEVER, GaugeStanding.of(open, List.of(), MARCH).state());
        GaugeStanding later = GaugeStanding.of(open, List.of(compared(MARCH, 0)), MARCH.plusYears(20));
        assertEquals(State.GOOD, later.state());
        assertEquals(Optional.empty(), later.due());
    }

    @Test
    void foundFurtherOffThanItsLimitsItIsOutUntilItIsFoundGoodAgain() {
        Compared good = compared(MARCH, -0.003);
        Compared out = compared(MARCH.plusMonths(6), -0.0031);
        assertTrue(good.kept(indicator(OptionalInt.empty())));
        assertFalse(out.kept(indicator(OptionalInt.empty())));
        // in whichever order they were written down
        GaugeStanding standing = on(MARCH.plusMonths(7), out, good);
        assertEquals(State.OUT, standing.state());
        assertEquals(Optional.of(MARCH), standing.lastGood());
        GaugeStanding again = on(MARCH.plusMonths(7), good, out, compared(MARCH.plusMonths(7), 0.001));
        assertEquals(State.GOOD, again.state());
        assertEquals(Optional.of(MARCH.plusMonths(7)), again.lastGood());
        assertEquals(Optional.empty(), on(MARCH.plusMonths(7), out).lastGood());
    }

    @Test
    void whatIsNotToBeReliedOnIsMarkedAndAGoodOneIsNot() {
        Instrument i = indicator(OptionalInt.of(12));
        for (State state : State.values()) {
            InUse use = InUse.of(i, new GaugeStanding(state, Optional.of(MARCH), Optional.empty()));
            assertEquals(state == State.PAST_DUE || state == State.NEVER || state == State.OUT, state.marks());
            assertEquals(state.marks(), use.mark().isPresent(), state.name());
        }
        InUse late = InUse.of(i, new GaugeStanding(State.PAST_DUE, Optional.of(MARCH), Optional.empty()));
        assertEquals(
                List.of("M-01 lever indicator", MARCH),
                late.mark().orElseThrow().args());
    }

    /** A reading keeps 0.003: two of one place differ by up to 0.00424. */
    @ParameterizedTest
    @CsvSource({"0.004, true", "-0.004, true", "0.0042, true", "0.0043, false", "-0.0043, false"})
    void aGaugeThatMovedByMoreThanTwoReadingsDifferIsSeen(double moved, boolean held) {
        Closing closing = new Closing(0.01, 0.01 + moved, 0.003);
        assertEquals(held, closing.held());
        assertEquals(held ? 0 : Math.abs(moved) / Math.sqrt(12), closing.standard(), 1e-12);
    }

    /** At 60 degrees an indicator travels twice what it moves: 0.008 are 0.004, which is held. */
    @Test
    void anIndicatorAtAnAngleTravelsFurtherThanItMoved() {
        Closing travelled = new Closing(0.02, 0.028, 0.003);
        Closing seen = travelled.seen(new Corrections(60, Optional.empty(), Optional.empty()));
        assertFalse(travelled.held());
        assertTrue(seen.held());
        assertEquals(0.004, seen.moved(), 1e-12);
        assertEquals(travelled, travelled.seen(Corrections.NONE));
    }
}

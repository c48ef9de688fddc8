package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.gauge.GaugeStanding.State;
import homalon.core.gauge.InUse;
import homalon.core.gauge.InstrumentKind;
import homalon.core.rulebook.BenchGauges;
import homalon.core.visit.ReadWith.Taken;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class GaugesInHandTest {
    private static final BenchGauges BENCH = new BenchGauges(0.002, 0.003, 0.002, 0.010, 0.005);
    private static final InUse FINE = use("M-01", InstrumentKind.MICROMETER, 0.0005, State.GOOD);
    private static final InUse COARSE = use("M-02", InstrumentKind.MICROMETER, 0.004, State.GOOD);
    private static final InUse BALL = use("M-03", InstrumentKind.SPLIT_BALL, 0.0012, State.GOOD);
    private static final InUse DIAL = use("M-04", InstrumentKind.BORE_GAUGE, 0.002, State.PAST_DUE);

    private static InUse use(String code, InstrumentKind kind, double standard, State state) {
        return new InUse(code, "one", kind, standard, state, Optional.empty());
    }

    private static Instant at(int minute) {
        return Instant.parse("2026-03-10T08:00:00Z").plusSeconds(60L * minute);
    }

    private static Taken took(int minute, InUse use) {
        return new Taken(at(minute), use.kind(), Optional.of(use));
    }

    private static GaugesInHand with(List<Taken> taken, Integer... minutes) {
        return GaugesInHand.of(
                BENCH, taken, Arrays.stream(minutes).map(GaugesInHandTest::at).toList());
    }

    @Test
    void whatIsNotNotedIsTheBenchs() {
        GaugesInHand none = with(List.of(), 1, 2);
        assertEquals(BENCH, none.gauges());
        assertTrue(none.instruments().isEmpty());
        assertFalse(none.doubted());
        assertEquals(
                new BenchGauges(0.001, 0.003, 0.002, 0.010, 0.005),
                with(List.of(took(0, FINE)), 1).gauges(),
                "the micrometer's own, and nothing else");
    }

    @Test
    void theCoarserCountsWhileSomethingRestsOnIt() {
        List<Taken> changed = List.of(took(0, COARSE), took(10, FINE));
        assertEquals(0.008, with(changed, 1, 11).gauges().outside(), 1e-12);
        assertEquals(List.of(COARSE, FINE), with(changed, 1, 11).instruments());
        assertEquals(0.001, with(changed, 11).gauges().outside(), 1e-12, "all of it was read anew");
        assertEquals(List.of(FINE), with(changed, 11).instruments());
        assertEquals(0.002, with(List.of(took(5, FINE)), 1).gauges().outside(), "read before it was noted");
        List<Taken> away = List.of(took(0, FINE), new Taken(at(5), InstrumentKind.MICROMETER, Optional.empty()));
        assertEquals(0.002, with(away, 1).gauges().outside(), "put away, the next reading is the bench's");
    }

    @Test
    void aSplitBallIsReadOverAMicrometerAndABoreGaugeByItself() {
        assertEquals(
                Math.hypot(0.0024, 0.002),
                with(List.of(took(0, BALL)), 1).gauges().bore(),
                1e-12);
        assertEquals(
                Math.hypot(0.0024, 0.001),
                with(List.of(took(0, BALL), took(0, FINE)), 1).gauges().bore(),
                1e-12);
        assertEquals(
                0.004, with(List.of(took(0, DIAL), took(0, FINE)), 1).gauges().bore(), 1e-12);
        assertEquals(
                0.004,
                with(List.of(took(0, DIAL), took(0, BALL)), 1).gauges().bore(),
                1e-12,
                "with both in hand the coarser");
    }

    @Test
    void eachKindIsItsOwn() {
        BenchGauges all = with(
                        List.of(
                                took(0, use("M-05", InstrumentKind.INDICATOR, 0.003, State.GOOD)),
                                took(0, use("M-06", InstrumentKind.DEPTH_GAUGE, 0.004, State.GOOD)),
                                took(0, use("M-07", InstrumentKind.PRESSURE_GAUGE, 0.02, State.GOOD))),
                        1)
                .gauges();
        assertEquals(new BenchGauges(0.002, 0.003, 0.006, 0.008, 0.04), all);
    }

    @Test
    void onePastDueIsMarkedAndExactStaysExact() {
        assertTrue(with(List.of(took(0, DIAL)), 1).doubted());
        assertFalse(with(List.of(took(0, BALL)), 1).doubted());
        GaugesInHand before = GaugesInHand.of(BenchGauges.EXACT, List.of(took(0, DIAL)), List.of(at(1)));
        assertEquals(BenchGauges.EXACT, before.gauges(), "what was judged before stays judged so");
        assertTrue(before.doubted());
    }
}

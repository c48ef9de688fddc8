package homalon.core.visit;

import homalon.core.gauge.InUse;
import homalon.core.gauge.InstrumentKind;
import homalon.core.gauge.Uncertain;
import homalon.core.rulebook.BenchGauges;
import homalon.core.visit.ReadWith.Taken;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What a step of a visit is measured with, and what that leaves open.
 *
 * @param gauges of an instrument in hand its own, of what was not noted the bench's
 * @param instruments that a standing reading rests on, and those that are in hand now
 */
public record GaugesInHand(BenchGauges gauges, List<InUse> instruments) {
    public GaugesInHand {
        instruments = List.copyOf(instruments);
    }

    /**
     * @param bench what its gauges leave open where none was noted; exact ones stay exact
     * @param taken in order of time
     * @param readings when what stands was read
     */
    public static GaugesInHand of(BenchGauges bench, List<Taken> taken, List<Instant> readings) {
        List<InHand> hands = InHand.of(taken, readings);
        List<InUse> all = new ArrayList<>();
        hands.forEach(h -> h.uses().stream().filter(u -> !all.contains(u)).forEach(all::add));
        return new GaugesInHand(bench.equals(BenchGauges.EXACT) ? bench : gauges(bench, hands), all);
    }

    private static BenchGauges gauges(BenchGauges bench, List<InHand> hands) {
        double outside = own(hands, InstrumentKind.MICROMETER, bench.outside()).orElse(bench.outside());
        OptionalDouble ball = own(hands, InstrumentKind.SPLIT_BALL, bench.bore());
        // A split ball is read over its micrometer; a bore gauge by itself.
        OptionalDouble overMicrometer =
                ball.isPresent() ? OptionalDouble.of(Math.hypot(ball.getAsDouble(), outside)) : ball;
        OptionalDouble gauge = own(hands, InstrumentKind.BORE_GAUGE, bench.bore());
        double bore = overMicrometer.isEmpty() && gauge.isEmpty()
                ? bench.bore()
                : Math.max(overMicrometer.orElse(0), gauge.orElse(0));
        return new BenchGauges(
                outside,
                bore,
                own(hands, InstrumentKind.INDICATOR, bench.indicator()).orElse(bench.indicator()),
                own(hands, InstrumentKind.DEPTH_GAUGE, bench.depth()).orElse(bench.depth()),
                own(hands, InstrumentKind.PRESSURE_GAUGE, bench.pressure()).orElse(bench.pressure()));
    }

    /** The coarsest of a kind that something rests on; with the bench's where something was read without one. */
    private static OptionalDouble own(List<InHand> hands, InstrumentKind kind, double bench) {
        return hands.stream()
                .filter(h -> h.kind() == kind)
                .mapToDouble(h -> Math.max(
                        h.without() ? bench : 0,
                        h.uses().stream()
                                .mapToDouble(u -> Uncertain.KEPT * u.standard())
                                .max()
                                .orElse(0)))
                .findFirst();
    }

    /** Whether one of them is not to be relied on. */
    public boolean doubted() {
        return instruments.stream().anyMatch(i -> i.state().marks());
    }
}

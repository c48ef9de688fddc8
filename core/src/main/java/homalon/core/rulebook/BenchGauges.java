package homalon.core.rulebook;

import homalon.core.gauge.Uncertain;

/**
 * What the gauges of a bench leave open, where none is told by its code: general values, or the shop's own. Each is what a gauge may be off
 * by to either side, 19 times in 20; mm, and bar for pressure.
 *
 * @param outside micrometer
 * @param bore split ball with its micrometer, or bore gauge
 * @param indicator dial indicator
 * @param depth depth gauge
 * @param pressure pressure gauge
 */
public record BenchGauges(double outside, double bore, double indicator, double depth, double pressure) {
    /** Whatever was read counts as it was read. */
    public static final BenchGauges EXACT = new BenchGauges(0, 0, 0, 0, 0);

    public static BenchGauges of(BookDefaults shop) {
        return new BenchGauges(
                BenchFigure.OFF_OUTSIDE.value(shop),
                BenchFigure.OFF_BORE.value(shop),
                BenchFigure.OFF_INDICATOR.value(shop),
                BenchFigure.OFF_DEPTH.value(shop),
                BenchFigure.OFF_PRESSURE.value(shop));
    }

    /** What a bore leaves around a stem, a guide around its bore, a ring in its hole: one is read inside, the other outside. */
    public Uncertain fit(double apart) {
        return new Uncertain(apart, Math.hypot(bore, outside) / Uncertain.KEPT);
    }

    /** What two bores that were read with one gauge differ by. */
    public Uncertain betweenBores(double apart) {
        return new Uncertain(apart, Math.sqrt(2) * bore / Uncertain.KEPT);
    }

    /** What the means of two readings each differ by. */
    public Uncertain betweenMeans(double apart) {
        return new Uncertain(apart, bore / Uncertain.KEPT);
    }

    public Uncertain byIndicator(double read) {
        return Uncertain.plusMinus(read, indicator);
    }

    public Uncertain byDepth(double read) {
        return Uncertain.plusMinus(read, depth);
    }

    /** What is lost between two readings of one gauge. */
    public Uncertain lost(double bar) {
        return new Uncertain(bar, Math.sqrt(2) * pressure / Uncertain.KEPT);
    }
}

package homalon.core.gauge;

import homalon.core.verdict.Verdict;

/**
 * A figure with what is open about it (JCGM 100).
 *
 * @param value in whatever it is measured in
 * @param standard its standard uncertainty, in the same; 0 for a figure that is exact
 */
public record Uncertain(double value, double standard) {
    /** The factor of what is kept on both sides of a limit: 19 in 20. */
    public static final double KEPT = 2;

    /** Far below what any instrument reads: what is left of sums. */
    private static final double ROUNDING = 1e-9;

    public Uncertain {
        if (!Double.isFinite(value) || !(standard >= 0) || Double.isInfinite(standard)) {
            throw new IllegalArgumentException("a figure is finite, and so is its standard uncertainty, 0 or more");
        }
    }

    public static Uncertain exact(double value) {
        return new Uncertain(value, 0);
    }

    /**
     * Known to lie within limits, every place between them as likely as another.
     *
     * @param half how far it may be off to either side
     */
    public static Uncertain within(double value, double half) {
        return new Uncertain(value, half / Math.sqrt(3));
    }

    /**
     * As it is written with ±: twice the standard uncertainty.
     *
     * @param kept beside the value on both sides
     */
    public static Uncertain plusMinus(double value, double kept) {
        return new Uncertain(value, kept / KEPT);
    }

    /** Less another that is independent of it. */
    public Uncertain minus(Uncertain other) {
        return new Uncertain(value - other.value, Math.hypot(standard, other.standard));
    }

    /** With another that is independent of it. */
    public Uncertain plus(Uncertain other) {
        return new Uncertain(value + other.value, Math.hypot(standard, other.standard));
    }

    public Uncertain times(double factor) {
        return new Uncertain(value * factor, standard * Math.abs(factor));
    }

    /** What is kept on both sides of a limit. */
    public double kept() {
        return KEPT * standard;
    }

    /**
     * Against the most that it may be (ISO 14253-1): within and out are proven with what is kept. 0.05 ± 0.01 against 0.05 is neither.
     *
     * @param most that is allowed; that much itself still is
     */
    public Verdict atMost(double most) {
        double guard = kept();
        if (value + guard <= most + ROUNDING) {
            return Verdict.WITHIN;
        }
        return value - guard > most + ROUNDING ? Verdict.OUT : Verdict.NOT_PROVEN;
    }

    /** Against the least that it may be. */
    public Verdict atLeast(double least) {
        return new Uncertain(-value, standard).atMost(-least);
    }

    /** Against both. */
    public Verdict between(double least, double most) {
        Verdict low = atLeast(least);
        Verdict high = atMost(most);
        if (low == Verdict.OUT || high == Verdict.OUT) {
            return Verdict.OUT;
        }
        return low == Verdict.WITHIN && high == Verdict.WITHIN ? Verdict.WITHIN : Verdict.NOT_PROVEN;
    }
}

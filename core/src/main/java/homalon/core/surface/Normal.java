package homalon.core.surface;

import org.apache.commons.numbers.gamma.Erfc;
import org.apache.commons.numbers.gamma.InverseErf;

/** The standard normal distribution. */
final class Normal {
    private static final double ROOT_2 = Math.sqrt(2);

    private Normal() {}

    /** Share below a value; never exactly nothing, so that its logarithm stands. */
    static double below(double value) {
        return Math.max(0.5 * Erfc.value(-value / ROOT_2), Double.MIN_NORMAL);
    }

    /** The value below which a share lies; within eight of nothing for shares of 0 and 1. */
    static double quantile(double share) {
        return ROOT_2 * InverseErf.value(2 * Math.max(1e-15, Math.min(1 - 1e-15, share)) - 1);
    }
}

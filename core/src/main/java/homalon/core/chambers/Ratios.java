package homalon.core.chambers;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Writes volumes, areas and ratios alike everywhere: none of them is in the bench's unit of length. Halves away from zero. */
public final class Ratios {
    private Ratios() {}

    /** {@code 42.6 cc}. */
    public static String cc(double value) {
        return rounded(value, 1) + " cc";
    }

    /** With the digits that lead on to the next figure of a working: {@code 42.634 cc}, {@code 42.6 cc} where that is all. */
    public static String exactCc(double value) {
        BigDecimal of =
                BigDecimal.valueOf(value).setScale(3, RoundingMode.HALF_UP).stripTrailingZeros();
        return (of.scale() < 1 ? of.setScale(1) : of).toPlainString().replace('-', '\u2212') + " cc";
    }

    /** {@code +0.42 cc}; nothing is written without a sign. */
    public static String signedCc(double value) {
        String text = rounded(Math.abs(value), 2) + " cc";
        return Math.abs(value) < 0.005 ? text : (value > 0 ? "+" : "\u2212") + text;
    }

    /** {@code 9.62}. */
    public static String ratio(double value) {
        return Double.isInfinite(value) ? "\u221e" : rounded(value, 2);
    }

    private static String rounded(double value, int decimals) {
        return BigDecimal.valueOf(value)
                .setScale(decimals, RoundingMode.HALF_UP)
                .toPlainString()
                .replace('-', '\u2212');
    }
}

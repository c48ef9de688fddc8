package homalon.core.chambers;

import java.util.Locale;

/** Writes volumes, areas and ratios alike everywhere: none of them is in the bench's unit of length. */
public final class Ratios {
    private Ratios() {}

    /** {@code 42.6 cc}. */
    public static String cc(double value) {
        return String.format(Locale.ROOT, "%.1f cc", value).replace('-', '\u2212');
    }

    /** {@code +0.42 cc}. */
    public static String signedCc(double value) {
        String text = String.format(Locale.ROOT, "%.2f cc", Math.abs(value));
        return Math.abs(value) < 0.005 ? text : (value > 0 ? "+" : "\u2212") + text;
    }

    /** {@code 5027 mm²}. */
    public static String square(double mm2) {
        return String.format(Locale.ROOT, "%.0f mm²", mm2);
    }

    /** {@code 9.62}. */
    public static String ratio(double value) {
        return Double.isInfinite(value) ? "no end" : String.format(Locale.ROOT, "%.2f", value);
    }
}

package homalon.core.quantity;

import homalon.core.words.Message;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a length the way a bench writes it.
 *
 * <ul>
 *   <li>Bare number at a mm bench: millimetres. At a thou bench: thou, but inches when it has three or more decimals
 *       ({@code 2.5} is two and a half thou, {@code .0025} is the same in inches).
 *   <li>A suffix always wins: {@code mm}, {@code um}, {@code "}, {@code in}, {@code th}, {@code thou}.
 *   <li>Fractions are inches: {@code 7/16}, {@code 1-7/16}.
 *   <li>One comma is taken for the decimal point, since some number pads have no other.
 * </ul>
 */
final class LengthReader {
    private static final BigDecimal NM_PER_INCH = BigDecimal.valueOf(25_400_000L);
    private static final BigDecimal NM_PER_MM = BigDecimal.valueOf(1_000_000L);
    private static final BigDecimal NM_PER_UM = BigDecimal.valueOf(1_000L);
    private static final BigDecimal NM_PER_THOU = BigDecimal.valueOf(25_400L);
    /** No casting, and no reading of one, is longer than this. */
    private static final BigDecimal MOST = BigDecimal.valueOf(10_000L * 1_000_000L);

    private static final int LONGEST = 40;

    private static final Pattern DECIMAL =
            Pattern.compile("([+-]?)(\\d{0,12})(?:[.,](\\d{0,12}))?\\s*(mm|um|in|thou|th|\")?");
    private static final Pattern FRACTION =
            Pattern.compile("([+-]?)(?:(\\d{1,6})[- ])?(\\d{1,6})/(\\d{1,6})\\s*(in|\")?");

    private LengthReader() {}

    static Length read(String typed, BenchUnit unit) {
        return read(typed, unit, false);
    }

    /** @param size true for a size of the casting: a bare number at a thou bench is then inches, as nominal sizes are */
    static Length read(String typed, BenchUnit unit, boolean size) {
        String text = tidy(typed);
        if (text.isEmpty()) {
            throw new NotALengthException(Message.of("quantity.nothing-keyed-key-a-number-such-as", example(unit)));
        }
        if (text.length() > LONGEST) {
            throw new NotALengthException(Message.of("quantity.that-is-too-long-for-a-reading-key-a", example(unit)));
        }
        Matcher fraction = FRACTION.matcher(text);
        if (fraction.matches()) {
            return ofFraction(fraction, typed);
        }
        Matcher decimal = DECIMAL.matcher(text);
        boolean hasDigits = decimal.matches()
                && (!decimal.group(2).isEmpty()
                        || (decimal.group(3) != null && !decimal.group(3).isEmpty()));
        if (!hasDigits) {
            throw new NotALengthException(
                    Message.of("quantity.is-not-a-length-key-digits-such-as", shortened(typed), example(unit)));
        }
        return ofDecimal(decimal, unit, size, typed);
    }

    private static Length ofDecimal(Matcher m, BenchUnit unit, boolean size, String typed) {
        String decimals = m.group(3) == null ? "" : m.group(3);
        String whole = m.group(2).isEmpty() ? "0" : m.group(2);
        BigDecimal number = new BigDecimal(decimals.isEmpty() ? whole : whole + "." + decimals);
        return exact(number.multiply(scale(m.group(4), unit, size || decimals.length() >= 3)), m.group(1), typed);
    }

    private static BigDecimal scale(String suffix, BenchUnit unit, boolean bareIsInches) {
        if (suffix == null) {
            if (unit == BenchUnit.MM) {
                return NM_PER_MM;
            }
            return bareIsInches ? NM_PER_INCH : NM_PER_THOU;
        }
        return switch (suffix) {
            case "mm" -> NM_PER_MM;
            case "um" -> NM_PER_UM;
            case "th", "thou" -> NM_PER_THOU;
            default -> NM_PER_INCH;
        };
    }

    private static Length ofFraction(Matcher m, String typed) {
        long bottom = Long.parseLong(m.group(4));
        if (bottom == 0 || Long.bitCount(bottom) != 1 || bottom > 64) {
            throw new NotALengthException(
                    Message.of("quantity.is-not-an-inch-fraction-key-halves-down", shortened(typed)));
        }
        long whole = m.group(2) == null ? 0 : Long.parseLong(m.group(2));
        BigDecimal top = BigDecimal.valueOf(whole * bottom + Long.parseLong(m.group(3)));
        return exact(top.multiply(NM_PER_INCH).divide(BigDecimal.valueOf(bottom)), m.group(1), typed);
    }

    private static Length exact(BigDecimal nanometres, String sign, String typed) {
        if (nanometres.compareTo(MOST) > 0) {
            throw new NotALengthException(
                    Message.of("quantity.is-over-ten-metres-check-the-decimal", shortened(typed)));
        }
        if (nanometres.stripTrailingZeros().scale() > 0) {
            throw new NotALengthException(Message.of("quantity.is-finer-than-a-nanometre-key-fewer", shortened(typed)));
        }
        long value = nanometres.longValueExact();
        return new Length("-".equals(sign) ? -value : value);
    }

    private static String tidy(String typed) {
        String text = typed == null ? "" : typed.strip().toLowerCase(Locale.ROOT);
        return text.replace('\u2212', '-')
                .replace("\u00b5m", "um")
                .replace("\u03bcm", "um")
                .replace('\u2033', '"')
                .replace("''", "\"");
    }

    private static String shortened(String typed) {
        String text = typed.strip();
        return text.length() <= 20 ? text : text.substring(0, 20) + "…";
    }

    private static String example(BenchUnit unit) {
        return unit == BenchUnit.MM ? "0.06" : "2.5";
    }
}

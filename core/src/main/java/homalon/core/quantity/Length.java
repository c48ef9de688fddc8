package homalon.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * A signed length, exact to the nanometre. Never rounds by itself: the factories that may round say so in their names.
 *
 * @param nanometres whole nanometres
 */
public record Length(long nanometres) implements Comparable<Length> {
    public static final Length ZERO = new Length(0);

    private static final BigDecimal NM_PER_MM = BigDecimal.valueOf(BenchUnit.MM.nanometres());

    public static Length ofNanometres(long nanometres) {
        return new Length(nanometres);
    }

    /** @throws ArithmeticException when the value is not a whole number of nanometres. */
    public static Length ofMm(String mm) {
        return new Length(new BigDecimal(mm).multiply(NM_PER_MM).longValueExact());
    }

    /** @throws ArithmeticException when the value is not a whole number of nanometres. */
    public static Length ofThou(String thou) {
        return new Length(new BigDecimal(thou)
                .multiply(BigDecimal.valueOf(BenchUnit.THOU.nanometres()))
                .longValueExact());
    }

    /** Rounds a computed length to the nearest nanometre, halves away from zero. */
    public static Length roundedFromMm(double mm) {
        return new Length(BigDecimal.valueOf(mm)
                .multiply(NM_PER_MM)
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact());
    }

    /**
     * Reads what was keyed at the bench; see {@link LengthReader} for the rules.
     *
     * @throws NotALengthException with a sentence that says what to key instead
     */
    public static Length parse(String typed, BenchUnit unit) {
        return LengthReader.read(typed, unit);
    }

    /**
     * Reads a size of a casting, such as a bore: as {@link #parse}, but a bare number at a thou bench is inches.
     *
     * @throws NotALengthException with a sentence that says what to key instead
     */
    public static Length parseSize(String typed, BenchUnit unit) {
        return LengthReader.read(typed, unit, true);
    }

    /** As a double in millimetres, for the sums; exact for every length below nine kilometres. */
    public double mm() {
        return nanometres / 1e6;
    }

    public Length plus(Length other) {
        return new Length(Math.addExact(nanometres, other.nanometres));
    }

    public Length minus(Length other) {
        return new Length(Math.subtractExact(nanometres, other.nanometres));
    }

    public Length negated() {
        return new Length(Math.negateExact(nanometres));
    }

    public Length abs() {
        return nanometres < 0 ? negated() : this;
    }

    public int signum() {
        return Long.signum(nanometres);
    }

    @Override
    public int compareTo(Length other) {
        return Long.compare(nanometres, other.nanometres);
    }

    /** For logs and test failures; screens write lengths with {@link LengthWriter}. */
    @Override
    public String toString() {
        return BigDecimal.valueOf(nanometres, 6).stripTrailingZeros().toPlainString() + " mm";
    }
}

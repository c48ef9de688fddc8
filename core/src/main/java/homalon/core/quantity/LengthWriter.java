package homalon.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * Writes lengths in a bench's unit. Rounds for the eye only (halves away from zero); the length itself is untouched. A
 * value that rounds to nothing is written without a sign. Temperatures are written in what the reader chose.
 *
 * @param fahrenheit the reader thinks of temperatures in °F
 * @param days how days are written for the reader
 */
public record LengthWriter(BenchUnit unit, boolean fahrenheit, DayForm days) {
    private static final double FAHRENHEIT_PER_KELVIN = 1.8;

    /** With temperatures in °C and the day first, as both benches have them where nobody chose. */
    public LengthWriter(BenchUnit unit) {
        this(unit, DayForm.DAY_FIRST);
    }

    public LengthWriter(BenchUnit unit, DayForm days) {
        this(unit, false, days);
    }

    /** The bench whose temperatures these are: what a bare number means there. */
    public BenchUnit degrees() {
        return fahrenheit ? BenchUnit.THOU : BenchUnit.MM;
    }

    /** A temperature, whole: {@code 200 °C}, {@code 392 °F}. */
    public String temperature(double celsius) {
        long whole = Math.round(Quantity.TEMPERATURE.at(celsius, degrees()));
        return Long.toString(whole).replace('-', '\u2212') + " " + Quantity.TEMPERATURE.unit(degrees());
    }

    /** The number of a temperature to a tenth, as a field or a column has it: {@code 21.5}. */
    public String temperatureNumber(double celsius) {
        return BigDecimal.valueOf(Quantity.TEMPERATURE.at(celsius, degrees()))
                .setScale(1, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    /** What a field of temperatures is in: {@code °C}. */
    public String temperatureUnit() {
        return Quantity.TEMPERATURE.unit(degrees());
    }

    /** A temperature as the reader typed it, a bare number with the unit that it has for this reader. */
    public String temperatureTyped(String typed) {
        return fahrenheit && typed.strip().matches("[+\u2212-]?[0-9]*[.,]?[0-9]+") ? typed.strip() + " F" : typed;
    }

    /** A difference of temperatures: {@code 3 K}, {@code 5.4 °F}. */
    public String apart(double kelvin) {
        BigDecimal of = BigDecimal.valueOf(fahrenheit ? kelvin * FAHRENHEIT_PER_KELVIN : kelvin)
                .setScale(1, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return of.toPlainString() + (fahrenheit ? " °F" : " K");
    }

    /** Number without unit, at the unit's usual decimals: {@code 0.084}, {@code 3.31}. */
    public String number(Length length) {
        return scaled(length).toPlainString().replace('-', '\u2212');
    }

    /** The same for a computed length in millimetres, taken to the nanometre first so that ties round alike everywhere. */
    public String number(double mm) {
        return number(Length.roundedFromMm(mm));
    }

    /** With a sign in front of what is not zero: {@code +0.020}, {@code −0.013}. */
    public String signed(Length length) {
        return withSign(scaled(length));
    }

    /** The same for a computed length in millimetres. */
    public String signed(double mm) {
        return signed(Length.roundedFromMm(mm));
    }

    /** Number and unit: {@code 0.084 mm}. */
    public String full(Length length) {
        return number(length) + " " + unit.label();
    }

    /** The same for a computed length in millimetres. */
    public String full(double mm) {
        return number(mm) + " " + unit.label();
    }

    /** A length that may be used up, with its unit: rounded down, so that what is shown may be had. */
    public String allowed(double mm) {
        return rounded(mm, RoundingMode.FLOOR) + " " + unit.label();
    }

    /** The same without its unit. */
    public String allowedNumber(double mm) {
        return rounded(mm, RoundingMode.FLOOR);
    }

    /** A length that is needed, with its unit: rounded up, so that what is shown is enough. */
    public String needed(double mm) {
        return rounded(mm, RoundingMode.CEILING) + " " + unit.label();
    }

    private String rounded(double mm, RoundingMode way) {
        return BigDecimal.valueOf(Length.roundedFromMm(mm).nanometres())
                .divide(BigDecimal.valueOf(unit.nanometres()), unit.decimals(), way)
                .toPlainString();
    }

    /** A size of the casting, with no more decimals than it needs: {@code 420 mm}, {@code 3.425 in}. */
    public String size(Length length) {
        if (unit == BenchUnit.MM) {
            return trimmed(BigDecimal.valueOf(length.nanometres(), 6).setScale(3, RoundingMode.HALF_UP)) + " mm";
        }
        BigDecimal inches = BigDecimal.valueOf(length.nanometres())
                .divide(BigDecimal.valueOf(25_400_000L), 4, RoundingMode.HALF_UP);
        return trimmed(inches) + " in";
    }

    /** The same for a computed size in millimetres. */
    public String size(double mm) {
        return size(Length.roundedFromMm(mm));
    }

    /** Every digit that the length has in this unit, for a field that is to be edited or a record that must be exact. */
    public String exact(Length length) {
        BigDecimal value = BigDecimal.valueOf(length.nanometres())
                .divide(BigDecimal.valueOf(unit.nanometres()), 12, RoundingMode.HALF_UP);
        return trimmed(value);
    }

    private BigDecimal scaled(Length length) {
        return BigDecimal.valueOf(length.nanometres())
                .divide(BigDecimal.valueOf(unit.nanometres()), unit.decimals(), RoundingMode.HALF_UP);
    }

    private static String withSign(BigDecimal value) {
        if (value.signum() == 0) {
            return value.toPlainString();
        }
        return (value.signum() > 0 ? "+" : "\u2212") + value.abs().toPlainString();
    }

    private static String trimmed(BigDecimal value) {
        BigDecimal stripped = value.stripTrailingZeros();
        return (stripped.scale() < 0 ? stripped.setScale(0) : stripped).toPlainString();
    }
}

package homalon.core.quantity;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One line of an indicator's receiver: {@code HG1 <gauge> <number> <value> <unit> <battery> [B]}, blanks between.
 *
 * @param gauge name of the indicator: letters, digits, dashes, at most 20
 * @param number of the line, rising by one for each that the gauge sent; a repeat has the number of the first
 * @param value as the gauge wrote it, a plain decimal with a sign when it is negative
 * @param unit mm, um or in
 * @param battery what is left, percent
 * @param button true when its button was pressed: this value is meant as a reading
 */
public record GaugeLine(String gauge, long number, String value, String unit, int battery, boolean button) {
    /** Longer lines are no lines of a gauge. */
    public static final int LONGEST = 120;

    private static final Pattern LINE = Pattern.compile(
            "HG1 ([A-Za-z0-9-]{1,20}) ([0-9]{1,12}) ([+-]?[0-9]{1,6}(?:\\.[0-9]{1,8})?) (mm|um|in) ([0-9]{1,3})( B)?");

    /** Empty for anything else: a receiver shares its line with noise. */
    public static Optional<GaugeLine> parse(String line) {
        Matcher m = LINE.matcher(line.strip());
        if (line.length() > LONGEST || !m.matches() || Integer.parseInt(m.group(5)) > 100) {
            return Optional.empty();
        }
        return Optional.of(new GaugeLine(
                m.group(1),
                Long.parseLong(m.group(2)),
                m.group(3),
                m.group(4),
                Integer.parseInt(m.group(5)),
                m.group(6) != null));
    }

    /** As it goes over the line, without its end. */
    public String written() {
        return "HG1 " + gauge + " " + number + " " + value + " " + unit + " " + battery + (button ? " B" : "");
    }

    /** The value in the unit that the gauge says, to the nanometre. */
    public Length length() {
        BigDecimal inMm = new BigDecimal(value)
                .multiply(
                        switch (unit) {
                            case "um" -> new BigDecimal("0.001");
                            case "in" -> new BigDecimal("25.4");
                            default -> BigDecimal.ONE;
                        });
        return Length.roundedFromMm(inMm.doubleValue());
    }

    /** As a person would key it, unit included. */
    public String typed() {
        return value + unit;
    }
}

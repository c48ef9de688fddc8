package homalon.core.quantity;

import homalon.core.input.BadInputException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A turning torque, in newton metres. Keyed in Nm, or with its unit in inch pounds or foot pounds (of force; 1 in = 25.4 mm,
 * 1 lbf = 4.4482216152605 N, both exact).
 */
public record Torque(double newtonMetres) {
    private static final double POUND = 4.4482216152605;
    private static final double INCH = 0.0254;
    private static final double MOST = 1000;
    private static final Pattern TYPED = Pattern.compile("([0-9]{1,5}(?:[.,][0-9]{1,3})?)\\s*([a-z ./·-]*)");

    /**
     * @param field that it was keyed in
     * @throws BadInputException for what is no torque above zero
     */
    public static Torque parse(String field, String typed) {
        Matcher m = TYPED.matcher(typed == null ? "" : typed.strip().toLowerCase(Locale.ROOT));
        double value = m.matches()
                ? Double.parseDouble(m.group(1).replace(',', '.'))
                        * unit(m.group(2).replaceAll("[ ./·-]", ""))
                : 0;
        if (value <= 0 || value > MOST) {
            throw new BadInputException(field, "quantity.key-the-torque-above-zero-in-nm-such-as");
        }
        return new Torque(value);
    }

    /** In Nm; 0 of what is no torque. */
    private static double unit(String letters) {
        return switch (letters) {
            case "", "nm" -> 1;
            case "inlb", "inlbs", "inlbf", "lbin" -> INCH * POUND;
            case "ftlb", "ftlbs", "ftlbf", "lbft" -> 12 * INCH * POUND;
            default -> 0;
        };
    }

    /** {@code 2.49 Nm}. */
    public String words() {
        return BigDecimal.valueOf(newtonMetres)
                        .setScale(2, RoundingMode.HALF_UP)
                        .stripTrailingZeros()
                        .toPlainString()
                + " Nm";
    }
}

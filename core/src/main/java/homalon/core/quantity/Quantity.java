package homalon.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Kinds of quantity besides lengths. Each is held in its metric unit, written in the unit that a mm bench or a thou bench has for it, and
 * read with the suffix of either at both. The factors are exact where their definition is: 1 in = 25.4 mm, 1 lbf = 4.4482216152605 N,
 * 1 hp = 550 ft lbf/s, 1 inHg = 3.386389 kPa (at 0 °C), F = 1.8 C + 32.
 */
public enum Quantity {
    PRESSURE("bar", 3, "psi", 2, Map.of("bar", 1.0, "mbar", 0.001, "kpa", 0.01, "mpa", 10.0, "psi", Factor.PSI / 100)),
    VACUUM("kPa", 0, "inHg", 1, Map.of("kpa", 1.0, "mbar", 0.1, "bar", 100.0, "inhg", 3.386389, "mmhg", 0.1333224)),
    SPRING_RATE(
            "N/mm",
            1,
            "lb/in",
            0,
            Map.of("n/mm", 1.0, "lb/in", Factor.POUND / Factor.INCH, "lbs/in", Factor.POUND / Factor.INCH)),
    ROUGHNESS("µm", 2, "µin", 0, Map.of("um", 1.0, "µm", 1.0, "uin", Factor.INCH / 1000, "µin", Factor.INCH / 1000)),
    FEED("mm/min", 0, "in/min", 1, Map.of("mm/min", 1.0, "in/min", Factor.INCH, "ipm", Factor.INCH)),
    FEED_A_TURN("mm/rev", 3, "in/rev", 4, Map.of("mm/rev", 1.0, "mm", 1.0, "in/rev", Factor.INCH, "ipr", Factor.INCH)),
    TORQUE(
            "Nm",
            2,
            "in-lb",
            1,
            Map.of(
                    "nm",
                    1.0,
                    "inlb",
                    Factor.INCH_POUND,
                    "inlbs",
                    Factor.INCH_POUND,
                    "inlbf",
                    Factor.INCH_POUND,
                    "lbin",
                    Factor.INCH_POUND,
                    "ftlb",
                    Factor.INCH_POUND * 12,
                    "ftlbs",
                    Factor.INCH_POUND * 12,
                    "ftlbf",
                    Factor.INCH_POUND * 12,
                    "lbft",
                    Factor.INCH_POUND * 12)),
    POWER("kW", 1, "hp", 1, Map.of("kw", 1.0, "w", 0.001, "hp", Factor.POUND * 550 * 12 * Factor.INCH / 1e6)),
    /** A mm bench thinks of an opening in mm², a thou bench in in². */
    AREA(
            "mm²",
            0,
            "in²",
            3,
            Map.of("mm2", 1.0, "mm²", 1.0, "cm2", 100.0, "cm²", 100.0, "in2", 645.16, "in²", 645.16, "sqin", 645.16)),
    TEMPERATURE("°C", 1, "°F", 0, Map.of("c", 1.0, "f", 1 / 1.8)),
    /** The same at both benches; the sign is no letter. */
    ANGLE("°", 1, "°", 1, Map.of("", 1.0, "deg", 1.0, "degrees", 1.0));

    /** What the units are made of. */
    private static final class Factor {
        static final double INCH = 25.4;
        static final double POUND = 4.4482216152605;
        /** In Nm. */
        static final double INCH_POUND = POUND * INCH / 1000;
        /** A pound on a square inch, in kPa. */
        static final double PSI = POUND / (INCH * INCH) * 1000;

        private Factor() {}
    }

    private static final double FREEZING_FAHRENHEIT = 32;
    private static final Pattern TYPED =
            Pattern.compile("([+-]?[0-9]{0,6}(?:[.,][0-9]{0,6})?)\\s*((?![0-9.,])[a-z0-9²µ°./·\\- ]*)");

    private final String metric;
    private final int metricDecimals;
    private final String imperial;
    private final int imperialDecimals;
    private final Map<String, Double> factors;

    Quantity(String metric, int metricDecimals, String imperial, int imperialDecimals, Map<String, Double> factors) {
        this.metric = metric;
        this.metricDecimals = metricDecimals;
        this.imperial = imperial;
        this.imperialDecimals = imperialDecimals;
        this.factors = factors;
    }

    /** What it is written in at that bench: {@code psi}. */
    public String unit(BenchUnit bench) {
        return bench == BenchUnit.MM ? metric : imperial;
    }

    /**
     * As typed, in the metric unit; a bare number is of the bench's own unit.
     *
     * @return empty for what is no such quantity
     */
    public OptionalDouble read(String typed, BenchUnit bench) {
        Matcher m = TYPED.matcher(
                typed == null ? "" : typed.strip().replace('\u2212', '-').toLowerCase(Locale.ROOT));
        if (!m.matches() || !m.group(1).matches(".*[0-9].*")) {
            return OptionalDouble.empty();
        }
        double value = Double.parseDouble(m.group(1).replace(',', '.'));
        String suffix = m.group(2).isBlank() ? letters(unit(bench)) : letters(m.group(2));
        Double factor = factors.get(suffix);
        return factor == null ? OptionalDouble.empty() : OptionalDouble.of((value - zero(suffix)) * factor);
    }

    /** Points, degree signs and blanks do not tell units apart; a stroke does. */
    private String letters(String unit) {
        return unit.toLowerCase(Locale.ROOT).replaceAll("[ .°·-]", "");
    }

    private double zero(String suffix) {
        return this == TEMPERATURE && suffix.equals("f") ? FREEZING_FAHRENHEIT : 0;
    }

    /** In the unit of that bench, for an axis. */
    public double at(double value, BenchUnit bench) {
        String suffix = letters(unit(bench));
        return value / factors.getOrDefault(suffix, 1.0) + zero(suffix);
    }

    /** The other way: from the unit of that bench. */
    public double of(double at, BenchUnit bench) {
        String suffix = letters(unit(bench));
        return (at - zero(suffix)) * factors.getOrDefault(suffix, 1.0);
    }

    /** Number without unit, at the usual decimals of that bench: {@code 35.00}. */
    public String number(double value, BenchUnit bench) {
        return BigDecimal.valueOf(at(value, bench))
                .setScale(bench == BenchUnit.MM ? metricDecimals : imperialDecimals, RoundingMode.HALF_UP)
                .toPlainString()
                .replace('-', '\u2212');
    }

    /** Number and unit: {@code 35.00 psi}. */
    public String full(double value, BenchUnit bench) {
        return number(value, bench) + " " + unit(bench);
    }

    /** To two figures and without needless zeros, for a general value, which is no finer: {@code 0.73 psi}. */
    public String about(double value, BenchUnit bench) {
        return aboutNumber(value, bench) + " " + unit(bench);
    }

    /** The same without its unit, as a field has it. */
    public String aboutNumber(double value, BenchUnit bench) {
        return BigDecimal.valueOf(at(value, bench))
                .round(new MathContext(2, RoundingMode.HALF_UP))
                .stripTrailingZeros()
                .toPlainString();
    }
}

package homalon.core.chambers;

import homalon.core.input.BadInputException;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One filling of a chamber from a burette that counts upwards as it runs out: its readings before and after, and again after each
 * refill.
 *
 * @param runs at least one
 */
public record Fill(List<Run> runs) {
    /** No chamber of a head on a bench holds more, cm3. */
    private static final double MOST = 2000;

    private static final int MOST_RUNS = 12;
    private static final Pattern RUN = Pattern.compile(
            "(?:(\\d{1,4}(?:[.,]\\d{0,3})?|[.,]\\d{1,3})\\s*(?:-|\\u2212|\\s)\\s*)?(\\d{1,4}(?:[.,]\\d{0,3})?|[.,]\\d{1,3})");

    /**
     * @param from reading at the start
     * @param to reading at the end, both cm3
     */
    public record Run(BigDecimal from, BigDecimal to) {
        BigDecimal cc() {
            return to.subtract(from);
        }
    }

    public Fill {
        runs = List.copyOf(runs);
    }

    /**
     * Reads what was keyed: {@code 42.6} (from 0), {@code 3.2-45.8} (start and end), {@code 0-50+0-12.4} (with a refill between).
     *
     * @param capacity of the burette, cm3
     * @throws BadInputException with a sentence that says what to key instead
     */
    public static Fill read(String typed, double capacity) {
        String tidy = typed.strip().replaceFirst("(?i)\\s*(cc|ml|cm3)$", "");
        List<Run> runs = new ArrayList<>();
        for (String part : tidy.split("\\+", -1)) {
            Matcher m = RUN.matcher(part.strip());
            if (!m.matches() || runs.size() == MOST_RUNS) {
                throw bad(Message.of("chambers.key-the-burettes-end-reading-such-as-42"));
            }
            Run run = new Run(number(m.group(1)), number(m.group(2)));
            if (run.cc().signum() <= 0) {
                throw bad(Message.of("chambers.the-burette-counts-upwards-as-it-runs"));
            }
            if (run.to().doubleValue() > capacity) {
                throw bad(Message.of(
                        "chambers.the-burette-ends-at-cc-key-a-refill-as", plain(capacity), plain(capacity)));
            }
            runs.add(run);
        }
        Fill fill = new Fill(runs);
        if (fill.cc() > MOST) {
            throw bad(Message.of("chambers.no-chamber-holds-over-2000-cc-key-it"));
        }
        return fill;
    }

    private static BigDecimal number(String digits) {
        if (digits == null) {
            return BigDecimal.ZERO;
        }
        String tidy = digits.replace(',', '.');
        return new BigDecimal(tidy.endsWith(".") ? tidy + "0" : tidy.startsWith(".") ? "0" + tidy : tidy);
    }

    private static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    private static BadInputException bad(Message sentence) {
        return new BadInputException("typed", sentence);
    }

    /** What ran out in all, cm3; a refill in between adds. */
    public double cc() {
        return runs.stream()
                .map(Run::cc)
                .reduce(BigDecimal.ZERO, BigDecimal::add)
                .doubleValue();
    }
}

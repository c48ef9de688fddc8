package homalon.core.gauge;

import homalon.core.input.Problems;
import homalon.core.words.Message;
import java.util.OptionalInt;
import java.util.regex.Pattern;

/**
 * One instrument of a shop, and what it is good to.
 *
 * @param code as it is written on it and scanned: {@code M-01}
 * @param name what the shop calls it
 * @param known how what it leaves open is known
 * @param amount the limits that it keeps to either side, or its standard uncertainty; mm, cc, Nm or bar
 * @param months from one comparison to the next; empty for one that is compared when somebody thinks of it
 */
public record Instrument(
        String code, String name, InstrumentKind kind, Known known, double amount, OptionalInt months) {
    /** None begins with a letter that is a key of its own in an empty reading field, where codes are keyed too. */
    private static final Pattern CODE = Pattern.compile("[A-FHILM-Y][A-Z]{0,2}-[0-9]{2,6}");

    private static final int LONGEST_NAME = 80;
    private static final int MOST_MONTHS = 120;
    private static final double MOST = 10;

    /** How it is known what an instrument leaves open. */
    public enum Known {
        /** Limits that it keeps, as its maker or whoever compared it says: every error between them is as likely (JCGM 100, 4.3.7). */
        LIMITS,
        /** A standard uncertainty, from a certificate or a study. */
        STANDARD;

        public Message words() {
            return Message.of(this);
        }
    }

    /** @throws homalon.core.input.BadInputException with everything that is wrong about it */
    public Instrument {
        Problems problems = new Problems();
        problems.require(CODE.matcher(code).matches(), "code", "gauge.code-letters-a-dash-and-digits");
        problems.require(!name.isBlank() && name.length() <= LONGEST_NAME, "name", "gauge.name-what-the-shop-calls-it");
        problems.require(amount > 0 && amount <= MOST, "amount", "gauge.amount-more-than-nothing");
        problems.require(
                months.isEmpty() || (months.getAsInt() >= 1 && months.getAsInt() <= MOST_MONTHS),
                "months",
                "gauge.months-from-one-to");
        problems.throwIfAny();
    }

    /** Standard uncertainty that it adds to a figure. */
    public double standard() {
        return known == Known.LIMITS ? Uncertain.within(0, amount).standard() : amount;
    }

    /** The most that a comparison may find it off: its limits, or twice its standard uncertainty. */
    public double limits() {
        return known == Known.LIMITS ? amount : Uncertain.KEPT * amount;
    }

    /** The same with another figure for what it is good to. */
    public Instrument of(double other) {
        return new Instrument(code, name, kind, known, other, months);
    }

    /** The same with what it is good to by a study. */
    public Instrument good(double standard) {
        return new Instrument(code, name, kind, Known.STANDARD, standard, months);
    }
}

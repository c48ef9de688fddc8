package homalon.core.money;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Supplier;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * Another casting as it is keyed; everything as text but its kind.
 *
 * @param core what comes back for the old one
 * @param hours of work that it is known to need
 * @param left what may still be cut off it
 * @param months for which its seller stands for it
 * @param open what nobody can vouch for
 */
public record OtherForm(
        Other.Kind kind,
        String words,
        String price,
        String freight,
        String core,
        String days,
        String hours,
        String left,
        String months,
        String open) {
    private static final int LONGEST = 120;
    private static final int MOST_DAYS = 730;
    private static final int MOST_HOURS = 200;
    private static final int MOST_MONTHS = 120;
    private static final double MOST_LEFT = 20;
    private static final int HOUR = 60;

    /** What a form shows before anything is keyed. */
    public static final OtherForm EMPTY = new OtherForm(Other.Kind.NEW, "", "", "", "", "", "", "", "", "");

    /** @throws BadInputException with all that is wrong at once */
    public Other read(CurrencyUnit in, BenchUnit unit) {
        List<BadInputException.Problem> wrong = new ArrayList<>();
        Money none = Money.zero(in);
        String named = kept(wrong, "", () -> words(words, "words", true));
        Money asked = kept(wrong, none, () -> Amounts.read(price, in, "price"));
        Money carried = kept(wrong, none, () -> amount(freight, in, "freight"));
        Money back = kept(wrong, none, () -> amount(core, in, "core"));
        int wait = kept(wrong, 0, () -> count(days, "days", MOST_DAYS, "money.key-in-how-many-days-it-is-here"));
        int work = kept(wrong, 0, () -> minutes(hours));
        Optional<Length> metal = kept(wrong, Optional.empty(), () -> left(unit));
        OptionalInt stood = kept(wrong, OptionalInt.empty(), this::stands);
        String vouched = kept(wrong, "", () -> words(open, "open", false));
        if (wrong.isEmpty() && back.isGreaterThan(asked.plus(carried))) {
            throw new BadInputException("core", "money.no-more-comes-back-than-it-costs");
        }
        if (!wrong.isEmpty()) {
            throw new BadInputException(wrong);
        }
        return new Other(kind, named, asked, carried, back, wait, work, metal, stood, vouched);
    }

    /** @param instead stands in for what is refused: then nothing is made of it */
    private static <T> T kept(List<BadInputException.Problem> wrong, T instead, Supplier<T> read) {
        try {
            return read.get();
        } catch (BadInputException e) {
            wrong.addAll(e.problems());
            return instead;
        }
    }

    private OptionalInt stands() {
        return months.isBlank()
                ? OptionalInt.empty()
                : OptionalInt.of(count(months, "months", MOST_MONTHS, "money.key-for-how-many-months"));
    }

    private static String words(String typed, String field, boolean needed) {
        String tidy = typed.strip();
        if (needed && tidy.isEmpty()) {
            throw new BadInputException(field, "money.say-which-casting-it-is");
        }
        if (tidy.length() > LONGEST) {
            throw new BadInputException(field, "money.at-most-letters", LONGEST);
        }
        return tidy;
    }

    private static Money amount(String typed, CurrencyUnit in, String field) {
        return typed.isBlank() ? Money.zero(in) : Amounts.read(typed, in, field);
    }

    private static int count(String typed, String field, int most, String sentence) {
        String tidy = typed.strip();
        if (!tidy.matches("\\d{1,4}") || Integer.parseInt(tidy) > most) {
            throw new BadInputException(field, sentence, most);
        }
        return Integer.parseInt(tidy);
    }

    private static int minutes(String typed) {
        String tidy = typed.strip().replace(',', '.');
        if (tidy.isEmpty()) {
            return 0;
        }
        if (!tidy.matches("\\d{1,3}(\\.\\d{1,2})?") || Double.parseDouble(tidy) > MOST_HOURS) {
            throw new BadInputException("hours", "money.key-hours-of-work", MOST_HOURS);
        }
        return (int) Math.round(HOUR * Double.parseDouble(tidy));
    }

    private Optional<Length> left(BenchUnit unit) {
        if (left.isBlank()) {
            return Optional.empty();
        }
        Length read = Length.parse(left, unit);
        if (read.signum() < 0 || read.mm() > MOST_LEFT) {
            throw new BadInputException("left", "money.key-what-may-still-be-cut-off-it");
        }
        return Optional.of(read);
    }
}

package homalon.core.money;

import homalon.core.input.BadInputException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/** Money as it is keyed and as it is written. */
public final class Amounts {
    /** No job comes to more. */
    private static final int MOST_DIGITS = 7;

    private static final Pattern KEYED = Pattern.compile("(\\d{1,9})(?:[.,](\\d*))?");
    /** Some currencies begin with an X; most of what does is no money of a country. */
    private static final Set<String> WITH_X = Set.of("XAF", "XCD", "XOF", "XPF");

    private Amounts() {}

    /** Currencies that are paid in, by their letters. */
    public static List<CurrencyUnit> currencies() {
        return CurrencyUnit.registeredCurrencies().stream()
                .filter(c -> !c.isPseudoCurrency())
                .filter(c -> !c.getCode().startsWith("X") || WITH_X.contains(c.getCode()))
                .sorted(Comparator.comparing(CurrencyUnit::getCode))
                .toList();
    }

    /** @throws BadInputException for letters that stand for no currency */
    public static CurrencyUnit currency(String typed, String field) {
        String letters = typed.strip().toUpperCase(Locale.ROOT);
        return currencies().stream()
                .filter(c -> c.getCode().equals(letters))
                .findFirst()
                .orElseThrow(() -> new BadInputException(field, "money.key-the-three-letters-of-the-currency"));
    }

    /**
     * An amount of 0 or more.
     *
     * @param typed digits, with a point or a comma before the parts; none between thousands
     * @throws BadInputException for anything else, for parts smaller than the currency has, for more than any job comes to
     */
    public static Money read(String typed, CurrencyUnit currency, String field) {
        var matcher = KEYED.matcher(typed.strip().replace(" ", ""));
        String parts = matcher.matches() && matcher.group(2) != null ? matcher.group(2) : "";
        boolean fits = matcher.matches()
                && parts.length() <= currency.getDecimalPlaces()
                && matcher.group(1).length() <= MOST_DIGITS;
        if (!fits) {
            throw new BadInputException(
                    field,
                    "money.key-an-amount-such-as",
                    shown(Money.of(currency, BigDecimal.valueOf(12.5), RoundingMode.DOWN)));
        }
        return Money.of(currency, new BigDecimal(parts.isEmpty() ? matcher.group(1) : matcher.group(1) + "." + parts));
    }

    /** Likewise; none where nothing was keyed. */
    public static Optional<Money> readIfAny(String typed, CurrencyUnit currency, String field) {
        return typed.isBlank() ? Optional.empty() : Optional.of(read(typed, currency, field));
    }

    /** Its figures alone, all of the currency's digits, for where the currency is said once for all. */
    public static String shown(Money money) {
        return money.getAmount().toPlainString();
    }

    /** With its currency. */
    public static String whole(Money money) {
        return money.getCurrencyUnit().getCode() + " " + shown(money);
    }
}

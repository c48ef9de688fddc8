package homalon.core.money;

import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/**
 * How a shop counts and what it asks, as it is keyed; everything as text.
 *
 * @param tax of a hundred
 * @param held whether its prices hold the tax already
 * @param coin the least that a total is paid in
 * @param rate for an hour
 * @param least that any job comes to
 * @param look its one price
 * @param margin of a hundred that is put on parts
 */
public record PriceForm(
        String currency, String tax, boolean held, String coin, String rate, String least, String look, String margin) {
    /** Columns of a price list as a table. */
    public static final List<String> COLUMNS = List.of("work", "metal", "from", "to", "per", "each");

    private static final Pattern FIGURE = Pattern.compile("\\d{1,4}(?:[.,]\\d{1,3})?");
    private static final Pattern COUNT = Pattern.compile("\\d{1,2}");

    /** What a form shows before a shop has said anything; it says no price. */
    public static final PriceForm EMPTY = new PriceForm("", "", false, "", "", "", "", "");

    public static PriceForm of(PriceList list) {
        MoneyRules rules = list.rules();
        return new PriceForm(
                rules.currency().getCode(),
                rules.tax().toPlainString(),
                rules.held(),
                rules.coin().toPlainString(),
                Amounts.shown(list.rate()),
                Amounts.shown(list.least()),
                Amounts.shown(list.look()),
                list.margin().toPlainString());
    }

    /**
     * @param prices of the list as it was; in another currency they keep their figures
     * @throws BadInputException with all that is wrong at once
     */
    public PriceList read(List<Price> prices) {
        List<BadInputException.Problem> wrong = new ArrayList<>();
        CurrencyUnit in = kept(wrong, () -> Amounts.currency(currency, "currency"));
        BigDecimal taxed = kept(wrong, () -> figure(tax, "tax", "money.key-the-tax-of-a-hundred-0-to", 50));
        BigDecimal put =
                kept(wrong, () -> figure(margin, "margin", "money.key-what-is-put-on-parts-of-a-hundred", 500));
        if (in == null) {
            throw new BadInputException(wrong);
        }
        BigDecimal smallest = BigDecimal.ONE.movePointLeft(in.getDecimalPlaces());
        BigDecimal paid = coin.isBlank()
                ? smallest
                : kept(wrong, () -> figure(coin, "coin", "money.key-the-least-that-is-paid", smallest));
        Money hour = kept(wrong, () -> Amounts.read(rate, in, "rate"));
        Money fewest = kept(wrong, () -> amount(least, in, "least"));
        Money looked = kept(wrong, () -> Amounts.read(look, in, "look"));
        if (taxed == null || put == null || paid == null || hour == null || fewest == null || looked == null) {
            throw new BadInputException(wrong);
        }
        MoneyRules rules = new MoneyRules(in, taxed, held, paid);
        return new PriceList(rules, hour, fewest, looked, put, counted(prices, in), Set.of());
    }

    /** What it gives, or none and what is wrong with it. */
    private static <T> @Nullable T kept(List<BadInputException.Problem> wrong, Supplier<T> read) {
        try {
            return read.get();
        } catch (BadInputException e) {
            wrong.addAll(e.problems());
            return null;
        }
    }

    private static Money amount(String typed, CurrencyUnit in, String field) {
        return typed.isBlank() ? Money.zero(in) : Amounts.read(typed, in, field);
    }

    private static BigDecimal figure(String typed, String field, String sentence, Object most) {
        String tidy = typed.strip();
        if (tidy.isEmpty()) {
            return BigDecimal.ZERO;
        }
        if (!FIGURE.matcher(tidy).matches()) {
            throw new BadInputException(field, sentence, most);
        }
        return new BigDecimal(tidy.replace(',', '.'));
    }

    /** The same figures in that currency, to its digits. */
    static List<Price> counted(List<Price> prices, CurrencyUnit in) {
        return prices.stream()
                .map(p -> p.each(Money.of(in, p.each().getAmount(), RoundingMode.HALF_UP)))
                .toList();
    }

    /**
     * A line of the list.
     *
     * @param cell what was keyed in a column; empty where nothing was
     * @throws BadInputException naming the column that cannot be
     */
    public static Price price(UnaryOperator<String> cell, CurrencyUnit in) {
        String metal = cell.apply("metal");
        return new Price(
                one(
                        Operation.values(),
                        cell.apply("work"),
                        "work",
                        Message.of("money.key-a-work-such-as", Operation.CUT.words())),
                metal.isEmpty()
                        ? Optional.empty()
                        : Optional.of(one(
                                Material.values(),
                                metal,
                                "metal",
                                Message.of(
                                        "money.key-a-metal", Material.CAST_IRON.words(), Material.ALUMINIUM.words()))),
                cylinders(cell.apply("from"), 1),
                cylinders(cell.apply("to"), Price.MOST_CYLINDERS),
                cell.apply("per").isEmpty()
                        ? Price.Per.CASTING
                        : one(
                                Price.Per.values(),
                                cell.apply("per"),
                                "per",
                                Message.of("money.key-what-it-is-for-one-of")),
                Amounts.read(cell.apply("each"), in, "each"));
    }

    private static int cylinders(String typed, int otherwise) {
        if (typed.isBlank()) {
            return otherwise;
        }
        if (!COUNT.matcher(typed.strip()).matches()) {
            throw new BadInputException("cylinders", "money.key-cylinders-from-to", Price.MOST_CYLINDERS);
        }
        return Integer.parseInt(typed.strip());
    }

    /** By its name, with blanks for what joins its words. */
    private static <E extends Enum<E>> E one(E[] all, String typed, String field, Message such) {
        for (E e : all) {
            if (plain(e).equalsIgnoreCase(typed.strip().replace('_', ' ').replace('-', ' '))) {
                return e;
            }
        }
        throw new BadInputException(field, such);
    }

    private static String plain(Enum<?> one) {
        return one.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** A line of the list as it is keyed, a cell a column. */
    public static List<String> cells(Price price) {
        return List.of(
                plain(price.operation()),
                price.metal().map(PriceForm::plain).orElse(""),
                Integer.toString(price.from()),
                Integer.toString(price.to()),
                plain(price.per()),
                Amounts.shown(price.each()));
    }
}

package homalon.core.money;

import homalon.core.input.Problems;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * How a shop counts money.
 *
 * @param currency of all its prices
 * @param tax of a hundred
 * @param held whether its prices hold the tax already
 * @param coin the least that a total is paid in, as 0.05 where there are no smaller coins
 */
public record MoneyRules(CurrencyUnit currency, BigDecimal tax, boolean held, BigDecimal coin) {
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
    private static final BigDecimal MOST_TAX = BigDecimal.valueOf(50);
    private static final int TAX_DIGITS = 3;

    /**
     * What lines come to.
     *
     * @param net without tax
     * @param rounding what the coin adds or takes off
     * @param total what is paid: net, tax and rounding
     */
    public record Sum(Money net, Money tax, Money rounding, Money total) {}

    /** @throws homalon.core.input.BadInputException for a tax or a coin that no shop has */
    public MoneyRules {
        Problems problems = new Problems();
        problems.require(
                tax.signum() >= 0
                        && tax.compareTo(MOST_TAX) <= 0
                        && tax.stripTrailingZeros().scale() <= TAX_DIGITS,
                "tax",
                "money.key-the-tax-of-a-hundred-0-to",
                MOST_TAX);
        problems.require(
                coin.signum() > 0
                        && coin.compareTo(HUNDRED) <= 0
                        && coin.stripTrailingZeros().scale() <= currency.getDecimalPlaces(),
                "coin",
                "money.key-the-least-that-is-paid",
                BigDecimal.ONE.movePointLeft(currency.getDecimalPlaces()));
        problems.throwIfAny();
        tax = plain(tax);
        coin = plain(coin);
    }

    /** As it is keyed: 20, and neither 20.0 nor 2E+1. */
    static BigDecimal plain(BigDecimal figure) {
        BigDecimal brief = figure.stripTrailingZeros();
        return brief.scale() < 0 ? brief.setScale(0) : brief;
    }

    /** So much of this currency; parts of its smallest coin go to the nearest, halves up. */
    public Money of(BigDecimal amount) {
        return Money.of(currency, amount, RoundingMode.HALF_UP);
    }

    public Money none() {
        return Money.zero(currency);
    }

    /**
     * Lines are whole coins already and add up as they stand; tax is taken once, from their sum; the coin is counted once, at the end.
     *
     * @param lines in this currency
     */
    public Sum sum(List<Money> lines) {
        Money all = Money.total(currency, lines);
        Money taxed = held ? all : all.plus(of(all.getAmount().multiply(tax).divide(HUNDRED)));
        Money part = held
                ? of(taxed.getAmount().multiply(tax).divide(HUNDRED.add(tax), 9, RoundingMode.HALF_UP))
                : taxed.minus(all);
        Money total = of(taxed.getAmount().divide(coin, 0, RoundingMode.HALF_UP).multiply(coin));
        return new Sum(taxed.minus(part), part, total.minus(taxed), total);
    }
}

package homalon.core.money;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import org.joda.money.Money;

/**
 * What a casting comes to with what may still turn up, tax and rounding in it.
 *
 * @param fixed as it stands
 * @param expected on average
 * @param kept what it does not pass in 8 of 10
 * @param worst where all of it turns up
 * @param exact whether all that can come was counted, and not drawn
 */
public record Outlook(Money fixed, Money expected, Money kept, Money worst, boolean exact) {
    private static final int OF_A_HUNDRED = 80;

    public static Outlook of(Estimate estimate, List<Risk> risks) {
        Spread spread = Spread.of(risks.stream().map(Risk::money).toList());
        MoneyRules rules = estimate.rules();
        BigDecimal mean = risks.stream()
                .map(r -> r.adds().getAmount().multiply(BigDecimal.valueOf(r.chance())))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        return new Outlook(
                estimate.sum().total(),
                estimate.sum(Money.of(rules.currency(), mean, RoundingMode.HALF_UP))
                        .total(),
                estimate.sum(Money.ofMinor(rules.currency(), spread.keptIn(OF_A_HUNDRED)))
                        .total(),
                estimate.sum(Money.ofMinor(rules.currency(), spread.worst())).total(),
                spread.exact());
    }
}

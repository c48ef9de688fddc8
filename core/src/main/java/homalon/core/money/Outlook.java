package homalon.core.money;

import java.math.BigDecimal;
import java.util.ArrayList;
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
        return of(estimate.rules(), estimate.asked(), risks);
    }

    /** @param lines before tax */
    public static Outlook of(MoneyRules rules, List<Money> lines, List<Risk> risks) {
        Spread spread = Spread.of(risks.stream().map(Risk::money).toList());
        BigDecimal mean = risks.stream()
                .map(r -> r.adds().getAmount().multiply(BigDecimal.valueOf(r.chance())))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        return new Outlook(
                total(rules, lines, rules.none()),
                total(rules, lines, rules.of(mean)),
                total(rules, lines, Money.ofMinor(rules.currency(), spread.keptIn(OF_A_HUNDRED))),
                total(rules, lines, Money.ofMinor(rules.currency(), spread.worst())),
                spread.exact());
    }

    private static Money total(MoneyRules rules, List<Money> lines, Money more) {
        List<Money> all = new ArrayList<>(lines);
        all.add(more);
        return rules.sum(all).total();
    }
}

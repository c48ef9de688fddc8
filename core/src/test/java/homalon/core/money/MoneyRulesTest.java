package homalon.core.money;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sums of money, tax and the coin. */
class MoneyRulesTest {
    static MoneyRules rules(String currency, String tax, boolean held, String coin) {
        return new MoneyRules(CurrencyUnit.of(currency), new BigDecimal(tax), held, new BigDecimal(coin));
    }

    private static String amount(Money money) {
        return money.getAmount().toPlainString();
    }

    @ParameterizedTest
    @CsvSource({
        // Tax of a hundred, whether prices hold it, coin, lines; net, tax, rounding, total.
        "19, false, 0.01, 100.00 35.50, 135.50, 25.75, 0.00, 161.25",
        "19, false, 0.05, 100.00 35.51, 135.51, 25.75, -0.01, 161.25",
        "25, true, 0.01, 100.00 25.00, 100.00, 25.00, 0.00, 125.00",
        "8.1, true, 0.05, 99.99, 92.50, 7.49, 0.01, 100.00",
        "0, false, 1, 12.50, 12.50, 0.00, 0.50, 13.00",
        "20, false, 0.01, , 0.00, 0.00, 0.00, 0.00",
        // A credit is as long below nothing as a charge above it.
        "20, false, 0.01, -10.00, -10.00, -2.00, 0.00, -12.00",
    })
    void sumsAreWholeCoins(
            String tax,
            boolean held,
            String coin,
            String lines,
            String net,
            String part,
            String rounding,
            String total) {
        MoneyRules rules = rules("EUR", tax, held, coin);
        List<Money> all = lines == null
                ? List.of()
                : Arrays.stream(lines.split(" "))
                        .map(l -> rules.of(new BigDecimal(l)))
                        .toList();
        MoneyRules.Sum sum = rules.sum(all);
        assertEquals(
                List.of(net, part, rounding, total),
                List.of(amount(sum.net()), amount(sum.tax()), amount(sum.rounding()), amount(sum.total())));
    }

    /** Whatever the lines, the tax and the coin, in currencies of no, two and three digits. */
    @Test
    void netTaxAndRoundingAreTheTotalToTheSmallestCoin() {
        Random random = new Random(7);
        for (int round = 0; round < 5_000; round++) {
            CurrencyUnit currency = CurrencyUnit.of(List.of("EUR", "JPY", "KWD").get(random.nextInt(3)));
            int digits = currency.getDecimalPlaces();
            BigDecimal least = BigDecimal.ONE.movePointLeft(digits);
            BigDecimal coin = least.multiply(
                            BigDecimal.valueOf(List.of(1, 5, 10, 100).get(random.nextInt(4))))
                    .min(BigDecimal.valueOf(100));
            MoneyRules rules =
                    new MoneyRules(currency, BigDecimal.valueOf(random.nextInt(50_001), 3), random.nextBoolean(), coin);
            List<Money> lines = new ArrayList<>();
            for (int i = random.nextInt(12); i > 0; i--) {
                lines.add(Money.ofMinor(currency, random.nextInt(2_000_000) - 100_000));
            }
            MoneyRules.Sum sum = rules.sum(lines);
            assertEquals(sum.total(), sum.net().plus(sum.tax()).plus(sum.rounding()));
            BigDecimal half = coin.divide(BigDecimal.valueOf(2));
            assertTrue(sum.rounding().getAmount().abs().compareTo(half) <= 0, sum::toString);
            assertEquals(0, sum.total().getAmount().remainder(coin).signum(), sum::toString);
            Money all = Money.total(currency, lines);
            assertEquals(all, rules.held() ? sum.net().plus(sum.tax()) : sum.net());
            BigDecimal exact = sum.net().getAmount().multiply(rules.tax()).divide(BigDecimal.valueOf(100));
            BigDecimal off = sum.tax().getAmount().subtract(exact).abs();
            assertTrue(off.compareTo(least) <= 0, () -> sum + " of " + exact);
            Collections.shuffle(lines, random);
            assertEquals(sum, rules.sum(lines), "in any order");
        }
    }

    @ParameterizedTest
    @CsvSource({"900, 0.01", "-1, 0.01", "50.001, 0.01", "7.1234, 0.01", "20, 0", "20, -0.05", "20, 0.001", "20, 101"})
    void aTaxAndACoinThatNoShopHasAreRefused(String tax, String coin) {
        assertThrows(BadInputException.class, () -> rules("EUR", tax, false, coin));
    }

    @Test
    void partsOfACoinGoToTheNearest() {
        MoneyRules rules = rules("EUR", "0", false, "0.01");
        assertEquals("0.01", amount(rules.of(new BigDecimal("0.005"))));
        assertEquals("0.00", amount(rules.of(new BigDecimal("0.00499"))));
        assertEquals(
                "1.23",
                amount(rules.of(BigDecimal.valueOf(37).divide(BigDecimal.valueOf(30), 9, RoundingMode.HALF_UP))));
    }
}

package homalon.core.money;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.bench.JobSize;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a shop asks. */
class PriceListTest {
    static final MoneyRules RULES = MoneyRulesTest.rules("EUR", "25", false, "0.01");
    static final JobSize FOUR = new JobSize(4, 16, 3, 2);

    static Money eur(String amount) {
        return RULES.of(new BigDecimal(amount));
    }

    static Price price(Operation operation, Optional<Material> metal, int from, int to, Price.Per per, String each) {
        return new Price(operation, metal, from, to, per, eur(each));
    }

    static PriceList list(Price... prices) {
        return new PriceList(RULES, eur("60"), eur("40"), eur("75"), new BigDecimal("30"), List.of(prices), Set.of());
    }

    private static String amount(PriceList list, Operation operation, Material metal, JobSize size, int minutes) {
        return list.of(operation, metal, size, minutes)
                .map(a -> a.amount().getAmount().toPlainString())
                .orElse("none");
    }

    @ParameterizedTest
    @CsvSource({"CASTING, 12.50", "CYLINDER, 50.00", "VALVE, 200.00", "PIECE, 37.50", "PASS, 25.00"})
    void aPriceIsForOneOfWhatItSays(Price.Per per, String amount) {
        PriceList list = list(price(Operation.SEAT_WORK, Optional.empty(), 1, 16, per, "12.50"));
        assertEquals(amount, amount(list, Operation.SEAT_WORK, Material.CAST_IRON, FOUR, 60));
    }

    @Test
    void thePriceThatIsMeantForLeastElseCounts() {
        PriceList list = list(
                price(Operation.CUT, Optional.empty(), 1, 16, Price.Per.CASTING, "90"),
                price(Operation.CUT, Optional.empty(), 1, 4, Price.Per.CASTING, "70"),
                price(Operation.CUT, Optional.of(Material.ALUMINIUM), 1, 16, Price.Per.CASTING, "80"));
        assertEquals("70.00", amount(list, Operation.CUT, Material.CAST_IRON, FOUR, 60));
        assertEquals("80.00", amount(list, Operation.CUT, Material.ALUMINIUM, FOUR, 60), "its metal before its size");
        assertEquals("90.00", amount(list, Operation.CUT, Material.CAST_IRON, new JobSize(6, 24, 1, 2), 60));
    }

    @Test
    void whatHasNoPriceIsByTheHourAndWhatBelongsToOtherWorkIsNothing() {
        PriceList list = list();
        assertEquals("37.00", amount(list, Operation.CUT, Material.CAST_IRON, FOUR, 37));
        for (Operation within :
                List.of(Operation.CLEAN, Operation.FACE_CHECK, Operation.PROOF, Operation.OIL_AND_BAG)) {
            assertEquals("none", amount(list, within, Material.CAST_IRON, FOUR, 37), within::name);
        }
        PriceList own = list(price(Operation.CLEAN, Optional.empty(), 1, 16, Price.Per.CASTING, "15"));
        assertEquals("15.00", amount(own, Operation.CLEAN, Material.CAST_IRON, FOUR, 37), "unless the list says one");
    }

    @Test
    void partsCarryTheMargin() {
        assertEquals(eur("13.00"), list().part(eur("10")));
        assertEquals(eur("0.01"), list().part(eur("0.01")));
    }

    @Test
    void whatNoShopAsksIsRefused() {
        assertThrows(
                BadInputException.class, () -> price(Operation.CUT, Optional.empty(), 1, 4, Price.Per.CASTING, "-1"));
        assertThrows(
                BadInputException.class, () -> price(Operation.CUT, Optional.empty(), 5, 4, Price.Per.CASTING, "1"));
        assertThrows(
                BadInputException.class, () -> price(Operation.CUT, Optional.empty(), 1, 17, Price.Per.CASTING, "1"));
        for (String bad : List.of("-1", "501")) {
            assertThrows(
                    BadInputException.class,
                    () -> new PriceList(
                            RULES, eur("60"), eur("0"), eur("0"), new BigDecimal(bad), List.of(), Set.of()));
        }
    }
}

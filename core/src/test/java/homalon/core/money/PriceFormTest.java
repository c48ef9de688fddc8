package homalon.core.money;

import static homalon.core.money.PriceListTest.eur;
import static homalon.core.money.PriceListTest.list;
import static homalon.core.money.PriceListTest.price;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A shop's prices as they are keyed. */
class PriceFormTest {
    private static final PriceForm KEYED = new PriceForm("eur", "20", true, "0.05", "68", "45", "75", "30");

    private static Price line(String... cells) {
        Map<String, String> row = new HashMap<>();
        for (int i = 0; i < cells.length; i++) {
            row.put(PriceForm.COLUMNS.get(i), cells[i]);
        }
        return PriceForm.price(c -> row.getOrDefault(c, ""), CurrencyUnit.EUR);
    }

    @Test
    void whatIsKeptIsKeyedAgainAsItStands() {
        PriceList read = KEYED.read(List.of());
        assertEquals(new BigDecimal("20"), read.rules().tax());
        assertEquals(eur("68.00"), read.rate());
        assertEquals(read, PriceForm.of(read).read(List.of()));
        for (Price price : list(
                        price(Operation.CUT, Optional.of(Material.ALUMINIUM), 1, 3, Price.Per.PASS, "12.5"),
                        price(Operation.GUIDE_WORK, Optional.empty(), 1, 16, Price.Per.PIECE, "22"))
                .prices()) {
            assertEquals(price, line(PriceForm.cells(price).toArray(String[]::new)));
        }
    }

    @Test
    void whatIsLeftEmptyIsTheLeast() {
        PriceList read = new PriceForm("EUR", "", false, "", "60", "", "0", "").read(List.of());
        assertEquals(new BigDecimal("0.01"), read.rules().coin());
        assertEquals(BigDecimal.ZERO, read.rules().tax());
        assertEquals(eur("0"), read.least());
        assertEquals(
                new BigDecimal("1"),
                new PriceForm("JPY", "10", true, "", "6000", "", "0", "")
                        .read(List.of())
                        .rules()
                        .coin());
    }

    /** All of it at once, each where it was keyed. */
    @Test
    void whatIsWrongIsSaidOfEveryField() {
        PriceForm wrong = new PriceForm("EUR", "many", false, "x", "-1", "", "", "12345");
        var refused = assertThrows(BadInputException.class, () -> wrong.read(List.of()));
        assertEquals(
                new TreeSet<>(List.of("tax", "coin", "rate", "look", "margin")),
                new TreeSet<>(refused.problems().stream()
                        .map(BadInputException.Problem::field)
                        .toList()));
    }

    @ParameterizedTest
    @CsvSource({"900, tax", "50.001, tax", "20.1234, tax"})
    void aTaxThatNoCountryHasIsRefused(String tax, String field) {
        var refused = assertThrows(
                BadInputException.class, () -> new PriceForm("EUR", tax, false, "", "60", "", "0", "").read(List.of()));
        assertEquals(field, refused.problems().get(0).field());
    }

    @Test
    void anotherCurrencyKeepsTheFigures() {
        List<Price> prices = List.of(price(Operation.CUT, Optional.empty(), 1, 16, Price.Per.CASTING, "90.50"));
        PriceList yen = new PriceForm("JPY", "10", true, "", "6000", "", "5000", "30").read(prices);
        assertEquals(Money.ofMajor(CurrencyUnit.JPY, 91), yen.prices().get(0).each());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "polish||||casting|5|work",
                "cut|brass|||casting|5|metal",
                "cut||0|4|casting|5|cylinders",
                "cut||4|2|casting|5|cylinders",
                "cut||x|4|casting|5|cylinders",
                "cut||1|99|casting|5|cylinders",
                "cut||||bolt|5|per",
                "cut||||casting|-5|each",
                "cut||||casting||each"
            })
    void aLineThatCannotBeNamesItsColumn(
            String work, String metal, String from, String to, String per, String each, String column) {
        var refused = assertThrows(
                BadInputException.class,
                () -> line(
                        work,
                        metal == null ? "" : metal,
                        from == null ? "" : from,
                        to == null ? "" : to,
                        per == null ? "" : per,
                        each == null ? "" : each));
        assertEquals(column, refused.problems().get(0).field());
    }

    @Test
    void wordsMayBeKeyedAsTheyAreSaid() {
        assertEquals(
                Operation.GUIDE_WORK, line("Guide work", "", "", "", "", "5").operation());
        assertEquals(
                Operation.GUIDE_WORK, line("GUIDE_WORK", "", "", "", "", "5").operation());
        assertEquals(
                Optional.of(Material.CAST_IRON),
                line("cut", "cast-iron", "", "", "valve", "5").metal());
    }
}

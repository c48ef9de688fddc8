package homalon.core.money;

import static homalon.core.money.PriceListTest.eur;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.words.English;
import java.util.List;
import java.util.Optional;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Money as it is keyed. */
class AmountsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"12.50|12.50", "12,5|12.50", " 640 |640.00", "1 250.00|1250.00", "0|0.00", "9999999.99|9999999.99"
            })
    void isReadAsHandsKeyIt(String typed, String amount) {
        assertEquals(eur(amount), Amounts.read(typed, CurrencyUnit.EUR, "each"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"-5", "", "12.505", "1,250.00", "1,250", "10000000", "12 EUR", "1e3", "\u0661", "NaN", "."})
    void whatIsNoAmountSaysWhatToKey(String typed) {
        var refused = assertThrows(BadInputException.class, () -> Amounts.read(typed, CurrencyUnit.EUR, "each"));
        assertEquals("each", refused.problems().get(0).field());
        assertTrue(English.of(refused.sentence()).contains("12.50"), English.of(refused.sentence()));
    }

    @Test
    void aCurrencyWithoutPartsTakesNone() {
        assertEquals(Money.ofMajor(CurrencyUnit.JPY, 1200), Amounts.read("1200", CurrencyUnit.JPY, "each"));
        assertTrue(English.of(
                        assertThrows(BadInputException.class, () -> Amounts.read("12.5", CurrencyUnit.JPY, "each"))
                                .sentence())
                .contains("such as 12,"));
    }

    @Test
    void lettersStandForWhatIsPaidIn() {
        assertEquals(CurrencyUnit.EUR, Amounts.currency(" eur", "currency"));
        assertEquals("XOF", Amounts.currency("XOF", "currency").getCode());
        for (String none : List.of("", "EURO", "XAU", "XXX", "XTS", "\u20ac")) {
            assertThrows(BadInputException.class, () -> Amounts.currency(none, "currency"), none);
        }
        assertEquals(Optional.empty(), Amounts.readIfAny(" ", CurrencyUnit.EUR, "each"));
        assertEquals("EUR 12.50", Amounts.whole(eur("12.50")));
    }
}

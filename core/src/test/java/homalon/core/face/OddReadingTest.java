package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import java.util.Arrays;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which heights are asked about; figures in mm. */
class OddReadingTest {
    private static double[] others(String text) {
        return Arrays.stream(text.split(" "))
                .filter(s -> !s.isEmpty())
                .mapToDouble(Double::parseDouble)
                .toArray();
    }

    @ParameterizedTest
    @CsvSource({
        // A flat face: 0.18 from the middle is let pass, more is asked about.
        "0.18, 0 0 0, true, false",
        "0.181, 0 0 0, true, true",
        "-0.181, 0 0 0, true, true",
        "0.191, 0.01 0.01 0.01, true, true",
        // A bad face: six times the reach of the others.
        "0.65, -0.05 0.05 0.05, true, false",
        "0.66, -0.05 0.05 0.05, true, true",
        // Few others: size alone tells, and of a thickness it does not.
        "2, '', true, false",
        "2.001, 0 0, true, true",
        "-2.001, 0 0, true, true",
        "90, 90 90, false, false",
        "90.2, 90 90 90, false, true"
    })
    void byTheGeneralValue(double value, String others, boolean aboutZero, boolean asks) {
        assertEquals(asks, OddReading.asks(value, others(others), aboutZero, BookDefaults.of(BenchUnit.MM)), "mm");
    }

    @ParameterizedTest
    @CsvSource({
        "0.06, 0 0 0, false",
        "0.061, 0 0 0, true",
        "0.5, 0 0, false",
        "0.501, 0 0, true",
        "0.4, -0.05 0 0.05, false"
    })
    void byTheShopsOwn(double value, String others, boolean asks) {
        BookDefaults shop = new BookDefaults(
                BenchUnit.MM,
                Map.of(
                        BenchFigure.FACE_ODD.ofShop(), new BookDefaults.Own(0.06, "our granite"),
                        BenchFigure.FACE_LARGE.ofShop(), new BookDefaults.Own(0.5, "our granite")));
        assertEquals(asks, OddReading.asks(value, others(others), true, shop));
    }
}

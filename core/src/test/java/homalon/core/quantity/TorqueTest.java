package homalon.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.input.BadInputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TorqueTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "2.5;       2.5;      2.5 Nm",
                "2,5 Nm;    2.5;      2.5 Nm",
                "22 in-lb;  2.48567;  2.49 Nm",
                "22 inlb;   2.48567;  2.49 Nm",
                "1.8 ft-lb; 2.44047;  2.44 Nm",
                "12 in lb;  1.355818; 1.36 Nm",
                "1 ft.lb;   1.355818; 1.36 Nm"
            })
    void isKeyedInThreeUnits(String typed, double nm, String words) {
        Torque torque = Torque.parse("turns", typed, BenchUnit.MM);
        assertEquals(nm, torque.newtonMetres(), 1e-5);
        assertEquals(words, torque.words(BenchUnit.MM));
    }

    @Test
    void aBareNumberAtAThouBenchIsInInchPounds() {
        Torque torque = Torque.parse("turns", "22", BenchUnit.THOU);
        assertEquals(2.48567, torque.newtonMetres(), 1e-5);
        assertEquals("22 in-lb", torque.words(BenchUnit.THOU));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0", "-2", "two", "2 mm", "5000", "2.5.1", "2 lb"})
    void anythingElseIsRefused(String typed) {
        assertThrows(BadInputException.class, () -> Torque.parse("turns", typed, BenchUnit.MM));
    }
}

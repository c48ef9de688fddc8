package homalon.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityTest {
    /** Against tables of conversion. */
    @ParameterizedTest
    @CsvSource({
        "PRESSURE, 35 psi, 2.413165",
        "PRESSURE, 2.5 bar, 2.5",
        "PRESSURE, 250 kPa, 2.5",
        "VACUUM, 20inHg, 67.72778",
        "VACUUM, 500 mmHg, 66.6612",
        "SPRING_RATE, 100 lb/in, 17.51268",
        "SPRING_RATE, 32 N/mm, 32",
        "ROUGHNESS, 32 uin, 0.8128",
        "ROUGHNESS, 0.8 µm, 0.8",
        "FEED, 10 in/min, 254",
        "FEED, 10 ipm, 254",
        "FEED_A_TURN, .004 in/rev, 0.1016",
        "TORQUE, 22 in-lb, 2.485666",
        "TORQUE, 18 Nm, 18",
        "TORQUE, 10 ft-lb, 13.55818",
        "TORQUE, 10 ft·lb, 13.55818",
        "POWER, 10 hp, 7.456999",
        "AREA, 7.5 in², 4838.7",
        "AREA, 50cm2, 5000",
        "AREA, 5020 mm2, 5020",
        "TEMPERATURE, 212 °F, 100",
        "TEMPERATURE, -40 F, -40",
        "TEMPERATURE, 21.5 °C, 21.5",
    })
    void aSuffixIsReadAtEitherBench(Quantity kind, String typed, double metric) {
        for (BenchUnit bench : BenchUnit.values()) {
            assertEquals(metric, kind.read(typed, bench).orElseThrow(), Math.abs(metric) * 1e-6, typed);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "PRESSURE, 2.5, 2.5, 0.1723689",
        "TEMPERATURE, 32, 32, 0",
        "POWER, '7,5', 7.5, 5.592749",
        "ROUGHNESS, 32, 32, 0.8128",
        "AREA, 2, 2, 1290.32",
    })
    void aBareNumberIsOfTheBenchsOwnUnit(Quantity kind, String typed, double mm, double thou) {
        assertEquals(mm, kind.read(typed, BenchUnit.MM).orElseThrow(), 1e-6);
        assertEquals(thou, kind.read(typed, BenchUnit.THOU).orElseThrow(), 1e-6);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "psi", "two bar", "2.5 volt", "1 2", "1e3", "NaN", ".", "-", "9999999 bar"})
    void whatIsNoPressureIsNotRead(String typed) {
        assertTrue(Quantity.PRESSURE.read(typed, BenchUnit.MM).isEmpty(), typed);
    }

    @Test
    void nothingIsNotRead() {
        assertTrue(Quantity.PRESSURE.read(null, BenchUnit.MM).isEmpty());
        assertTrue(Quantity.PRESSURE.read("20 °C", BenchUnit.MM).isEmpty(), "a unit of another kind");
    }

    @ParameterizedTest
    @CsvSource({
        "PRESSURE, 2.413165, 2.413 bar, 35.00 psi",
        "VACUUM, 67.7, 68 kPa, 20.0 inHg",
        "SPRING_RATE, 17.5127, 17.5 N/mm, 100 lb/in",
        "ROUGHNESS, 0.8, 0.80 µm, 31 µin",
        "FEED, 254, 254 mm/min, 10.0 in/min",
        "FEED_A_TURN, 0.1016, 0.102 mm/rev, 0.0040 in/rev",
        "TORQUE, 2.4857, 2.49 Nm, 22.0 in-lb",
        "POWER, 7.457, 7.5 kW, 10.0 hp",
        "TEMPERATURE, 100, 100.0 °C, 212 °F",
        "TEMPERATURE, -40, −40.0 °C, −40 °F",
    })
    void isWrittenInTheUnitOfTheBench(Quantity kind, double metric, String mm, String thou) {
        assertEquals(mm, kind.full(metric, BenchUnit.MM));
        assertEquals(thou, kind.full(metric, BenchUnit.THOU));
    }

    @Test
    void aGeneralValueHasTwoFigures() {
        assertEquals("0.73 psi", Quantity.PRESSURE.about(0.05, BenchUnit.THOU));
        assertEquals("0.05 bar", Quantity.PRESSURE.about(0.05, BenchUnit.MM));
        assertEquals("1200", Quantity.FEED.aboutNumber(1190, BenchUnit.MM));
    }

    /** What is written is read again, at the same bench and at the other one. */
    @ParameterizedTest
    @EnumSource(Quantity.class)
    void whatIsWrittenIsReadAgain(Quantity kind) {
        Random random = new Random(8);
        for (int i = 0; i < 200; i++) {
            double value = Math.round(random.nextDouble() * 90_000 + 10_000) / 1000.0;
            for (BenchUnit bench : BenchUnit.values()) {
                assertEquals(value, kind.of(kind.at(value, bench), bench), 1e-9);
                String written = kind.full(value, bench);
                double read = kind.read(written, bench).orElseThrow();
                assertEquals(read, kind.read(written, bench.other()).orElseThrow(), 1e-9, written);
                assertEquals(written, kind.full(read, bench));
            }
        }
    }

    /** In what the reader chose, at either bench; a bare number is of that, and one with its letter is what it says. */
    @ParameterizedTest
    @CsvSource({
        "false, 200, 200 °C, 200, 3 K, 20, 20",
        "true, 200, 392 °F, 392, 5.4 °F, 20, 20 F",
        "true, -78, −108 °F, -108.4, 5.4 °F, -108.4, -108.4 F",
        "true, 20, 68 °F, 68, 5.4 °F, 20 C, 20 C",
        "false, 20, 20 °C, 20, 3 K, 68 F, 68 F",
    })
    void temperaturesAreInWhatTheReaderChose(
            boolean fahrenheit, double celsius, String shown, String number, String apart, String typed, String read) {
        for (BenchUnit bench : BenchUnit.values()) {
            LengthWriter writer = new LengthWriter(bench, fahrenheit, DayForm.DAY_FIRST);
            assertEquals(shown, writer.temperature(celsius));
            assertEquals(number, writer.temperatureNumber(celsius));
            assertEquals(apart, writer.apart(3));
            assertEquals(read, writer.temperatureTyped(typed));
        }
    }
}

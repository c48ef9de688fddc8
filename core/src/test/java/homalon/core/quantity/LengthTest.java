package homalon.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.words.English;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.06     | MM   | 60000",
                "-.02     | MM   | -20000",
                "0,06     | MM   | 60000",
                "+12      | MM   | 12000000",
                "2.5      | THOU | 63500",
                ".5       | THOU | 12700",
                ".0025    | THOU | 63500",
                "0.0025\"  | MM   | 63500",
                "3        | THOU | 76200",
                "−3 um    | THOU | -3000",
                "15µm     | MM   | 15000",
                "1.5th    | MM   | 38100",
                "2 thou   | MM   | 50800",
                "0.06 mm  | THOU | 60000",
                "1-7/16   | MM   | 36512500",
                "7/16 in  | THOU | 11112500",
                "1/64     | MM   | 396875"
            })
    void readsWhatABenchWrites(String typed, BenchUnit unit, long nanometres) {
        assertEquals(nanometres, Length.parse(typed, unit).nanometres());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "  ",
                "abc",
                "1e308",
                "NaN",
                "--1",
                "1.2.3",
                ".",
                "0.0000001",
                "99999",
                "7/0",
                "1/3",
                "5 ft",
                "1,234.5",
                "'; drop table"
            })
    void refusesTheRestInASentence(String typed) {
        NotALengthException e = assertThrows(NotALengthException.class, () -> Length.parse(typed, BenchUnit.MM));
        assertTrue(English.of(e.sentence()).matches("(?s).*(key|check) .*"), English.of(e.sentence()));
    }

    @Test
    void whatIsWrittenExactlyReadsBackExactly() {
        Random random = new Random(3);
        for (int i = 0; i < 2000; i++) {
            Length mm = Length.ofNanometres(random.nextInt());
            assertEquals(mm, Length.parse(new LengthWriter(BenchUnit.MM).exact(mm), BenchUnit.MM));
            Length tenths = Length.ofNanometres(2540L * (random.nextInt(4000) - 2000));
            assertEquals(tenths, Length.parse(new LengthWriter(BenchUnit.THOU).exact(tenths) + "th", BenchUnit.MM));
        }
    }

    @Test
    void sumsOfThouAndMillimetresAreExact() {
        Length sum = Length.ZERO;
        for (int i = 0; i < 1000; i++) {
            sum = sum.plus(Length.ofThou("0.1")).plus(Length.ofMm("0.001"));
        }
        assertEquals(Length.ofMm("3.54"), sum);
        assertEquals("0.084", new LengthWriter(BenchUnit.MM).number(0.0839999));
        assertEquals("+3.31", new LengthWriter(BenchUnit.THOU).signed(Length.ofMm("0.084")));
        assertEquals("\u22120.5", "\u2212" + new LengthWriter(BenchUnit.MM).exact(Length.ofMm("0.5")));
    }
}

package homalon.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LengthWriterTest {
    private static final LengthWriter MM = new LengthWriter(BenchUnit.MM);
    private static final LengthWriter THOU = new LengthWriter(BenchUnit.THOU);

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "0.084; 0.084; 3.31; +0.084",
                "-0.013; −0.013; −0.51; −0.013",
                "0; 0.000; 0.00; 0.000",
                "0.0004; 0.000; 0.02; 0.000",
                "-0.0004; 0.000; −0.02; 0.000",
                "0.0005; 0.001; 0.02; +0.001",
                "0.0254; 0.025; 1.00; +0.025"
            })
    void figuresAreWrittenInTheReadersUnit(double mm, String inMm, String inThou, String signed) {
        assertEquals(
                inMm.equals("0.000") && mm < 0 ? "0.000" : inMm, MM.number(mm).replace("−0.000", "0.000"));
        assertEquals(inThou, THOU.number(mm));
        assertEquals(signed, MM.signed(mm));
    }

    /** One figure reached by two sums must not be shown as two: ties are settled at the nanometre. */
    @Test
    void twoSumsOfOneFigureAreWrittenAlike() {
        assertEquals(MM.number(0.1015), MM.number(0.1 + 0.0015));
        assertEquals(MM.number(0.1015), MM.number(0.10149999999999));
        assertEquals(MM.number(Length.ofMm("0.1015")), MM.number(0.10149999999999));
    }

    /** What a field shows for editing is exactly what it was. */
    @Test
    void whatIsShownForEditingReadsBackExactly() {
        Random random = new Random(8);
        for (int k = 0; k < 2_000; k++) {
            Length mm = Length.ofNanometres(random.nextInt(2_000_000_000) - 1_000_000_000L);
            assertEquals(mm, Length.parse(MM.exact(mm), BenchUnit.MM));
            Length tenths = Length.ofNanometres(2_540L * (random.nextInt(4_000) - 2_000));
            String typed = THOU.exact(tenths) + " th";
            assertEquals(tenths, Length.parse(typed, BenchUnit.THOU), typed);
        }
    }

    @Test
    void sizesHaveNoMoreDigitsThanTheyNeed() {
        assertEquals("420 mm", MM.size(Length.ofMm("420.000")));
        assertEquals("87.3 mm", MM.size(Length.ofMm("87.3")));
        assertEquals("3.4375 in", THOU.size(Length.parse("3-7/16", BenchUnit.THOU)));
        assertTrue(THOU.size(Length.ofMm("100")).startsWith("3.937"));
    }

    /** Half a thou that may come off is 0.012, not 0.013; 0.0121 that is needed is 0.013. */
    @ParameterizedTest
    @CsvSource({
        "0.0127, MM, 0.012 mm, 0.013 mm",
        "0.0121, MM, 0.012 mm, 0.013 mm",
        "0.012, MM, 0.012 mm, 0.012 mm",
        "0.0119999999, MM, 0.012 mm, 0.012 mm",
        "0.0127, THOU, 0.50 thou, 0.50 thou",
        "0.0128, THOU, 0.50 thou, 0.51 thou",
        "-0.0001, MM, -0.001 mm, 0.000 mm"
    })
    void whatMayComeOffIsRoundedDownAndWhatIsNeededUp(double mm, BenchUnit unit, String allowed, String needed) {
        assertEquals(allowed, new LengthWriter(unit).allowed(mm));
        assertEquals(needed, new LengthWriter(unit).needed(mm));
    }
}

package homalon.core.lines;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.input.BadInputException;
import homalon.core.lines.BentLine.Advice;
import homalon.core.lines.Liners.Held;
import homalon.core.lines.ShaftLine.Between;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is judged along a line, at its very limit and a hair beyond it. */
class LinesRulesTest {
    private static final Liners.Range RANGE = new Liners.Range(0.02, 0.10, 0.06, 0.03, 0.03);

    /** Four readings of one liner against 0.02 to 0.10, lean 0.03. A limit still counts as kept. */
    @ParameterizedTest
    @CsvSource({
        "0.06 0.06 0.06 0.06, LOOSE, WITHIN, within, 0",
        "0.10 0.10 0.10 0.10, LOOSE, WITHIN, within, 0",
        "0.1001 0.10 0.10 0.10, LOOSE, OUT, stands too high, 0.040025",
        "0.1001 0.10 0.10 0.10, PRESSED_IN, OUT, the cutter takes it, 0",
        "0.02 0.02 0.02 0.02, LOOSE, WITHIN, within, 0",
        "0.0199 0.02 0.02 0.02, LOOSE, OUT, trimming cannot help, 0",
        "0.0199 0.02 0.02 0.02, PRESSED_IN, OUT, cut the deck down, 0",
        "0.06 0.05 0.03 0.05, LOOSE, WITHIN, within, 0",
        "0.0601 0.05 0.03 0.05, LOOSE, OUT, leans, 0",
        "0.05 0.0601 0.05 0.03, LOOSE, OUT, leans, 0",
        "0.0601 NaN 0.03 0.05, LOOSE, OUT, leans, 0",
        "NaN 0.0601 0.05 0.03, LOOSE, OUT, leans, 0",
        "0.05 NaN 0.05 0.05, LOOSE, NOT_PROVEN, all four places, 0",
        "NaN NaN NaN NaN, LOOSE, NOT_PROVEN, not read, 0"
    })
    void aLiner(String readings, Held held, Verdict verdict, String why, double trim) {
        double[] p = Arrays.stream(readings.split(" "))
                .mapToDouble(Double::parseDouble)
                .toArray();
        Liners liners = Liners.of(LinersTest.read(new int[] {1}, new double[][] {p}), 0, RANGE, held);
        Liners.One one = liners.each().get(0);
        assertEquals(verdict, one.verdict());
        assertEquals(verdict, liners.verdict());
        assertTrue(English.of(one.why()).contains(why), English.of(one.why()));
        assertEquals(trim, one.trim(), 1e-9);
    }

    /** Neighbours that differ by more than the step leak between them, though each is right by itself. */
    @ParameterizedTest
    @CsvSource({"0.09, WITHIN", "0.0901, OUT"})
    void neighbours(double second, Verdict verdict) {
        double[][] both = {{0.06, 0.06, 0.06, 0.06}, {second, second, second, second}};
        assertEquals(
                verdict,
                Liners.of(LinersTest.read(new int[] {1, 2}, both), 0, RANGE).verdict());
    }

    @ParameterizedTest
    @CsvSource({
        "0.02, 0.02, 0.02, 0.03, 0.03, true",
        "0.02, 0.10, 0.11, 0.03, 0.03, false",
        "0.02, 0.10, 0.01, 0.03, 0.03, false",
        "0.02, 0.10, 0.06, 0, 0.03, false",
        "0.02, 0.10, 0.06, 0.03, 0, false"
    })
    void aRangeHoldsItsAim(double least, double most, double aim, double step, double tilt, boolean taken) {
        Liners.Range range = new Liners.Range(least, most, aim, step, tilt);
        double[][] read = {{0.06, 0.06, 0.06, 0.06}};
        if (taken) {
            assertEquals(
                    Verdict.OUT,
                    Liners.of(LinersTest.read(new int[] {1}, read), 0, range).verdict());
        } else {
            assertThrows(BadInputException.class, () -> Liners.of(LinersTest.read(new int[] {1}, read), 0, range));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "5, 0, true",
        "5.001, 0, false",
        "-5, 0, true",
        "0.05, 10, true",
        "0.05, 10.1, false",
        "0.05, -0.1, false"
    })
    void readingsThatNoLinerGives(double reading, double deckCut, boolean taken) {
        double[][] read = {{reading, 0.05, 0.05, 0.05}};
        if (taken) {
            Liners.of(LinersTest.read(new int[] {1}, read), deckCut, RANGE);
        } else {
            assertThrows(
                    BadInputException.class, () -> Liners.of(LinersTest.read(new int[] {1}, read), deckCut, RANGE));
        }
    }

    @Test
    void everySchoolHasItsUsualRange() {
        for (Liners.School school : Liners.School.values()) {
            Liners.Range usual = school.usual();
            assertTrue(usual.least() <= usual.aim() && usual.aim() <= usual.most(), school::toString);
        }
    }

    /** A face of 0.05 hollow over a line, and what is advised. Alike is half as much of the same sign, or more. */
    @ParameterizedTest
    @CsvSource({
        "-0.10, OUT, -0.10, BINDS, false, STRAIGHTEN, hollow",
        "0.10, OUT, 0.10, BINDS, false, STRAIGHTEN, crowned",
        "0.10, OUT, -0.10, BINDS, false, LINE_ONLY, single bores",
        "0.10, OUT, 0.01, BINDS, false, LINE_ONLY, single bores",
        "0.01, WITHIN, 0.10, BINDS, false, STRAIGHTEN, skimmed while bent",
        "0.01, WITHIN, 0.10, TIGHT, false, STRAIGHTEN, skimmed while bent",
        "0.01, WITHIN, 0.10, FREE, false, NOTHING, write it down",
        "0.10, OUT, 0.10, FREE, false, SKIM, spares the face",
        "0.10, OUT, 0.01, FREE, true, SKIM, the face alone is out",
        "0.01, WITHIN, 0.01, FREE, true, NOTHING, nothing is bent",
        "0.01, NOT_PROVEN, 0.01, FREE, true, MEASURE, Settle both",
        "0.01, WITHIN, 0.01, NOT_PROVEN, true, MEASURE, Settle both"
    })
    void faceAndLine(
            double face, Verdict flat, double line, Turns turns, boolean straight, Advice advice, String says) {
        BentLine bent = BentLine.of(face, flat, line, turns, straight);
        assertEquals(advice, bent.advice());
        assertTrue(English.of(bent.words()).contains(says), English.of(bent.words()));
    }

    @ParameterizedTest
    @CsvSource({"0.05, 0, true", "0, 0.05, true", "0.0501, 0, false", "0, 0.0501, false", "0, -0.0501, false"})
    void aDeckIsSquareUpToItsLimit(double fall, double tilt, boolean square) {
        Box box = new Box(0, 0, 480, 160);
        double[][] rows = {{0, 0, 230}, {480, 0, 230 + fall}, {0, 160, 230 + tilt}, {480, 160, 230 + fall + tilt}};
        // 230 as binary has no 0.05 beside it: the slack of the limit is for that.
        assertEquals(
                square, DeckIndex.of(Points.of(rows), box, true).orElseThrow().square(0.05));
    }

    /** By the means of lowest and highest. */
    @Test
    void bankAgainstBank() {
        DeckIndex high = new DeckIndex(0, 0, 0, 229.9, 230.1);
        DeckIndex low = new DeckIndex(0, 0, 0, 229.8, 229.9);
        assertEquals(0.15, high.above(low), 1e-9);
        assertEquals(-0.15, low.above(high), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({"1000, true", "1000.1, false", "0, false"})
    void heightsThatADeckCanHave(double height, boolean taken) {
        double[][] rows = {{0, 0, 230}, {480, 0, height}, {0, 160, 230}};
        if (taken) {
            DeckIndex.of(Points.of(rows), new Box(0, 0, 480, 160), true);
        } else {
            assertThrows(BadInputException.class, () -> DeckIndex.of(Points.of(rows), new Box(0, 0, 480, 160), true));
        }
    }

    @Test
    void theThinnestPlaceIsFound() {
        Box box = new Box(0, 0, 100, 50);
        double[][] rows = {{0, 0, 12.0}, {100, 0, 11.9}, {0, 50, 11.8}, {100, 50, 11.95}};
        assertEquals(2, Taper.of(Points.of(rows), box).orElseThrow().thinnest());
        double[][] first = {{0, 0, 11.7}, {100, 0, 11.9}, {0, 50, 11.8}};
        assertEquals(0, Taper.of(Points.of(first), box).orElseThrow().thinnest());
        assertTrue(Taper.of(Points.of(new double[][] {{0, 0, 12}, {100, 0, 11}}), box)
                .isEmpty());
    }

    @Test
    void aCamRunsCloserThanACrank() {
        assertEquals(0.03, BenchFigure.RUNNING_CAM.value(BookDefaults.of(BenchUnit.MM)));
        assertEquals(0.04, BenchFigure.RUNNING_MAIN.value(BookDefaults.of(BenchUnit.MM)));
    }

    /** Where every blade went in, a bore is as high as it may be; else in the middle. */
    @Test
    void theMiddleOfWhatFeelersAllow() {
        assertEquals(0.03, new Between(0, 0.02, 0.04, 0.05).middle(), 1e-12);
        assertEquals(0.04, new Between(0, Double.NEGATIVE_INFINITY, 0.04, 0.05).middle(), 1e-12);
        List<Between> crossed = List.of(new Between(0, 0, 0, 0.05), new Between(100, 0.05, 0.02, 0.05));
        assertThrows(BadInputException.class, () -> ShaftLine.between(crossed, 0.03));
    }

    /** Straight is bowed by no more than half of the least clearance. */
    @ParameterizedTest
    @CsvSource({"0.02, true", "-0.02, true", "0.0201, false", "-0.0201, false"})
    void straight(double bow, boolean straight) {
        List<ShaftLine.Bore> bores = List.of(
                new ShaftLine.Bore(0, 0, 0, 0.04),
                new ShaftLine.Bore(100, bow, 0, 0.06),
                new ShaftLine.Bore(200, 0, 0, 0.06));
        assertEquals(straight, ShaftLine.straight(bow, bores));
    }
}

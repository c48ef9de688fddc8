package homalon.core.lines;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class LinersTest {
    /** NaN for a place that nobody read. */
    static List<Liners.Read> read(int[] numbers, double[][] protrusion) {
        return IntStream.range(0, numbers.length)
                .mapToObj(i -> new Liners.Read(
                        numbers[i],
                        Arrays.stream(protrusion[i])
                                .mapToObj(p -> Double.isNaN(p) ? OptionalDouble.empty() : OptionalDouble.of(p))
                                .toList()))
                .toList();
    }

    private static final Liners.Range PROUD = Liners.School.PROUD.usual();
    private static final Liners.Range FLUSH = Liners.School.FLUSH.usual();

    private static double[] all(double p) {
        return new double[] {p, p, p, p};
    }

    @Test
    void whatIsRightForOneGasketIsWrongForTheOther() {
        double[][] proud = {all(0.06), all(0.07)};
        int[] numbers = {1, 2};
        assertEquals(Verdict.WITHIN, Liners.of(read(numbers, proud), 0, PROUD).verdict());
        Liners flush = Liners.of(read(numbers, proud), 0, FLUSH);
        assertEquals(Verdict.OUT, flush.verdict());
        assertEquals(0.05, flush.each().get(0).trim(), 1e-9);
        assertEquals(0.06, flush.each().get(1).trim(), 1e-9);
    }

    /** A cut of the deck raises fixed liners by its depth: within before, too proud after. */
    @Test
    void aDeckCutRaisesThem() {
        Liners after = Liners.of(read(new int[] {1}, new double[][] {all(0.05)}), 0.08, PROUD);
        assertEquals(0.13, after.each().get(0).mean().orElseThrow(), 1e-9);
        assertEquals(0.13 - 0.065, after.each().get(0).trim(), 1e-9);
    }

    /** Pressed in, the cutter takes their tops: what stood proud comes level, what stood deeper than the cut stays low. */
    @Test
    void pressedInTheyAreCutWithTheDeck() {
        double[][] read = {all(0.06), all(-0.02), all(-0.12)};
        Liners before = Liners.of(read(new int[] {1, 2, 3}, read), 0, FLUSH, Liners.Held.PRESSED_IN);
        assertEquals(0, before.each().get(0).trim(), "nothing is trimmed by itself");
        assertTrue(English.of(before.each().get(0).why()).contains("with the deck"));
        assertTrue(English.of(before.each().get(1).why()).contains("cut the deck down to it"));
        Liners after = Liners.of(read(new int[] {1, 2, 3}, read), 0.08, FLUSH, Liners.Held.PRESSED_IN);
        assertEquals(0, after.each().get(0).mean().orElseThrow(), 1e-9);
        assertEquals(0, after.each().get(1).mean().orElseThrow(), 1e-9);
        assertEquals(-0.04, after.each().get(2).mean().orElseThrow(), 1e-9);
        assertEquals(Verdict.OUT, after.verdict());
        assertEquals(
                0.14,
                Liners.of(read(new int[] {1}, new double[][] {all(0.06)}), 0.08, FLUSH, Liners.Held.LOOSE)
                        .each()
                        .get(0)
                        .mean()
                        .orElseThrow(),
                1e-9);
    }

    @Test
    void leaningLowAndUnevenAreToldApart() {
        Liners.One leans = Liners.of(read(new int[] {3}, new double[][] {{0.08, 0.06, 0.04, 0.06}}), 0, PROUD)
                .each()
                .get(0);
        assertEquals(0.04, leans.tilt().orElseThrow(), 1e-9);
        assertTrue(English.of(leans.why()).startsWith("leans"));
        assertTrue(English.of(Liners.of(read(new int[] {3}, new double[][] {all(0.01)}), 0, PROUD)
                        .each()
                        .get(0)
                        .why())
                .contains("too low"));
        Liners step = Liners.of(read(new int[] {1, 2}, new double[][] {all(0.03), all(0.09)}), 0, PROUD);
        assertEquals(Verdict.OUT, step.verdict());
        assertEquals(0.06, step.step(), 1e-9);
    }

    @Test
    void aPlaceUnreadIsNotProven() {
        Liners some = Liners.of(
                read(new int[] {1, 2}, new double[][] {all(0.06), {0.06, Double.NaN, 0.06, Double.NaN}}), 0, PROUD);
        assertEquals(Verdict.NOT_PROVEN, some.verdict());
        Liners none = Liners.of(read(new int[] {1}, new double[][] {all(Double.NaN)}), 0, PROUD);
        assertEquals(Verdict.NOT_PROVEN, none.verdict());
    }

    @Test
    void whatNoLinerGivesIsRefused() {
        assertThrows(BadInputException.class, () -> Liners.of(read(new int[] {1}, new double[][] {all(60)}), 0, PROUD));
        assertThrows(BadInputException.class, () -> Liners.of(read(new int[] {1}, new double[][] {{0, 0}}), 0, PROUD));
    }
}

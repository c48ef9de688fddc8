package homalon.core.gauge;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.gauge.Repeatability.Fit;
import homalon.core.input.BadInputException;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RepeatabilityTest {
    /** Three people, ten places, three times each: the table and its analysis are published (Houf and Berman 1988; Montgomery). */
    private static final double[][][] PUBLISHED = table(
            "37 38 37, 42 41 43, 30 31 31, 42 43 42, 28 30 29, 42 42 43, 25 26 27, 40 40 40, 25 25 25, 35 34 34",
            "41 41 40, 42 42 42, 31 31 31, 43 43 43, 29 30 29, 45 45 45, 28 28 30, 43 42 42, 27 29 28, 35 35 34",
            "41 42 41, 43 42 43, 29 30 28, 42 42 42, 31 29 29, 44 46 45, 29 27 27, 43 43 41, 26 26 26, 35 34 35");

    private static double[][][] table(String... people) {
        return Arrays.stream(people)
                .map(p -> Arrays.stream(p.split(", "))
                        .map(cell -> Arrays.stream(cell.split(" "))
                                .mapToDouble(Double::parseDouble)
                                .toArray())
                        .toArray(double[][]::new))
                .toArray(double[][][]::new);
    }

    @Test
    void thePublishedAnalysisIsFound() {
        Repeatability found = Repeatability.of(PUBLISHED);
        assertEquals(3935.96, found.places().squares(), 0.005);
        assertEquals(39.27, found.people().squares(), 0.005);
        assertEquals(48.51, found.together().squares(), 0.005);
        assertEquals(30.67, found.repeat().squares(), 0.005);
        assertEquals(437.33, found.places().meanSquare(), 0.005);
        assertEquals(19.63, found.people().meanSquare(), 0.005);
        assertEquals(2.70, found.together().meanSquare(), 0.006);
        assertEquals(0.51, found.repeat().meanSquare(), 0.002);
        assertEquals(48.29, found.places().variance(), 0.005);
        assertEquals(0.56, found.people().variance(), 0.005);
        assertEquals(0.73, found.together().variance(), 0.005);
        assertEquals(0.51, found.repeat().variance(), 0.002);
        assertEquals(1.34, found.both(), 0.005);
        assertEquals(7, found.steps());
    }

    /** What went into made-up readings comes out, on the average over many studies. */
    @Test
    void partsThatWerePutInAreFound() {
        double repeat = 0;
        double people = 0;
        double places = 0;
        int studies = 300;
        for (int s = 0; s < studies; s++) {
            Random random = new Random(s);
            double[] ofPerson =
                    random.doubles(4, -1, 1).map(x -> x * 0.002 * Math.sqrt(3)).toArray();
            double[] ofPlace =
                    random.doubles(8, -1, 1).map(x -> x * 0.02 * Math.sqrt(3)).toArray();
            double[][][] read = new double[4][8][3];
            for (int o = 0; o < 4; o++) {
                for (int j = 0; j < 8; j++) {
                    for (int t = 0; t < 3; t++) {
                        read[o][j][t] = ofPerson[o] + ofPlace[j] + 0.003 * random.nextGaussian();
                    }
                }
            }
            Repeatability found = Repeatability.of(read);
            repeat += found.repeat().variance() / studies;
            people += found.people().variance() / studies;
            places += found.places().variance() / studies;
        }
        assertEquals(0.003, Math.sqrt(repeat), 0.0001);
        assertEquals(0.002, Math.sqrt(people), 0.0003);
        assertEquals(0.02, Math.sqrt(places), 0.001);
    }

    @Test
    void onePersonHasRepeatAlone() {
        Repeatability one = Repeatability.of(new double[][][] {PUBLISHED[0]});
        assertEquals(0, one.reproducibility());
        assertEquals(one.repeatability(), one.both());
        assertTrue(one.repeatability() > 0.5 && one.repeatability() < 0.8, "" + one.repeatability());
    }

    /** Nothing that people do at some places alone: it is taken for repeat, and tells that better. */
    @Test
    void whatCannotBeToldFromRepeatIsPooled() {
        double[][][] read = table("10 11, 20 21, 30 31", "10 11, 20 21, 30 31");
        Repeatability found = Repeatability.of(read);
        assertEquals(0, found.together().variance());
        assertEquals(3.0 / 8, found.repeat().variance(), 1e-12, "six half squares over six and two degrees of freedom");
    }

    @ParameterizedTest
    @CsvSource({"0.2, PROVES", "0.15, BARELY", "0.06, BARELY", "0.05, CANNOT"})
    void aGaugeIsHeldAgainstALimit(double width, Fit fit) {
        double[][][] read = new double[1][2][2];
        double spread = 0.0026;
        for (int j = 0; j < 2; j++) {
            read[0][j] = new double[] {j - spread / Math.sqrt(2) * 1, j + spread / Math.sqrt(2)};
        }
        Repeatability found = Repeatability.of(read);
        assertEquals(spread, found.both(), 1e-12);
        assertEquals(fit, found.fit(width), "6 x 0.0026 of " + width);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"1 2", "1 2, 1", "1, 2", "1 NaN, 1 2"})
    void aTableWithHolesIsNamed(String person) {
        assertThrows(BadInputException.class, () -> Repeatability.of(table(person)));
        assertThrows(BadInputException.class, () -> Repeatability.of(table("1 2, 1 2", "1 2, 1 2, 1 2")));
        assertThrows(BadInputException.class, () -> Repeatability.of(new double[0][][]));
    }
}

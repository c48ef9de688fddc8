package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.input.BadInputException;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TramTest {
    private static final Box FACE = new Box(0, 0, 412, 150);
    private static final OptionalDouble CUTTER = OptionalDouble.of(200);

    /** On a grid of places, with noise of its own seed. */
    private static Points read(int along, int across, double noise, long seed, DoubleBinaryOperator height) {
        Random random = new Random(seed);
        double[] x = new double[along * across];
        double[] y = new double[x.length];
        double[] z = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            int row = i / across;
            x[i] = FACE.width() * row / (along - 1);
            y[i] = across == 1 ? 0 : FACE.height() * (i % across) / (across - 1);
            z[i] = height.applyAsDouble(x[i], y[i]) + noise * random.nextGaussian();
        }
        return Points.of(x, y, z);
    }

    /** What the edge of a tilted circle leaves behind it, by sweeping it: the lowest that any place of the circle cuts. */
    private static double swept(double y, double diameter, double outOfSquare) {
        double lowest = Double.POSITIVE_INFINITY;
        double radius = diameter / 2;
        for (int k = 0; k < 200_000; k++) {
            double angle = 2 * Math.PI * k / 200_000;
            if (Math.abs(radius * Math.sin(angle) - (y - FACE.height() / 2)) < 0.01) {
                lowest = Math.min(lowest, outOfSquare / diameter * radius * Math.cos(angle));
            }
        }
        return lowest;
    }

    @ParameterizedTest
    @CsvSource({"200, 150, 0.05, 0.008464", "250, 150, 0.05, 0.005", "600, 150, 0.1, 0.001588", "200, 150, 0, 0"})
    void theHollowIsThatOfATiltedCircle(double diameter, double width, double out, double hollow) {
        assertEquals(hollow, Tram.hollow(diameter, width, out), 1e-6);
        assertEquals(out, Tram.outOfSquare(diameter, width, Tram.hollow(diameter, width, out)), 1e-12);
    }

    @Test
    void aCircleSweptOverTheFaceLeavesIt() {
        double edge = swept(0, 200, 0.05);
        double middle = swept(75, 200, 0.05);
        assertEquals(Tram.hollow(200, 150, 0.05), edge - middle, 2e-5);
    }

    @ParameterizedTest
    @CsvSource({"0.05", "0.1", "0.3"})
    void aDishedFaceSaysByHowMuchTheSpindleLeans(double out) {
        Points dished = read(7, 5, 0.001, 4, (x, y) -> swept(y, 200, out) + 0.0004 * x - 0.001 * y);
        Tram seen = Tram.seen(dished, FACE, CUTTER, 0.001).orElseThrow();
        assertEquals(out, seen.outOfSquare().orElseThrow(), 4 * seen.error() / 0.1693, "within its error");
        assertTrue(seen.error() < 0.0012, "35 readings: " + seen.error());
    }

    @Test
    void withoutTheCutterTheShapeIsSeenAndNotByHowMuch() {
        Points dished = read(7, 5, 0.001, 4, (x, y) -> swept(y, 250, 0.15));
        Tram seen = Tram.seen(dished, FACE, OptionalDouble.empty(), 0.001).orElseThrow();
        assertEquals(0.015, seen.hollow(), 0.002);
        assertTrue(seen.outOfSquare().isEmpty());
    }

    @Test
    void itIsOutByMostOfItsErrorAsOftenAsNoiseSays() {
        int inside = 0;
        for (int seed = 0; seed < 400; seed++) {
            Points dished = read(6, 5, 0.002, seed, (x, y) -> 0.02 * Math.pow((y - 75) / 75, 2));
            Optional<Tram> seen = Tram.seen(dished, FACE, OptionalDouble.empty(), 0.002);
            inside += seen.filter(t -> Math.abs(t.hollow() - 0.02) <= 2 * t.error())
                    .map(t -> 1)
                    .orElse(0);
        }
        assertTrue(inside > 360 && inside < 400, inside + " of 400 within two of its errors");
    }

    /** None of these is left by a spindle that leans. */
    @ParameterizedTest
    @CsvSource({
        "flat, 0, 0, 0, 0",
        "crowned across, -0.02, 0, 0, 0",
        "hollow along as well, 0.02, 0.02, 0, 0",
        "hollow along, 0, 0.03, 0, 0",
        "twisted, 0.01, 0, 0.02, 0",
        "hollow at one end, 0.01, 0, 0, 0.01"
    })
    void anotherShapeIsNotIt(String shape, double across, double along, double twist, double end) {
        Points read = read(7, 5, 0.001, 9, (x, y) -> {
            double u = FACE.u(x);
            double v = FACE.v(y);
            return across * v * v + along * u * u + twist * u * v + end * u * v * v;
        });
        assertEquals(Optional.empty(), Tram.seen(read, FACE, CUTTER, 0.001), shape);
    }

    @Test
    void noiseIsRarelyTakenForIt() {
        int told = 0;
        for (int seed = 0; seed < 400; seed++) {
            told += Tram.seen(read(5, 4, 0.002, seed, (x, y) -> 0), FACE, CUTTER, 0.002)
                            .isPresent()
                    ? 1
                    : 0;
        }
        assertTrue(told <= 4, told + " of 400 flat faces");
    }

    @Test
    void placesThatDoNotTellSayNothing() {
        DoubleBinaryOperator dished = (x, y) -> swept(y, 200, 0.3);
        assertEquals(Optional.empty(), Tram.seen(read(9, 2, 0, 1, dished), FACE, CUTTER, 0.001), "two rows");
        assertEquals(Optional.empty(), Tram.seen(read(2, 5, 0, 1, dished), FACE, CUTTER, 0.001), "two ends");
    }

    @Test
    void aCutterNarrowerThanTheFaceIsNotAsked() {
        Points dished = read(7, 5, 0.001, 4, (x, y) -> 0.02 * Math.pow(FACE.v(y), 2));
        assertEquals(Optional.empty(), Tram.seen(dished, FACE, OptionalDouble.of(120), 0.001));
        BadInputException narrow = assertThrows(BadInputException.class, () -> Tram.hollow(120, 150, 0.05));
        assertEquals("width", narrow.problems().get(0).field());
    }
}

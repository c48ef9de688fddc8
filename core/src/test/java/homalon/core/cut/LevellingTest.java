package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LevellingTest {

    @Test
    void theLowestSupportIsRaisedFirstAndRaisingAllAsSaidMakesItLevel() {
        Random random = new Random(8);
        for (int i = 0; i < 200; i++) {
            double[] read = {random.nextGaussian(), random.nextGaussian(), random.nextGaussian()};
            double[] wanted = {0.05 * random.nextGaussian(), 0, 0.02};
            Levelling.Raise raise = Levelling.raise(read, wanted);
            double[] after = new double[3];
            for (int k = 0; k < 3; k++) {
                assertTrue(raise.raise()[k] >= 0 && raise.raise()[k] <= raise.raise()[raise.worst()]);
                after[k] = read[k] + raise.raise()[k];
            }
            assertTrue(Levelling.raise(after, wanted).level());
            assertArrayEquals(new double[3], Levelling.raise(after, wanted).raise(), 1e-12);
        }
        assertEquals(
                1, Levelling.raise(new double[] {0, -0.08, 0}, new double[3]).worst());
        assertEquals(
                0.08, Levelling.raise(new double[] {0, -0.08, 0}, new double[3]).raise()[1], 1e-12);
    }

    @Test
    void clampsThatOnlyTiltItBendNothingAndThoseThatPullItFlatAreSeen() {
        List<Spot> places =
                List.of(new Spot(10, 10), new Spot(400, 10), new Spot(10, 140), new Spot(400, 140), new Spot(205, 75));
        double[] off = {0, 0.01, 0.02, 0.03, -0.06};
        double[] tilted = new double[5];
        double[] flat = new double[5];
        for (int i = 0; i < 5; i++) {
            tilted[i] = off[i]
                    + 0.2
                    + 1e-4 * places.get(i).x()
                    - 3e-4 * places.get(i).y();
            flat[i] = off[i] + (i == 4 ? 0.06 : 0);
        }
        assertEquals(0, Levelling.clamped(places, off, tilted).spring(), 1e-12);
        assertEquals(0.06, Levelling.clamped(places, off, flat).spring(), 1e-3);
        assertThrows(
                BadInputException.class, () -> Levelling.clamped(places.subList(0, 3), new double[3], new double[3]));
        assertThrows(BadInputException.class, () -> Levelling.raise(new double[] {0, 99, 0}, new double[3]));
    }
}

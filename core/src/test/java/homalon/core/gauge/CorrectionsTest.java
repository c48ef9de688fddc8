package homalon.core.gauge;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CorrectionsTest {
    private static final double ALUMINIUM = 22e-6;
    private static final double IRON = 11e-6;

    private static Corrections warm(Warmth warmth) {
        return new Corrections(0, Optional.of(warmth), Optional.empty());
    }

    /** alpha dT L^2 / 8 h, by hand: five kelvin over 100 mm bow a head of 404 mm by 0.022. */
    @ParameterizedTest
    @CsvSource({
        "25, 20, 100, 404, 0.02244",
        "20, 25, 100, 404, -0.02244",
        "25, 20, 200, 404, 0.01122",
        "22, 20, 100, 404, 0.00898",
        "20, 20, 100, 404, 0"
    })
    void theWarmerSideIsCrowned(double face, double back, double height, double length, double bow) {
        assertEquals(bow, new Warmth(face, back, height, ALUMINIUM).bow(length).value(), 5e-6);
    }

    /** Half a kelvin on each side, and a seventh of what was found. */
    @Test
    void whatIsOpenOfItIsKeptToo() {
        Uncertain same = new Warmth(20, 20, 100, ALUMINIUM).bow(404);
        assertEquals(ALUMINIUM * 0.5 * Math.sqrt(2) / 100 * 404 * 404 / 8, same.standard(), 1e-9);
        Uncertain apart = new Warmth(26, 20, 100, ALUMINIUM).bow(404);
        assertEquals(Math.hypot(same.standard(), 0.15 * apart.value()), apart.standard(), 1e-9);
        assertEquals(
                same.standard() / 2, new Warmth(20, 20, 100, IRON).bow(404).standard(), 1e-9, "iron bends half as far");
    }

    /** A flat plate that stands bent by heat reads crowned, and is flat again once that is taken off; wherever its corner lies. */
    @ParameterizedTest
    @CsvSource({"0, 0", "-202, -75", "1000, -40"})
    void whatHeatBentIsTakenOff(double cornerX, double cornerY) {
        Warmth warmth = new Warmth(28, 20, 120, ALUMINIUM);
        double radius = 1 / warmth.curvature().value();
        double[][] spots = {{0, 0}, {404, 0}, {0, 150}, {404, 150}, {202, 75}, {101, 40}};
        double[] flat = new double[spots.length];
        for (int i = 0; i < spots.length; i++) {
            double dx = spots[i][0] - 202;
            double dy = spots[i][1] - 75;
            double read = Math.sqrt(radius * radius - dx * dx - dy * dy) - radius;
            flat[i] = warm(warmth).height(cornerX + spots[i][0], cornerY + spots[i][1], read);
        }
        double ax = (flat[1] - flat[0]) / 404;
        double ay = (flat[2] - flat[0]) / 150;
        for (int i = 0; i < spots.length; i++) {
            assertEquals(flat[0] + ax * spots[i][0] + ay * spots[i][1], flat[i], 1e-5, "a plane");
        }
        assertTrue(Math.abs(warmth.bow(404).value()) > 0.02, "it was bent");
    }

    @ParameterizedTest
    @CsvSource({"0, 0.1", "30, 0.0866", "45, 0.0707", "60, 0.05"})
    void whatAnIndicatorTravelsAtAnAngleIsMoreThanTheHeight(double angle, double height) {
        Corrections known = new Corrections(angle, Optional.empty(), Optional.empty());
        assertEquals(height, known.height(17, 90, 0.1), 5e-5);
        assertEquals(angle == 0, known.none());
    }

    /** Twenty kelvin on 400 mm of aluminium are 0.176 at 22e-6; of the scale 0.092 comes back where it is as warm. */
    @ParameterizedTest
    @CsvSource({
        "20, 20, 22e-6, 400, 400.0000",
        "40, 20, 22e-6, 400, 399.8241",
        "40, 40, 22e-6, 400, 399.9160",
        "20, 40, 22e-6, 400, 400.0920",
        "30, 20, 11e-6, 120, 119.9868",
        "5, 20, 22e-6, 120, 120.0396"
    })
    void aSizeIsBroughtToTwentyDegrees(double part, double scale, double expansion, double read, double size) {
        Corrections known = new Corrections(0, Optional.empty(), Optional.of(new Scale(part, scale, expansion)));
        assertEquals(size, known.size(read), 5e-5);
        assertEquals(read, Corrections.NONE.size(read));
        assertFalse(known.none());
    }

    @Test
    void whatIsNoTemperatureHeightOrAngleIsRefused() {
        assertThrows(BadInputException.class, () -> new Warmth(20, 200, 100, ALUMINIUM));
        assertThrows(BadInputException.class, () -> new Warmth(Double.NaN, 20, 100, ALUMINIUM));
        assertThrows(BadInputException.class, () -> new Warmth(25, 20, 5, ALUMINIUM));
        assertThrows(BadInputException.class, () -> new Warmth(25, 20, 100, 0));
        assertThrows(BadInputException.class, () -> new Scale(20, -50, ALUMINIUM));
        assertThrows(BadInputException.class, () -> new Corrections(75, Optional.empty(), Optional.empty()));
        assertThrows(BadInputException.class, () -> new Corrections(-1, Optional.empty(), Optional.empty()));
    }
}

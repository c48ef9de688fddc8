package homalon.core.gauge;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SagTest {
    /** By hand: 7.85e-6 kg/mm3 x 9.81, 210 GPa, section b x h, q = rho g b h, I = b h^3 / 12, 5 q L^4 / (384 E I). */
    @ParameterizedTest
    @CsvSource({"400, 50, 0.00059", "400, 30, 0.00163", "800, 50, 0.0094", "800, 30, 0.0261", "1000, 60, 0.0159"})
    void inItsMiddleItHangsAsABeamDoes(double span, double height, double sag) {
        double b = 9;
        double q = 7.85e-6 * 9.81 * b * height;
        double i = b * Math.pow(height, 3) / 12;
        double textbook = 5 * q * Math.pow(span, 4) / (384 * 2.1e5 * i);
        assertEquals(textbook, Sag.ofHeight(height).at(100, 100 + span, 100 + span / 2), 1e-12);
        assertEquals(sag, textbook, 0.01 * sag);
    }

    /** The fourth derivative of the curve is the load over its stiffness, wherever it is taken, and its ends carry no moment. */
    @Test
    void allAlongItTheCurveCarriesItsWeight() {
        Sag sag = Sag.ofHeight(40);
        double h = 40;
        for (double x = 2 * h; x <= 600 - 2 * h; x += 35) {
            double fourth = sag.at(0, 600, x - 2 * h)
                    - 4 * sag.at(0, 600, x - h)
                    + 6 * sag.at(0, 600, x)
                    - 4 * sag.at(0, 600, x + h)
                    + sag.at(0, 600, x + 2 * h);
            assertEquals(sag.bend(), fourth / Math.pow(h, 4), 1e-6 * sag.bend());
        }
        double end = sag.at(0, 600, 2) - 2 * sag.at(0, 600, 1) + sag.at(0, 600, 0);
        assertTrue(Math.abs(end) < 1e-2 * sag.bend() * 600 * 600 / 8, "no moment where it rests");
    }

    @Test
    void whereItRestsAndBeyondItDoesNotHang() {
        Sag sag = Sag.ofHeight(40);
        assertEquals(0, sag.at(50, 450, 50) + sag.at(50, 450, 450) + sag.at(50, 450, 20) + sag.at(50, 450, 500));
        assertEquals(Sag.NONE, Sag.ofHeight(0));
        assertEquals(0, Sag.NONE.at(0, 900, 450));
    }
}

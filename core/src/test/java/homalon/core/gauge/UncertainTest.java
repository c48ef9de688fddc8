package homalon.core.gauge;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.verdict.Verdict;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UncertainTest {
    @ParameterizedTest
    @CsvSource({
        "0.05, 0.01, 0.05, NOT_PROVEN",
        "0.04, 0.01, 0.05, WITHIN",
        "0.041, 0.01, 0.05, NOT_PROVEN",
        "0.06, 0.01, 0.05, NOT_PROVEN",
        "0.061, 0.01, 0.05, OUT",
        "0.05, 0, 0.05, WITHIN",
        "0.0501, 0, 0.05, OUT",
        "-0.2, 0.3, 0.05, NOT_PROVEN"
    })
    void withinAndOutAreProvenWithWhatIsKept(double value, double kept, double most, Verdict verdict) {
        assertEquals(verdict, Uncertain.plusMinus(value, kept).atMost(most));
        assertEquals(verdict, Uncertain.plusMinus(-value, kept).atLeast(-most), "the other way round");
    }

    @ParameterizedTest
    @CsvSource({
        "0.03, 0.005, WITHIN",
        "0.022, 0.005, NOT_PROVEN",
        "0.048, 0.005, NOT_PROVEN",
        "0.01, 0.005, OUT",
        "0.06, 0.005, OUT",
        "0.035, 0.03, NOT_PROVEN"
    })
    void betweenTwoLimitsBothAreAsked(double value, double kept, Verdict verdict) {
        assertEquals(verdict, Uncertain.plusMinus(value, kept).between(0.02, 0.05));
    }

    @Test
    void knownLimitsAreSpreadEvenly() {
        assertEquals(0.01 / Math.sqrt(3), Uncertain.within(5, 0.01).standard(), 1e-15);
        assertThrows(IllegalArgumentException.class, () -> new Uncertain(1, -1));
        assertThrows(IllegalArgumentException.class, () -> new Uncertain(Double.NaN, 1));
    }

    private static void agree(List<Uncertain> figures, ToDoubleFunction<double[]> sum, double standard) {
        Uncertain first = Propagation.of(figures, sum).result();
        Uncertain drawn = Propagation.drawn(figures, sum);
        assertEquals(standard, first.standard(), 0.002 * standard, "worked by hand");
        assertEquals(1, drawn.standard() / first.standard(), 0.05, "by drawing");
        assertEquals(first.value(), drawn.value(), 0.1 * first.standard());
    }

    @Test
    void sumsOfTheTradeAgreeWithDrawing() {
        // clearance: bore less stem
        agree(
                List.of(new Uncertain(8.032, 0.002), new Uncertain(7.985, 0.001)),
                v -> v[0] - v[1],
                Math.hypot(0.002, 0.001));
        // ratio: (Vs + Vc) / Vc, slope -Vs / Vc^2
        agree(
                List.of(Uncertain.exact(500), new Uncertain(52, 0.15)),
                v -> (v[0] + v[1]) / v[1],
                500 / (52.0 * 52) * 0.15);
        // disc of a gasket: pi / 4 D^2 t
        double d = 87;
        double t = 1.2;
        agree(
                List.of(new Uncertain(d, 0.05), new Uncertain(t, 0.02)),
                v -> Math.PI / 4 * v[0] * v[0] * v[1],
                Math.hypot(Math.PI / 2 * d * t * 0.05, Math.PI / 4 * d * d * 0.02));
    }

    @Test
    void theFigureThatLeavesMostOpenIsNamed() {
        Propagation.Propagated clearance =
                Propagation.of(List.of(new Uncertain(8.03, 0.001), new Uncertain(7.98, 0.004)), v -> v[0] - v[1]);
        assertEquals(1, clearance.most());
        assertEquals(0.004, clearance.parts().get(1), 1e-12);
    }

    @Test
    void theSameFiguresAreDrawnAlike() {
        List<Uncertain> figures = List.of(new Uncertain(1, 0.1), new Uncertain(2, 0.1));
        assertEquals(Propagation.drawn(figures, v -> v[0] * v[1]), Propagation.drawn(figures, v -> v[0] * v[1]));
    }
}

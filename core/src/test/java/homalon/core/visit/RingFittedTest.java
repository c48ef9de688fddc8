package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.catalogue.Metal;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.seats.PressFit;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A ring that is in, and at what temperature its hole was measured. */
class RingFittedTest {
    private static RingFitted fitted(Optional<RingFitted.At> at) {
        return new RingFitted("R-38", Length.ofMm("38.01"), Length.ofMm("38.12"), at);
    }

    private static PressFit planned() {
        return PressFit.of(new PressFit.Asked(Metal.ALUMINIUM, Metal.HARD_IRON, 38, 38.11, 31, 8, 20, 20, 220, 0.02));
    }

    /** 38.01 mm of aluminium grow by 0.0084 over 10 K; a steel gauge that is as warm has grown by half of that. */
    @ParameterizedTest
    @CsvSource({"20, 20, 0.1100", "30, 20, 0.1184", "30, 30, 0.1140", "10, 20, 0.1016", "60, 22, 0.1425"})
    void aWarmCastingIsMeasuredLoose(double casting, double gauge, double press) {
        RingFitted warm = fitted(Optional.of(new RingFitted.At(casting, gauge)));
        assertEquals(press, warm.press(Metal.ALUMINIUM), 5e-5);
        assertEquals(press, warm.in(planned()).press(), 5e-5);
        assertEquals(warm, RingFitted.of(warm.kept()));
    }

    @Test
    void withoutTemperaturesAllIsAsMeasured() {
        RingFitted cold = fitted(Optional.empty());
        assertEquals(0.11, cold.press(Metal.ALUMINIUM), 1e-9);
        assertEquals(38.01, cold.hole(Metal.ALUMINIUM), 1e-9);
        assertEquals("R-38 38010000 38120000", cold.kept());
        assertEquals(cold, RingFitted.of(cold.kept()));
    }

    @ParameterizedTest
    @ValueSource(doubles = {-80, 400, Double.NaN})
    void whatIsNoTemperatureOfAShopIsRefused(double gauge) {
        RingFitted odd = fitted(Optional.of(new RingFitted.At(20, gauge)));
        assertThrows(BadInputException.class, () -> odd.press(Metal.ALUMINIUM));
    }
}

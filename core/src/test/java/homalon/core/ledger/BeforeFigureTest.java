package homalon.core.ledger;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BeforeFigureTest {
    /** Seconds; nothing for not read, or not cut. */
    @ParameterizedTest
    @CsvSource({
        "true, , , false",
        "true, 10, , false",
        "true, 10, 20, true",
        "true, 30, 20, false",
        "true, , 20, true",
        "false, , 20, false",
        "false, 10, 20, true",
        "false, 30, 20, false",
        "false, 20, 20, false"
    })
    void aFigureFromBeforeTheCutIsNotOverwrittenUnasked(boolean thickness, Long read, Long cut, boolean asks) {
        assertEquals(asks, BeforeFigure.asks(thickness, at(read), at(cut)));
    }

    private static Optional<Instant> at(Long second) {
        return Optional.ofNullable(second).map(Instant::ofEpochSecond);
    }
}

package homalon.core.hours;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The begin of a shop's time: as many open minutes, whatever closings lie between. */
class FirstOpenMinutesTest {
    private static final OpenTime TIME = new OpenTime(
            Instant.parse("2026-03-10T07:00:00Z"),
            List.of(new Stretch(0, 60), new Stretch(100, 160), new Stretch(500, 560)),
            1000);

    @ParameterizedTest
    @CsvSource({"0, 0, 0", "30, 30, 1", "60, 60, 1", "61, 61, 2", "150, 150, 3", "180, 180, 3", "9999, 180, 3"})
    void asManyAsThereAre(int asked, int length, int stretches) {
        OpenTime first = TIME.first(asked);
        assertEquals(length, first.length());
        assertEquals(stretches, first.stretches().size());
        assertEquals(
                TIME.beginsAt(Math.max(0, length - 1)), length == 0 ? TIME.beginsAt(0) : first.beginsAt(length - 1));
    }
}

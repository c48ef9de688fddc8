package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WaitedTest {
    private static final Instant CAME = Instant.parse("2026-12-01T08:00:00Z");

    private static Instant hour(int h) {
        return CAME.plus(Duration.ofHours(h));
    }

    /** {@code C2-5 P4-9}: waits for its customer from the second hour to the fifth, for parts from the fourth to the ninth. */
    private static List<Waited.Span> spans(String said) {
        return Arrays.stream(said.split(" "))
                .filter(s -> !s.isEmpty())
                .map(s -> {
                    String[] ends = s.substring(1).split(":");
                    StuckOn on = s.charAt(0) == 'C' ? StuckOn.CUSTOMER : StuckOn.PARTS;
                    return new Waited.Span(on, hour(Integer.parseInt(ends[0])), hour(Integer.parseInt(ends[1])));
                })
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "'', 0, 0, 0",
        "C2:5, 3, 0, 3",
        "C2:5 P4:9, 3, 5, 7",
        // Said twice, one within the other, and two that touch.
        "C2:9 C3:5, 7, 0, 7",
        "C2:5 C5:6, 4, 0, 4",
        // Before it came and after it left nothing waits.
        "C-9:2 P8:40, 2, 2, 4",
        "P11:12, 0, 0, 0",
        "C-4:-2, 0, 0, 0",
        "P5:5, 0, 0, 0"
    })
    void eachHourCountsOnceForEachCauseAndOnceInTheWhole(String said, int customer, int parts, int any) {
        Waited waited = Waited.of(spans(said), CAME, hour(10));
        assertEquals(Duration.ofHours(10), waited.here());
        assertEquals(Duration.ofHours(customer), waited.by().getOrDefault(StuckOn.CUSTOMER, Duration.ZERO));
        assertEquals(Duration.ofHours(parts), waited.by().getOrDefault(StuckOn.PARTS, Duration.ZERO));
        assertEquals(Duration.ofHours(any), waited.any());
    }

    /** Hour by hour by hand. */
    @Test
    void whateverOverlapsIsCountedAsByHand() {
        Random random = new Random(3);
        for (int i = 0; i < 500; i++) {
            List<Waited.Span> spans = IntStream.range(0, random.nextInt(7))
                    .mapToObj(n -> {
                        int from = random.nextInt(40) - 10;
                        return new Waited.Span(
                                StuckOn.values()[random.nextInt(3)], hour(from), hour(from + random.nextInt(12)));
                    })
                    .toList();
            long any = IntStream.range(0, 24)
                    .filter(h -> spans.stream().anyMatch(s -> !s.from().isAfter(hour(h)) && s.to().isAfter(hour(h))))
                    .count();
            assertEquals(Duration.ofHours(any), Waited.of(spans, CAME, hour(24)).any(), spans::toString);
        }
    }

    @Test
    void severalVisitsAreSummed() {
        Waited one = Waited.of(spans("C2:5"), CAME, hour(10));
        Waited other = Waited.of(spans("C0:1 P1:2"), CAME, hour(6));
        assertEquals(
                new Waited(
                        Duration.ofHours(16),
                        Map.of(StuckOn.CUSTOMER, Duration.ofHours(4), StuckOn.PARTS, Duration.ofHours(1)),
                        Duration.ofHours(5)),
                Waited.NONE.plus(one).plus(other));
        assertEquals(
                new Waited(
                        Duration.ofHours(8),
                        Map.of(StuckOn.CUSTOMER, Duration.ofHours(2), StuckOn.PARTS, Duration.ofMinutes(30)),
                        Duration.ofMinutes(150)),
                one.plus(other).over(2));
        assertEquals(Duration.ZERO, Waited.of(spans("C2:5"), hour(9), CAME).here(), "a clock that was put back");
    }
}

package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.visit.Promises.Count;
import homalon.core.visit.Promises.Counted;
import homalon.core.visit.Promises.Fate;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What becomes of days that were promised. */
class PromisesTest {
    private static LocalDate day(int of) {
        return LocalDate.of(2026, 12, of);
    }

    /** Days of December; a blank day for one that is still in the shop. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "4     |    |  3 | OPEN",
                "4     |    |  4 | OPEN",
                "4     |    |  5 | LATE",
                "4     |  4 |  9 | KEPT",
                "4     |  3 |  9 | KEPT",
                "4     |  5 |  9 | BROKEN",
                "4 8   |  4 |  9 | PUT_OFF KEPT",
                "4 8   |  9 |  9 | PUT_OFF BROKEN",
                "8 4   |  4 |  9 | REPLACED KEPT",
                "4 4   |  4 |  9 | REPLACED KEPT",
                "4 8 6 |    |  5 | PUT_OFF REPLACED OPEN",
            })
    void theLastDayThatWasSaidHoldsAndOneThatWasPutOffIsNotKept(String said, Integer left, int today, String fates) {
        assertEquals(
                Stream.of(fates.split(" ")).map(Fate::valueOf).toList(),
                Promises.of(
                        Arrays.stream(said.split(" "))
                                .map(d -> day(Integer.parseInt(d)))
                                .toList(),
                        Optional.ofNullable(left).map(PromisesTest::day),
                        day(today)));
    }

    @Test
    void whatIsOpenOrReplacedDoesNotCount() {
        List<Counted> all = List.of(
                new Counted("head", Fate.KEPT),
                new Counted("head", Fate.BROKEN),
                new Counted("head", Fate.PUT_OFF),
                new Counted("head", Fate.LATE),
                new Counted("head", Fate.OPEN),
                new Counted("head", Fate.REPLACED),
                new Counted("deck", Fate.OPEN));
        assertEquals(Map.of("head", new Count(1, 4)), Promises.count(all));
    }

    @Test
    void aShareIsToldFromTenOn() {
        assertEquals(OptionalInt.empty(), share(8, 9));
        assertEquals(OptionalInt.of(80), share(8, 10));
        assertEquals(OptionalInt.of(0), share(0, 10));
        assertEquals(OptionalInt.of(67), share(8, 12));
    }

    private static OptionalInt share(int kept, int all) {
        List<Counted> counted = Stream.concat(
                        Collections.nCopies(kept, new Counted("head", Fate.KEPT)).stream(),
                        Collections.nCopies(all - kept, new Counted("head", Fate.BROKEN)).stream())
                .toList();
        return Promises.count(counted).get("head").percent();
    }
}

package homalon.core.rulebook;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.input.BadInputException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TagNumbersTest {
    @ParameterizedTest
    @CsvSource({
        "'', 0, T-0001",
        "'', 41, T-0042",
        "'', 9999, T-10000",
        "sm-00100, 0, SM-00100",
        "SM-00100, 99, SM-00100",
        "SM-00100, 100, SM-00101",
        "A-10, 99, A-100"
    })
    void tagsCountOnFromTheFirstOneOrFromTheHighest(String first, int highest, String next) {
        assertEquals(next, TagNumbers.read(first).after(highest));
    }

    @ParameterizedTest
    @ValueSource(strings = {"T-0001", "SM-00100", "ABC-99", "A-000001"})
    void whatIsKeptReadsBackToTheSame(String first) {
        assertEquals(first, TagNumbers.read(first).first());
        assertEquals(
                TagNumbers.read(first), TagNumbers.read(TagNumbers.read(first).first()));
    }

    @ParameterizedTest
    @ValueSource(strings = {"0001", "LONG-01", "T-1", "T-1234567", "T 01", "T-x"})
    void whatCannotBeATagIsRefused(String first) {
        BadInputException e = assertThrows(BadInputException.class, () -> TagNumbers.read(first));
        assertEquals("firstTag", e.problems().get(0).field());
    }
}

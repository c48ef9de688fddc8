package homalon.core.ledger;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RemovalTest {
    @ParameterizedTest
    @CsvSource({
        "0.15, known, MM, OPENING_KNOWN, 150000",
        "0.15, Known, MM, OPENING_KNOWN, 150000",
        "0.15, '', MM, OPENING_ESTIMATED, 150000",
        "0.15, estimated, MM, OPENING_ESTIMATED, 150000",
        "6, known, THOU, OPENING_KNOWN, 152400",
        "0.2 mm, known, THOU, OPENING_KNOWN, 200000",
        "0, known, MM, OPENING_KNOWN, 0",
        "unknown, '', MM, OPENING_UNKNOWN, 0",
        "?, known, MM, OPENING_UNKNOWN, 0"
    })
    void aLineSaysWhatCameOffAndHowSureThatIs(
            String removed, String is, BenchUnit unit, Entry.Kind kind, long nanometres) {
        Removal read = Removal.read(removed, is, unit);
        assertEquals(kind, read.kind());
        assertEquals(nanometres, read.depth().nanometres());
    }

    @ParameterizedTest
    @CsvSource({"0.15, perhaps", "0.15, unknown", "a lot, known"})
    void whatIsNeitherIsRefused(String removed, String is) {
        BadInputException e = assertThrows(BadInputException.class, () -> Removal.read(removed, is, BenchUnit.MM));
        assertEquals("removed", e.problems().get(0).field());
    }

    @Test
    void anEmptyCellIsNoFigure() {
        assertThrows(BadInputException.class, () -> Removal.read("", "known", BenchUnit.MM));
    }
}

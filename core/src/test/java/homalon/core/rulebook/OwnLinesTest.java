package homalon.core.rulebook;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.input.BadInputException;
import homalon.core.words.English;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class OwnLinesTest {
    @Test
    void linesAreReadOneUnderTheOther() {
        assertEquals(
                List.of("studs back in", "tag tied on"),
                OwnLines.read("leaving", "  studs   back in\r\n\n tag tied on\nStuds back in\n"));
        assertEquals(List.of(), OwnLines.read("leaving", " \n\n "));
    }

    private static String numbered(int lines) {
        return IntStream.range(0, lines).mapToObj(i -> "line " + i).collect(Collectors.joining("\n"));
    }

    @Test
    void whatNobodyWouldReadIsRefused() {
        assertEquals(
                OwnLines.MOST, OwnLines.read("leaving", numbered(OwnLines.MOST)).size());
        refused(numbered(OwnLines.MOST + 1), "At most 12 lines");
        assertEquals(1, OwnLines.read("leaving", "x".repeat(OwnLines.LONGEST)).size());
        refused("x".repeat(OwnLines.LONGEST + 1), "at most 80 letters");
    }

    private static void refused(String typed, String said) {
        BadInputException e = assertThrows(BadInputException.class, () -> OwnLines.read("leaving", typed));
        assertEquals("leaving", e.problems().get(0).field());
        assertEquals(true, English.of(e.sentence()).contains(said), English.of(e.sentence()));
    }

    @Test
    void aLineIsTheSameWhateverItsCapitals() {
        assertEquals(Optional.of("Studs back in"), OwnLines.same(List.of("a", "Studs back in"), " studs BACK in "));
        assertEquals(Optional.empty(), OwnLines.same(List.of("studs back"), "studs back in"));
    }
}

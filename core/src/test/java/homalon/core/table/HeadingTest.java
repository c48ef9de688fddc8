package homalon.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class HeadingTest {
    @ParameterizedTest
    @CsvSource({
        "Job no., tag, ''",
        "ENGINE, engine, ''",
        "Casting Number, casting number, ''",
        "casting_number, casting number, ''",
        "Bore (mm), bore, mm",
        "bore_in, bore, in",
        "bore in inches, bore, in",
        "Removed before [thou], removed, th",
        "in, came, ''",
        "Date in, came, ''"
    })
    void aHeadIsKnownHoweverItIsWritten(String head, String column, String unit) {
        Heading heading = Heading.of(
                TableKind.CASTINGS,
                List.of(head, column.equals("engine") ? "x" : "Engine", column.equals("customer") ? "y" : "Customer"));
        Heading.Found found = heading.found().stream()
                .filter(f -> f.head().equals(head))
                .findFirst()
                .orElseThrow();
        assertEquals(column, found.column().name());
        assertEquals(unit, found.unit());
        assertEquals(0, found.at());
    }

    @Test
    void whatNobodyKnowsIsToldAndLeftAlone() {
        Heading heading = Heading.of(TableKind.CUSTOMERS, List.of("Name", "Colour of van", "", "Tel."));
        assertEquals(List.of("Colour of van"), heading.unread());
        assertEquals(
                Map.of("name", "Quay Crane", "phone", "55"),
                heading.line(List.of(" Quay Crane ", "white", "?", "55", "beyond")));
    }

    @Test
    void whatIsWantedAndMissingIsNamedWithWhatIsThereTwice() {
        BadInputException e = assertThrows(
                BadInputException.class, () -> Heading.of(TableKind.REMOVALS, List.of("depth", "cut before", "notes")));
        List<String> codes = e.problems().stream().map(p -> p.sentence().code()).toList();
        assertEquals(List.of("table.two-heads-are-the-same-column", "table.the-first-line-names-no-column"), codes);
        assertEquals(
                List.of("depth", "cut before"), e.problems().get(0).sentence().args());
        assertEquals(List.of("tag"), e.problems().get(1).sentence().args());
    }

    @Test
    void aBareNumberTakesTheUnitOfItsHeadAndNothingElseDoes() {
        Heading heading = Heading.of(TableKind.REMOVALS, List.of("tag", "removed (in)"));
        assertEquals("0.006 in", heading.line(List.of("T-1", "0.006")).get("removed"));
        assertEquals("-.006 in", heading.line(List.of("T-1", "-.006")).get("removed"));
        assertEquals("0.15 mm", heading.line(List.of("T-1", "0.15 mm")).get("removed"));
        assertEquals("unknown", heading.line(List.of("T-1", "unknown")).get("removed"));
    }

    @Test
    void aShortLineHasNothingInItsLastColumnsAndAnApostropheIsTakenOff() {
        Heading heading = Heading.of(TableKind.REMOVALS, List.of("tag", "removed", "note"));
        assertEquals(Map.of("tag", "T-1"), heading.line(List.of("T-1", "")));
        assertEquals(
                "-12 in the book",
                heading.line(List.of("T-1", "0", "'-12 in the book")).get("note"));
        assertEquals("'twas cut", heading.line(List.of("T-1", "0", "'twas cut")).get("note"));
    }

    /** Otherwise one head would be taken for whichever column stands first. */
    @ParameterizedTest
    @EnumSource(TableKind.class)
    void noTwoColumnsGoByOneName(TableKind kind) {
        Set<String> seen = new HashSet<>();
        for (Column c : kind.columns()) {
            assertTrue(seen.add(Column.key(c.name())), c.name());
            c.also().forEach(a -> assertTrue(seen.add(Column.key(a)), c.name() + ": " + a));
        }
    }
}

package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.input.BadInputException;
import homalon.core.ledger.Entry;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FaceDefaults;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CastingLineTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);

    private static CastingLine read(BenchUnit unit, String... cells) {
        Map<String, String> line = new HashMap<>(
                Map.of("engine", "Ferry auxiliary", "customer", "Skarvik Ferries", "bore", "96", "spacing", "112"));
        for (int i = 0; i < cells.length; i += 2) {
            line.put(cells[i], cells[i + 1]);
        }
        return CastingLine.read(line, IntakeForm.blank("T-0101"), unit, FaceDefaults.of(BenchUnit.MM), TODAY);
    }

    private static List<String> refused(String... cells) {
        return assertThrows(BadInputException.class, () -> read(BenchUnit.MM, cells)).problems().stream()
                .map(BadInputException.Problem::field)
                .toList();
    }

    @Test
    void aLineBecomesABookingWithTheUsualChoicesWhereItSaysNothing() {
        CastingLine line = read(BenchUnit.MM, "metal", "Aluminum", "casting number", "4711", "due", "2027-01-08");
        assertEquals("T-0101", line.booking().tag());
        assertEquals("Ferry auxiliary", line.booking().name());
        assertEquals(Material.ALUMINIUM, line.booking().material());
        assertEquals(PartKind.HEAD, line.booking().kind());
        assertEquals("4711", line.booking().castingNumber());
        assertEquals(4, line.booking().numbers().cylinders());
        assertEquals(Length.ofMm("96"), line.booking().numbers().bore());
        assertEquals(Optional.of(LocalDate.of(2027, 1, 8)), line.booking().due());
        assertEquals(Optional.empty(), line.removed());
        assertEquals(Optional.empty(), line.left());
    }

    @ParameterizedTest
    @CsvSource({"block, DECK", "Block deck, DECK", "DECK, DECK", "Cylinder head, HEAD", "head, HEAD"})
    void aKindIsKnownByItsTradeName(String cell, PartKind kind) {
        assertEquals(kind, read(BenchUnit.MM, "kind", cell).booking().kind());
    }

    @Test
    void aSizeAtAThouBenchIsInInchesAndARemovalInThou() {
        CastingLine line = read(BenchUnit.THOU, "bore", "3.78", "spacing", "4.41", "removed", "6");
        assertEquals(Length.ofThou("3780"), line.booking().numbers().bore());
        assertEquals(Length.ofThou("6"), line.removed().orElseThrow().depth());
        assertEquals(Entry.Kind.OPENING_ESTIMATED, line.removed().orElseThrow().kind());
    }

    @Test
    void aCastingOfFormerYearsHasTheDaysOnWhichItCameAndLeft() {
        CastingLine line = read(BenchUnit.MM, "came", "2024-03-02", "left", "2024-03-02");
        assertEquals(Optional.of(LocalDate.of(2024, 3, 2)), line.came());
        assertEquals(Optional.of(LocalDate.of(2024, 3, 2)), line.left());
    }

    @ParameterizedTest
    @CsvSource({
        "came, 2026-11-30, came",
        "came, 02/03/24, came",
        "left, 2024-03-09, left",
        "kind, crankshaft, kind",
        "metal, brass, metal",
        "bore, wide, bore",
        "removed, some, removed",
        "due, soon, due"
    })
    void whatCannotBeIsNamedByItsColumn(String column, String cell, String field) {
        assertEquals(List.of(field), refused(column, cell));
    }

    @Test
    void aCastingDoesNotLeaveBeforeItCame() {
        assertEquals(List.of("left"), refused("came", "2024-03-10", "left", "2024-03-09"));
        assertEquals(List.of("left"), refused("came", "2024-03-10", "left", "2026-12-01"));
    }

    @Test
    void everythingThatIsWrongIsToldAtOnce() {
        assertEquals(
                List.of("kind", "came", "removed", "bore"),
                refused("kind", "sump", "came", "then", "removed", "much", "bore", "wide"));
    }
}

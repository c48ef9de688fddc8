package homalon.core.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.part.ValvePattern.Rows;
import homalon.core.quantity.Length;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which valves a casting carries, and where they lie. */
class ValvePatternTest {
    private static Layout layout(PartKind kind) {
        return Layout.of(LayoutNumbers.proposed(kind, 2, Length.ofMm("80"), Length.ofMm("95")));
    }

    /** As a machinist says them: of two the front and the rear, of three one in the middle. */
    @Test
    void aValveIsCalledByItsPlace() {
        assertEquals(
                List.of("1 intake, front", "1 intake, middle", "1 intake, rear", "1 exhaust, front", "1 exhaust, rear"),
                names(3, 2, Rows.TWO));
        assertEquals(List.of("1 intake", "1 exhaust"), names(1, 1, Rows.ONE));
    }

    private static List<String> names(int intake, int exhaust, Rows rows) {
        return new ValvePattern(intake, exhaust, rows, false, false)
                .of(layout(PartKind.HEAD)).stream()
                        .map(Valve::name)
                        .filter(n -> n.startsWith("1 "))
                        .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "1, 1, ONE, 1I 1E 2I 2E",
        "2, 2, TWO, 1I1 1I2 2I1 2I2 1E1 1E2 2E1 2E2",
        "1, 1, IN_BLOCK, 1I 1E 2I 2E",
        // Intakes above and exhausts below: each casting carries one kind.
        "0, 1, IN_BLOCK, 1E 2E",
        "1, 0, ONE, 1I 2I",
        "2, 0, TWO, 1I1 1I2 2I1 2I2"
    })
    void everyValveHasItsName(int intake, int exhaust, Rows rows, String keys) {
        List<Valve> valves = new ValvePattern(intake, exhaust, rows, false, false).of(layout(PartKind.DECK));
        assertEquals(keys, valves.stream().map(Valve::key).collect(Collectors.joining(" ")));
    }

    @ParameterizedTest
    @CsvSource({"0, 0, ONE", "4, 1, TWO", "1, 3, TWO", "2, 0, ONE", "0, 2, IN_BLOCK", "2, 1, ONE"})
    void whatNoCastingCarriesIsRefused(int intake, int exhaust, Rows rows) {
        assertThrows(BadInputException.class, () -> new ValvePattern(intake, exhaust, rows, false, false));
    }

    @Test
    void valvesInTheBlockStandBesideTheBoresOnTheExhaustSide() {
        Layout layout = layout(PartKind.DECK);
        double out = layout.numbers().intakeAtTop() ? -1 : 1;
        for (Valve v : new ValvePattern(0, 1, Rows.IN_BLOCK, false, false).of(layout)) {
            Layout.Bore bore = layout.bores().stream()
                    .filter(b -> b.number() == v.cylinder())
                    .findFirst()
                    .orElseThrow();
            assertEquals(bore.centre().x(), v.centre().x(), 1e-9);
            assertTrue((v.centre().y() - bore.centre().y()) * out > bore.diameter() / 4);
        }
    }

    /** A plain lid opens over the valves, beside its bore, and leaves land all round. */
    @Test
    void aLidOpensBesideItsBoreAndStaysOnItsFace() {
        LayoutNumbers n = LayoutNumbers.proposed(PartKind.HEAD, 3, Length.ofMm("80"), Length.ofMm("95"));
        Layout lid = Layout.of(new LayoutNumbers(
                3,
                1,
                1,
                n.bore(),
                n.spacing(),
                n.length(),
                n.width(),
                BoltRows.AROUND,
                n.boltHole(),
                4,
                ChamberShape.BESIDE,
                false));
        for (Layout.Bore bore : lid.bores()) {
            Layout.Opening opening = lid.chamber(bore);
            assertTrue(opening.centre().y() > bore.centre().y(), "towards the exhaust side");
            assertTrue(opening.centre().y() + opening.radius() <= lid.box().y1() - 5.99);
            assertTrue(lid.rim(bore, 12).stream()
                    .allMatch(s -> Math.abs(s.distance(opening.centre()) - opening.radius()) < 1e-9));
        }
        assertTrue(lid.boltHoles().size() >= 6, lid.boltHoles().size() + " bolts");
        assertTrue(lid.boltHoles().stream()
                .allMatch(h -> lid.openings().stream()
                        .allMatch(o -> o.centre().distance(h.centre()) > o.radius() + h.diameter() / 2)));
        assertTrue(lid.valves().isEmpty());
    }
}

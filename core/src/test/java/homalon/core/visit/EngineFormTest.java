package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.EngineItem;
import homalon.core.part.Layout;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BookDefaults;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The form of an engine's figures: its own, and those of a casting like it. */
class EngineFormTest {
    private static final PartFile HEAD = Castings.of(PartKind.HEAD, 2);

    private static ChamberFile file(SheetHand hand) {
        SheetFile sheet = hand.file();
        return new ChamberFile(
                HEAD,
                sheet,
                ChamberFile.Read.of(sheet, HEAD.numbers(), Layout.of(HEAD.numbers()), BookDefaults.of(BenchUnit.MM)));
    }

    private static SheetHand begun() {
        return new SheetHand(Sheet.CHAMBERS)
                .setUp(ChamberSetup.typed(Map.of(), BenchUnit.MM).kept());
    }

    private static ChamberFile blank() {
        SheetFile empty = SheetFile.empty(Sheet.CHAMBERS);
        return new ChamberFile(
                HEAD,
                empty,
                ChamberFile.Read.of(empty, HEAD.numbers(), Layout.of(HEAD.numbers()), BookDefaults.of(BenchUnit.MM)));
    }

    private static EngineForm.Field field(
            ChamberFile file, Optional<ChamberFile> alike, BenchUnit unit, EngineItem item) {
        return EngineForm.of(file, alike, unit).stream()
                .flatMap(g -> g.fields().stream())
                .filter(f -> f.name().equals(item.name()))
                .findFirst()
                .orElseThrow();
    }

    private static ChamberFile known() {
        return file(begun().say(ChamberFile.place(EngineItem.STROKE), "92")
                .say(ChamberFile.place(EngineItem.LIFE_MOST), "0.5")
                .say(ChamberFile.source(EngineItem.LIFE_MOST), "GASKET")
                .say(ChamberFile.place(EngineItem.RATIO_MOST), "10")
                .say(ChamberFile.place(EngineItem.CLASS_CC), "40")
                .say(ChamberFile.place(EngineItem.CHAMBER), "41.5")
                .say(ChamberFile.place(EngineItem.DECK), "-0.1")
                .say(ChamberFile.place(EngineItem.THINNEST), "102"));
    }

    @ParameterizedTest
    @CsvSource({
        "STROKE, 92",
        "LIFE_MOST, 0.5",
        // The owner's wish, the rules of a class and what was measured are of that casting alone.
        "RATIO_MOST, ''",
        "CLASS_CC, ''",
        "CHAMBER, ''",
        "DECK, ''",
        "THINNEST, ''",
        "GASKET, ''"
    })
    void theEnginesBookGoesOverAndNothingElse(EngineItem item, String value) {
        assertEquals(
                value, field(blank(), Optional.of(known()), BenchUnit.MM, item).value());
    }

    @Test
    void aLimitKeepsItsSourceAndAFigureItsUnit() {
        assertEquals(
                "GASKET",
                field(blank(), Optional.of(known()), BenchUnit.MM, EngineItem.LIFE_MOST)
                        .source());
        assertEquals(
                "92 mm",
                field(blank(), Optional.of(known()), BenchUnit.THOU, EngineItem.STROKE)
                        .value());
    }

    @Test
    void whatWasBegunStandsAsItIs() {
        ChamberFile own = file(begun().say(ChamberFile.place(EngineItem.STROKE), "80"));
        assertEquals(
                "80",
                field(own, Optional.of(known()), BenchUnit.MM, EngineItem.STROKE)
                        .value());
        assertEquals(
                "",
                field(own, Optional.of(known()), BenchUnit.MM, EngineItem.LIFE_MOST)
                        .value());
    }

    @Test
    void aCastingWithoutAnythingOfTheBookIsNoneToGoBy() {
        assertTrue(EngineForm.carries(known()));
        assertFalse(EngineForm.carries(blank()));
        assertFalse(EngineForm.carries(file(begun().say(ChamberFile.place(EngineItem.CHAMBER), "41.5"))));
    }

    /** What is kept is square millimetres where no unit stands, whatever bench wrote it; a thou bench keys and sees square inches. */
    @ParameterizedTest
    @CsvSource({
        "5020, MM, 5020, 5020 mm2",
        "7.5, THOU, 7.5 in2, 7.5 in2",
        "7.5 in2, MM, 7.5 in2, 7.5 in2",
        "50 cm2, THOU, 50 cm2, 50 cm2"
    })
    void anAreaIsKeyedInTheBenchsUnitAndComesBackAsItWas(String typed, BenchUnit bench, String atMm, String atThou) {
        String kept = EngineItem.OPENING.asKept(typed, bench);
        ChamberFile file = file(begun().say(ChamberFile.place(EngineItem.OPENING), kept));
        double mm2 = EngineItem.OPENING.read(kept, bench);
        assertEquals(mm2, file.book().value(EngineItem.OPENING), 1e-9);
        assertEquals(atMm, EngineForm.shown(file, EngineItem.OPENING, BenchUnit.MM));
        assertEquals(atThou, EngineForm.shown(file, EngineItem.OPENING, BenchUnit.THOU));
        for (BenchUnit again : BenchUnit.values()) {
            String shown = EngineForm.shown(file, EngineItem.OPENING, again);
            assertEquals(mm2, EngineItem.OPENING.read(EngineItem.OPENING.asKept(shown, again), again), 1e-9);
        }
        assertEquals(
                "in\u00b2",
                field(file, Optional.empty(), BenchUnit.THOU, EngineItem.OPENING)
                        .unit());
    }
}

package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.EngineBook;
import homalon.core.gauge.Scale;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.lines.DeckIndex;
import homalon.core.lines.Liners;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.part.ValveKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BenchGauges;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.GasketKind;
import homalon.core.valves.BookItem;
import homalon.core.valves.ValveBook;
import homalon.core.words.English;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Set-ups of the other sheets: as they are typed, kept and read again. */
class SheetsTest {
    private static final Layout DECK =
            Layout.of(LayoutNumbers.proposed(PartKind.DECK, 2, Length.ofMm("87"), Length.ofMm("98")));

    private static BadInputException refused(org.junit.jupiter.api.function.Executable typing) {
        return assertThrows(BadInputException.class, typing);
    }

    @Test
    void aSheetWithoutASetUpIsNotKeyed() {
        assertEquals(
                "setup",
                refused(() -> SheetFile.empty(Sheet.LINERS).requireSetUp())
                        .problems()
                        .get(0)
                        .field());
        SheetFile sheet =
                new SheetHand(Sheet.INDEX).setUp(Map.of("outerAtTop", "true")).file();
        assertEquals(sheet, sheet.requireSetUp());
        assertEquals(0, sheet.last());
        assertEquals(Optional.empty(), sheet.since());
    }

    @Test
    void aCheckCountsAsMadeWhenTheOldestOfItWasRead() {
        SheetFile sheet = new SheetHand(Sheet.INDEX)
                .key("c0", "219.90")
                .key("c1", "219.91")
                .file();
        assertEquals(Optional.of(SheetHand.START.plusSeconds(60)), sheet.since());
        assertEquals(2, sheet.last());
        assertEquals(219.91, sheet.mm("c1").orElseThrow(), 1e-12);
        assertTrue(sheet.mm("c2").isEmpty());
    }

    @ParameterizedTest
    @EnumSource(Liners.School.class)
    void blankLimitsAreThoseOfTheSchool(Liners.School school) {
        LinersSetup setup = LinersSetup.typed(school, Liners.Held.LOOSE, "", " ", "", BenchUnit.MM);
        assertTrue(setup.usual());
        assertEquals(school.usual().least(), setup.range().least(), 1e-12);
        assertEquals(school.usual().aim(), setup.range().aim(), 1e-12);
        assertEquals(setup, LinersSetup.of(setup.kept()));
    }

    @Test
    void keyedLimitsAimAtTheirMiddleUnlessToldOtherwise() {
        LinersSetup middle =
                LinersSetup.typed(Liners.School.PROUD, Liners.Held.PRESSED_IN, "0.02", "0.06", "", BenchUnit.MM);
        assertFalse(middle.usual());
        assertEquals(0.04, middle.range().aim(), 1e-12);
        LinersSetup aimed =
                LinersSetup.typed(Liners.School.PROUD, Liners.Held.PRESSED_IN, "0.02", "0.06", "0.05", BenchUnit.MM);
        assertEquals(0.05, aimed.range().aim(), 1e-12);
        assertEquals(aimed, LinersSetup.of(aimed.kept()));
        assertEquals(0.02, aimed.range().least(), 1e-12);
        assertEquals(0.06, aimed.range().most(), 1e-12);
    }

    @ParameterizedTest
    @CsvSource({"0.06, 0.06, '', most", "0.07, 0.06, '', most", "0.02, 0.06, 0.07, aim", "0.02, 0.06, 0.01, aim"})
    void limitsStandInOrderAndTheAimBetweenThem(String least, String most, String aim, String field) {
        assertEquals(
                field,
                refused(() -> LinersSetup.typed(Liners.School.PROUD, Liners.Held.LOOSE, least, most, aim, BenchUnit.MM))
                        .problems()
                        .get(0)
                        .field());
    }

    @Test
    void anAimAtALimitIsWithinIt() {
        for (String aim : List.of("0.02", "0.06")) {
            LinersSetup at =
                    LinersSetup.typed(Liners.School.PROUD, Liners.Held.LOOSE, "0.02", "0.06", aim, BenchUnit.MM);
            assertEquals(Optional.of(Length.ofMm(aim)), at.aim());
        }
    }

    @Test
    void theGasketProposesTheSchool() {
        assertEquals(Liners.School.FLUSH, LinersSetup.proposed(Optional.of(GasketKind.LAYERED_STEEL)));
        assertEquals(Liners.School.PROUD, LinersSetup.proposed(Optional.of(GasketKind.COMPOSITE)));
        assertEquals(Liners.School.PROUD, LinersSetup.proposed(Optional.empty()));
    }

    @Test
    void linersAreReadAtFourClockPlacesEach() {
        assertEquals(8, LinersSetup.places(DECK).size());
        assertEquals("1@12", LinersSetup.places(DECK).get(0).key());
        SheetHand hand = new SheetHand(Sheet.LINERS);
        for (LineSetup.Place p : LinersSetup.places(DECK)) {
            hand.key(p.key(), p.key().startsWith("1") ? "0.05" : "0.07");
        }
        LinersSetup setup = LinersSetup.typed(Liners.School.PROUD, Liners.Held.LOOSE, "0.02", "0.10", "", BenchUnit.MM);
        Liners read = setup.of(hand.file(), DECK, Length.ZERO, BenchGauges.EXACT);
        Liners cut = setup.of(hand.file(), DECK, Length.ofMm("0.02"), BenchGauges.EXACT);
        assertEquals(0.05, read.each().get(0).mean().orElseThrow(), 1e-9);
        assertEquals(0.07, read.each().get(1).mean().orElseThrow(), 1e-9);
        assertEquals(0.07, cut.each().get(0).mean().orElseThrow(), 1e-9);
    }

    @Test
    void aDeckIsSquareOnceItsFourCornersAreRead() {
        IndexSetup setup = IndexSetup.of(Map.of());
        assertTrue(setup.outerAtTop());
        assertEquals(setup, IndexSetup.of(setup.kept()));
        assertFalse(
                IndexSetup.of(new IndexSetup(false, Optional.empty()).kept()).outerAtTop());
        SheetHand hand = new SheetHand(Sheet.INDEX)
                .size("c0", "220")
                .size("c1", "220.04")
                .size("c2", "220");
        assertTrue(setup.of(hand.file(), DECK).isEmpty());
        assertTrue(setup.of(hand.size("c3", "220.04").file(), DECK).isPresent());
        assertEquals(
                List.of("c0", "c1", "c2", "c3"),
                setup.places().stream().map(LineSetup.Place::key).toList());
    }

    /** The corners are asked for in the words that were just chosen. */
    @ParameterizedTest
    @CsvSource({
        "true, outer front, outer rear, inner front, inner rear",
        "false, inner front, inner rear, outer front, outer rear"
    })
    void cornersAreCalledByTheEdgeOfTheBank(
            boolean outerAtTop, String first, String second, String third, String fourth) {
        List<LineSetup.Place> places = new IndexSetup(outerAtTop, Optional.empty()).places();
        List<String> corners = List.of(first, second, third, fourth);
        for (int i = 0; i < 4; i++) {
            assertEquals(
                    "Crank line to deck, " + corners.get(i) + " corner",
                    English.of(places.get(i).name()));
        }
    }

    /** A warm deck stands high: of 220 mm of aluminium 22e-6 each kelvin that its gauge does not share. */
    @ParameterizedTest
    @CsvSource({"20, 20, 220", "30, 20, 219.9516", "30, 30, 219.9769", "20, 30, 220.0253"})
    void deckHeightsAreBroughtToOneTemperature(double part, double gauge, double lowest) {
        IndexSetup setup = new IndexSetup(true, Optional.of(new Scale(part, gauge, 22e-6)));
        SheetHand hand = new SheetHand(Sheet.INDEX)
                .setUp(setup.kept())
                .size("c0", "220")
                .size("c1", "220.04")
                .size("c2", "220")
                .size("c3", "220.04");
        assertEquals(setup, IndexSetup.of(setup.kept()));
        DeckIndex index = setup.of(hand.file(), DECK).orElseThrow();
        assertEquals(lowest, index.lowest(), 5e-5);
        assertEquals(220, setup.scale().orElseThrow().read(index.lowest()), 1e-9);
        assertEquals(0.04, index.fall(), 1e-5);
    }

    /** A gauge is not put into a bolt hole. */
    @Test
    void heightsAreReadOffTheBoltHoles() {
        List<Spot> marks = IndexSetup.marks(DECK);
        for (int i = 0; i < 4; i++) {
            Spot mark = marks.get(i);
            assertTrue(LandRaster.clear(DECK, mark, 3), mark.toString());
            assertTrue(mark.distance(DECK.corners().get(i)) < 70, mark.toString());
        }
        assertEquals(4, marks.stream().distinct().count());
    }

    @Test
    void chambersAreFilledToDepthsInTheirOrderEachOnce() {
        ChamberSetup setup = ChamberSetup.typed(
                Map.of("depths", "1;2 1", "drive", "CHAIN_OR_BELT", "crown", "FLAT", "rods", "IRON"), BenchUnit.MM);
        assertEquals(List.of(Length.ofMm("1"), Length.ofMm("2")), setup.depths());
        assertEquals(EngineBook.Drive.valueOf("CHAIN_OR_BELT"), setup.drive());
        assertEquals(setup, ChamberSetup.of(setup.kept()));
        assertEquals("1 2", setup.shownDepths(new LengthWriter(BenchUnit.MM)).replace(".0", ""));
        assertEquals(ChamberSetup.NONE, ChamberSetup.of(Map.of()));
        assertEquals(List.of(), ChamberSetup.typed(Map.of(), BenchUnit.MM).depths());
    }

    @ParameterizedTest
    @CsvSource({
        "depths, 0.09",
        "depths, 50.1",
        "depths, 1 2 3 4 5",
        "depths, deep",
        "drive, HORSE",
        "crown, ROYAL",
        "rods, WOOD"
    })
    void chambersRefuseWhatIsNotOffered(String field, String typed) {
        assertEquals(
                field,
                refused(() -> ChamberSetup.typed(Map.of(field, typed), BenchUnit.MM))
                        .problems()
                        .get(0)
                        .field());
    }

    @ParameterizedTest
    @ValueSource(strings = {"0.1", "50", "1 2 3 4"})
    void depthsAtTheirLimitsAreTaken(String typed) {
        assertFalse(ChamberSetup.typed(Map.of("depths", typed), BenchUnit.MM)
                .depths()
                .isEmpty());
    }

    private static Map<String, String> book(String... more) {
        Map<String, String> form = new HashMap<>(
                Map.of("intake", "1", "exhaust", "1", "rows", "ONE", "source", "MAKER", "knurls", "true"));
        for (int i = 0; i < more.length; i += 2) {
            form.put(more[i], more[i + 1]);
        }
        return form;
    }

    @Test
    void aBookIsKeptInNanometresAndShownInTheReadersUnit() {
        Map<String, String> kept = ValveSetup.typed(
                book(
                        "I.HEAD_DIAMETER",
                        "1.5",
                        "E.CLEARANCE_LEAST",
                        "1",
                        "E.CLEARANCE_MOST",
                        "2",
                        "E.CLEARANCE_SERVICE",
                        "4",
                        "I.FACE_ANGLE",
                        "30,5",
                        "racing",
                        "true"),
                BenchUnit.THOU,
                BookDefaults.of(BenchUnit.MM));
        assertEquals("38100000", kept.get("I.HEAD_DIAMETER"));
        assertEquals("101600", kept.get("E.CLEARANCE_SERVICE"));
        assertEquals("30.5", kept.get("I.FACE_ANGLE"));
        ValveSetup setup = ValveSetup.of(kept, BookDefaults.of(BenchUnit.MM));
        assertTrue(setup.racing());
        assertTrue(setup.knurls());
        assertEquals(0.1016, setup.book(ValveKind.EXHAUST).value(BookItem.CLEARANCE_SERVICE), 1e-9);
        assertEquals(30.5, setup.book(ValveKind.INTAKE).value(BookItem.FACE_ANGLE), 1e-9);
        assertEquals(45, setup.book(ValveKind.EXHAUST).value(BookItem.FACE_ANGLE), 1e-9);
        Map<String, String> shown = ValveSetup.shown(kept, new LengthWriter(BenchUnit.THOU));
        assertEquals("4", shown.get("E.CLEARANCE_SERVICE"));
        assertEquals("30.5", shown.get("I.FACE_ANGLE"));
        assertEquals("MAKER", shown.get("source"));
        assertEquals(
                "45",
                ValveSetup.usual(setup.book(ValveKind.EXHAUST), BookItem.FACE_ANGLE, new LengthWriter(BenchUnit.MM)));
        assertEquals(
                "", ValveSetup.usual(setup.book(ValveKind.EXHAUST), BookItem.STEM, new LengthWriter(BenchUnit.MM)));
    }

    @ParameterizedTest
    @CsvSource({
        "intake, two",
        "exhaust, ''",
        "rows, SIX",
        "source, RUMOUR",
        "I.STEM, thick",
        "E.FACE_ANGLE, steep",
        "E.FACE_ANGLE, 1234567"
    })
    void aBookRefusesByField(String field, String typed) {
        assertEquals(
                field,
                refused(() -> ValveSetup.typed(book(field, typed), BenchUnit.MM, BookDefaults.of(BenchUnit.MM)))
                        .problems()
                        .get(0)
                        .field());
    }

    @Test
    void whatIsTickedAtIntakeComesBackAsItWasKept() {
        CameWith came = CameWith.of(java.util.Set.of(), " Exhaust cam, ,Intake cam , Exhaust cam");
        assertEquals(List.of("Exhaust cam", "Intake cam"), came.shafts());
        assertEquals(came, CameWith.kept(came.happenedKept(), came.shaftsKept()));
        assertEquals("nothing ticked; shafts: Exhaust cam, Intake cam", English.of(came.words()));
        assertEquals(6, CameWith.of(java.util.Set.of(), "1,2,3,4,5,6").shafts().size());
        refused(() -> CameWith.of(java.util.Set.of(), "1,2,3,4,5,6,7"));
        refused(() -> CameWith.of(java.util.Set.of(), "a".repeat(31)));
        assertEquals(1, CameWith.of(java.util.Set.of(), "a".repeat(30)).shafts().size());
    }

    /** Kept in the metric unit whatever the bench, keyed again as it stands, and never rounded by being looked at. */
    @Test
    void vacuumAndSpringRateAreOfTheBench() {
        Map<String, String> form = Map.of(
                "intake",
                "1",
                "exhaust",
                "1",
                "rows",
                "ONE",
                "source",
                "SHOP",
                "I.VACUUM",
                "20",
                "E.VACUUM",
                "60 kPa",
                "I.SPRING_RATE",
                "180");
        Map<String, String> kept = ValveSetup.typed(form, BenchUnit.THOU, BookDefaults.of(BenchUnit.MM));
        assertEquals(67.7278, Double.parseDouble(kept.get("I.VACUUM")), 1e-4);
        assertEquals("60", kept.get("E.VACUUM"));
        assertEquals(31.5228, Double.parseDouble(kept.get("I.SPRING_RATE")), 1e-4);
        Map<String, String> thou = ValveSetup.shown(kept, new LengthWriter(BenchUnit.THOU));
        assertEquals("20.0", thou.get("I.VACUUM"));
        assertEquals("60 kPa", thou.get("E.VACUUM"));
        for (BenchUnit bench : BenchUnit.values()) {
            Map<String, String> again = new java.util.HashMap<>(form);
            again.putAll(ValveSetup.shown(kept, new LengthWriter(bench)));
            assertEquals(kept, ValveSetup.typed(again, bench, BookDefaults.of(BenchUnit.MM)), bench.name());
        }
        ValveBook usual = new ValveBook(ValveKind.INTAKE, Map.of(), false);
        assertEquals("18", ValveSetup.usual(usual, BookItem.VACUUM, new LengthWriter(BenchUnit.THOU)));
        assertEquals("60", ValveSetup.usual(usual, BookItem.VACUUM, new LengthWriter(BenchUnit.MM)));
    }

    @Test
    void aVacuumThatIsNoneIsRefused() {
        Map<String, String> form =
                Map.of("intake", "1", "exhaust", "1", "rows", "ONE", "source", "SHOP", "I.VACUUM", "20 psi a");
        assertThrows(
                homalon.core.input.BadInputException.class,
                () -> ValveSetup.typed(form, BenchUnit.THOU, BookDefaults.of(BenchUnit.MM)));
    }
}

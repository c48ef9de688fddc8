package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.input.BadInputException;
import homalon.core.part.ValveKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.BookDefaults.Own;
import homalon.core.rulebook.Source;
import homalon.core.valves.BookItem;
import homalon.core.valves.ValveBook;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class BookDefaultsTest {
    private static final BookDefaults MM = BookDefaults.of(BenchUnit.MM);
    private static final BookDefaults THOU = BookDefaults.of(BenchUnit.THOU);

    private static BookDefaults own(Object... pairs) {
        Map<String, Own> own = new HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            own.put((String) pairs[i], new Own((Double) pairs[i + 1], "our own sheet"));
        }
        return new BookDefaults(BenchUnit.MM, own);
    }

    private static Map<String, String> form(String... pairs) {
        Map<String, String> form = new HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            form.put(pairs[i], pairs[i + 1]);
            form.put(pairs[i] + ".from", "our own sheet");
        }
        return form;
    }

    private static List<String> refused(Map<String, String> form) {
        BadInputException e = assertThrows(
                BadInputException.class, () -> new BookDefaultsForm(form).read(BenchUnit.MM, BenchUnit.MM));
        return e.problems().stream().map(BadInputException.Problem::field).toList();
    }

    /** Whatever stands by default is a round figure in the shop's unit: at most two digits beside the zeros. */
    @ParameterizedTest
    @EnumSource(BenchUnit.class)
    void generalValuesAreRoundInTheShopsUnit(BenchUnit shop) {
        for (BookDefaultsForm.Row row : new BookDefaultsForm(Map.of()).rows(shop, shop)) {
            String digits =
                    row.general().replace(".", "").replaceFirst("^0+", "").replaceFirst("0+$", "");
            boolean byStem = row.name().contains("CLEARANCE");
            assertTrue(digits.length() <= (byStem ? 3 : 2), row.name() + ": " + row.general() + " " + row.unit());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "CLEARANCE_LEAST, INTAKE, 0.036, 1.4",
        "CLEARANCE_MOST, INTAKE, 0.064, 2.5",
        "CLEARANCE_SERVICE, INTAKE, 0.1, 3.9",
        "CLEARANCE_LEAST, EXHAUST, 0.044, 1.7",
        "OVALITY, INTAKE, 0.03, 1.2",
        "WIDTH_LEAST, INTAKE, 1.0, 40",
        "WIDTH_MOST, EXHAUST, 2.0, 80",
        "INSET_LEAST, INTAKE, 0.1, 4",
        "RUNOUT_BAD, EXHAUST, 0.08, 3",
        "MARGIN, INTAKE, 0.8, 30",
        "SINK, EXHAUST, 0.5, 20",
    })
    void aValvesBookStartsRoundInTheShopsUnit(BookItem item, ValveKind kind, double mm, double thou) {
        assertEquals(mm, new ValveBook(kind, Map.of(), false, MM).value(item), 1e-9);
        assertEquals(thou, new ValveBook(kind, Map.of(), false, THOU).value(item) / 0.0254, 1e-6);
    }

    @Test
    void pressuresAndVacuumsAreRoundTooAndWhatIsNoLengthIsTheSame() {
        assertEquals(
                18, new ValveBook(ValveKind.INTAKE, Map.of(), false, THOU).value(BookItem.VACUUM) / 3.386389, 1e-9);
        assertEquals(0.7, BenchFigure.TEST_DROP.value(THOU) / 0.0689475729, 1e-9);
        assertEquals(0.05, BenchFigure.TEST_DROP.value(MM));
        assertEquals(10, BenchFigure.TEST_HOLD.value(THOU));
        assertEquals(45, new ValveBook(ValveKind.INTAKE, Map.of(), false, THOU).value(BookItem.FACE_ANGLE));
    }

    @Test
    void theShopsOwnComesBeforeGeneralValuesAndAfterWhatWasKeyed() {
        BookDefaults shop = own("VALVE_E_SINK", 0.8, "ENGINE_BURETTE", 50.0, "BENCH_PISTON_ODD", 0.2);
        ValveBook blank = new ValveBook(ValveKind.EXHAUST, Map.of(), false, shop);
        assertEquals(0.8, blank.value(BookItem.SINK));
        assertEquals(
                Source.SHOP_DEFAULT, blank.entry(BookItem.SINK).orElseThrow().source());
        assertTrue(blank.isDefault(BookItem.SINK));
        assertEquals(0.5, new ValveBook(ValveKind.INTAKE, Map.of(), false, shop).value(BookItem.SINK));
        ValveBook keyed = new ValveBook(
                ValveKind.EXHAUST, Map.of(BookItem.SINK, new ValveBook.Entry(0.3, Source.MAKER)), false, shop);
        assertEquals(0.3, keyed.value(BookItem.SINK));
        assertEquals(0.8, blank.measured(9.0).value(BookItem.SINK), "a stem that was measured changes nothing of it");

        EngineBook engine =
                new EngineBook(Map.of(), EngineBook.Drive.UNKNOWN, EngineBook.Crown.FLAT, EngineBook.Rods.IRON, shop);
        assertEquals(50, engine.value(EngineItem.BURETTE));
        assertEquals(
                Source.SHOP_DEFAULT,
                engine.entry(EngineItem.BURETTE).orElseThrow().source());
        assertEquals(50, engine.with(EngineItem.DECK, 0.5).value(EngineItem.BURETTE));
        assertEquals(Source.SHOP_DEFAULT, BenchFigure.PISTON_ODD.source(shop));
        assertEquals(0.2, BenchFigure.PISTON_ODD.value(shop));
    }

    /** A general value gives way to the shop's own, and the shop's own to what was keyed. */
    @Test
    void aFigureByDefaultNeverStandsAgainstAStrongerOne() {
        BookDefaults shop = own("VALVE_I_WIDTH_LEAST", 1.8, "VALVE_I_CLEARANCE_LEAST", 0.12);
        ValveBook blank = new ValveBook(ValveKind.INTAKE, Map.of(), false, shop);
        assertEquals(1.8, blank.value(BookItem.WIDTH_LEAST));
        assertEquals(1.8, blank.value(BookItem.WIDTH_MOST));
        assertEquals(0.12, blank.value(BookItem.CLEARANCE_LEAST));
        assertTrue(blank.value(BookItem.CLEARANCE_SERVICE) >= 0.12);
        ValveBook keyed = new ValveBook(
                ValveKind.INTAKE, Map.of(BookItem.WIDTH_MOST, new ValveBook.Entry(1.2, Source.MAKER)), false, shop);
        assertEquals(1.2, keyed.value(BookItem.WIDTH_LEAST));
        assertEquals(1.2, keyed.value(BookItem.WIDTH_MOST));
    }

    @ParameterizedTest
    @CsvSource({
        "VALVE_I_SINK, 0.6, MM, 0.6",
        "VALVE_I_SINK, 24, THOU, 0.6096",
        "VALVE_I_VACUUM, 20inHg, MM, 67.72778",
        "BENCH_TEST_DROP, 0.5psi, MM, 0.0344738",
        "BENCH_TEST_HOLD, 15 min, MM, 15",
        "ENGINE_BURETTE, 50, THOU, 50",
        "ENGINE_SQUEEZE_LEAST, 40, THOU, 1.016",
        "BENCH_INSERT_PRESS_LEAST_IRON, 2.2, THOU, 2.2",
        "BENCH_INSERT_PRESS_LEAST_IRON, 2.2/1000, MM, 2.2",
        "BENCH_GUIDE_PRESS_MOST_ALUMINIUM, 2.2, THOU, 0.05588",
        "BENCH_INSERT_WALL_IRON, 100, THOU, 2.54",
        "BENCH_FACE_ODD, 0.1, MM, 0.1",
    })
    void aFigureIsReadInAnyUnitAndComesBackAsItIs(String name, String typed, BenchUnit bench, double value) {
        BookDefaults read = new BookDefaultsForm(form(name, typed)).read(BenchUnit.MM, bench);
        assertEquals(value, read.own(name).orElseThrow(), 1e-5);
        assertEquals("our own sheet", read.own().get(name).from());
        for (BenchUnit again : BenchUnit.values()) {
            BookDefaultsForm shown = BookDefaultsForm.of(read, again);
            assertEquals(
                    read.own(name).orElseThrow(),
                    shown.read(BenchUnit.MM, again).own(name).orElseThrow(),
                    1e-6,
                    again.name());
        }
    }

    @Test
    void whatCannotBeIsRefusedByItsField() {
        assertEquals(List.of("VALVE_I_SINK"), refused(form("VALVE_I_SINK", "twelve")));
        assertEquals(List.of("VALVE_I_SINK"), refused(form("VALVE_I_SINK", "11")));
        assertEquals(List.of("BENCH_TEST_HOLD"), refused(form("BENCH_TEST_HOLD", "long")));
        assertEquals(List.of("VALVE_I_SINK.from"), refused(Map.of("VALVE_I_SINK", "0.6")));
        assertEquals(
                List.of("VALVE_E_RUNOUT_GOOD"),
                refused(form("VALVE_E_RUNOUT_GOOD", "0.09", "VALVE_E_RUNOUT_BAD", "0.06")));
        assertEquals(
                List.of("VALVE_I_CLEARANCE_LEAST"),
                refused(form("VALVE_I_CLEARANCE_LEAST", "0.09", "VALVE_I_CLEARANCE_SERVICE", "0.06")));
        assertEquals(
                List.of("BENCH_GUIDE_PRESS_LEAST_IRON"),
                refused(form("BENCH_GUIDE_PRESS_LEAST_IRON", "0.06", "BENCH_GUIDE_PRESS_MOST_IRON", "0.05")));
        assertEquals(
                List.of("BENCH_INSERT_PRESS_LEAST_ALUMINIUM"),
                refused(form("BENCH_INSERT_PRESS_LEAST_ALUMINIUM", "3", "BENCH_INSERT_PRESS_MOST_ALUMINIUM", "2.9")));
        assertEquals(List.of("BENCH_INSERT_WALL_IRON"), refused(form("BENCH_INSERT_WALL_IRON", "0.9")));
    }

    @Test
    void oneLineOfABookHasASourceOfItsOwn() {
        Map<String, String> form = new HashMap<>(Map.of(
                "intake",
                "1",
                "exhaust",
                "1",
                "rows",
                "ONE",
                "source",
                "MAKER",
                "I.SINK",
                "0.4",
                "E.SINK",
                "0.5",
                "I.MARGIN",
                "1",
                "from.SINK",
                "SHOP"));
        form.put("from.OVALITY", "SHOP");
        Map<String, String> kept = ValveSetup.typed(form, BenchUnit.MM, MM);
        ValveSetup setup = ValveSetup.of(kept, MM);
        assertEquals(
                Source.SHOP,
                setup.book(ValveKind.INTAKE).entry(BookItem.SINK).orElseThrow().source());
        assertEquals(
                Source.SHOP,
                setup.book(ValveKind.EXHAUST).entry(BookItem.SINK).orElseThrow().source());
        assertEquals(
                Source.MAKER,
                setup.book(ValveKind.INTAKE)
                        .entry(BookItem.MARGIN)
                        .orElseThrow()
                        .source());
        assertTrue(!kept.containsKey("from.OVALITY"), "nothing was keyed that could have a source");
        form.put("from.SINK", "HEARSAY");
        assertThrows(BadInputException.class, () -> ValveSetup.typed(form, BenchUnit.MM, MM));
    }
}

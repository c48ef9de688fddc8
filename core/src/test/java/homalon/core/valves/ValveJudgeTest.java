package homalon.core.valves;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Valve;
import homalon.core.part.ValveKind;
import homalon.core.part.ValvePattern;
import homalon.core.quantity.Length;
import homalon.core.rulebook.Source;
import homalon.core.seats.SeatRange;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ValveJudgeTest {
    private static final ValveBook BOOK = new ValveBook(ValveKind.INTAKE, Map.of());

    private static ValveReadings read(Set<Look> looks, Object... pairs) {
        Map<Measure, Double> figures = new EnumMap<>(Measure.class);
        for (int i = 0; i < pairs.length; i += 2) {
            figures.put((Measure) pairs[i], (Double) pairs[i + 1]);
        }
        return new ValveReadings(figures, looks);
    }

    private static final Object[] SOUND = {
        Measure.STEM_TOP,
        7.96,
        Measure.GUIDE_TOP_ALONG,
        8.01,
        Measure.GUIDE_TOP_ACROSS,
        8.01,
        Measure.GUIDE_MIDDLE_ALONG,
        8.00,
        Measure.GUIDE_MIDDLE_ACROSS,
        8.00,
        Measure.GUIDE_BOTTOM_ALONG,
        8.01,
        Measure.GUIDE_BOTTOM_ACROSS,
        8.01
    };

    @Test
    void notMeasuredIsNeverGood() {
        ValveFinding nothing = ValveJudge.of(ValveReadings.NONE, BOOK);
        assertEquals(Verdict.NOT_PROVEN, nothing.verdict());
        assertFalse(nothing.begun());
        assertEquals(
                Verdict.NOT_PROVEN, ValveJudge.of(read(Set.of(), SOUND), BOOK).verdict(), "nobody looked at the seat");
        assertEquals(
                Verdict.NOT_PROVEN,
                ValveJudge.of(read(Set.of(Look.GOOD)), BOOK).verdict(),
                "nobody measured the guide");
        assertEquals(
                Verdict.WITHIN,
                ValveJudge.of(read(Set.of(Look.GOOD), SOUND), BOOK).verdict());
    }

    /** From the chamber it looks good; the spring side, read later, is worn. */
    @Test
    void wornAtTheFarEndIsFoundOnlyFromThere() {
        Object[] near = {Measure.STEM_TOP, 7.96, Measure.GUIDE_BOTTOM_ALONG, 8.005, Measure.GUIDE_BOTTOM_ACROSS, 8.005};
        ValveFinding before = ValveJudge.of(read(Set.of(Look.GOOD), near), BOOK);
        assertEquals(Verdict.NOT_PROVEN, before.verdict());
        // A seat that is out does not settle a guide that nobody read through.
        ValveFinding pitted = ValveJudge.of(read(Set.of(Look.PITTED), near), BOOK);
        assertTrue(pitted.verdict() == Verdict.OUT && !pitted.settled());
        assertTrue(English.of(pitted.says()).contains("pitted; one end only"), English.of(pitted.says()));
        assertTrue(
                English.of(before.says()).contains("one end only: read the top and the middle"),
                English.of(before.says()));
        Object[] all = SOUND.clone();
        all[3] = 8.08;
        all[5] = 8.09;
        ValveFinding after = ValveJudge.of(read(Set.of(Look.GOOD), all), BOOK);
        assertEquals(Verdict.OUT, after.verdict());
        assertTrue(after.guideWorn() && !after.seatBad());
        assertTrue(English.of(after.says()).contains("spring side"), English.of(after.says()));
    }

    /** Which places were read decides what is said of the others. */
    @Test
    void whatOfTheGuideWasNotReadIsNamed() {
        Object[] ends = {
            Measure.STEM_TOP,
            7.96,
            Measure.GUIDE_TOP_ALONG,
            8.01,
            Measure.GUIDE_TOP_ACROSS,
            8.01,
            Measure.GUIDE_BOTTOM_ALONG,
            8.01,
            Measure.GUIDE_BOTTOM_ACROSS,
            8.01
        };
        ValveFinding open = ValveJudge.of(read(Set.of(Look.GOOD), ends), BOOK);
        assertEquals(Verdict.NOT_PROVEN, open.verdict());
        assertTrue(
                English.of(open.says()).contains("the middle not read")
                        && !English.of(open.says()).contains("one end"),
                English.of(open.says()));
        Object[] both = SOUND.clone();
        both[3] = 8.08;
        both[5] = 8.08;
        both[11] = 8.08;
        both[13] = 8.08;
        ValveFinding worn = ValveJudge.of(read(Set.of(Look.GOOD), both), BOOK);
        assertTrue(English.of(worn.says()).contains("at both ends"), English.of(worn.says()));
        Object[] bell = SOUND.clone();
        bell[11] = 8.045;
        bell[13] = 8.045;
        ValveFinding port = ValveJudge.of(read(Set.of(Look.GOOD), bell), BOOK);
        assertTrue(
                English.of(port.says()).contains("bell-mouthed at the bottom, the port side"), English.of(port.says()));
    }

    /** Without a book the limits follow the stem that was read; a keyed size, or a keyed limit, comes before it. */
    @ParameterizedTest
    @CsvSource({
        // stem read, size keyed, service keyed, service that stands
        "7.96, , , 0.100",
        "13.95, , , 0.175",
        "13.95, 8, , 0.100",
        "13.95, , 0.09, 0.09",
        "4.96, , , 0.063"
    })
    void limitsFollowTheStem(double stem, Double size, Double keyed, double service) {
        Map<BookItem, ValveBook.Entry> book = new EnumMap<>(BookItem.class);
        if (size != null) {
            book.put(BookItem.STEM, new ValveBook.Entry(size, Source.MAKER));
        }
        if (keyed != null) {
            book.put(BookItem.CLEARANCE_SERVICE, new ValveBook.Entry(keyed, Source.MAKER));
        }
        ValveBook stands = new ValveBook(ValveKind.INTAKE, book).measured(stem);
        assertEquals(service, stands.guide().service(), 1e-9);
        assertTrue(stands.guide().most() <= service + 1e-12, "a default gives way to what was keyed");
        assertEquals(keyed == null, stands.isDefault(BookItem.CLEARANCE_SERVICE));
        Object[] read = {
            Measure.STEM_TOP,
            stem,
            Measure.GUIDE_TOP_ALONG,
            stem + 0.05,
            Measure.GUIDE_TOP_ACROSS,
            stem + 0.05,
            Measure.GUIDE_MIDDLE_ALONG,
            stem + 0.05,
            Measure.GUIDE_MIDDLE_ACROSS,
            stem + 0.05,
            Measure.GUIDE_BOTTOM_ALONG,
            stem + 0.05,
            Measure.GUIDE_BOTTOM_ACROSS,
            stem + 0.05
        };
        Aspect guide = ValveJudge.of(read(Set.of(), read), new ValveBook(ValveKind.INTAKE, book))
                .aspect(Aspect.Subject.GUIDE)
                .orElseThrow();
        assertTrue(
                guide.limit().isEmpty() || guide.limit().getAsDouble() == service || guide.is(Verdict.OUT),
                () -> "judged by " + guide.limit());
    }

    /** Defaults that go by what was keyed beside them. */
    @ParameterizedTest
    @CsvSource({
        "TOP_ANGLE, FACE_ANGLE, 30, 15",
        "TOP_ANGLE, FACE_ANGLE, 45, 30",
        "CLEARANCE_MOST, CLEARANCE_LEAST, 0.2, 0.2",
        "CLEARANCE_SERVICE, CLEARANCE_MOST, 0.3, 0.3",
        "CLEARANCE_LEAST, CLEARANCE_MOST, 0.03, 0.03",
        "WIDTH_MOST, WIDTH_LEAST, 2.5, 2.5",
        "WIDTH_LEAST, WIDTH_MOST, 0.8, 0.8",
        "INSET_LEAST, INSET, 0.05, 0.05",
        "RUNOUT_GOOD, RUNOUT_BAD, 0.03, 0.03"
    })
    void defaultsGiveWay(BookItem item, BookItem keyed, double value, double stands) {
        ValveBook book = new ValveBook(ValveKind.INTAKE, Map.of(keyed, new ValveBook.Entry(value, Source.MAKER)));
        assertEquals(stands, book.value(item), 1e-12);
        assertTrue(book.isDefault(item));
    }

    @Test
    void aRacedEngineHasItsOwnRanges() {
        Map<BookItem, ValveBook.Entry> head = Map.of(BookItem.HEAD_DIAMETER, new ValveBook.Entry(35, Source.MAKER));
        SeatRange raced = new ValveBook(ValveKind.EXHAUST, head, true).seat().orElseThrow();
        assertEquals(new SeatRange(34.4, 35, 1.2, 1.6, 0.05), raced);
        assertEquals(
                new SeatRange(34, 34.8, 1.5, 2.0, 0.05),
                new ValveBook(ValveKind.EXHAUST, head).seat().orElseThrow());
        assertTrue(new ValveBook(ValveKind.EXHAUST, Map.of()).seat().isEmpty(), "the head is not known");
        // The range of the racer stands for measured stems too.
        assertEquals(
                raced,
                new ValveBook(ValveKind.EXHAUST, head, true)
                        .measured(7.96)
                        .seat()
                        .orElseThrow());
    }

    @ParameterizedTest
    @CsvSource({"34.9, OUT, near the valve's edge", "34.4, WITHIN, where it may", "33.9, OUT, too low"})
    void whereASeatTouchesIsJudged(double outer, Verdict verdict, String says) {
        ValveBook book =
                new ValveBook(ValveKind.INTAKE, Map.of(BookItem.HEAD_DIAMETER, new ValveBook.Entry(35, Source.MAKER)));
        ValveFinding finding = ValveJudge.of(read(Set.of(), Measure.SEAT_OUTER, outer), book);
        Aspect place = finding.aspect(Aspect.Subject.PLACE).orElseThrow();
        assertTrue(place.is(verdict) && English.of(place.says()).contains(says), English.of(place.says()));
        assertEquals((35 - outer) / 2, place.figure().orElseThrow().value(), 1e-9);
        assertEquals(
                book.value(outer > 34.5 ? BookItem.INSET_LEAST : BookItem.INSET),
                place.limit().orElseThrow(),
                1e-12,
                "the limit it broke");
        assertEquals(verdict == Verdict.OUT, finding.seatBad());
        assertTrue(ValveJudge.of(read(Set.of(), Measure.SEAT_OUTER, outer), BOOK)
                .aspect(Aspect.Subject.PLACE)
                .isEmpty());
    }

    @Test
    void sideLoadIsNamed() {
        Object[] oval = SOUND.clone();
        oval[5] = 8.045;
        ValveFinding finding = ValveJudge.of(read(Set.of(Look.GOOD), oval), BOOK);
        assertTrue(English.of(finding.says()).contains("look at the valve gear"), English.of(finding.says()));
    }

    @Test
    void everyLimitSaysWhereItComesFrom() {
        ValveFinding byDefault = ValveJudge.of(read(Set.of(), SOUND), BOOK);
        assertEquals(
                English.of(Source.DEFAULT.words()),
                English.of(byDefault.aspect(Aspect.Subject.GUIDE).orElseThrow().source()));
        ValveBook keyed = new ValveBook(
                ValveKind.INTAKE, Map.of(BookItem.CLEARANCE_SERVICE, new ValveBook.Entry(0.08, Source.MAKER)));
        Aspect guide = ValveJudge.of(read(Set.of(), SOUND), keyed)
                .aspect(Aspect.Subject.GUIDE)
                .orElseThrow();
        assertEquals(English.of(Source.MAKER.words()), English.of(guide.source()));
        assertEquals(0.08, guide.limit().orElseThrow());
        assertTrue(keyed.isDefault(BookItem.CLEARANCE_MOST) && !keyed.isDefault(BookItem.CLEARANCE_SERVICE));
        // Read without a limit: told, not judged.
        Aspect height = ValveJudge.of(read(Set.of(), Measure.RECESSION, 0.4), BOOK)
                .aspect(Aspect.Subject.HEIGHT)
                .orElseThrow();
        assertTrue(height.verdict().isEmpty() && English.of(height.says()).contains("no limit keyed"));
    }

    @Test
    void seatsAreJudgedByWidthRunoutAndLooks() {
        ValveFinding wide = ValveJudge.of(read(Set.of(), Measure.SEAT_OUTER, 34.0, Measure.SEAT_INNER, 31.0), BOOK);
        assertEquals(
                1.5 * Math.sqrt(2),
                wide.aspect(Aspect.Subject.WIDTH)
                        .orElseThrow()
                        .figure()
                        .orElseThrow()
                        .value(),
                1e-12);
        assertTrue(wide.seatBad());
        assertEquals(Verdict.WITHIN, runout(0.05));
        assertEquals(Verdict.NOT_PROVEN, runout(0.065));
        assertEquals(Verdict.OUT, runout(0.09));
        assertTrue(ValveJudge.of(read(Set.of(Look.DROPPED)), BOOK).seatBad());
        assertEquals(Set.of(Look.PITTED, Look.LOW), Look.read("29"));
        assertThrows(BadInputException.class, () -> Look.read("12"));
        assertTrue(English.of(assertThrows(BadInputException.class, () -> Look.read("x"))
                        .sentence())
                .contains("3 burnt"));
    }

    /** A width that was measured says the same as the inner edge that it leaves. */
    @Test
    void widthStandsForTheInnerEdge() {
        ValveBook book =
                new ValveBook(ValveKind.INTAKE, Map.of(BookItem.HEAD_DIAMETER, new ValveBook.Entry(35, Source.MAKER)));
        double width = 1.5 * Math.sqrt(2);
        ValveReadings byWidth = read(Set.of(), Measure.SEAT_OUTER, 34.0, Measure.SEAT_WIDTH, width);
        ValveReadings byEdge = read(Set.of(), Measure.SEAT_OUTER, 34.0, Measure.SEAT_INNER, 31.0);
        assertEquals(
                ValveJudge.seatAsked(byEdge, book).orElseThrow().inner(),
                ValveJudge.seatAsked(byWidth, book).orElseThrow().inner(),
                1e-12);
        assertTrue(ValveJudge.of(byWidth, book).out(Aspect.Subject.WIDTH));
        assertTrue(ValveJudge.seatAsked(read(Set.of(), Measure.SEAT_OUTER, 34.0), book)
                .isEmpty());
    }

    @Test
    void vacuumIsJudgedByWhatItHoldsOrHowFastItFalls() {
        assertTrue(ValveJudge.of(read(Set.of(), Measure.VACUUM, 40.0), BOOK).seatBad());
        assertTrue(ValveJudge.of(read(Set.of(), Measure.FALL, 6.0), BOOK).seatBad());
        assertFalse(ValveJudge.of(read(Set.of(), Measure.VACUUM, 70.0, Measure.FALL, 14.0), BOOK)
                .seatBad());
    }

    @Test
    void wishesAreHeard() {
        assertTrue(Wished.valves("Guides and seats, please") && Wished.valves("a valve job"));
        assertFalse(Wished.valves("flat, and quick") || Wished.valves("put on the guideline"));
    }

    private static Verdict runout(double tir) {
        return ValveJudge.of(read(Set.of(), Measure.RUNOUT, tir), BOOK)
                .aspect(Aspect.Subject.RUNOUT)
                .orElseThrow()
                .verdict()
                .orElseThrow();
    }

    @Test
    void readingsThatCannotBeAreRefusedBeforeTheyAreKept() {
        assertThrows(
                BadInputException.class,
                () -> ValveJudge.check(read(Set.of(), Measure.STEM_TOP, 8.02, Measure.GUIDE_TOP_ALONG, 8.0), BOOK));
        assertThrows(
                BadInputException.class,
                () -> ValveJudge.check(read(Set.of(), Measure.SEAT_OUTER, 30.0, Measure.SEAT_INNER, 31.0), BOOK));
        assertThrows(
                BadInputException.class,
                () -> new ValveBook(
                        ValveKind.EXHAUST, Map.of(BookItem.TOP_ANGLE, new ValveBook.Entry(50, Source.MAKER))));
    }

    /** Of whatever pattern, valves lie inside their cylinder, clear of each other, and are walked in one direction. */
    @Test
    void patternsAreFreeOfEachOther() {
        Layout layout = Layout.of(new LayoutNumbers(
                4,
                1,
                1,
                Length.ofMm("86"),
                Length.ofMm("96"),
                Length.ofMm("410"),
                Length.ofMm("220"),
                BoltRows.TWO,
                Length.ofMm("11"),
                0,
                ChamberShape.ROUND,
                true));
        for (ValvePattern.Rows rows : ValvePattern.Rows.values()) {
            for (int intake = 1; intake <= 3; intake++) {
                for (int exhaust = 1; exhaust <= 2; exhaust++) {
                    if (rows == ValvePattern.Rows.TWO || intake + exhaust == 2) {
                        clear(
                                new ValvePattern(intake, exhaust, rows, false, rows == ValvePattern.Rows.ONE)
                                        .of(layout),
                                layout,
                                4 * (intake + exhaust));
                    }
                }
            }
        }
        assertThrows(BadInputException.class, () -> new ValvePattern(2, 2, ValvePattern.Rows.ONE, false, false));
    }

    private static void clear(List<Valve> valves, Layout layout, int count) {
        assertEquals(count, valves.stream().map(Valve::key).distinct().count());
        for (int i = 0; i < valves.size(); i++) {
            Valve v = valves.get(i);
            double r = v.diameter() / 2;
            assertTrue(
                    v.centre().x() - r > 0 && v.centre().x() + r < layout.box().width(), v.key());
            assertTrue(
                    v.centre().y() - r > 0 && v.centre().y() + r < layout.box().height(), v.key());
            for (int k = i + 1; k < valves.size(); k++) {
                Valve w = valves.get(k);
                assertTrue(v.centre().distance(w.centre()) > r + w.diameter() / 2, v.key() + " and " + w.key());
            }
        }
    }
}

package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import homalon.core.part.Layout;
import homalon.core.part.PartKind;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import homalon.core.route.VisitFacts;
import homalon.core.rulebook.BookDefaults;
import homalon.core.seats.Damage;
import homalon.core.valves.BookItem;
import homalon.core.valves.Measure;
import homalon.core.verdict.Verdict;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** When work on a valve is due, done, and due again. */
class ValveFileTest {
    private static final PartFile HEAD = Castings.of(PartKind.HEAD, 2);

    private SheetHand hand;

    @BeforeEach
    void aBook() {
        hand = new SheetHand(Sheet.VALVES).setUp(book());
    }

    private static Map<String, String> book() {
        Map<String, String> form = new HashMap<>(
                Map.of("intake", "1", "exhaust", "1", "rows", "ONE", "source", "MAKER", "knurls", "true"));
        for (String k : List.of("I", "E")) {
            form.put(k + ".STEM", "7");
            form.put(k + ".CLEARANCE_LEAST", "0.02");
            form.put(k + ".CLEARANCE_MOST", "0.05");
            form.put(k + ".CLEARANCE_SERVICE", "0.10");
            form.put(k + ".HEAD_DIAMETER", k.equals("I") ? "40" : "34");
        }
        return ValveSetup.typed(form, BenchUnit.MM, BookDefaults.of(BenchUnit.MM));
    }

    private ValveFile file() {
        return ValveFile.of(HEAD, hand.file(), Layout.of(HEAD.numbers()));
    }

    private void stem(String of, String size) {
        for (Measure m : Measure.Walk.STEMS.measures()) {
            hand.size(ValveFile.place(of, m), size);
        }
    }

    private void guide(String of, String size) {
        for (Measure.Walk w :
                List.of(Measure.Walk.GUIDE_TOPS, Measure.Walk.GUIDE_MIDDLES, Measure.Walk.GUIDE_BOTTOMS)) {
            for (Measure m : w.measures()) {
                hand.size(ValveFile.place(of, m), size);
            }
        }
    }

    private void said(String of, Said what, String words) {
        hand.say(ValveFile.place(of, what), words);
    }

    private ValveFile.Work guideOf(String of) {
        ValveFile f = file();
        return f.guide(f.valve(of));
    }

    private ValveFile.Work seatOf(String of) {
        ValveFile f = file();
        return f.seat(f.valve(of));
    }

    private ValveFile.Work insertOf(String of) {
        ValveFile f = file();
        return f.insert(f.valve(of));
    }

    @Test
    void valvesAreWalkedFrontToBackAndFoundByName() {
        assertEquals(
                List.of("1I", "1E", "2I", "2E"),
                file().valves().stream()
                        .map(Valve::key)
                        .sorted(java.util.Comparator.comparing((String s) -> s.charAt(0))
                                .thenComparing(s -> s.charAt(1) == 'I' ? 0 : 1))
                        .toList());
        assertThrows(BadInputException.class, () -> file().valve("3I"));
        assertFalse(file().begun());
        assertFalse(file().complete());
    }

    @Test
    void aWornGuideIsDueUntilItIsDoneOrLeftAsItIs() {
        stem("1I", "6.98");
        guide("1I", "7.01");
        assertEquals(ValveFile.Work.NONE, guideOf("1I"));
        guide("1I", "7.10");
        assertEquals(ValveFile.Work.DUE, guideOf("1I"));
        assertTrue(file().finding(file().valve("1I")).guideWorn());
        said("1I", Said.GUIDE, "AS_IS");
        assertEquals(ValveFile.Work.NONE, guideOf("1I"));
        said("1I", Said.GUIDE, "REPLACE");
        assertEquals(ValveFile.Work.DUE, guideOf("1I"));
        said("1I", Said.GUIDE_DONE, "REPLACE 7010000");
        assertEquals(ValveFile.Work.DONE, guideOf("1I"));
        assertTrue(file().settled(file().valve("1I")));
        // Read worn after it was done, or something else chosen for it: due again.
        guide("1I", "7.11");
        assertEquals(ValveFile.Work.DUE, guideOf("1I"));
        said("1I", Said.GUIDE_DONE, "REPLACE 7010000");
        said("1I", Said.GUIDE, "LINER");
        assertEquals(ValveFile.Work.DUE, guideOf("1I"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"REPLACE 7010000", "KNURL 7010000"})
    void aNewAxisAsksForTheSeatAnew(String done) {
        said("1I", Said.GUIDE, done.split(" ")[0]);
        said("1I", Said.GUIDE_DONE, done);
        ValveFile f = file();
        boolean moved = ValveFile.rung(done).orElseThrow().movesAxis();
        assertEquals(moved, f.axisMoved(f.valve("1I")));
        assertEquals(moved ? ValveFile.Work.DUE : ValveFile.Work.NONE, seatOf("1I"));
        said("1I", Said.SEAT_DONE, "STONE 20000");
        assertEquals(ValveFile.Work.DONE, seatOf("1I"));
        assertEquals(Optional.empty(), ValveFile.rung("NOTHING 1"));
    }

    @Test
    void anInsertIsDueByLooksByAPlaceOrByChoice() {
        assertEquals(ValveFile.Work.NONE, insertOf("2E"));
        said("2E", Said.COUNTERBORE, "");
        assertEquals(ValveFile.Work.NONE, insertOf("2E"));
        hand.say(ValveFile.place("2E", Measure.LOOKS), "4");
        assertEquals(ValveFile.Work.DUE, insertOf("2E"));
        said("2E", Said.INSERT_DONE, "R-40 40000000 40100000");
        assertEquals(ValveFile.Work.DONE, insertOf("2E"));
        ValveFile f = file();
        assertTrue(f.bareRing(f.valve("2E")));
        assertEquals(ValveFile.Work.DUE, seatOf("2E"));
        said("2E", Said.SEAT_DONE, "STONE 20000");
        f = file();
        assertFalse(f.bareRing(f.valve("2E")));
        assertEquals(ValveFile.Work.DONE, seatOf("2E"));
        said("2E", Said.INSERT, "R-41");
        assertEquals(ValveFile.Work.DUE, insertOf("2E"));
    }

    @Test
    void aRingThatWasReadIsBareNoMore() {
        said("1E", Said.INSERT, "R-40");
        said("1E", Said.INSERT_DONE, "R-40 40000000 40100000");
        hand.size(ValveFile.place("1E", Measure.SEAT_OUTER), "33");
        ValveFile f = file();
        assertFalse(f.bareRing(f.valve("1E")));
    }

    @Test
    void aSeatIsDueWhenItIsBadAndAgainWhenItIsReadBad() {
        hand.key(ValveFile.place("1I", Measure.RUNOUT), "0.02");
        assertEquals(ValveFile.Work.NONE, seatOf("1I"));
        hand.key(ValveFile.place("1I", Measure.RUNOUT), "0.12");
        assertEquals(ValveFile.Work.DUE, seatOf("1I"));
        said("1I", Said.SEAT_DONE, "STONE 20000");
        assertEquals(ValveFile.Work.DONE, seatOf("1I"));
        said("1I", Said.SEAT_WAY, "CUTTER");
        assertEquals(ValveFile.Work.DUE, seatOf("1I"));
        said("1I", Said.SEAT_DONE, "STONE 20000");
        hand.key(ValveFile.place("1I", Measure.RUNOUT), "0.12");
        assertEquals(ValveFile.Work.DUE, seatOf("1I"));
    }

    @Test
    void whatIsGoodByFeelWantsAName() {
        hand.say(ValveFile.place("1I", Measure.FEEL), "1");
        assertFalse(file().mayBeSigned(file().valve("1I")));
        hand.say(ValveFile.place("1I", Measure.LOOKS), "1");
        ValveFile f = file();
        assertTrue(f.mayBeSigned(f.valve("1I")));
        assertFalse(f.signedByFeel(f.valve("1I")));
        assertFalse(f.settled(f.valve("1I")));
        said("1I", Said.FELT, "signed");
        f = file();
        assertFalse(f.mayBeSigned(f.valve("1I")));
        assertTrue(f.signedByFeel(f.valve("1I")));
        assertTrue(f.settled(f.valve("1I")));
    }

    /** A bare number that another bench typed is shown with its unit, so that it means the same. */
    @Test
    void whatAnotherBenchTypedIsShownWithItsUnit() {
        hand.thou(ValveFile.place("1I", Said.WALL), "160");
        ValveFile f = file();
        assertEquals("160", f.shown(f.valve("1I"), Said.WALL, BenchUnit.THOU));
        assertEquals("160 in", f.shown(f.valve("1I"), Said.WALL, BenchUnit.MM));
        assertEquals("", f.shown(f.valve("1I"), Said.FLOOR, BenchUnit.MM));
        said("1I", Said.INSERT, "R-40");
        f = file();
        assertEquals("R-40", f.shown(f.valve("1I"), Said.INSERT, BenchUnit.THOU));
    }

    @Test
    void theRouteHearsWhatIsSettledOutAndDue() {
        stem("1I", "6.98");
        guide("1I", "7.10");
        VisitFacts.Valves facts = RouteFacts.valves(file());
        assertEquals(4, facts.count());
        assertEquals(1, facts.guides().due());
        assertEquals(0, facts.guides().done());
        assertEquals(1, facts.out());
        assertFalse(facts.axisMoved());
        said("1I", Said.GUIDE, "REPLACE");
        said("1I", Said.GUIDE_DONE, "REPLACE 7010000");
        facts = RouteFacts.valves(file());
        assertEquals(0, facts.guides().due());
        assertEquals(1, facts.guides().done());
        assertTrue(facts.axisMoved());
        assertEquals(1, facts.settled());
        assertTrue(facts.guides().last().isPresent());
    }

    /** What does not fit a book that was changed later proves nothing, and says why. */
    @Test
    void aReadingThatNoBookFitsIsNotProven() {
        stem("1I", "9");
        guide("1I", "7.01");
        ValveFile f = file();
        assertTrue(f.finding(f.valve("1I")).verdict() == Verdict.NOT_PROVEN
                || f.finding(f.valve("1I")).verdict() == Verdict.OUT);
        assertEquals(7.0, f.setup().book(homalon.core.part.ValveKind.INTAKE).value(BookItem.STEM), 1e-9);
    }

    @Test
    void damageIsKeyedInHoursAndNeighboursByName() {
        assertEquals(Damage.NONE, InsertPlace.damage(" ; ", BenchUnit.MM));
        assertEquals(
                2,
                InsertPlace.damage("2-5 0.4; 7 to 8.5 0.2", BenchUnit.MM).arcs().size());
        for (String bad : List.of("2-5", "2-x 0.4", "123-5 0.4", "2-5.55 0.4", "between 2 and 5")) {
            assertThrows(BadInputException.class, () -> InsertPlace.damage(bad, BenchUnit.MM), bad);
        }
        assertEquals(
                38.5, InsertPlace.neighbours("2e 38.5 34", BenchUnit.MM).get(0).centres(), 1e-9);
        assertEquals(
                "2E", InsertPlace.neighbours("2e 38.5 34", BenchUnit.MM).get(0).name());
        for (String bad : List.of("2X 38.5 34", "2E 38.5", "E2 38.5 34")) {
            assertThrows(BadInputException.class, () -> InsertPlace.neighbours(bad, BenchUnit.MM), bad);
        }
        assertEquals(-78.0, InsertPlace.temperatures("-78 180")[0]);
        assertEquals(180.0, InsertPlace.temperatures("-78 180")[1]);
    }

    @Test
    void linesOfAPlaceAreKeptAndKeyedAgain() {
        List<PlaceLine> damage =
                List.of(new PlaceLine("2", " 5", "0.4 mm"), PlaceLine.BLANK, new PlaceLine("8", "9.5", "0.2"));
        assertEquals("2-5 0.4mm; 8-9.5 0.2", InsertPlace.damage(damage, BenchUnit.MM));
        List<PlaceLine> neighbours = List.of(new PlaceLine("2E", "38.5", "34"), new PlaceLine("", "", " "));
        assertEquals("2E 38.5 34", InsertPlace.neighbours(neighbours, BenchUnit.MM));
        assertEquals("", InsertPlace.damage(List.of(PlaceLine.BLANK, PlaceLine.BLANK), BenchUnit.MM));
        for (PlaceLine half : List.of(
                new PlaceLine("2", "5", ""),
                new PlaceLine("", "5", "0.4"),
                new PlaceLine("2", "", "0.4"),
                new PlaceLine("2;3", "5", "much"))) {
            assertThrows(RefusedInputException.class, () -> InsertPlace.damage(List.of(half), BenchUnit.MM));
            assertThrows(RefusedInputException.class, () -> InsertPlace.neighbours(List.of(half), BenchUnit.MM));
        }
        assertEquals(List.of(), InsertPlace.damageLines(file(), file().valve("1E"), BenchUnit.MM));
        said("1E", Said.DAMAGE, "2-5 0.4mm; 8-9.5 0.2");
        said("1E", Said.NEIGHBOURS, "1i 38.5 34");
        assertEquals(
                List.of(new PlaceLine("2", "5", "0.4mm"), new PlaceLine("8", "9.5", "0.2")),
                InsertPlace.damageLines(file(), file().valve("1E"), BenchUnit.MM));
        assertEquals(
                List.of(new PlaceLine("2", "5", "0.4mm"), new PlaceLine("8", "9.5", "0.2mm")),
                InsertPlace.damageLines(file(), file().valve("1E"), BenchUnit.THOU),
                "a bare figure stays what it is at another bench");
        assertEquals(
                List.of(new PlaceLine("1I", "38.5mm", "34mm")),
                InsertPlace.neighbourLines(file(), file().valve("1E"), BenchUnit.THOU));
    }

    @Test
    void aPlaceIsCompleteOnceBoreFloorWallAndThroatAreKeyed() {
        for (Said s : List.of(Said.COUNTERBORE, Said.FLOOR, Said.THROAT)) {
            hand.size(ValveFile.place("1E", s), s == Said.COUNTERBORE ? "36" : s == Said.FLOOR ? "8" : "28");
        }
        assertTrue(InsertPlace.of(file(), file().valve("1E")).isEmpty());
        hand.size(ValveFile.place("1E", Said.WALL), "4");
        said("1E", Said.SIGNED, "thin strain");
        var asked = InsertPlace.of(file(), file().valve("1E")).orElseThrow();
        assertEquals(36, asked.counterbore(), 1e-9);
        assertEquals(33.0, asked.seatOuter(), 1e-9);
        assertEquals(2, asked.signed().size());
        assertFalse(asked.judged());
        said("1E", Said.SIGNED, "judged");
        said("1E", Said.OVERSTRAIN, "signed");
        asked = InsertPlace.of(file(), file().valve("1E")).orElseThrow();
        assertTrue(asked.judged());
        assertEquals(1, asked.signed().size());
        said("1E", Said.RUN_AT, "180");
        assertEquals(180, InsertPlace.runAt(file(), file().valve("1E")), 1e-9);
    }
}

package homalon.app.machining.valves;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.Parts;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.CutToCome;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.part.Material;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.seats.SeatPlan;
import homalon.core.valves.Measure;
import homalon.core.verdict.Verdict;
import homalon.core.visit.PartFile;
import homalon.core.visit.Said;
import homalon.core.visit.SeatPlans;
import homalon.core.visit.Sheet;
import homalon.core.visit.ValveFile;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What valves keep and refuse, and what they say to the route. */
@ExtendWith(RunningShop.class)
class ValvePagesTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final WorkOnValves work;

    ValvePagesTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.work = shop.bean(WorkOnValves.class);
    }

    private PartFile head(String... book) {
        PartFile part = hands.book(Material.ALUMINIUM);
        hands.prepare(part);
        setUp(part, book);
        return part;
    }

    private void setUp(PartFile part, String... book) {
        Map<String, String> form = new HashMap<>(
                Map.of("intake", "1", "exhaust", "1", "rows", "ONE", "source", "MAKER", "knurls", "true"));
        for (int i = 0; i < book.length; i += 2) {
            form.put(book[i], book[i + 1]);
        }
        work.setUp(part, UUID.randomUUID(), form, BenchUnit.MM, hands.ines());
    }

    private void key(PartFile part, String valve, Measure m, String typed, BenchUnit unit, boolean sure) {
        work.key(part, UUID.randomUUID(), valve, m, typed, unit, sure, hands.ines());
    }

    private ValveFile file(PartFile part) {
        return shop.bean(ValveFiles.class).require(part);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "E.TOP_ANGLE; 50; out of order",
                "E.THROAT_ANGLE; 40; out of order",
                "I.BOWL_ANGLE; 75; needs the diameter",
                "I.FACE_ANGLE; steep; key a number",
                "I.HEAD_DIAMETER; wide; not a length",
                "I.HEAD_DIAMETER; 900; that cannot be",
                "I.CLEARANCE_SERVICE; 0.02; must grow",
                "I.SPRING_HEIGHT; 40; free length",
                "intake; none; key a number",
                "rows; SEVEN; Choose one"
            })
    void aBookThatCannotBeIsRefusedInWords(String field, String typed, String says) {
        PartFile part = hands.book(Material.ALUMINIUM);
        BadInputException e = assertThrows(
                BadInputException.class,
                () -> setUp(
                        part,
                        "I.SPRING_FREE",
                        "38",
                        "I.SPRING_HEIGHT",
                        "36",
                        "I.CLEARANCE_MOST",
                        "0.05",
                        field,
                        typed));
        assertTrue(Words.of(e.sentence()).contains(says), Words.of(e.sentence()));
        assertTrue(shop.bean(Sheets.class).of(part, Sheet.VALVES).setup().isEmpty(), "nothing was kept");
    }

    /** One column, whatever the bench: fractions, thou, inches, millimetres. */
    @ParameterizedTest
    @CsvSource({
        "1-7/16, MM, 36.5125",
        "36.5125, MM, 36.5125",
        "1437.5th, MM, 36.5125",
        "1-7/16, THOU, 36.5125",
        "1.4375, THOU, 36.5125",
        "36.5125mm, THOU, 36.5125"
    })
    void sizesAreTakenAsTheyAreSaid(String typed, BenchUnit unit, double mm) {
        PartFile part = head();
        key(part, "2E", Measure.SEAT_OUTER, typed, unit, false);
        ValveFile file = file(part);
        assertEquals(mm, file.readings(file.valve("2E")).get(Measure.SEAT_OUTER), 1e-9);
        assertEquals(typed, file.sheet().standing().get("2E.SEAT_OUTER").typed());
    }

    @Test
    void readingsThatCannotBeAreRefusedAndOddOnesAskedAbout() {
        PartFile part = head();
        key(part, "1I", Measure.STEM_TOP, "7.96", BenchUnit.MM, false);
        assertThrows(
                BadInputException.class, () -> key(part, "1I", Measure.GUIDE_TOP_ALONG, "7.95", BenchUnit.MM, false));
        assertThrows(BadInputException.class, () -> key(part, "1I", Measure.RUNOUT, "-0.02", BenchUnit.MM, false));
        assertThrows(BadInputException.class, () -> key(part, "1I", Measure.LOOKS, "0", BenchUnit.MM, false));
        assertThrows(BadInputException.class, () -> key(part, "1I", Measure.VACUUM, "much", BenchUnit.MM, false));
        assertThrows(BadInputException.class, () -> key(part, "9I", Measure.VACUUM, "60", BenchUnit.MM, false));
        // A stem of another engine: asked about, and kept once it is said again.
        assertThrows(AskAgainException.class, () -> key(part, "2I", Measure.STEM_TOP, "11.9", BenchUnit.MM, false));
        key(part, "2I", Measure.STEM_TOP, "11.9", BenchUnit.MM, true);
        assertEquals(2, file(part).sheet().standing().size());
    }

    @Test
    void nothingThatWasReadIsLost() {
        PartFile part = head();
        key(part, "1E", Measure.RUNOUT, "0.09", BenchUnit.MM, false);
        key(part, "1E", Measure.RUNOUT, "0.03", BenchUnit.MM, false);
        UUID id = UUID.randomUUID();
        for (int twice = 0; twice < 2; twice++) {
            work.key(part, id, "1E", Measure.PITS, "0.05", BenchUnit.MM, false, hands.ines());
        }
        ValveFile file = file(part);
        assertEquals(3, file.sheet().history().size());
        assertEquals(0.03, file.readings(file.valve("1E")).get(Measure.RUNOUT));
    }

    private void sound(PartFile part, String valve, String top) {
        key(part, valve, Measure.STEM_TOP, "7.96", BenchUnit.MM, true);
        for (String at : List.of("MIDDLE", "BOTTOM", "TOP")) {
            String bore = at.equals("TOP") ? top : "8.01";
            key(part, valve, Measure.valueOf("GUIDE_" + at + "_ALONG"), bore, BenchUnit.MM, true);
            key(part, valve, Measure.valueOf("GUIDE_" + at + "_ACROSS"), bore, BenchUnit.MM, true);
        }
        key(part, valve, Measure.LOOKS, "1", BenchUnit.MM, true);
    }

    /** Done is done until it is read worn again; a guide that was bored takes its seat's truth with it. */
    @Test
    void workIsDueAgainWhenItIsReadSo() {
        PartFile part = head();
        sound(part, "1E", "8.12");
        assertEquals(ValveFile.Work.DUE, file(part).guide(file(part).valve("1E")));
        assertEquals(ValveFile.Work.NONE, file(part).seat(file(part).valve("1E")));
        say(part, "1E", Said.GUIDE, "LINER");
        say(part, "1E", Said.GUIDE_DONE, "LINER 8005000");
        ValveFile lined = file(part);
        assertEquals(ValveFile.Work.DONE, lined.guide(lined.valve("1E")));
        assertEquals(ValveFile.Work.DUE, lined.seat(lined.valve("1E")));
        say(part, "1E", Said.SEAT_DONE, "STONE 20000");
        assertEquals(ValveFile.Work.DONE, file(part).seat(file(part).valve("1E")));
        // Read again and good; then once more and worn.
        key(part, "1E", Measure.GUIDE_TOP_ALONG, "8.006", BenchUnit.MM, true);
        key(part, "1E", Measure.GUIDE_TOP_ACROSS, "8.006", BenchUnit.MM, true);
        assertEquals(ValveFile.Work.DONE, file(part).guide(file(part).valve("1E")));
        key(part, "1E", Measure.GUIDE_TOP_ACROSS, "8.13", BenchUnit.MM, true);
        assertEquals(ValveFile.Work.DUE, file(part).guide(file(part).valve("1E")));
        // A hone leaves the axis where it is.
        sound(part, "2I", "8.005");
        say(part, "2I", Said.GUIDE, "HONE");
        say(part, "2I", Said.GUIDE_DONE, "HONE 8007000");
        assertEquals(ValveFile.Work.NONE, file(part).seat(file(part).valve("2I")));
    }

    /** What was keyed at a bench in millimetres says so at one in thou, and stays as it is when the form is sent back unchanged. */
    @Test
    void aFormSentBackFromAnotherBenchChangesNothing() {
        PartFile part = head();
        say(part, "1E", Said.COUNTERBORE, "33.3");
        ValveFile file = file(part);
        String shown = file.shown(file.valve("1E"), Said.COUNTERBORE, BenchUnit.THOU);
        assertEquals("33.3 mm", shown);
        work.keep(part.tag(), UUID.randomUUID(), "1E", Map.of(Said.COUNTERBORE, shown), BenchUnit.THOU, hands.ines());
        assertEquals(1, file(part).sheet().history().size());
        assertEquals("33.3", file.shown(file.valve("1E"), Said.COUNTERBORE, BenchUnit.MM));
    }

    @Test
    void whoComesLaterIsToldAndDecides() {
        PartFile part = head();
        key(part, "1E", Measure.PITS, "0.05", BenchUnit.MM, false);
        ValveKeys keys = shop.bean(ValveKeys.class);
        UUID brannoc = shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Brannoc"))
                .findFirst()
                .orElseThrow()
                .id();
        ValveFile file = file(part);
        Keyed late = new Keyed(UUID.randomUUID(), "1E.PITS", "0.07", BenchUnit.MM, 0L, false);
        AskAgainException told = assertThrows(
                AskAgainException.class, () -> keys.key(file, file.valve("1E"), Measure.PITS, late, brannoc));
        assertTrue(told.getMessage().contains("0.05"), told.getMessage());
        long seen = file.sheet().standing().get("1E.PITS").seq();
        keys.key(
                file,
                file.valve("1E"),
                Measure.PITS,
                new Keyed(UUID.randomUUID(), "1E.PITS", "0.07", BenchUnit.MM, seen, false),
                brannoc);
        assertEquals(0.07, file(part).readings(file.valve("1E")).get(Measure.PITS));
    }

    /** A form that was refused leaves nothing behind, not even in what is remembered of the sheet. */
    @Test
    void aRefusedFormLeavesNothing() {
        PartFile part = head();
        for (String code : List.of("HI-33.4", "HI-34.0", "HI-34.6")) {
            assertThrows(
                    BadInputException.class,
                    () -> work.keep(
                            part,
                            UUID.randomUUID(),
                            "1E",
                            Map.of(Said.INSERT, code),
                            BenchUnit.MM,
                            hands.ines(),
                            (file, v) -> {
                                assertEquals(code, file.text(v, Said.INSERT).orElseThrow());
                                throw new BadInputException("code", Message.plain("does not pass"));
                            }));
            assertTrue(file(part).text(file(part).valve("1E"), Said.INSERT).isEmpty());
        }
        say(part, "1E", Said.INSERT, "PM-34.1");
        assertEquals(
                "PM-34.1", file(part).text(file(part).valve("1E"), Said.INSERT).orElseThrow());
    }

    /** What is chosen for one stands for all of its kind that are due, or, where it does not fit one of them, for none. */
    @Test
    void choosingForAllIsAllOrNone() {
        PartFile part = head();
        for (String v : List.of("1E", "2E", "3E")) {
            sound(part, v, "8.13");
        }
        sound(part, "4E", "8.01");
        say(part, "1E", Said.GUIDE, "LINER");
        WorkOnValves.Which due = (f, v) ->
                f.guide(v) == ValveFile.Work.DUE && f.text(v, Said.GUIDE).isEmpty();
        BadInputException none = assertThrows(
                BadInputException.class,
                () -> work.keepForAll(
                        part, UUID.randomUUID(), "1E", List.of(Said.GUIDE), due, BenchUnit.MM, hands.ines(), (f, v) -> {
                            if (v.key().equals("3E")) {
                                throw new BadInputException("rung", Message.plain("It does not fit."));
                            }
                        }));
        assertTrue(Words.of(none.sentence()).startsWith("3 exhaust: It does not fit."), Words.of(none.sentence()));
        assertTrue(file(part).text(file(part).valve("2E"), Said.GUIDE).isEmpty(), "2E was kept and given back");
        UUID id = UUID.randomUUID();
        work.keepForAll(part, id, "1E", List.of(Said.GUIDE), due, BenchUnit.MM, hands.ines(), (f, v) -> {});
        ValveFile kept = file(part);
        assertEquals("LINER", kept.text(kept.valve("2E"), Said.GUIDE).orElseThrow());
        assertEquals("LINER", kept.text(kept.valve("3E"), Said.GUIDE).orElseThrow());
        assertTrue(kept.text(kept.valve("4E"), Said.GUIDE).isEmpty(), "a good guide is left");
        assertTrue(kept.text(kept.valve("2I"), Said.GUIDE).isEmpty(), "nor is another kind's touched");
        BadInputException all = assertThrows(
                BadInputException.class,
                () -> work.keepForAll(
                        part,
                        UUID.randomUUID(),
                        "1E",
                        List.of(Said.GUIDE),
                        due,
                        BenchUnit.MM,
                        hands.ines(),
                        (f, v) -> {}));
        assertTrue(Words.of(all.sentence()).contains("No other"), Words.of(all.sentence()));
        assertTrue(Words.of(assertThrows(
                                BadInputException.class,
                                () -> work.keepForAll(
                                        part,
                                        UUID.randomUUID(),
                                        "4I",
                                        List.of(Said.GUIDE),
                                        due,
                                        BenchUnit.MM,
                                        hands.ines(),
                                        (f, v) -> {}))
                        .sentence())
                .contains("Choose it for this one first"));
    }

    /** Nearer to a limit than the gauges can tell, a valve waits for a name; read anew, for another. */
    @Test
    void whatLiesTooNearItsLimitIsAnsweredFor() {
        PartFile part = head();
        for (Valve v : file(part).valves()) {
            sound(part, v.key(), "8.01");
        }
        assertTrue(file(part).complete());
        String service = file(part).book(file(part).valve("1E")).guide().service() + "";
        for (Measure m : List.of(
                Measure.GUIDE_TOP_ALONG,
                Measure.GUIDE_TOP_ACROSS,
                Measure.GUIDE_MIDDLE_ALONG,
                Measure.GUIDE_MIDDLE_ACROSS,
                Measure.GUIDE_BOTTOM_ALONG,
                Measure.GUIDE_BOTTOM_ACROSS)) {
            key(
                    part,
                    "1E",
                    m,
                    new BigDecimal(service).add(new BigDecimal("7.958")).toPlainString(),
                    BenchUnit.MM,
                    true);
        }
        ValveFile near = file(part);
        assertEquals(ValveFile.Work.NONE, near.guide(near.valve("1E")), "nothing is proven worn");
        assertFalse(near.complete());
        ValveViews views = shop.bean(ValveViews.class);
        ValveView open = views.of(near, Measure.Walk.STEMS, new LengthWriter(BenchUnit.MM));
        assertEquals("Not proven yet", open.words());
        assertTrue(open.sentence().startsWith("One valve lies too near a limit to tell"), open.sentence());
        work.answer(part, UUID.randomUUID(), BenchUnit.MM, hands.ines());
        ValveFile signed = file(part);
        assertTrue(signed.complete() && !signed.signedByFeel(signed.valve("1E")));
        assertEquals(
                "Signed for, 1 near a limit",
                views.of(signed, Measure.Walk.STEMS, new LengthWriter(BenchUnit.MM))
                        .words());
        String said = shop.bean(ValveReport.class)
                .of(part, new LengthWriter(BenchUnit.MM))
                .orElseThrow()
                .said()
                .toString();
        assertTrue(said.contains("Signed for, not proven") && said.contains("can tell: 1E."), said);
        key(part, "1E", Measure.STEM_TOP, "7.96", BenchUnit.MM, true);
        assertTrue(file(part).mayBeSigned(file(part).valve("1E")), "read anew, it wants a name again");
    }

    /** Felt and found good, a guide is not proven; once somebody answers for it the valves are done, and the report says how. */
    @Test
    void guidesByFeelAreSignedAndNeverProven() {
        PartFile part = head();
        for (Valve v : file(part).valves()) {
            if (!v.key().equals("1E")) {
                sound(part, v.key(), "8.01");
            }
        }
        key(part, "1E", Measure.LOOKS, "1", BenchUnit.MM, true);
        assertThrows(
                BadInputException.class,
                () -> work.answer(part, UUID.randomUUID(), BenchUnit.MM, hands.ines()),
                "nothing was felt");
        for (String no : List.of("3", "0", "1.5")) {
            assertThrows(BadInputException.class, () -> key(part, "1E", Measure.FEEL, no, BenchUnit.MM, true), no);
        }
        key(part, "1E", Measure.FEEL, "1", BenchUnit.MM, true);
        ValveFile felt = file(part);
        assertFalse(felt.complete() || felt.settled(felt.valve("1E")));
        work.answer(part, UUID.randomUUID(), BenchUnit.MM, hands.ines());
        ValveFile signed = file(part);
        assertTrue(signed.complete() && signed.signedByFeel(signed.valve("1E")));
        assertEquals(Verdict.NOT_PROVEN, signed.finding(signed.valve("1E")).verdict(), "a name proves nothing");
        String said = shop.bean(ValveReport.class)
                .of(part, new LengthWriter(BenchUnit.MM))
                .orElseThrow()
                .said()
                .toString();
        assertTrue(said.contains("One guide was judged by feel and signed for, not measured"), said);
        // Felt anew and found to rock, the name stands for nothing.
        key(part, "1E", Measure.FEEL, "2", BenchUnit.MM, true);
        assertFalse(file(part).complete());
    }

    /** A new ring has no seat yet: nothing of the old one is planned from, and its valve is to stand as the others of its kind. */
    @Test
    void aSeatInANewRingIsCutFromNothing() {
        PartFile part = head("E.HEAD_DIAMETER", "29");
        for (String v : List.of("1E", "2E")) {
            sound(part, v, "8.01");
            key(part, v, Measure.SEAT_OUTER, "28.4", BenchUnit.MM, true);
            key(part, v, Measure.SEAT_INNER, "26.1", BenchUnit.MM, true);
            key(part, v, Measure.RECESSION, v.equals("1E") ? "0.3" : "0.9", BenchUnit.MM, true);
        }
        ValveFile before = file(part);
        assertTrue(new SeatPlans(before, Length.ZERO)
                .alone(before.valve("2E"), SeatPlan.Way.STONE)
                .isPresent());
        say(part, "2E", Said.INSERT, "PM-34.1");
        say(part, "2E", Said.INSERT_DONE, "PM-34.1 34000000 34110000");
        ValveFile ringed = file(part);
        SeatPlans plans = new SeatPlans(ringed, Length.ZERO);
        assertTrue(ringed.bareRing(ringed.valve("2E")) && !ringed.bareRing(ringed.valve("1E")));
        assertEquals(ValveFile.Work.DUE, ringed.seat(ringed.valve("2E")));
        assertTrue(plans.alone(ringed.valve("2E"), SeatPlan.Way.STONE).isEmpty(), "the old edges say nothing");
        assertEquals(
                0.3, plans.standsAt(ringed.valve("2E")).orElseThrow(), 1e-9, "as the other exhaust, not as it was");
        key(part, "2E", Measure.SEAT_OUTER, "28.5", BenchUnit.MM, true);
        assertFalse(file(part).bareRing(file(part).valve("2E")), "read anew, it is a seat");
    }

    private void say(PartFile part, String valve, Said what, String typed) {
        work.keep(part.tag(), UUID.randomUUID(), valve, Map.of(what, typed), BenchUnit.MM, hands.ines());
    }

    /** The same casting in thou and in millimetres says the same; every row of the table is a valve of the drawing. */
    @Test
    void thePageHoldsEveryValveInEitherUnit() {
        PartFile crab = shop.bean(Parts.class).byTag("T-0446");
        for (BenchUnit unit : BenchUnit.values()) {
            ValveView view = shop.bean(ValveViews.class).of(file(crab), Measure.Walk.SEATS, new LengthWriter(unit));
            assertEquals(16, count(view.drawing(), "class=\"valve-sign"));
            assertEquals(16, count(view.table(), "data-valve-row"));
            assertEquals(32, count(view.walk(), "data-place"));
            assertEquals("8 of 16 out", view.words());
            assertEquals(8, count(view.drawing(), "valve-sign out"));
        }
    }

    private static int count(String text, String what) {
        return text.split(java.util.regex.Pattern.quote(what), -1).length - 1;
    }

    /** The deck of a side-valve block is still to be cut: the guide is set deeper by as much, and comes to what was wanted. */
    @Test
    void guideHeightAllowsForTheCutToCome() {
        PartFile barge = shop.bean(Parts.class).byTag("T-0447");
        Length toCut = shop.bean(CutToCome.class).of(barge);
        assertTrue(toCut.signum() > 0);
        GuideView view = shop.bean(GuideViews.class).of(file(barge), "2E", toCut, new LengthWriter(BenchUnit.MM));
        String set = GuideViews.size(38.4 + toCut.mm(), new LengthWriter(BenchUnit.MM));
        assertTrue(view.height().startsWith("Set it " + set + " below the deck"), view.height());
        assertEquals(
                4,
                ValveFile.of(barge, file(barge).sheet(), Layout.of(barge.numbers()))
                        .valves()
                        .size());
    }
}

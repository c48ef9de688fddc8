package homalon.app.machining.chambers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.RoomSource;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.FillState;
import homalon.core.chambers.OpeningArea;
import homalon.core.cut.Budget;
import homalon.core.cut.ChamberNow;
import homalon.core.cut.Outlook;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.WhatIf;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.rulebook.Source;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.EngineForm;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What chambers keep and refuse, and what the budget makes of it. */
@ExtendWith(RunningShop.class)
class ChamberPagesTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final WorkOnChambers work;

    ChamberPagesTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.work = shop.bean(WorkOnChambers.class);
    }

    private static Map<String, String> form(String... figures) {
        Map<String, String> form = new HashMap<>(Map.of("drive", "CHAIN_OR_BELT", "crown", "FLAT", "rods", "IRON"));
        for (int i = 0; i < figures.length; i += 2) {
            form.put(figures[i], figures[i + 1]);
        }
        return form;
    }

    private void engine(PartFile part, BenchUnit unit, String... figures) {
        work.engine(part, UUID.randomUUID(), form(figures), unit, hands.ines());
    }

    private PartFile head(String... figures) {
        PartFile part = hands.book(Material.ALUMINIUM);
        hands.prepare(part);
        engine(part, BenchUnit.MM, figures);
        return part;
    }

    private void fill(PartFile part, FillState state, int cylinder, int number, String typed, boolean sure) {
        work.fill(
                part,
                state,
                Length.ZERO,
                cylinder,
                number,
                new Keyed(UUID.randomUUID(), "", typed, BenchUnit.MM, 0L, sure),
                hands.ines());
    }

    private void fillAll(PartFile part, FillState state, double... cc) {
        for (int i = 0; i < cc.length; i++) {
            fill(part, state, i + 1, 1, Double.toString(cc[i]), true);
            fill(part, state, i + 1, 2, Double.toString(cc[i]), true);
        }
    }

    private ChamberFile file(PartFile part) {
        return shop.bean(ChamberFiles.class).of(part);
    }

    private Outlook outlook(PartFile part, WhatIf whatIf) {
        return shop.bean(OutlookSource.class).of(file(part), whatIf);
    }

    private void pass(PartFile part, String mm) {
        shop.bean(Ledgers.class)
                .pass(
                        part,
                        UUID.randomUUID(),
                        Length.ofMm(mm),
                        Optional.empty(),
                        Ledgers.Notes.NONE,
                        Optional.empty(),
                        hands.ines());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "STROKE; long; not a length",
                "STROKE; 5; key from 10 mm",
                "CROWN; 4 gills; is not its unit",
                "RATIO_MOST; 60; key from 2.00",
                "GASKET_BORE; 60; smaller than the bore",
                "depths; 0.01; up to four depths",
                "drive; STEAM; Choose one"
            })
    void figuresThatCannotBeAreRefusedInWords(String field, String typed, String says) {
        PartFile part = hands.book(Material.ALUMINIUM);
        BadInputException e = assertThrows(
                BadInputException.class, () -> engine(part, BenchUnit.MM, "BORE", "84", "GASKET", "1.2", field, typed));
        assertTrue(Words.of(e.sentence()).contains(says), Words.of(e.sentence()));
        assertTrue(shop.bean(Sheets.class).of(part, Sheet.CHAMBERS).standing().isEmpty(), "nothing was kept");
    }

    /** Keyed at one bench and shown at another, a figure means the same and is kept as it was. */
    @Test
    void aFormKeepsWhatChangedAndNoMore() {
        PartFile part = hands.book(Material.ALUMINIUM);
        engine(
                part,
                BenchUnit.THOU,
                "STROKE",
                "3.15",
                "GASKET",
                "40",
                "RATIO_MOST",
                "9.8",
                "RATIO_MOST.source",
                "OWNER");
        ChamberFile file = file(part);
        assertEquals(80.01, file.book().value(EngineItem.STROKE), 1e-9);
        assertEquals(1.016, file.book().value(EngineItem.GASKET), 1e-9);
        assertEquals(
                Source.OWNER,
                file.book().entry(EngineItem.RATIO_MOST).orElseThrow().source());
        assertEquals("3.15 in", EngineForm.shown(file, EngineItem.STROKE, BenchUnit.MM));
        assertEquals("40 th", EngineForm.shown(file, EngineItem.GASKET, BenchUnit.MM));
        int lines = file.sheet().history().size();
        engine(
                part,
                BenchUnit.MM,
                "STROKE",
                "3.15 in",
                "GASKET",
                "40 th",
                "RATIO_MOST",
                "9.8",
                "RATIO_MOST.source",
                "OWNER");
        assertEquals(lines, file(part).sheet().history().size(), "nothing changed");
        engine(part, BenchUnit.MM, "STROKE", "3.15 in", "RATIO_MOST", "9.8", "RATIO_MOST.source", "RULES");
        assertEquals(lines + 2, file(part).sheet().history().size(), "one taken back, one source changed");
        assertFalse(file(part).book().has(EngineItem.GASKET));
    }

    /** A form that was open while somebody else keyed a figure does not take it back unasked. */
    @Test
    void aFormDrawnBeforeSomebodyElsesFigureIsTold() {
        PartFile part = head("STROKE", "80");
        String seen = Long.toString(file(part).sheet().last());
        UUID brannoc = shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Brannoc"))
                .findFirst()
                .orElseThrow()
                .id();
        work.engine(part, UUID.randomUUID(), form("STROKE", "80", "THINNEST", "100.2"), BenchUnit.MM, brannoc);
        BadInputException e = assertThrows(
                BadInputException.class, () -> engine(part, BenchUnit.MM, "STROKE", "80", "DECK", "0.2", "seen", seen));
        assertTrue(Words.of(e.sentence()).contains("Somebody keyed 100.2 meanwhile"), Words.of(e.sentence()));
        assertTrue(file(part).book().has(EngineItem.THINNEST));
        assertFalse(file(part).book().has(EngineItem.DECK), "nothing of it was kept");
        String now = Long.toString(file(part).sheet().last());
        engine(part, BenchUnit.MM, "STROKE", "80", "THINNEST", "100.1", "seen", now);
        assertEquals(100.1, file(part).book().value(EngineItem.THINNEST), 1e-9);
    }

    @Test
    void oddFillsAskAndTwoHandsAreTold() {
        PartFile part = head();
        fillAll(part, FillState.AS_CAME, 44, 44.2);
        assertThrows(AskAgainException.class, () -> fill(part, FillState.AS_CAME, 3, 1, "61", false));
        fill(part, FillState.AS_CAME, 3, 1, "61", true);
        UUID brannoc = shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Brannoc"))
                .findFirst()
                .orElseThrow()
                .id();
        Keyed his = new Keyed(UUID.randomUUID(), "", "44.1", BenchUnit.MM, 0L, false);
        AskAgainException e = assertThrows(
                AskAgainException.class, () -> work.fill(part, FillState.AS_CAME, Length.ZERO, 1, 1, his, brannoc));
        assertTrue(e.getMessage().contains("Ines keyed 44"), e.getMessage());
        BadInputException deeper = assertThrows(
                BadInputException.class,
                () -> work.fill(
                        part,
                        FillState.AS_CAME,
                        Length.ofMm("1"),
                        1,
                        1,
                        new Keyed(UUID.randomUUID(), "", "45", BenchUnit.MM, 0L, true),
                        hands.ines()));
        assertTrue(Words.of(deeper.sentence()).contains("must hold less"), Words.of(deeper.sentence()));
    }

    /** What was measured before a cut has lost the cut since; what was measured after it has not. */
    @Test
    void aCutWearsWhatWasMeasuredBeforeIt() {
        PartFile part = head("THINNEST", "100.3", "THICKNESS_LEAST", "100", "EXHAUST_ROOM", "3");
        fillAll(part, FillState.AS_CAME, 44, 44, 44, 44);
        assertEquals(0.3, room(part, Budget.Kind.THICKNESS), 1e-9);
        pass(part, "0.1");
        assertEquals(0.2, room(part, Budget.Kind.THICKNESS), 1e-9);
        assertEquals(0.9, room(part, Budget.Kind.EXHAUST), 1e-9, "3 less 0.1 less 2 at the least");
        Outlook.Each one = outlook(part, WhatIf.NOTHING).each().get(0);
        assertEquals(0.1, one.chamber().cutSince(), 1e-9);
        assertEquals(
                44 - 0.1 * one.chamber().opening().mm2() / 1000, one.chamber().nowCc(), 1e-9);
        engine(part, BenchUnit.MM, "THINNEST", "100.2", "THICKNESS_LEAST", "100", "EXHAUST_ROOM", "3");
        assertEquals(0.2, room(part, Budget.Kind.THICKNESS), 1e-9, "measured anew after the cut");
        fillAll(part, FillState.CUT, 43.5, 43.5, 43.5, 43.5);
        assertEquals(0, outlook(part, WhatIf.NOTHING).each().get(0).chamber().cutSince());
    }

    private double room(PartFile part, Budget.Kind kind) {
        return outlook(part, WhatIf.NOTHING).budgets().all().stream()
                .filter(b -> b.kind() == kind)
                .findFirst()
                .orElseThrow()
                .room();
    }

    /** Two fills with a deep cut between tell the opening better than the drawing does. */
    @Test
    void aDeepCutBetweenTwoFillsTellsTheOpening() {
        PartFile part = head();
        fillAll(part, FillState.AS_CAME, 50, 50, 50, 50);
        for (int i = 0; i < 2; i++) {
            pass(part, "1.9");
        }
        fillAll(part, FillState.CUT, 33, 33, 33, 33);
        OpeningArea area = outlook(part, WhatIf.NOTHING).each().get(0).chamber().opening();
        assertEquals(OpeningArea.Way.CUT_BETWEEN, area.way());
        assertEquals(17 / 3.8 * 1000, area.mm2(), 1e-6);
    }

    /** A face that was read hollow: the middle chambers lose less than the dial says, the end ones nearly all of it. */
    @Test
    void eachChamberHasItsOwnCut() {
        PartFile part = hands.book(Material.ALUMINIUM);
        double length = part.numbers().length().mm();
        hands.read(part, SurveyKind.FACE, s -> 0.1 * Math.pow(2 * s.x() / length - 1, 2));
        engine(part, BenchUnit.MM);
        fillAll(part, FillState.AS_CAME, 44, 44, 44, 44);
        List<Outlook.Each> each = outlook(part, WhatIf.NOTHING.withCut(0.1)).each();
        assertTrue(
                each.get(0).rim() > 0.04 && each.get(1).rim() < 0.02,
                each.get(0).rim() + " " + each.get(1).rim());
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        assertTrue(outlook(part, WhatIf.NOTHING).question().need().orElseThrow().toCome() > 0.09);
    }

    /** Seats that are still to be made set the valves deeper: the chambers grow by that, and the shallowest valve counts. */
    @Test
    void seatWorkToComeCountsWithTheCut() {
        PartFile part = head(
                "STROKE",
                "80",
                "GASKET",
                "1.2",
                "GASKET_BORE",
                "86",
                "DECK",
                "0",
                "CROWN",
                "0",
                "RECESSION_LEAST",
                "0.5");
        Map<String, String> lie = new HashMap<>(
                Map.of("intake", "1", "exhaust", "1", "rows", "ONE", "source", "MAKER", "knurls", "true"));
        lie.put("I.HEAD_DIAMETER", "36");
        lie.put("E.HEAD_DIAMETER", "31");
        shop.bean(homalon.app.machining.valves.WorkOnValves.class)
                .setUp(part, UUID.randomUUID(), lie, BenchUnit.MM, hands.ines());
        fillAll(part, FillState.AS_CAME, 44, 44, 44, 44);
        assertEquals(0, outlook(part, WhatIf.NOTHING).each().get(0).chamber().seatsCc());
        for (String v : List.of("1I", "1E")) {
            hands.valve(part, v, "SEAT_OUTER", v.endsWith("I") ? "35" : "30");
            hands.valve(part, v, "SEAT_INNER", v.endsWith("I") ? "32.4" : "27.2");
            hands.valve(part, v, "RUNOUT", "0.03");
            hands.valve(part, v, "PITS", "0.2");
            hands.valve(part, v, "RECESSION", v.endsWith("I") ? "0.9" : "0.7");
        }
        Outlook.Each one = outlook(part, WhatIf.NOTHING.withCut(0.1)).each().get(0);
        assertTrue(
                one.chamber().seatsCc() > 0.3,
                "two pitted seats: " + one.chamber().seatsCc());
        assertTrue(one.seats().orElseThrow().ratio() < one.now().orElseThrow().ratio());
        assertEquals(
                Math.PI / 4 * (36 * 36 + 31 * 31),
                one.chamber().valveArea(),
                1e-9,
                "what sinking them by 1 mm would add");
        assertEquals(0.2, room(part, Budget.Kind.RECESSION), 1e-9, "the exhaust lies shallowest");
        assertEquals(0, outlook(part, WhatIf.NOTHING).each().get(1).chamber().seatsCc());
    }

    /** A cut makes the chambers owed again; filled after it, they are done. */
    @Test
    void theRouteOwesTheFillingAfterTheCut() {
        PartFile part = head();
        assertFalse(open(part), "figures of the engine alone ask for no filling");
        fill(part, FillState.AS_CAME, 1, 1, "44", true);
        assertTrue(open(part));
        fillAll(part, FillState.AS_CAME, 44, 44, 44, 44);
        assertFalse(open(part));
        hands.read(
                part,
                SurveyKind.FACE,
                s -> 0.1 * Math.pow(2 * s.x() / part.numbers().length().mm() - 1, 2));
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        for (int i = 0; i < 4; i++) {
            pass(part, "0.05");
        }
        assertTrue(open(part));
        fillAll(part, FillState.CUT, 43.5, 43.5, 43.5, 43.5);
        assertFalse(open(part));
    }

    private boolean open(PartFile part) {
        return shop.bean(PartShells.class)
                .standing(part, new LengthWriter(BenchUnit.MM))
                .route()
                .open(Operation.CHAMBER_FILL)
                .filter(s -> s.state() == homalon.core.route.Route.State.DUE)
                .isPresent();
    }

    @Test
    void aBlockIsCutUnderItsOwnBudgets() {
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        engine(
                deck,
                BenchUnit.MM,
                "GASKET",
                "1.2",
                "DECK",
                "0.1",
                "STROKE",
                "90",
                "GASKET_BORE",
                "86",
                "CROWN",
                "0",
                "CHAMBER",
                "50");
        Outlook now = outlook(deck, WhatIf.NOTHING.withCut(0.2));
        assertEquals(Budget.Kind.SQUEEZE, now.budgets().binding().orElseThrow().kind());
        assertEquals(0.3, now.budgets().mayComeOff().orElseThrow(), 1e-9);
        assertEquals(ChamberNow.Basis.TOLD, now.each().get(0).chamber().basis());
        assertEquals(50, now.each().get(0).thenCc(), "a block cut leaves the chamber as it is");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "budget?cut=abc; 422; is not a length",
                "budget?cut=-1; 422; key 0 to 10 mm",
                "budget?cut=400; 422; key 0 to 10 mm",
                "budget?wish=RATIO&wanted=0.5; 422; above 1",
                "budget?wish=RATIO&wanted=nine; 422; such as 9.5",
                "budget?wish=CLASS; 422; Key the class",
                "budget?wish=GOLD; 422; Choose one of what is offered",
                "budget?gasket=99; 422; key from 0.050 mm",
                "budget/live?cut=9e9; 422; is not a length",
                "chambers?of=sideways; 422; no such walk",
                "chambers?state=MELTED; 200; To the brim"
            })
    void badAddressesAreAnsweredInWords(String path, int status, String says) {
        PartFile part = head("STROKE", "80", "GASKET", "1.2", "GASKET_BORE", "86", "DECK", "0", "CROWN", "0");
        fillAll(part, FillState.AS_CAME, 44, 44, 44, 44);
        HttpResponse<String> answer = Visitor.signedIn(shop.port(), "ines").get("/parts/" + part.tag() + "/" + path);
        assertEquals(status, answer.statusCode(), answer.body());
        assertTrue(answer.body().contains(says), answer.body());
    }

    @Test
    void theDeskReadsButDoesNotFill() {
        PartFile part = head();
        Visitor desk = Visitor.signedIn(shop.port(), "desk");
        assertEquals(200, desk.get("/parts/" + part.tag() + "/budget").statusCode());
        HttpResponse<String> answer = desk.key(
                "/parts/" + part.tag() + "/chambers/readings/brim/AS_CAME",
                "id",
                UUID.randomUUID().toString(),
                "place",
                "f.AS_CAME.0.1.1",
                "typed",
                "44",
                "unit",
                "MM");
        assertEquals(403, answer.statusCode());
        assertTrue(file(part).sheet().standing().isEmpty());
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        HttpResponse<String> nowhere = ines.key(
                "/parts/" + part.tag() + "/chambers/readings/brim/AS_CAME",
                "id",
                UUID.randomUUID().toString(),
                "place",
                "f.AS_CAME.0.9.1",
                "typed",
                "44",
                "unit",
                "MM");
        assertEquals(422, nowhere.statusCode());
        assertTrue(nowhere.body().contains("not on this sheet"), nowhere.body());
    }

    /** The stories that the sample shop tells hold in the figures. */
    @Test
    void theSampleShopTellsItsStories() {
        Parts parts = shop.bean(Parts.class);
        Outlook ice = outlook(parts.byTag("T-0452"), WhatIf.NOTHING);
        assertFalse(ice.budgets().enough());
        assertEquals(
                Budget.Kind.THICKNESS, ice.budgets().binding().orElseThrow().kind());
        PartFile mail = parts.byTag("T-0450");
        ChamberReport.Chambers said = shop.bean(ChamberReport.class)
                .of(mail, new LengthWriter(BenchUnit.MM))
                .orElseThrow();
        assertTrue(
                said.said().get(1).contains("thicker than before"), said.said().toString());
        assertTrue(
                said.fitter().stream().anyMatch(f -> f.contains("pushrods")),
                said.fitter().toString());
        Outlook skiff = outlook(parts.byTag("T-0451"), WhatIf.NOTHING);
        assertEquals(
                Budget.Kind.CLASS_CC, skiff.budgets().binding().orElseThrow().kind());
        assertTrue(skiff.each().get(0).chamber().depths().isPresent());
    }

    /** Thin already: no gasket mends that. Squeezed already: another gasket may. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "THINNEST; 89.9; THICKNESS_LEAST; 90; Thickness is over already; That metal is gone",
                "DECK; -0.5; SQUEEZE_LEAST; 1; Piston to head is over already; Another gasket"
            })
    void whatIsOverBeforeTheCutIsTheHeadlineAndSaysWhatMendsIt(
            String measured, String value, String limit, String least, String words, String sentence) {
        PartFile part = head("GASKET", "1.2", measured, value, limit, least);
        RoomSource.Room room = shop.bean(RoomSource.class)
                .of(part, 0.05, new LengthWriter(BenchUnit.MM))
                .orElseThrow();
        assertEquals("out", room.style());
        assertEquals(words, room.words());
        assertTrue(room.sentence().contains(sentence), room.sentence());
    }
}

package homalon.app.machining.chambers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.PartShells;
import homalon.app.testing.RunningShop;
import homalon.core.chambers.FillState;
import homalon.core.chambers.OpeningArea;
import homalon.core.cut.Budget;
import homalon.core.cut.ChamberNow;
import homalon.core.cut.Outlook;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.WhatIf;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a cut does to chambers that were filled, and to what may still come off. */
@ExtendWith(RunningShop.class)
class CutAtChambersTest extends ChamberTests {
    CutAtChambersTest(RunningShop.Shop shop) {
        super(shop);
    }

    /** What was measured before a cut has lost the cut since; what was measured after it has not. */
    @Test
    void aCutWearsWhatWasMeasuredBeforeIt() {
        PartFile part = head("THINNEST", "100.3", "THICKNESS_LEAST", "100", "EXHAUST_ROOM", "3");
        fillAll(part, FillState.AS_CAME, 44, 44, 44, 44);
        assertEquals(0.3, room(part, Budget.Kind.THICKNESS), 1e-9);
        hands.pass(part, "0.1");
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
            hands.pass(part, "1.9");
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
            hands.pass(part, "0.05");
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
}

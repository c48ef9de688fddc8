package homalon.app.outcome.life;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Parts;
import homalon.app.shop.stock.Need;
import homalon.app.shop.stock.Orders;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.SetUpMethod;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A casting that came twice: both visits are on its page, each as it was. */
@ExtendWith(RunningShop.class)
class LifeTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final LifeViews views;
    private final Visitor marit;

    LifeTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.views = shop.bean(LifeViews.class);
        this.marit = Visitor.signedIn(shop.port(), "marit");
    }

    private PartFile again(PartFile part) {
        return shop.bean(Parts.class).byTag(part.tag());
    }

    private void handOver(PartFile part) {
        assertEquals(
                302,
                marit.post("/parts/" + part.tag() + "/report", "note", "fetched early")
                        .statusCode());
    }

    private void comeBack(PartFile part) {
        assertEquals(
                302,
                marit.post("/parts/" + part.tag() + "/come-back", "history", "boiled over", "wishes", "make it flat")
                        .statusCode());
    }

    /** Hollow by so much along its length, mm. */
    private void read(PartFile part, double hollow) {
        hands.read(part, SurveyKind.FACE, s -> hollow * Math.pow(s.x() / 200 - 1, 2));
    }

    private LifeView life(PartFile part) {
        return views.of(again(part), "", "", new LengthWriter(BenchUnit.MM));
    }

    @Test
    void aCastingOnItsFirstVisitHasOneStayAndNothingToCompare() {
        PartFile part = hands.book(Material.CAST_IRON);
        LifeView life = life(part);
        assertEquals(1, life.stays().size());
        assertTrue(life.stays().get(0).present());
        assertTrue(life.compared().isEmpty());
        assertEquals(List.of(), life.metal().parts(), "nothing is off and no limit is known: no bar is drawn full");
        assertTrue(life.metal().said().get(1).startsWith("What may still come off is not known"));
        String page = marit.get("/parts/" + part.tag() + "/life").body();
        assertTrue(page.contains("Its face was not read with an indicator on arrival."));
        assertTrue(page.contains("No face of it was read"));
    }

    @Test
    void bothVisitsStandThereEachWithItsOwnFaceAndCut() {
        PartFile part = hands.book(Material.CAST_IRON);
        read(part, 0.12);
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        hands.pass(again(part), "0.08");
        handOver(part);
        comeBack(part);
        read(again(part), 0.01);

        LifeView life = life(part);
        assertEquals(2, life.stays().size());
        LifeView.Stay first = life.stays().get(0);
        LifeView.Stay second = life.stays().get(1);
        assertFalse(first.present());
        assertTrue(second.present());
        assertTrue(first.came().orElseThrow().words().startsWith("Out"), first.toString());
        assertFalse(second.came().orElseThrow().words().startsWith("Out"), second.toString());
        assertEquals("fetched early", first.note());
        assertTrue(first.off().startsWith("0.080"), first.off());
        assertEquals("Nothing came off its face.", second.off());
        assertEquals("make it flat", second.wanted());
        LifeView.Part bar = life.metal().parts().get(0);
        assertEquals("visit 1", bar.name());
        assertEquals(1000, bar.share(), 1e-6);

        LifeView.Compared compared = life.compared().orElseThrow();
        assertEquals("1-came", compared.then().id());
        assertEquals("2-came", compared.now().id());
        assertTrue(compared.change().orElseThrow().words().startsWith("It sank most at "), "ends that stood proud");

        String at = "/parts/" + part.tag();
        String page = marit.get(at + "/life").body();
        assertTrue(page.contains("fill-rust"), "the bar is drawn");
        assertTrue(page.contains("What changed between them"));
        String then = marit.get(at + "/visits/1").body();
        assertTrue(then.contains("As it was handed over"));
        assertTrue(then.contains("The face on arrival"), "the whole report of that day");
        assertEquals(302, marit.get(at + "/visits/2").statusCode(), "the one in hand has its own page");
        assertEquals(404, marit.get(at + "/visits/3").statusCode());
        assertEquals(400, marit.get(at + "/visits/first").statusCode());
    }

    @Test
    void theTwoThatAreAskedForStandBesideEachOther() {
        PartFile part = hands.book(Material.CAST_IRON);
        read(part, 0.05);
        handOver(part);
        comeBack(part);
        read(again(part), 0.09);
        LifeView same = views.of(again(part), "2-came", "2-came", new LengthWriter(BenchUnit.THOU));
        assertEquals("2-came", same.compared().orElseThrow().then().id());
        assertTrue(same.compared().orElseThrow().change().orElseThrow().words().startsWith("No place changed"));
        LifeView unknown = views.of(again(part), "9-came", "nonsense", new LengthWriter(BenchUnit.MM));
        assertEquals("1-came", unknown.compared().orElseThrow().then().id());
        assertEquals("2-came", unknown.compared().orElseThrow().now().id());
    }

    @Test
    void whatIsTakenBackIsNotOff() {
        PartFile part = hands.book(Material.CAST_IRON);
        read(part, 0.12);
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        hands.pass(again(part), "0.08");
        assertEquals(1, life(part).metal().parts().size());
        shop.bean(Ledgers.class).reverseLast(again(part), UUID.randomUUID(), "not cut after all", hands.ines());
        assertEquals(List.of(), life(part).metal().parts());
        assertEquals("Nothing came off its face.", life(part).stays().get(0).off());
    }

    @Test
    void theDeskSeesItToo() {
        PartFile part = hands.book(Material.ALUMINIUM);
        Visitor desk = Visitor.signedIn(shop.port(), "desk");
        assertEquals(200, desk.get("/parts/" + part.tag() + "/life").statusCode());
    }

    /** Two of four are here: two were fitted. What was ordered and never came is not told, nor what came on another visit. */
    @Test
    void whatCameForAVisitIsToldOfIt() {
        PartFile part = hands.book(Material.CAST_IRON);
        read(part, 0.08);
        Orders orders = shop.bean(Orders.class);
        UUID rings = UUID.randomUUID();
        Need four = new Need("HI-34.0", "hard iron ring", 4, Operation.INSERT, List.of());
        orders.order(part, rings, four, Optional.empty(), hands.ines());
        Need rod = new Need("", "bronze rod", 1, Operation.GUIDE_WORK, List.of());
        orders.order(part, UUID.randomUUID(), rod, Optional.empty(), hands.ines());
        orders.arrived(part, UUID.randomUUID(), rings, 2, "", hands.ines());
        assertEquals(
                List.of("2 × HI-34.0 hard iron ring, for seat insert"),
                life(part).stays().get(0).fitted());
        String page = marit.get("/parts/" + part.tag() + "/life").body();
        assertTrue(page.contains("Came for it: 2 × HI-34.0 hard iron ring"), page);
        assertTrue(page.contains("stay-1-face"), "the face as it was read stands beside its words");
        handOver(part);
        comeBack(part);
        assertEquals(List.of(), life(part).stays().get(1).fitted());
    }
}

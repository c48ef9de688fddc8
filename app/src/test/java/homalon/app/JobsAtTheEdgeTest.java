package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.Parts;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.machining.chambers.WorkOnChambers;
import homalon.app.machining.cut.RoomSource;
import homalon.app.shop.stock.Need;
import homalon.app.shop.stock.Orders;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.SetUpMethod;
import homalon.core.part.Layout;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whole jobs that wait for a part, have two of a thing, or are held to a rule. */
@ExtendWith(RunningShop.class)
class JobsAtTheEdgeTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final Visitor ines;

    JobsAtTheEdgeTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private void line(String path, String name) {
        HttpResponse<String> set = ines.post(
                path + "/set-up",
                "id",
                id(),
                "name",
                name,
                "at",
                "0 96 192",
                "clearance",
                "0.06",
                "running",
                "0.03",
                "way",
                "INDICATOR");
        assertEquals(302, set.statusCode(), set.body());
    }

    private String key(String path, String prefix, String... heights) {
        String body = "";
        for (int i = 0; i < heights.length; i++) {
            body = ines.key(
                            path + "/readings",
                            "id",
                            id(),
                            "place",
                            prefix + "h" + i,
                            "typed",
                            heights[i],
                            "unit",
                            "MM")
                    .body();
        }
        return body;
    }

    /** Two cams, one of which binds: keying the second hides nothing of the first, and the head does not leave. */
    @Test
    void aHeadWithOneBoundCam() {
        PartFile head = hands.bookReady();
        hands.read(head, SurveyKind.FACE, s -> 0);
        String part = "/parts/" + head.tag();
        line(part + "/line", "Exhaust cam");
        String bound = key(part + "/line", "", "0", "0.1", "0");
        assertTrue(bound.contains("Binds by 0.040 mm"), bound);
        line(part + "/line", "Intake cam");
        String both = key(part + "/line", "2-", "0", "0", "0");
        assertTrue(both.contains("Exhaust cam: binds by 0.040 mm"), both);
        assertTrue(ines.get(part + "/route").body().contains("Straighten"));
        HttpResponse<String> leaves = ines.post(part + "/report", "note", "");
        assertEquals(422, leaves.statusCode());
        // Straightened: what was read before says nothing any more, and everything that moved is owed.
        assertEquals(
                200,
                ines.key(part + "/route/did", "id", id(), "operation", "STRAIGHTEN", "note", "pressed, warm")
                        .statusCode());
        String route = ines.get(part + "/route").body();
        assertTrue(route.contains("it is straight once it was measured so"), route);
        assertTrue(route.contains("heat and press may open a crack"));
        assertEquals(422, ines.post(part + "/report", "note", "").statusCode());
        String after = key(part + "/line", "", "0", "0.01", "0");
        assertTrue(after.contains("Free") && !after.contains("Binds"), after);
    }

    /** The ring is on order: the face is planned and cut, and what waits is said. */
    @Test
    void anIronHeadWithARingOnOrder() {
        PartFile head = hands.book(Material.CAST_IRON);
        double length = Layout.of(head.numbers()).box().width();
        hands.read(head, SurveyKind.FACE, s -> 0.09 * Math.pow(2 * s.x() / length - 1, 2));
        shop.bean(WorkLog.class)
                .write(head, UUID.randomUUID(), WorkEntry.Kind.ADDED, Operation.INSERT, "exhaust of 3", hands.ines());
        Need ring = new Need("R-" + head.tag().substring(2), "seat ring", 1, Operation.INSERT, List.of("3E"));
        shop.bean(Orders.class).order(head, UUID.randomUUID(), ring, Optional.empty(), hands.ines());
        hands.plan(head, SetUpMethod.LEAST_REMOVAL);
        String part = "/parts/" + head.tag();
        String cut = ines.get(part + "/cut").body();
        assertFalse(cut.contains("First seat insert"), "the order holds nothing up that it need not");
        HttpResponse<String> pass = ines.key(part + "/cut/readings", "id", id(), "typed", "0.01", "unit", "MM");
        assertEquals(200, pass.statusCode(), pass.body());
        assertTrue(pass.body().contains("0.010"));
        String route = ines.get(part + "/route").body();
        assertTrue(route.contains("Seat insert"), route);
        assertEquals(422, ines.post(part + "/report", "note", "").statusCode(), "nothing leaves without the ring");
    }

    private Map<String, String> engine(String bowl) {
        Map<String, String> form = new HashMap<>(Map.of(
                "drive",
                "CHAIN_OR_BELT",
                "crown",
                "FLAT",
                "rods",
                "IRON",
                "STROKE",
                "80",
                "GASKET",
                "1.2",
                "DECK",
                "0.3",
                "CROWN",
                "12.0"));
        form.put("CLASS_BOWL", bowl);
        form.put("CLASS_BOWL.source", "RULES");
        return form;
    }

    /** A class on the bowl: a figure that somebody told proves no piston; what was filled is judged by two uncertainties. */
    @Test
    void aBowlHeldToAClass() {
        PartFile head = hands.bookReady();
        WorkOnChambers work = shop.bean(WorkOnChambers.class);
        work.engine(head, UUID.randomUUID(), engine("11.0"), BenchUnit.MM, hands.ines());
        String part = "/parts/" + head.tag();
        String told = ines.get(part + "/budget").body();
        assertTrue(told.contains("Class: bowl in the piston"), told);
        assertTrue(told.contains("class: bowl in the piston not measured"), "a told bowl proves none");
        RoomSource.Room room = shop.bean(RoomSource.class)
                .of(shop.bean(Parts.class).byTag(head.tag()), 0.05, new LengthWriter(BenchUnit.MM))
                .orElseThrow();
        assertEquals("open", room.style());
    }
}

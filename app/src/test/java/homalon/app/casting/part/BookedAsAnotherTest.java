package homalon.app.casting.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.visit.PartFile;
import java.net.http.HttpResponse;
import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The second head of a pair, one more of a layout that the shop knows, and a block with its exhausts beside the bores. */
@ExtendWith(RunningShop.class)
class BookedAsAnotherTest {
    private final HandsOfTests hands;
    private final Visitor ines;

    BookedAsAnotherTest(RunningShop.Shop shop) {
        this.hands = new HandsOfTests(shop);
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    @Test
    void aTagFillsTheSheetAndWhatHappenedIsAskedAnew() {
        String page = ines.get("/parts/new?as=t-0412").body();
        String own = ines.get("/parts/T-0412/intake").body();
        for (String field : new String[] {"name", "customer", "bore", "spacing", "length", "width"}) {
            assertEquals(value(own, field), value(page, field), field);
            assertFalse(value(page, field).isEmpty(), field);
        }
        assertFalse(value(page, "tag").equals("T-0412"), "a tag of its own");
        assertTrue(value(page, "version").isEmpty());
        assertTrue(
                page.contains("<textarea name=\"history\"") && !page.contains("checked=\"checked\" name=\"happened"));
    }

    @Test
    void aNameStandsForALayoutAndBringsNoCustomer() {
        PartFile four = hands.book(Material.ALUMINIUM, PartKind.HEAD);
        String name = "harbour four " + four.tag().replace('-', ' ');
        assertEquals(
                302,
                ines.post("/parts/" + four.tag() + "/layout-name", "layout", name)
                        .statusCode());
        String page = ines.get("/parts/new?as=" + name.toUpperCase(Locale.ROOT).replace(" ", "%20"))
                .body();
        assertEquals("84 mm", value(page, "bore"));
        assertTrue(value(page, "customer").isEmpty());
        assertTrue(page.contains("<option value=\"" + name + "\""));
        HttpResponse<String> tag = ines.post("/parts/" + four.tag() + "/layout-name", "layout", "T-0412");
        assertEquals(422, tag.statusCode(), "a name that is a tag would be taken for one");
        HttpResponse<String> none = ines.get("/parts/new?as=nobody%20knows");
        assertEquals(422, none.statusCode());
        assertTrue(none.body().contains("and no layout that name"));
    }

    private static String value(String page, String field) {
        java.util.regex.Matcher m = java.util.regex.Pattern.compile("<input[^>]*name=\"" + field + "\"[^>]*>")
                .matcher(page);
        assertTrue(m.find(), field);
        java.util.regex.Matcher v =
                java.util.regex.Pattern.compile("value=\"([^\"]*)\"").matcher(m.group());
        return v.find() ? v.group(1) : "";
    }

    /** Exhausts below in the block, intakes above in the head: the block carries, measures and reports exhausts alone. */
    @Test
    void aBlockWithItsExhaustsBesideTheBores() {
        PartFile block = hands.book(Material.CAST_IRON, PartKind.DECK);
        hands.prepare(block);
        String valves = "/parts/" + block.tag() + "/valves";
        HttpResponse<String> set = ines.post(
                valves + "/set-up",
                "id",
                UUID.randomUUID().toString(),
                "intake",
                "0",
                "exhaust",
                "1",
                "rows",
                "IN_BLOCK",
                "source",
                "MAKER",
                "E.STEM",
                "8");
        assertEquals(302, set.statusCode(), set.body());
        String page = ines.get(valves).body();
        assertTrue(page.contains("1 exhaust"), page);
        assertFalse(page.contains("1 intake"));
        for (String of : new String[] {"guides", "seats", "inserts"}) {
            assertEquals(200, ines.get("/parts/" + block.tag() + "/" + of).statusCode(), of);
        }
        String cracks = ines.get("/parts/" + block.tag() + "/cracks").body();
        assertTrue(cracks.contains("seat to bore") && cracks.contains("between the seats"));
        assertEquals(200, ines.get("/parts/" + block.tag() + "/report").statusCode());
        assertEquals(200, ines.get("/parts/" + block.tag() + "/budget").statusCode());
        assertEquals(200, ines.get("/parts/" + block.tag() + "/route").statusCode());
    }
}

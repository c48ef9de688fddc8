package homalon.app.foundation.people;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What somebody answers for is a line: settings, what is left out, what leaves unfinished, each once. */
@ExtendWith(RunningShop.class)
class JournalTest {
    private final RunningShop.Shop shop;
    private final Visitor marit;

    JournalTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.marit = Visitor.signedIn(shop.port(), "marit");
    }

    private List<String> lines(Journal.What what, String with) {
        return shop.bean(Journal.class).last(200).stream()
                .filter(l ->
                        l.what() == what && l.by().isPresent() && l.detail().contains(with))
                .map(Journal.Line::detail)
                .toList();
    }

    @Test
    void toolsThatWereChangedAndNotThoseThatWereRefused() {
        int before = lines(Journal.What.TOOLS_CHANGED, "shims").size();
        marit.get("/shop/tools");
        assertEquals(
                200, marit.post("/shop/tools/shims", "shims", "0.05 0.10 0.25").statusCode());
        assertEquals(422, marit.post("/shop/tools/shims", "shims", "thick").statusCode());
        assertEquals(before + 1, lines(Journal.What.TOOLS_CHANGED, "shims").size());
        // Plans of other tests are made with the shop's shims.
        marit.post("/shop/tools/shims", "shims", "");
    }

    @Test
    void aStepThatIsLeftOutOnceHoweverOftenItIsSent() {
        PartFile part = new HandsOfTests(shop).book(Material.CAST_IRON);
        String id = UUID.randomUUID().toString();
        for (int i = 0; i < 3; i++) {
            marit.key(
                    "/parts/" + part.tag() + "/route/waive",
                    "id",
                    id,
                    "operation",
                    "PRESSURE_TEST",
                    "note",
                    "no plates for it");
        }
        assertEquals(
                List.of(part.tag() + ", pressure test: no plates for it"), lines(Journal.What.LEFT_OUT, part.tag()));
    }

    @Test
    void aCastingThatLeavesUnfinishedOnceAndWithItsReason() {
        PartFile part = new HandsOfTests(shop).book(Material.CAST_IRON);
        marit.get("/parts/" + part.tag() + "/report");
        for (int i = 0; i < 2; i++) {
            marit.post("/parts/" + part.tag() + "/report", "note", "fetched early");
        }
        List<String> lines = lines(Journal.What.LEFT_UNFINISHED, part.tag());
        assertEquals(1, lines.size(), lines.toString());
        assertTrue(lines.get(0).endsWith("fetched early"), lines.get(0));
    }
}

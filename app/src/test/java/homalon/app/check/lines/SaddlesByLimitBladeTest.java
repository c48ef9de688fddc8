package homalon.app.check.lines;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A line of saddles read with a straightedge and one blade. */
@ExtendWith(RunningShop.class)
class SaddlesByLimitBladeTest {
    private final Visitor ines;
    private final String line;

    SaddlesByLimitBladeTest(RunningShop.Shop shop) {
        this.ines = Visitor.signedIn(shop.port(), "ines");
        this.line = "/parts/" + new HandsOfTests(shop).book(Material.ALUMINIUM).tag() + "/line";
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private void setUp(String clearance, String blade, boolean bothSides) {
        HttpResponse<String> answer = ines.post(
                line + "/set-up",
                "id",
                id(),
                "name",
                "Cam",
                "at",
                "0 90 180",
                "clearance",
                clearance,
                "running",
                "0.03",
                "way",
                "LIMIT_BLADE",
                "blade",
                blade,
                "bothSides",
                Boolean.toString(bothSides));
        assertEquals(302, answer.statusCode());
    }

    private HttpResponse<String> key(String place, String typed) {
        return ines.key(line + "/readings", "id", id(), "place", place, "typed", typed, "unit", "MM");
    }

    @Test
    void theBladeThatProvesItIsProposedAndRefusedEverywhereIsFree() {
        setUp("0.08", "", false);
        assertTrue(ines.get(line).body().contains("the 0.050 mm blade in the saddles"));
        key("b0", "-");
        assertEquals(422, key("b1", "0.05").statusCode());
        key("b1", "0");
        assertTrue(key("b2", "-").body().contains("Free: at least 0.030 mm left"));
    }

    @Test
    void whereItGoesItSaysStopAndThickerBladesLeadOn() {
        setUp("0.14", "0.05", false);
        key("b0", "-");
        key("b1", "+");
        String body = key("b2", "-").body();
        assertTrue(body.contains("Stop: out at bore 2"), body);
        assertTrue(body.contains("0.050 goes"));
        body = key("b1", "0.06-").body();
        assertTrue(body.contains("Free: at least 0.080 mm left"), body);
        assertFalse(body.contains("Stop: out"));
        // What was said before still stands behind it: taking the last back leads there again.
        assertTrue(ines.key(line + "/undo", "id", id()).body().contains("Stop: out at bore 2"));
    }

    @Test
    void aNarrowSaddleIsTriedOnBothSides() {
        setUp("0.08", "", true);
        for (String place : new String[] {"b0", "b0b", "b1", "b1b", "b2"}) {
            key(place, "-");
        }
        assertTrue(ines.get(line).body().contains("Not settled yet"));
        key("b2b", "0.08+");
        String page = ines.get(line).body();
        assertTrue(page.contains("Bore 3") && page.contains("lower on one side than on the other"), page);
    }
}

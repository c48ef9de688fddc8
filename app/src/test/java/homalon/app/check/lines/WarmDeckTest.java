package homalon.app.check.lines;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A deck of aluminium that is read before it took the room's temperature. */
@ExtendWith(RunningShop.class)
class WarmDeckTest {
    private final Visitor ines;
    private final HandsOfTests hands;
    private final String index;

    WarmDeckTest(RunningShop.Shop shop) {
        this.ines = Visitor.signedIn(shop.port(), "ines");
        this.hands = new HandsOfTests(shop);
        this.index = "/parts/" + hands.book(Material.ALUMINIUM, PartKind.DECK).tag() + "/index";
    }

    private HttpResponse<String> setUp(String outerAtTop, String warm, String gauge) {
        return ines.key(
                index + "/set-up",
                "id",
                UUID.randomUUID().toString(),
                "outerAtTop",
                outerAtTop,
                "warm",
                warm,
                "gauge",
                gauge);
    }

    private void read() {
        String[] heights = {"220", "220.02", "220", "220.02"};
        for (int i = 0; i < heights.length; i++) {
            ines.key(
                    index + "/readings",
                    "id",
                    UUID.randomUUID().toString(),
                    "place",
                    "c" + i,
                    "typed",
                    heights[i],
                    "unit",
                    "MM");
        }
    }

    @Test
    void itsHeightsStandAtOneTemperature() {
        assertEquals(302, setUp("false", "", "").statusCode());
        read();
        String cold = ines.get(index).body();
        assertTrue(cold.contains("<td class=\"value\">220 mm</td>"), cold);
        assertFalse(cold.contains("Taken off"));

        // Somebody lays a hand on it: what was read stays, and is brought to 20 degrees.
        assertEquals(302, setUp("false", "30", "20").statusCode());
        String warm = ines.get(index).body();
        assertTrue(warm.contains("219.952"), warm);
        assertTrue(warm.contains("Taken off"));
        assertTrue(warm.contains("the casting at 30 °C, its gauge at 20 °C: heights stand at 20 °C"));
        assertTrue(warm.matches("(?s).*name=\"outerAtTop\" value=\"false\" checked.*"), "as it was set up");
        assertTrue(warm.matches("(?s).*name=\"warm\"[^>]* value=\"30\".*"));
    }

    @Test
    void oneTemperatureAloneOrNoneAtAllIsAskedAgain() {
        for (String odd : new String[] {"", "warm", "400"}) {
            HttpResponse<String> refused = setUp("true", "30", odd);
            assertEquals(422, refused.statusCode());
            assertTrue(refused.body().contains("Temperature: key that of the part"), refused.body());
        }
        assertEquals(422, setUp("true", "", "20").statusCode());
    }

    @Test
    void aHeadHasNeitherLinersNorAHeightOverTheCrankLine() {
        String head = "/parts/" + hands.book(Material.ALUMINIUM, PartKind.HEAD).tag();
        for (String sheet : new String[] {"/index", "/liners"}) {
            HttpResponse<String> refused = ines.get(head + sheet);
            assertEquals(422, refused.statusCode());
            assertTrue(refused.body().contains("Open that page at the block it goes on"), refused.body());
            HttpResponse<String> kept =
                    ines.key(head + sheet + "/set-up", "id", UUID.randomUUID().toString(), "outerAtTop", "true");
            assertEquals(422, kept.statusCode());
        }
        assertEquals(200, ines.get(head + "/line").statusCode(), "a line it has");
    }
}

package homalon.app.foundation.load;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** Two instances of one shop on one database: a person may be sent to either, and either may end. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class TwoInstancesTest {
    private static final String CUT = "/parts/T-0450/cut/readings";
    private static String database;
    private static RunningShop.Shop one;
    private static RunningShop.Shop other;

    @BeforeAll
    static void start() {
        database = OwnDatabase.sampled();
        one = RunningShop.on(OwnDatabase.url(database));
        other = RunningShop.on(OwnDatabase.url(database));
    }

    @AfterAll
    static void close() {
        one.close();
        other.close();
        OwnDatabase.gone(database);
    }

    /** Last, since it ends both, one after the other. */
    @Test
    @Order(2)
    void sessionsAndKeyingGoOnWhicheverEnds() {
        Visitor ines = Visitor.signedIn(one.port(), "ines");
        assertEquals(200, ines.at(other.port()).get("/").statusCode(), "signed in at one, known at the other");
        String once = UUID.randomUUID().toString();
        assertEquals(200, pass(ines, once).statusCode());
        assertEquals(200, pass(ines.at(other.port()), once).statusCode(), "sent again to the other: kept once");
        assertEquals(1, lines(once));

        one.close();
        goesOn(ines.at(other.port()), other.port());
        one = RunningShop.on(OwnDatabase.url(database));
        other.close();
        goesOn(ines.at(one.port()), one.port());
    }

    private static void goesOn(Visitor ines, int port) {
        assertEquals(200, ines.get("/parts/T-0450/cut").statusCode());
        String next = UUID.randomUUID().toString();
        assertEquals(200, pass(ines, next).statusCode());
        assertEquals(1, lines(next));
        assertEquals(200, Visitor.signedIn(port, "brannoc").get("/").statusCode());
    }

    @Test
    @Order(1)
    void whatIsKeyedAtOneIsSeenAtTheOther() throws Exception {
        Visitor ines = Visitor.signedIn(one.port(), "ines");
        Visitor marit = Visitor.signedIn(other.port(), "marit");
        BufferedReader told = new BufferedReader(
                new InputStreamReader(marit.stream("/live?topics=part-T-0450"), StandardCharsets.UTF_8));
        CompletableFuture<String> heard = CompletableFuture.supplyAsync(() -> told.lines()
                .filter(l -> l.startsWith("event:part-T-0450"))
                .findFirst()
                .orElse("the stream ended"));
        for (int i = 0; i < 20 && !heard.isDone(); i++) {
            assertEquals(200, pass(ines, UUID.randomUUID().toString()).statusCode());
            Thread.sleep(300);
        }
        assertEquals("event:part-T-0450", heard.get(10, TimeUnit.SECONDS));
    }

    @Test
    @Order(1)
    void aPlaceKeyedAtBothIsAskedAboutAtTheLater() {
        Visitor ines = Visitor.signedIn(one.port(), "ines");
        Visitor marit = Visitor.signedIn(other.port(), "marit");
        String place =
                marit.get("/parts/T-0412/face").body().replaceAll("(?s).*?data-place=\"([0-9a-f-]{36})\".*", "$1");
        int keyed = reading(ines, place, "0.051").statusCode();
        assertTrue(keyed == 200 || keyed == 409, "somebody may have read it in the demo");
        HttpResponse<String> later = reading(marit, place, "0.052");
        assertEquals(409, later.statusCode(), later.body());
    }

    private static HttpResponse<String> reading(Visitor who, String place, String typed) {
        return who.key(
                "/parts/T-0412/face/readings",
                "id",
                UUID.randomUUID().toString(),
                "place",
                place,
                "typed",
                typed,
                "unit",
                "MM");
    }

    private static HttpResponse<String> pass(Visitor who, String id) {
        return who.key(CUT, "id", id, "typed", "0.001", "unit", "MM");
    }

    private static int lines(String id) {
        return Integer.parseInt(OwnDatabase.askedAt(
                        OwnDatabase.url(database), "select count(*) from ledger_line where id = '" + id + "'")
                .get(0));
    }
}

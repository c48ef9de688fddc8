package homalon.app.load;

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
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Two instances of one shop on one database: a person may be sent to either, and either may end. */
class TwoInstancesTest {
    private static final String CUT = "/parts/T-0450/cut/readings";
    private String database;
    private RunningShop.Shop one;
    private RunningShop.Shop other;

    @BeforeEach
    void start() {
        database = OwnDatabase.made();
        OwnDatabase.upgrade(OwnDatabase.url(database));
        one = RunningShop.on(OwnDatabase.url(database));
        other = RunningShop.on(OwnDatabase.url(database));
    }

    @AfterEach
    void close() {
        one.close();
        other.close();
        OwnDatabase.gone(database);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void sessionsAndKeyingGoOnWhicheverEnds(boolean first) {
        Visitor ines = Visitor.signedIn(one.port(), "ines");
        assertEquals(200, ines.at(other.port()).get("/").statusCode(), "signed in at one, known at the other");
        String once = UUID.randomUUID().toString();
        assertEquals(200, pass(ines, once).statusCode());
        assertEquals(200, pass(ines.at(other.port()), once).statusCode(), "sent again to the other: kept once");
        assertEquals(1, lines(once));

        RunningShop.Shop stays = first ? other : one;
        (first ? one : other).close();
        Visitor there = ines.at(stays.port());
        assertEquals(200, there.get("/parts/T-0450/cut").statusCode());
        String next = UUID.randomUUID().toString();
        assertEquals(200, pass(there, next).statusCode());
        assertEquals(1, lines(next));
        assertEquals(200, Visitor.signedIn(stays.port(), "brannoc").get("/").statusCode());
    }

    @Test
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

    private int lines(String id) {
        return Integer.parseInt(OwnDatabase.askedAt(
                        OwnDatabase.url(database), "select count(*) from ledger_line where id = '" + id + "'")
                .get(0));
    }
}

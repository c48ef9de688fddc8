package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.foundation.people.People;
import homalon.app.foundation.security.ApiTokens;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.net.http.HttpHeaders;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.info.BuildProperties;

/** Who may come in, and what each may do. */
@ExtendWith(RunningShop.class)
class SignInTest {
    private final RunningShop.Shop shop;

    SignInTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    private UUID id(String name) {
        return shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/", "/parts/T-0407/report.pdf", "/parts/T-0407/record.json", "/shop", "/parts/new", "/echo"})
    void strangersAreSentToTheDoor(String path) {
        HttpResponse<String> answer = new Visitor(shop.port()).get(path);
        assertEquals(302, answer.statusCode());
        assertTrue(answer.headers().firstValue("Location").orElseThrow().endsWith("/sign-in"));
    }

    @Test
    void aPageSaysWhatTheBrowserMayDo() {
        HttpHeaders headers = Visitor.signedIn(shop.port(), "ines").get("/").headers();
        String policy = headers.firstValue("Content-Security-Policy").orElseThrow();
        assertTrue(policy.contains("default-src 'none'") && policy.contains("script-src 'self';"), policy);
        assertFalse(policy.contains("unsafe"), policy);
        assertEquals("DENY", headers.firstValue("X-Frame-Options").orElseThrow());
        assertEquals("nosniff", headers.firstValue("X-Content-Type-Options").orElseThrow());
        Visitor visitor = new Visitor(shop.port());
        List<String> before = visitor.get("/sign-in").headers().allValues("Set-Cookie");
        assertTrue(
                before.stream().allMatch(c -> c.contains("HttpOnly") && c.contains("SameSite=Strict")),
                before.toString());
        List<String> after = visitor.post("/sign-in", "login", "ines", "password", "saltmarsh-demo")
                .headers()
                .allValues("Set-Cookie");
        String session =
                after.stream().filter(c -> c.startsWith("homalon=")).findFirst().orElseThrow();
        assertTrue(session.contains("HttpOnly") && session.contains("SameSite=Lax"), session);
    }

    /** Who reports a fault has to know it; who stands before the door need not. */
    @Test
    void theVersionIsToldToThoseWhoAreSignedIn() {
        String version = shop.bean(BuildProperties.class).getVersion();
        String own = Visitor.signedIn(shop.port(), "ines").get("/").body();
        assertTrue(own.contains(version), "the keys say it");
        assertFalse(new Visitor(shop.port()).get("/sign-in").body().contains(version));
    }

    @Test
    void guessingIsSlowedDownForTheLoginWhoeverGuesses() {
        for (int i = 0; i < 5; i++) {
            Visitor visitor = new Visitor(shop.port());
            visitor.get("/sign-in");
            visitor.post("/sign-in", "login", "nobody-of-that-name", "password", "guess " + i);
        }
        Visitor visitor = new Visitor(shop.port());
        visitor.get("/sign-in");
        HttpResponse<String> answer = visitor.post("/sign-in", "login", "nobody-of-that-name", "password", "another");
        assertTrue(answer.headers().firstValue("Location").orElseThrow().endsWith("/sign-in?wait=1"));
    }

    @Test
    void aFormWithoutThePagesTokenIsRefused() {
        Visitor visitor = Visitor.signedIn(shop.port(), "ines");
        HttpResponse<String> answer = visitor.postWithoutToken("/parts/T-0406/stuck", "on", "", "why", "");
        assertEquals(403, answer.statusCode());
        assertTrue(answer.body().contains("go back to the bench"), answer.body());
    }

    @Test
    void aPinWorksOnlyWhereTheOwnerEnabledItAndEndsTheLastOnesSession() {
        Visitor bench = Visitor.signedIn(shop.port(), "marit");
        String ines = id("Ines").toString();
        assertEquals(
                422, bench.post("/person/change", "to", ines, "pin", "7391").statusCode());
        assertEquals(200, bench.post("/shop/devices", "name", "Surfacer bench").statusCode());
        HttpResponse<String> wrong = bench.post("/person/change", "to", ines, "pin", "1111");
        assertEquals(422, wrong.statusCode());
        assertTrue(wrong.body().contains("not the PIN of this person"), wrong.body());
        assertEquals(
                302, bench.post("/person/change", "to", ines, "pin", "7391").statusCode());
        // The token of the page that Marit left open is worth nothing now.
        assertEquals(403, bench.post("/person/pin", "pin", "2580").statusCode());
        assertTrue(bench.get("/").body().contains("Ines"));
        assertEquals(403, bench.get("/shop").statusCode());
    }

    @Test
    void theDeskReadsButDoesNotMeasureOrCut() {
        Visitor desk = Visitor.signedIn(shop.port(), "desk");
        assertEquals(200, desk.get("/parts/T-0409/cut").statusCode());
        for (String path : List.of(
                "/parts/T-0409/cut/readings",
                "/parts/T-0409/cut/reverse",
                "/parts/T-0412/face/readings",
                "/parts/T-0412/face/start",
                "/parts/T-0415/plan")) {
            assertEquals(403, desk.key(path, "id", UUID.randomUUID().toString()).statusCode(), path);
        }
    }

    @Test
    void anOwnersTokenLetsAProgramInUntilItIsRevoked() {
        Visitor owner = Visitor.signedIn(shop.port(), "marit");
        String page = owner.post("/shop/tokens", "tokenName", "Gauge PC").body();
        String secret =
                page.replaceAll("(?s).*<code[^>]*>([^<]+)</code>.*", "$1").strip();
        var program = shop.bean(ApiTokens.class);
        assertEquals("Gauge PC", program.of(secret).map(ApiTokens.Token::name).orElseThrow());
        UUID token = program.inForce().stream()
                .filter(t -> t.name().equals("Gauge PC"))
                .findFirst()
                .orElseThrow()
                .id();
        owner.post("/shop/tokens/revoke", "id", token.toString());
        assertTrue(program.of(secret).isEmpty());
    }

    /** Signed out elsewhere, a page that asks on by itself does not decide where one comes in again. */
    @Test
    void whatAPageAsksForByItselfIsNowhereToGo() {
        Visitor visitor = new Visitor(shop.port());
        visitor.get("/parts/T-0407/face");
        visitor.through("Accept", "text/event-stream").get("/live?part=T-0407");
        visitor.through("Sec-Fetch-Mode", "cors").get("/person/device-key");
        visitor.through("X-Keying", "1").get("/parts/T-0407/face/live");
        visitor.through("Accept", "text/html").get("/sign-in");
        String there = visitor.post("/sign-in", "login", "ines", "password", "saltmarsh-demo")
                .headers()
                .firstValue("Location")
                .orElse("");
        assertTrue(there.contains("/parts/T-0407/face") && !there.contains("/live"), there);
    }

    /** Else it would bring a token beside that of the page at which somebody signs in, who would be refused. */
    @ParameterizedTest
    @CsvSource({"X-Keying, 1", "HX-Request, true", "Accept, text/event-stream", "Sec-Fetch-Mode, cors"})
    void aPageThatAsksByItselfIsToldAndNotLedToTheDoor(String header, String value) {
        HttpResponse<String> told =
                new Visitor(shop.port()).through(header, value).get("/person/device-key");
        assertEquals(401, told.statusCode());
        assertEquals(List.of(), told.headers().allValues("Set-Cookie"));
        assertEquals(302, new Visitor(shop.port()).get("/person/device-key").statusCode());
    }
}

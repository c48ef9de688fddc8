package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.security.ApiTokens;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.visit.PartFile;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Who belongs to the shop, for how long, and what a PIN does not open. A shop of its own, since people come and go in it. */
class BelongsTest {
    private static final String PASSWORD = "saltmarsh-demo";
    private static RunningShop.Shop shop;
    private static People people;
    private static Visitor oda;
    private static int count;

    @BeforeAll
    static void start() {
        shop = RunningShop.empty();
        people = shop.bean(People.class);
        people.addFirstOwner("oda", "Oda", PASSWORD);
        oda = Visitor.signedIn(shop.port(), "oda");
    }

    @AfterAll
    static void stop() {
        shop.close();
    }

    private static PersonInfo somebody(Role role) {
        String login = "p" + ++count;
        return people.add(login, "Person " + count, role, PASSWORD);
    }

    private static String id(PersonInfo who) {
        return who.id().toString();
    }

    /** A tablet that was left somewhere: out at its next request, and the one at hand stays in. */
    @Test
    void whoIsSignedInElsewhereSeesItAndEndsIt() {
        PersonInfo who = somebody(Role.MACHINIST);
        Visitor left = Visitor.signedIn(shop.port(), who.login());
        Visitor here = Visitor.signedIn(shop.port(), who.login());
        Visitor other = Visitor.signedIn(shop.port(), somebody(Role.MACHINIST).login());
        String page = here.get("/person").body();
        assertTrue(page.contains("Another device") && page.contains(">Here<"), page);
        String after = here.post("/person/elsewhere").body();
        assertTrue(after.contains("You are signed out on "), after);
        assertFalse(after.contains("Another device"), after);
        assertEquals(302, left.get("/").statusCode());
        assertEquals(200, here.get("/").statusCode());
        assertEquals(200, other.get("/").statusCode());
    }

    @Test
    void whoIsShutOutIsOutAtTheNextRequestOnEveryDevice() {
        PersonInfo tove = somebody(Role.MACHINIST);
        Visitor bench = Visitor.signedIn(shop.port(), tove.login());
        Visitor phone = Visitor.signedIn(shop.port(), tove.login());
        assertEquals(200, bench.get("/").statusCode());
        assertEquals(
                200,
                oda.post("/shop/people/active", "id", id(tove), "active", "false")
                        .statusCode());
        for (Visitor device : new Visitor[] {bench, phone}) {
            HttpResponse<String> answer = device.get("/");
            assertEquals(302, answer.statusCode());
            assertTrue(answer.headers().firstValue("Location").orElse("").endsWith("/sign-in"));
            assertTrue(device.key("/me/theme", "to", "DIM").statusCode() / 100 == 4
                    || device.key("/me/theme", "to", "DIM").statusCode() == 302);
        }
        oda.post("/shop/people/active", "id", id(tove), "active", "true");
        assertEquals(302, bench.get("/").statusCode(), "let in again means: may sign in again");
        assertEquals(200, Visitor.signedIn(shop.port(), tove.login()).get("/").statusCode());
    }

    @Test
    void whatAPersonShutOutHadKeyedIsTheOwnersToAccept() throws InterruptedException {
        PartFile part = new HandsOfTests(shop, oda()).bookReady();
        PersonInfo runa = somebody(Role.MACHINIST);
        Visitor bench = Visitor.signedIn(shop.port(), runa.login());
        String path = "/parts/" + part.tag() + "/cut/readings";
        Visitor owner = oda.another().through("X-Keyed-By", id(runa));
        assertEquals(403, pass(owner, path, UUID.randomUUID()).statusCode(), "somebody who may send it themselves");

        people.setActive(runa.id(), false);
        UUID kept = UUID.randomUUID();
        assertEquals(401, pass(bench, path, kept).statusCode(), "out");
        assertEquals(200, pass(owner, path, kept).statusCode());
        assertEquals(
                List.of(id(runa) + " " + oda()),
                OwnDatabase.asked(
                        shop, "select by_person || ' ' || stored_by from ledger_line where id = '" + kept + "'"));
        // Noted once the answer is known, which may be a moment after it is here.
        for (int i = 0; i < 100 && accepted() == 0; i++) {
            Thread.sleep(30);
        }
        assertEquals(1, accepted());

        PersonInfo other = somebody(Role.MACHINIST);
        Visitor machinist = Visitor.signedIn(shop.port(), other.login()).through("X-Keyed-By", id(runa));
        assertEquals(403, pass(machinist, path, UUID.randomUUID()).statusCode(), "no owner");
        assertEquals(
                403,
                owner.post("/shop/settings/shop", "shopName", "Another").statusCode(),
                "readings and nothing else");
        assertEquals(
                403,
                pass(oda.another().through("X-Keyed-By", "nobody"), path, UUID.randomUUID())
                        .statusCode());
    }

    private static long accepted() {
        return shop.bean(Journal.class).last(50).stream()
                .filter(l -> l.what() == Journal.What.ACCEPTED)
                .count();
    }

    private static UUID oda() {
        return people.all().stream()
                .filter(p -> p.login().equals("oda"))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static HttpResponse<String> pass(Visitor who, String path, UUID id) {
        return who.key(path, "id", id.toString(), "typed", "0.05", "unit", "MM");
    }

    @Test
    void anotherRoleCountsAtOnce() {
        PersonInfo pell = somebody(Role.OWNER);
        Visitor visitor = Visitor.signedIn(shop.port(), pell.login());
        assertEquals(200, visitor.get("/shop").statusCode());
        assertEquals(
                200,
                oda.post("/shop/people/role", "id", id(pell), "role", "DESK").statusCode());
        assertEquals(302, visitor.get("/shop").statusCode());
        assertEquals(
                403, Visitor.signedIn(shop.port(), pell.login()).get("/shop").statusCode());
    }

    @Test
    void theLastOwnerStays() {
        PersonInfo me = people.all().stream()
                .filter(p -> p.login().equals("oda"))
                .findFirst()
                .orElseThrow();
        people.all().stream()
                .filter(p -> p.role() == Role.OWNER && !p.id().equals(me.id()))
                .forEach(p -> people.setRole(p.id(), Role.DESK));
        HttpResponse<String> refused = oda.post("/shop/people/role", "id", id(me), "role", "MACHINIST");
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("the only owner"), refused.body());
        assertEquals(
                422,
                oda.post("/shop/people/active", "id", id(me), "active", "false").statusCode());
        PersonInfo second = somebody(Role.OWNER);
        assertEquals(
                200,
                Visitor.signedIn(shop.port(), second.login())
                        .post("/shop/people/role", "id", id(me), "role", "MACHINIST")
                        .statusCode());
        people.setRole(me.id(), Role.OWNER);
        oda = Visitor.signedIn(shop.port(), "oda");
    }

    /** Whoever changes by PIN, or comes back after a while, keys the password before settings open. */
    @Test
    void aPinOpensNoSettings() {
        PersonInfo owner = somebody(Role.OWNER);
        people.setPin(owner.id(), "4826");
        Visitor bench = Visitor.signedIn(shop.port(), owner.login());
        assertEquals(200, bench.post("/shop/devices", "name", "Surfacer bench").statusCode());
        bench.get("/person");
        assertEquals(
                302,
                bench.post("/person/change", "to", id(owner), "pin", "4826").statusCode());
        assertEquals(200, bench.get("/").statusCode());
        HttpResponse<String> asked = bench.get("/shop");
        assertEquals("/confirm", asked.headers().firstValue("Location").orElse(""));
        bench.get("/confirm");
        assertEquals(
                302, bench.post("/shop/settings/shop", "shopName", "Taken over").statusCode());
        assertFalse(bench.get("/").body().contains("Taken over"));
        assertEquals(422, bench.post("/confirm", "password", "4826").statusCode());
        assertEquals(302, bench.post("/confirm", "password", PASSWORD).statusCode());
        assertEquals(200, bench.get("/shop").statusCode());
    }

    @Test
    void aSessionEndsHoweverBusyItIs() {
        try (RunningShop.Shop brief = RunningShop.empty("--homalon.session.longest=3s")) {
            brief.bean(People.class).addFirstOwner("oda", "Oda", PASSWORD);
            Visitor owner = Visitor.signedIn(brief.port(), "oda");
            assertEquals(200, owner.get("/").statusCode());
            long until = System.nanoTime() + Duration.ofSeconds(20).toNanos();
            int last = 200;
            while (last == 200 && System.nanoTime() < until) {
                last = owner.get("/").statusCode();
            }
            assertEquals(302, last);
        }
    }

    @Test
    void onesOwnPasswordIsChangedAndAnotherOnesGivenAnew() {
        PersonInfo tove = somebody(Role.MACHINIST);
        Visitor visitor = Visitor.signedIn(shop.port(), tove.login());
        visitor.get("/person");
        String next = "ö".repeat(20) + " lantern at sea";
        assertEquals(
                422,
                visitor.post("/person/password", "now", "not it at all", "next", next)
                        .statusCode());
        assertEquals(
                422,
                visitor.post("/person/password", "now", PASSWORD, "next", "short")
                        .statusCode());
        assertEquals(
                200,
                visitor.post("/person/password", "now", PASSWORD, "next", next).statusCode());
        Visitor old = new Visitor(shop.port());
        old.get("/sign-in");
        assertTrue(old.post("/sign-in", "login", tove.login(), "password", PASSWORD)
                .headers()
                .firstValue("Location")
                .orElse("")
                .endsWith("?wrong"));
        assertEquals(
                200,
                oda.post("/shop/people/password", "id", id(tove), "password", PASSWORD)
                        .statusCode());
        assertEquals(200, Visitor.signedIn(shop.port(), tove.login()).get("/").statusCode());
    }

    /** A mistake leaves what was keyed, but never a password; no role is taken for granted. */
    @Test
    void whatWasKeyedStaysInTheForm() {
        HttpResponse<String> refused =
                oda.post("/shop/people", "name", "Tove Lind", "login", "tove-l", "password", PASSWORD);
        assertEquals(422, refused.statusCode());
        assertTrue(
                refused.body().contains("value=\"Tove Lind\"") && refused.body().contains("value=\"tove-l\""));
        assertTrue(refused.body().contains("choose what this person may do"), refused.body());
        assertFalse(refused.body().contains(PASSWORD));
    }

    @Test
    void aRightTokenIsNeverRefusedForWrongOnes() throws IOException, InterruptedException {
        PersonInfo owner = people.all().stream()
                .filter(p -> p.login().equals("oda"))
                .findFirst()
                .orElseThrow();
        String token = shop.bean(ApiTokens.class).issue("Gauge PC", Optional.empty(), owner.id());
        int last = 0;
        for (int i = 0; i < 60; i++) {
            last = call("wrong-" + i);
        }
        assertEquals(429, last, "guessing is slowed down");
        assertEquals(200, call(token));
        Visitor me = Visitor.signedIn(shop.port(), "oda");
        assertTrue(me.get("/shop").body().contains("api-from:"));
        assertEquals(200, me.post("/shop/waits").statusCode());
        assertEquals(401, call("wrong again"), "lifted");
    }

    private static int call(String token) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(shop.address() + "/api/v1/parts"))
                                .header("Authorization", "Bearer " + token)
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .statusCode();
    }

    @Test
    void theJournalKnowsWhoDidWhat() {
        PersonInfo tove = somebody(Role.DESK);
        oda.post("/shop/people/role", "id", id(tove), "role", "MACHINIST");
        Visitor.signedIn(shop.port(), tove.login());
        var lines = shop.bean(Journal.class).last(200);
        assertTrue(lines.stream()
                .anyMatch(
                        l -> l.what() == Journal.What.ROLE_CHANGED && l.detail().contains(tove.name())));
        assertTrue(lines.stream()
                .anyMatch(l -> l.what() == Journal.What.SIGNED_IN
                        && l.by().filter(tove.id()::equals).isPresent()));
    }
}

package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.foundation.people.People;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.PartFile;
import java.io.IOException;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The first day of a real shop: nothing of the demo, one owner, and only its own names are answered. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class EmptyShopTest {
    private static RunningShop.Shop shop;

    @BeforeAll
    static void start() {
        shop = RunningShop.empty(
                "--homalon.public-address=https://bench.example:8443/",
                "--homalon.hosts=ten.example,[fe80::1]",
                "--homalon.first-visit-code=KELP-4711");
    }

    @AfterAll
    static void stop() {
        shop.close();
    }

    private static String[] owner(String login, String... more) {
        List<String> fields = new ArrayList<>(List.of(
                "shopName",
                "Quay Street",
                "name",
                login,
                "login",
                login,
                "password",
                "saltmarsh-demo",
                "unit",
                "THOU"));
        fields.addAll(List.of(more));
        return fields.toArray(String[]::new);
    }

    private static String status(String host, String... headers) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", shop.port())) {
            String more = Arrays.stream(headers).map(h -> h + "\r\n").reduce("", String::concat);
            socket.getOutputStream()
                    .write(("GET /sign-in HTTP/1.1\r\nHost: " + host + "\r\n" + more + "Connection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    @Order(1)
    void nothingOfTheDemoIsInIt() {
        List<String> ofTheDemo = Arrays.stream(shop.beans().getBeanDefinitionNames())
                .filter(name -> {
                    Class<?> type = shop.beans().getType(name);
                    return type != null && type.getName().startsWith("homalon.app.demo.");
                })
                .toList();
        assertEquals(List.of(), ofTheDemo);
        Visitor first = new Visitor(shop.port());
        assertEquals(
                "/first-visit",
                first.get("/sign-in").headers().firstValue("Location").orElse(""));
        assertFalse(first.get("/first-visit").body().contains("saltmarsh"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "127.0.0.1",
                "localhost:99",
                "bench.example",
                "BENCH.example.",
                "ten.example:8443",
                "[fe80::1]",
                "[::1]:1"
            })
    @Order(2)
    void itsOwnNamesAreAnswered(String host) throws IOException {
        assertTrue(status(host).startsWith("HTTP/1.1 302"), host);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "evil.example",
                "bench.example.evil.example",
                "127.0.0.2",
                "ten.example@evil.example",
                "[fe80::2]"
            })
    @Order(2)
    void noOtherNameIs(String host) throws IOException {
        String answer = status(host, "X-Forwarded-Host: bench.example", "X-Forwarded-For: 127.0.0.1");
        assertTrue(answer.startsWith("HTTP/1.1 421") || answer.startsWith("HTTP/1.1 400"), answer);
        assertFalse(answer.contains("Set-Cookie"), answer);
    }

    /** Whoever comes through a proxy that nobody told the shop of is not at its machine, although the proxy is. */
    @Test
    @Order(3)
    void whoComesFromElsewhereNeedsTheCodeThatWasPrinted() {
        Visitor far = new Visitor(shop.port()).through("X-Forwarded-For", "192.0.2.7");
        assertTrue(far.get("/first-visit").body().contains("name=\"code\""));
        for (String code : new String[] {"", "KELP-4712"}) {
            HttpResponse<String> refused = far.post("/first-visit", owner("mallory", "code", code));
            assertEquals(422, refused.statusCode());
            assertTrue(refused.body().contains("That is not the code"), refused.body());
            assertTrue(refused.body().contains("Quay Street"), "what was keyed stays");
        }
        assertTrue(shop.bean(People.class).nobodyYet());
    }

    /** A crawler, or a phone that never signs in, leaves nothing behind in the table of sessions. */
    @Test
    @Order(3)
    void aVisitWithoutASignInMakesNoSession() {
        var jdbc = shop.bean(org.springframework.jdbc.core.simple.JdbcClient.class);
        long before = jdbc.sql("select count(*) from spring_session")
                .query(Long.class)
                .single();
        for (int i = 0; i < 5; i++) {
            Visitor visitor = new Visitor(shop.port());
            visitor.get("/");
            visitor.get("/parts/T-0001/face");
            visitor.get("/sign-in");
            visitor.get("/first-visit");
            assertEquals(
                    422, visitor.post("/first-visit", "shopName", "x").statusCode(), "its token works all the same");
            assertEquals(
                    403,
                    visitor.postWithoutToken("/first-visit", "shopName", "x").statusCode());
        }
        assertEquals(
                before,
                jdbc.sql("select count(*) from spring_session")
                        .query(Long.class)
                        .single());
    }

    /** Six press the button at the same moment: one of them owns the shop. */
    @Test
    @Order(4)
    void exactlyOneOwnerIsMade() throws Exception {
        List<Callable<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            Visitor visitor = i == 0
                    ? new Visitor(shop.port()).through("X-Forwarded-For", "192.0.2.7")
                    : new Visitor(shop.port());
            visitor.get("/first-visit");
            String login = "oda" + i;
            all.add(() -> visitor.post("/first-visit", owner(login, "code", "kelp 4711"))
                    .statusCode());
        }
        ExecutorService hands = Executors.newFixedThreadPool(6);
        try {
            List<Integer> answers = new ArrayList<>();
            for (var answer : hands.invokeAll(all)) {
                answers.add(answer.get());
            }
            assertEquals(1, answers.stream().filter(a -> a == 302).count(), answers.toString());
            assertEquals(5, answers.stream().filter(a -> a == 422).count(), answers.toString());
        } finally {
            hands.shutdown();
        }
        assertEquals(1, shop.bean(People.class).all().size());
        Visitor owner = Visitor.signedIn(
                shop.port(), shop.bean(People.class).all().get(0).login());
        String bench = owner.get("/").body();
        assertTrue(bench.contains("Quay Street"));
        assertTrue(bench.contains("Before the first casting") && bench.contains("href=\"/shop/settings\""), bench);
        assertEquals(BenchUnit.THOU, shop.bean(ShopSettings.class).unit(), "as it was said at the first visit");
        assertTrue(owner.get("/parts/new").body().contains("default 2.00 thou"), "and the owner thinks in it");
    }

    /** Nothing to plan is a plan too, and every page of the day says that there is nothing. */
    @Test
    @Order(5)
    void aShopWithoutCastingsHasADayOnWhichNothingIsDone() {
        Visitor owner = Visitor.signedIn(
                shop.port(), shop.bean(People.class).all().get(0).login());
        for (String page :
                List.of("/day", "/day/rule", "/day/rule?days=7&by=people", "/day/sheet", "/day/month", "/calls")) {
            HttpResponse<String> answer = owner.get(page);
            assertEquals(200, answer.statusCode(), page);
            assertFalse(answer.body().contains("not planned yet"), page);
        }
        assertTrue(owner.get("/day").body().contains("no casting waits for these hands"));
        assertTrue(shop.bean(DayPlans.class).now().madeAt().isPresent());
        assertFalse(shop.bean(DayPlans.class).better(), "there is nothing to look for");
    }

    /** Nobody guesses what a shop asks: until it says so, no money is shown. */
    @Test
    @Order(6)
    void withoutPricesNothingIsCounted() {
        Visitor owner = Visitor.signedIn(
                shop.port(), shop.bean(People.class).all().get(0).login());
        PartFile part =
                new HandsOfTests(shop, shop.bean(People.class).all().get(0).id()).book(Material.CAST_IRON);
        String estimate = "/parts/" + part.tag() + "/estimate";
        String page = owner.get(estimate).body();
        assertTrue(page.contains("said no prices yet") && page.contains("href=\"/shop/prices\""), page);
        assertFalse(page.contains("0.00"), "no money is no price of nothing");
        HttpResponse<String> asked =
                owner.post(estimate + "/ask", "id", UUID.randomUUID().toString());
        assertEquals(422, asked.statusCode());
        assertTrue(asked.body().contains("Settings, Prices"), asked.body());
        assertTrue(owner.get("/shop/prices").body().contains("no general value would be right"));
        HttpResponse<String> line = owner.post("/shop/prices/line", "work", "CUT", "each", "90");
        assertEquals(422, line.statusCode());
        assertTrue(line.body().contains("Key first how money is counted"), line.body());
    }
}

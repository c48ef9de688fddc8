package homalon.app.outcome.ask;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import com.microsoft.playwright.Page;
import homalon.app.casting.part.Parts;
import homalon.app.casting.part.StepSource;
import homalon.app.foundation.people.RandomTokens;
import homalon.app.foundation.web.WriteTransaction;
import homalon.app.shop.prices.PriceBook;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;

/** How a customer is asked: the page under its address, the letter, the post. */
@ExtendWith(Browser.class)
class AskPagesTest {
    private static final Pattern ADDRESS = Pattern.compile("http://127\\.0\\.0\\.1:\\d+(/c/([A-Za-z0-9_-]{43}))");
    private static final int GUESSES = 10_000;

    private static int port;
    private static GreenMail mail;
    private static RunningShop.Shop shop;
    private static HandsOfTests hands;
    private static Visitor desk;
    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    @BeforeAll
    static void opens() {
        port = RunningShop.freePort();
        int smtp = RunningShop.freePort();
        mail = new GreenMail(new ServerSetup(smtp, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        mail.start();
        shop = RunningShop.sample(
                OwnDatabase.sampled(),
                List.of(
                        "--homalon.customers.port=" + port,
                        "--homalon.smtp.at=127.0.0.1:" + smtp,
                        "--homalon.smtp.from=bench@saltmarsh.example",
                        "--homalon.smtp.plain=true"));
        hands = new HandsOfTests(shop);
        desk = Visitor.signedIn(shop.port(), "desk");
        assertTrue(shop.bean(PriceBook.class).now().isPresent(), "the sample shop has said prices");
    }

    @AfterAll
    static void closes() {
        shop.close();
        mail.stop();
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static String at(PartFile part) {
        return "/parts/" + part.tag() + "/estimate";
    }

    private static PartFile bent() {
        PartFile part = hands.bookReady();
        hands.read(part, SurveyKind.FACE, s -> 0.3 * Math.sin(s.x() / 60));
        return part;
    }

    /** Path of an address that is made now. */
    private static String made(PartFile part) {
        HttpResponse<String> answer = desk.post(at(part) + "/asking", "id", id());
        assertEquals(200, answer.statusCode(), answer.body());
        Matcher m = ADDRESS.matcher(answer.body());
        assertTrue(m.find(), answer.body());
        return m.group(1);
    }

    private static HttpResponse<String> ask(int on, String method, String path, String body) {
        try {
            return CLIENT.send(
                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + on + path))
                            .header("Content-Type", "application/x-www-form-urlencoded")
                            .method(method, BodyPublishers.ofString(body))
                            .build(),
                    BodyHandlers.ofString());
        } catch (IOException | InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    private static HttpResponse<String> get(String path) {
        return ask(port, "GET", path, "");
    }

    private static String hidden(String body, String name) {
        Matcher m = Pattern.compile("name=\"" + name + "\" value=\"([^\"]*)\"").matcher(body);
        assertTrue(m.find(), name + ": " + body);
        return m.group(1);
    }

    private static HttpResponse<String> choose(String path, String page, String choice, String who, String upTo) {
        return ask(
                port,
                "POST",
                path + "/choice",
                "id=" + hidden(page, "id") + "&mark=" + hidden(page, "mark") + "&known=" + hidden(page, "known")
                        + "&choice=" + choice + "&who=" + who + "&upTo=" + upTo);
    }

    private static Route route(PartFile part) {
        PartFile now = shop.bean(Parts.class).byTag(part.tag());
        return shop.bean(StepSource.class)
                .steps(List.of(now), new LengthWriter(BenchUnit.MM))
                .get(now.visit().id())
                .route();
    }

    @Test
    void itsPortServesNothingElse() {
        PartFile part = bent();
        String path = made(part);
        assertEquals(200, get(path).statusCode());
        for (String other : List.of(
                "/",
                "/sign-in",
                "/first-visit",
                "/alive",
                "/calls",
                "/parts/" + part.tag(),
                "/api/docs",
                "/api/v1/parts",
                "/feeds/x.ics",
                "/assets/app.js",
                "/worker.js",
                "/c/",
                "/c",
                "/c/..%2fcalls",
                path + "/../../calls",
                path + "/letter.pdf",
                path + ";x=y",
                path + "/photos/" + id())) {
            HttpResponse<String> answer = get(other);
            // What hides a stroke is refused by the server itself.
            assertEquals(other.contains("%") ? 400 : 404, answer.statusCode(), other);
            assertFalse(answer.body().contains("Homalon"), other);
        }
        assertEquals(405, ask(port, "PUT", path, "").statusCode());
        assertEquals(405, ask(port, "DELETE", path, "").statusCode());
        assertTrue(get("/robots.txt").body().contains("Disallow: /"));
        // And what is there is not in the shop.
        for (String there : List.of(path, path + "/map.svg", "/c/x", "/%63/" + path.substring(3))) {
            assertEquals(404, ask(shop.port(), "GET", there, "").statusCode(), there);
        }
    }

    /** What it shows compared with what it may show. */
    @Test
    void itShowsThisCastingAndNothingOfOthers() {
        PartFile part = bent();
        HttpResponse<String> page = get(made(part));
        Set<String> tags = new TreeSet<>();
        Matcher m = Pattern.compile("\\b[A-Z]{1,3}-\\d{4}\\b").matcher(page.body());
        while (m.find()) {
            tags.add(m.group());
        }
        assertEquals(Set.of(part.tag()), tags);
        assertTrue(page.body().contains("On arrival, the face read"), page.body());
        assertTrue(page.body().contains("Looked over for cracks by"), page.body());
        assertTrue(page.body().contains("What may still turn up"), page.body());
        JdbcClient jdbc = shop.bean(JdbcClient.class);
        List<String> names = new ArrayList<>(jdbc.sql("select name from customer where name <> ''")
                .query(String.class)
                .list());
        names.addAll(jdbc.sql("select name from person").query(String.class).list());
        for (String name : names) {
            assertFalse(page.body().contains(">" + name + "<"), name);
        }
        assertFalse(page.body().contains("<script"), "no script");
        assertFalse(
                Pattern.compile("href=\"(?!/assets/app)").matcher(page.body()).find(),
                "nothing that leads into the shop but its style");
        var headers = page.headers();
        assertTrue(headers.firstValue("Content-Security-Policy").orElse("").startsWith("default-src 'none';"));
        assertFalse(headers.firstValue("Content-Security-Policy").orElse("").contains("script-src"));
        assertEquals("no-referrer", headers.firstValue("Referrer-Policy").orElse(""));
        assertTrue(headers.firstValue("X-Robots-Tag").orElse("").contains("noindex"));
        assertTrue(headers.firstValue("Cache-Control").orElse("").contains("no-store"));
        assertTrue(headers.firstValue("Set-Cookie").isEmpty(), "no cookie");
    }

    /** On a phone without script: chosen there, seen at the bench; then it is read only. */
    @Test
    void whatIsChosenOnThePhoneIsSeenAtTheBench(Browser.Window window) {
        PartFile part = bent();
        String path = made(part);
        assertEquals(
                Operation.CHOICE,
                route(part).standsAgainst(Operation.CUT).orElseThrow().first());
        List<String> faults = new ArrayList<>();
        Page bench = window.signedIn(shop, "ines", 1280, 800, faults);
        bench.navigate(shop.address() + at(part));
        assertThat(bench.locator("p.said[role=alert]")).containsText("The customer is asked");
        Page phone = window.open("http://127.0.0.1:" + port + path, 390, 844, faults);
        assertEquals(390, phone.evaluate("document.documentElement.scrollWidth"));
        assertThat(phone.locator("img").first()).isVisible();
        assertTrue((Boolean) phone.evaluate("[...document.images].every(i => i.complete && i.naturalWidth > 0)"));
        phone.getByLabel("Your name").fill("the mate");
        phone.getByLabel("To go on").fill("1");
        phone.getByText("Go on with this one").click();
        assertThat(phone.locator("[role=alert]")).containsText("key that or more, or nothing");
        phone.getByLabel("Your name").fill("the mate");
        phone.getByLabel("To go on").fill("900");
        phone.getByText("Go on with this one").click();
        assertThat(phone.locator("[role=status]")).containsText("Go on, said by the mate");
        assertThat(phone.locator("form")).hasCount(0);
        assertThat(bench.locator("body")).containsText("the mate, on the page");
        assertTrue(route(part).standsAgainst(Operation.CUT).isEmpty());
        assertTrue(desk.get(at(part) + "/asking").body().contains("something was chosen since"));
        assertEquals(List.of(), faults);
    }

    @Test
    void whoeverAsksToBeRungIsRung() {
        PartFile part = bent();
        String path = made(part);
        assertEquals(302, choose(path, get(path).body(), "STOP", "mate", "").statusCode());
        assertTrue(route(part).isStopped());
        assertTrue(desk.get("/calls").body().contains("asks to be rung"), "it stands on the list of calls");
    }

    /** An old version, a choice that somebody else made, a double click, an odd one: words, and nothing lost. */
    @Test
    void aChoiceIsOfWhatStandsThere() {
        PartFile part = bent();
        String path = made(part);
        String page = get(path).body();
        HttpResponse<String> odd = choose(path, page, "OWN_PARTS", "mate", "");
        assertEquals(400, odd.statusCode());
        assertTrue(odd.body().contains("Choose one of the three"), odd.body());
        HttpResponse<String> nobody = choose(path, page, "GO_ON", "", "");
        assertEquals(422, nobody.statusCode());
        assertTrue(nobody.body().contains("Say who said so"), nobody.body());
        desk.post(at(part) + "/line", "id", id(), "key", "CUT", "stand", "OWED", "amount", "333");
        HttpResponse<String> old = choose(path, page, "GO_ON", "mate", "");
        assertEquals(422, old.statusCode());
        assertTrue(old.body().contains("The estimate was changed meanwhile"), old.body());
        assertEquals(200, get(path).statusCode(), "what was shown stays");
        String next = made(part);
        String fresh = get(next).body();
        assertTrue(fresh.contains("333.00"), fresh);
        assertEquals(302, choose(next, fresh, "GO_ON", "mate", "").statusCode());
        HttpResponse<String> again = choose(next, fresh.replace(hidden(fresh, "id"), id()), "STOP", "mate", "");
        assertEquals(422, again.statusCode());
        assertTrue(again.body().contains("Nothing is chosen here any more"), again.body());
        assertFalse(route(part).isStopped());
    }

    @Test
    void anAddressThatHoldsNoMoreSaysSo() {
        PartFile part = bent();
        String path = made(part);
        String address = hidden(desk.get(at(part) + "/asking").body(), "address");
        assertEquals(
                200, desk.post(at(part) + "/asking/back", "address", address).statusCode());
        HttpResponse<String> gone = get(path);
        assertEquals(410, gone.statusCode());
        assertTrue(gone.body().contains("The shop has taken this address back"), gone.body());
        assertFalse(gone.body().contains(part.tag()));
        assertEquals(404, get(path + "/map.svg").statusCode());

        String token = RandomTokens.newToken();
        CustomerPageRepository pages = shop.bean(CustomerPageRepository.class);
        CustomerPageRow before =
                pages.findByVisitOrderByMadeAtDesc(part.visit().id()).get(0);
        Instant then = Instant.now().minus(Duration.ofDays(20));
        pages.saveAndFlush(new CustomerPageRow(
                        UUID.randomUUID(), before.visit, before.shown, RandomTokens.hash(token), before.told)
                .made(before.madeBy, then, then.plus(Duration.ofDays(14))));
        HttpResponse<String> expired = get("/c/" + token);
        assertEquals(410, expired.statusCode());
        assertTrue(expired.body().contains("held for a fortnight"), expired.body());
    }

    /** Nobody finds one by guessing, whoever guesses is slowed down, and a right address is answered all the while. */
    @Test
    void guessingFindsNothing() {
        String path = made(bent());
        List<Integer> answers = IntStream.range(0, GUESSES)
                .parallel()
                .mapToObj(i -> get("/c/" + RandomTokens.newToken()).statusCode())
                .toList();
        assertEquals(Set.of(404, 429), Set.copyOf(answers));
        long tried = answers.stream().filter(a -> a == 404).count();
        assertTrue(tried < 100, tried + " were looked up");
        HttpResponse<String> slow = get("/c/" + RandomTokens.newToken());
        assertEquals(429, slow.statusCode());
        assertTrue(slow.body().contains("Too many wrong tries"), slow.body());
        assertEquals(200, get(path).statusCode());
    }

    @Test
    void whatWasShownCannotBeChanged() {
        PartFile part = bent();
        made(part);
        JdbcClient jdbc = shop.bean(JdbcClient.class);
        for (String change : List.of(
                "update customer_page set told = 'x'",
                "update customer_page set expires_at = now() + interval '1 year'",
                "update customer_page set opened = -1",
                "delete from customer_page",
                "delete from sent_mail")) {
            assertThrows(DataAccessException.class, () -> jdbc.sql(change).update(), change);
        }
        UUID customer = jdbc.sql("select p.customer_id from part p join job j on j.part_id = p.id where j.id = ?")
                .param(part.visit().id())
                .query(UUID.class)
                .single();
        shop.bean(WriteTransaction.class).of(() -> {
            shop.bean(AskAddresses.class).forget(customer);
            return true;
        });
        assertEquals(
                0,
                jdbc.sql("select count(*) from customer_page where told <> '' and job_id = ?")
                        .param(part.visit().id())
                        .query(Integer.class)
                        .single());
    }

    /** The letter and the address by post; of the address only a mark is kept. */
    @Test
    void theLetterGoesByPost() throws Exception {
        PartFile part = bent();
        for (String wrong : List.of("", "mate", "a@b, c@d", "mate@harbour.example\r\nBcc: x@y")) {
            HttpResponse<String> refused = desk.post(at(part) + "/asking/post", "id", id(), "to", wrong);
            assertEquals(422, refused.statusCode(), wrong);
            assertTrue(refused.body().contains("Key one mail address"), refused.body());
        }
        assertTrue(route(part).standsAgainst(Operation.CUT).isEmpty(), "nothing was asked by what was refused");
        String once = id();
        for (int i = 0; i < 2; i++) {
            assertEquals(
                    200,
                    desk.post(at(part) + "/asking/post", "id", once, "to", "mate@harbour.example")
                            .statusCode());
        }
        MimeMessage[] received = mail.getReceivedMessages();
        assertEquals(1, received.length, "the same twice is one letter");
        MimeMultipart all = (MimeMultipart) received[0].getContent();
        String text = String.valueOf(
                ((MimeMultipart) all.getBodyPart(0).getContent()).getBodyPart(0).getContent());
        Matcher m = ADDRESS.matcher(text);
        assertTrue(m.find(), text);
        assertEquals(200, get(m.group(1)).statusCode());
        assertEquals(part.tag() + "-estimate-1.pdf", all.getBodyPart(1).getFileName());
        byte[] pdf = all.getBodyPart(1).getInputStream().readAllBytes();
        try (PDDocument letter = Loader.loadPDF(pdf)) {
            String said = new PDFTextStripper().getText(letter);
            assertTrue(said.contains(part.tag()) && said.contains("What it comes to"), said);
            assertFalse(said.contains("null") || said.contains("Optional"), said);
        }
        String kept = desk.get(at(part) + "/asking").body();
        assertTrue(kept.contains("mate@harbour.example"), kept);
        assertFalse(kept.contains(m.group(2)), "the secret is not kept");
        mail.stop();
        try {
            HttpResponse<String> failed =
                    desk.post(at(part) + "/asking/post", "id", id(), "to", "mate@harbour.example");
            assertEquals(200, failed.statusCode());
            assertTrue(failed.body().contains("not sent: "), failed.body());
        } finally {
            mail.start();
        }
    }
}

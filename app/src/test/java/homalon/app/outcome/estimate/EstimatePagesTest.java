package homalon.app.outcome.estimate;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.agreed.ChoiceBook;
import homalon.app.casting.part.Parts;
import homalon.app.casting.part.StepSource;
import homalon.app.testing.AroundTheClock;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What a casting comes to, and what its customer says to that. */
@ExtendWith(Browser.class)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class EstimatePagesTest {
    private static RunningShop.Shop shop;
    private static AroundTheClock open;
    private static HandsOfTests hands;
    private static Visitor marit;
    private static Visitor desk;

    @BeforeAll
    static void opens() {
        open = AroundTheClock.open();
        shop = open.shop();
        hands = open.hands();
        marit = Visitor.signedIn(shop.port(), "marit");
        desk = Visitor.signedIn(shop.port(), "desk");
    }

    @AfterAll
    static void close() {
        shop.close();
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static String at(PartFile part) {
        return "/parts/" + part.tag() + "/estimate";
    }

    private static Route route(PartFile part) {
        PartFile now = shop.bean(Parts.class).byTag(part.tag());
        return shop.bean(StepSource.class)
                .steps(List.of(now), new LengthWriter(BenchUnit.MM))
                .get(now.visit().id())
                .route();
    }

    /** What the page sends beside a choice by itself. */
    private static String hidden(String body, String name) {
        Matcher m = Pattern.compile("name=\"" + name + "\" value=\"([^\"]*)\"").matcher(body);
        assertTrue(m.find(), name);
        return m.group(1);
    }

    /** A choice by whoever sees the page as it is. */
    private static HttpResponse<String> choose(PartFile part, String id, String page, String... keyed) {
        List<String> all =
                new ArrayList<>(List.of("id", id, "mark", hidden(page, "mark"), "known", hidden(page, "known")));
        all.addAll(List.of(keyed));
        return desk.post(at(part) + "/choice", all.toArray(String[]::new));
    }

    /** Clean, looked over, its face far out. */
    private static PartFile bent() {
        PartFile part = hands.bookReady();
        hands.read(part, SurveyKind.FACE, s -> 0.3 * Math.sin(s.x() / 60));
        return part;
    }

    private static HttpResponse<String> keep(String currency, String tax, String rate, String look) {
        return marit.post(
                "/shop/prices",
                "currency",
                currency,
                "tax",
                tax,
                "rate",
                rate,
                "look",
                look,
                "least",
                "45",
                "margin",
                "30",
                "coin",
                "0.05");
    }

    @Test
    @Order(2)
    void theOwnerSaysThePrices() {
        HttpResponse<String> wrong = keep("EURO", "900", "-5", "x");
        assertEquals(422, wrong.statusCode());
        assertTrue(wrong.body().contains("three letters of the currency"), wrong.body());
        assertTrue(wrong.body().contains("value=\"900\""), "what was keyed stands there to be mended");
        assertEquals(422, keep("EUR", "900", "68", "75").statusCode());
        assertEquals(200, keep("EUR", "20", "68", "75").statusCode());
        assertEquals(403, desk.get("/shop/prices").statusCode());
        assertTrue(keep("EUR", "20", "68", "75").body().contains("Nothing was changed."));
        assertTrue(
                marit.post("/shop/prices/line", "work", "CUT", "from", "4", "to", "4", "per", "CASTING", "each", "90")
                        .body()
                        .contains("It is on the list."));
        marit.post("/shop/prices/line", "work", "CUT", "from", "4", "to", "4", "per", "CASTING", "each", "95.50");
        String list = marit.get("/shop/prices/table").body();
        assertTrue(list.contains("cut,,4,4,casting,95.50"), list);
        assertFalse(list.contains("casting,90.00"), "one for the same castings takes its place");
        HttpResponse<String> taken = marit.send(
                "/shop/prices/table?id=" + id(),
                (list + "stitch,aluminium,1,4,piece,22\n").getBytes(StandardCharsets.UTF_8));
        assertTrue(taken.body().contains(" prices taken in."), taken.body());
        HttpResponse<String> broken = marit.send(
                "/shop/prices/table?id=" + id(), "work,each\ncut,5\npolish,4\n".getBytes(StandardCharsets.UTF_8));
        assertTrue(broken.body().contains("Line 3"), broken.body());
        assertTrue(marit.get("/shop/prices/table").body().contains("stitch,aluminium"), "nothing of it was taken");
        String dropped = marit.post(
                        "/shop/prices/line/drop",
                        "work",
                        "stitch",
                        "metal",
                        "aluminium",
                        "from",
                        "1",
                        "to",
                        "4",
                        "per",
                        "piece",
                        "each",
                        "22.00")
                .body();
        assertTrue(dropped.contains("It is off the list."), dropped);
    }

    @Test
    @Order(3)
    void anEstimateGrowsFromWhatWasFound() {
        PartFile part = bent();
        String page = desk.get(at(part)).body();
        assertTrue(page.contains("95.50"), page);
        assertTrue(page.contains("out of its limit"), "the finding that made it");
        assertTrue(page.contains("Spent so far"), page);
        HttpResponse<String> ours =
                desk.post(at(part) + "/line", "id", id(), "key", "CUT", "stand", "OURS", "amount", "80");
        assertEquals(200, ours.statusCode());
        assertTrue(ours.body().contains("<s>80.00</s>"), ours.body());
        for (String amount : List.of("-5", "80 EUR", "1e9")) {
            HttpResponse<String> wrong =
                    desk.post(at(part) + "/line", "id", id(), "key", "CUT", "stand", "OWED", "amount", amount);
            assertEquals(422, wrong.statusCode(), amount);
            assertTrue(wrong.body().contains("Key an amount such as 12.50"), wrong.body());
        }
        assertEquals(
                422,
                desk.post(at(part) + "/line", "id", id(), "key", "NO_SUCH", "stand", "OWED", "amount", "5")
                        .statusCode());
        HttpResponse<String> francs = keep("CHF", "20", "68", "75");
        assertEquals(422, francs.statusCode());
        assertTrue(francs.body().contains(part.tag()), "it has a price in euros");
    }

    @Test
    @Order(4)
    void workWaitsUntilTheCustomerHasSaidSo() {
        PartFile part = bent();
        assertTrue(route(part).standsAgainst(Operation.CUT).isEmpty());
        String asked = id();
        assertEquals(200, desk.post(at(part) + "/ask", "id", asked).statusCode());
        assertEquals(200, desk.post(at(part) + "/ask", "id", asked).statusCode(), "twice the same is one");
        assertEquals(
                Operation.CHOICE,
                route(part).standsAgainst(Operation.CUT).orElseThrow().first());
        assertTrue(desk.get(at(part)).body().contains("The customer is asked"));
        String seen = desk.get(at(part)).body();
        HttpResponse<String> nobody = choose(part, id(), seen, "choice", "GO_ON", "means", "PHONE", "who", " ");
        assertEquals(422, nobody.statusCode());
        assertTrue(nobody.body().contains("Say who said so."), nobody.body());
        String noted = id();
        for (int i = 0; i < 2; i++) {
            assertEquals(
                    200,
                    choose(part, noted, seen, "choice", "GO_ON", "means", "PHONE", "who", "the mate", "upTo", "600")
                            .statusCode());
        }
        assertTrue(route(part).standsAgainst(Operation.CUT).isEmpty());
        String page = desk.get(at(part)).body();
        assertTrue(page.contains("up to EUR 600 without asking"), page);
        UUID visit = part.visit().id();
        assertEquals(
                1, shop.bean(ChoiceBook.class).made(List.of(visit)).get(visit).size());
    }

    /** What a customer saw stays what it was, for whoever holds the database's password too. */
    @Test
    @Order(5)
    void whatWasShownCannotBeChanged() {
        PartFile part = bent();
        desk.post(at(part) + "/ask", "id", id());
        String first = desk.get(at(part) + "/1").body();
        desk.post(at(part) + "/line", "id", id(), "key", "CUT", "stand", "OWED", "amount", "150");
        String now = desk.get(at(part)).body();
        assertTrue(now.contains("95.50 → 150.00"), now);
        assertTrue(desk.get(at(part) + "/1").body().contains("95.50"));
        assertEquals(
                first.substring(first.indexOf("<tbody>"), first.indexOf("</tfoot>")),
                desk.get(at(part) + "/1").body().substring(first.indexOf("<tbody>"), first.indexOf("</tfoot>")));
        assertEquals(404, desk.get(at(part) + "/2").statusCode());
        for (String none : List.of("/0", "/x", "/99999999999", "/-1")) {
            int answer = desk.get(at(part) + none).statusCode();
            assertTrue(answer == 400 || answer == 404, none + ": " + answer);
        }
        choose(part, id(), now, "choice", "GO_ON", "means", "IN_PERSON", "who", "the mate");
        assertTrue(desk.get(at(part) + "/2").body().contains("150.00"), "the choice is of what was asked then");
        JdbcClient jdbc = shop.bean(JdbcClient.class);
        for (String change : List.of(
                "update estimate_shown set shown = '{}'",
                "delete from estimate_shown",
                "update choice_asked set why = 'SUM_PASSED'",
                "update choice_made set choice = 'STOP'",
                "update choice_made set who = 'somebody else'",
                "delete from choice_made",
                "update price_list set rate = 1",
                "delete from price_line")) {
            assertThrows(DataAccessException.class, () -> jdbc.sql(change).update(), change);
        }
        UUID visit = part.visit().id();
        UUID customer = jdbc.sql("select p.customer_id from part p join job j on j.part_id = p.id where j.id = ?")
                .param(visit)
                .query(UUID.class)
                .single();
        shop.bean(AgreedBook.class).forget(customer);
        ChoiceBook.Said left = shop.bean(ChoiceBook.class)
                .made(List.of(visit))
                .get(visit)
                .get(0)
                .said();
        assertEquals("", left.who(), "whoever is erased is named no more");
        assertTrue(desk.get(at(part)).body().contains("the customer, in person"));
    }

    /** What two note of one casting, and what is noted of an estimate that is another by now: words, and nothing lost. */
    @Test
    @Order(7)
    void aChoiceIsOfWhatWasSeen() {
        PartFile part = bent();
        String seen = desk.get(at(part)).body();
        desk.post(at(part) + "/line", "id", id(), "key", "CUT", "stand", "OWED", "amount", "150");
        String[] keyed = {"choice", "STOP", "means", "PHONE", "who", "the mate", "words", "no more of it"};
        HttpResponse<String> old = choose(part, id(), seen, keyed);
        assertEquals(422, old.statusCode());
        assertTrue(old.body().contains("The estimate was changed meanwhile"), old.body());
        assertTrue(old.body().contains("value=\"no more of it\""), "what was keyed stands there still");
        String both = old.body();
        assertEquals(
                200,
                choose(part, id(), both, "choice", "GO_ON", "means", "PHONE", "who", "the owner")
                        .statusCode());
        HttpResponse<String> second = choose(part, id(), both, keyed);
        assertEquals(422, second.statusCode());
        assertTrue(second.body().contains("Somebody noted a choice meanwhile"), second.body());
        assertFalse(route(part).isStopped());
        assertEquals(200, choose(part, id(), second.body(), keyed).statusCode());
        assertTrue(route(part).isStopped(), "whoever thinks it over chooses anew");
    }

    /** Go on up to a sum; what passes it locks the next work before it is begun. */
    @Test
    @Order(8)
    void aSumThatIsPassedIsAskedAgain() {
        PartFile part = bent();
        String seen = desk.get(at(part)).body();
        HttpResponse<String> low =
                choose(part, id(), seen, "choice", "GO_ON", "means", "PHONE", "who", "the mate", "upTo", "60");
        assertEquals(422, low.statusCode());
        assertTrue(low.body().contains("key that or more, or nothing"), low.body());
        assertEquals(
                200,
                choose(part, id(), seen, "choice", "GO_ON", "means", "PHONE", "who", "the mate", "upTo", "600")
                        .statusCode());
        desk.post(at(part) + "/line", "id", id(), "key", "CUT", "stand", "OWED", "amount", "150");
        assertTrue(route(part).standsAgainst(Operation.CUT).isEmpty(), "that is within it");
        desk.post(at(part) + "/line", "id", id(), "key", "CUT", "stand", "OWED", "amount", "520");
        assertEquals(
                Operation.CHOICE,
                route(part).standsAgainst(Operation.CUT).orElseThrow().first());
        String asked = desk.get(at(part)).body();
        assertTrue(asked.contains("It comes to more than was agreed"), asked);
        assertTrue(desk.get("/calls").body().contains("it comes to more than was agreed"));
        assertEquals(
                200,
                choose(part, id(), asked, "choice", "GO_ON", "means", "PHONE", "who", "the mate", "upTo", "900")
                        .statusCode());
        assertTrue(route(part).standsAgainst(Operation.CUT).isEmpty());
    }

    /** Where the shop says so, every customer is asked once the look is done. */
    @Test
    @Order(9)
    void aShopMayAskAfterEveryLook() {
        marit.post(
                "/shop/prices",
                "currency",
                "EUR",
                "tax",
                "20",
                "rate",
                "68",
                "look",
                "75",
                "least",
                "45",
                "margin",
                "30",
                "coin",
                "0.05",
                "asks",
                "LOOK",
                "asks",
                "METAL");
        PartFile part = bent();
        UUID visit = part.visit().id();
        desk.post(at(part) + "/line", "id", id(), "key", "CUT", "stand", "OWED", "amount", "150");
        assertEquals(
                List.of(Finding.LOOK_DONE),
                shop.bean(ChoiceBook.class).asked(List.of(visit)).get(visit).stream()
                        .map(ChoiceBook.Asked::why)
                        .toList());
        String page = desk.get(at(part)).body();
        choose(part, id(), page, "choice", "GO_ON", "means", "PHONE", "who", "the mate", "upTo", "2000");
        desk.post(at(part) + "/line", "id", id(), "key", "CUT", "stand", "OWED", "amount", "160");
        assertTrue(route(part).standsAgainst(Operation.CUT).isEmpty(), "once is enough");
        keep("EUR", "20", "68", "75");
    }

    /** By keyboard: a new one seems cheaper, and the table says that it is not. */
    @Test
    @Order(10)
    void theTableMaySayToRepair(Browser.Window window) {
        PartFile part = bent();
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "desk", 1280, 800, faults);
        page.navigate("http://127.0.0.1:" + shop.port() + at(part) + "/beside");
        page.getByLabel("Which, and from whom").fill("a new one of the merchant's");
        page.getByLabel("New or used").selectOption("AFTERMARKET");
        page.getByLabel("Price, EUR").fill("-4");
        page.getByLabel("Here in days").fill("9");
        page.keyboard().press("Enter");
        assertThat(page.locator("[role=status].said")).containsText("Key an amount such as 12.50");
        assertThat(page.getByLabel("Which, and from whom")).hasValue("a new one of the merchant's");
        page.getByLabel("Price, EUR").fill("60");
        page.getByLabel("To bring it").fill("35");
        page.getByLabel("What nobody can vouch for").fill("its metal");
        page.keyboard().press("Enter");
        assertThat(page.locator("#ways")).containsText("This one costs less than a new one of the merchant's");
        assertThat(page.locator("#ways tbody").first()).containsText("This one");
        assertThat(page.locator("#ways tbody").last()).containsText("its metal");
        page.locator("input[type=range]").focus();
        for (int i = 0; i < 8; i++) {
            page.keyboard().press("ArrowRight");
        }
        assertThat(page.locator("#ways tbody").first()).containsText("a new one of the merchant's");
        desk.post(at(part) + "/ask", "id", id());
        String shown = desk.get(at(part) + "/1").body();
        assertTrue(shown.contains("a new one of the merchant"), "what was shown holds the others too");
        String other = hidden(desk.get(at(part) + "/beside").body(), "other");
        assertEquals(
                200,
                desk.post(at(part) + "/beside/drop", "id", id(), "other", other).statusCode());
        assertEquals(
                422,
                desk.post(at(part) + "/beside/drop", "id", id(), "other", other).statusCode());
        assertThrows(
                DataAccessException.class,
                () -> shop.bean(JdbcClient.class)
                        .sql("delete from other_casting")
                        .update());
        assertEquals(List.of(), faults);
    }

    /** By keyboard: a basket of parts whose look ends in stop, pay for the look. */
    @Test
    @Order(6)
    void aLookMayEndInAStop(Browser.Window window) {
        PartFile part = bent();
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate("http://127.0.0.1:" + shop.port() + at(part));
        page.getByText("Ask before any more work").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("p.said[role=alert]")).containsText("The customer is asked");
        page.getByLabel("What the customer says").selectOption("STOP");
        page.getByLabel("Who says so").fill("the mate");
        page.getByLabel("In their words").fill("not worth it");
        page.keyboard().press("Enter");
        assertThat(page.locator("[role=status].said")).containsText("No more work is done to it");
        assertThat(page.locator("nav [aria-current=step]")).containsText("stop, pay for the look");
        Route route = route(part);
        assertTrue(route.isStopped());
        assertEquals(
                List.of(Operation.OIL_AND_BAG, Operation.HAND_OVER),
                route.openSteps().stream().map(Route.Step::operation).toList());
        HttpResponse<String> cut = open.ines()
                .key("/parts/" + part.tag() + "/cut/readings", "id", id(), "depth", "0.05", "notes", "", "known", "0");
        assertTrue(cut.statusCode() >= 400, "nothing is cut off it: " + cut.statusCode());
        assertEquals(List.of(), faults);
    }
}

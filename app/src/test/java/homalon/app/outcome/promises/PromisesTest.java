package homalon.app.outcome.promises;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.part.Parts;
import homalon.app.testing.AroundTheClock;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.bench.Posted;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.visit.Owed;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A day is promised at intake, what the customer owes is asked for by phone, and the month tells what was kept. */
@ExtendWith(Browser.class)
class PromisesTest {
    private static AroundTheClock open;
    private static RunningShop.Shop shop;
    private static Visitor ines;
    private static Visitor desk;
    private static HandsOfTests hands;

    @BeforeAll
    static void opens() {
        open = AroundTheClock.open();
        shop = open.shop();
        ines = open.ines();
        desk = Visitor.signedIn(shop.port(), "desk");
        hands = open.hands();
    }

    @AfterAll
    static void close() {
        shop.close();
    }

    private static LocalDate today() {
        return LocalDate.now(ZoneId.systemDefault());
    }

    private static String ready(PartFile part) {
        return "/parts/" + part.tag() + "/ready";
    }

    private static AgreedBook agreed() {
        return shop.bean(AgreedBook.class);
    }

    private static PartFile again(PartFile part) {
        return shop.bean(Parts.class).byTag(part.tag());
    }

    private static Posted posted() {
        return open.plan();
    }

    @Test
    void aCastingThatWasJustBookedInHasADayInEightyOfAHundred() {
        PartFile head = hands.book(Material.CAST_IRON);
        String page = desk.get(ready(head)).body();
        assertTrue(page.contains("in 80 of 100, by"), page);
        Posted.Ready told = posted().ready().get(head.tag());
        String offered =
                LocalDate.ofInstant(told.most(), ZoneId.systemDefault()).toString();
        assertTrue(page.contains("name=\"day\" required=\"required\" value=\"" + offered + "\""), page);
        assertTrue(page.contains("What holds it up"), page);
        assertTrue(page.contains("No day was asked for."), page);
    }

    @Test
    void aPromiseIsKeptAsItWasSaidAndAnotherDayIsSaidBesideIt() {
        PartFile head = hands.book(Material.CAST_IRON);
        String first = AroundTheClock.id();
        LocalDate near = today().plusDays(9);
        LocalDate far = today().plusDays(20);
        assertEquals(
                200,
                desk.post(ready(head) + "/promise", "id", first, "day", near.toString(), "told", "the mate")
                        .statusCode());
        assertEquals(
                200,
                desk.post(ready(head) + "/promise", "id", first, "day", far.toString())
                        .statusCode(),
                "twice the same is one");
        assertEquals(
                1,
                agreed().promises(List.of(head.visit().id()))
                        .get(head.visit().id())
                        .size());
        assertEquals(Optional.of(near), again(head).visit().promised());
        String page = desk.post(ready(head) + "/promise", "id", AroundTheClock.id(), "day", far.toString())
                .body();
        assertTrue(page.contains("put off"), page);
        assertTrue(page.contains("told to the mate"), page);
        assertEquals(Optional.of(far), again(head).visit().promised());
    }

    private static void pass(PartFile part, String machine, String at) {
        shop.bean(JdbcClient.class)
                .sql("""
                        insert into ledger_line (id, part_id, job_id, kind, depth_nm, machine, by_person, at)
                        values (gen_random_uuid(), ?, ?, 'PASS', 50000, ?, ?, cast(? as timestamptz))""")
                .params(part.id(), part.visit().id(), machine, hands.ines(), "2020-03-" + at + "Z")
                .update();
    }

    private static void waits(PartFile part, String detail, String at) {
        shop.bean(JdbcClient.class)
                .sql("""
                        insert into change_line (id, job_id, what, detail, by_person, at)
                        values (gen_random_uuid(), ?, 'STUCK', ?, ?, cast(? as timestamptz))""")
                .params(part.visit().id(), detail, hands.ines(), "2020-03-" + at + "Z")
                .update();
    }

    /** Two castings of a month long ago, of two metals, on one machine; one waited for its customer, then for parts. */
    @Test
    void theMonthTellsHoursSetUpsAndWaiting() {
        PartFile iron = hands.book(Material.CAST_IRON);
        PartFile light = hands.book(Material.ALUMINIUM);
        for (String at : List.of("10 10:00", "10 10:10", "10 10:20", "10 10:50", "11 09:00", "11 09:04")) {
            pass(iron, "old", at);
        }
        pass(light, "old", "10 12:00");
        pass(light, "old", "10 12:09");
        pass(light, "new", "12 12:00");
        waits(iron, "customer: whether it is worth it", "02 08:00");
        waits(iron, "parts: rings", "05 08:00");
        waits(iron, "goes on", "09 08:00");
        for (PartFile part : List.of(iron, light)) {
            shop.bean(JdbcClient.class)
                    .sql(
                            "update job set opened_at = '2020-03-01 08:00Z', released_at = '2020-03-13 08:00Z', released_by = ? where id = ?")
                    .params(hands.ines(), part.visit().id())
                    .update();
        }
        String month = desk.get("/day/month?of=2020-03")
                .body()
                .replaceAll("<[^>]+>", " ")
                .replaceAll("\\s+", " ");
        // A pause of half an hour was something else; what was written once tells nothing.
        assertTrue(month.contains("Cut the face 33 min All of it 33 min"), month);
        assertTrue(month.contains(" 2 times a surfacer went from one metal to another: 40 min by the shop"), month);
        assertTrue(month.contains("2 castings handed over, here for 12 days in the mean."), month);
        assertTrue(month.contains("On the customer 36 h On parts 2 days "), month);
        for (String page : List.of("/ready", "/report")) {
            String one = desk.get("/parts/" + iron.tag() + page)
                    .body()
                    .replaceAll("<[^>]+>", " ")
                    .replaceAll("\\s+", " ");
            assertTrue(one.contains("Cut the face 24 min In hands, as far as it was seen 24 min Here 12 days"), one);
            assertTrue(
                    one.contains("waiting on the customer 3 days waiting on parts 4 days waiting for nobody 5 days"),
                    one);
        }
        assertTrue(desk.get("/day/month?of=2020-04").body().contains("Nothing was handed over in it."));
    }

    /** Said once, on either of them; whoever remembers the other sees it too. */
    @Test
    void aHeadAndTheBlockOfItsEngineAreSeenTogether() {
        PartFile head = hands.book(Material.CAST_IRON);
        PartFile block = hands.book(Material.CAST_IRON, PartKind.DECK);
        PartFile other = hands.book(Material.CAST_IRON, PartKind.DECK);
        desk.post(
                ready(head) + "/promise",
                "id",
                AroundTheClock.id(),
                "day",
                today().plusDays(12).toString());
        posted();
        assertTrue(desk.get(ready(block)).body().contains("Nothing is said to go with it"));
        assertEquals(
                302,
                ines.post("/parts/" + block.tag() + "/compare", "with", head.tag())
                        .statusCode());
        assertEquals(List.of(block.tag()), again(head).visit().with());
        assertEquals(List.of(head.tag()), again(block).visit().with());
        posted();
        String page = desk.get(ready(block)).body();
        assertTrue(page.contains("with " + head.tag() + "</a>"), page);
        assertTrue(page.contains("All of it in 80 of 100 by"), page);
        String bench = ines.get("/?step=CLEAN").body();
        assertTrue(bench.contains("with " + head.tag()), bench);
        // It lies on another block after all.
        var moved = ines.post("/parts/" + head.tag() + "/compare", "with", other.tag());
        assertEquals(302, moved.statusCode(), moved.body());
        assertEquals(List.of(), again(block).visit().with());
        assertEquals(List.of(other.tag()), again(head).visit().with());
        assertEquals(List.of(head.tag()), again(other).visit().with());
    }

    @Test
    void daysThatCannotBeAreRefusedInASentence() {
        PartFile head = hands.book(Material.CAST_IRON);
        String past = today().minusDays(1).toString();
        var refused = desk.post(ready(head) + "/promise", "id", AroundTheClock.id(), "day", past);
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("Key a day from today on"), refused.body());
        assertEquals(
                422,
                desk.post(ready(head) + "/owed", "id", AroundTheClock.id(), "what", "OTHER", "words", " ")
                        .statusCode());
        assertEquals(
                422,
                desk.post(ready(head) + "/call", "id", AroundTheClock.id(), "said", "  ")
                        .statusCode());
        assertEquals(
                422,
                desk.post(ready(head) + "/came", "owed", AroundTheClock.id()).statusCode());
        assertTrue(agreed().promises(List.of(head.visit().id())).isEmpty());
        assertTrue(agreed().owed(List.of(head.visit().id())).isEmpty());
    }

    @Test
    void aPromiseThatFallsBeforeAnArrivalIsFlaggedAndTheCustomerIsToBeRung() {
        PartFile head = hands.book(Material.CAST_IRON);
        desk.post(
                ready(head) + "/promise",
                "id",
                AroundTheClock.id(),
                "day",
                today().plusDays(6).toString());
        assertFalse(desk.get("/calls").body().contains(">" + head.tag() + "<"), "nothing stands against it");
        String page = desk.post(
                        ready(head) + "/owed",
                        "id",
                        AroundTheClock.id(),
                        "what",
                        "CAPS",
                        "words",
                        "front",
                        "expected",
                        today().plusDays(8).toString())
                .body();
        assertTrue(page.contains("and waits for this until"), page);
        assertTrue(page.contains("caps of its bearings: front"), page);
        String calls = desk.get("/calls").body();
        assertTrue(calls.contains(">" + head.tag() + "<"), calls);
        assertTrue(calls.contains("said for"), calls);
    }

    /** Said where the order is written, and on the bench beside the day. */
    @Test
    void aPromiseThatFallsBeforeAnOrderedPartIsFlaggedOnThePartsList() {
        PartFile head = hands.book(Material.CAST_IRON);
        String list = "/parts/" + head.tag() + "/parts-list";
        desk.post(
                ready(head) + "/promise",
                "id",
                AroundTheClock.id(),
                "day",
                today().plusDays(6).toString());
        String[] rings = {
            "id",
            AroundTheClock.id(),
            "code",
            "",
            "quantity",
            "4",
            "words",
            "rings",
            "operation",
            "INSERT",
            "promised",
            ""
        };
        rings[11] = today().plusDays(3).toString();
        ines.key(list + "/order", rings);
        assertFalse(ines.get(list).body().contains("and waits for this until"), "they come in time");
        rings[1] = AroundTheClock.id();
        rings[11] = today().plusDays(9).toString();
        ines.key(list + "/order", rings);
        assertTrue(
                ines.get(list).body().contains("and waits for this until"),
                ines.get(list).body());
        String bench = ines.get("/?customer=" + URLEncoder.encode(head.customer(), StandardCharsets.UTF_8))
                .body();
        assertTrue(bench.contains("promised</span>"), bench);
    }

    @Test
    void oneOfTwoThingsHoldsUpOnlyWhatNeedsItAndTheRestGoesOn() {
        PartFile head = hands.book(Material.CAST_IRON);
        LocalDate caps = today().plusDays(5);
        desk.post(
                ready(head) + "/owed",
                "id",
                AroundTheClock.id(),
                "what",
                "DOWELS",
                "expected",
                today().plusDays(3).toString());
        String page = desk.post(
                        ready(head) + "/owed",
                        "id",
                        AroundTheClock.id(),
                        "what",
                        "OTHER",
                        "words",
                        "the lifting eye",
                        "expected",
                        caps.toString())
                .body();
        assertTrue(page.contains("Meanwhile"), page);
        Posted plan = posted();
        Instant morning = caps.atStartOfDay(ZoneId.systemDefault()).toInstant();
        assertTrue(plan.line(head.tag() + "/CLEAN").orElseThrow().told().from().isBefore(morning));
        assertFalse(
                plan.line(head.tag() + "/HAND_OVER").orElseThrow().told().from().isBefore(morning),
                "the later of the two holds");
        UUID eye = agreed().owed(List.of(head.visit().id())).get(head.visit().id()).stream()
                .filter(o -> o.wanting().what() == Owed.OTHER)
                .findFirst()
                .orElseThrow()
                .id();
        desk.post(ready(head) + "/came", "owed", eye.toString());
        assertTrue(posted().line(head.tag() + "/HAND_OVER")
                .orElseThrow()
                .told()
                .from()
                .isBefore(morning));
    }

    @Test
    void anAnswerStopsTheCastingUntilTheLastOneIsThere() {
        PartFile head = hands.book(Material.CAST_IRON);
        desk.post(ready(head) + "/owed", "id", AroundTheClock.id(), "what", "ANSWER", "words", "which guides");
        desk.post(ready(head) + "/owed", "id", AroundTheClock.id(), "what", "ANSWER", "words", "the price");
        assertEquals(Optional.of(StuckOn.CUSTOMER), again(head).visit().stuck().map(PartFile.Stuck::on));
        List<UUID> answers = agreed()
                .owed(List.of(head.visit().id()))
                .get(head.visit().id())
                .stream()
                .map(AgreedBook.Owing::id)
                .toList();
        desk.post(ready(head) + "/came", "owed", answers.get(0).toString());
        assertTrue(again(head).visit().stuck().isPresent(), "one is owed still");
        desk.post(ready(head) + "/came", "owed", answers.get(1).toString());
        assertTrue(again(head).visit().stuck().isEmpty(), "it goes on");
    }

    @Test
    void whoWasRungAndSaidToRingAgainLaterStandsBehindTheOthers() {
        PartFile one = hands.book(Material.CAST_IRON);
        PartFile other = hands.book(Material.CAST_IRON);
        for (PartFile part : List.of(one, other)) {
            desk.post(ready(part) + "/owed", "id", AroundTheClock.id(), "what", "GASKET");
        }
        desk.post(
                ready(one) + "/call",
                "id",
                AroundTheClock.id(),
                "said",
                "at sea",
                "again",
                today().plusDays(2).toString());
        String calls = desk.get("/calls").body();
        assertTrue(calls.contains("at sea"), calls);
        assertTrue(
                calls.indexOf(">" + other.tag() + "<") < calls.indexOf(">" + one.tag() + "<"),
                "of two that owe the same");
    }

    @Test
    void theMonthTellsWhatWasKeptAndNoShareOfAFew() {
        PartFile head = hands.book(Material.ALUMINIUM);
        desk.post(ready(head) + "/promise", "id", AroundTheClock.id(), "day", today().toString());
        desk.post(
                ready(head) + "/promise",
                "id",
                AroundTheClock.id(),
                "day",
                today().plusDays(1).toString());
        String month = desk.get("/day/month").body();
        assertTrue(month.contains(head.tag()), month);
        assertTrue(month.contains("put off"), month);
        assertFalse(month.contains(" of 100<"), "from fewer than ten no share is told");
        assertEquals(422, desk.get("/day/month?of=last").statusCode());
        assertTrue(desk.get("/day/month?of=2019-02").body().contains("February 2019"));
    }

    @Test
    void theDeskPromisesADayAndRingsByKeysAlone(Browser.Window window) {
        List<String> faults = new ArrayList<>();
        PartFile head = hands.book(Material.CAST_IRON);
        posted();
        Page page = window.signedIn(shop, "desk", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + head.tag() + "/route");
        page.keyboard().press("g");
        page.keyboard().press("w");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("What holds it up")))
                .isVisible();
        Locator day = page.getByLabel("Promise this day");
        day.focus();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.STATUS)
                        .filter(new Locator.FilterOptions().setHasText("That day is promised.")))
                .isVisible();
        page.getByLabel("What exactly").focus();
        page.keyboard().type("repair or replace");
        page.keyboard().press("Enter");
        assertThat(page.getByText("An answer: repair or replace").first()).isVisible();
        page.keyboard().press("Escape");
        page.navigate(shop.address() + "/");
        page.keyboard().press("g");
        page.keyboard().press("x");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Whom to ring")))
                .isVisible();
        assertThat(page.getByText(head.tag())).isVisible();
        assertEquals(List.of(), faults);
    }
}

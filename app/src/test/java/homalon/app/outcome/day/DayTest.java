package homalon.app.outcome.day;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.shop.crew.CrewBook;
import homalon.app.testing.AroundTheClock;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.bench.DayPlan;
import homalon.core.bench.Hindrance;
import homalon.core.bench.Posted;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.StationKind;
import homalon.core.hours.Stretch;
import homalon.core.hours.WeekHours;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import java.net.http.HttpResponse;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The bench day of the sample shop, open around the clock so that it has one whenever this runs. */
@ExtendWith(Browser.class)
class DayTest {
    private static AroundTheClock open;
    private static RunningShop.Shop shop;
    private static Visitor ines;
    private static Visitor marit;
    private static HandsOfTests hands;

    @BeforeAll
    static void opens() {
        open = AroundTheClock.open();
        shop = open.shop();
        ines = open.ines();
        marit = open.marit();
        hands = open.hands();
    }

    @AfterAll
    static void close() {
        shop.close();
    }

    @AfterEach
    void everythingRuns() {
        CrewBook crew = shop.bean(CrewBook.class);
        crew.down().forEach(d -> crew.up(d.id()));
    }

    private static Posted plan() {
        return open.plan();
    }

    @Test
    void whatIsWrittenPlansAnewAndWhatIsNotDoesNot() {
        plan();
        assertFalse(shop.bean(DayPlans.class).look(), "nothing was written");
        PartFile head = hands.book(Material.CAST_IRON);
        assertTrue(shop.bean(DayPlans.class).look(), "a casting came");
        assertTrue(plan().line(head.tag() + "/CLEAN").isPresent());
        assertFalse(shop.bean(DayPlans.class).look());
    }

    /** After an upgrade the plan before may be in a form that nobody knows any more. */
    @Test
    void aPlanThatCannotBeReadIsMadeAnew() {
        plan();
        shop.bean(JdbcClient.class)
                .sql("insert into posted_plan (made_at, made_from, plan) values (now(), 'elsewhere', '{\"lines\":7}')")
                .update();
        assertEquals(200, ines.get("/day").statusCode());
        assertTrue(plan().lines().size() > 60);
    }

    @Test
    void whoeverWritesAboutACastingIsAtIt() {
        PartFile head = hands.book(Material.CAST_IRON);
        plan();
        assertEquals(
                200,
                ines.key(
                                "/parts/" + head.tag() + "/clean",
                                "id",
                                AroundTheClock.id(),
                                "method",
                                "SOLVENT",
                                "what",
                                "SOLVENT")
                        .statusCode());
        Posted plan = plan();
        assertTrue(plan.line(head.tag() + "/CLEAN").isEmpty(), "that is done");
        Posted.Line next = AroundTheClock.line(plan, head.tag() + "/CRACK_CHECK");
        assertEquals(
                hands.ines().toString(), next.told().parts().get(0).person(), "whoever cleaned it goes on with it");
        assertTrue(!next.told().from().isAfter(Instant.now()), next::toString);
        String day = ines.get("/day").body();
        assertTrue(day.contains("Crack check"), day);
        assertTrue(day.indexOf("class=\"now\"") < day.indexOf("class=\"next\""), day);
        assertTrue(day.indexOf(head.tag()) < day.indexOf("class=\"next\""), "it stands first");
    }

    @Test
    void whereNobodyDoesItThatIsToldAndNothingBreaks() {
        CrewBook crew = shop.bean(CrewBook.class);
        List<UUID> all = crew.workers().stream().map(w -> w.person().id()).toList();
        all.forEach(w -> crew.keep(w, true, EnumSet.of(StationKind.TANK), Optional.empty()));
        try {
            Posted plan = plan();
            assertTrue(
                    plan.stands().stream().anyMatch(h -> h.kind() == Hindrance.Kind.NOBODY), plan.stands()::toString);
            assertTrue(ines.get("/day/rule").body().contains("nobody who works there is in the shop"));
        } finally {
            all.forEach(w -> crew.keep(w, true, EnumSet.allOf(StationKind.class), Optional.empty()));
        }
        assertTrue(plan().stands().stream().noneMatch(h -> h.kind() == Hindrance.Kind.NOBODY));
    }

    @Test
    void hoursAreKeptAsTheyAreKeyedAndRefusedInASentence() {
        HttpResponse<String> wrong = marit.key("/shop/crew/hours", "mon", "7:30-26");
        assertEquals(422, wrong.statusCode());
        assertTrue(wrong.body().contains("is no time of a day"), wrong.body());
        assertEquals(422, marit.key("/shop/crew/hours", "mon", "").statusCode());
        HttpResponse<String> kept = marit.key("/shop/crew/hours", "mon", "6-14", "sat", "7-11:30");
        assertEquals(200, kept.statusCode());
        WeekHours week = shop.bean(CrewBook.class).ownHours().orElseThrow();
        assertEquals(
                Map.of(
                        DayOfWeek.MONDAY, List.of(new Stretch(360, 840)),
                        DayOfWeek.SATURDAY, List.of(new Stretch(420, 690))),
                week.days());
        shop.bean(CrewBook.class).useHours(AroundTheClock.ALWAYS);
    }

    @Test
    void daysOffStationsAndSetUpsAreRefusedInASentence() {
        LocalDate today = LocalDate.now(ZoneId.systemDefault());
        for (String[] bad : new String[][] {
            {
                "/shop/crew/off",
                "id",
                AroundTheClock.id(),
                "from",
                today.plusDays(3).toString(),
                "to",
                today.toString()
            },
            {
                "/shop/crew/off",
                "id",
                AroundTheClock.id(),
                "from",
                today.minusDays(3).toString()
            },
            {
                "/shop/crew/off",
                "id",
                AroundTheClock.id(),
                "from",
                today.plusDays(3).toString(),
                "to",
                "2999-01-01"
            },
            {"/shop/crew/stations", "name", " ", "kind", "OVEN", "holds", "1"},
            {"/shop/crew/stations", "name", "Oven 2", "kind", "OVEN", "holds", "0"},
            {"/shop/crew/stations/retire", "station", AroundTheClock.id()},
            {"/shop/crew/changes", "SURFACER", "-3", "OVEN", "2"},
            {"/day/down", "id", AroundTheClock.id(), "station", AroundTheClock.id()},
        }) {
            HttpResponse<String> answer = marit.key(bad[0], Arrays.copyOfRange(bad, 1, bad.length));
            assertEquals(422, answer.statusCode(), bad[0] + " " + answer.body());
            assertTrue(answer.body().contains("role=\"status\""), answer.body());
        }
        assertTrue(marit.key("/shop/crew/stations", "name", "Oven 2", "kind", "OVEN", "holds", "3")
                .body()
                .contains("Oven 2 is in the list."));
        assertEquals(
                422,
                marit.key("/shop/crew/stations", "name", "oven 2", "kind", "OVEN", "holds", "3")
                        .statusCode());
        assertEquals(
                200,
                marit.key("/shop/crew/changes", "SURFACER", "25", "OVEN", "0").statusCode());
        assertEquals(
                Map.of(StationKind.SURFACER, 25, StationKind.OVEN, 0),
                shop.bean(CrewBook.class).changes());
    }

    @Test
    void whatRunsAtNightIsWhatTheShopSays() {
        CrewBook crew = shop.bean(CrewBook.class);
        assertEquals(ShopCrew.USUAL_NIGHTS, crew.crew().nights());
        assertTrue(marit.get("/shop/crew").body().contains("The usual (default)"));
        HttpResponse<String> said = marit.key("/shop/crew/nights", "runs", "OVEN", "runs", "PRESS");
        assertTrue(said.body().contains("Nights are planned like that from now on."), said.body());
        assertFalse(said.body().contains("The usual (default)"), said.body());
        assertEquals(Set.of(StationKind.OVEN, StationKind.PRESS), crew.crew().nights());
        assertEquals(200, marit.key("/shop/crew/nights").statusCode());
        assertEquals(Set.of(), crew.crew().nights(), "nothing at all is an answer too");
        crew.useNights(ShopCrew.USUAL_NIGHTS);
        assertEquals(ShopCrew.USUAL_NIGHTS, crew.crew().nights());
    }

    @Test
    void onDaysOffNothingIsPlanned() {
        LocalDate today = LocalDate.now(ZoneId.systemDefault());
        assertEquals(
                200,
                marit.key(
                                "/shop/crew/off",
                                "id",
                                AroundTheClock.id(),
                                "from",
                                today.toString(),
                                "to",
                                today.plusDays(1).toString(),
                                "why",
                                "stocktaking")
                        .statusCode());
        Instant open = today.plusDays(2).atStartOfDay(ZoneId.systemDefault()).toInstant();
        Posted plan = plan();
        assertTrue(plan.told().stream().noneMatch(t -> t.from().isBefore(open)), "closed for two days");
        UUID off = shop.bean(CrewBook.class).off().get(0).id();
        assertEquals(
                200, marit.key("/shop/crew/off/back", "off", off.toString()).statusCode());
        assertTrue(plan().told().stream().anyMatch(t -> t.from().isBefore(open.minus(Duration.ofHours(1)))));
    }

    /** From the list to the page on which it is keyed, back, and why the next is not earlier; no mouse. */
    @Test
    void aDayIsWorkedFromTheListByKeysAlone(Browser.Window window) {
        List<String> faults = new ArrayList<>();
        PartFile head = hands.book(Material.CAST_IRON);
        ines.key("/parts/" + head.tag() + "/clean", "id", AroundTheClock.id(), "method", "SOLVENT", "what", "SOLVENT");
        plan();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.keyboard().press("g");
        page.keyboard().press("0");
        assertThat(page.locator(".day-list > li.now").first()).containsText(head.tag());
        page.locator(".day-row").first().focus();
        page.keyboard().press("Enter");
        assertThat(page).hasURL(Pattern.compile("/parts/" + head.tag() + "/cracks$"));
        ines.key("/parts/" + head.tag() + "/cracks/checked", "id", AroundTheClock.id(), "method", "EYES");
        plan();
        page.locator("h1").first().click();
        page.keyboard().press("g");
        page.keyboard().press("0");
        Locator first = page.locator(".day-list > li.now").first();
        assertThat(first).containsText(head.tag());
        assertThat(first).not().containsText("Crack check");
        page.locator(".day-why").last().focus();
        page.keyboard().press("Enter");
        assertThat(page.getByText("Why not earlier?")).isVisible();
        assertThat(page.locator("ol.list-decimal > li").first()).not().isEmpty();
        Locator piece = page.locator(".steel-rule a").last();
        String asked = piece.getAttribute("aria-label");
        piece.focus();
        page.keyboard().press("Enter");
        assertThat(page).hasURL(Pattern.compile("work="));
        assertThat(page.locator("h2").first()).hasText(asked.substring(0, asked.indexOf(':')));
        assertEquals(List.of(), faults);
    }

    /** Once for each plan; what comes of it is legal, told as searched, and no worse. */
    @Test
    void theSolverLooksOnceForABetterPlan() {
        Posted before = plan();
        assertFalse(before.gap().searched());
        shop.bean(DayPlans.class).better();
        Posted after = shop.bean(DayPlans.class).now().posted();
        assertTrue(after.gap().searched());
        assertTrue(after.gap().late() <= before.gap().late(), after.gap() + " after " + before.gap());
        assertTrue(after.gap().lateAtLeast() <= after.gap().late(), after.gap()::toString);
        assertEquals(
                before.told().stream().map(DayPlan.Told::work).collect(Collectors.toSet()),
                after.told().stream().map(DayPlan.Told::work).collect(Collectors.toSet()));
        assertFalse(shop.bean(DayPlans.class).better(), "it has looked");
        assertFalse(shop.bean(DayPlans.class).look(), "and nothing was written");
        hands.book(Material.CAST_IRON);
        assertFalse(plan().gap().searched(), "another plan is looked at anew");
    }

    /** Somebody knows better than the general value, and takes it back. */
    @Test
    void workIsPlannedWithWhatTheShopTakes() {
        PartFile head = hands.book(Material.CAST_IRON);
        String work = head.tag() + "/HAND_OVER";
        Function<Posted, Long> minutes = p -> Duration.between(
                        AroundTheClock.line(p, work).told().from(),
                        AroundTheClock.line(p, work).told().to())
                .toMinutes();
        assertEquals(5, minutes.apply(plan()));
        String page = ines.get("/day/times").body();
        assertTrue(page.contains("a default"), page);
        String[] say = {"id", AroundTheClock.id(), "operation", "HAND_OVER", "cylinders", "4", "minutes", "35"};
        assertTrue(ines.post("/day/times", say).body().contains("said here"));
        assertEquals(35, minutes.apply(plan()));
        ines.post("/day/times", "id", AroundTheClock.id(), "operation", "HAND_OVER", "cylinders", "4", "minutes", "0");
        assertEquals(5, minutes.apply(plan()));
        assertEquals(
                422,
                ines.post(
                                "/day/times",
                                "id",
                                AroundTheClock.id(),
                                "operation",
                                "CUT",
                                "cylinders",
                                "99",
                                "minutes",
                                "5")
                        .statusCode());
        assertEquals(
                403,
                Visitor.signedIn(shop.port(), "desk").key("/day/times", say).statusCode());
        assertEquals(200, ines.get("/day/times?cylinders=77").statusCode());
    }

    @Test
    void theDeskReadsAndChangesNothing() {
        Visitor desk = Visitor.signedIn(shop.port(), "desk");
        assertEquals(200, desk.get("/day/rule?by=people&days=7").statusCode());
        assertEquals(
                403,
                desk.key("/day/down", "id", AroundTheClock.id(), "station", "SURFACER")
                        .statusCode());
        assertEquals(403, ines.key("/shop/crew/hours", "mon", "1-2").statusCode());
    }
}

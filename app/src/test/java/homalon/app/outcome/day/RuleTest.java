package homalon.app.outcome.day;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.casting.part.Parts;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.shop.crew.CrewBook;
import homalon.app.testing.AroundTheClock;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.bench.Posted;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The rule: why each piece is where it is, what if, and what somebody says of it: down, pinned, held, sent elsewhere. */
@ExtendWith(Browser.class)
class RuleTest {
    /** So many are few enough for whoever has no mouse: a field for a time takes one for each of its parts. */
    private static final int MOST_TABS = 20;

    private static AroundTheClock open;
    private static RunningShop.Shop shop;
    private static Visitor ines;

    @BeforeAll
    static void opens() {
        open = AroundTheClock.open();
        shop = open.shop();
        ines = open.ines();
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
    void aMachineThatIsDownAtTenIsPlannedWithout() {
        LocalDateTime until =
                LocalDateTime.now(ZoneId.systemDefault()).plusHours(30).withNano(0);
        String surfacer = open.surfacer();
        HttpResponse<String> said = ines.key(
                "/day/down",
                "id",
                AroundTheClock.id(),
                "station",
                surfacer,
                "to",
                until.toString(),
                "why",
                "belt torn");
        assertEquals(200, said.statusCode(), said.body());
        assertTrue(said.body().contains("planned without it"), said.body());
        assertTrue(said.body().contains("belt torn"), said.body());
        assertTrue(said.body().contains("class=\"piece hands\""), "the others stay on the rule");
        Instant mended = until.atZone(ZoneId.systemDefault()).toInstant();
        List<Instant> cuts = plan().told().stream()
                .filter(t -> t.work().endsWith("/CUT"))
                .map(t -> t.from())
                .toList();
        assertFalse(cuts.isEmpty());
        assertTrue(cuts.stream().noneMatch(c -> c.isBefore(mended)), () -> cuts + " before " + mended);
        String down = shop.bean(CrewBook.class).down().get(0).id().toString();
        assertEquals(200, ines.key("/day/up", "down", down).statusCode());
        assertTrue(plan().told().stream()
                .filter(t -> t.work().endsWith("/CUT"))
                .anyMatch(t -> t.from().isBefore(mended)));
    }

    @Test
    void whatIsCutInARowIsPutTogetherFromThere() {
        List<String> row = plan().inARow(Operation.CUT).stream().findFirst().orElseThrow();
        List<PartFile> parts =
                row.stream().map(t -> shop.bean(Parts.class).byTag(t)).toList();
        assertTrue(row.size() > 1, row::toString);
        assertEquals(1, parts.stream().map(PartFile::material).distinct().count(), "of one metal: one set-up");
        String link = "/batch?with=" + row.get(0)
                + row.stream().map(t -> "&amp;tag=" + t).collect(Collectors.joining());
        String rule = ines.get("/day/rule").body();
        assertTrue(rule.contains(link), () -> link + " in " + rule);
        String table = ines.get(link.replace("&amp;", "&")).body();
        for (PartFile part : parts) {
            assertTrue(table.contains("id=\"on-" + part.tag() + "\""), part.tag() + " in " + table);
            part.visit()
                    .promised()
                    .ifPresent(day -> assertTrue(
                            Pattern.compile("on-" + part.tag() + "\".*?promised", Pattern.DOTALL)
                                    .matcher(table)
                                    .find(),
                            part.tag()));
        }
        assertTrue(table.contains(">Due</th>"), table);
    }

    @Test
    void whatIsOnlyTriedIsNotKept() {
        String surfacer = open.surfacer();
        Posted before = plan();
        String until = LocalDate.now(ZoneId.systemDefault()).plusDays(2).toString();
        String tried =
                ines.get("/day/rule?down=" + surfacer + "&until=" + until).body();
        assertTrue(tried.contains("Only tried"), tried);
        assertTrue(tried.contains("cut the face: from "), tried);
        assertFalse(shop.bean(DayPlans.class).look(), "nothing was written");
        assertEquals(before, shop.bean(DayPlans.class).now().posted());
        assertFalse(ines.get("/day/rule").body().contains("Only tried"));
        for (String odd : List.of("until=x&rush=T-0412", "until=1999-01-01&away=x", "rush=T-9999&down=%F0%9F%98%80")) {
            assertEquals(200, ines.get("/day/rule?" + odd).statusCode(), odd);
        }
    }

    @Test
    void everyPieceTellsWhyItIsNotEarlier() {
        Posted plan = plan();
        assertTrue(plan.lines().size() > 60, plan.lines().size() + " works");
        for (Posted.Line line : plan.lines().subList(0, 20)) {
            HttpResponse<String> page =
                    ines.get("/day/rule?work=" + URLEncoder.encode(line.told().work(), StandardCharsets.UTF_8));
            assertEquals(200, page.statusCode());
            assertTrue(page.body().contains("<li>"), line.told().work());
        }
        assertEquals(200, ines.get("/day/rule?work=nothing&by=whom&days=99").statusCode());
        assertEquals(404, ines.get("/day?who=" + UUID.randomUUID()).statusCode());
    }

    private static HttpResponse<String> say(String how, String work, String... more) {
        List<String> all = new ArrayList<>(List.of("id", AroundTheClock.id(), "work", work));
        all.addAll(List.of(more));
        return ines.key("/day/" + how, all.toArray(String[]::new));
    }

    private static String local(Instant at) {
        return LocalDateTime.ofInstant(at, ZoneId.systemDefault()).toString();
    }

    private static Posted.Line later(Posted plan, String operation) {
        Instant far = Instant.now().plus(Duration.ofHours(1));
        return plan.lines().stream()
                .filter(l -> l.told().work().endsWith("/" + operation)
                        && l.told().from().isAfter(far))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatIsPinnedStaysUntilThePinIsTakenOff() {
        Posted.Line cut = later(plan(), "CUT");
        String work = cut.told().work();
        Instant begins = cut.told().to().plus(Duration.ofHours(30)).truncatedTo(ChronoUnit.MINUTES);
        String person = open.hands().ines().toString();
        HttpResponse<String> said = say(
                "pin",
                work,
                "at",
                local(begins),
                "station",
                open.surfacer(),
                "person",
                person,
                "by",
                "people",
                "days",
                "7");
        assertEquals(200, said.statusCode(), said.body());
        assertTrue(said.body().contains("Pinned: the rest is planned around it."), said.body());
        assertTrue(said.body().contains("Pinned: begins "), said.body());
        assertTrue(said.body().contains("What everybody does"), "the same look at the rule");
        assertTrue(said.body().contains("in hand or pinned"), "it is told on the piece too");
        Posted.Line pinned = AroundTheClock.line(plan(), work);
        assertEquals(begins, pinned.told().from());
        assertEquals(person, pinned.told().parts().get(0).person());
        assertFalse(shop.bean(DayPlans.class).look(), "it holds");
        HttpResponse<String> off = say("unpin", work);
        assertTrue(off.body().contains("The pin is off"), off.body());
        assertFalse(off.body().contains("Pinned: begins "), off.body());
        assertTrue(AroundTheClock.line(plan(), work).told().from().isBefore(begins));
    }

    @Test
    void whoeverPinsSeesThePlanThatFollowsThoughOneIsBeingMade() throws InterruptedException {
        DayPlans plans = shop.bean(DayPlans.class);
        Posted before = plan();
        AtomicBoolean over = new AtomicBoolean();
        Thread other = new Thread(() -> {
            while (!over.get()) {
                plans.look();
                LockSupport.parkNanos(1_000_000);
            }
        });
        Instant far = Instant.now().plus(Duration.ofHours(2));
        List<Posted.Line> some = before.lines().stream()
                .filter(l -> l.told().work().endsWith("/CUT") && l.told().from().isAfter(far))
                .limit(3)
                .toList();
        assertFalse(some.isEmpty());
        other.start();
        try {
            for (Posted.Line line : some) {
                String work = line.told().work();
                HttpResponse<String> said =
                        say("pin", work, "at", local(line.told().from().truncatedTo(ChronoUnit.MINUTES)), "days", "7");
                assertTrue(said.body().contains("Pinned: the rest is planned around it."), said.body());
                String pinned = work.substring(0, work.indexOf('/')) + ", cut the face, in hand or pinned";
                assertTrue(said.body().contains(pinned), () -> pinned + " in " + said.body());
            }
        } finally {
            over.set(true);
            other.join();
            some.forEach(l -> say("unpin", l.told().work()));
        }
    }

    @Test
    void whatIsHeldWaitsAndWhatIsSentGoesThere() {
        Posted.Line clean = later(plan(), "FACE_CHECK");
        String work = clean.told().work();
        LocalDate day = LocalDate.now(ZoneId.systemDefault()).plusDays(9);
        HttpResponse<String> held = say("hold", work, "day", day.toString());
        assertTrue(held.body().contains("Held: it is not begun before."), held.body());
        Instant from = day.atStartOfDay(ZoneId.systemDefault()).toInstant();
        assertFalse(AroundTheClock.line(plan(), work).told().from().isBefore(from));
        String marit = shop.bean(CrewBook.class).workers().stream()
                .filter(w -> w.person().name().startsWith("Marit"))
                .map(w -> w.person().id().toString())
                .findFirst()
                .orElseThrow();
        HttpResponse<String> sent = say("send", work, "person", marit);
        assertTrue(sent.body().contains("by Marit"), sent.body());
        Posted.Line then = AroundTheClock.line(plan(), work);
        assertTrue(then.told().from().isBefore(from), "the last that was said holds");
        assertTrue(then.told().parts().stream()
                .allMatch(p -> p.person().isEmpty() || p.person().equals(marit)));
        say("unpin", work);
    }

    @Test
    void aPinThatCannotBeKeptIsToldOnEveryPageOfTheDay() {
        Posted.Line cut = later(plan(), "CUT");
        String work = cut.told().work();
        String surfacer = open.surfacer();
        Instant begins = Instant.now().plus(Duration.ofHours(50)).truncatedTo(ChronoUnit.MINUTES);
        assertEquals(
                200, say("pin", work, "at", local(begins), "station", surfacer).statusCode());
        String until = local(begins.plus(Duration.ofHours(2)));
        open.marit().key("/day/down", "id", AroundTheClock.id(), "station", surfacer, "to", until, "why", "belt");
        assertEquals(1, plan().unkept().size(), () -> plan().unkept().toString());
        for (String page : List.of("/day", "/day/rule")) {
            String told = ines.get(page).body();
            assertTrue(told.contains("and cannot be there. Surfacer cannot be used before."), told);
        }
        say("unpin", work);
        assertEquals(List.of(), plan().unkept());
    }

    @Test
    void whatCannotBeSaidIsRefusedInASentence() {
        String work = later(plan(), "CUT").told().work();
        Instant ahead = Instant.now().plus(Duration.ofHours(5));
        for (HttpResponse<String> bad : List.of(
                say("pin", work, "at", local(ahead.minus(Duration.ofDays(2)))),
                say("pin", work, "at", local(ahead.plus(Duration.ofDays(90)))),
                say("pin", work, "at", local(ahead), "station", AroundTheClock.id()),
                say("pin", work, "at", local(ahead), "person", AroundTheClock.id()),
                say("send", work, "person", "nobody"),
                say("hold", work, "day", "1999-01-01"),
                say(
                        "hold",
                        "T-9999/CUT",
                        "day",
                        LocalDate.now(ZoneId.systemDefault()).toString()))) {
            assertEquals(422, bad.statusCode(), bad.body());
            assertTrue(bad.body().contains("role=\"status\""), bad.body());
        }
        assertEquals(List.of(), plan().unkept());
        assertEquals(
                403,
                Visitor.signedIn(shop.port(), "desk")
                        .key("/day/unpin", "id", AroundTheClock.id(), "work", work)
                        .statusCode());
    }

    /** Chosen on the rule, held for a week, and let go again; no mouse. */
    @Test
    void aPieceIsHeldByKeysAlone(Browser.Window window) {
        List<String> faults = new ArrayList<>();
        plan();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/day/rule");
        Locator piece = page.locator(".steel-rule a.hands").last();
        piece.focus();
        page.keyboard().press("Enter");
        assertThat(page).hasURL(Pattern.compile("work=.*#chosen"));
        assertThat(page.locator("#chosen")).isFocused();
        Locator hold = page.locator("#chosen form[action='/day/hold'] button");
        for (int i = 0;
                i < MOST_TABS && !Boolean.TRUE.equals(hold.evaluate("b => b === document.activeElement"));
                i++) {
            page.keyboard().press("Tab");
        }
        assertThat(hold).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.locator("[role=status].said")).containsText("Held: it is not begun before.");
        assertThat(page.locator("#chosen")).isFocused();
        Locator off = page.locator("#chosen form[action='/day/unpin'] button");
        assertThat(off).isVisible();
        off.focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("[role=status].said")).containsText("The pin is off");
        assertEquals(List.of(), faults);
    }
}

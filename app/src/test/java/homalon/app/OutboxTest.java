package homalon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import homalon.app.check.face.Surveys;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What waits in the browser: what its store refuses, what the server says to it, how many windows there are. */
@ExtendWith({RunningShop.class, Browser.class})
class OutboxTest {
    private static final LocatorAssertions.HasTextOptions SOON =
            new LocatorAssertions.HasTextOptions().setTimeout(15_000);

    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private PartFile part;

    OutboxTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
    }

    @BeforeEach
    void book() {
        HandsOfTests hands = new HandsOfTests(shop);
        part = hands.book(Material.ALUMINIUM);
        hands.prepare(part);
    }

    private String face() {
        return shop.address() + "/parts/" + part.tag() + "/face";
    }

    private Page started() {
        Page page = window.signedIn(shop, "ines");
        page.navigate(face());
        if (page.locator("input.key").count() == 0) {
            page.locator(".act button").press("Enter");
        }
        assertThat(page.locator("input.key")).isFocused();
        return page;
    }

    private static void key(Page page, String... values) {
        for (String value : values) {
            page.keyboard().type(value);
            page.keyboard().press("Enter");
        }
    }

    private List<String> typed() {
        SurveyFile survey = shop.bean(Surveys.class).find(part, SurveyKind.FACE).orElseThrow();
        return survey.history().stream().map(SurveyFile.ReadingFile::typed).toList();
    }

    private static void refuse(Page page) {
        page.addInitScript(
                "IDBObjectStore.prototype.add = function () { throw new DOMException('full', 'QuotaExceededError'); }");
        page.reload();
        assertThat(page.locator("input.key")).isFocused();
    }

    /** Seen before: "all kept" over two readings that were nowhere. */
    @Test
    void aStoreThatRefusesStopsTheHandUntilTheServerHasWhatWasKeyed() {
        Page page = started();
        refuse(page);
        page.context().setOffline(true);
        key(page, "0.012");
        assertThat(page.locator("#status"))
                .hasText("this browser keeps nothing: leave this page open, 1 not kept yet", SOON);
        key(page, "0.013");
        assertThat(page.locator(".keying .say")).containsText("This browser keeps nothing");
        assertThat(page.locator("input.key")).hasValue("0.013");
        page.context().setOffline(false);
        assertThat(page.locator("#status")).hasText("all kept", SOON);
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(2);
        assertThat(page.locator("#status")).hasText("all kept", SOON);
        assertEquals(List.of("0.012", "0.013"), typed());
    }

    @Test
    void aBrowserThatCannotRunTheProgramSaysSo() {
        Page page = started();
        assertThat(page.locator("#old")).isHidden();
        page.route(
                "**/assets/app*.js",
                route -> route.fulfill(new Route.FulfillOptions()
                        .setContentType("text/javascript")
                        .setBody("what no browser = can { read")));
        page.reload();
        assertThat(page.locator("#old")).isVisible();
        assertThat(page.locator("#old")).containsText("too old to keep what is keyed");
    }

    @Test
    void aStoreThatIsForbiddenIsNoHindranceWhereTheServerAnswers() {
        Page page = started();
        page.addInitScript("indexedDB.open = function () { throw new DOMException('no', 'SecurityError'); }");
        page.reload();
        assertThat(page.locator("input.key")).isFocused();
        key(page, "0.012");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(1);
        key(page, "0.013");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(2);
        assertThat(page.locator("#status")).hasText("all kept", SOON);
        assertEquals(List.of("0.012", "0.013"), typed());
    }

    /** Whatever says no to a reading is shown beside it, once; what says later is tried again, in order. */
    @ParameterizedTest
    @ValueSource(ints = {400, 404, 409, 410, 413, 415, 422, 431})
    void aRefusalIsShownBesideItsReadingAndNotTriedForEver(int status) {
        Page page = started();
        AtomicInteger asked = new AtomicInteger();
        page.route("**/readings", route -> {
            if (asked.incrementAndGet() == 1) {
                route.fulfill(new Route.FulfillOptions().setStatus(status).setBody("not like this"));
            } else {
                route.resume();
            }
        });
        key(page, "0.012");
        assertThat(page.locator(".keying .say")).containsText("not like this");
        assertThat(page.locator("input.key")).hasValue("0.012");
        assertEquals(1, asked.get(), "asked once");
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(1);
        assertEquals(List.of("0.012"), typed());
    }

    @ParameterizedTest
    @ValueSource(ints = {408, 425, 429, 500, 502, 503, 504})
    void whatSaysLaterIsTriedAgainInOrder(int status) {
        Page page = started();
        AtomicInteger asked = new AtomicInteger();
        page.route("**/readings", route -> {
            if (asked.incrementAndGet() <= 2) {
                route.fulfill(new Route.FulfillOptions().setStatus(status).setBody("later"));
            } else {
                route.resume();
            }
        });
        key(page, "0.012", "0.013", "0.014");
        assertThat(page.locator("#status")).containsText("waiting here");
        assertThat(page.locator("#walk [data-state=read]"))
                .hasCount(3, new LocatorAssertions.HasCountOptions().setTimeout(15_000));
        assertEquals(List.of("0.012", "0.013", "0.014"), typed());
    }

    /** Two windows share one list: one of them sends, each reading once, the oldest first. */
    @Test
    void twoWindowsSendOneListOnce() {
        Page one = started();
        Page two = one.context().newPage();
        two.navigate(face());
        assertThat(two.locator("input.key")).isFocused();
        one.context().setOffline(true);
        one.bringToFront();
        key(one, "0.021", "0.022");
        two.bringToFront();
        two.locator("input.key").focus();
        assertThat(two.locator("[data-show=count]")).containsText("place");
        key(two, "0.023");
        AtomicInteger sent = new AtomicInteger();
        one.context().onRequest(r -> {
            if (r.url().endsWith("/readings")) {
                sent.incrementAndGet();
            }
        });
        one.context().setOffline(false);
        assertThat(one.locator("#status")).hasText("all kept", SOON);
        assertThat(two.locator("#status")).hasText("all kept", SOON);
        assertTrue(typed().containsAll(List.of("0.021", "0.022")), typed().toString());
        assertEquals(0, typed().indexOf("0.021"), typed().toString());
        assertEquals(typed().stream().distinct().count(), typed().size(), "each once");
    }
}

package homalon.app.foundation.door;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.check.face.SurveyStarts;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.people.DeviceKeys;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.Net;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.face.PlaceProposal;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A tablet away from the net: castings in hand open and are keyed, and nothing of them can be read once somebody has signed out. */
@ExtendWith({RunningShop.class, Browser.class})
class AwayTest {
    private final Net net;
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;
    private final List<String> faults = new ArrayList<>();

    AwayTest(RunningShop.Shop shop, Browser.Window window) {
        this.net = new Net(shop);
        this.shop = net.through(shop);
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    @AfterEach
    void close() throws IOException {
        net.close();
    }

    private PartFile begun() {
        PartFile part = hands.bookReady();
        shop.bean(SurveyStarts.class)
                .start(part, SurveyKind.FACE, PlaceProposal.Density.USUAL, RuleBook.DEFAULT_UNCERTAINTY, hands.ines());
        return part;
    }

    private SurveyFile survey(PartFile part) {
        return shop.bean(Surveys.class).find(part, SurveyKind.FACE).orElseThrow();
    }

    private Page tablet() {
        Page page = window.openKeeping(shop.address() + "/sign-in", 768, 1024, faults);
        Browser.Window.signIn(page, shop, "ines");
        return page;
    }

    private static void waitForKept(Page page, String path) {
        page.waitForCondition(
                () -> Boolean.TRUE.equals(
                        page.evaluate("async (p) => Boolean(await (await caches.open('pages')).match(p))", path)),
                new Page.WaitForConditionOptions().setTimeout(30_000));
    }

    /** Until the worker answers for the page. */
    private void open(Page page, String path) {
        page.navigate(shop.address() + path);
        page.waitForFunction("() => navigator.serviceWorker.controller");
    }

    /** The net is cut, which the browser also notices by itself. */
    private void away(Page page, boolean is) {
        if (is) {
            net.cut();
        } else {
            net.mend();
        }
        page.context().setOffline(is);
    }

    /** That a page's own asking is not answered away from the net is noted, and is no fault. */
    private void assertNoFaults() {
        assertEquals(
                List.of(), faults.stream().filter(f -> !f.startsWith("htmx:")).toList());
    }

    @Test
    void aCastingInHandOpensIsKeyedAndSentInOrderLater() {
        PartFile part = begun();
        Page page = tablet();
        open(page, "/parts/" + part.tag() + "/face");
        waitForKept(page, "/parts/" + part.tag() + "/clean");
        away(page, true);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/clean");
        assertThat(page.locator("#status")).containsText("as it stood at");
        assertThat(page.locator("#cleaned")).isVisible();
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        for (String typed : List.of("0.01", "0.02", "0.03")) {
            page.keyboard().type(typed);
            page.keyboard().press("Enter");
        }
        assertThat(page.locator("#status")).containsText("3 waiting here");
        assertEquals(0, survey(part).read(), "the server has none of them yet");
        page.reload();
        assertThat(page.locator("#status")).containsText("3 waiting here");
        assertEquals(0, survey(part).read());
        away(page, false);
        assertThat(page.locator("#status")).containsText("all kept");
        assertEquals(
                List.of("0.01", "0.02", "0.03"),
                survey(part).history().stream()
                        .map(SurveyFile.ReadingFile::typed)
                        .toList());
        assertNoFaults();
    }

    @Test
    void aPageThatIsNotHereSaysWhichAre() {
        PartFile part = begun();
        Page page = tablet();
        open(page, "/parts/" + part.tag() + "/face");
        waitForKept(page, "/parts/" + part.tag() + "/face");
        away(page, true);
        page.navigate(shop.address() + "/parts/T-9998/face");
        assertThat(page.locator("main")).containsText("not on this device");
        page.locator("main a")
                .filter(new Locator.FilterOptions().setHasText(part.tag() + ", face"))
                .click();
        assertThat(page.locator("#status")).containsText("as it stood at");
        // With other words behind its address it is the same page.
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face?place=none");
        assertThat(page.locator("#status")).containsText("as it stood at");
        away(page, false);
        assertNoFaults();
    }

    @Test
    void afterSignOutNothingCanBeReadAndWhatWasNotSentWaitsForItsPerson() {
        PartFile part = begun();
        Page page = tablet();
        open(page, "/parts/" + part.tag() + "/face");
        waitForKept(page, "/parts/" + part.tag() + "/face");
        page.navigate(shop.address() + "/person");
        away(page, true);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        page.keyboard().type("0.0123");
        page.keyboard().press("Enter");
        assertThat(page.locator("#status")).containsText("1 waiting here");
        signOutHere(page);
        assertThat(page.locator("main")).containsText("nobody is signed in on this device");
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        assertThat(page.locator("main")).containsText("no page is kept here");
        String kept = lying(page);
        assertTrue(kept.contains("sealed"), kept);
        assertFalse(kept.contains("0123") || kept.contains(part.tag()), kept);

        away(page, false);
        page.navigate(shop.address() + "/");
        assertThat(page).hasURL(Pattern.compile(".*/sign-in.*"));
        assertThat(page.locator("input[name=login]")).isFocused();
        assertEquals("null", String.valueOf(page.evaluate("localStorage.getItem('homalon-owes-a-sign-out')")));
        Browser.Window.signIn(page, shop, "brannoc");
        assertThat(page.locator("#status")).containsText("all kept");
        assertEquals(0, survey(part).read());
        page.navigate(shop.address() + "/person");
        page.getByText("Sign out").click();
        assertThat(page.locator("input[name=login]")).isFocused();
        Browser.Window.signIn(page, shop, "ines");
        assertThat(page.locator("#status")).containsText("all kept");
        page.waitForCondition(() -> survey(part).read() == 1);
        assertEquals("0.0123", survey(part).history().get(0).typed());
        assertEquals("[]", lying(page));
    }

    /** In the morning a browser opens the door in seven tabs at once: the last one's token is that of them all. */
    @Test
    void theDoorLetsInThoughAnotherTabOpenedItLater() {
        Page page = window.openKeeping(shop.address() + "/sign-in", 1280, 800, faults);
        page.context().clearCookies();
        Page other = page.context().newPage();
        other.navigate(shop.address() + "/sign-in");
        other.close();
        Browser.Window.signIn(page, shop, "ines");
        assertThat(page).hasURL(shop.address() + "/");
    }

    /** What the page cannot put right the server says: key it once more, on a page whose token holds. */
    @Test
    void aTokenThatIsNoneAnyMoreLeadsBackToTheDoor() {
        Page page = window.openKeeping(shop.address() + "/sign-in", 1280, 800, faults);
        page.locator("input[name=login]").fill("ines");
        page.locator("input[name=password]").fill("saltmarsh-demo");
        page.evaluate("""
                () => {
                  document.querySelector('input[name=_csrf]').value = 'none any more';
                  document.querySelector('form[action="/sign-in"]').submit();
                }""");
        assertThat(page.locator("main")).containsText("key login and password once more");
        Browser.Window.signIn(page, shop, "ines");
        assertThat(page).hasURL(shop.address() + "/");
    }

    /** An answer that is none of a sign-out leaves it owed: the session is not over because something came back. */
    @Test
    void aSignOutThatIsRefusedIsOwed() {
        Page page = tablet();
        page.evaluate("document.querySelector('meta[name=csrf]').content = 'none any more'");
        signOutHere(page);
        assertThat(page.locator("input[name=login]")).isFocused();
        assertEquals("null", String.valueOf(page.evaluate("localStorage.getItem('homalon-owes-a-sign-out')")));
        page.navigate(shop.address() + "/person");
        assertThat(page).hasURL(Pattern.compile(".*/sign-in.*"));
    }

    /** As the button does, on a page that holds none. */
    private static void signOutHere(Page page) {
        page.evaluate("""
                () => {
                  const form = Object.assign(document.createElement('form'), { method: 'post', action: '/sign-out' });
                  document.body.append(form);
                  form.requestSubmit();
                }""");
        page.waitForURL(Pattern.compile(".*/sign-in.*"));
    }

    /** What lies in the browser's own store, as text. */
    private static String lying(Page page) {
        return (String) page.evaluate("""
                () => new Promise((ok) => {
                  const asked = indexedDB.open('homalon');
                  asked.onsuccess = () => {
                    const all = asked.result.transaction('outbox').objectStore('outbox').getAll();
                    all.onsuccess = () => {
                      asked.result.close();
                      ok(JSON.stringify(all.result.map((r) => ({ ...r, sealed: r.sealed && new TextDecoder('latin1').decode(r.sealed) }))));
                    };
                  };
                })""");
    }

    @Test
    void itCanBeInstalledAndAKeyIsOfOnePersonAlone() {
        Visitor visitor = new Visitor(shop.port());
        assertTrue(visitor.get("/manifest.webmanifest").body().contains("\"display\":\"standalone\""));
        assertEquals(200, visitor.get("/worker.js").statusCode());
        assertTrue(visitor.get("/worker.js")
                .headers()
                .firstValue("Cache-Control")
                .orElse("")
                .contains("no-cache"));
        assertEquals(200, visitor.get("/assets/icon-192.png").statusCode());
        DeviceKeys keys = shop.bean(DeviceKeys.class);
        byte[] own = keys.of(hands.ines());
        assertEquals(32, own.length);
        assertArrayEquals(own, keys.of(hands.ines()));
        assertEquals(302, visitor.get("/person/device-key").statusCode());
        assertEquals(
                403,
                Visitor.signedIn(shop.port(), "ines")
                        .get("/shop/left-key/" + hands.ines())
                        .statusCode());
        assertEquals(
                404,
                Visitor.signedIn(shop.port(), "marit")
                        .get("/shop/left-key/" + hands.ines())
                        .statusCode());
    }
}

package homalon.app.casting.work;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.route.StepKind;
import homalon.core.rulebook.OwnLines;
import homalon.core.visit.PartFile;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Lines of one's own, from the settings and from one casting, ticked at the cleaning and before it leaves. */
@ExtendWith({RunningShop.class, Browser.class})
class OwnTicksTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final Visitor ines;
    private final Visitor marit;
    private final Browser.Window window;

    OwnTicksTest(RunningShop.Shop shop, Browser.Window window) {
        this.window = window;
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.ines = Visitor.signedIn(shop.port(), "ines");
        this.marit = Visitor.signedIn(shop.port(), "marit");
        marit.get("/shop/settings");
    }

    @AfterEach
    void asItWas() {
        shop.bean(ShopSettings.class).use(OwnLines.NONE, hands.ines());
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private String said(PartFile part, String step) {
        return ines.get("/parts/" + part.tag() + "/" + step)
                .body()
                .replaceAll("<[^>]+>", " ")
                .replaceAll("\\s+", " ");
    }

    @Test
    void aLineOfTheShopIsAskedForOnEveryCastingAndHoldsItBack() {
        PartFile part = hands.bookFor("Lines Yard");
        marit.post("/shop/settings/lines", "cleaning", "", "leaving", "Studs back in\n\nTag tied on");
        assertTrue(said(part, "report").contains("to tick: Studs back in"), "here since before it was asked for");
        HttpResponse<String> refused =
                ines.post("/parts/" + part.tag() + "/report", "note", "the customer waits at the door");
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("To tick before it leaves: Studs back in, Tag tied on."), refused.body());
        String line = "/parts/" + part.tag() + "/report/lines";
        ines.post(line + "/tick", "id", id(), "line", "studs back in");
        ines.post(line + "/tick", "id", id(), "line", "Tag tied on");
        String now = said(part, "report");
        assertFalse(now.contains("to tick:"), now);
        assertTrue(now.contains("Studs back in Ines"), now);
        assertTrue(now.contains("Small checks signed for: Studs back in, Tag tied on"), now);
        assertEquals(
                302,
                ines.post("/parts/" + part.tag() + "/report", "note", "the customer waits at the door")
                        .statusCode());
    }

    /** The owner answers for what is passed over, with a reason. */
    @Test
    void theOwnerHandsItOverWithout() {
        PartFile part = hands.bookFor("Lines Yard");
        ines.get("/parts/" + part.tag() + "/report");
        ines.post("/parts/" + part.tag() + "/report/lines", "id", id(), "line", "restrictors in");
        assertEquals(
                422,
                ines.post("/parts/" + part.tag() + "/report", "note", "goes back raw")
                        .statusCode());
        marit.get("/parts/" + part.tag() + "/report");
        assertEquals(
                422, marit.post("/parts/" + part.tag() + "/report", "note", "").statusCode(), "not without a reason");
        assertEquals(
                302,
                marit.post("/parts/" + part.tag() + "/report", "note", "goes back raw")
                        .statusCode());
    }

    @Test
    void aLineForOneCastingIsPutDownTickedAndTakenBack() {
        PartFile part = hands.bookFor("Lines Yard");
        PartFile other = hands.bookFor("Lines Yard");
        OwnTicks ticks = shop.bean(OwnTicks.class);
        String clean = "/parts/" + part.tag() + "/clean/lines";
        ines.get("/parts/" + part.tag() + "/clean");
        ines.key(clean, "id", id(), "line", " debris out of the  chain chest ");
        assertEquals("debris out of the chain chest:open", told(ticks, part));
        assertEquals("", told(ticks, other));
        HttpResponse<String> twice = ines.key(clean, "id", id(), "line", "Debris out of the chain chest");
        assertEquals(422, twice.statusCode());
        assertTrue(twice.body().contains("stands there already"), twice.body());
        assertEquals(422, ines.key(clean, "id", id(), "line", "  ").statusCode());
        assertEquals(422, ines.key(clean, "id", id(), "line", "x".repeat(81)).statusCode());
        ines.key(clean + "/tick", "id", id(), "line", "debris out of the chain chest");
        assertEquals("debris out of the chain chest:done", told(ticks, part));
        OwnTicks.Line done = ticks.at(part, StepKind.CLEAN).get(0);
        ines.key(clean + "/take-back", "id", id(), "entry", String.valueOf(done.takeBack()));
        assertEquals("debris out of the chain chest:open", told(ticks, part));
        OwnTicks.Line open = ticks.at(part, StepKind.CLEAN).get(0);
        ines.key(clean + "/take-back", "id", id(), "entry", String.valueOf(open.takeBack()));
        assertEquals("", told(ticks, part));
        assertEquals(
                422,
                ines.key(clean + "/tick", "id", id(), "line", "debris out of the chain chest")
                        .statusCode(),
                "nobody asks for it any more");
    }

    private static String told(OwnTicks ticks, PartFile part) {
        return ticks.at(part, StepKind.CLEAN).stream()
                .map(l -> l.words() + (l.open() ? ":open" : ":done"))
                .collect(Collectors.joining(","));
    }

    @Test
    void whatIsTickedTwiceIsWrittenOnce() {
        PartFile part = hands.bookFor("Lines Yard");
        ines.get("/parts/" + part.tag() + "/clean");
        shop.bean(ShopSettings.class).use(new OwnLines(List.of("plugs out"), List.of()), hands.ines());
        ines.key("/parts/" + part.tag() + "/clean/lines/tick", "id", id(), "line", "plugs out");
        ines.key("/parts/" + part.tag() + "/clean/lines/tick", "id", id(), "line", "Plugs out");
        assertEquals(
                1,
                shop.bean(WorkLog.class).of(part).stream()
                        .filter(e -> e.kind() == WorkEntry.Kind.LINE_TICKED)
                        .count());
    }

    @Test
    void onlyAnOwnerSetsLinesAndTooManyAreRefused() {
        ines.get("/parts/new");
        assertEquals(
                403, ines.post("/shop/settings/lines", "leaving", "anything").statusCode());
        HttpResponse<String> many =
                marit.post("/shop/settings/lines", "leaving", "a\nb\nc\nd\ne\nf\ng\nh\ni\nj\nk\nl\nm");
        assertEquals(422, many.statusCode());
        assertTrue(many.body().contains("At most 12 lines"), many.body());
        assertTrue(many.body().contains("\nl\nm"), "what was keyed is there to be shortened");
        assertEquals(OwnLines.NONE, shop.bean(ShopSettings.class).lines());
    }

    /** One key ticks it on the last page as well, and the hand stays on the page. */
    @Test
    void oneKeyTicksALineBeforeItLeaves() {
        PartFile part = hands.bookFor("Lines Yard");
        shop.bean(ShopSettings.class).use(new OwnLines(List.of(), List.of("studs back in")), hands.ines());
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/report");
        assertThat(page.locator("[data-number='1']")).isFocused();
        page.keyboard().press("6");
        assertThat(page.locator("#leaving .done")).containsText("studs back in");
        assertThat(page.locator("[data-number='1']")).isFocused();
        assertEquals(List.of(), faults);
    }
}

package homalon.app.check.feelers;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import homalon.app.casting.part.Parts;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** By keys alone: a survey by feelers whose within says its chance, and which blade to try where while it is open. */
@ExtendWith({RunningShop.class, Browser.class})
class ChanceByFeelersTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;

    ChanceByFeelersTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    private FeelerFile now(PartFile part) {
        return shop.bean(FeelerSurveys.class).find(part, FeelerKind.FACE).orElseThrow();
    }

    private final Pattern open = Pattern.compile("1 in [0-9]+");

    private PartFile started(Page page) {
        PartFile part = hands.bookReady();
        page.navigate(shop.address() + "/parts/" + part.tag() + "/feelers");
        page.locator(".act button").first().press("Enter");
        assertThat(page.locator("#walk [data-state=open]")).not().hasCount(0);
        return part;
    }

    /** Keys one answer at the place in hand, and waits until the page stands as it says. */
    private static void key(Page page, String typed) {
        String version = page.locator("#walk").getAttribute("data-version");
        page.keyboard().type(typed);
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk")).not().hasAttribute("data-version", version);
        assertThat(page.locator("#figures form[data-lays]")).hasCount(0, PATIENT);
    }

    private static final LocatorAssertions.HasCountOptions PATIENT =
            new LocatorAssertions.HasCountOptions().setTimeout(20_000);

    /** On each line: it sits still, and no blade goes anywhere. */
    @Test
    void withinSaysItsChanceOnThePageAndInTheReport() {
        Page page = window.signedIn(shop, "ines");
        PartFile part = started(page);
        int lines = now(part).lines().size();
        Locator verdict = page.locator("#figures .verdict");
        int laid = 0;
        while (laid < lines && !verdict.getAttribute("class").contains("within")) {
            key(page, "0");
            laid++;
        }
        assertTrue(laid >= 5, "an edge on all five lines at the least: " + laid);
        assertThat(verdict).containsText("Within");
        assertThat(verdict)
                .containsText(Pattern.compile("Over somewhere between the edges: (fewer than )?1 in [0-9]+"));
        assertThat(page.locator("#figures table")).containsText("in 9 of 10");
        assertThat(page.locator("#strip")).containsText("within, by feelers");
        String paper = Visitor.signedIn(shop.port(), "ines")
                .get("/parts/" + part.tag() + "/report")
                .body();
        assertTrue(paper.contains("Over somewhere between the edges"), "the report says its chance");
    }

    /** One edge is hollow by most of the limit: what is open has its chance, and the blade that settles most is asked. */
    @Test
    void whileItIsOpenTheNextBladeIsNamedAndAsked() {
        Page page = window.signedIn(shop, "ines");
        PartFile part = started(page);
        key(page, "s");
        for (String gap : List.of("0.04", "0.04", "0.04")) {
            key(page, gap);
        }
        int lines = now(part).lines().size();
        for (int l = 1; l < lines; l++) {
            key(page, "0");
        }
        Locator verdict = page.locator("#figures .verdict");
        assertThat(verdict).containsText("Not proven yet");
        assertThat(verdict).containsText(open);
        assertThat(verdict).containsText("1 in 100 is allowed");
        Locator asked = page.locator("#walk [data-state=open]");
        assertThat(asked).hasCount(1);
        assertThat(page.locator("#walk [aria-current]")).hasAttribute("data-state", "open");
        String blade = asked.getAttribute("data-blade-shown");
        assertThat(page.locator("#figures")).containsText("Try");
        assertThat(page.locator("#figures")).containsText(blade + " blade");
        double before = chance(part);
        String next = page.locator("#figures").innerText();
        int said = now(part).history().size();
        key(page, asked.getAttribute("data-blade") + "-");
        assertEquals(said + 1, now(part).history().size());
        assertThat(page.locator("#figures")).not().hasText(next);
        double now = chance(part);
        assertNotEquals(before, now, "another blade is another chance");
        // A slender edge hangs down: the same blades say of a deeper face.
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        marit.post("/shop/settings/books", "BENCH_EDGE_HEIGHT", "12", "BENCH_EDGE_HEIGHT.from", "our thin edge");
        double hanging = chance(part);
        String working = marit.get("/parts/" + part.tag() + "/feelers").body();
        marit.post("/shop/settings/books");
        assertTrue(hanging > now, hanging + " with an edge of 12 mm, " + now + " before");
        assertTrue(working.contains("Height of the straightedge"), "the working says what is taken off");
        assertEquals(now, chance(part), 1e-12);
    }

    private double chance(PartFile part) {
        PartFile fresh = shop.bean(Parts.class).byTag(part.tag());
        return shop.bean(FeelerFindings.class)
                .of(fresh, now(part))
                .sureness()
                .orElseThrow()
                .chance();
    }
}

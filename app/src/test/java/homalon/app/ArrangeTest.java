package homalon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Places are moved, added, dropped and brought back by keyboard and by hand; the thumb pad keys like a keyboard. */
@ExtendWith({RunningShop.class, Browser.class})
class ArrangeTest {
    private final List<String> faults = new ArrayList<>();
    private final Page page;

    ArrangeTest(RunningShop.Shop shop, Browser.Window window) {
        page = window.signedIn(shop, "marit", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/T-0415/thickness");
        assertThat(page.locator("#walk [data-place]")).hasCount(4);
        // A survey of its own: the proof of a part that no other test reads.
        page.navigate(shop.address() + "/parts/T-0395/proof");
        if (page.locator("input.key").count() == 0) {
            assertThat(page.locator(".act button")).isFocused();
            page.keyboard().press("Enter");
        }
        assertThat(page.locator("input.key")).isFocused();
    }

    private Locator here() {
        return page.locator("#walk [aria-current]");
    }

    private double x() {
        return Double.parseDouble(here().getAttribute("data-x"));
    }

    @Test
    void placesAreArrangedWithoutAMouse() {
        page.keyboard().press("e");
        assertThat(page.locator("#arranging")).isVisible();
        page.keyboard().press("j");
        int places = page.locator("#walk [data-place]").count();
        double before = x();
        page.keyboard().press("ArrowRight");
        page.waitForCondition(() -> x() == before + 1);
        page.keyboard().press("ArrowLeft");
        page.waitForCondition(() -> x() == before);

        page.keyboard().press("s");
        assertThat(here()).hasAttribute("data-sealing", "false");
        page.keyboard().press("s");
        assertThat(here()).hasAttribute("data-sealing", "true");

        page.keyboard().press("a");
        assertThat(page.locator("#walk [data-place]")).hasCount(places + 1);
        page.keyboard().press("Delete");
        assertThat(page.locator("#walk [data-place]")).hasCount(places);
        page.locator("#places-list summary").click();
        page.locator("[data-bring-back]").last().click();
        assertThat(page.locator("#walk [data-place]")).hasCount(places + 1);
        page.keyboard().press("Escape");
        assertThat(page.locator("#arranging")).isHidden();
        assertEquals(List.of(), faults);
    }

    @Test
    void aPlaceIsDraggedOnTheLandAndRefusedOffIt() {
        page.keyboard().press("e");
        String place = here().getAttribute("data-place");
        Locator mark = page.locator("svg.face [data-place='" + place + "'] .touch-area");
        BoundingBox box = mark.boundingBox();
        double before = x();
        double cx = box.x + box.width / 2;
        double cy = box.y + box.height / 2;
        page.mouse().move(cx, cy);
        page.mouse().down();
        page.mouse().move(cx + 12, cy, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4));
        page.mouse().up();
        page.waitForCondition(() -> x() > before + 3);
        assertTrue(x() < before + 14, "as far as the hand went: " + x());

        BoundingBox bore = page.locator("svg.face circle.ring").first().boundingBox();
        double there = x();
        box = page.locator("svg.face [data-place='" + place + "'] .touch-area").boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse()
                .move(
                        bore.x + bore.width / 2,
                        bore.y + bore.height / 2,
                        new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4));
        page.mouse().up();
        assertThat(page.locator(".keying .say")).containsText("not on the land");
        assertEquals(there, x());
    }

    @Test
    void theThumbPadKeysLikeAKeyboard() {
        page.locator("[data-show-keypad]").click();
        String place = here().getAttribute("data-place");
        for (String key : List.of("sign", "0", ".", "0", "1", "2")) {
            page.locator("[data-pad='" + key + "']").click();
        }
        assertThat(page.locator("input.key")).hasValue("-0.012");
        page.locator("[data-pad='Enter']").click();
        assertThat(page.locator("#walk [data-place='" + place + "']")).hasAttribute("data-value", "−0.012");
        page.keyboard().press("z");
        assertThat(page.locator("#walk [data-place='" + place + "']")).hasAttribute("data-state", "open");
    }
}

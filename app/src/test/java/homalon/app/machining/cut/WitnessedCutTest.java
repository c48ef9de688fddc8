package homalon.app.machining.cut;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A casting that nobody measured, cut by what the cutter touches, from the keyboard. */
@ExtendWith({RunningShop.class, Browser.class})
class WitnessedCutTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;

    WitnessedCutTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    private void pass(Page page, String depth, int count) {
        page.keyboard().type(depth);
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(count);
    }

    private void touched(Page page, String words) {
        page.keyboard().press("t");
        page.keyboard().type(words);
        page.keyboard().press("Enter");
        assertThat(page.locator("input.key")).isFocused();
    }

    @Test
    void fromFirstTouchToCleanWithoutAReading() {
        PartFile lid = hands.book(Material.CAST_IRON);
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + lid.tag() + "/cut");
        Locator said = page.locator(".watch .name");
        pass(page, "0.05", 1);
        assertThat(said).hasText("What did it touch?");
        page.keyboard().press("n");
        assertThat(said).hasText(Pattern.compile("At least 0.005 mm is left"));
        assertThat(page.locator("input.key")).isFocused();

        // Its ends first, further in with each pass: a hollow lid.
        touched(page, "f r");
        assertThat(page.locator(".cells rect.on").first()).isVisible();
        pass(page, "0.05", 2);
        touched(page, "1 4");
        assertThat(said).hasText(Pattern.compile("Between .* are left"));
        Matcher between = Pattern.compile("Between (\\S+) mm and (\\S+) mm").matcher(said.innerText());
        assertTrue(between.find(), said.innerText());
        assertTrue(Double.parseDouble(between.group(1)) < Double.parseDouble(between.group(2)));
        page.keyboard().press("t");
        page.keyboard().type("7");
        page.keyboard().press("Enter");
        assertThat(page.locator(".watch form:has(input[data-letter=t]) .say")).containsText("no bore 7");
        page.keyboard().press("Escape");
        page.locator("input.key").focus();

        // A share says that some is left, and no more.
        page.keyboard().press("h");
        assertThat(said).hasText("Some of it is left");
        pass(page, "0.05", 3);
        touched(page, "all");
        assertThat(said).hasText("All of it is touched");
        page.keyboard().press("c");
        assertThat(page.locator("#figures .words").first()).hasText("Clean at 0.150 mm");
        assertEquals(List.of(), faults);
    }
}

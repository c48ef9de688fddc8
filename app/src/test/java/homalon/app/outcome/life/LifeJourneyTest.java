package homalon.app.outcome.life;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A casting's life by keyboard: from any of its pages, another face to compare, the report of a visit, and back in. */
@ExtendWith({RunningShop.class, Browser.class})
class LifeJourneyTest {
    private final List<String> faults = new ArrayList<>();
    private final RunningShop.Shop shop;
    private final Page page;

    LifeJourneyTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.page = window.signedIn(shop, "ines", 1280, 800, faults);
    }

    @AfterEach
    void nothingWasComplainedOf() {
        assertEquals(List.of(), faults);
    }

    @Test
    void twoVisitsAreComparedReadAndTheThirdBegun() {
        page.navigate(shop.address() + "/parts/T-0379/intake");
        page.locator("h1").first().click();
        page.keyboard().press("g");
        page.keyboard().press("z");
        assertThat(page).hasURL(Pattern.compile("/parts/T-0379/life$"));
        assertThat(page.locator("#stays > li")).hasCount(2);
        assertThat(page.locator("#metal rect.fill-sheet").first()).isVisible();
        assertThat(page.locator("#two-faces figcaption").last()).containsText("It sank most at");

        page.locator("#face-now").focus();
        page.keyboard().press("ArrowUp");
        assertThat(page.locator("#two-faces figcaption").nth(1)).containsText("Visit 1, after the cut");
        assertThat(page.locator("#face-now")).isFocused();
        assertThat(page).hasURL(Pattern.compile("now=1-left"));

        page.locator("#stays a").first().focus();
        page.keyboard().press("Enter");
        assertThat(page).hasURL(Pattern.compile("/parts/T-0379/visits/1$"));
        assertThat(page.locator(".report")).containsText("gasket blown between 2 and 3");
        page.goBack();

        page.locator("[name=history]").fill("thermostat again");
        page.locator("[name=wishes]").focus();
        page.keyboard().press("Tab");
        page.keyboard().press("Enter");
        assertThat(page.locator("#strip")).containsText("visit 3");
    }
}

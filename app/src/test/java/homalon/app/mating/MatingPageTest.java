package homalon.app.mating;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A head and its deck on one screen. */
@ExtendWith({RunningShop.class, Browser.class})
class MatingPageTest {

    @Test
    void aHeadAndItsDeckAreComparedOnOneScreenFromEitherSide(RunningShop.Shop shop, Browser.Window window) {
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/T-0402/compare");
        PlaywrightAssertions.assertThat(page.locator("svg.face")).hasCount(3);
        PlaywrightAssertions.assertThat(page.locator(".sheet")).containsText("they moved together, so cut both");
        String gap = page.locator(".sheet .verdict .words").first().innerText();
        page.navigate(shop.address() + "/parts/T-0401/compare");
        PlaywrightAssertions.assertThat(page.locator(".sheet .verdict .words").first())
                .hasText(gap);

        page.fill("[name=with]", "T-0401");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator("body")).containsText("is a block deck too");
        page.navigate(shop.address() + "/parts/T-0401/compare");
        page.fill("[name=with]", "T-0407");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator(".said")).containsText("can be no pair");
        page.fill("[name=with]", "T-0402");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator("svg.face")).hasCount(3);
        assertEquals(List.of(), faults.stream().filter(f -> !f.contains("422")).toList());
    }
}

package homalon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.Surveys;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.part.Material;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What was keyed is kept once and in order, whatever the network, the reload or the other bench does. */
@ExtendWith({RunningShop.class, Browser.class})
class LostNetworkTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;

    LostNetworkTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
    }

    private static void key(Page page, String... values) {
        for (String value : values) {
            page.keyboard().type(value);
            page.keyboard().press("Enter");
        }
    }

    private List<String> typed(String tag) {
        SurveyFile survey = shop.bean(Surveys.class)
                .find(shop.bean(Parts.class).byTag(tag), SurveyKind.FACE)
                .orElseThrow();
        return survey.history().stream().map(SurveyFile.ReadingFile::typed).toList();
    }

    private Page started(String tag, String login) {
        Page page = window.signedIn(shop, login);
        page.navigate(shop.address() + "/parts/" + tag + "/face");
        if (page.locator("input.key").count() == 0) {
            assertThat(page.locator(".act button")).isFocused();
            page.keyboard().press("Enter");
        }
        assertThat(page.locator("input.key")).isFocused();
        return page;
    }

    @Test
    void readingsKeyedWithoutANetworkGoWhenItIsBackFromWhateverPage() {
        String tag = new HandsOfTests(shop).book(Material.CAST_IRON).tag();
        Page page = started(tag, "ines");
        key(page, "0.011");
        assertThat(page.locator("#status")).hasText("all kept");
        page.context().setOffline(true);
        key(page, "0.012", "0.013");
        assertThat(page.locator("#status")).hasText("not reaching the server: 2 waiting here");
        key(page, "0.014");
        assertThat(page.locator("#status")).hasText("not reaching the server: 3 waiting here");
        assertEquals(List.of("0.011"), typed(tag));

        page.close(); // a flat battery
        Page after = page.context().newPage();
        page.context().setOffline(false);
        after.navigate(shop.address() + "/");
        assertThat(after.locator("#status")).hasText("all kept");
        assertEquals(List.of("0.011", "0.012", "0.013", "0.014"), typed(tag));
    }

    @Test
    void theNextPersonAtTheBenchDoesNotSendTheLastOnesReadings() {
        Page page = started("T-0412", "ines");
        int before = typed("T-0412").size();
        page.context().setOffline(true);
        key(page, "0.021");
        assertThat(page.locator("#status")).containsText("1 waiting here");
        page.context().clearCookies();
        page.context().setOffline(false);
        assertThat(page.locator("#status")).hasText("sign in again: 1 waiting here");
        assertEquals(before, typed("T-0412").size());
    }

    @Test
    void twoAtOnePlaceAreToldOfEachOther() {
        Page ines = started("T-0412", "ines");
        Page brannoc = started("T-0412", "marit");
        String place = ines.locator("#walk [aria-current]").getAttribute("data-place");
        assertEquals(place, brannoc.locator("#walk [aria-current]").getAttribute("data-place"));
        key(ines, "0.03");
        assertThat(ines.locator("#status")).hasText("all kept");
        key(brannoc, "0.04");
        assertThat(brannoc.locator(".keying .say")).containsText("Ines keyed +0.030 here meanwhile");
        brannoc.keyboard().press("Enter");
        assertThat(brannoc.locator("#walk [data-place='" + place + "'] .value")).hasText("+0.040");
        assertThat(ines.locator("#walk [data-place='" + place + "'] .value"))
                .hasText("+0.040", new LocatorAssertions.HasTextOptions().setTimeout(9000));
    }

    @Test
    void whatIsBeingTypedStaysWhereTheOtherBenchKeys() {
        Page ines = started("T-0412", "ines");
        Page marit = started("T-0412", "marit");
        String place = ines.locator("#walk [aria-current]").getAttribute("data-place");
        marit.locator("#soak summary").click();
        marit.locator("#soak input[name=warm]").fill("27");
        String casting = "document.querySelector('#live-drawing svg.face .edge')";
        marit.evaluate("() => (window.casting = " + casting + ")");
        key(ines, "0.017");
        assertThat(ines.locator("#status")).hasText("all kept");
        assertThat(marit.locator("#walk [data-place='" + place + "'] .value"))
                .hasText("+0.017", new LocatorAssertions.HasTextOptions().setTimeout(9000));
        assertThat(marit.locator("#soak input[name=warm]")).hasValue("27");
        assertThat(marit.locator("#soak input[name=warm]")).isFocused();
        assertEquals(true, marit.evaluate("() => window.casting === " + casting), "the casting is not drawn anew");
        String label = "#live-drawing [data-place='" + place + "'] text.figure";
        assertEquals(ines.locator(label).textContent(), marit.locator(label).textContent());
    }

    /** Nothing is keyed on the bench; what asks by itself there tells that the server is back. */
    @Test
    void aPageWithoutAWalkSaysWhenTheServerIsThereAgain() {
        Page page = window.signedIn(shop, "ines");
        page.navigate(shop.address() + "/");
        assertThat(page.locator("#status")).hasText("all kept");
        page.context().setOffline(true);
        page.locator("[data-switch=unit]").click();
        assertThat(page.locator("#status")).hasText("not reaching the server");
        page.context().setOffline(false);
        page.evaluate("() => window.htmx.ajax('GET', '/timers', { swap: 'none' })");
        assertThat(page.locator("#status")).hasText("all kept");
    }
}

package homalon.app.casting.part;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Booking in with the hands on the keys. */
@ExtendWith({RunningShop.class, Browser.class})
class IntakeByKeysTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;
    private final List<String> faults = new ArrayList<>();

    IntakeByKeysTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    private PartFile known(String engine) {
        return hands.book(
                engine,
                "Somebody before",
                "CQ 31",
                "",
                LayoutNumbers.proposed(PartKind.HEAD, 3, Length.ofMm("91"), Length.ofMm("105")),
                Optional.empty());
    }

    private Page blank() {
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/new");
        assertThat(page.locator("[name=name]")).isFocused();
        return page;
    }

    @Test
    void aKnownEngineFillsTheSheetAndTheNextEnterBooksIt() {
        PartFile before = known("Capstan quern");
        Page page = blank();
        page.keyboard().type("capstan quern");
        page.locator("#known button").waitFor();
        page.locator("[name=customer]").fill("Somebody new");
        page.locator("#known button").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("[name=bore]")).hasValue("91 mm");
        assertThat(page.locator("[name=customer]")).hasValue("Somebody new");
        assertThat(page.locator("[name=castingNumber]")).hasValue("CQ 31");
        assertThat(page.locator("[name=name]")).isFocused();
        page.keyboard().press("Enter");
        page.waitForURL("**/parts/T-*/*");
        String tag = page.url().replaceAll(".*/parts/([^/]+)/.*", "$1");
        PartFile booked = shop.bean(Parts.class).byTag(tag);
        assertEquals("Somebody new", booked.customer());
        assertEquals(before.numbers(), booked.numbers());
        assertEquals(List.of(), faults);
    }

    /** What Enter does must not hang on whether an offer stands on the sheet. */
    @Test
    void enterBooksThoughTheSheetCouldBeFilled() {
        known("Capstan quern two");
        Page page = blank();
        page.keyboard().type("capstan quern two");
        page.locator("#known button").waitFor();
        page.locator("[name=customer]").fill("Somebody new");
        page.locator("[name=spacing]").fill("99");
        page.locator("[name=bore]").fill("88");
        page.locator("[name=bore]").press("Enter");
        page.waitForURL("**/parts/T-*/*");
        assertEquals(
                Length.ofMm("88"),
                shop.bean(Parts.class)
                        .byTag(page.url().replaceAll(".*/parts/([^/]+)/.*", "$1"))
                        .numbers()
                        .bore());
    }

    @Test
    void whatIsRefusedIsMarkedAndHasTheHand() {
        Page page = blank();
        page.keyboard().type("Capstan three");
        page.locator("[name=customer]").fill("Somebody new");
        page.locator("[name=overall]").fill("nought");
        page.locator("[name=spacing]").fill("99");
        page.locator("[name=bore]").fill("88");
        page.locator("[name=bore]").press("Enter");
        assertThat(page.locator("[name=overall]")).isFocused();
        assertThat(page.locator("[name=overall]")).hasAttribute("aria-invalid", "true");
        assertThat(page.locator("[name=bore]")).hasValue("88");
    }
}

package homalon.app.outcome.tables;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.FilePayload;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whoever waits for a table sees how far it is, and afterwards what came of it. */
@ExtendWith({RunningShop.class, Browser.class})
class LongTableTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;

    LongTableTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
    }

    @Test
    void aBarStandsWhileATableIsLookedAtAndTakenIn() {
        Page page = window.signedIn(shop, "marit");
        page.navigate(shop.address() + "/shop/tables/customers");
        Deque<Route> held = new ArrayDeque<>();
        page.route("**/shop/tables/customers{/look,}*", route -> {
            if (route.request().method().equals("POST")) {
                held.add(route);
            } else {
                route.resume();
            }
        });
        String name = "Long Table " + UUID.randomUUID();
        page.locator("input[type=file]")
                .setInputFiles(
                        new FilePayload("c.csv", "text/csv", ("name\n" + name).getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("#said progress")).isVisible();
        assertThat(page.locator("#said")).containsText("Lines gone through");
        held.remove().resume();
        assertThat(page.locator("#found .words")).hasText("1 line can be taken in");
        assertThat(page.locator("progress")).hasCount(0);

        page.locator("#found button.main").click();
        assertThat(page.locator("#found progress")).isVisible();
        held.remove().resume();
        assertThat(page.locator("#found .said")).containsText("1 line taken in");
        assertThat(page.locator("progress")).hasCount(0);
    }

    @Test
    void anAnswerOfTheBarThatComesAfterTheTableIsDropped() {
        Page page = window.signedIn(shop, "marit");
        page.navigate(shop.address() + "/shop/tables/customers");
        Deque<Route> looks = new ArrayDeque<>();
        Deque<Route> bars = new ArrayDeque<>();
        page.route("**/shop/tables/customers/look*", looks::add);
        page.route("**/shop/tables/customers/progress", bars::add);
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload(
                        "c.csv", "text/csv", ("name\nLate Bar " + UUID.randomUUID()).getBytes(StandardCharsets.UTF_8)));
        page.waitForCondition(() -> !bars.isEmpty());
        looks.remove().resume();
        assertThat(page.locator("#found .words")).hasText("1 line can be taken in");
        page.waitForResponse(
                "**/shop/tables/customers/progress", () -> bars.remove().resume());
        page.evaluate("() => new Promise((done) => setTimeout(done, 200))");
        assertThat(page.locator("progress")).hasCount(0);
    }
}

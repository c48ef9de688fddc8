package homalon.app.testing;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import homalon.core.visit.PartFile;

/** Goes about a part's pages as somebody with one hand free: by keys alone. */
public final class Keyboard {
    private final RunningShop.Shop shop;
    private final Page page;

    public Keyboard(RunningShop.Shop shop, Page page) {
        this.shop = shop;
        this.page = page;
    }

    public void go(PartFile part, String step) {
        page.navigate(shop.address() + "/parts/" + part.tag() + "/" + step);
    }

    public void press(Locator button) {
        button.focus();
        page.keyboard().press("Enter");
    }

    public void press(String name) {
        press(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first());
    }

    /** Types over what stands in a field, in whichever part of the page it is folded away. */
    public void type(String field, String text) {
        Locator visible = page.locator("[name='" + field + "']:visible");
        Locator at = visible.count() > 0
                ? visible.first()
                : page.locator("[name='" + field + "']").first();
        at.evaluate(
                "e => { for (let d = e.closest('details'); d; d = d.parentElement.closest('details')) d.open = true; }");
        at.focus();
        page.keyboard().press("Control+A");
        page.keyboard().type(text);
    }

    /** By its name alone: the note of another step may name it too. */
    public Locator strip(String step) {
        return page.locator("#strip a")
                .filter(new Locator.FilterOptions()
                        .setHas(page.locator(".name", new Page.LocatorOptions().setHasText(step))))
                .first();
    }

    public void strip(String step, String note) {
        assertThat(strip(step)).containsText(note);
    }
}

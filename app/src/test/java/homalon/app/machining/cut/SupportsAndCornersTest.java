package homalon.app.machining.cut;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import homalon.app.casting.ledger.Ledgers;
import homalon.app.shop.tools.Toolbox;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.cut.SetUpMethod;
import homalon.core.geometry.Box;
import homalon.core.ledger.CornerDepths;
import homalon.core.part.Layout;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.sim.SeededFace;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Supports that are moved, shims that the shop has, a tilted cut in the ledger and under the micrometer. */
@ExtendWith({RunningShop.class, Browser.class})
class SupportsAndCornersTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;
    private final List<String> faults = new ArrayList<>();

    SupportsAndCornersTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    private PartFile crowned() {
        PartFile part = hands.book(Material.CAST_IRON);
        SeededFace face = new SeededFace(Layout.of(part.numbers()).box(), 0.21, -0.13, -0.05, 0.01, 0.02, List.of());
        hands.read(part, SurveyKind.FACE, s -> face.at(s.x(), s.y()));
        return part;
    }

    @Test
    void supportsAreDraggedOrKeyedAndAreKeptWithThePlan() {
        PartFile part = crowned();
        Page page = window.signedIn(shop, "ines", 1280, 900, faults);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/plan");
        Locator mark = page.locator("[data-supports] [data-place=support-2] .sign");
        BoundingBox at = mark.boundingBox();
        page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
        page.mouse().down();
        page.mouse().move(at.x + 40, at.y + 6);
        page.mouse().up();
        page.waitForURL(u -> u.contains("along="));
        String moved =
                page.inputValue("input[aria-label='Support C, from the front']").replace(" mm", "");
        assertNotEquals(Double.toString(part.numbers().length().mm() / 2), moved);

        page.locator("#supports summary").click();
        page.fill("input[aria-label='One more support, from the front']", "40");
        page.fill("input[aria-label='One more support, from the lower edge']", "120");
        page.keyboard().press("Enter");
        assertThat(page.locator("[data-supports] [data-place=support-3]")).hasCount(1);
        page.locator("button:has-text('Use this plan')").click();
        page.waitForURL(u -> u.endsWith("/cut"));
        PlanFile kept = shop.bean(Plans.class).of(part).orElseThrow();
        assertEquals(4, kept.plan().footing().supports().size());
        assertEquals(
                Double.parseDouble(moved),
                kept.plan().footing().supports().get(2).x(),
                1e-6);
        assertEquals(4, kept.plan().shims().size());

        // On one line a casting cannot stand: it is said, and nothing is lost.
        page.navigate(shop.address() + "/parts/" + part.tag()
                + "/plan?along=20&along=200&along=380&across=20&across=20&across=21");
        assertThat(page.locator(".said").first()).containsText("almost on one line");
        assertThat(page.locator("[data-supports] [data-place=support-3]")).hasCount(1);
        faults.removeIf(f -> f.contains("422"));
        assertEquals(List.of(), faults);
    }

    @Test
    void shimsAreTakenFromTheLeavesThatTheShopHas() {
        Toolbox toolbox = shop.bean(Toolbox.class);
        PartFile part = crowned();
        try {
            toolbox.useShims("0.05 0.10 0.20", BenchUnit.MM);
            var plan = hands.plan(part, SetUpMethod.AVERAGE);
            for (Length shim : plan.shims()) {
                assertEquals(0, shim.nanometres() % 50_000, "made of leaves: " + shim);
                List<Length> stack = plan.footing().stock().stack(shim);
                assertEquals(shim, stack.stream().reduce(Length.ZERO, Length::plus));
            }
            assertTrue(plan.shims().stream().anyMatch(s -> s.signum() > 0), "a tilted head needs some");
            assertEquals(plan, shop.bean(Plans.class).of(part).orElseThrow().plan(), "and is read back the same");
        } finally {
            toolbox.useShims("", BenchUnit.MM);
        }
    }

    /** A head that is thicker at the rear is cut parallel; then the micrometer is laid beside the ledger. */
    @Test
    void aTiltedCutIsBookedAtTheCornersAndTheMicrometerAgrees() {
        PartFile part = hands.book(Material.CAST_IRON);
        Box box = Layout.of(part.numbers()).box();
        hands.read(part, SurveyKind.FACE, s -> 0.0);
        hands.read(part, SurveyKind.THICKNESS, s -> 120 + 0.1 * box.u(s.x()));
        hands.plan(part, SetUpMethod.PARALLEL);
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/cut");
        int passes = page.locator("#walk [data-place]").count();
        for (int pass = 0; pass < passes; pass++) {
            page.keyboard().press("*");
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(pass + 1);
        }
        assertThat(page.locator("#corners")).isVisible();
        LedgerFile ledger = shop.bean(Ledgers.class).of(part);
        CornerDepths off = ledger.ledger().corners(part.visit().id()).thisJob();
        assertTrue(off.each().get(1).mm() - off.each().get(0).mm() > 0.15, "the rear gives more: " + off);

        page.navigate(shop.address() + "/parts/" + part.tag() + "/thickness-after");
        page.keyboard().press("Enter");
        page.waitForSelector("input.key");
        for (int c = 0; c < 4; c++) {
            double x =
                    Double.parseDouble(page.locator("#walk [data-place]").nth(c).getAttribute("data-x"));
            double y =
                    Double.parseDouble(page.locator("#walk [data-place]").nth(c).getAttribute("data-y"));
            double left =
                    120 + 0.1 * box.u(x) - off.at(box, new homalon.core.geometry.Spot(x, y)) - (c == 3 ? 0.04 : 0);
            page.keyboard().type(String.format(java.util.Locale.ROOT, "%.3f", left));
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(c + 1);
            if (c == 2) {
                assertThat(page.locator(".verdict .words")).hasText("Agrees with the ledger");
            }
        }
        assertThat(page.locator(".verdict .words")).hasText("Not what the ledger says");
        assertThat(page.locator("#figures tr.out")).hasCount(1);
        assertThat(page.locator(".verdict")).containsText("look for a pass that was not logged");
        assertEquals(List.of(), faults);
    }
}

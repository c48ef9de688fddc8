package homalon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every main view, at every width, in both lights: usable by all, nothing to the side, nothing from elsewhere. */
@ExtendWith({RunningShop.class, Browser.class})
class ScreensTest {
    private static final List<String> VIEWS = List.of(
            "/",
            "/parts/new",
            "/parts/T-0407/intake",
            "/parts/T-0407/face",
            "/parts/T-0406/proof",
            "/parts/T-0421/feelers",
            "/parts/T-0422/feelers",
            "/parts/T-0419/feelers",
            "/parts/T-0419/scan",
            "/parts/T-0402/compare",
            "/parts/T-0402/life",
            "/parts/T-0415/thickness",
            "/parts/T-0415/plan",
            "/parts/T-0409/cut",
            "/parts/T-0409/thickness-after",
            "/parts/T-0419/clean",
            "/parts/T-0440/cracks",
            "/parts/T-0440/pressure",
            "/parts/T-0441/route",
            "/parts/T-0441/line",
            "/parts/T-0412/line",
            "/parts/T-0444/liners",
            "/parts/T-0442/index",
            "/parts/T-0440/tag",
            "/parts/T-0440/traveller",
            "/parts/T-0446/valves",
            "/parts/T-0412/valves",
            "/parts/T-0447/guides?valve=2E",
            "/parts/T-0446/guides",
            "/parts/T-0446/seats",
            "/parts/T-0448/inserts",
            "/parts/T-0446/parts-list",
            "/parts/T-0446/report",
            "/stock",
            "/day",
            "/day/sheet",
            "/day/feeds",
            "/day/month",
            "/day/times",
            "/wall",
            "/calls",
            "/parts/T-0412/ready",
            "/day/rule",
            "/day/rule?by=people&days=7",
            "/shop/crew",
            "/shop/prices",
            "/parts/T-0412/estimate",
            "/parts/T-0448/estimate",
            "/parts/T-0448/estimate/beside",
            "/parts/T-0448/estimate/asking",
            "/batch?with=T-0424",
            "/batch?with=T-0401",
            "/parts/T-0451/chambers",
            "/parts/T-0412/chambers",
            "/parts/T-0453/budget?wish=RATIO&wanted=9.2",
            "/parts/T-0412/budget",
            "/parts/T-0407/report",
            "/parts/T-0388/report",
            "/find?q=ferry",
            "/person",
            "/shop",
            "/shop/tools",
            "/instruments",
            "/instruments/M-04",
            "/customers",
            "/shop/settings",
            "/shop/settings/books",
            "/shop/settings/paper",
            "/shop/settings/route",
            "/shop/tables/castings",
            "/help/valves",
            "/parts/T-9999/face");

    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final List<String> faults = new ArrayList<>();

    ScreensTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
    }

    /**
     * Each is opened once: looked over as it came, drawn at every width and in the dim, since only its style decides those; 640 is 1280 at
     * 200 % zoom.
     */
    @Test
    void everybodyCanUseItAndNothingReachesOutSideways() {
        Page page = window.signedIn(shop, "marit", 1280, 800, faults);
        light(page, "light");
        List<String> found = new ArrayList<>();
        for (String view : VIEWS) {
            page.setViewportSize(1280, 800);
            open(page, view);
            faultsOfAccess(axe(page)).forEach(f -> found.add(view + " " + f));
            ((List<?>) page.evaluate(TOO_SMALL, 24)).forEach(f -> found.add(view + " " + f));
            for (int[] size : new int[][] {{1280, 800}, {768, 1024}, {640, 400}, {390, 844}}) {
                page.setViewportSize(size[0], size[1]);
                int reach = ((Number) page.evaluate("document.documentElement.scrollWidth")).intValue();
                if (reach > size[0]) {
                    found.add(view + " at " + size[0] + " reaches " + reach);
                }
            }
            page.evaluate("document.documentElement.dataset.theme = 'dim'");
            faultsOfAccess(axe(page).withRules(OF_STYLE)).forEach(f -> found.add(view + " in the dim on a phone " + f));
        }
        assertEquals(List.of(), found);
        assertEquals(List.of(), faults);
    }

    /** What light and width can change; the rest of a page is the same. */
    private static final List<String> OF_STYLE =
            List.of("color-contrast", "target-size", "scrollable-region-focusable", "link-in-text-block");

    /** The light is a word on the page, by which its style goes: what is looked over in the dim above is what a person in the dim sees. */
    @Test
    void theLightIsAWordOnThePage() {
        Page page = window.signedIn(shop, "marit", 1280, 800, faults);
        light(page, "dim");
        page.navigate(shop.address() + "/parts/T-0407/face");
        String kept = style(page);
        light(page, "light");
        page.navigate(shop.address() + "/parts/T-0407/face");
        assertNotEquals(kept, style(page));
        page.evaluate("document.documentElement.dataset.theme = 'dim'");
        assertEquals(kept, style(page));
    }

    private static String style(Page page) {
        return String.valueOf(page.evaluate("""
                () => [...document.querySelectorAll('body, .casting, .sheet, .verdict, .strip, svg.face .band, input.key')].slice(0, 12).map((e) => {
                  const s = getComputedStyle(e);
                  return `${s.color} ${s.backgroundColor} ${s.fill}`;
                }).join('; ')"""));
    }

    /** What can be pressed and is smaller than asked, and what cannot be read for smallness; signs on a drawing have a list beside them. */
    private static final String TOO_SMALL = """
            (least) => {
              const small = [];
              const seen = (e, box) => box.width > 2 && box.height > 2 && getComputedStyle(e).visibility !== 'hidden' && !e.closest('.sr-only');
              for (const e of document.querySelectorAll('button, summary, select, a.button, input:not([type=hidden], [type=checkbox], [type=radio])')) {
                const box = e.getBoundingClientRect();
                if (seen(e, box) && Math.min(box.width, box.height) < least - 0.5) small.push(`${e.tagName} ${Math.round(box.width)}x${Math.round(box.height)} ${e.textContent.trim().slice(0, 20)}`);
              }
              const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
              for (let n; least < 40 && (n = texts.nextNode()); ) {
                const e = n.parentElement;
                const range = document.createRange();
                range.selectNodeContents(n);
                if (!n.data.trim() || !seen(e, range.getBoundingClientRect())) continue;
                const matrix = e.ownerSVGElement && e.getScreenCTM();
                const px = parseFloat(getComputedStyle(e).fontSize) * (matrix ? Math.hypot(matrix.a, matrix.b) : 1);
                if (px < 10.95) small.push(`letters of ${px.toFixed(1)} px: ${n.data.trim().slice(0, 20)}`);
              }
              return [...new Set(small)];
            }""";

    @Test
    void aThumbHitsWhatItPoints() {
        Page page = window.touched(shop, "marit", 768, 1024, faults);
        List<String> found = new ArrayList<>();
        for (String view : VIEWS) {
            open(page, view);
            ((List<?>) page.evaluate(TOO_SMALL, 44)).forEach(f -> found.add(view + " " + f));
        }
        assertEquals(List.of(), found);
    }

    /** What of a walk's field, of its keys and of the sign in hand on the drawing lies outside of what one sees. */
    private static final String OUT_OF_SIGHT = """
            () => {
              const strip = document.querySelector('.strip')?.getBoundingClientRect();
              const low = strip && strip.top < innerHeight ? strip.top : innerHeight;
              const out = [];
              for (const [what, e] of [['field', 'input.key'], ['keys', '.keypad'], ['kept', '[data-status-too]'], ['sign', 'svg.face .place.now, svg.face .valve-sign.now, svg.face .chamber.now']]) {
                const box = document.querySelector(e)?.getBoundingClientRect();
                if (box && (box.top < 0 || box.bottom > low + 1)) out.push(`${what} ${Math.round(box.top)} to ${Math.round(box.bottom)} of ${Math.round(low)}`);
              }
              return out;
            }""";

    @ParameterizedTest
    @CsvSource({"768, 1024", "390, 844"})
    void theKeysAreWholeAndTheSignInHandIsInSight(int width, int height) {
        Page page = window.touched(shop, "marit", width, height, faults);
        List<String> found = new ArrayList<>();
        for (String view : List.of(
                "/parts/T-0412/face",
                "/parts/T-0407/face",
                "/parts/T-0421/feelers",
                "/parts/T-0415/thickness",
                "/parts/T-0409/cut",
                "/parts/T-0444/liners",
                "/parts/T-0442/index",
                "/parts/T-0446/valves",
                "/parts/T-0451/chambers",
                "/batch?with=T-0424")) {
            open(page, view);
            assertThat(page.locator(".keypad")).isVisible();
            assertThat(page.locator("[data-status-too]")).hasText("all kept");
            ((List<?>) page.evaluate(OUT_OF_SIGHT)).forEach(f -> found.add(view + " " + f));
        }
        assertEquals(List.of(), found);
    }

    private void open(Page page, String view) {
        int answer = page.navigate(shop.address() + view).status();
        assertEquals(view.contains("T-9999") ? 404 : 200, answer, view);
    }

    private static void light(Page page, String theme) {
        if (!theme.equals(page.getAttribute("html", "data-theme"))) {
            page.locator("[data-switch=theme]").click();
            page.waitForCondition(() -> theme.equals(page.getAttribute("html", "data-theme")));
        }
    }

    private static List<String> faultsOfAccess(AxeBuilder axe) {
        return axe.analyze().getViolations().stream()
                .map(v -> v.getId() + " "
                        + v.getNodes().stream().map(n -> n.getHtml()).limit(3).toList())
                .toList();
    }

    /** No view has frames, of which alone the other way knows more; that one opens a window for each answer. */
    private static AxeBuilder axe(Page page) {
        // Of what passes nothing is asked, so that not every part of a drawing is described.
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        return new AxeBuilder(page).setLegacyMode(true).options(options);
    }

    /** What the other test rests on. */
    @Test
    void aFaultThatIsPutInIsFound() {
        Page page = window.signedIn(shop, "marit", 1280, 800, faults);
        page.evaluate("document.querySelector('#content').insertAdjacentHTML('beforeend', '<img><input>')");
        List<String> found = axe(page).analyze().getViolations().stream()
                .map(v -> v.getId())
                .sorted()
                .toList();
        assertEquals(List.of("image-alt", "label"), found);
    }

    @Test
    void theFirstLoadIsLightAndEverythingIsOurs() {
        Page page = window.open(shop.address() + "/sign-in", 1280, 800, faults);
        AtomicLong bytes = new AtomicLong();
        List<String> foreign = new ArrayList<>();
        page.onRequestFinished(
                r -> bytes.addAndGet((long) r.sizes().responseBodySize + (long) r.sizes().responseHeadersSize));
        page.onRequest(r -> {
            if (!r.url().startsWith(shop.address()) && !r.url().startsWith("data:")) {
                foreign.add(r.url());
            }
        });
        page.keyboard().type("ines");
        page.keyboard().press("Tab");
        page.keyboard().type("saltmarsh-demo");
        page.keyboard().press("Enter");
        page.waitForURL(shop.address() + "/");
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
        assertTrue(bytes.get() > 20_000 && bytes.get() < 300_000, bytes + " bytes");
        assertEquals(List.of(), foreign);
        assertEquals(List.of(), faults);
    }

    /** Contours belong to the land: whatever is drawn of the map is clipped to it. */
    @Test
    void theMapIsClippedToTheLand() {
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/T-0407/face");
        Object outside = page.evaluate("""
                () => {
                  const svg = document.querySelector('#live-drawing svg.face');
                  const land = svg.querySelector('defs path');
                  const map = [...svg.querySelectorAll('.band')];
                  const unclipped = map.filter((b) => !b.closest('g[clip-path]'));
                  const bore = svg.querySelector('circle.ring');
                  const centre = new DOMPoint(bore.cx.baseVal.value, bore.cy.baseVal.value);
                  return { bands: map.length, unclipped: unclipped.length, boreIsLand: land.isPointInFill(centre) };
                }""");
        assertEquals("{bands=8, unclipped=0, boreIsLand=false}", outside.toString());
    }
}

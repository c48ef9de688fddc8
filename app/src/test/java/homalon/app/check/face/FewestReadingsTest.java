package homalon.app.check.face;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.sim.SeededFace;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** By keys alone: read where the program says until it is settled. */
@ExtendWith({RunningShop.class, Browser.class})
class FewestReadingsTest {
    private static final LayoutNumbers FOUR =
            LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("84"), Length.ofMm("96"));
    private static final Layout LAYOUT = Layout.of(FOUR);
    private static final Box BOX = LAYOUT.box();

    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;

    FewestReadingsTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    private PartFile booked(String name) {
        PartFile part = hands.book(name, "Kelp Row", "", "", FOUR, Optional.empty());
        hands.prepare(part);
        return part;
    }

    private static Spot bridge() {
        Spot a = LAYOUT.bores().get(1).centre();
        Spot b = LAYOUT.bores().get(2).centre();
        return new Spot((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
    }

    /** Begins with what the page proposes, then goes on by Enter; gives the readings that it took until it was settled. */
    private int read(Page page, PartFile part, SeededFace face, int most) {
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        assertThat(page.locator(".act button")).isFocused();
        page.keyboard().press("Enter");
        Locator verdict = page.locator("#figures .verdict");
        for (int n = 1; n <= most; n++) {
            Locator here = page.locator("#walk [aria-current][data-state=open]");
            assertThat(here).hasCount(1);
            double x = Double.parseDouble(here.getAttribute("data-x"));
            double y = Double.parseDouble(here.getAttribute("data-y"));
            String z = BigDecimal.valueOf(face.at(x, y))
                    .setScale(3, RoundingMode.HALF_UP)
                    .toPlainString();
            page.keyboard().type(z);
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(n);
            assertThat(page.locator("#figures form[data-lays]")).hasCount(0);
            // The strip counts along, before there is a verdict and while its chance is still awaited.
            assertThat(page.locator("#strip"))
                    .containsText(Pattern.compile("\\b" + n + " of [0-9]+ keyed|within|out by|proven"));
            String style = verdict.getAttribute("class");
            if (style.contains("out") || style.contains("within")) {
                return n;
            }
            if (page.locator("#walk [data-state=open]").count() == 0) {
                assertThat(page.locator("[data-suggested]")).isVisible();
                page.keyboard().press("Enter");
            }
        }
        throw new AssertionError("not settled by " + most + ": " + verdict.innerText());
    }

    @Test
    void aGoodHeadIsProvenByFewerReadingsThanAFixedSet() {
        PartFile part = booked("Kelp cutter, four in line");
        Page page = window.signedIn(shop, "ines");
        int took = read(page, part, new SeededFace(BOX, 0.2, 0.1, 0.008, 0.002, 0, List.of()), 16);
        int fixed = PlaceProposal.of(LAYOUT, PlaceProposal.Density.CLOSE).size();
        assertTrue(took < fixed, took + " instead of " + fixed);
        assertThat(page.locator("#figures .verdict")).containsText("Within");
        assertThat(page.locator("#figures .verdict"))
                .containsText(Pattern.compile("out between the places: (fewer than )?1 in [0-9]+"));
        assertThat(page.locator("#figures table"))
                .containsText(Pattern.compile("within, (fewer than )?1 in [0-9]+ over"));
        page.navigate(shop.address() + "/parts/" + part.tag() + "/route");
        assertThat(page.locator("main")).containsText("within");
    }

    /** Nothing of the first walk stands near it; the next place does. */
    @Test
    void aDipThatWasToldAtIntakeIsFound() {
        PartFile part = booked("Kelp cutter, gasket gone between 2 and 3");
        Page page = window.signedIn(shop, "ines");
        SeededFace dipped = new SeededFace(BOX, 0, 0, 0.004, 0.001, 0, List.of(new SeededFace.Dip(bridge(), 0.07, 20)));
        int took = read(page, part, dipped, 18);
        assertThat(page.locator("#figures .verdict")).containsText("Out by");
        Surveys surveys = shop.bean(Surveys.class);
        assertEquals(took, surveys.find(part, SurveyKind.FACE).orElseThrow().read(), "every reading is kept");
        assertTrue(surveys.find(part, SurveyKind.FACE).orElseThrow().readPlaces().stream()
                .anyMatch(p -> p.spot().distance(bridge()) < 15));
    }

    /** A bent head is out after a handful, with places of the walk left; the page says that no more need be read. */
    @Test
    void aBentHeadIsSettledBeforeTheWalkIsThrough() {
        PartFile part = booked("Kelp cutter, boiled dry");
        Page page = window.signedIn(shop, "ines");
        int took = read(page, part, new SeededFace(BOX, 0, 0, 0.16, 0.02, 0, List.of()), 9);
        assertTrue(took < 9, "after " + took);
        assertThat(page.locator("#figures .verdict")).containsText("Settled");
        assertFalse(page.locator("[data-suggested]").isVisible(), "nothing more is asked for");
    }
}

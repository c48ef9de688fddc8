package homalon.app.check.feelers;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import homalon.core.visit.Asked;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** By keys alone: a survey by feelers whose within says its chance, and which blade to try where while it is open. */
@ExtendWith({RunningShop.class, Browser.class})
class ChanceByFeelersTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;

    ChanceByFeelersTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    private FeelerFile now(PartFile part) {
        return shop.bean(FeelerSurveys.class).find(part, FeelerKind.FACE).orElseThrow();
    }

    private record At(FeelerFile.LineFile line, FeelerFile.PlaceFile place) {}

    private At at(PartFile part, String id) {
        for (FeelerFile.LineFile line : now(part).lines()) {
            for (FeelerFile.PlaceFile place : line.places()) {
                if (place.id().toString().equals(id)) {
                    return new At(line, place);
                }
            }
        }
        throw new AssertionError("no such place");
    }

    /** Answers what the page asks, as a hand on that face does, until nothing more is asked; gives how much was keyed. */
    private int answer(Page page, PartFile part, SeededFace face, int most) {
        Locator here = page.locator("#walk [aria-current][data-state=open]");
        for (int n = 0; n < most; n++) {
            assertThat(page.locator("#status")).hasText(Pattern.compile("all kept|all kept.*|"));
            assertThat(page.locator("#figures form[data-lays]")).hasCount(0);
            if (page.locator("#walk [data-state=open]").count() == 0) {
                return n;
            }
            assertThat(here).hasCount(1);
            At asked = at(part, here.getAttribute("data-place"));
            Spot from = asked.line().from();
            FeelerHand.Laid laid = FeelerHand.lay(face, from, asked.line().to());
            String version = page.locator("#walk").getAttribute("data-version");
            page.keyboard().type(said(laid, asked.place(), here.getAttribute("data-blade")));
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk")).not().hasAttribute("data-version", version);
        }
        throw new AssertionError("asked on after " + most);
    }

    private static String said(FeelerHand.Laid laid, FeelerFile.PlaceFile place, String blade) {
        if (place.asked() == Asked.REST) {
            return laid.rocks() ? "r" : "s";
        }
        double gap = place.asked() == Asked.ENDS ? laid.rock() : laid.gap(place.at());
        return blade + (gap >= Double.parseDouble(blade) ? "+" : "-");
    }

    private PartFile started(Page page, String name) {
        PartFile part = hands.bookReady();
        page.navigate(shop.address() + "/parts/" + part.tag() + "/feelers");
        page.locator(".act button").first().press("Enter");
        assertThat(page.locator("#walk [data-state=open]")).not().hasCount(0);
        return part;
    }

    @Test
    void withinSaysItsChanceOnThePageAndInTheReport() {
        Page page = window.signedIn(shop, "ines");
        PartFile part = started(page, "straight");
        SeededFace flat = new SeededFace(Layout.of(part.numbers()).box(), 0.1, 0.05, 0.006, 0.002, 0, List.of());
        answer(page, part, flat, 160);
        assertThat(page.locator("#figures .verdict")).containsText("Within");
        assertThat(page.locator("#figures .verdict"))
                .containsText(Pattern.compile("Over somewhere between the edges: (fewer than )?1 in [0-9]+"));
        assertThat(page.locator("#figures table")).containsText("in 9 of 10");
        assertThat(page.locator("#strip")).containsText("within, by feelers");
        String paper = Visitor.signedIn(shop.port(), "ines")
                .get("/parts/" + part.tag() + "/report")
                .body();
        assertTrue(paper.contains("Over somewhere between the edges"), "the report says its chance");
    }

    @Test
    void whileItIsOpenTheNextBladeIsNamedAndAsked() {
        Page page = window.signedIn(shop, "ines");
        PartFile part = started(page, "bowed a little");
        SeededFace bowed = new SeededFace(Layout.of(part.numbers()).box(), 0.1, 0.05, 0.032, 0.006, 0, List.of());
        int keyed = answer(page, part, bowed, 220);
        FeelerFile survey = now(part);
        assertTrue(keyed > 30, "asked on after the walk: " + keyed);
        Verdict verdict =
                shop.bean(FeelerFindings.class).of(part, survey).result().verdict();
        assertTrue(
                shop.bean(FeelerFindings.class).of(part, survey).sureness().isPresent() || verdict == Verdict.OUT,
                "looked at between the edges");
        assertEquals(
                verdict == Verdict.WITHIN ? 1 : 0,
                page.locator("#figures .verdict.within").count(),
                "the page says what stands");
    }
}

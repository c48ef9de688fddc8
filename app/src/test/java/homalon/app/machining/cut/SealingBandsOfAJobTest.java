package homalon.app.machining.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import homalon.app.casting.part.ChangeLine;
import homalon.app.casting.part.Changes;
import homalon.app.casting.part.Parts;
import homalon.app.shop.tools.Toolbox;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.Machine;
import homalon.core.cut.SetUpMethod;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Damage that an overbore takes away leaves the depth, once somebody said where the gasket seals. */
@ExtendWith({RunningShop.class, Browser.class})
class SealingBandsOfAJobTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;

    SealingBandsOfAJobTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    private double toClean(PartFile part) {
        Planner planner = shop.bean(Planner.class);
        return planner.compare(part, planner.usual(part, BenchUnit.MM))
                .orElseThrow()
                .setUps()
                .with(SetUpMethod.LEAST_REMOVAL)
                .orElseThrow()
                .setUp()
                .toClean();
    }

    @Test
    void theOpeningTakesTheDamageWithIt() {
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        Spot bore = Layout.of(deck.numbers()).bores().get(1).centre();
        hands.read(deck, SurveyKind.FACE, s -> s.distance(bore) < 54 ? -0.15 : 0);
        double before = toClean(shop.bean(Parts.class).byTag(deck.tag()));
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        String plan = "/parts/" + deck.tag() + "/plan";
        assertTrue(ines.get(plan).body().contains("general default"));
        HttpResponse<String> refused = ines.post(plan + "/bands", "ring", "0.2", "bead", "6", "opening", "");
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("key a width from 1 to 80"), refused.body());
        HttpResponse<String> sealed = ines.post(plan + "/bands", "ring", "5", "bead", "0", "opening", "116");
        assertEquals(302, sealed.statusCode(), sealed.body());
        PartFile now = shop.bean(Parts.class).byTag(deck.tag());
        assertEquals(116, now.bands().opening().orElseThrow().mm());
        assertTrue(toClean(now) < before - 0.05, toClean(now) + " after, " + before + " before");
        String page = ines.get(plan).body();
        assertTrue(page.contains("as keyed here") && page.contains("value=\"116 mm\""), page);
        assertTrue(shop.bean(Changes.class).of(now.visit().id()).stream()
                .anyMatch(
                        c -> c.what() == ChangeLine.What.SEALING && c.detail().contains("from an opening of 116 mm")));
        assertEquals(
                403,
                Visitor.signedIn(shop.port(), "desk")
                        .post(plan + "/bands", "ring", "5", "bead", "0", "opening", "")
                        .statusCode());
    }

    /** A gasket laid on and drawn around: damage beyond the line leaves the depth; touched on the drawing it is keyed. */
    @Test
    void aLineInkedOnTheDrawing() {
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        double length = deck.numbers().length().mm();
        double width = deck.numbers().width().mm();
        hands.read(deck, SurveyKind.FACE, s -> s.x() > length - 30 ? -0.15 : 0);
        double before = toClean(shop.bean(Parts.class).byTag(deck.tag()));
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + deck.tag() + "/plan");
        page.locator("details#bands summary").click();
        Locator drawing = page.locator("[data-supports] svg.face");
        drawing.scrollIntoViewIfNeeded();
        for (double[] at : new double[][] {{0.1, 0.15}, {0.75, 0.15}, {0.75, 0.85}, {0.1, 0.85}}) {
            Object box = drawing.evaluate(
                    "(s, at) => { const p = new DOMPoint(at[0], s.dataset.height - at[1])"
                            + ".matrixTransform(s.getScreenCTM()); return [p.x, p.y]; }",
                    List.of(at[0] * length, at[1] * width));
            List<?> p = (List<?>) box;
            page.mouse().click(((Number) p.get(0)).doubleValue(), ((Number) p.get(1)).doubleValue());
        }
        String typed = page.locator("[data-ink]").inputValue();
        assertEquals(4, typed.split(",").length, typed);
        page.locator("details#bands [name=bead]").fill("0");
        page.locator("details#bands button").click();
        PlaywrightAssertions.assertThat(page.locator("details#bands summary")).containsText("as keyed here");
        PlaywrightAssertions.assertThat(page.locator("[data-supports] svg path.inked"))
                .hasCount(1);
        PartFile now = shop.bean(Parts.class).byTag(deck.tag());
        List<Spot> corners = now.bands().inked().orElseThrow().points();
        assertEquals(0.75 * length, corners.get(1).x(), 1);
        assertEquals(0.15 * width, corners.get(1).y(), 1);
        assertTrue(toClean(now) < before - 0.05, toClean(now) + " after, " + before + " before");
        assertTrue(shop.bean(Changes.class).of(now.visit().id()).stream()
                .anyMatch(
                        c -> c.what() == ChangeLine.What.SEALING && c.detail().contains("within a line inked along")));
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        String bands = "/parts/" + deck.tag() + "/plan/bands";
        HttpResponse<String> beyond =
                ines.post(bands, "ring", "", "bead", "", "opening", "", "ink", "10 10, 9000 10, 9000 90");
        assertEquals(422, beyond.statusCode());
        assertTrue(beyond.body().contains("a corner lies beyond the face"), beyond.body());
        assertEquals(
                302,
                ines.post(bands, "ring", "", "bead", "", "opening", "", "ink", "")
                        .statusCode());
        assertTrue(shop.bean(Parts.class).byTag(deck.tag()).bands().inked().isEmpty(), "blank takes it away");
        assertEquals(List.of(), faults);
    }

    @Test
    void depthsAreStepsOfTheDialOfTheMachineThatIsChosen() {
        String name = "bench mill " + System.nanoTime();
        shop.bean(Toolbox.class).add(new Machine(name, 60, 900, 7, 15, 1200, Optional.of(Length.ofMm("0.02"))));
        PartFile head = hands.bookReady();
        double length = Layout.of(head.numbers()).box().width();
        hands.read(head, SurveyKind.FACE, s -> 0.11 * Math.pow(2 * s.x() / length - 1, 2));
        String page = Visitor.signedIn(shop.port(), "ines")
                .get("/parts/" + head.tag() + "/plan?skim=0.02&deepest=0.06&finish=0.02&machine="
                        + name.replace(" ", "%20") + "&cutter=")
                .body();
        Matcher passes = Pattern.compile("([0-9.]+) → ([0-9.]+)").matcher(page);
        int count = 0;
        while (passes.find()) {
            count++;
            for (int i = 1; i <= 2; i++) {
                assertEquals(0, Math.round(Double.parseDouble(passes.group(i)) * 1000) % 20, passes.group());
            }
        }
        assertTrue(count >= 3, page);
    }
}

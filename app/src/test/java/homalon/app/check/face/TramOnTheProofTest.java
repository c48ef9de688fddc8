package homalon.app.check.face;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.casting.ledger.Ledgers;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.Tram;
import homalon.core.geometry.Box;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** By keys alone: a face that was cut by a spindle out of square says so when it is proven. */
@ExtendWith({RunningShop.class, Browser.class})
class TramOnTheProofTest {
    private static final double CUTTER = 330;

    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;

    TramOnTheProofTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    /** Read all over, planned, and cut with that cutter. */
    private PartFile cut(String cutter) {
        PartFile part = hands.bookReady();
        hands.read(part, SurveyKind.FACE, s -> 0.03 * Math.pow(box(part).u(s.x()), 2));
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        shop.bean(Ledgers.class)
                .pass(
                        part,
                        UUID.randomUUID(),
                        Length.ofMm("0.06"),
                        Optional.empty(),
                        new Ledgers.Notes("", cutter, "", "", "0.06"),
                        Optional.empty(),
                        hands.ines());
        return part;
    }

    private static Box box(PartFile part) {
        return Layout.of(part.numbers()).box();
    }

    /** Keys what is asked until nothing more is. */
    private void prove(Page page, PartFile part, double hollow) {
        Box box = box(part);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/proof");
        page.locator(".act button").press("Enter");
        Locator open = page.locator("#walk [data-state=open]");
        assertThat(open).not().hasCount(0);
        for (int n = 1; open.count() > 0; n++) {
            Locator here = page.locator("#walk [aria-current][data-state=open]");
            assertThat(here).hasCount(1);
            double v = box.v(Double.parseDouble(here.getAttribute("data-y")));
            page.keyboard()
                    .type(BigDecimal.valueOf(hollow * v * v)
                            .setScale(3, RoundingMode.HALF_UP)
                            .toPlainString());
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(n);
        }
        assertThat(page.locator("#figures form[data-lays]")).hasCount(0);
    }

    @Test
    void aDishedProofSaysToTramTheSpindleAndByHowMuch() {
        PartFile part = cut("CBN disc 1");
        double width = box(part).height();
        Page page = window.signedIn(shop, "ines");
        prove(page, part, Tram.hollow(CUTTER, width, 0.25));
        Locator causes = page.locator("main");
        assertThat(causes).containsText("Tram the spindle before the next pass");
        assertThat(causes).containsText(Pattern.compile("out of square along the travel by 0\\.2[3-7]"));
        assertThat(causes).not().containsText("overheated");
        String paper = Visitor.signedIn(shop.port(), "ines")
                .get("/parts/" + part.tag() + "/report")
                .body();
        assertEquals(1, paper.split("Tram the spindle", -1).length - 1, "said once in the report");
    }

    private String proof(PartFile part, double hollow) {
        Box box = box(part);
        hands.read(part, SurveyKind.PROOF, s -> hollow * Math.pow(box.v(s.y()), 2));
        return Visitor.signedIn(shop.port(), "ines")
                .get("/parts/" + part.tag() + "/proof")
                .body();
    }

    @Test
    void whereTheCutterWasNotNotedTheShapeIsToldAndNotByHowMuch() {
        assertTrue(proof(cut(""), 0.02).contains("note the cutter with the pass to see by how much"));
    }

    @Test
    void aFlatProofSaysNothingOfTheSpindle() {
        assertFalse(proof(cut("CBN disc 1"), 0).contains("Tram the spindle"));
    }
}

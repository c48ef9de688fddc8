package homalon.app.check.integrity;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.Keyboard;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Castings that are cracked, bent, askew or with liners, from the tank to the hand-over, by keyboard. */
@ExtendWith({RunningShop.class, Browser.class})
class WholeCastingTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final List<String> faults = new ArrayList<>();
    private final Page page;
    private final Keyboard hand;

    WholeCastingTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.page = window.signedIn(shop, "ines", 1280, 800, faults);
        this.hand = new Keyboard(shop, page);
    }

    @AfterEach
    void nothingWasComplainedOf() {
        assertEquals(List.of(), faults);
    }

    private void verdict(String words) {
        assertThat(page.locator("#figures .verdict .words").first()).hasText(words);
    }

    private void cleanAndLook(PartFile part) {
        hand.go(part, "clean");
        page.keyboard().press("1");
        assertThat(page.locator("#ticks li.done")).hasCount(1);
        hand.press("Cleaned this way");
        hand.strip("Clean", "clean");
    }

    private void held(PartFile part, int test) {
        hand.go(part, "pressure");
        hand.press("Begin the test");
        String[][] readings = {{"2.6", "21.5", "0"}, {"2.59", "21", "5"}, {"2.57", "20", "10"}};
        for (int i = 0; i < readings.length; i++) {
            hand.type("bar", readings[i][0]);
            page.keyboard().press("Tab");
            page.keyboard().type(readings[i][1]);
            page.keyboard().press("Tab");
            page.keyboard().type(readings[i][2]);
            page.keyboard().press("Enter");
            assertThat(page.locator("#figures table").first().locator("tbody tr"))
                    .hasCount(i + 1);
        }
        verdict("Not proven yet");
        hand.press("Looked all over: no bubbles");
        verdict("It held");
        assertThat(page.locator("#figures .verdict")).hasCount(test);
    }

    @Test
    void crackedIronIsStitchedInsertedAndTestedTwice() {
        PartFile head = hands.book(Material.CAST_IRON);
        hand.go(head, "cracks");
        assertThat(page.locator(".asks.must")).hasText("First clean: a crack under dirt is not seen.");
        page.selectOption("#checked-by", "EYES");
        hand.press("Crack check done");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("First clean")))
                .isVisible();
        cleanAndLook(head);

        hand.go(head, "cracks");
        assertThat(page.locator("[name=place]")).isFocused();
        page.keyboard().type("between");
        page.keyboard().press("Tab");
        page.keyboard().type("3");
        page.keyboard().press("Tab");
        page.keyboard().type("28");
        page.locator("[name=reaches]").first().focus();
        page.keyboard().press("Space");
        hand.press("Mark it");
        assertThat(page.locator("#found")).containsText("Rule: stitch, then insert over it, tested twice");
        hand.type("pin", "8");
        page.keyboard().press("Enter");
        assertThat(page.locator("#found")).containsText("6 pins");
        assertEquals(6, page.locator("#live-drawing .crack .pin").count());
        page.selectOption("#checked-by", "EYES");
        hand.press("Crack check done");
        assertThat(page.locator("#crack-state .words")).hasText("1 crack marked");
        // Looked over once; the ring that is to go in asks for it once more.
        hand.strip("Cracks", "after the inserts");
        hand.strip("Repair", "stitch");

        hand.go(head, "route");
        hand.press("Done");
        hand.strip("Pressure", "due");
        held(head, 1);
        hand.go(head, "route");
        hand.press("Done");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("No ring is named")))
                .isVisible();
        page.locator("form[action$='/route/did'] [name=note]").first().fill("HI-34.0 at 3 exhaust, press 0.09");
        hand.press("Done");
        hand.strip("Pressure", "owed again");
        hand.strip("Cracks", "owed again");

        hand.go(head, "report");
        assertThat(page.locator(".sheet")).containsText("pressure (owed again)");
        hand.type("note", "he is in a hurry");
        hand.press("Hand it over unfinished");
        assertThat(page.locator(".said")).containsText("Owed before it leaves: crack check, pressure test.");

        hand.go(head, "cracks");
        page.selectOption("#checked-by", "EYES");
        hand.press("Crack check done");
        hand.strip("Cracks", "1 marked");
        held(head, 2);
        hand.strip("Pressure", "held");
        hand.go(head, "route");
        assertThat(page.locator(".route-steps")).not().containsText("Pressure test");
        hand.go(head, "report");
        assertThat(page.locator(".sheet")).not().containsText("pressure");
    }

    @Test
    void aFlatHeadThatIsBentAtItsCamIsStraightenedFirst() {
        PartFile head = hands.book(Material.ALUMINIUM);
        cleanAndLook(head);
        hand.go(head, "cracks");
        page.selectOption("#checked-by", "EYES");
        hand.press("Crack check done");
        hand.strip("Cracks", "none found");
        hands.read(head, SurveyKind.FACE, spot -> 0.004 * Math.sin(spot.x() / 90));
        hand.go(head, "line");
        page.locator("[name=at]").focus();
        page.keyboard().press("Control+A");
        page.keyboard().type("0 90 180 270 360");
        hand.type("clearance", ".06");
        hand.press("Start");
        keyLine("0", "-.06", "-.095", "-.06", "0");
        verdict("Binds by 0.035 mm");
        assertThat(page.locator("#live-drawing")).containsText("it was skimmed while bent");
        hand.strip("Repair", "straighten");
        hand.strip("Face", "owed again");
        hand.go(head, "route");
        hand.press("Done");
        hand.strip("Line", "owed again");
        hand.go(head, "line");
        page.locator("#walk button").first().evaluate("e => window.keying.go(e.dataset.place)");
        page.locator("input.key").focus();
        keyLine("0", "-.01", "-.012", "-.006", "0");
        verdict("Free");
        hand.strip("Line", "free");
        // What bends back may crack, and the face moved with it.
        hand.strip("Cracks", "owed again");
        hand.strip("Face", "owed again");
    }

    private void keyLine(String... heights) {
        for (int i = 0; i < heights.length; i++) {
            assertThat(page.locator("[data-show=name]")).hasText("Bore " + (i + 1) + ", height");
            page.keyboard().type(heights[i]);
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk button").nth(i)).hasAttribute("data-state", "read");
        }
    }

    @Test
    void aDeckThatIsLowAtOneEndIsSquared() {
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        hands.prepare(deck);
        hands.read(deck, SurveyKind.FACE, spot -> 0.003 * Math.sin(spot.x() / 70));
        hand.go(deck, "index");
        hand.strip("Plan", "no cut needed");
        hand.press("Start");
        assertThat(page.locator("input.key")).isFocused();
        for (String height : new String[] {"229.83", "229.66", "229.81", "229.63"}) {
            page.keyboard().type(height);
            page.keyboard().press("Enter");
        }
        verdict("0.200 mm to square it");
        assertThat(page.locator("#figures")).containsText("low at the rear");
        hand.strip("Plan", "due");
        // Squared is what was read over the crank line again after the cut.
        hand.strip("Index", "after the cut");
        // The set-up parallel to the crank line takes that off where the deck stands highest over it.
        hand.go(deck, "plan");
        double depth = Double.parseDouble(
                page.locator(".card[data-number='4'] .depth").innerText().strip());
        assertEquals(0.2, depth, 0.012);
    }

    @Test
    void linersAreProudForOneGasketAndFlushForTheOther() {
        PartFile block = hands.book(Material.CAST_IRON, PartKind.DECK);
        hands.prepare(block);
        hand.go(block, "liners");
        hand.press("Start");
        assertThat(page.locator("input.key")).isFocused();
        for (int i = 0; i < 16; i++) {
            page.keyboard().type(i < 12 ? ".06" : ".12");
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(i + 1);
        }
        verdict("1 to trim");
        assertThat(page.locator("#live-drawing")).containsText("Liner 4: take 0.055 mm off its top");
        hand.strip("Repair", "trim liners");

        page.locator("#set-up summary").focus();
        page.keyboard().press("Enter");
        page.locator("[name=school][value=FLUSH]").focus();
        page.keyboard().press("Space");
        hand.press("Start");
        assertThat(page.locator("#figures .verdict .words")).hasText("4 to trim");
        assertTrue(page.locator("#figures")
                .innerText()
                .contains("0.000 to 0.020 mm, flush, general default for such a gasket"));
    }

    /** Somebody else marks a crack: this page shows it by itself, and what is being keyed here stays. */
    @Test
    void whatAnotherWritesIsSeenWithoutLosingWhatIsBeingKeyed() {
        PartFile head = hands.book(Material.CAST_IRON);
        hands.prepare(head);
        hand.go(head, "cracks");
        hand.type("length", "17");
        Visitor brannoc = Visitor.signedIn(shop.port(), "brannoc");
        int status = brannoc.key(
                        "/parts/" + head.tag() + "/cracks",
                        "id",
                        UUID.randomUUID().toString(),
                        "place",
                        "GUIDE_BOSS",
                        "length",
                        "0.4in",
                        "method",
                        "EYES")
                .statusCode();
        assertEquals(200, status);
        assertThat(page.locator("#found")).containsText("guide boss, 10.16 mm long");
        assertEquals("17", page.locator("[name=length]").inputValue());
    }
}

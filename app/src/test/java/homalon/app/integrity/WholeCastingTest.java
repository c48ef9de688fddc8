package homalon.app.integrity;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.face.SurveyKind;
import homalon.app.part.PartFile;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
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

    WholeCastingTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.page = window.signedIn(shop, "ines", 1280, 800, faults);
    }

    @AfterEach
    void nothingWasComplainedOf() {
        assertEquals(List.of(), faults);
    }

    private void go(PartFile part, String step) {
        page.navigate(shop.address() + "/parts/" + part.tag() + "/" + step);
    }

    private void press(Locator button) {
        button.focus();
        page.keyboard().press("Enter");
    }

    private void press(String name) {
        press(page.getByRole(
                        com.microsoft.playwright.options.AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first());
    }

    private void type(String field, String text) {
        page.locator("[name=" + field + "]:visible").first().focus();
        page.keyboard().type(text);
    }

    private void strip(String step, String note) {
        assertThat(page.locator("#strip a")
                        .filter(new Locator.FilterOptions().setHasText(step))
                        .first())
                .containsText(note);
    }

    private void verdict(String words) {
        assertThat(page.locator("#figures .verdict .words").first()).hasText(words);
    }

    private void cleanAndLook(PartFile part) {
        go(part, "clean");
        page.keyboard().press("1");
        assertThat(page.locator("#ticks li.done")).hasCount(1);
        press("Cleaned so");
        strip("Clean", "clean");
    }

    private void held(PartFile part, int test) {
        go(part, "pressure");
        press("Begin the test");
        String[][] readings = {{"2.6", "21.5", "0"}, {"2.59", "21", "5"}, {"2.57", "20", "10"}};
        for (int i = 0; i < readings.length; i++) {
            type("bar", readings[i][0]);
            page.keyboard().press("Tab");
            page.keyboard().type(readings[i][1]);
            page.keyboard().press("Tab");
            page.keyboard().type(readings[i][2]);
            page.keyboard().press("Enter");
            assertThat(page.locator("#figures table").first().locator("tbody tr"))
                    .hasCount(i + 1);
        }
        verdict("Not proven yet");
        press("Looked all over: no bubbles");
        verdict("It held");
        assertThat(page.locator("#figures .verdict")).hasCount(test);
    }

    @Test
    void crackedIronIsStitchedInsertedAndTestedTwice() {
        PartFile head = hands.book(Material.CAST_IRON);
        go(head, "cracks");
        assertThat(page.locator(".asks.must")).hasText("First clean: a crack under dirt is not seen.");
        press("Crack check done");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("First clean")))
                .isVisible();
        cleanAndLook(head);

        go(head, "cracks");
        assertThat(page.locator("[name=place]")).isFocused();
        page.keyboard().type("between");
        page.keyboard().press("Tab");
        page.keyboard().type("3");
        page.keyboard().press("Tab");
        page.keyboard().type("28");
        page.locator("[name=reaches]").first().focus();
        page.keyboard().press("Space");
        press("Mark it");
        assertThat(page.locator("#found")).containsText("Rule: stitch, then insert over it, tested twice");
        type("pin", "8");
        page.keyboard().press("Enter");
        assertThat(page.locator("#found")).containsText("6 pins");
        assertEquals(6, page.locator("#live-drawing .crack .pin").count());
        press("Crack check done");
        assertThat(page.locator("#crack-state .words")).hasText("1 crack marked");
        // Looked over once; the ring that is to go in asks for it once more.
        strip("Cracks", "after seat insert");
        strip("Repair", "stitch");

        go(head, "route");
        press("Done");
        strip("Pressure", "due");
        held(head, 1);
        go(head, "route");
        press("Done");
        strip("Pressure", "owed again");
        strip("Cracks", "owed again");

        go(head, "report");
        assertThat(page.locator(".sheet")).containsText("pressure (owed again)");
        type("note", "he is in a hurry");
        press("Hand it over unfinished");
        assertThat(page.locator(".said")).containsText("Owed before it leaves: crack check, pressure test.");

        go(head, "cracks");
        press("Crack check done");
        strip("Cracks", "1 marked");
        held(head, 2);
        strip("Pressure", "held");
        go(head, "route");
        assertThat(page.locator(".route-steps")).not().containsText("Pressure test");
        go(head, "report");
        assertThat(page.locator(".sheet")).not().containsText("pressure");
    }

    @Test
    void aFlatHeadThatIsBentAtItsCamIsStraightenedFirst() {
        PartFile head = hands.book(Material.ALUMINIUM);
        cleanAndLook(head);
        go(head, "cracks");
        press("Crack check done");
        strip("Cracks", "none found");
        hands.read(head, SurveyKind.FACE, spot -> 0.004 * Math.sin(spot.x() / 90));
        go(head, "line");
        page.locator("[name=at]").focus();
        page.keyboard().press("Control+A");
        page.keyboard().type("0 90 180 270 360");
        type("clearance", ".06");
        press("Start");
        keyLine("0", "-.06", "-.095", "-.06", "0");
        verdict("Binds by 0.035");
        assertThat(page.locator("#live-drawing")).containsText("it was skimmed while bent");
        strip("Repair", "straighten");
        strip("Face", "owed again");
        go(head, "route");
        press("Done");
        strip("Line", "owed again");
        go(head, "line");
        page.locator("#walk button").first().evaluate("e => window.keying.go(e.dataset.place)");
        page.locator("input.key").focus();
        keyLine("0", "-.01", "-.012", "-.006", "0");
        verdict("Free");
        strip("Line", "free");
        // What bends back may crack, and the face moved with it.
        strip("Cracks", "owed again");
        strip("Face", "owed again");
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
        go(deck, "index");
        strip("Plan", "no cut needed");
        press("Start");
        assertThat(page.locator("input.key")).isFocused();
        for (String height : new String[] {"229.83", "229.66", "229.81", "229.63"}) {
            page.keyboard().type(height);
            page.keyboard().press("Enter");
        }
        verdict("0.200 mm to square it");
        assertThat(page.locator("#figures")).containsText("low at the back");
        strip("Plan", "due");
        // Squared is what was read over the crank line again after the cut.
        strip("Index", "after cut");
        // The set-up parallel to the crank line takes that off where the deck stands highest over it.
        go(deck, "plan");
        double depth = Double.parseDouble(
                page.locator(".card[data-number='4'] .depth").innerText().strip());
        assertEquals(0.2, depth, 0.012);
    }

    @Test
    void linersAreProudForOneGasketAndFlushForTheOther() {
        PartFile block = hands.book(Material.CAST_IRON, PartKind.DECK);
        hands.prepare(block);
        go(block, "liners");
        press("Start");
        assertThat(page.locator("input.key")).isFocused();
        for (int i = 0; i < 16; i++) {
            page.keyboard().type(i < 12 ? ".06" : ".12");
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(i + 1);
        }
        verdict("1 to trim");
        assertThat(page.locator("#live-drawing")).containsText("Liner 4: take 0.055 mm off its top");
        strip("Repair", "trim liners");

        page.locator("#set-up summary").focus();
        page.keyboard().press("Enter");
        page.locator("[name=school][value=FLUSH]").focus();
        page.keyboard().press("Space");
        press("Start");
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
        go(head, "cracks");
        type("length", "17");
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

package homalon.app.machining.chambers;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.Keyboard;
import homalon.app.testing.RunningShop;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Chambers by keyboard: filled, worked out, cut, filled again. */
@ExtendWith({RunningShop.class, Browser.class})
class ChamberJourneyTest {
    private final HandsOfTests hands;
    private final List<String> faults = new ArrayList<>();
    private final Page page;
    private final Keyboard hand;

    ChamberJourneyTest(RunningShop.Shop shop, Browser.Window window) {
        this.hands = new HandsOfTests(shop);
        this.page = window.signedIn(shop, "ines", 1280, 800, faults);
        this.hand = new Keyboard(shop, page);
    }

    @AfterEach
    void nothingWasComplainedOf() {
        assertEquals(List.of(), faults);
    }

    /** A head hollow along its length, read at every place. */
    private PartFile hollow(Material metal, double by) {
        PartFile part = hands.book(metal);
        double length = part.numbers().length().mm();
        hands.read(part, SurveyKind.FACE, s -> {
            double u = 2 * s.x() / length - 1;
            return by * u * u;
        });
        return part;
    }

    private void engine(Map<String, String> figures, String drive) {
        page.locator("[name=drive]").focus();
        page.keyboard().type(drive);
        figures.forEach(hand::type);
        hand.press("Keep these figures and start");
        assertThat(page.locator(".keying h2")).hasText("To the brim");
    }

    /** A slip in one figure keeps none of them, and loses none of what was typed. */
    private void slip(String field, String typed, String says, String right) {
        hand.type(field, typed);
        hand.press("Keep these figures and start");
        assertThat(page.locator("form.engine .say")).containsText(says);
        assertThat(page.locator("[name='" + field + "']")).hasValue(typed);
        hand.type(field, right);
    }

    private void key(String... typed) {
        for (String t : typed) {
            assertThat(page.locator("input.key")).isFocused();
            page.keyboard().type(t);
            page.keyboard().press("Enter");
        }
        assertThat(page.locator("#status")).hasText("all kept");
    }

    private static Map<String, String> figures(String... of) {
        Map<String, String> all = new TreeMap<>();
        for (int i = 0; i < of.length; i += 2) {
            all.put(of[i], of[i + 1]);
        }
        return all;
    }

    private Locator row(int cylinder) {
        return page.locator("#results table tbody tr").nth(cylinder - 1);
    }

    private void passes() {
        // The page has just come: what is pressed before its scripts are there goes nowhere.
        assertThat(page.locator("#status")).hasText("all kept");
        assertThat(page.locator("#walk [data-state=open]").first()).isAttached();
        int passes = page.locator(".passes .pass").count();
        for (int i = 0; i < passes; i++) {
            page.locator("input.key").focus();
            page.keyboard().press("*");
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(i + 1);
        }
        assertThat(page.locator("#status")).hasText("all kept");
    }

    private static double number(String text) {
        return Double.parseDouble(text.replaceAll("^\\D*([0-9.]+).*$", "$1"));
    }

    @Test
    void aStockRebuild() {
        PartFile head = hollow(Material.CAST_IRON, 0.12);
        hand.go(head, "chambers");
        slip("GASKET", "1.3 apples", "is not a length", "1.3");
        engine(
                figures(
                        "STROKE",
                        "92",
                        "GASKET_BORE",
                        "86",
                        "GASKET",
                        "1.3",
                        "DECK",
                        "0.25",
                        "CROWN",
                        "8.5",
                        "THICKNESS_LEAST",
                        "97",
                        "THINNEST",
                        "98.4",
                        "LIFE_MOST",
                        "0.8",
                        "PRELOAD",
                        "0.8"),
                "pushrods");
        // From a burette of 100 cc; once with a refill, once misread, once a pair that differs.
        key("52.4", "0-40+0-12.5", "3.2-56", "52.7");
        page.keyboard().type("84");
        page.keyboard().press("Enter");
        assertThat(page.locator(".keying .say")).containsText("The other chambers hold about 52.6 cc");
        page.keyboard().press("Escape");
        key("52.0", "52.9");
        assertThat(page.locator("#walk [data-place$='.3.3']")).hasAttribute("data-state", "open");
        assertThat(page.locator("[data-show=name]")).hasText("chamber 3, fill 3");
        key("52.1", "52.3", "52.3");
        assertThat(page.locator("#walk [data-state=open]")).hasCount(0);
        assertThat(page.locator("#figures .words")).hasText(Pattern.compile("52\\.[01] to 52\\.8 cc"));
        assertThat(page.locator("tr[data-valve-row='3'] .note")).containsText("1 of 3 fills stood apart, left out");
        assertThat(page.locator("svg.burette")).hasAttribute("aria-label", Pattern.compile("from 0 to 52.3"));

        hand.go(head, "budget");
        double before = number(row(1).locator("td").nth(3).innerText());
        // Asked by hand: 84 mm bore, 92 stroke, 52.45 + 7.55 + 1.39 + 8.5 cc above the piston.
        assertEquals(8.29, before, 0.011);
        assertThat(page.locator("#budget-verdict .words")).hasText("0.800 mm may come off");
        assertThat(page.locator("#results")).containsText("Lifter preload comes to");

        hand.go(head, "plan");
        assertThat(page.locator(".sheet .verdict").first()).containsText("0.800 mm may come off");
        page.keyboard().press("Enter");
        assertThat(page.locator("#figures")).isVisible();
        passes();
        assertThat(hand.strip("Chambers")).containsText("owed again");

        hand.go(head, "budget");
        assertThat(row(1)).containsText("cut since");
        double workedOut = number(row(1).locator("td").nth(4).innerText());
        assertTrue(workedOut > before, "the cut raised it");
        page.locator("[name=wish]").selectOption("STOCK");
        hand.press("Work it out");
        assertThat(page.locator(".said.met")).containsText("It can be had. A gasket of");
        assertEquals(before, number(row(4).locator("td").nth(5).innerText()), 0.1);

        hand.go(head, "chambers");
        assertThat(page.locator("#walks a[aria-current]").first()).containsText("after the cut");
        key("52.0", "52.0", "52.5", "52.6", "51.8", "51.8", "52.1", "52.1");
        assertThat(hand.strip("Chambers")).containsText("51.8 to 52.");

        hand.go(head, "report");
        assertThat(page.locator(".report")).containsText("Chambers and compression");
        assertThat(page.locator(".report")).containsText("thicker than before would bring the ratio back");
        assertThat(page.locator(".report")).containsText("The pushrods stand");
        assertThat(page.locator(".report")).containsText("Dowels and oil restrictors stand");
    }

    @Test
    void aClassRuleHeadBroughtToTheLeastVolume() {
        PartFile head = hollow(Material.ALUMINIUM, 0.07);
        hand.go(head, "chambers");
        engine(
                figures(
                        "STROKE",
                        "76",
                        "GASKET_BORE",
                        "85.5",
                        "GASKET",
                        "1.1",
                        "DECK",
                        "0.15",
                        "CROWN",
                        "2.4",
                        "CLASS_CC",
                        "42",
                        "CLASS_RATIO",
                        "10.5",
                        "CLASS_THICKNESS",
                        "117",
                        "THINNEST",
                        "119",
                        "LIFE_MOST",
                        "2",
                        "SPROCKET",
                        "52",
                        "GRIND_MOST",
                        "1.5",
                        "FILL_OPEN",
                        "0.1"),
                "cam in the head, chain");
        key("44.1", "44.1", "43.4", "43.4", "44.4", "44.4", "43.8", "43.8");
        hand.go(head, "budget");
        assertThat(page.locator("#beside")).containsText("All to 44.4 cc");
        page.locator("[name=wish]").selectOption("CLASS_EQUAL");
        hand.press("Work it out");
        assertThat(page.locator(".said.met")).containsText("brings the largest chamber, 3,");
        assertThat(page.locator("#budget-verdict .words")).containsText("once the chambers are equal");
        assertThat(page.locator("#beside")).containsText("grind the chamber 1.00 cc");
        String wanted = page.locator("[name=cut]").inputValue();
        // The sentence and the field say the same cut: rounded down, so that it may be had.
        String said = new BigDecimal(wanted).setScale(3).toPlainString();
        assertThat(page.locator(".said.met")).containsText("A cut of " + said + " mm");

        // The slider, by its keys: every figure follows, and the server's answer is the only sum.
        page.locator("[data-range-of=cut]").focus();
        for (int i = 0; i < 30; i++) {
            page.keyboard().press("ArrowRight");
        }
        assertThat(page.locator("#budget-verdict .words")).containsText("may come off, not");
        assertThat(page.locator("#budget-verdict")).containsText("Class: chamber");
        hand.type("cut", wanted);
        assertThat(page.locator("#budget-verdict .words")).containsText("once the chambers are equal");

        // The answers follow the keys: the one that is meant has arrived when the figure stands on the button.
        assertThat(page.getByText("Plan a cut of at least")).containsText(wanted + " mm");
        page.getByText("Plan a cut of at least").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("[name=total]").first()).hasValue(wanted);
        page.getByText("Use this plan").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#total-visit")).hasText("0.000");
        passes();
        assertTrue(number(page.locator("#total-visit").innerText()) >= number(wanted));

        // Filled as it came out, then ground and filled again at the same places.
        hand.go(head, "chambers");
        assertThat(page.locator("#walks a[aria-current]").first()).containsText("after the cut");
        key("41.9", "41.9", "41.2", "41.2", "42.3", "42.3", "41.6", "41.6");
        hand.go(head, "budget");
        assertThat(page.locator("#limits")).containsText("fails by");
        hand.go(head, "chambers");
        for (String cylinder : List.of("1", "2", "4")) {
            for (String fill : List.of("1", "2")) {
                page.locator("#places-list").evaluate("d => d.open = true");
                page.locator("#walk [data-place='f.CUT.0." + cylinder + "." + fill + "']")
                        .click();
                key("42.3");
            }
        }
        assertThat(page.locator("#figures .words")).hasText("42.3 cc");
        hand.go(head, "budget");
        assertThat(page.locator("#limits")).containsText("passes by");
        assertThat(page.locator("#budget-verdict .words")).not().containsText("Stop");
    }

    @Test
    void littleLifeLeftIsToldToStop() {
        PartFile head = hollow(Material.CAST_IRON, 0.16);
        hand.go(head, "chambers");
        engine(
                figures(
                        "STROKE",
                        "100",
                        "GASKET_BORE",
                        "86",
                        "GASKET",
                        "1.5",
                        "DECK",
                        "-0.05",
                        "CROWN",
                        "12",
                        "THICKNESS_LEAST",
                        "104",
                        "THINNEST",
                        "104.09",
                        "LIFE_MOST",
                        "0.9"),
                "cam in the head, gears");
        key("40.0", "40.1", "40.2", "40.2", "40.0", "40.0", "40.1", "40.1");
        hand.go(head, "plan");
        Locator stop = page.locator(".sheet .verdict.out").first();
        assertThat(stop).containsText("Stop: 0.090 mm may come off");
        assertThat(stop).containsText("thickness ends it");
        hand.go(head, "budget");
        assertThat(page.locator("#budget-verdict .words")).hasText("Stop: 0.090 mm may come off");
        assertThat(page.locator("svg.budgets .bar.binds .label")).hasText("Thickness");
        hand.type("wanted", "40");
        hand.press("Work it out");
        assertThat(page.locator(".said").first()).containsText("It cannot be had.");
        assertThat(page.locator(".said").first()).containsText("thickness ends it. That gives");
        assertThat(page.locator("[name=cut]")).hasValue("0.09");
        // What cannot be meant is told in place, and the figures stay.
        hand.type("cut", "-3");
        assertThat(page.locator(".what-if .say")).containsText("key 0 to 10 mm");
        hand.type("cut", "12 apples");
        assertThat(page.locator(".what-if .say")).containsText("is not a length");
        hand.type("cut", "0.05");
        assertThat(page.locator(".what-if .say")).hasText("");
        assertThat(row(1).locator("td").nth(1)).hasText(Pattern.compile("0\\.0[0-9]+"));
        hand.go(head, "plan");
        page.getByText("Use this plan").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#figures")).containsText("Stop: 0.090 mm may come off");
    }

    private void crown(int cylinder, String cc) {
        page.locator("#places-list").evaluate("d => d.open = true");
        page.locator("#walk [data-place$='." + cylinder + "']").first().click();
        key(cc);
    }

    private Locator bowl(int cylinder) {
        return page.locator("#beside tr:has(th:text-is('" + cylinder + "'))")
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("passes|line|fails|not filled")));
    }

    /** A class that asks a least bowl of every piston: filled, one milled deeper, copied to the others, each proven by itself. */
    @Test
    void oneBowlIsMilledAndCopied() {
        PartFile head = hands.book(Material.CAST_IRON);
        hand.go(head, "chambers");
        engine(
                figures("STROKE", "92", "GASKET_BORE", "86", "GASKET", "1.3", "DECK", "0.25", "CLASS_BOWL", "14"),
                "pushrods");
        page.locator("#walks").getByText("Crowns").click();
        assertThat(page.locator(".keying h2")).hasText("Crowns");
        // Three of four: the fourth waits for its piston.
        key("14.6", "13.9", "13.2");

        hand.go(head, "budget");
        assertThat(bowl(1)).containsText("passes");
        assertThat(bowl(2)).containsText("on the line, lacks 0.50 cc");
        assertThat(bowl(3)).containsText("fails, lacks 1.20 cc");
        assertThat(bowl(4)).containsText("not filled");
        assertThat(page.locator("#beside")).containsText("Mill one bowl deeper by a known depth");
        assertThat(page.locator("#budget-verdict .words")).hasText("Class: bowl in the piston, cyl. 3 is over already");

        // The third is milled by 1.1 mm and holds 1.4 cc more.
        hand.go(head, "chambers");
        page.locator("#walks").getByText("Crowns").click();
        crown(3, "14.6");
        page.locator("#engine").evaluate("d => d.open = true");
        page.locator("#group-EQUAL").evaluate("d => d.open = true");
        figures("POCKET_DEEPER", "1.1", "POCKET_GAVE", "1.4").forEach(hand::type);
        hand.press("Keep these figures");
        assertThat(page.locator(".keying h2")).hasText("To the brim");
        hand.go(head, "budget");
        assertThat(bowl(3)).containsText("passes");
        // 0.5 cc of 1.4 in 1.1 mm, written up to what is surely enough.
        assertThat(bowl(2)).containsText("mill 0.393 mm");
        assertThat(page.locator("#beside")).containsText("Copy that depth, fill each crown again");

        hand.go(head, "chambers");
        page.locator("#walks").getByText("Crowns").click();
        crown(2, "14.5");
        hand.go(head, "budget");
        assertThat(bowl(2)).containsText("passes");
        assertThat(page.locator("#beside")).containsText("Fill the crown of each piston that was not filled");
        page.locator("#limits").evaluate("d => d.open = true");
        assertThat(page.locator("#limits")).containsText("not proven");
        assertThat(page.locator("#budget-verdict")).containsText("not every bowl was filled");

        // The last piston came: filled, and the class is proven.
        hand.go(head, "chambers");
        page.locator("#walks").getByText("Crowns").click();
        crown(4, "14.5");
        hand.go(head, "budget");
        assertThat(page.locator("#beside")).containsText("Every bowl was filled and passes.");
        assertThat(page.locator("#budget-verdict")).not().containsText("bowl");
    }
}

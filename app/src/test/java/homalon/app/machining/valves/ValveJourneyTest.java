package homalon.app.machining.valves;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.Keyboard;
import homalon.app.testing.RunningShop;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Valves by keyboard: walked down, mended, ringed, seated, with the parts that it takes. */
@ExtendWith({RunningShop.class, Browser.class})
class ValveJourneyTest {
    private static final List<String> EIGHT = List.of("1I", "1E", "2I", "2E", "3I", "3E", "4I", "4E");

    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final List<String> faults = new ArrayList<>();
    private final Page page;
    private final Keyboard hand;

    ValveJourneyTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.page = window.signedIn(shop, "ines", 1280, 800, faults);
        this.hand = new Keyboard(shop, page);
    }

    @AfterEach
    void nothingWasComplainedOf() {
        assertEquals(List.of(), faults);
    }

    private PartFile booked(Material metal) {
        PartFile part = hands.book(metal);
        hands.prepare(part);
        return part;
    }

    /** Walks all places of the walk that is open: a figure and Enter each. */
    private void walk(String name, List<String> figures) {
        assertThat(page.locator(".keying h2")).hasText(name);
        assertThat(page.locator("input.key")).isFocused();
        for (String figure : figures) {
            page.keyboard().type(figure);
            page.keyboard().press("Enter");
        }
        // Keyed at once, sent one after the other: how long that takes is the machine's affair.
        assertThat(page.locator("#walk [data-state=open]"))
                .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(30_000));
        assertThat(page.locator("#status")).hasText("all kept");
    }

    private static List<String> times(int n, String... figures) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            all.addAll(List.of(figures));
        }
        return all;
    }

    @Test
    void sixteenValvesFromStemsToSeats() {
        PartFile head = booked(Material.ALUMINIUM);
        hand.go(head, "valves");
        assertThat(page.locator("[name=intake]")).isFocused();
        hand.type("intake", "2");
        hand.type("exhaust", "2");
        page.locator("[name=rows]").focus();
        page.keyboard().type("intakes");
        hand.type("I.HEAD_DIAMETER", "1-1/4");
        hand.type("E.HEAD_DIAMETER", "28");
        hand.press("Start");

        assertThat(page.locator(".valve-sign.unread")).hasCount(16);
        walk("Stems", times(16, "6.972", "6.970", "6.971"));
        page.keyboard().press("Enter");
        assertThat(page.locator(".keying h2")).hasText("Guide tops");
        // The gauge was set wrong: a stem does not go into a smaller guide.
        page.keyboard().type("6.95");
        page.keyboard().press("Enter");
        assertThat(page.locator(".keying .say")).containsText("smaller than its stem");
        assertThat(page.locator("input.key")).hasValue("6.95");
        page.keyboard().press("Escape");
        walk("Guide tops", times(16, "7.022", "7.024"));
        page.keyboard().press("Enter");
        walk("Guide middles", times(16, "7.016", "7.017"));
        page.keyboard().press("Enter");
        walk("Guide bottoms", times(16, "7.020", "7.022"));
        page.keyboard().press("Enter");
        // Fractions, thou, inches and millimetres in one column.
        List<String> seats = times(8, "31.0", "29.0");
        seats.addAll(times(8, "27.0", "24.6"));
        seats.set(0, "1-7/32");
        seats.set(2, "1220.5th");
        seats.set(4, "1.2205in");
        walk("Seat edges", seats);
        assertThat(page.locator("tr[data-valve-row='1I1'] td").nth(1)).hasText("1.383");
        assertThat(page.locator("tr[data-valve-row='1I2'] td").nth(1)).hasText("1.415");
        assertThat(page.locator("tr[data-valve-row='2I1'] td").nth(1)).hasText("1.415");
        // Taken back and keyed anew.
        page.keyboard().press("z");
        assertThat(page.locator("#walk [data-state=open]")).hasCount(1);
        page.keyboard().type("24.5");
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk [data-state=open]")).hasCount(0);
        hand.strip("Valves", "0 of 16");

        page.navigate(shop.address() + "/parts/" + head.tag() + "/valves?of=LOOKS");
        List<String> looks = times(16, "1");
        looks.set(9, "2");
        walk("Looks", looks);
        assertThat(page.locator("#figures .verdict .words")).hasText("1 of 16 out");
        assertThat(page.locator(".valve-sign.within")).hasCount(15);
        assertThat(page.locator(".valve-sign.out")).hasCount(1);
        hand.strip("Valves", "1 of 16 out");
        hand.strip("Seats", "1 seat to do");

        page.keyboard().press("Escape");
        page.keyboard().press("g");
        page.keyboard().press("t");
        assertThat(page.locator("#work h2")).hasText("1 exhaust, rear");
        assertThat(page.locator("svg.seat-cut")).isVisible();
        page.locator("[name=way][value=CUTTER]").focus();
        page.keyboard().press("Space");
        hand.press("Keep the plan");
        assertThat(page.locator("#work table").first()).containsText("0.080");
        hand.type("runout", "0.2");
        hand.press("Made");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("does not run true")))
                .isVisible();
        hand.type("runout", "0.02");
        hand.press("Made");
        hand.strip("Seats", "1 done");
    }

    private void setUp(PartFile part, String... book) {
        hand.go(part, "valves");
        for (int i = 0; i < book.length; i += 2) {
            hand.type(book[i], book[i + 1]);
        }
        hand.press("Start");
        assertThat(page.locator(".valve-sign")).hasCount(8);
    }

    private void keyAt(PartFile part, String walk, String place, String figure) {
        page.navigate(shop.address() + "/parts/" + part.tag() + "/valves?of=" + walk + "&place=" + place);
        assertThat(page.locator("input.key")).isFocused();
        page.keyboard().type(figure);
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk [data-place='" + place + "'][data-state=read]"))
                .hasCount(1);
    }

    @Test
    void wornAtOneEndIsFoundOnlyFromTheFarSide() {
        PartFile head = booked(Material.ALUMINIUM);
        setUp(head);
        sound(head, List.of("1I", "2I", "2E", "3I", "3E", "4I", "4E"));
        EIGHT.forEach(v -> hands.valve(head, v, "LOOKS", "1"));
        keyAt(head, "STEMS", "1E.STEM_MIDDLE", "7.955");
        keyAt(head, "GUIDE_BOTTOMS", "1E.GUIDE_BOTTOM_ALONG", "8.01");
        keyAt(head, "GUIDE_BOTTOMS", "1E.GUIDE_BOTTOM_ACROSS", "8.01");
        Locator row = page.locator("tr[data-valve-row='1E']");
        assertThat(row).containsText("one end only: read the top and the middle");
        assertThat(page.locator(".valve-sign[data-valve='1E']")).hasClass(Pattern.compile("begun"));
        keyAt(head, "GUIDE_MIDDLES", "1E.GUIDE_MIDDLE_ALONG", "8.008");
        keyAt(head, "GUIDE_MIDDLES", "1E.GUIDE_MIDDLE_ACROSS", "8.008");
        keyAt(head, "GUIDE_TOPS", "1E.GUIDE_TOP_ALONG", "8.11");
        keyAt(head, "GUIDE_TOPS", "1E.GUIDE_TOP_ACROSS", "8.12");
        assertThat(row).containsText("worn beyond service, at the top, the spring side");
        assertThat(page.locator(".valve-sign[data-valve='1E']")).hasClass(Pattern.compile("out"));

        hand.go(head, "guides");
        assertThat(page.locator("#work h2").first()).hasText("1 exhaust");
        assertThat(page.locator(".ladder input[value=AS_IS]")).isDisabled();
        page.locator(".ladder input[value=REPLACE]").focus();
        page.keyboard().press("Space");
        hand.type("housing", "13.045");
        hand.press("Keep the choice");
        assertThat(page.locator(".fits label.yes").first()).containsText("G-13.090");
        page.locator(".fits input[value='G-13.045']").focus();
        page.keyboard().press("Space");
        hand.press("Keep the choice");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("drops straight through")))
                .isVisible();
        page.locator(".fits input[value='G-13.090']").focus();
        page.keyboard().press("Space");
        hand.press("Keep the choice");
        assertThat(page.locator("tr.now")).containsText("replace, G-13.090");

        // Ordered, it waits; arrived, it goes on.
        hand.go(head, "parts-list");
        hand.type("promised", "2030-01-03");
        hand.press("Order G-13.090");
        hand.strip("Guides", "for parts");
        hand.press("Arrived: G-13.090");
        assertThat(page.locator("#orders .state")).hasText("arrived");

        hand.strip("Guides", "1 guide to do");
        hand.go(head, "guides?valve=1E");
        hand.press("Done");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("Key the size")))
                .isVisible();
        hand.type("size", "8.0");
        hand.press("Done");
        hand.strip("Guides", "1 done");
        // Its old seat no longer runs true to it.
        hand.strip("Seats", "1 seat to do");
    }

    /** Stems and guides of a sound head, through the service that the page uses. */
    private void sound(PartFile part, List<String> valves) {
        for (String v : valves) {
            hands.valve(part, v, "STEM_MIDDLE", "7.955");
            for (String at : List.of("TOP", "MIDDLE", "BOTTOM")) {
                hands.valve(part, v, "GUIDE_" + at + "_ALONG", "8.005");
                hands.valve(part, v, "GUIDE_" + at + "_ACROSS", "8.006");
            }
        }
    }

    @Test
    void aDroppedInsertIsSteppedUpUntilTheWallStopsIt() {
        PartFile head = booked(Material.ALUMINIUM);
        setUp(head, "I.HEAD_DIAMETER", "38", "E.HEAD_DIAMETER", "33");
        sound(head, EIGHT);
        page.navigate(shop.address() + "/parts/" + head.tag() + "/valves?of=LOOKS");
        walk("Looks", List.of("1", "1", "1", "1", "1", "6", "1", "1"));
        hand.strip("Inserts", "1 insert to do");
        page.keyboard().press("Escape");
        page.keyboard().press("g");
        page.keyboard().press("n");
        assertThat(page.locator("#work h2").first()).hasText("3 exhaust");

        hand.type("COUNTERBORE", "33.3");
        hand.type("FLOOR", "6.2");
        hand.type("WALL", "-1");
        hand.type("THROAT", "27.6");
        hand.type("from", "2");
        hand.type("to", "5");
        hand.type("past", "0.2");
        hand.press("Keep the place");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("nothing to press into")))
                .isVisible();
        hand.type("WALL", "3.9");
        hand.type("to", "five");
        hand.press("Keep the place");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("such as 2 and 5")))
                .isVisible();
        hand.type("to", "5");
        page.locator("[name=METAL]").focus();
        page.keyboard().type("hard");
        hand.press("Keep the place");
        assertThat(page.locator("#work .verdict .words")).hasText("None passes");
        assertThat(page.locator("#work .verdict")).containsText("Stopped by: wall to water");
        // Two sizes do not clean it; the third would, and there the wall is too thin.
        assertThat(page.locator(".valve-table tbody tr").nth(0)).containsText("cleans the damage");
        assertThat(page.locator(".valve-table tbody tr").nth(1)).containsText("cleans the damage");
        Locator third = page.locator(".valve-table tbody tr").filter(new Locator.FilterOptions().setHasText("HI-34.6"));
        assertThat(third.locator("summary")).hasText("✗ wall to water");
        assertThat(page.locator("svg.counterbore .broken")).hasCount(1);

        // Measured again, there was more.
        hand.type("WALL", "4.2");
        hand.press("Keep the place");
        assertThat(page.locator("#work .verdict .words")).hasText("HI-34.6 passes");
        hand.press("Choose it");
        assertThat(page.locator("#work .verdict .words")).hasText("HI-34.6 chosen");
        hand.type("chillTo", "-196");
        hand.type("warmTo", "140");
        hand.press("Work out");
        assertThat(page.locator("#work")).containsText("drops in");
        hand.type("hole", "34.7");
        hand.type("ring", "34.6");
        hand.press("Fitted");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("smaller than its hole")))
                .isVisible();
        hand.type("hole", "34.465");
        // Measured warm from the cut: its hole is larger than it will be.
        hand.type("casting", "31");
        hand.press("Fitted");
        assertThat(page.locator("form .say").filter(new Locator.FilterOptions().setHasText("temperature: key")))
                .isVisible();
        hand.type("gauge", "21");
        hand.press("Fitted");
        hand.strip("Inserts", "1 done");
        hand.strip("Cracks", "owed again");
        hand.strip("Pressure", "due");
        hand.strip("Seats", "1 seat to do");
        hand.go(head, "inserts?valve=3E");
        assertThat(page.locator("#work .said").first())
                .containsText(
                        "hole 34.465 mm with the casting at 31 °C and the gauge at 21 °C, at 20 °C 34.457 mm, ring 34.600 mm:"
                                + " press 0.143 mm");
    }

    @Test
    void seatsOfIronAreRingedForFuelWithoutLead() {
        PartFile head = booked(Material.CAST_IRON);
        setUp(head, "I.HEAD_DIAMETER", "38", "E.HEAD_DIAMETER", "33");
        sound(head, EIGHT);
        page.navigate(shop.address() + "/parts/" + head.tag() + "/valves?of=LOOKS");
        walk("Looks", times(8, "1"));
        hand.go(head, "inserts?valve=1E");
        hand.type("COUNTERBORE", "33.1");
        hand.type("FLOOR", "6.4");
        hand.type("WALL", "5.5");
        hand.type("THROAT", "27.5");
        hand.press("Keep the place");
        assertThat(page.locator("#work .verdict .words")).containsText("passes");
        hand.press("Same sizes for every exhaust without a place; walls stay to be measured");
        hand.strip("Inserts", "4 inserts to do");
        for (String v : List.of("1E", "2E", "3E", "4E")) {
            hand.go(head, "inserts?valve=" + v);
            if (!v.equals("1E")) {
                assertThat(page.locator("#work .verdict .words")).hasText("Measure the place");
                hand.type("WALL", "5.2");
                hand.press("Keep the place");
            }
            hand.press("Choose it");
            assertThat(page.locator("#work .verdict .words")).containsText("chosen");
            assertThat(page.locator("#work")).containsText("never");
        }
        hand.go(head, "parts-list");
        assertThat(page.locator("#needs .needs")).containsText("4 × HI-33.4");
        hand.press("Ask the simulated supplier");
        assertThat(page.locator("#needs .needs")).containsText(Pattern.compile("here|ask again"));
        hand.press("Order HI-33.4");
        hand.strip("Inserts", "for parts");
        hand.type("quantity", "4");
        hand.press("Arrived: HI-33.4");
        hand.strip("Inserts", "4 inserts to do");
        for (String v : List.of("1E", "2E", "3E", "4E")) {
            hand.go(head, "inserts?valve=" + v);
            hand.type("hole", "33.295");
            hand.type("ring", "33.4");
            hand.press("Fitted");
            assertThat(page.locator(".valve-sign[data-valve='" + v + "']")).hasClass(Pattern.compile("within"));
        }
        hand.strip("Inserts", "4 done");
        hand.strip("Seats", "4 seats to do");
        // What was fitted stands in the report.
        hand.go(head, "report");
        assertThat(page.locator(".report"))
                .containsText("insert HI-33.4, hole 33.295 mm, ring 33.400 mm: press 0.105 mm");
        assertTrue(page.locator(".report").textContent().contains("Still to be worked on: 1E, 2E, 3E, 4E."));
    }

    /** The shop's list comes in from a file, whole or not at all. */
    @Test
    void aListIsTakenInWholeOrNotAtAll() {
        page.navigate(shop.address() + "/stock");
        Locator file = page.locator("[data-file]");
        file.setInputFiles(list(
                "code,kind,outer,inner,height,metal\nNEW-1,insert,1-7/16,28,7,bronze\nNEW-2,insert,30,31,7,bronze\n"));
        assertThat(page.locator("#taken")).containsText("Nothing was taken. Line 3");
        assertThat(page.locator("#list")).not().containsText("NEW-1");
        file.setInputFiles(list("code,kind,outer,inner,height,metal\nNEW-1,insert,1-7/16,28,7,bronze\n"));
        assertThat(page.locator("#list .said")).hasText("1 line taken in.");
        assertThat(page.locator("#list tr").filter(new Locator.FilterOptions().setHasText("NEW-1")))
                .containsText("36.513");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take NEW-1 off the list"))
                .click();
        assertThat(page.locator("#list")).not().containsText("NEW-1");
    }

    private static FilePayload list(String text) {
        return new FilePayload("list.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8));
    }
}

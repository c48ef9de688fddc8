package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import homalon.core.face.Flatness;
import homalon.core.face.FlatnessSettings;
import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.sim.SeededFace;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One head from the door to the report, keyed as a machinist keys it: no mouse. */
@ExtendWith({RunningShop.class, Browser.class})
class JourneyTest {
    private static final Box FACE = new Box(0, 0, 412, 150);
    private static final SeededFace AS_IT_CAME = new SeededFace(
            FACE, 0.09, -0.04, 0.07, 0.01, 0.03, List.of(new SeededFace.Dip(new Spot(255, 75), 0.03, 40)));
    private static final SeededFace AFTER = new SeededFace(FACE, 0.01, 0.01, 0.004, -0.002, 0.003, List.of());

    private final RunningShop.Shop shop;
    private final List<String> faults = new ArrayList<>();
    private final Page page;

    JourneyTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.page = window.signedIn(shop, "ines", 1280, 800, faults);
    }

    private void keys(String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
    }

    /** Tabs on until the field of that name has the focus, and keys its text. */
    private void field(String name, String text) {
        for (int i = 0; i < 60; i++) {
            if (name.equals(page.evaluate("document.activeElement.name"))) {
                page.keyboard().type(text);
                return;
            }
            keys("Tab");
        }
        throw new AssertionError("the field " + name + " cannot be reached by Tab");
    }

    private void press(String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first()
                .focus();
        keys("Enter");
    }

    private void at(String path) {
        page.waitForURL(url -> url.replaceFirst("\\?.*", "").endsWith(path));
    }

    private String text(String selector) {
        return page.locator(selector).first().innerText().strip();
    }

    /** Enter does what the page is for, without a search for its button. */
    private void enter() {
        PlaywrightAssertions.assertThat(page.locator(".act button")).isFocused();
        keys("Enter");
    }

    private void kept() {
        PlaywrightAssertions.assertThat(page.locator("#status")).hasText("all kept");
    }

    /** Reads every place of the walk off the face given and keys it; gives what was keyed, as points. */
    private Points key(SeededFace face, int places) {
        List<double[]> rows = new ArrayList<>();
        for (int i = 0; i < places; i++) {
            PlaywrightAssertions.assertThat(page.locator("[data-show=count]"))
                    .hasText("place " + (i + 1) + " of " + places);
            var here = page.locator("#walk [aria-current]");
            double x = Double.parseDouble(here.getAttribute("data-x"));
            double y = Double.parseDouble(here.getAttribute("data-y"));
            BigDecimal z = BigDecimal.valueOf(face.at(x, y)).setScale(3, RoundingMode.HALF_UP);
            page.keyboard().type(z.toPlainString());
            keys("Enter");
            rows.add(new double[] {x, y, z.doubleValue()});
        }
        kept();
        PlaywrightAssertions.assertThat(page.locator("#walk [data-state=read]")).hasCount(places);
        return Points.of(rows.toArray(double[][]::new));
    }

    private static double zone(Points points) {
        return Flatness.of(points, FlatnessSettings.over(FACE)).minimumZone().zone();
    }

    @Test
    void aHeadGoesFromTheDoorToTheReport() throws IOException {
        keys("g", "n");
        at("/parts/new");
        field("name", "Lighthouse tender, four in line");
        field("customer", "Outer Rock Lights");
        field("bore", "87");
        field("spacing", "98");
        keys("Tab", "Enter");
        field("length", "412");
        field("width", "150");
        field("history", "boiled dry on the slip");
        field("overall", "0.05");
        // The face is drawn while it is keyed, a moment after the last key.
        PlaywrightAssertions.assertThat(page.locator("#preview svg.face .bore-number"))
                .hasCount(4);
        String tag = page.inputValue("[name=tag]");
        keys("Enter");
        at("/parts/" + tag + "/clean");
        press("Cleaned this way");
        PlaywrightAssertions.assertThat(page.locator("#strip .done")).hasCount(2);
        keys("g", "x");
        at("/cracks");
        page.selectOption("#checked-by", "EYES");
        press("Crack check done");
        PlaywrightAssertions.assertThat(page.locator("#strip .done")).hasCount(3);
        keys("Escape", "g", "f");
        at("/face");

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("· close$")))
                .focus();
        keys("Enter");
        page.waitForURL(url -> url.contains("density=CLOSE"));
        int places = Integer.parseInt(text(".act button").replaceAll("\\D", ""));
        enter();
        PlaywrightAssertions.assertThat(page.locator("input.key")).isFocused();
        Points keyed = key(AS_IT_CAME, places);
        LengthWriter mm = new LengthWriter(BenchUnit.MM);
        String zone = mm.number(zone(keyed));
        assertEquals(zone, text("table.figures .value"));
        assertEquals("Out by " + mm.full(zone(keyed) - 0.05), text(".verdict .words"));

        keys("g", "u");
        PlaywrightAssertions.assertThat(page.locator("table.figures .value").first())
                .hasText(new LengthWriter(BenchUnit.THOU).number(zone(keyed)));
        keys("g", "u");
        PlaywrightAssertions.assertThat(page.locator("table.figures .value").first())
                .hasText(zone);

        keys("Escape", "g", "p");
        at("/plan");
        double least = Double.parseDouble(text(".card[data-number='1'] .depth"));
        assertTrue(
                least >= Double.parseDouble(zone) && least < Double.parseDouble(zone) + 0.02,
                "least removal takes the zone, and what stands and lies beyond the places: " + least);
        keys("2");
        page.waitForURL(url -> url.contains("school=AVERAGE"));
        keys("1");
        page.waitForURL(url -> url.contains("school=LEAST_REMOVAL"));
        enter();
        at("/cut");

        int passes = page.locator(".passes .pass").count();
        for (int i = 0; i < passes; i++) {
            PlaywrightAssertions.assertThat(page.locator("[data-show=count]"))
                    .hasText("pass " + (i + 1) + " of " + passes);
            keys("*", "Enter");
            PlaywrightAssertions.assertThat(page.locator("#walk [data-state=read]"))
                    .hasCount(i + 1);
        }
        assertEquals("Cut as planned", text(".verdict .words"));
        BigDecimal planned = new BigDecimal(text("#total-visit"));

        page.keyboard().type(".2");
        keys("Enter");
        // Past the plan: asked about once.
        PlaywrightAssertions.assertThat(page.locator(".keying .say")).containsText("The plan is through");
        keys("Enter");
        PlaywrightAssertions.assertThat(page.locator("#total-visit"))
                .hasText(planned.add(new BigDecimal("0.200")).toPlainString());
        page.locator("tr.stands summary").last().focus();
        keys("Enter");
        field("why", "keyed .2, the dial said nothing");
        keys("Enter");
        PlaywrightAssertions.assertThat(page.locator("#total-visit")).hasText(planned.toPlainString());
        assertEquals(1, page.locator("tr.taken-back").count());
        assertEquals(1, page.locator("tr.reversal").count());

        page.locator("[name=sure]").focus();
        page.keyboard().type("k");
        field("depth", "0.31");
        keys("Enter");
        PlaywrightAssertions.assertThat(page.locator("#total-life"))
                .hasText(planned.add(new BigDecimal("0.310")).toPlainString());

        keys("Escape", "g", "v");
        at("/proof");
        enter();
        PlaywrightAssertions.assertThat(page.locator("input.key")).isFocused();
        Points proof = key(AFTER, places);

        keys("Escape", "g", "h");
        at("/report");
        keys("5");
        PlaywrightAssertions.assertThat(page.locator(".sheet .verdict .words")).hasText("Ready to go");
        String said = text(".report-said");
        String life = planned.add(new BigDecimal("0.310")) + " mm";
        assertTrue(said.contains("read " + zone + " mm flat, out of the limit of 0.050 mm (maker's book)"), said);
        assertTrue(said.contains(planned + " mm was taken off in " + passes + " passes"), said);
        assertTrue(said.contains("In its life " + life + " has come off, of which 0.310 before we knew it"), said);
        assertTrue(said.contains("it is " + mm.number(zone(proof)) + " mm flat"), said);

        String pdf = pdf(tag);
        for (String figure : List.of(
                tag, "Lighthouse tender, four in line", zone + " mm flat", planned + " mm was taken off", life)) {
            assertTrue(pdf.contains(figure), figure + " is missing in: " + pdf);
        }
        record(tag, keyed, planned);
        assertEquals(List.of(), faults);
    }

    private String pdf(String tag) throws IOException {
        byte[] file = page.request()
                .get(shop.address() + "/parts/" + tag + "/report.pdf")
                .body();
        try (PDDocument document = Loader.loadPDF(file)) {
            PDFTextStripper stripper = new PDFTextStripper();
            stripper.setSortByPosition(true);
            return stripper.getText(document).replaceAll("\\s+", " ");
        }
    }

    /** The record holds what was keyed, to the digit, and sums that are exact. */
    private void record(String tag, Points keyed, BigDecimal planned) {
        JsonNode file = JsonMapper.shared()
                .readTree(page.request()
                        .get(shop.address() + "/parts/" + tag + "/record.json")
                        .body());
        assertEquals("homalon-record/1", file.get("format").asString());
        JsonNode readings = file.get("visits").get(0).get("surveys").get(0).get("readings");
        assertEquals(keyed.size(), readings.size());
        for (int i = 0; i < keyed.size(); i++) {
            assertEquals(keyed.z(i), readings.get(i).get("valueMm").asDouble());
        }
        assertEquals(
                0,
                planned.add(new BigDecimal("0.31"))
                        .compareTo(file.get("ledger").get("lifeMm").decimalValue()));
    }
}

package homalon.app.foundation.carry;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FilePayload;
import homalon.app.casting.part.PartFinder;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.SurveyStarts;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.testing.Browser;
import homalon.app.testing.Net;
import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.face.PlaceProposal;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import homalon.core.visit.Wanted;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** An empty shop lives its first month at a thou bench, in the browser, one day after the other. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(Browser.class)
class FirstMonthTest {
    private static final String PASSWORD = "three kelp boats";
    private static final List<String> FAULTS = new ArrayList<>();

    private static Net net;
    private static RunningShop.Shop shop;
    private static Page page;

    @TempDir
    private Path folder;

    private final Browser.Window window;

    private static final Pattern VERDICT = Pattern.compile("(?m)^Within");
    private static final Pattern STEP = Pattern.compile("(step \\d+ of \\d+)");
    private static final Pattern KEY = Pattern.compile("(?m)^(\\S) (?:sits still|[\\d.]+ does not)$");

    FirstMonthTest(Browser.Window window) {
        this.window = window;
    }

    @BeforeAll
    static void start() {
        RunningShop.Shop there = RunningShop.empty();
        net = new Net(there);
        shop = net.through(there);
    }

    @AfterAll
    static void stop() throws IOException {
        net.close();
        shop.close();
    }

    /** Hands that press keys, counted. */
    private static final class Keys {
        private int pressed;

        void type(String text) {
            page.keyboard().type(text);
            pressed += text.length();
        }

        void press(String... keys) {
            for (String key : keys) {
                page.keyboard().press(key);
                pressed++;
            }
        }
    }

    /** From the first visit to the verdict of a face by the limit blade: no more than 150 keys, and nothing but keys. */
    @Test
    @Order(1)
    void theFirstVerdictStandsWithinAHundredAndFiftyKeys() {
        page = window.openKeeping(shop.address() + "/", 1280, 800, FAULTS);
        Keys keys = new Keys();
        assertThat(page.getByText("Open the shop")).isVisible();
        keys.type("Quay");
        keys.press("Tab");
        keys.type("t");
        keys.press("Tab");
        keys.type("Oda");
        keys.press("Tab");
        keys.type("oda");
        keys.press("Tab");
        keys.type(PASSWORD);
        keys.press("Enter");
        assertThat(page.getByLabel("Login")).isFocused();
        keys.type("oda");
        keys.press("Tab");
        keys.type(PASSWORD);
        keys.press("Enter");
        assertThat(page.getByText("Next at the bench")).isVisible();
        keys.press("g", "n");
        assertThat(page.getByText("Book a part in").first()).isVisible();
        assertThat(page.getByLabel("Engine and casting")).isFocused();
        keys.type("Pump");
        keys.press("Tab", "Tab", "Tab");
        keys.type("Bo");
        keys.press("Tab", "Tab", "Tab", "Tab");
        keys.type("3.4");
        keys.press("Tab");
        keys.type("3.9");
        keys.press("Enter");
        assertThat(page.locator("#strip")).isVisible();
        keys.press("g", "f");
        assertThat(page.getByText("Edge and feelers").first()).isVisible();
        keys.press("g", "2");
        Locator way = page.getByText("Limit blade only.");
        assertThat(way).isVisible();
        // Back from the button to the choice of the way.
        keys.press("Shift+Tab", "Shift+Tab", "Shift+Tab", "ArrowDown", "Enter");
        assertThat(page.locator("input.key")).isFocused();
        Locator screen = page.locator("main");
        for (String seen = screen.innerText(); !VERDICT.matcher(seen).find(); seen = screen.innerText()) {
            assertTrue(STEP.matcher(seen).find(), seen);
            String version = page.locator("#walk").getAttribute("data-version");
            // The screen tells which key says that nothing rocks, and which that the blade does not go.
            keys.press(told(KEY, seen).replace('\u2212', '-'));
            assertThat(page.locator("#walk")).not().hasAttribute("data-version", version);
            // What lies between the edges follows by itself.
            assertThat(page.locator("#figures form[data-lays]"))
                    .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(20_000));
        }
        assertThat(page.locator("#figures .verdict").first()).containsText("ithin");
        assertTrue(keys.pressed <= 150, keys.pressed + " keys");
        assertEquals(List.of(), FAULTS);
    }

    private static String told(Pattern what, String seen) {
        Matcher told = what.matcher(seen);
        assertTrue(told.find(), seen);
        return told.group(1);
    }

    private static void file(String name, String... lines) {
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload(
                        name, "text/csv", String.join("\n", lines).getBytes(StandardCharsets.UTF_8)));
    }

    private static void takeIn(String kind, int lines, String... file) {
        page.navigate(shop.address() + "/shop/tables");
        page.locator("nav.walks")
                .getByText(kind, new Locator.GetByTextOptions().setExact(true))
                .click();
        file(kind + ".csv", file);
        page.getByText(Pattern.compile("Take (this|these).*in")).click();
        assertThat(page.locator("#found")).containsText(lines + (lines == 1 ? " line taken in." : " lines taken in."));
    }

    private static PartFile byTag(String tag) {
        return shop.bean(Parts.class).byTag(tag);
    }

    @Test
    @Order(2)
    void theSettingsAreGoneThroughFromOneToTheNext() {
        page.navigate(shop.address() + "/shop/settings");
        page.getByLabel("First tag, such as T-0001").fill("QS-0100");
        page.getByText("Keep these", new Page.GetByTextOptions().setExact(true)).click();
        for (String next : List.of(
                "Other limits",
                "Rules of the route",
                "Papers",
                "Tools",
                "Instruments",
                "People and devices",
                "Hours and stations",
                "Prices",
                "Tables to take in")) {
            page.getByText("Then " + next).click();
            assertThat(page.locator("[aria-label='Setting the shop up'] [aria-current=page]"))
                    .containsText(next);
        }
        page.getByText("Then to the bench").click();
        assertThat(page.getByText("Next at the bench")).isVisible();
        assertEquals(
                "QS-0100", shop.bean(ShopSettings.class).history().now().tags().first());
    }

    @Test
    @Order(3)
    void whatLayInASpreadsheetIsTakenIn() {
        takeIn("customers", 2, "Company,Tel,Units", "Skarvik Ferries,555 0100,thou", "Skarvik Fery,,");
        takeIn(
                "castings",
                3,
                "Job no,Engine,Customer,Bore (in),Spacing (in),Cut before (thou),Removal is,Came,Left",
                ",Ferry auxiliary,Skarvik Ferries,3.780,4.410,6,known,2024-03-02,2024-03-09",
                ",Ferry auxiliary,Skarvik Fery,3.780,4.410,,,,",
                ",Quay crane,Harbour Office,4.000,4.600,,,,");
        assertEquals("Skarvik Ferries", byTag("QS-0100").customer());
        assertTrue(byTag("QS-0100").visit().releasedAt().isPresent());
        assertEquals(Length.ofThou("3780"), byTag("QS-0101").numbers().bore());
        page.navigate(shop.address() + "/find?q=2024");
        assertThat(page.locator("main")).containsText("QS-0100");
    }

    /** A face, flat but for one corner. */
    private static String[] face(PartFile part, String walk, double corner) {
        LengthWriter in = new LengthWriter(BenchUnit.THOU);
        List<String> lines = new ArrayList<>(List.of("tag,walk,x,y,reading (thou)"));
        for (PlaceProposal.Place p :
                shop.bean(SurveyStarts.class).proposed(part, SurveyKind.FACE, PlaceProposal.Density.USUAL)) {
            double there = Math.max(0, 1 - p.spot().x() / 120) * corner;
            lines.add(part.tag() + "," + walk + "," + p.spot().x() + " mm,"
                    + p.spot().y() + " mm,"
                    + in.exact(Length.roundedFromMm(there * 0.0254)).replace("\u2212", "-"));
        }
        return lines.toArray(String[]::new);
    }

    @Test
    @Order(4)
    void twoVisitsOfOneCastingAreCompared() {
        PartFile part = byTag("QS-0101");
        String[] first = face(part, "face", 3);
        takeIn("readings", first.length - 1, first);
        page.navigate(shop.address() + "/parts/QS-0101/report");
        page.locator("[name=note]").fill("fetched before the cut, paid for the check");
        page.getByText("Hand it over unfinished").click();
        assertThat(page.getByText("Book it in again").first()).isVisible();
        page.getByText("Book it in again").first().click();
        assertThat(page.locator("#strip")).isVisible();
        String[] second = face(part, "face", 6);
        takeIn("readings", second.length - 1, second);
        page.navigate(shop.address() + "/parts/QS-0101/life");
        assertThat(page.locator("#stays li")).hasCount(2);
        assertThat(page.locator("#two-faces")).containsText("What changed between them");
    }

    @Test
    @Order(5)
    void aCustomerIsMergedABookingVoidedAndAPairBooked() {
        page.navigate(shop.address() + "/customers?q=Fery");
        page.getByText("Skarvik Fery").first().click();
        page.locator("[name=into]").fill("Skarvik Ferries");
        page.getByText("Make the two one").click();
        assertThat(page.locator("main")).containsText("Skarvik Ferries");
        assertEquals("Skarvik Ferries", byTag("QS-0101").customer());

        page.navigate(shop.address() + "/parts/QS-0102/intake");
        page.getByText("Void this booking").click();
        page.getByLabel("Why it was a mistake").fill("booked twice");
        page.getByText("Void it").click();
        assertThat(page.getByText("Next at the bench")).isVisible();

        page.navigate(shop.address() + "/parts/QS-0101/intake");
        page.keyboard().press("g");
        page.keyboard().press("j");
        assertThat(page.locator("[name=tag]")).hasValue("QS-0102");
        page.getByText("Book it in", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("#strip")).isVisible();
        assertEquals(byTag("QS-0101").numbers(), byTag("QS-0102").numbers());
        assertEquals(
                2,
                shop.bean(PartFinder.class)
                        .search(Wanted.read("ferry auxiliary here", BenchUnit.THOU), 0, 10)
                        .parts()
                        .size());
    }

    @Test
    @Order(6)
    void theTabletLosesTheNetAndNothingIsLost() {
        page.navigate(shop.address() + "/parts/QS-0102/face");
        page.locator("form button.main").last().click();
        assertThat(page.locator("input.key")).isFocused();
        page.reload();
        page.waitForCondition(() -> Boolean.TRUE.equals(
                page.evaluate("async () => Boolean(await (await caches.open('pages')).match('/parts/QS-0102/face'))")));
        net.cut();
        page.context().setOffline(true);
        page.navigate(shop.address() + "/parts/QS-0102/face");
        for (String typed : List.of("1", ".5", "-1")) {
            page.keyboard().type(typed);
            page.keyboard().press("Enter");
        }
        assertThat(page.locator("#status")).containsText("3 waiting here");
        net.mend();
        page.context().setOffline(false);
        assertThat(page.locator("#status")).containsText("all kept");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(3);
        assertEquals(
                List.of(), FAULTS.stream().filter(f -> !f.startsWith("htmx:")).toList());
    }

    /** All of it goes into another shop that was never opened, and comes out of that one as it went in. */
    @Test
    @Order(7)
    void everythingGoesIntoASecondEmptyShop() throws Exception {
        page.navigate(shop.address() + "/shop");
        Download taken = page.waitForDownload(
                () -> page.getByText("Take everything along").click());
        assertTrue(taken.suggestedFilename().endsWith(".zip"), taken.suggestedFilename());
        assertThat(page.locator("#written-so-far")).containsText("All of it is written");
        Visitor oda = new Visitor(shop.port());
        oda.get("/sign-in");
        oda.post("/sign-in", "login", "oda", "password", PASSWORD);
        Path first = folder.resolve("first.zip");
        try (InputStream in = oda.stream("/shop/everything.zip")) {
            Files.copy(in, first);
        }
        String second = OwnDatabase.made();
        try {
            OwnDatabase.upgrade(OwnDatabase.url(second));
            try (Connection c = owner(second)) {
                assertTrue(ReadIn.from(first, c).get("part") >= 4);
            }
            Path back = folder.resolve("second.zip");
            try (Connection c = owner(second);
                    OutputStream out = Files.newOutputStream(back)) {
                WriteOut.to(out, c, "0.0");
            }
            try (ZipFile here = new ZipFile(first.toFile());
                    ZipFile there = new ZipFile(back.toFile())) {
                for (String table : List.of("part", "job", "customer", "reading", "ledger_line", "shop_setting")) {
                    String name = "tables/" + table + ".jsonl";
                    if (here.getEntry(name) != null) {
                        assertArrayEquals(
                                here.getInputStream(here.getEntry(name)).readAllBytes(),
                                there.getInputStream(there.getEntry(name)).readAllBytes(),
                                name);
                    }
                }
            }
        } finally {
            OwnDatabase.gone(second);
        }
    }

    private static Connection owner(String database) throws Exception {
        return DriverManager.getConnection(
                OwnDatabase.url(database),
                System.getenv("HOMALON_DB_OWNER"),
                System.getenv("HOMALON_DB_OWNER_PASSWORD"));
    }
}

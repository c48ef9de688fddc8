package homalon.app.check.face;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import homalon.app.shop.instruments.Instruments;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.gauge.Compared;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import homalon.core.geometry.Box;
import homalon.core.part.Layout;
import homalon.core.verdict.Verdict;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** What a face was read with goes through to the verdict, the report and the record. */
@ExtendWith({RunningShop.class, Browser.class})
class ReadWithInstrumentsTest {
    private final List<String> added = new ArrayList<>();
    private static final AtomicInteger NUMBER = new AtomicInteger(600);

    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;
    private final Visitor ines;

    ReadWithInstrumentsTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    private Instruments register() {
        return shop.bean(Instruments.class);
    }

    /** Compared so many days ago, with a term of a year. */
    /** What somebody had in hand last is proposed to that person everywhere: other tests read with none. */
    @AfterEach
    void putAway() {
        added.forEach(code -> shop.bean(Instruments.class).retire(code, true));
    }

    private String instrument(InstrumentKind kind, double limits, int daysAgo) {
        String code = "MX-" + NUMBER.incrementAndGet();
        register().add(new Instrument(code, "of the test", kind, Instrument.Known.LIMITS, limits, OptionalInt.of(12)));
        compared(code, daysAgo, 0);
        added.add(code);
        return code;
    }

    private void compared(String code, int daysAgo, double error) {
        register()
                .compare(
                        UUID.randomUUID(),
                        code,
                        new Compared(LocalDate.now(ZoneId.systemDefault()).minusDays(daysAgo), "blocks", error),
                        hands.ines());
    }

    /** A good face, read close, and then with that in hand. */
    private PartFile read(InstrumentKind kind, String code) {
        PartFile part = hands.bookReady();
        hands.read(part, SurveyKind.FACE, s -> 0);
        take(part, kind, code);
        return part;
    }

    private HttpResponse<String> take(PartFile part, InstrumentKind kind, String code) {
        return ines.key("/parts/" + part.tag() + "/face/with", "instrument", kind.name(), "code", code);
    }

    private Verdict verdict(PartFile part) {
        return shop.bean(Findings.class)
                .of(part, shop.bean(Surveys.class).find(part, SurveyKind.FACE).orElseThrow())
                .orElseThrow()
                .judgement()
                .worst();
    }

    private String page(PartFile part, String step) {
        return ines.get("/parts/" + part.tag() + "/" + step).body();
    }

    /** By keys alone, from the start of a survey to the report. */
    @Test
    void aGaugePastDueIsSaidBesideTheVerdictInTheReportAndInTheRecord() throws IOException {
        String code = instrument(InstrumentKind.INDICATOR, 0.003, 400);
        PartFile part = hands.bookReady();
        Page page = window.signedIn(shop, "ines");
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        Locator choice = page.locator("select[name=hand-INDICATOR]");
        choice.focus();
        page.keyboard().type(code);
        assertThat(choice).hasValue(code);
        page.locator(".act button").press("Enter");
        Box box = Layout.of(part.numbers()).box();
        Locator verdict = page.locator("#figures .verdict");
        for (int n = 1; n <= 9 && !verdict.innerText().contains("Out by"); n++) {
            Locator here = page.locator("#walk [aria-current][data-state=open]");
            assertThat(here).hasCount(1);
            double u = box.u(Double.parseDouble(here.getAttribute("data-x")));
            page.keyboard()
                    .type(BigDecimal.valueOf(0.16 * u * u)
                            .setScale(3, RoundingMode.HALF_UP)
                            .toPlainString());
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(n);
            assertThat(page.locator("#figures form[data-lays]")).hasCount(0);
        }
        assertThat(page.locator("#figures .verdict")).containsText("Out by");
        assertThat(page.locator("#figures .verdict")).containsText("past due since");
        assertThat(page.locator("#figures table")).containsText("A reading keeps");

        String day = "past due since";
        assertTrue(page(part, "report").contains(day));
        JsonNode record = new ObjectMapper().readTree(page(part, "record.json"));
        JsonNode with = record.findValue("readWith").get(0);
        assertEquals(code, with.get("code").asString());
        assertEquals("PAST_DUE", with.get("state").asString());
        assertEquals(
                LocalDate.now(ZoneId.systemDefault())
                        .minusDays(400)
                        .plusMonths(12)
                        .toString(),
                with.get("due").asString());
        assertEquals(0.003 / Math.sqrt(3), with.get("standardMm").asDouble(), 1e-9);
        assertEquals(0.0035, record.findValue("uncertaintyMm").asDouble(), 1e-9, "twice that, to a tenth of a µm");
        // the next survey of this person begins with it
        String next = page(hands.bookReady(), "face");
        assertTrue(next.contains("value=\"" + code + "\" selected"), next);
    }

    /** In an empty field of a face that was begun without one, and in the middle of the walk. */
    @Test
    void aCodeScannedIntoTheReadingFieldTakesItInHand() {
        String code = instrument(InstrumentKind.INDICATOR, 0.003, 10);
        PartFile part = hands.bookReady();
        Page page = window.signedIn(shop, "ines");
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        page.locator("select[name=hand-INDICATOR]").selectOption("");
        page.locator(".act button").press("Enter");
        assertThat(page.locator("input.key")).isFocused();
        page.keyboard().type("0.01");
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(1);
        assertThat(page.locator("#with")).containsText("No instrument noted");
        page.keyboard().type(code.toLowerCase(Locale.ROOT));
        page.keyboard().press("Enter");
        assertThat(page.locator("#with")).containsText("Read with " + code);
        assertThat(page.locator("#walk [data-state=read]")).hasCount(1);
        page.keyboard().type("0.02");
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(2);
    }

    @Test
    void whatAReadingKeepsTurnsTheVerdictAndAGoodOneIsNotMarked() {
        PartFile part = read(InstrumentKind.INDICATOR, instrument(InstrumentKind.INDICATOR, 0.002, 10));
        assertEquals(Verdict.WITHIN, verdict(part));
        assertFalse(page(part, "face").contains("past due"));
        take(part, InstrumentKind.TABLE, instrument(InstrumentKind.TABLE, 0.04, 10));
        assertEquals(Verdict.NOT_PROVEN, verdict(part), "a table that may be 0.04 off proves nothing of 0.05");
        take(part, InstrumentKind.TABLE, "");
        assertEquals(Verdict.WITHIN, verdict(part), "nothing was read from it");
    }

    @Test
    void anInstrumentFoundOutListsWhatRestsOnItAndIsNotTakenInHandAgain() {
        String code = instrument(InstrumentKind.INDICATOR, 0.003, 30);
        PartFile part = read(InstrumentKind.INDICATOR, code);
        assertEquals(Verdict.WITHIN, verdict(part));
        String good = ines.get("/instruments/" + code).body();
        assertTrue(good.contains(part.tag()), "it rests on it");
        assertFalse(good.contains("measure it again"));

        compared(code, 0, 0.06);
        String found = ines.get("/instruments/" + code).body();
        assertTrue(found.contains("within; with that error it is not proven: measure it again"), found);
        HttpResponse<String> refused = take(hands(), InstrumentKind.INDICATOR, code);
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("was found out when it was compared"), refused.body());
        assertEquals(Verdict.WITHIN, verdict(part), "what was read stays as it was read until it is read again");
    }

    private PartFile hands() {
        PartFile other = hands.bookReady();
        hands.read(other, SurveyKind.FACE, s -> 0);
        return other;
    }

    @Test
    void whatReadsOtherThingsIsNotTakenForAFace() {
        String micrometer = instrument(InstrumentKind.MICROMETER, 0.004, 10);
        PartFile part = hands();
        assertEquals(422, take(part, InstrumentKind.INDICATOR, micrometer).statusCode());
        assertEquals(422, take(part, InstrumentKind.MICROMETER, micrometer).statusCode());
        assertEquals(422, take(part, InstrumentKind.INDICATOR, "MX-999999").statusCode());
        assertEquals(
                400,
                ines.key("/parts/" + part.tag() + "/face/with", "instrument", "SPOON", "code", micrometer)
                        .statusCode());
    }

    @Test
    void theFirstPlaceReadOnceMoreShowsWhatMoved() {
        PartFile part = hands();
        assertEquals(Verdict.WITHIN, verdict(part));
        String path = "/parts/" + part.tag() + "/face/again";
        UUID id = UUID.randomUUID();
        assertTrue(ines.key(path, "id", id.toString(), "again", "0.002").body().contains("nothing moved"));
        assertEquals(Verdict.WITHIN, verdict(part));
        String moved = ines.key(path, "id", UUID.randomUUID().toString(), "again", "-0.08")
                .body();
        assertTrue(moved.contains("Something moved"), moved);
        assertEquals(Verdict.NOT_PROVEN, verdict(part));
        // sent once more, the first is not kept again: the last one counts
        ines.key(path, "id", id.toString(), "again", "0.002");
        assertEquals(Verdict.NOT_PROVEN, verdict(part));
        assertEquals(
                422,
                ines.key(path, "id", UUID.randomUUID().toString(), "again", "far")
                        .statusCode());
        ines.key(path, "id", UUID.randomUUID().toString(), "again", "0");
        assertEquals(Verdict.WITHIN, verdict(part), "set right and closed again");
        assertTrue(page(part, "record.json").contains("\"closing\""));
    }
}

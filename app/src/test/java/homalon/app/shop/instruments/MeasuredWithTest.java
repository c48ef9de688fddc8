package homalon.app.shop.instruments;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.gauge.Compared;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.visit.PartFile;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What valves, lines and tests are measured with: its own uncertainty goes into their verdicts, and one past due is said with them. */
@ExtendWith({RunningShop.class, Browser.class})
class MeasuredWithTest {
    private final List<String> added = new ArrayList<>();
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;
    private final Visitor ines;
    private final List<String> faults = new ArrayList<>();

    MeasuredWithTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    /** What somebody had in hand last is proposed to that person everywhere: other tests read with none. */
    @AfterEach
    void putAway() {
        added.forEach(code -> shop.bean(Instruments.class).retire(code, true));
    }

    private String instrument(InstrumentKind kind, String code, double limits, int daysAgo) {
        Instruments register = shop.bean(Instruments.class);
        register.add(new Instrument(code, "of the test", kind, Instrument.Known.LIMITS, limits, OptionalInt.of(12)));
        LocalDate on = LocalDate.now(ZoneId.systemDefault()).minusDays(daysAgo);
        register.compare(UUID.randomUUID(), code, new Compared(on, "gauge blocks", 0), hands.ines());
        added.add(code);
        return code;
    }

    private void key(PartFile part, String sheet, String place, String typed) {
        String[] fields = {"id", UUID.randomUUID().toString(), "place", place, "typed", typed, "unit", "MM", "seen", "0"
        };
        int status = ines.key("/parts/" + part.tag() + "/" + sheet + "/readings", fields)
                .statusCode();
        assertEquals(200, status, place + " " + typed);
    }

    /** By keys alone: the code of a micrometer in the field of a walk takes it in hand, and the walk goes on. */
    @Test
    void aMicrometerPastDueIsTakenByItsCodeAndMarkedThroughToTheReport() {
        String code = instrument(InstrumentKind.MICROMETER, "MW-01", 0.003, 400);
        PartFile part = hands.bookReady();
        String valves = "/parts/" + part.tag() + "/valves";
        var begun = ines.post(
                valves + "/set-up",
                "id",
                UUID.randomUUID().toString(),
                "intake",
                "1",
                "exhaust",
                "1",
                "rows",
                "ONE",
                "source",
                "MAKER");
        assertEquals(302, begun.statusCode(), begun.body());
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + valves);
        assertThat(page.locator("input.key")).isFocused();
        page.keyboard().type(code.toLowerCase(Locale.ROOT));
        page.keyboard().press("Enter");
        assertThat(page.locator("#content")).containsText("MW-01 of the test, past due since");
        assertThat(page.locator("input.key")).isFocused();
        page.keyboard().type("7.96");
        page.keyboard().press("Enter");
        assertThat(page.locator("[data-status-too]").first()).hasText("all kept");
        assertThat(page.locator("#read-with")).containsText("Measured with MW-01 of the test");
        String report = ines.get("/parts/" + part.tag() + "/report").body();
        assertTrue(report.contains("Valves, measured with MW-01 of the test"), report);
        assertTrue(report.contains("past due since"));
        String record = ines.get("/parts/" + part.tag() + "/record.json").body();
        assertTrue(record.contains("\"measuredWith\"") && record.contains("\"MW-01\""), record);
        assertEquals(List.of(), faults);
    }

    /** Protrusion 0.092 of 0.10 at the most: proven by the bench's usual indicator, open by one that may be off by a hundredth. */
    @Test
    void aCoarserIndicatorLeavesLinersOpen() {
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        String liners = "/parts/" + deck.tag() + "/liners";
        ines.post(liners + "/set-up", "id", UUID.randomUUID().toString(), "school", "PROUD", "held", "LOOSE");
        for (int bore = 1; bore <= 4; bore++) {
            for (int clock : new int[] {12, 3, 6, 9}) {
                key(deck, "liners", bore + "@" + clock, "0.092");
            }
        }
        assertTrue(ines.get(liners).body().contains(">Within<"), "by the general value");
        String coarse = instrument(InstrumentKind.INDICATOR, "MW-02", 0.0173, 10);
        assertEquals(
                302,
                ines.post(liners + "/in-hand", "instrument", "INDICATOR", "code", coarse)
                        .statusCode());
        String open = ines.get(liners).body();
        assertTrue(open.contains(">Not proven yet<") && open.contains("too near its limit"), open);
        assertTrue(open.contains("Too near a limit to tell: read it again") && !open.contains("0 places to key"), open);
        assertFalse(open.contains("past due"), open);
    }

    /** What reads no liner is not taken in hand for them, nor what was found out. */
    @Test
    void onlyWhatReadsAStepIsTakenInHandForIt() {
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        String liners = "/parts/" + deck.tag() + "/liners";
        assertEquals(
                422,
                ines.post(liners + "/in-hand", "instrument", "BURETTE", "code", "MW-09")
                        .statusCode());
        assertEquals(
                422,
                ines.post(liners + "/in-hand", "instrument", "INDICATOR", "code", "MW-99")
                        .statusCode());
    }
}

package homalon.app.shop.instruments;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The register, and its checks and studies. */
@ExtendWith({RunningShop.class, Browser.class})
class InstrumentsTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final Visitor marit;
    private final Visitor ines;

    InstrumentsTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.marit = Visitor.signedIn(shop.port(), "marit");
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    private Instruments register() {
        return shop.bean(Instruments.class);
    }

    private String path(String code, InstrumentKind kind) {
        register().add(new Instrument(code, "of the test", kind, Instrument.Known.LIMITS, 0.004, OptionalInt.empty()));
        return "/instruments/" + code;
    }

    @Test
    void anOwnerPutsOneOnTheRegisterAndAMachinistDoesNot() {
        String[] form = {
            "code",
            "iz-07",
            "name",
            "depth gauge",
            "kind",
            "DEPTH_GAUGE",
            "known",
            "LIMITS",
            "amount",
            "0.01",
            "months",
            "6"
        };
        assertEquals(403, ines.post("/instruments", form).statusCode());
        assertEquals(302, marit.post("/instruments", form).statusCode());
        Instruments.Known known = register().find("IZ-07").orElseThrow();
        assertEquals(0.01, known.instrument().amount(), 1e-12);
        assertEquals(OptionalInt.of(6), known.instrument().months());
        assertTrue(marit.get("/instruments").body().contains("never compared"), "and it is not shown as good");
        HttpResponse<String> twice = marit.post("/instruments", form);
        assertEquals(422, twice.statusCode());
        assertTrue(twice.body().contains("There is an instrument IZ-07"));

        assertEquals(
                302,
                ines.post(
                                "/instruments/IZ-07/comparisons",
                                "id",
                                UUID.randomUUID().toString(),
                                "on",
                                register().today().toString(),
                                "against",
                                "a block of 20",
                                "error",
                                "-0.012")
                        .statusCode());
        assertTrue(ines.get("/instruments").body().contains("found out"));
        // it is good to more than was thought
        assertEquals(
                302,
                marit.post(
                                "/instruments/IZ-07",
                                "name",
                                "depth gauge",
                                "known",
                                "LIMITS",
                                "amount",
                                "0.015",
                                "months",
                                "")
                        .statusCode());
        assertFalse(ines.get("/instruments/IZ-07").body().contains("found out"));
        String[] renamed = {"name", "depth gauge, short", "known", "LIMITS", "amount", "0.015 mm", "months", ""};
        assertEquals(302, marit.post("/instruments/IZ-07", renamed).statusCode());
        Instrument now = register().find("IZ-07").orElseThrow().instrument();
        assertEquals("depth gauge, short", now.name());
        assertEquals(0.015, now.amount(), 1e-12);
        assertEquals(
                302, marit.post("/instruments/IZ-07/retire", "retired", "true").statusCode());
        assertTrue(register().find("IZ-07").orElseThrow().retired());
        assertTrue(register().ofKind(InstrumentKind.DEPTH_GAUGE).isEmpty());
    }

    @ParameterizedTest
    @CsvSource({
        "G1, x, TABLE, 0.01, 12, Code",
        "MZ-71, '', TABLE, 0.01, 12, Name",
        "MZ-71, x, TABLE, much, 12, number",
        "MZ-71, x, TABLE, -1, 12, What it is good to",
        "MZ-71, x, TABLE, 0.01, often, Months",
        "MZ-71, x, '', 0.01, 12, What it is",
        "MZ-71, x, PRESSURE_GAUGE, deep, 12, no figure"
    })
    void whatCannotBeIsRefusedInASentence(
            String code, String name, String kind, String amount, String months, String says) {
        HttpResponse<String> refused = marit.post(
                "/instruments", "code", code, "name", name, "kind", kind, "amount", amount, "months", months);
        assertEquals(422, refused.statusCode(), refused.body());
        assertTrue(refused.body().contains(says), refused.body());
    }

    @ParameterizedTest
    @CsvSource({
        "2999-01-01, blocks, 0, still to come",
        "'', blocks, 0, which day",
        "2026-01-05, '', 0, Compared with",
        "2026-01-05, blocks, '', a number"
    })
    void aComparisonThatCannotBeIsRefusedInASentence(String on, String against, String error, String says) {
        if (register().find("IC-01").isEmpty()) {
            path("IC-01", InstrumentKind.TABLE);
        }
        HttpResponse<String> refused =
                ines.post("/instruments/IC-01/comparisons", "on", on, "against", against, "error", error);
        assertEquals(422, refused.statusCode(), refused.body());
        assertTrue(refused.body().contains(says), refused.body());
    }

    @Test
    void checksDrawAChartAndADriftStandsOut() {
        String path = path("IK-01", InstrumentKind.BORE_GAUGE) + "/checks";
        String[] read = {"85.000", "85.001", "85.000", "85.001", "85.000"};
        for (int n = 0; n < read.length; n++) {
            assertEquals(n >= 5, ines.get("/instruments/IK-01").body().contains("class=\"checks\""));
            check(path, read[n]);
        }
        String even = ines.get("/instruments/IK-01").body();
        assertTrue(even.contains("class=\"checks\""));
        assertTrue(even.contains("Nothing stands out"));
        check(path, "85.009");
        String far = ines.get("/instruments/IK-01").body();
        assertTrue(far.contains("The last check stands out"), far);
        check(path, "85.000");
        assertTrue(ines.get("/instruments/IK-01").body().contains("an earlier one stood out"));
        assertEquals(7, register().checks("IK-01").size());
        assertEquals(
                422,
                ines.post(path, "id", UUID.randomUUID().toString(), "reference", "85", "read", "")
                        .statusCode());
    }

    private void check(String path, String read) {
        String id = UUID.randomUUID().toString();
        for (int twice = 0; twice < 2; twice++) {
            assertEquals(
                    302,
                    ines.post(path, "id", id, "reference", "85", "read", read).statusCode());
        }
    }

    /** By keys alone; the figures by hand: places 0.010 apart, each read twice within 0.002. */
    @Test
    void aStudyIsWalkedAndSaysWhatCanBeProven() {
        String path = path("IS-01", InstrumentKind.INDICATOR);
        Page page = window.signedIn(shop, "marit");
        page.navigate(shop.address() + path);
        page.fill("[name=hands]", "Ines, Brannoc");
        page.fill("[name=places]", "2");
        page.fill("[name=times]", "2");
        page.fill("[name=width]", "0.05");
        page.locator("[name=width]").press("Enter");
        page.waitForURL("**/studies/**");
        assertThat(page.locator("#key-name")).hasText("Ines, place 1, first time");
        // Ines, then Brannoc, then both again
        String[] keyed = {"0", "0.010", "0", "0.010", "0.002", "0.012", "0.002", "0.012"};
        for (int n = 0; n < keyed.length; n++) {
            assertThat(page.locator("[data-show=count]")).hasText("reading " + (n + 1) + " of 8");
            page.keyboard().type(keyed[n]);
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(n + 1);
            if (n == 3) {
                page.keyboard().press("z");
                assertThat(page.locator("#walk [data-state=read]")).hasCount(3);
                assertThat(page.locator("#key-name")).hasText("Brannoc, place 2, first time");
                page.keyboard().type(keyed[n]);
                page.keyboard().press("Enter");
                assertThat(page.locator("#walk [data-state=read]")).hasCount(4);
            }
        }
        // Hands agree, so that hands at places goes into repeat: 8 x 0.001 squared over 4 + 1 degrees of freedom.
        double repeat = Math.sqrt(8 * 1e-6 / 5);
        Studies.Study study = shop.bean(Studies.class)
                .ofInstrument(register().find("IS-01").orElseThrow().id())
                .get(0);
        assertEquals(repeat, study.result().orElseThrow().both(), 1e-9);
        assertThat(page.locator("#figures .verdict .words")).hasText("proves what lies well off the limit");
        assertThat(page.locator("#figures")).containsText("0.001");
        page.locator("text=From now on it is good to that").press("Enter");
        page.waitForURL("**/instruments/IS-01");
        Instrument now = register().find("IS-01").orElseThrow().instrument();
        assertEquals(Instrument.Known.STANDARD, now.known());
        assertEquals(repeat, now.amount(), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({
        "'', 5, 3, 0.05, Who reads",
        "'Ines, Ines', 5, 3, 0.05, Who reads",
        "Ines, 1, 3, 0.05, Places",
        "Ines, 5, 1, 0.05, Times",
        "Ines, 5, 3, 0, Limit"
    })
    void aStudyThatTellsNothingIsRefusedInASentence(
            String hands, String places, String times, String width, String says) {
        if (register().find("IS-02").isEmpty()) {
            path("IS-02", InstrumentKind.INDICATOR);
        }
        HttpResponse<String> refused = ines.post(
                "/instruments/IS-02/studies",
                "id",
                UUID.randomUUID().toString(),
                "hands",
                hands,
                "places",
                places,
                "times",
                times,
                "width",
                width);
        assertEquals(422, refused.statusCode(), refused.body());
        assertTrue(refused.body().contains(says), refused.body());
    }

    @Test
    void aReadingOfAStudyIsKeptOnceAndOnlyWhereThereIsAPlace() {
        String path = path("IS-03", InstrumentKind.PRESSURE_GAUGE);
        Studies studies = shop.bean(Studies.class);
        UUID id = studies.begin(
                UUID.randomUUID(),
                register().find("IS-03").orElseThrow().id(),
                new Studies.Asked(List.of("Ines"), 2, 2, 0.5),
                shop.bean(homalon.app.foundation.people.People.class)
                        .all()
                        .get(0)
                        .id());
        String url = path + "/studies/" + id + "/readings";
        String line = UUID.randomUUID().toString();
        for (int twice = 0; twice < 2; twice++) {
            HttpResponse<String> kept = ines.key(url, "id", line, "place", "1", "typed", "2.5 bar", "unit", "MM");
            assertEquals(200, kept.statusCode(), kept.body());
        }
        assertEquals(1, studies.find(id).read().size());
        assertEquals(2.5, studies.find(id).read().get(1).value(), 1e-12);
        for (String place : List.of("4", "-1", "first", "1000")) {
            assertEquals(
                    422,
                    ines.key(url, "id", UUID.randomUUID().toString(), "place", place, "typed", "2", "unit", "MM")
                            .statusCode());
        }
        assertEquals(
                422,
                ines.key(url, "id", UUID.randomUUID().toString(), "place", "0", "typed", "/", "unit", "MM")
                        .statusCode());
        assertEquals(422, marit.post(path + "/studies/" + id + "/use").statusCode(), "not read to its end");
        String other = path("IS-04", InstrumentKind.BURETTE) + "/studies/" + id;
        assertEquals(
                404,
                ines.key(
                                other + "/readings",
                                "id",
                                UUID.randomUUID().toString(),
                                "place",
                                "2",
                                "typed",
                                "2",
                                "unit",
                                "MM")
                        .statusCode());
        assertEquals(1, studies.find(id).read().size(), "nothing is kept of what another instrument read");
        assertEquals(404, marit.post(other + "/use").statusCode());
        assertEquals(404, ines.get("/instruments/IS-04/studies/" + id).statusCode(), "of another instrument");
        assertEquals(404, ines.get("/instruments/NO-00").statusCode());
        studies.begin(
                id,
                register().find("IS-03").orElseThrow().id(),
                studies.find(id).asked(),
                shop.bean(homalon.app.foundation.people.People.class)
                        .all()
                        .get(0)
                        .id());
        assertEquals(
                1,
                studies.ofInstrument(register().find("IS-03").orElseThrow().id())
                        .size(),
                "begun once");
    }
}

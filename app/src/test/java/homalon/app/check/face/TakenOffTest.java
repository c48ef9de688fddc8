package homalon.app.check.face;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import homalon.app.shop.instruments.Instruments;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.face.LimitVerdict;
import homalon.core.gauge.Compared;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import homalon.core.gauge.Warmth;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** What bends readings, and is known, is taken off them: an indicator at an angle, a casting warmer on one side, a warm scale. */
@ExtendWith({RunningShop.class, Browser.class})
class TakenOffTest {
    private static final Layout HEAD =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("84"), Length.ofMm("96")));

    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;
    private final Visitor ines;

    TakenOffTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    private PartFile aluminium(ToDoubleFunction<Spot> shape) {
        PartFile part = hands.book(Material.ALUMINIUM);
        hands.prepare(part);
        hands.read(part, SurveyKind.FACE, shape);
        return part;
    }

    private FaceFinding finding(PartFile part) {
        return shop.bean(Findings.class)
                .of(part, shop.bean(Surveys.class).find(part, SurveyKind.FACE).orElseThrow())
                .orElseThrow();
    }

    private double zone(PartFile part) {
        return finding(part).judgement().flatness().minimumZone().zone();
    }

    private String page(PartFile part, String step) {
        return ines.get("/parts/" + part.tag() + "/" + step).body();
    }

    /** A straight head, eight kelvin warmer on the side that is read: by keys alone, and back again. */
    @Test
    void theBowOfAHeadWarmOnOneSideIsTakenOff() {
        Warmth warmth = new Warmth(28, 20, 150, 22e-6);
        double curved = warmth.curvature().value();
        PartFile part = aluminium(s -> -curved * (s.x() * s.x() + s.y() * s.y()) / 2);
        Box box = Layout.of(part.numbers()).box();
        assertTrue(zone(part) > 0.02, "it reads crowned: " + zone(part));

        Page page = window.signedIn(shop, "ines");
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        page.locator("#soak summary").press("Enter");
        page.locator("#soak input[name=warm]").focus();
        page.keyboard().type("28");
        page.keyboard().press("Tab");
        page.keyboard().type("21");
        page.keyboard().press("Tab");
        page.keyboard().type("20");
        page.keyboard().press("Enter");
        assertThat(page.locator("#soak .say")).containsText("Height: key it between the two sides");
        page.locator("#soak input[name=height]").focus();
        page.keyboard().type("150");
        page.keyboard().press("Enter");
        assertThat(page.locator("#figures table")).containsText("Bent by warmth");
        assertThat(page.locator("#figures table")).containsText("8 K warmer, crowned end to end");
        assertThat(page.locator("#figures table")).containsText("Let it soak to be surer");
        assertTrue(zone(part) < 0.0012, "readings are keyed to a micrometre: " + zone(part));
        assertEquals(
                warmth.bow(box.width()).standard(),
                finding(part).noise().curvature() * box.width() * box.width() / 8,
                1e-9);
        assertTrue(page(part, "report").contains("The bow that warmth makes"));

        assertEquals(
                200,
                ines.key("/parts/" + part.tag() + "/face/soak", "warm", "28", "room", "21")
                        .statusCode());
        assertTrue(zone(part) > 0.02, "without the other side it stands as it was read");
        assertFalse(page(part, "record.json").contains("takenOff"));
    }

    /** What is open of it is kept on both sides: of the whole length much more than of a square. */
    @Test
    void whatIsOpenOfWarmthKeepsAFaceFromWithin() {
        PartFile part = aluminium(s -> 0.041 * Math.abs(HEAD.box().u(s.x())));
        assertEquals(LimitVerdict.Readings.UNDER, overall(part));
        ines.key("/parts/" + part.tag() + "/face/soak", "warm", "20", "room", "20", "back", "20", "height", "60");
        assertEquals(LimitVerdict.Readings.CLOSE, overall(part));
        assertTrue(page(part, "face").contains("both sides are as warm"));
    }

    private LimitVerdict.Readings overall(PartFile part) {
        return finding(part).judgement().limits().get(0).readings();
    }

    @Test
    void theAngleOfAnIndicatorIsAskedOnceAndProposedWhereItIsInHandAgain() {
        String code = "MX-681";
        Instruments register = shop.bean(Instruments.class);
        register.add(new Instrument(
                code, "of the test", InstrumentKind.INDICATOR, Instrument.Known.LIMITS, 0.002, OptionalInt.of(12)));
        register.compare(
                UUID.randomUUID(),
                code,
                new Compared(LocalDate.now(ZoneId.systemDefault()), "blocks", 0),
                hands.ines());
        try {
            PartFile part = aluminium(s -> 0.1 * Math.abs(HEAD.box().u(s.x())));
            double asRead = zone(part);
            String path = "/parts/" + part.tag() + "/face/";
            ines.key(path + "with", "instrument", "INDICATOR", "code", code);
            String said = ines.key(path + "angle", "angle", "60°").body();
            assertTrue(said.contains("0.500 of its travel"), said);
            assertEquals(asRead / 2, zone(part), 1e-3);
            JsonNode record = new ObjectMapper().readTree(page(part, "record.json"));
            assertEquals(
                    60, record.findValue("takenOff").get("indicatorDegrees").asDouble());
            assertEquals(422, ines.key(path + "angle", "angle", "80").statusCode());
            assertEquals(422, ines.key(path + "angle", "angle", "flat").statusCode());

            PartFile next = aluminium(s -> 0);
            ines.key("/parts/" + next.tag() + "/face/with", "instrument", "INDICATOR", "code", code);
            assertTrue(
                    page(next, "face")
                            .contains(
                                    "name=\"angle\" maxlength=\"8\" inputmode=\"decimal\" autocomplete=\"off\" value=\"60.0\""));
            assertFalse(page(next, "face").contains("of its travel"), "proposed is not taken");
        } finally {
            register.retire(code, true);
        }
    }

    /** Ten kelvin over 120 of aluminium are 0.026: as much as is allowed between micrometer and ledger. */
    @Test
    void aThicknessReadWarmIsBroughtToTwentyDegrees() {
        PartFile part = hands.book(Material.ALUMINIUM);
        hands.prepare(part);
        hands.read(part, SurveyKind.THICKNESS, s -> 120);
        assertTrue(page(part, "thickness").contains("Thinnest 120.000"), page(part, "thickness"));
        ines.key("/parts/" + part.tag() + "/thickness/soak", "warm", "30", "room", "20");
        assertTrue(page(part, "thickness").contains("Thinnest 119.974"), page(part, "thickness"));
        assertTrue(page(part, "thickness").contains("added to each size"));
        ines.key("/parts/" + part.tag() + "/thickness/soak", "warm", "20", "room", "20");
        assertTrue(page(part, "thickness").contains("Thinnest 120.000"));
    }
}

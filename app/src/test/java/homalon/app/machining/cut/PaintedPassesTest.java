package homalon.app.machining.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import homalon.app.casting.ledger.Ledgers;
import homalon.app.check.integrity.PressureTests;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.TouchCells;
import homalon.core.cut.Touched;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.sim.SeededFace;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Passes that lag behind what was expected, painted from the keyboard and with a brush. */
@ExtendWith({RunningShop.class, Browser.class})
class PaintedPassesTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;
    private final PartFile part;

    PaintedPassesTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
        this.part = planned();
    }

    /** A hollow head, read and with its cut planned. */
    private PartFile planned() {
        PartFile booked = hands.book(Material.CAST_IRON);
        SeededFace hollow = new SeededFace(Layout.of(booked.numbers()).box(), 0, 0, 0.12, 0.02, 0.01, List.of());
        hands.read(booked, SurveyKind.FACE, s -> hollow.at(s.x(), s.y()));
        hands.plan(booked, SetUpMethod.LEAST_REMOVAL);
        return booked;
    }

    @Test
    void aCutThatLagsIsSaidToLagAndTheDepthLeftComesFromWhatWasSeen() {
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/cut");
        for (int pass = 0; pass < 3; pass++) {
            page.keyboard().press("*");
            page.keyboard().press("Enter");
            PlaywrightAssertions.assertThat(page.locator("#walk [data-state=read]"))
                    .hasCount(pass + 1);
        }
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("What did it touch?");
        double toGoByReadings = toGo(page, "read");

        page.keyboard().press("b");
        int expected = page.locator(".cells rect.on").count();
        assertTrue(expected > 20, "painting begins with what was expected");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("As expected");

        // The cutter touched the four corners only: everything else is wiped with the brush.
        page.keyboard().press("b");
        page.evaluate("""
                () => document.querySelectorAll('.cells rect.on').forEach((c) => {
                  const b = c.getBBox();
                  const svg = c.ownerSVGElement.viewBox.baseVal;
                  const x = (b.x + b.width / 2) / (svg.x * 2 + svg.width);
                  if (x > 0.03 && x < 0.97) { c.classList.remove('on'); }
                })""");
        page.keyboard().press(" ");
        page.keyboard().press(" ");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("It lags behind");
        PlaywrightAssertions.assertThat(page.locator(".watch li")).hasCount(3);
        String sentence = page.locator("[data-paint-words]").innerText();
        double[] figures = sentence.lines()
                .flatMap(l -> Pattern.compile("(0\\.\\d+) mm").matcher(l).results())
                .mapToDouble(m -> Double.parseDouble(m.group(1)))
                .toArray();
        assertEquals(2, figures.length, sentence);
        assertTrue(figures[0] > figures[1] + 0.02, "more is left than the dial says: " + sentence);
        double toGoTouched = toGo(page, "read and touched");
        assertTrue(toGoTouched > toGoByReadings + 0.01, toGoTouched + " in 9 of 10, " + toGoByReadings + " before");

        page.reload();
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("It lags behind");
        page.keyboard().press("*");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("What did it touch?");
        assertEquals(List.of(), faults);
    }

    /** What is said to clean it in 9 of 10 cases, mm; nothing where nothing is said. */
    private static double toGo(Page page, String by) {
        if (page.locator("#to-go").count() == 0) {
            return 0;
        }
        String said = page.locator("#to-go").innerText();
        assertTrue(said.startsWith("By what was " + by + " "), said);
        Matcher figure =
                Pattern.compile("(0\\.\\d+) mm more cleans it in 9 of 10").matcher(said);
        assertTrue(figure.find(), said);
        return Double.parseDouble(figure.group(1));
    }

    @Test
    void aPaintingIsKeptOnceAndNeverBeforeAPass() {
        Paintings paintings = shop.bean(Paintings.class);
        Ledgers ledgers = shop.bean(Ledgers.class);
        UUID id = UUID.randomUUID();
        assertThrows(
                BadInputException.class,
                () -> paintings.paint(part, ledgers.of(part), id, Paintings.painted("ff"), hands.ines()));
        shop.bean(Cutting.class)
                .pass(
                        part,
                        UUID.randomUUID(),
                        Length.ofMm("0.02"),
                        new Ledgers.Notes("", "", "", "", ".02"),
                        hands.ines());
        paintings.paint(part, ledgers.of(part), id, Paintings.painted("ff08"), hands.ines());
        paintings.paint(part, ledgers.of(part), id, Paintings.painted("00"), hands.ines());
        var now = paintings.now(part, ledgers.of(part)).orElseThrow();
        assertEquals("ff08", Paintings.written(now.cells()), "the first one of that id stands");
        assertThrows(
                BadInputException.class,
                () -> paintings.paint(
                        part, ledgers.of(part), UUID.randomUUID(), Paintings.painted("xyz"), hands.ines()));
    }

    /** A column that came later is no part of what older visits were sealed with; what stands in it is. */
    @Test
    void evidenceOfOlderVisitsIsWhatItWas() {
        Paintings paintings = shop.bean(Paintings.class);
        Ledgers ledgers = shop.bean(Ledgers.class);
        Cutting cutting = shop.bean(Cutting.class);
        PressureTests tests = shop.bean(PressureTests.class);
        cutting.pass(
                part, UUID.randomUUID(), Length.ofMm("0.02"), new Ledgers.Notes("", "", "", "", ".02"), hands.ines());
        paintings.paint(part, ledgers.of(part), UUID.randomUUID(), Paintings.painted("ff08"), hands.ines());
        paintings.paint(
                part,
                ledgers.of(part),
                UUID.randomUUID(),
                shop.bean(SeenTouched.class).said(part, "1 f"),
                hands.ines());
        tests.begin(
                part,
                UUID.randomUUID(),
                new PressureTests.SetUp("air", false, "10", "0.05", ""),
                BenchUnit.MM,
                hands.ines());
        tests.begin(
                part,
                UUID.randomUUID(),
                new PressureTests.SetUp("air", false, "10", "0.05", "900"),
                BenchUnit.MM,
                hands.ines());
        JdbcClient jdbc = shop.bean(JdbcClient.class);
        List<String> lines =
                jdbc.sql("""
                        select line::text from visit_evidence
                        where job_id = ? and kind in ('touched', 'pressure_test') order by kind desc, seq
                        """).param(part.visit().id()).query(String.class).list();
        assertEquals(4, lines.size());
        assertFalse(lines.get(0).contains("\"said\""), lines.get(0));
        assertTrue(lines.get(1).contains("\"said\": \"1 f\""), lines.get(1));
        assertFalse(lines.get(2).contains("volume_cc"), lines.get(2));
        assertTrue(lines.get(3).contains("\"volume_cc\": 900"), lines.get(3));
    }

    /** Land off the sealing bands may stay, once somebody answers for it; land that seals may not. */
    @Test
    void aLowSpotOffTheSealingBandsIsSignedFor() {
        Cutting cutting = shop.bean(Cutting.class);
        Paintings paintings = shop.bean(Paintings.class);
        Ledgers ledgers = shop.bean(Ledgers.class);
        TouchCells grid = shop.bean(Planner.class).cells(part);
        Ledgers.Notes notes = new Ledgers.Notes("", "", "", "", ".12");
        cutting.pass(part, UUID.randomUUID(), Length.ofMm("0.12"), notes, hands.ines());
        BitSet sealed = grid.sealing();
        BitSet all = new BitSet();
        grid.cells().forEach(c -> all.set(c.number()));
        BitSet short1 = (BitSet) all.clone();
        short1.clear(sealed.nextSetBit(0));
        paintings.paint(part, ledgers.of(part), UUID.randomUUID(), Touched.painted(short1), hands.ines());
        UUID id = UUID.randomUUID();
        assertThrows(
                BadInputException.class,
                () -> shop.bean(SeenTouched.class).leave(part, id, "it looks fine", hands.ines()));
        paintings.paint(part, ledgers.of(part), UUID.randomUUID(), Touched.painted(sealed), hands.ines());

        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/cut");
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("Clean where it seals");
        page.fill(".watch input[name=why]", "pit at the outer edge, the gasket does not reach it");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("Left uncut, signed for");
        page.navigate(shop.address() + "/parts/" + part.tag() + "/report");
        PlaywrightAssertions.assertThat(page.locator("body"))
                .containsText("signed for by Ines: pit at the outer edge, the gasket does not reach it");
        assertEquals(List.of(), faults);
    }
}

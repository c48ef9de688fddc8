package homalon.app.machining.valves;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import homalon.app.casting.sheets.Sheets;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.valves.Measure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.ValveFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Eight new valves of one batch are keyed once. */
@ExtendWith({RunningShop.class, Browser.class})
class SameForAllTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final WorkOnValves work;
    private final SameForAll same;
    private final Browser.Window window;

    SameForAllTest(RunningShop.Shop shop, Browser.Window window) {
        this.window = window;
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.work = shop.bean(WorkOnValves.class);
        this.same = shop.bean(SameForAll.class);
    }

    private PartFile head() {
        PartFile part = hands.book(Material.ALUMINIUM);
        hands.prepare(part);
        work.setUp(
                part,
                UUID.randomUUID(),
                Map.of("intake", "1", "exhaust", "1", "rows", "ONE", "source", "MAKER", "knurls", "true"),
                BenchUnit.MM,
                hands.ines());
        return part;
    }

    private void key(PartFile part, String valve, Measure m, String typed, BenchUnit unit) {
        work.key(part, UUID.randomUUID(), valve, m, typed, unit, true, hands.ines());
    }

    private ValveFile file(PartFile part) {
        return shop.bean(ValveFiles.class).require(part);
    }

    private int give(PartFile part, UUID id, Measure.Walk walk) {
        long seen = same.offer(file(part), walk).map(SameForAll.Offer::last).orElse(0L);
        return same.give(part, id, walk, seen, hands.ines());
    }

    /** What stands on a walk, by place. */
    private Map<String, String> standing(PartFile part, Measure.Walk walk) {
        ValveFile file = file(part);
        Map<String, String> all = new TreeMap<>();
        ValveViews.places(file, walk).forEach(p -> p.standing(file).ifPresent(f -> all.put(p.key(), f.typed())));
        return all;
    }

    @Test
    void theOthersOfItsKindGetWhatTheLastOneHas() {
        PartFile part = head();
        assertTrue(same.offer(file(part), Measure.Walk.STEMS).isEmpty(), "nothing keyed, nothing to give");
        key(part, "1I", Measure.STEM_TOP, "6.975", BenchUnit.MM);
        key(part, "1I", Measure.STEM_MIDDLE, "6.974", BenchUnit.MM);
        key(part, "2I", Measure.STEM_TOP, "6.970", BenchUnit.MM);
        key(part, "1I", Measure.STEM_BOTTOM, "6.975", BenchUnit.MM);
        SameForAll.Offer offer = same.offer(file(part), Measure.Walk.STEMS).orElseThrow();
        assertEquals(
                "the other 3 open intake valves the same: 6.975, 6.974", offer.words(new LengthWriter(BenchUnit.MM)));
        UUID id = UUID.randomUUID();
        assertEquals(8, same.give(part, id, Measure.Walk.STEMS, offer.last(), hands.ines()));
        Map<String, String> now = standing(part, Measure.Walk.STEMS);
        assertEquals(12, now.size(), "no exhaust valve got one: " + now);
        assertEquals("6.970", now.get(ValveFile.place("2I", Measure.STEM_TOP)), "what was read stands");
        assertEquals("6.974", now.get(ValveFile.place("4I", Measure.STEM_MIDDLE)));
        same.takeBack(part, UUID.randomUUID(), id, Measure.Walk.STEMS, hands.ines());
        assertEquals(4, standing(part, Measure.Walk.STEMS).size());
        assertEquals(
                12 + 8,
                shop.bean(Sheets.class).of(part, Sheet.VALVES).history().size(),
                "nothing that was written is lost");
    }

    @Test
    void sentTwiceItIsGivenOnceAndWithNothingToGiveItSaysSo() {
        PartFile part = head();
        key(part, "1E", Measure.RUNOUT, "0.02", BenchUnit.MM);
        UUID id = UUID.randomUUID();
        give(part, id, Measure.Walk.RUNOUT);
        assertThrows(BadInputException.class, () -> give(part, id, Measure.Walk.RUNOUT), "all are there");
        assertEquals(4, standing(part, Measure.Walk.RUNOUT).size());
        assertEquals(4, shop.bean(Sheets.class).of(part, Sheet.VALVES).history().size());
        BadInputException e =
                assertThrows(BadInputException.class, () -> give(part, UUID.randomUUID(), Measure.Walk.MARGINS));
        assertEquals("same", e.problems().get(0).field());
    }

    /** Somebody keys an exhaust while a hand is on the way to the button that says intakes. */
    @Test
    void whatWasKeyedSinceIsNotGivenUnseen() {
        PartFile part = head();
        key(part, "1I", Measure.RUNOUT, "0.02", BenchUnit.MM);
        long seen = same.offer(file(part), Measure.Walk.RUNOUT).orElseThrow().last();
        key(part, "1E", Measure.RUNOUT, "0.09", BenchUnit.MM);
        BadInputException e = assertThrows(
                BadInputException.class,
                () -> same.give(part, UUID.randomUUID(), Measure.Walk.RUNOUT, seen, hands.ines()));
        assertEquals("same", e.problems().get(0).field());
        assertEquals(2, standing(part, Measure.Walk.RUNOUT).size());
    }

    /** What was keyed at a thou bench is given as it was keyed; a vacuum is kept in kPa whatever was keyed. */
    @Test
    void theUnitGoesAlong() {
        PartFile part = head();
        key(part, "1I", Measure.MARGIN, "40", BenchUnit.THOU);
        give(part, UUID.randomUUID(), Measure.Walk.MARGINS);
        ValveFile file = file(part);
        for (ValveViews.Place p : ValveViews.places(file, Measure.Walk.MARGINS)) {
            p.standing(file)
                    .ifPresent(f -> assertEquals(1.016, f.value().orElseThrow().mm(), 1e-9));
        }
        key(part, "1I", Measure.VACUUM, "20", BenchUnit.THOU);
        give(part, UUID.randomUUID(), Measure.Walk.VACUUM);
        Map<String, String> vacuum = standing(part, Measure.Walk.VACUUM);
        assertEquals(4, vacuum.size());
        assertEquals(1, vacuum.values().stream().distinct().count(), vacuum.toString());
    }

    @Test
    void oneKeyFillsTheWalkAndOneButtonTakesItBack() {
        PartFile part = head();
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/valves?of=RUNOUT");
        assertThat(page.locator("input.key")).isFocused();
        page.keyboard().type("0.02");
        page.keyboard().press("Enter");
        assertThat(page.locator("#status")).hasText("all kept");
        assertThat(page.locator("[data-all-same]")).containsText("intake valves the same: 0.020");
        page.keyboard().press("=");
        assertThat(page.locator("#figures")).containsText("3 places filled.");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(4);
        // An Enter under fast hands is the next reading's and not the button's that takes all back.
        assertThat(page.locator("input.key")).isFocused();
        page.getByText("Take them back").click();
        assertThat(page.locator("#walk [data-state=read]")).hasCount(1);
        assertThat(page.locator("input.key")).isFocused();
        assertFalse(page.content().contains("places filled"));
        assertEquals(List.of(), faults);
    }
}

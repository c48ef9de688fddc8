package homalon.app.machining.cut;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import homalon.app.machining.chambers.WorkOnChambers;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.part.Layout;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A deck of which half a thou may come off: the passes shrink to it, and only when that is too little it is not cut. */
@ExtendWith({RunningShop.class, Browser.class})
class HalfAThouDeckTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;

    HalfAThouDeckTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    /** @param gasket that leaves so much over the least squeeze of 1.0 with the piston level with the deck */
    private PartFile deck(double bow, String gasket, String thinnest) {
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        hands.prepare(deck);
        double length = Layout.of(deck.numbers()).box().width();
        hands.read(deck, SurveyKind.FACE, s -> bow * Math.pow(2 * s.x() / length - 1, 2));
        shop.bean(WorkOnChambers.class)
                .engine(
                        deck,
                        UUID.randomUUID(),
                        Map.of(
                                "THINNEST",
                                thinnest,
                                "drive",
                                "CHAIN_OR_BELT",
                                "crown",
                                "FLAT",
                                "rods",
                                "IRON",
                                "GASKET",
                                gasket,
                                "DECK",
                                "0",
                                "SQUEEZE_LEAST",
                                "1.0"),
                        BenchUnit.MM,
                        hands.ines());
        return deck;
    }

    @Test
    void skimAndFinishShrinkAndTheDeckIsCut() {
        PartFile deck = deck(0.006, "1.0127", "210");
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + deck.tag() + "/plan");
        assertThat(page.locator("#chosen")).containsText("shrunk to what may come off");
        assertThat(page.locator("#chosen .verdict .words")).hasText("0.012 mm may come off");
        assertThat(page.locator("#chosen .verdict")).not().containsText("do not cut");
        assertThat(page.locator(".pass")).hasCount(1);
        assertThat(page.locator(".pass").first()).containsText("0.010 → 0.010");
        page.keyboard().press("Enter");
        page.waitForURL(Pattern.compile(".*/cut$"));
        assertThat(page.locator("#walk [data-state=open]")).hasCount(1);
        page.keyboard().press("*");
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(1);
        page.keyboard().press("c");
        assertThat(page.locator("#figures .words").first()).hasText("Clean at 0.010 mm");
        assertEquals(List.of(), faults);
    }

    @Test
    void whatEvenTheZoneDoesNotFitIsNotCut() {
        PartFile unread = deck(0.08, "1.0127", "");
        PartFile deck = deck(0.08, "1.0127", "210");
        Page page = window.signedIn(shop, "ines", 1280, 800, new ArrayList<>());
        page.navigate(shop.address() + "/parts/" + deck.tag() + "/budget");
        String said = page.locator("body").innerText();
        assertTrue(said.contains("do not cut"), said);
        page.navigate(shop.address() + "/parts/" + unread.tag() + "/budget");
        assertThat(page.locator("body")).containsText("Measure its thickness before anybody says cut or scrap");
        page.navigate(shop.address() + "/parts/" + deck.tag() + "/plan");
        assertThat(page.locator("#chosen")).not().containsText("shrunk to what");
    }
}

package homalon.app.machining.batch;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import homalon.app.casting.ledger.Ledgers;
import homalon.app.foundation.devices.LiveBus;
import homalon.app.machining.cut.Cutting;
import homalon.app.machining.cut.Plans;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.cut.SetUpMethod;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.sim.SeededFace;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith({RunningShop.class, Browser.class})
class BatchJourneyTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;

    BatchJourneyTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    private PartFile planned(Material metal, double bow) {
        PartFile part = hands.book(metal);
        SeededFace face = new SeededFace(Layout.of(part.numbers()).box(), 0, 0, bow, 0, 0, List.of());
        hands.read(part, SurveyKind.FACE, s -> face.at(s.x(), s.y()));
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        return part;
    }

    private Length cut(PartFile part) {
        return shop.bean(Ledgers.class)
                .of(part)
                .ledger()
                .totals(part.visit().id())
                .thisJob();
    }

    @Test
    void twoHeadsAreCutTogetherByKeyboard() {
        PartFile little = planned(Material.CAST_IRON, 0.04);
        PartFile much = planned(Material.CAST_IRON, 0.11);
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + little.tag() + "/plan");
        page.locator("a:has-text('Cut it together')").press("Enter");
        // Among however many others of the same shop are planned.
        page.navigate(shop.address() + "/batch?with=" + little.tag() + "&q=" + much.tag());
        page.locator("#on-" + much.tag()).press(" ");
        page.locator("button:has-text('Put them together')").press("Enter");
        page.waitForSelector("input.key");
        assertThat(page.locator(".card")).hasCount(2);
        assertThat(page.locator(".card").first()).containsText("more than by itself");
        assertEquals(
                shop.bean(Plans.class).of(little).orElseThrow().plan().passes(),
                shop.bean(Plans.class).of(much).orElseThrow().plan().passes(),
                "one list for both");

        Page other = page.context().newPage();
        other.navigate(page.url());
        page.bringToFront();
        Set<String> told = ConcurrentHashMap.newKeySet();
        shop.bean(LiveBus.class).listen((topic, words) -> told.add(topic));
        int planned = page.locator("#walk [data-place]").count();
        for (int pass = 0; pass < planned; pass++) {
            page.keyboard().press("*");
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(pass + 1);
        }
        assertThat(page.locator(".verdict .words")).hasText("Cut as planned");
        Set<String> both = Set.of("part-" + little.tag(), "part-" + much.tag());
        page.waitForCondition(() -> told.containsAll(both));
        assertEquals(cut(little), cut(much));
        assertTrue(cut(much).mm() > 0.1);

        other.bringToFront();
        assertThat(other.locator(".verdict .words")).hasText("Cut as planned");
        page.bringToFront();
        told.clear();
        page.locator("#take-back summary").press("Enter");
        page.fill("#take-back input[name=why]", "the table had not run out");
        page.keyboard().press("Enter");
        assertThat(page.locator("#walk [data-state=read]")).hasCount(planned - 1);
        page.waitForCondition(() -> told.containsAll(both));
        assertEquals(cut(little), cut(much));
        page.navigate(shop.address() + "/parts/" + much.tag() + "/cut");
        assertThat(page.locator("body")).containsText("a pass keyed here is written for this one only");
        assertEquals(List.of(), faults);
    }

    /** A repeat stores once, and a pass that one ledger refuses is written in none. */
    @Test
    void aPassIsInEveryLedgerOrInNone() {
        PartFile a = planned(Material.CAST_IRON, 0.05);
        PartFile b = planned(Material.CAST_IRON, 0.06);
        PartFile light = planned(Material.ALUMINIUM, 0.05);
        UUID id = UUID.randomUUID();
        assertThrows(
                BadInputException.class,
                () -> shop.bean(BatchForming.class)
                        .form(id, List.of(a.tag(), light.tag()), BenchUnit.MM, hands.ines()));
        shop.bean(BatchForming.class).form(id, List.of(a.tag(), b.tag()), BenchUnit.MM, hands.ines());
        assertThrows(
                BadInputException.class,
                () -> shop.bean(BatchForming.class)
                        .form(UUID.randomUUID(), List.of(a.tag(), b.tag()), BenchUnit.MM, hands.ines()),
                "on one table only");
        UUID pass = UUID.randomUUID();
        Ledgers.Notes notes = new Ledgers.Notes("", "", "", "", ".01");
        shop.bean(BatchPasses.class).pass(id, pass, Length.ofMm("0.01"), notes, Cutting.Seen.ALL, hands.ines());
        shop.bean(BatchPasses.class).pass(id, pass, Length.ofMm("0.01"), notes, Cutting.Seen.ALL, hands.ines());
        assertEquals(Length.ofMm("0.01"), cut(a));
        assertEquals(Length.ofMm("0.01"), cut(b));
        shop.bean(homalon.app.casting.part.PartVisits.class)
                .handOver(b.id(), List.of("all"), "fetched early", hands.ines());
        assertThrows(
                BadInputException.class,
                () -> shop.bean(BatchPasses.class)
                        .pass(id, UUID.randomUUID(), Length.ofMm("0.02"), notes, Cutting.Seen.ALL, hands.ines()));
        assertEquals(Length.ofMm("0.01"), cut(a), "nor in the other one's");
        LedgerFile.Line line = shop.bean(Ledgers.class).of(a).lines().get(0);
        assertEquals(id, line.batch().orElseThrow());
        assertTrue(line.corners().isPresent());
    }
}

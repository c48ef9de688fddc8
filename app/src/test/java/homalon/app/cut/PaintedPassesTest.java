package homalon.app.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import homalon.app.face.SurveyFile;
import homalon.app.face.SurveyKind;
import homalon.app.face.Surveys;
import homalon.app.ledger.Ledgers;
import homalon.app.part.Booking;
import homalon.app.part.PartFile;
import homalon.app.part.Parts;
import homalon.app.people.People;
import homalon.app.people.Someone;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.cut.School;
import homalon.core.face.PlaceProposal;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.sim.SeededFace;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Passes that lag behind what was foretold, painted from the keyboard and with a brush. */
@ExtendWith({RunningShop.class, Browser.class})
class PaintedPassesTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final Someone ines;
    private final PartFile part;

    PaintedPassesTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.ines = shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Ines"))
                .findFirst()
                .orElseThrow();
        this.part = planned();
    }

    /** A hollow head, read and with its cut planned. */
    private PartFile planned() {
        Parts parts = shop.bean(Parts.class);
        LayoutNumbers numbers = LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("84"), Length.ofMm("96"));
        PartFile booked = parts.book(
                new Booking(
                        parts.nextTag(),
                        PartKind.HEAD,
                        "Kelp cutter, four in line",
                        "Kelp Row",
                        Material.CAST_IRON,
                        "",
                        numbers,
                        List.of(),
                        "",
                        "",
                        "",
                        Optional.empty()),
                ines.id());
        Surveys surveys = shop.bean(Surveys.class);
        SurveyFile survey = surveys.start(
                booked, SurveyKind.FACE, PlaceProposal.Density.CLOSE, RuleBook.DEFAULT_UNCERTAINTY, ines.id());
        SeededFace hollow = new SeededFace(Layout.of(numbers).box(), 0, 0, 0.12, 0.02, 0.01, List.of());
        for (SurveyFile.PlaceFile p : survey.places()) {
            String typed = BigDecimal.valueOf(hollow.at(p.spot().x(), p.spot().y()))
                    .setScale(3, RoundingMode.HALF_UP)
                    .toPlainString();
            surveys.key(
                    booked,
                    SurveyKind.FACE,
                    new Surveys.Keyed(UUID.randomUUID(), p.id(), typed, BenchUnit.MM, 0, true),
                    Map.of(),
                    ines.id());
        }
        Planner.Compared compared = shop.bean(Planner.class)
                .compare(booked, RuleBook.shimStep(BenchUnit.MM))
                .orElseThrow();
        CutPlan plan = CutPlan.of(
                compared.setUps(),
                compared.setUps().with(School.LEAST_REMOVAL).orElseThrow(),
                PassPlan.Depths.usual(BenchUnit.MM),
                RuleBook.dialStep(BenchUnit.MM));
        shop.bean(Plans.class).choose(booked, UUID.randomUUID(), compared.survey(), plan, ines.id());
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

        page.keyboard().press("b");
        int foretold = page.locator(".cells rect.on").count();
        assertTrue(foretold > 20, "painting begins with what was foretold");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("As foretold");

        // The cutter touched the four corners only: everything else is wiped with the brush.
        page.keyboard().press("b");
        page.evaluate("""
                () => document.querySelectorAll('.cells rect.on').forEach((c) => {
                  const b = c.getBBox();
                  const svg = c.ownerSVGElement.viewBox.baseVal;
                  const x = (b.x + b.width / 2) / (svg.x * 2 + svg.width);
                  if (x > 0.03 && x < 0.97) { c.classList.remove('on'); c.classList.add('off'); }
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

        page.reload();
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("It lags behind");
        page.keyboard().press("*");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator(".watch .name")).hasText("What did it touch?");
        assertEquals(List.of(), faults);
    }

    @Test
    void aPaintingIsKeptOnceAndNeverBeforeAPass() {
        Paintings paintings = shop.bean(Paintings.class);
        Ledgers ledgers = shop.bean(Ledgers.class);
        UUID id = UUID.randomUUID();
        assertThrows(BadInputException.class, () -> paintings.paint(part, ledgers.of(part), id, "ff", ines.id()));
        ledgers.pass(part, UUID.randomUUID(), Length.ofMm("0.02"), new Ledgers.Notes("", "", "", "", ".02"), ines.id());
        paintings.paint(part, ledgers.of(part), id, "ff08", ines.id());
        paintings.paint(part, ledgers.of(part), id, "00", ines.id());
        var now = paintings.now(part, ledgers.of(part)).orElseThrow();
        assertEquals("ff08", Paintings.written(now.cells()), "the first one of that id stands");
        assertThrows(
                BadInputException.class,
                () -> paintings.paint(part, ledgers.of(part), UUID.randomUUID(), "xyz", ines.id()));
    }
}

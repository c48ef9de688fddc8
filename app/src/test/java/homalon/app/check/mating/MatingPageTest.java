package homalon.app.check.mating;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import homalon.app.check.feelers.FeelerSurveys;
import homalon.app.foundation.web.Keyed;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.face.FeelerSurvey;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerWay;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A head and its deck on one screen. */
@ExtendWith({RunningShop.class, Browser.class})
class MatingPageTest {

    @Test
    void aHeadAndItsDeckAreComparedOnOneScreenFromEitherSide(RunningShop.Shop shop, Browser.Window window) {
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/T-0402/compare");
        PlaywrightAssertions.assertThat(page.locator("svg.face")).hasCount(3);
        PlaywrightAssertions.assertThat(page.locator(".sheet")).containsText("they moved together, so cut both");
        String gap = page.locator(".sheet .verdict .words").first().innerText();
        page.navigate(shop.address() + "/parts/T-0401/compare");
        PlaywrightAssertions.assertThat(page.locator(".sheet .verdict .words").first())
                .hasText(gap);

        page.fill("[name=with]", "T-0401");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator("body")).containsText("is a block deck too");
        page.navigate(shop.address() + "/parts/T-0401/compare");
        page.fill("[name=with]", "T-0407");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator(".said")).containsText("can be no pair");
        page.fill("[name=with]", "T-0402");
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator("svg.face")).hasCount(3);
        assertEquals(List.of(), faults.stream().filter(f -> !f.contains("422")).toList());
    }

    /** Neither has a map: what both readings allow is told as bounds. */
    @Test
    void facesReadByFeelersAreComparedAsBounds(RunningShop.Shop shop) {
        HandsOfTests hands = new HandsOfTests(shop);
        PartFile head = hands.book(Material.CAST_IRON, PartKind.HEAD);
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        assertEquals(
                302,
                ines.post("/parts/" + head.tag() + "/compare", "with", deck.tag())
                        .statusCode());
        String before = ines.get("/parts/" + head.tag() + "/compare").body();
        assertTrue(before.contains("Read the face of " + head.tag() + " first"), before);
        FeelerSurveys surveys = shop.bean(FeelerSurveys.class);
        for (PartFile part : List.of(head, deck)) {
            shop.bean(homalon.app.check.feelers.FeelerStarts.class)
                    .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.FIND, BenchUnit.MM, hands.ines());
            for (FeelerFile.LineFile line :
                    surveys.find(part, FeelerKind.FACE).orElseThrow().lines()) {
                surveys.key(
                        part,
                        FeelerKind.FACE,
                        Keyed.sure(UUID.randomUUID(), line.places().get(0).id(), "0", BenchUnit.MM),
                        anyone -> "Someone",
                        hands.ines());
            }
        }
        String page = ines.get("/parts/" + head.tag() + "/compare").body();
        assertTrue(page.contains("Gap between 0.000 and 0.1"), page);
        assertTrue(page.contains("dips between the lines are not in it"));
        assertFalse(page.contains("Read the face of"));
        assertEquals(
                page.replaceAll("(?s).*(Gap between [^<]*)<.*", "$1"),
                ines.get("/parts/" + deck.tag() + "/compare").body().replaceAll("(?s).*(Gap between [^<]*)<.*", "$1"));
    }
}

package homalon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import homalon.app.casting.ledger.Ledgers;
import homalon.app.check.face.Surveys;
import homalon.app.machining.cut.Plans;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.SetUpMethod;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Many pages of one browser, and what others write while they are open. */
@ExtendWith({RunningShop.class, Browser.class})
class ManyWindowsTest {
    private static final LocatorAssertions.HasTextOptions SOON =
            new LocatorAssertions.HasTextOptions().setTimeout(12_000);

    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final HandsOfTests hands;

    ManyWindowsTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
    }

    private PartFile planned() {
        PartFile part = hands.book(Material.CAST_IRON);
        hands.prepare(part);
        hands.read(part, SurveyKind.FACE, s -> 0.02 * Math.sin(s.x() / 60));
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        return part;
    }

    /** A browser has six connections to one server: a stream for each page would stop the seventh. */
    @Test
    void eightPagesOfOneBrowserAllWork() {
        PartFile part = planned();
        Page first = window.signedIn(shop, "ines");
        List<String> streams = new ArrayList<>();
        first.context().onRequest(r -> {
            if (r.url().contains("/live?topics=")) {
                streams.add(r.url());
            }
        });
        String at = shop.address() + "/parts/" + part.tag();
        List<Page> pages = new ArrayList<>(List.of(first));
        first.navigate(at + "/face");
        for (int i = 1; i < 8; i++) {
            Page page = first.context().newPage();
            page.navigate(at + (i == 7 ? "/cut" : "/face"));
            pages.add(page);
        }
        Page last = pages.get(7);
        assertThat(last.locator("#status")).hasText("all kept", SOON);
        last.bringToFront();
        last.locator("input.key").focus();
        last.keyboard().type("0.01");
        last.keyboard().press("Enter");
        assertThat(last.locator("#walk [data-state=read]")).hasCount(1);
        assertTrue(streams.size() <= 3, "one stream, asked anew for further topics: " + streams);

        // The window that listens for all is closed: another takes over, and hears what somebody else keys.
        first.close();
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        marit.get("/");
        Page other = pages.get(3);
        other.bringToFront();
        String place = other.locator("#walk [data-place]").first().getAttribute("data-place");
        other.waitForTimeout(1500);
        assertEquals(
                409,
                marit.key(
                                "/parts/" + part.tag() + "/face/readings",
                                "id",
                                UUID.randomUUID().toString(),
                                "place",
                                place,
                                "typed",
                                "0.123",
                                "unit",
                                "MM",
                                "sure",
                                "true")
                        .statusCode());
        String seen = "999999999";
        assertEquals(
                200,
                marit.key(
                                "/parts/" + part.tag() + "/face/readings",
                                "id",
                                UUID.randomUUID().toString(),
                                "place",
                                place,
                                "typed",
                                "0.123",
                                "unit",
                                "MM",
                                "sure",
                                "true",
                                "seen",
                                seen)
                        .statusCode());
        assertThat(other.locator("#walk [data-place='" + place + "'] .value")).hasText("+0.123", SOON);
    }

    /** Seen before: each foreign write added a second copy of a form that has a field named "id". */
    @ParameterizedTest
    @CsvSource({"clean", "route", "cut", "cracks", "pressure", "face", "plan", "report"})
    void whatArrivesNeverAddsASecondCopy(String view) {
        PartFile part = planned();
        assertTrue(shop.bean(Plans.class).of(part).isPresent());
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        marit.get("/");
        // The first pass brings what is asked after one; of those that follow none brings it again.
        marit.key(
                "/parts/" + part.tag() + "/cut/readings",
                "id",
                UUID.randomUUID().toString(),
                "typed",
                "0.001",
                "unit",
                "MM");
        Page page = window.signedIn(shop, "ines");
        page.navigate(shop.address() + "/parts/" + part.tag() + "/" + view);
        assertThat(page.locator("#status")).hasText("all kept", SOON);
        int forms = page.locator("form").count();
        int sections = page.locator("[data-live]").count();
        for (int i = 0; i < 10; i++) {
            assertEquals(
                    200,
                    marit.key(
                                    "/parts/" + part.tag() + "/cut/readings",
                                    "id",
                                    UUID.randomUUID().toString(),
                                    "typed",
                                    "0.001",
                                    "unit",
                                    "MM")
                            .statusCode());
        }
        assertEquals(
                11, shop.bean(Ledgers.class).of(part).passes(part.visit().id()).size());
        if (view.equals("cut")) {
            assertThat(page.locator("tr.stands form"))
                    .hasCount(11, new LocatorAssertions.HasCountOptions().setTimeout(15_000));
        }
        page.waitForTimeout(2500);
        int now = page.locator("form").count();
        // A line of the ledger brings a form to take it back; nothing else brings any.
        int lines = view.equals("cut") ? 10 : 0;
        assertEquals(forms, now - lines, view);
        assertEquals(sections, page.locator("[data-live]").count() - lines, view);
    }

    /** What others key and cut changes every sentence and figure that rests on it, as a page opened afterwards has them. */
    @ParameterizedTest
    @CsvSource({"face", "plan", "cut", "report", "compare", "route", "thickness", "proof", "seats", "parts-list"})
    void whatRestsOnFiguresChangesWithThem(String view) {
        PartFile part = planned();
        Page page = window.signedIn(shop, "ines");
        String address = shop.address() + "/parts/" + part.tag() + "/" + view;
        page.navigate(address);
        assertThat(page.locator("#status")).hasText("all kept", SOON);
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        marit.get("/");
        String at = "/parts/" + part.tag();
        SurveyFile face = shop.bean(Surveys.class).find(part, SurveyKind.FACE).orElseThrow();
        for (int i = 0; i < 3; i++) {
            String place = face.places().get(i).id().toString();
            HttpResponse<String> kept = marit.key(
                    at + "/face/readings",
                    "id",
                    UUID.randomUUID().toString(),
                    "place",
                    place,
                    "typed",
                    "0.09",
                    "unit",
                    "MM",
                    "seen",
                    "999999999",
                    "sure",
                    "true");
            assertEquals(200, kept.statusCode(), kept.body());
        }
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        HttpResponse<String> cut =
                marit.key(at + "/cut/readings", "id", UUID.randomUUID().toString(), "typed", "0.001", "unit", "MM");
        assertEquals(200, cut.statusCode(), cut.body());
        Page fresh = page.context().newPage();
        fresh.navigate(address);
        assertThat(fresh.locator("#status")).hasText("all kept", SOON);
        // Whether a section was opened is the reader's own business.
        String words = "() => { document.querySelectorAll('#content details').forEach(d => d.open = false);"
                + " return document.getElementById('content').innerText; }";
        String wanted = fresh.evaluate(words).toString();
        fresh.close();
        page.bringToFront();
        for (int i = 0; i < 40 && !page.evaluate(words).equals(wanted); i++) {
            page.waitForTimeout(250);
        }
        Assertions.assertThat(page.evaluate(words).toString().lines())
                .containsExactlyElementsOf(wanted.lines().toList());
    }
}

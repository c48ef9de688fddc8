package homalon.app.check.feelers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Gap;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import homalon.core.visit.Asked;
import homalon.core.visit.Booking;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerWay;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Straightedge and feelers from the first line to the verdict, keyed and on the real store. */
@ExtendWith({RunningShop.class, Browser.class})
class FeelersAtTheBenchTest {
    private static final AtomicInteger TAGS = new AtomicInteger(6100);

    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final FeelerSurveys surveys;
    private final PersonInfo ines;
    private final PartFile part;

    FeelersAtTheBenchTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.surveys = shop.bean(FeelerSurveys.class);
        this.ines = shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Ines"))
                .findFirst()
                .orElseThrow();
        this.part = shop.bean(Parts.class)
                .book(
                        new Booking(
                                "T-" + TAGS.incrementAndGet(),
                                PartKind.HEAD,
                                "Net hauler, three in line",
                                "Skerry Net Haulers",
                                Material.CAST_IRON,
                                "",
                                LayoutNumbers.proposed(PartKind.HEAD, 3, Length.ofMm("88"), Length.ofMm("101")),
                                List.of(),
                                "",
                                "",
                                "",
                                Optional.empty()),
                        ines.id());
    }

    private SeededFace face(double longBow, double lift) {
        return new SeededFace(Layout.of(part.numbers()).box(), 0.1, -0.05, longBow, 0, lift, List.of());
    }

    private FeelerFile now() {
        return surveys.find(part, FeelerKind.FACE).orElseThrow();
    }

    private FeelerSurveys.Outcome say(UUID id, FeelerFile.PlaceFile place, String typed) {
        return surveys.key(
                part,
                FeelerKind.FACE,
                new Keyed(id, place.id().toString(), typed, BenchUnit.MM, 99_999_999L, false),
                anyone -> "Someone",
                ines.id());
    }

    /** Keys whatever the page asks for, as the hand finds it, until nothing is open. */
    private void keyAll(Page page, SeededFace face, boolean limitOnly) {
        for (int i = 0; i < 80; i++) {
            var here = page.locator("#walk [aria-current]");
            // What lies between the edges follows by itself, and with it what is asked next.
            PlaywrightAssertions.assertThat(page.locator("#figures form[data-lays]"))
                    .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(20_000));
            if (page.locator("#walk [data-state=open]").count() == 0) {
                return;
            }
            String id = here.getAttribute("data-place");
            String before = page.locator("#walk").getAttribute("data-version");
            page.keyboard().type(answer(page, face, UUID.fromString(id), limitOnly));
            if (!limitOnly && !"true".equals(here.getAttribute("data-rest"))) {
                page.keyboard().press("Enter");
            }
            page.waitForFunction("v => document.getElementById('walk').dataset.version !== v", before);
        }
        throw new AssertionError("the walk does not come to an end");
    }

    private String answer(Page page, SeededFace face, UUID id, boolean limitOnly) {
        for (FeelerFile.LineFile line : now().lines()) {
            FeelerHand.Laid laid = FeelerHand.lay(face, line.from(), line.to());
            for (FeelerFile.PlaceFile place : line.places()) {
                if (place.id().equals(id)) {
                    if (place.asked() == Asked.REST) {
                        return laid.rocks() ? "r" : "s";
                    }
                    double gap = place.asked() == Asked.ENDS ? laid.rock() : laid.gap(place.at());
                    if (limitOnly) {
                        double blade = Double.parseDouble(
                                page.locator("#walk [aria-current]").getAttribute("data-blade"));
                        return gap >= blade ? "+" : "-";
                    }
                    return now().blades().blades().stream()
                            .filter(b -> b.mm() <= gap)
                            .reduce((a, b) -> b)
                            .map(b -> Double.toString(b.mm()))
                            .orElse("0");
                }
            }
        }
        throw new AssertionError("no such place");
    }

    @Test
    void aTwistIsFoundUnderTheDiagonalsAndExplained() {
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/feelers");
        PlaywrightAssertions.assertThat(page.locator(".act button")).isFocused();
        page.keyboard().press("Enter");
        PlaywrightAssertions.assertThat(page.locator("input.key")).isFocused();
        SeededFace twisted = face(0.006, 0.26);
        keyAll(page, twisted, false);
        PlaywrightAssertions.assertThat(page.locator("#status")).hasText("all kept");
        PlaywrightAssertions.assertThat(page.locator(".verdict .words")).containsText("Out: a 0.0");
        PlaywrightAssertions.assertThat(page.locator("#figures")).containsText("only the diagonals do");
        PlaywrightAssertions.assertThat(page.locator("svg.bows .panel")).hasCount(5);
        PlaywrightAssertions.assertThat(page.locator("svg.face .rocker")).hasCount(1);
        PlaywrightAssertions.assertThat(page.locator("#strip")).containsText("out, by feelers");
        FeelerResult result = shop.bean(FeelerFindings.class).of(part, now()).result();
        var lift = result.shape().orElseThrow().fourthCornerLift();
        assertTrue(lift.least() <= 0.26 && 0.26 <= lift.most(), "the twist lies in " + lift);
        int said = now().history().size();
        page.keyboard().press("z");
        PlaywrightAssertions.assertThat(page.locator("#walk [data-state=open]")).hasCount(1);
        assertEquals(said + 1, now().history().size(), "what is taken back stays in the record");
        assertEquals(List.of(), faults);
    }

    @Test
    void theLimitBladeAloneTellsThatAFaceIsWithin() {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.LIMIT, BenchUnit.MM, ines.id());
        Page page = window.signedIn(shop, "ines", 1280, 800, new ArrayList<>());
        page.navigate(shop.address() + "/parts/" + part.tag() + "/feelers");
        // What the limit blade leaves open is settled by thinner ones, asked for one after the other at the place that
        // tells most.
        keyAll(page, face(0.01, 0.01), true);
        PlaywrightAssertions.assertThat(page.locator(".verdict .words")).hasText("Within 0.050 mm");
        PlaywrightAssertions.assertThat(page.locator("#strip")).containsText("within, by feelers");
        Length thinnest = now().lines().stream()
                .flatMap(l -> l.places().stream())
                .flatMap(p -> p.gap().refuses().stream())
                .min(java.util.Comparator.naturalOrder())
                .orElseThrow();
        assertTrue(thinnest.mm() <= 0.03, "a thinner blade was asked for: " + thinnest);
        page.keyboard().press("Escape");
        page.navigate(shop.address() + "/parts/" + part.tag() + "/report");
        PlaywrightAssertions.assertThat(page.locator("body")).containsText("by straightedge and feelers: Within 0.050");
    }

    /** A blade that the shop's set does not have, in hand all the same: it joins this survey, with its sign before or behind. */
    @ParameterizedTest
    @CsvSource({"-0.0127", "0.0127-", "'0.0005 in-'", "'-0.0005 in'"})
    void anyBladeInTheHandCounts(String typed) {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.LIMIT, BenchUnit.MM, ines.id());
        FeelerFile.PlaceFile place = now().lines().get(0).places().get(1);
        assertThrows(BadInputException.class, () -> say(UUID.randomUUID(), place, "0.0127"));
        say(UUID.randomUUID(), place, typed);
        assertEquals(
                new Gap(Optional.empty(), Optional.of(Length.ofMm("0.0127"))),
                now().lines().get(0).places().get(1).gap());
        assertTrue(now().blades().blades().contains(Length.ofMm("0.0127")));
        assertThrows(BadInputException.class, () -> say(UUID.randomUUID(), place, "+0.05-"));
    }

    @Test
    void oneKeySaysThatNothingGoesAlongAWholeLineAndARepeatStoresOnce() {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.FIND, BenchUnit.MM, ines.id());
        FeelerFile.LineFile line = now().lines().get(0);
        UUID id = UUID.randomUUID();
        say(id, line.places().get(0), "0");
        int said = now().history().size();
        say(id, line.places().get(0), "0");
        assertEquals(said, now().history().size());
        assertEquals(4, said, "how it rests, and three places");
        Gap gap = now().lines().get(0).places().get(2).gap();
        assertEquals(new Gap(Optional.empty(), Optional.of(Length.ofMm("0.02"))), gap);
        assertEquals(
                Verdict.NOT_PROVEN,
                shop.bean(FeelerFindings.class).of(part, now()).result().verdict());
    }

    @Test
    void aLaterTryWinsOverWhatItContradictsAndNothingIsLost() {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.FIND, BenchUnit.MM, ines.id());
        FeelerFile.PlaceFile place = now().lines().get(0).places().get(1);
        say(UUID.randomUUID(), place, "-0.05");
        say(UUID.randomUUID(), place, "+0.06");
        Gap gap = now().lines().get(0).places().get(1).gap();
        assertEquals(new Gap(Optional.of(Length.ofMm("0.06")), Optional.empty()), gap);
        say(UUID.randomUUID(), place, "0.03");
        gap = now().lines().get(0).places().get(1).gap();
        assertEquals(new Gap(Optional.of(Length.ofMm("0.03")), Optional.of(Length.ofMm("0.04"))), gap);
        assertEquals(3, now().history().size());
    }

    @Test
    void aLampIsAVeryThinBlade() {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.FIND, BenchUnit.MM, ines.id());
        FeelerFile.LineFile line = now().lines().get(0);
        say(UUID.randomUUID(), line.places().get(1), "n");
        say(UUID.randomUUID(), line.places().get(2), "l");
        FeelerFile.LineFile after = now().lines().get(0);
        assertEquals(
                Optional.of(Length.ofMm("0.003")), after.places().get(1).gap().refuses());
        assertTrue(now().done(after.places().get(1), Length.ofMm("0.05")), "no blade is thinner than light");
        assertEquals(
                Optional.of(Length.ofMm("0.02")),
                after.places().get(2).gap().next(now().blades(), Length.ofMm("0.05")));
        assertTrue(refusal(line.places().get(0), "l").contains("how the edge rests"));
    }

    @Test
    void aMmBladeCanBeKeyedAtAThouBenchAsItIsShownThere() {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.FIND, BenchUnit.MM, ines.id());
        FeelerFile.PlaceFile place = now().lines().get(0).places().get(1);
        surveys.key(
                part,
                FeelerKind.FACE,
                new Keyed(UUID.randomUUID(), place.id().toString(), "+0.79", BenchUnit.THOU, 0L, false),
                anyone -> "Someone",
                ines.id());
        assertEquals(
                Optional.of(Length.ofMm("0.02")),
                now().lines().get(0).places().get(1).gap().goes());
    }

    @Test
    void whatNoFeelerCanSayIsRefusedInWords() {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.FIND, BenchUnit.MM, ines.id());
        FeelerFile.PlaceFile rest = now().lines().get(0).places().get(0);
        FeelerFile.PlaceFile place = now().lines().get(0).places().get(1);
        String noBlade = refusal(place, "0.045");
        assertTrue(noBlade.contains("0.040 or 0.050"), noBlade);
        assertTrue(refusal(rest, "0.05").contains("r when it rocks"));
        assertTrue(refusal(place, "+0").contains("+0.05"));
        assertTrue(refusal(place, "abc").length() > 20);
        assertEquals(0, now().history().size());
    }

    private String refusal(FeelerFile.PlaceFile place, String typed) {
        return Words.of(
                assertThrows(homalon.core.input.RefusedInputException.class, () -> say(UUID.randomUUID(), place, typed))
                        .sentence());
    }

    private FeelerFile.PlaceFile first(FeelerFile.LineFile line, Asked asked) {
        return line.places().stream()
                .filter(p -> p.asked() == asked)
                .findFirst()
                .orElseThrow();
    }

    /** One blade slid along says more than at three places, in one line of keys, and is taken back in one. */
    @Test
    void aBladeSlidAlongIsMarkedFromWhereToWhereItGoes() {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.FIND, BenchUnit.MM, ines.id());
        FeelerFile.LineFile edge = now().lines().get(0);
        double length = edge.length();
        String typed = "0.05 " + Math.round(length * 0.25) + ".." + Math.round(length * 0.75);
        say(UUID.randomUUID(), first(edge, Asked.REST), typed);
        FeelerFile.LineFile after = now().lines().get(0);
        assertEquals(homalon.core.face.FeelerLine.Rest.SITS_STILL, after.rest());
        assertEquals(7, after.stations().size(), "three that were proposed and two at each mark");
        for (FeelerFile.PlaceFile p : after.stations()) {
            boolean between = p.at() > 0.25 && p.at() < 0.75;
            assertEquals(between, p.gap().goes().isPresent(), () -> "at " + p.at());
            assertEquals(!between, p.gap().refuses().isPresent(), () -> "at " + p.at());
        }
        assertThrows(
                BadInputException.class, () -> say(UUID.randomUUID(), first(edge, Asked.STATION), "0.05 200..100"));
        surveys.undo(part, FeelerKind.FACE, UUID.randomUUID(), ines.id());
        assertEquals(0, now().lines().get(0).stations().size());
        assertEquals(
                homalon.core.face.FeelerLine.Rest.NOT_NOTED,
                now().lines().get(0).rest());
    }

    /** With the limit blade alone only the blade that was in the hand stands in the record. */
    @Test
    void nothingGoesAnywhereWritesTheOneBladeThatIsAskedFor() {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.LIMIT, BenchUnit.MM, ines.id());
        FeelerFile.LineFile edge = now().lines().get(0);
        Length blade = now().along(edge, Layout.of(part.numbers()).box(), Length.ofMm("0.05"));
        say(UUID.randomUUID(), first(edge, Asked.REST), "0");
        assertEquals(
                List.of(blade),
                now().lines().get(0).stations().stream()
                        .map(p -> p.gap().refuses().orElseThrow())
                        .distinct()
                        .toList());
        surveys.undo(part, FeelerKind.FACE, UUID.randomUUID(), ines.id());
        assertEquals(0, now().lines().get(0).stations().size(), "said by one key, taken back by one");
    }

    /** One long edge bowed, go and no-go with the limit blade: out at that edge, and its best edge is no dip. */
    @Test
    void aFaceBowedAlongOneEdgeStopsTheLimitBladeAndNamesNoDip() {
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.LIMIT, BenchUnit.MM, ines.id());
        var box = Layout.of(part.numbers()).box();
        SeededFace face = new SeededFace(box, 0, 0, 0.04, 0, 0, 0.04, List.of());
        Length limit = Length.ofMm("0.05");
        for (FeelerFile.LineFile line : now().lines()) {
            FeelerHand.Laid laid = FeelerHand.lay(face, line.from(), line.to());
            say(UUID.randomUUID(), first(line, Asked.REST), laid.rocks() ? "r" : "s");
            for (FeelerFile.PlaceFile p : line.places()) {
                if (p.asked() == Asked.STATION) {
                    Length blade = now().first(line, p, box, limit);
                    say(UUID.randomUUID(), p, blade.mm() + (laid.gap(p.at()) >= blade.mm() ? "+" : "-"));
                }
            }
        }
        FeelerResult result = shop.bean(FeelerFindings.class).of(part, now()).result();
        assertEquals(Verdict.OUT, result.verdict());
        assertEquals(FeelerResult.Fits.EDGES_APART, result.fits());
        assertEquals(List.of(), result.odd());
        String page = Visitor.signedIn(shop.port(), "ines")
                .get("/parts/" + part.tag() + "/feelers")
                .body();
        assertTrue(page.contains("blade went in") && page.contains("Stop here"), page);
        assertTrue(page.contains("The two long edges bow differently"));
        assertTrue(!page.contains("look for a local dip"));
    }
}

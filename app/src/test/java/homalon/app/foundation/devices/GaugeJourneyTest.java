package homalon.app.foundation.devices;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.WaitForSelectorState;
import homalon.app.casting.part.FreeTags;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.GaugeLine;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.sim.GaugeWalk;
import homalon.core.sim.SeededFace;
import homalon.core.visit.Booking;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A face read with a wireless indicator whose lines get lost and come twice, and two people on one part. */
@ExtendWith({RunningShop.class, Browser.class})
class GaugeJourneyTest {
    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final Surveys surveys;
    private final PartFile part;
    private final List<Spot> spots;
    private final int port;

    GaugeJourneyTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.surveys = shop.bean(Surveys.class);
        this.port = Integer.parseInt(shop.beans().getEnvironment().getRequiredProperty("homalon.gauge-port"));
        PersonInfo ines = shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Ines"))
                .findFirst()
                .orElseThrow();
        Parts parts = shop.bean(Parts.class);
        this.part = parts.book(
                new Booking(
                        shop.bean(FreeTags.class).next(),
                        PartKind.HEAD,
                        "Mussel dredger, three in line",
                        "Mussel Bank",
                        Material.CAST_IRON,
                        "",
                        LayoutNumbers.proposed(PartKind.HEAD, 3, Length.ofMm("84"), Length.ofMm("96")),
                        List.of(),
                        "",
                        "",
                        "",
                        Optional.empty()),
                ines.id());
        this.spots = shop
                .bean(homalon.app.check.face.SurveyStarts.class)
                .start(part, SurveyKind.FACE, PlaceProposal.Density.USUAL, RuleBook.DEFAULT_UNCERTAINTY, ines.id())
                .places()
                .stream()
                .map(SurveyFile.PlaceFile::spot)
                .toList();
    }

    private SurveyFile now() {
        return surveys.find(part, SurveyKind.FACE).orElseThrow();
    }

    /** A gauge sends all the time: the page notices it, and it is chosen. */
    private static void near(Page page, OutputStream out, String gauge) throws Exception {
        for (int i = 0; i < 40 && !page.locator("[data-gauge]").isVisible(); i++) {
            write(out, new GaugeLine(gauge, 1, "0.5" + i, "mm", 90, false).written());
            Thread.sleep(150);
        }
        PlaywrightAssertions.assertThat(page.locator("[data-gauge-name]")).hasText(gauge);
        page.locator("[data-gauge-use]").click();
    }

    private static void write(OutputStream out, String line) throws IOException {
        out.write((line + "\n").getBytes(StandardCharsets.US_ASCII));
        out.flush();
    }

    @Test
    void everyPressBecomesOneReadingThoughLinesAreLostAndComeTwice() throws Exception {
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        SeededFace face = new SeededFace(Layout.of(part.numbers()).box(), 0.08, -0.03, 0.06, 0, 0.05, List.of());
        List<GaugeWalk.Sent> lines = new GaugeWalk("G-21", face, spots, 3, 0.2, 0.2, 0).lines();
        assertTrue(
                lines.get(lines.size() - 1).line().number()
                        > lines.stream().map(GaugeWalk.Sent::line).distinct().count(),
                "some are lost");
        Map<Integer, String> pressed = lines.stream()
                .filter(s -> s.line().button())
                .collect(Collectors.toMap(GaugeWalk.Sent::place, s -> s.line().typed(), (a, b) -> b));
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            OutputStream out = socket.getOutputStream();
            write(out, "noise \u0007 not a line");
            near(page, out, "G-21");
            for (GaugeWalk.Sent sent : lines) {
                Thread.sleep(5);
                write(out, sent.line().written());
                if (sent.line().button()) {
                    PlaywrightAssertions.assertThat(page.locator("#walk [data-state=read]"))
                            .hasCount(sent.place());
                }
            }
        }
        PlaywrightAssertions.assertThat(page.locator("#status")).hasText("all kept");
        PlaywrightAssertions.assertThat(page.locator("[data-gauge-note]")).containsText("lost on the way");
        SurveyFile read = now();
        assertEquals(spots.size(), read.read());
        assertEquals(spots.size(), read.history().size(), "each place once");
        for (int i = 0; i < spots.size(); i++) {
            assertEquals(
                    pressed.get(i + 1),
                    read.places().get(i).reading().orElseThrow().typed());
        }
        assertEquals(List.of(), faults);
    }

    @Test
    void thePedalTakesTheLiveValueAndAWrongUnitIsAskedAbout() throws Exception {
        Page page = window.signedIn(shop, "ines", 1280, 800, new ArrayList<>());
        page.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            OutputStream out = socket.getOutputStream();
            near(page, out, "G-22");
            for (int i = 0; i < 4; i++) {
                write(out, "HG1 G-22 " + (i + 2) + " 0.02" + i + "0 mm 90");
                PlaywrightAssertions.assertThat(page.locator("[data-gauge-value]"))
                        .hasText("0.02" + i + "0 mm");
                page.keyboard().press(" ");
                PlaywrightAssertions.assertThat(page.locator("#walk [data-state=read]"))
                        .hasCount(i + 1);
                Thread.sleep(100);
            }
            // Its switch was turned: the button takes nothing by itself.
            write(out, "HG1 G-22 9 0.0009 in 90 B");
            PlaywrightAssertions.assertThat(page.locator("[data-gauge-note]")).containsText("now sends in");
            assertEquals(4, now().read());
            page.keyboard().press(" ");
            PlaywrightAssertions.assertThat(page.locator("#walk [data-state=read]"))
                    .hasCount(5);
            assertEquals(Length.ofMm("0.02286"), now().readPlaces().get(4).value(), "inches are converted exactly");
            // It says inches and sends millimetres: far from all others, so it asks.
            Thread.sleep(100);
            write(out, "HG1 G-22 10 0.0220 in 8 B");
            PlaywrightAssertions.assertThat(page.locator(".keying .say")).containsText("far from the other places");
            PlaywrightAssertions.assertThat(page.locator("[data-gauge-note]")).containsText("battery 8 %");
            assertEquals(5, now().read());
        }
    }

    @Test
    void twoPeopleSeeEachOthersReadings() {
        Page one = window.signedIn(shop, "ines", 1280, 800, new ArrayList<>());
        one.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        Page other = one.context().browser().newContext().newPage();
        other.navigate(shop.address() + "/sign-in");
        other.fill("[name=login]", "marit");
        other.fill("[name=password]", "saltmarsh-demo");
        other.keyboard().press("Enter");
        other.waitForURL(shop.address() + "/");
        other.navigate(shop.address() + "/parts/" + part.tag() + "/face");
        one.keyboard().type("0.03");
        one.keyboard().press("Enter");
        // Sooner than the look every four seconds.
        other.waitForSelector(
                "#walk [data-state=read]",
                new Page.WaitForSelectorOptions()
                        .setState(WaitForSelectorState.ATTACHED)
                        .setTimeout(2500));
        other.context().close();
    }
}

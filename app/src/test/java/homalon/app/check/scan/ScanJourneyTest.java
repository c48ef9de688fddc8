package homalon.app.check.scan;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import homalon.app.casting.part.FreeTags;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.devices.LiveBus;
import homalon.app.foundation.people.People;
import homalon.app.testing.Browser;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.sim.SeededFace;
import homalon.core.visit.Booking;
import homalon.core.visit.PartFile;
import homalon.core.visit.ScanFile;
import homalon.core.visit.SurveyKind;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** A scan from the file to the plan, and files that are none. */
@ExtendWith({RunningShop.class, Browser.class})
class ScanJourneyTest {
    private static final String READ =
            "&separator=;&decimalComma=true&skip=1&columns=3&x=0&y=1&z=2&places=MM&heights=MM";

    private final RunningShop.Shop shop;
    private final Browser.Window window;
    private final PartFile part;
    private final SeededFace face;

    ScanJourneyTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        Parts parts = shop.bean(Parts.class);
        LayoutNumbers numbers = LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("84"), Length.ofMm("96"));
        UUID by = shop.bean(People.class).all().get(0).id();
        this.part = parts.book(
                new Booking(
                        shop.bean(FreeTags.class).next(),
                        PartKind.HEAD,
                        "Buoy tender, four in line",
                        "Outer Buoys",
                        Material.CAST_IRON,
                        "",
                        numbers,
                        List.of(),
                        "",
                        "",
                        "",
                        Optional.empty()),
                by);
        this.face = new SeededFace(Layout.of(numbers).box(), 0.3, -0.2, 0.08, 0.01, 0.02, List.of());
    }

    /** Semicolons, decimal commas, and a header in another language. */
    private String cloud() {
        StringBuilder text = new StringBuilder("Länge;Breite;Höhe\n");
        for (int i = 0; i <= 120; i++) {
            for (int j = 0; j <= 48; j++) {
                double x = face.box().width() * i / 120;
                double y = face.box().height() * j / 48;
                text.append(String.format(Locale.ROOT, "%.3f;%.3f;%.5f%n", x, y, face.at(x, y))
                        .replace('.', ','));
            }
        }
        return text.toString();
    }

    @Test
    void aScanIsTakenInJudgedAndPlannedFrom(@TempDir Path folder) throws IOException {
        Path file = folder.resolve("face.csv");
        Files.writeString(file, cloud());
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "ines", 1280, 800, faults);
        page.navigate(shop.address() + "/parts/" + part.tag() + "/scan");
        page.setInputFiles("[name=file]", file);
        PlaywrightAssertions.assertThat(page.locator(".sample tr")).hasCount(7);
        PlaywrightAssertions.assertThat(page.locator(".act button")).isFocused();
        // Any instance may take the file in: what is done with it is told to whoever listens, wherever.
        List<String> told = new CopyOnWriteArrayList<>();
        shop.bean(LiveBus.class).listen((topic, words) -> told.add(topic.replaceFirst("-.*", ": ") + words));
        page.keyboard().press("Enter");
        page.waitForSelector(".verdict", new Page.WaitForSelectorOptions().setTimeout(30_000));
        PlaywrightAssertions.assertThat(page.locator(".verdict .words")).containsText("Out by");
        Scans scans = shop.bean(Scans.class);
        ScanFile kept = scans.of(part, SurveyKind.FACE).get(0);
        assertEquals(121 * 49, kept.points());
        page.waitForCondition(
                () -> told.containsAll(List.of("scan: " + 121 * 49 + " points read, judging", "scan: keeping it")));
        double bow = scans.finding(part, kept)
                .judgement()
                .flatness()
                .bend()
                .longBow()
                .orElseThrow();
        assertEquals(0.08, bow, 1e-4);
        PlaywrightAssertions.assertThat(page.locator("table.figures"))
                .containsText(new LengthWriter(BenchUnit.MM).number(bow));
        page.locator(".act button").click();
        page.waitForURL("**/face");
        PlaywrightAssertions.assertThat(page.locator(".verdict .words")).containsText("Out by");
        page.keyboard().press("Escape");
        page.navigate(shop.address() + "/parts/" + part.tag() + "/plan");
        assertTrue(page.locator(".card").count() >= 3, "set-ups can be compared");
        assertEquals(List.of(), faults);
    }

    @Test
    void whatIsNoScanIsRefusedInASentenceAndNothingIsKept() throws Exception {
        Visitor visitor = Visitor.signedIn(shop.port(), "ines");
        String at = "/parts/" + part.tag() + "/scan";
        String ask = at + "?name=x&id=";
        String good = cloud();
        String[][] refused = {
            {good.replace("Länge", "PK\u0003\u0004"), "/look?whole=true", "archive"},
            {"", "/look?whole=true", "empty"},
            {"no numbers at all\nhere", "/look?whole=true", "No points"},
        };
        for (String[] r : refused) {
            HttpResponse<String> answer = visitor.send(at + r[1], r[0].getBytes(StandardCharsets.UTF_8));
            assertEquals(422, answer.statusCode(), answer.body());
            assertTrue(answer.body().contains(r[2]), answer.body());
        }
        String mixed = good.replaceAll(";(\\d+),", ";$1,mm");
        HttpResponse<String> broken =
                visitor.send(ask + UUID.randomUUID() + READ, mixed.getBytes(StandardCharsets.UTF_8));
        assertEquals(422, broken.statusCode(), broken.body());
        String tiny = READ.replace("places=MM", "places=METRE");
        HttpResponse<String> wrongUnit =
                visitor.send(ask + UUID.randomUUID() + tiny, good.getBytes(StandardCharsets.UTF_8));
        assertEquals(422, wrongUnit.statusCode(), wrongUnit.body());
        assertTrue(wrongUnit.body().contains("unit"), wrongUnit.body());
        assertEquals(List.of(), shop.bean(Scans.class).of(part, SurveyKind.FACE));
    }

    @Test
    void moreThanTwoMillionPointsAreRefusedWhileTheyComeIn() throws Exception {
        Visitor visitor = Visitor.signedIn(shop.port(), "ines");
        byte[] line = "1,5;2,5;0,01\n".getBytes(StandardCharsets.UTF_8);
        byte[] many = new byte[line.length * 2_000_100];
        for (int i = 0; i < many.length; i++) {
            many[i] = line[i % line.length];
        }
        HttpResponse<String> answer =
                visitor.send("/parts/" + part.tag() + "/scan?name=x&id=" + UUID.randomUUID() + READ, many);
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains("2 000 000"), answer.body());
    }

    @Test
    void aRepeatIsKeptOnce() throws Exception {
        Visitor visitor = Visitor.signedIn(shop.port(), "ines");
        String address = "/parts/" + part.tag() + "/scan?name=x&id=" + UUID.randomUUID() + READ;
        byte[] body = cloud().getBytes(StandardCharsets.UTF_8);
        assertEquals(200, visitor.send(address, body).statusCode());
        assertEquals(200, visitor.send(address, body).statusCode());
        assertEquals(1, shop.bean(Scans.class).of(part, SurveyKind.FACE).size());
    }
}

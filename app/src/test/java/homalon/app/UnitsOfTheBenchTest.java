package homalon.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.Parts;
import homalon.app.check.face.Surveys;
import homalon.app.check.integrity.PressureTests;
import homalon.app.foundation.people.People;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.Soak;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.unbescape.html.HtmlEscape;

/** Every quantity is in the units of the bench that reads it. */
@ExtendWith(RunningShop.class)
class UnitsOfTheBenchTest {
    private static final List<String> PARTS =
            List.of("T-0412", "T-0415", "T-0446", "T-0440", "T-0441", "T-0451", "T-0409", "T-0421", "T-0448", "T-0379");
    private static final List<String> VIEWS = List.of(
            "intake",
            "clean",
            "cracks",
            "pressure",
            "face",
            "feelers",
            "scan",
            "plan",
            "cut",
            "proof",
            "thickness",
            "line",
            "liners",
            "index",
            "valves",
            "guides",
            "inserts",
            "seats",
            "chambers",
            "budget",
            "report",
            "route",
            "life",
            "compare");

    private static final Pattern METRIC = Pattern.compile(
            "(?<![\\p{L}/])(mm/min|mm/rev|N/mm|N per mm|µm|microns?|kPa|kW|Nm|m/min|bar|mm²|mm)(?![\\p{L}/²])");

    private static final Pattern IMPERIAL =
            Pattern.compile("(?<![\\p{L}/])(thou|psi|inHg|in/min|in/rev|lb/in|µin|hp|in-lb|ft-lb|in²)(?![\\p{L}/])");

    /** A hint that gives one example for each bench; names of what is bought and of tools; what a machinist wrote. */
    private static final Pattern ALLOWED = Pattern.compile(
            "such as [^.|]* or [^.|]*" + "|(a|the|by) bar(?! [0-9])|level or a bar|tapered pins, 8 mm|lengths in mm");

    private final RunningShop.Shop shop;
    private final HandsOfTests hands;

    UnitsOfTheBenchTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
    }

    @AfterEach
    void asItWas() {
        shop.bean(People.class).useUnit(hands.ines(), BenchUnit.MM);
        shop.bean(People.class).useFahrenheit(hands.ines(), false);
    }

    private Visitor at(BenchUnit bench) {
        shop.bean(People.class).useUnit(hands.ines(), bench);
        return Visitor.signedIn(shop.port(), "ines");
    }

    /** What is read of a page: its text and what fields say while they are empty. */
    private static String read(String page) {
        String body = page.replaceAll(
                "(?s)<script.*?</script>|<header.*?</header>|<dialog.*?</dialog>|<textarea.*?</textarea>", "|");
        Matcher hints =
                Pattern.compile("(?:placeholder|aria-label|title)=\"([^\"]*)\"").matcher(body);
        StringBuilder said = new StringBuilder(body.replaceAll("<[^>]+>", "|"));
        while (hints.find()) {
            said.append('|').append(hints.group(1));
        }
        return HtmlEscape.unescapeHtml(said.toString()).replaceAll("\\s+", " ");
    }

    @ParameterizedTest
    @EnumSource(BenchUnit.class)
    void noViewHasAForeignUnit(BenchUnit bench) {
        Visitor ines = at(bench);
        Pattern foreign = bench == BenchUnit.MM ? IMPERIAL : METRIC;
        List<String> found = new ArrayList<>();
        int looked = 0;
        for (String path : Stream.concat(
                        Stream.of("/", "/parts/new", "/find?q=tern", "/batch"),
                        PARTS.stream().flatMap(t -> VIEWS.stream().map(v -> "/parts/" + t + "/" + v)))
                .toList()) {
            var answer = ines.get(path);
            if (answer.statusCode() != 200) {
                continue;
            }
            looked++;
            String text = ALLOWED.matcher(read(answer.body())).replaceAll("");
            foreign.matcher(text)
                    .results()
                    .map(m -> path + ": "
                            + text.substring(Math.max(0, m.start() - 50), Math.min(text.length(), m.end() + 15)))
                    .forEach(found::add);
        }
        assertTrue(looked > 150, "so many views: " + looked);
        assertEquals(List.of(), found.stream().limit(20).toList(), found.size() + " found");
    }

    @Test
    void aPressureIsReadAndWrittenInPsi() {
        PartFile part = hands.book(Material.CAST_IRON);
        hands.prepare(part);
        Visitor ines = at(BenchUnit.THOU);
        String page = ines.get("/parts/" + part.tag() + "/pressure").body();
        assertTrue(page.contains("10 minutes and 0.73 psi at 29 to 44 psi"), page);
        String at = "/parts/" + part.tag() + "/pressure";
        ines.key(at, "id", UUID.randomUUID().toString(), "medium", "air", "hold", "10", "most", "0.7", "volume", "");
        ines.key(at + "/readings", "id", UUID.randomUUID().toString(), "bar", "35", "celsius", "70 F", "minute", "0");
        String after = ines.key(
                        at + "/readings",
                        "id",
                        UUID.randomUUID().toString(),
                        "bar",
                        "2.4 bar",
                        "celsius",
                        "21.1",
                        "minute",
                        "10")
                .body();
        assertTrue(after.contains(">35.00<") && after.contains(">34.81<"), after);
        PressureTests tests = shop.bean(PressureTests.class);
        var test = tests.of(shop.bean(Parts.class).byTag(part.tag())).get(0);
        assertEquals(0.048, test.asked().mostLost(), 1e-9);
        assertEquals(2.413, test.readings().get(0).bar(), 1e-9);
        assertEquals(21.1, test.readings().get(0).celsius().orElseThrow(), 1e-9);
    }

    /** Whoever thinks in °F keys and sees it everywhere, at either bench; what is kept is the same. */
    @Test
    void temperaturesAreKeyedAndShownInWhatOneChose() {
        Visitor ines = at(BenchUnit.THOU);
        ines.get("/person");
        ines.post("/person/degrees", "fahrenheit", "true");
        PartFile head = hands.bookReady();
        String face = "/parts/" + head.tag() + "/face";
        ines.get(face);
        ines.post(face + "/start");
        String soaked = ines.key(face + "/soak", "warm", "77", "room", "68").body();
        assertThat(soaked)
                .contains("value=\"77\"")
                .contains("value=\"68\"")
                .contains("9 °F")
                .contains("Part, °F");
        Soak kept = shop.bean(Surveys.class)
                .find(head, SurveyKind.FACE)
                .orElseThrow()
                .soak()
                .orElseThrow();
        assertThat(kept.part()).isEqualByComparingTo("25");
        String pressure = "/parts/" + head.tag() + "/pressure";
        ines.get(pressure);
        assertEquals(
                200,
                ines.key(
                                pressure,
                                "id",
                                UUID.randomUUID().toString(),
                                "medium",
                                "hot water",
                                "wet",
                                "true",
                                "hold",
                                "10",
                                "most",
                                "1")
                        .statusCode());
        String read = ines.key(pressure + "/readings", "id", UUID.randomUUID().toString(), "bar", "40", "celsius", "70")
                .body();
        assertThat(read).contains(">70<").contains("°F");
        for (String page : List.of("inserts", "pressure", "face")) {
            assertThat(ines.get("/parts/T-0448/" + page).body()).as(page).doesNotContain("°C");
        }
        assertThat(ines.get("/parts/T-0448/inserts").body()).contains("Worst heat in service, °F");
        ines.get("/person");
        ines.post("/person/degrees", "fahrenheit", "false");
        assertThat(ines.get(face).body()).contains("value=\"25\"").contains("Part, °C");
    }
}

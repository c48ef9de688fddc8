package homalon.app.check.integrity;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import homalon.app.foundation.people.People;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.CrackFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is wrong, renamed, forged or forbidden on the pages beside the face; and what others read of it. */
@ExtendWith(RunningShop.class)
class BesideTheFaceTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final Visitor ines;

    BesideTheFaceTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "clean; method=BAKE; draws the temper out",
                "clean; method=NONSENSE; ",
                "cracks; place=MAIN_WEB,length=12,method=DYE; has no such place",
                "cracks; place=BETWEEN_SEATS,length=12,method=MAGNETIC_PARTICLE; needs iron or steel",
                "cracks; place=BETWEEN_SEATS,length=,method=DYE; how long the crack is",
                "cracks; place=BETWEEN_SEATS,length=-4,method=DYE; above zero",
                "cracks; place=BETWEEN_SEATS,length=ten,method=DYE; ",
                "cracks; place=FACE,length=12,method=DYE,x1=4000,y1=3; not on the casting",
                "cracks; place=FACE,length=12,method=DYE,front1=4000,across1=3; not on the casting",
                "cracks; place=FACE,length=12,method=DYE,front1=40; both figures",
                "cracks; place=FACE,length=12,method=DYE,front1=40,across1=20,across2=30; both figures",
                "pressure; medium=air,hold=0,most=0.05; how many minutes",
                "pressure; medium=,hold=10,most=0.05; what it is tested with",
                "pressure/readings; bar=2.5; No test was begun",
                "line/set-up; at=0 98 98,clearance=0.06,running=0.02; at the same place",
                "line/set-up; at=0 98,clearance=0.06 0.06 0.06,running=0.02; one for each",
                "line/set-up; at=0 98,clearance=0,running=0.02; above zero",
                "line/set-up; at=abc,clearance=x,running=; ",
                "line/set-up; at=0 98,clearance=0.02,running=0.02,way=LIMIT_BLADE; no blade proves it",
                "line/set-up; at=0 98,clearance=0.06,running=0.02,way=LIMIT_BLADE,blade=0; one limit blade",
                "liners/set-up; school=PROUD,least=0.1,most=0.03; above the least",
                "liners/set-up; school=PROUD,least=0.03,most=0.1,aim=0.2; aim lies between",
                "line/torque; turns=,most=3,restarts=true; Key the torque",
                "line/readings; place=h9,typed=0.1,unit=MM; not on this sheet",
                "route/did; operation=FACE_CHECK; on its own page",
                "route/did; operation=INSERT; No ring is named",
                "route/did; operation=SLEEVE; No sleeve is named",
                "route/did; operation=CUT; on its own page",
                "route/waive; operation=CLEAN; why it is left out",
                "route/waive; operation=PRESSURE_TEST,note=late; by the owner alone",
                "route/waive; operation=HAND_OVER,note=late; not left out",
                "timers; what=,minutes=5; what it is for",
                "timers; what=oven,minutes=99999; two days",
            })
    void badInputIsToldInASentence(String path, String fields, String says) {
        PartFile part = hands.book(Material.ALUMINIUM, path.startsWith("liners") ? PartKind.DECK : PartKind.HEAD);
        String[] pairs = fields.split(",");
        String[] sent = new String[2 + 2 * pairs.length];
        sent[0] = "id";
        sent[1] = id();
        for (int i = 0; i < pairs.length; i++) {
            String[] pair = pairs[i].split("=", -1);
            sent[2 + 2 * i] = pair[0];
            sent[3 + 2 * i] = pair[1];
        }
        HttpResponse<String> answer = ines.key("/parts/" + part.tag() + "/" + path, sent);
        assertTrue(answer.statusCode() == 422 || answer.statusCode() == 400, () -> answer.statusCode() + answer.body());
        assertTrue(says == null || answer.body().contains(says), answer::body);
        assertFalse(answer.body().contains("Exception"), answer::body);
    }

    @Test
    void theDeskReadsAndTheOwnerSigns() {
        PartFile head = hands.book(Material.CAST_IRON);
        String parts = "/parts/" + head.tag();
        Visitor desk = Visitor.signedIn(shop.port(), "desk");
        assertEquals(200, desk.get(parts + "/route").statusCode());
        for (String path : new String[] {
            "/clean", "/cracks", "/pressure", "/route/add", "/line/set-up", "/liners/set-up", "/timers", "/photos"
        }) {
            assertEquals(403, desk.key(parts + path, "id", id()).statusCode(), path);
        }
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        HttpResponse<String> signed =
                marit.key(parts + "/route/waive", "id", id(), "operation", "CRACK_CHECK", "note", "display piece only");
        assertEquals(200, signed.statusCode());
        assertTrue(signed.body().contains("Crack check left out: display piece only"));
    }

    /** Both banks of a V come to one height: the lower deck rules, which lies at 229.63. */
    @Test
    void theOtherBankIsToldBesideADeck() {
        String page = ines.get("/parts/T-0442/index").body();
        assertTrue(page.contains("Against T-0401"), page);
        assertTrue(page.contains("this one lower; both to 229.63 mm takes 0.200 here, 0.170 there"), page);
    }

    @Test
    void aBlastedCastingIsCleanOnceItsPassagesAreSignedFor() {
        PartFile head = hands.book(Material.CAST_IRON);
        String parts = "/parts/" + head.tag();
        assertTrue(
                ines.key(parts + "/clean", "id", id(), "method", "BLAST").body().contains("Brush the passages"));
        HttpResponse<String> early = ines.key(parts + "/cracks/checked", "id", id(), "method", "EYES");
        assertTrue(early.body().startsWith("First clean"), early::body);
        ines.key(parts + "/clean/ticks", "id", id(), "check", "PASSAGES_BRUSHED");
        assertEquals(
                200,
                ines.key(parts + "/cracks/checked", "id", id(), "method", "EYES")
                        .statusCode());
    }

    /** How a shaft turns is kept whatever it reads, before any sheet; stiff, it owes the line. */
    @ParameterizedTest
    @CsvSource({
        "4,        3,       true,  Not free, true",
        "2,        3,       false, Not free, true",
        "2,        3,       true,  Free:,    false",
        "22 in-lb, 2 ft-lb, true,  Free:,    false",
        "30 in-lb, 2 ft-lb, true,  Not free, true"
    })
    void aTorqueIsKeptWhateverItReads(String turns, String most, boolean restarts, String said, boolean owed) {
        PartFile head = hands.book(Material.ALUMINIUM);
        hands.prepare(head);
        String at = "/parts/" + head.tag();
        String[] form = {"id", id(), "turns", turns, "most", most, "restarts", Boolean.toString(restarts)};
        assertEquals(200, ines.key(at + "/line/torque", form).statusCode());
        assertTrue(ines.get(at + "/line").body().contains(said));
        assertEquals(owed, ines.get(at + "/route").body().contains("a shaft turns stiffly: what holds"));
    }

    /** Metal that is off is written whatever is missing; the check stays owed, and stands on the page. */
    @Test
    void whatWasCutIsWrittenAndTheCheckStaysOwed() {
        PartFile head = hands.book(Material.CAST_IRON);
        String parts = "/parts/" + head.tag();
        assertTrue(ines.get(parts + "/cut").body().contains("First crack check: metal off a cracked casting is lost."));
        HttpResponse<String> kept =
                ines.key(parts + "/cut/readings", "id", id(), "typed", "0.05", "unit", "MM", "place", "0");
        assertEquals(200, kept.statusCode());
        assertTrue(ines.get(parts + "/route").body().contains("Crack check"));
        // Clean, and stopped there: done at what was taken, and not proven by that.
        assertEquals(200, ines.key(parts + "/cut/clean", "id", id(), "note", "").statusCode());
        String page = ines.get(parts + "/cut").body();
        assertTrue(page.contains("Clean at 0.050 mm"), page);
        assertTrue(page.contains("Ines stopped here"), page);
        // Taken back, it was not said of this depth.
        ines.key(parts + "/cut/readings", "id", id(), "typed", "0.02", "unit", "MM", "place", "1");
        ines.key(parts + "/cut/clean", "id", id(), "note", "");
        assertTrue(ines.get(parts + "/cut").body().contains("Clean at 0.070 mm"));
        ines.key(parts + "/cut/undo", "id", id());
        assertFalse(ines.get(parts + "/cut").body().contains("Clean at"));
        ines.key(parts + "/cut/clean", "id", id(), "note", "");
        assertTrue(ines.get(parts + "/cut").body().contains("Clean at 0.050 mm"));
        // Cut on, it is not clean any more.
        ines.key(parts + "/cut/readings", "id", id(), "typed", "0.01", "unit", "MM", "place", "1");
        assertFalse(ines.get(parts + "/cut").body().contains("Clean at"));
    }

    /** One key takes the last pass back, as keyed wrong; somebody else's is left to its line. */
    @Test
    void theLastPassIsTakenBackByOneKey() {
        PartFile head = hands.book(Material.CAST_IRON);
        String at = "/parts/" + head.tag() + "/cut";
        assertEquals(422, ines.key(at + "/undo", "id", id()).statusCode());
        ines.key(at + "/readings", "id", id(), "typed", "0.05", "unit", "MM", "place", "0");
        ines.key(at + "/readings", "id", id(), "typed", "0.02", "unit", "MM", "place", "1");
        HttpResponse<String> others = Visitor.signedIn(shop.port(), "brannoc").key(at + "/undo", "id", id());
        assertEquals(422, others.statusCode());
        assertTrue(others.body().contains("Somebody else logged the last pass"), others::body);
        String once = id();
        assertEquals(
                "1",
                ines.key(at + "/undo", "id", once)
                        .headers()
                        .firstValue("X-Place")
                        .orElse(""));
        ines.key(at + "/undo", "id", once);
        String page = ines.get(at).body();
        assertTrue(page.contains("keyed wrong"), page);
        assertTrue(page.contains(">0.050<"), page);
    }

    @Test
    void cleanIsNotSaidOfWhatWasNotCut() {
        PartFile head = hands.book(Material.CAST_IRON);
        HttpResponse<String> answer = ines.key("/parts/" + head.tag() + "/cut/clean", "id", id(), "note", "");
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains("No pass is logged"), answer::body);
    }

    /** Half a millimetre where a hundredth is planned is asked about, and taken when the hand is sure. */
    @Test
    void anOddDepthIsAskedAboutOnce() {
        PartFile head = hands.book(Material.CAST_IRON);
        String at = "/parts/" + head.tag() + "/cut/readings";
        HttpResponse<String> asked = ines.key(at, "id", id(), "typed", "0.5", "unit", "MM", "place", "0");
        assertEquals(409, asked.statusCode());
        assertTrue(asked.body().contains("0.500 mm in one pass is deep"), asked::body);
        assertEquals(
                200,
                ines.key(at, "id", id(), "typed", "0.5", "unit", "MM", "place", "0", "sure", "true")
                        .statusCode());
    }

    /** A refusal of the route leads to where it is lifted, and says by whom. */
    @Test
    void whatStandsAgainstItLeadsToTheRoute() {
        PartFile head = hands.book(Material.CAST_IRON);
        HttpResponse<String> answer =
                ines.key("/parts/" + head.tag() + "/cracks/checked", "id", id(), "method", "EYES");
        assertEquals(422, answer.statusCode());
        assertEquals(
                "/parts/" + head.tag() + "/route",
                answer.headers().firstValue("X-Lead").orElse(""));
        assertTrue(answer.body().contains("On the route it can be left out, with a reason and a name."), answer::body);
    }

    /** Two cams: each keeps its own readings, and the bound one speaks whatever is set up after it. */
    @Test
    void asManyShaftsAsACastingCarries() {
        PartFile head = hands.book(Material.ALUMINIUM);
        hands.prepare(head);
        String at = "/parts/" + head.tag() + "/line";
        shaft(at, "Exhaust cam", "0 96 192");
        key(at, "h0", "0");
        key(at, "h1", "-0.12");
        key(at, "h2", "0");
        assertTrue(ines.get(at).body().contains("Binds by"));
        shaft(at, "Intake cam", "0 96 192");
        String page = ines.get(at).body();
        assertTrue(page.contains("Exhaust cam: binds by"), page);
        assertTrue(page.contains("Intake cam, bore 1, height"), page);
        for (int i = 0; i < 3; i++) {
            key(at, "2-h" + i, "0");
        }
        page = ines.get(at).body();
        assertTrue(page.contains("Exhaust cam: binds by"), page);
        assertTrue(page.contains("Intake cam from the side"), page);
        // Measured anew at other places, the exhaust cam has nothing read; the intake cam keeps its own.
        shaft(at, "Exhaust cam", "0 90 180");
        page = ines.get(at).body();
        assertFalse(page.contains("binds by"), page);
        assertTrue(page.contains("Intake cam from the side"), page);
        // Another clearance leaves what was read where it is.
        shaft(at, "Intake cam", "0 96 192");
        assertTrue(ines.get(at).body().contains("Intake cam from the side"));
        ines.key(at + "/drop", "id", id(), "name", "Exhaust cam");
        assertFalse(ines.get(at).body().contains("Exhaust cam, bore"));
    }

    private void shaft(String at, String name, String bores) {
        ines.key(at + "/set-up", "id", id(), "name", name, "at", bores, "clearance", "0.08", "running", "0.03");
    }

    private void key(String at, String place, String typed) {
        HttpResponse<String> answer =
                ines.key(at + "/readings", "id", id(), "place", place, "typed", typed, "unit", "MM");
        assertEquals(200, answer.statusCode(), answer::body);
    }

    @Test
    void aTimerRunsWithoutAPageAndIsSeenByAll() {
        PartFile head = hands.book(Material.CAST_IRON);
        assertEquals(
                200,
                ines.key("/parts/" + head.tag() + "/timers", "id", id(), "what", "oven", "minutes", "90")
                        .statusCode());
        Visitor brannoc = Visitor.signedIn(shop.port(), "brannoc");
        Matcher seen = timer(brannoc, head);
        assertTrue(seen.find());
        long left = Long.parseLong(seen.group(2));
        assertTrue(left > 5380 && left <= 5400, () -> "left " + left);
        HttpResponse<String> stopped = brannoc.key("/timers/" + seen.group(1) + "/stop");
        assertEquals(200, stopped.statusCode());
        assertFalse(stopped.body().contains(seen.group(1)));
        assertFalse(timer(ines, head).find());
    }

    private static Matcher timer(Visitor visitor, PartFile part) {
        return Pattern.compile("data-timer=\"([^\"]+)\" data-left=\"(\\d+)\"[^<]*<a href=\"/parts/" + part.tag() + "\"")
                .matcher(visitor.get("/timers").body());
    }

    @Test
    void theCodeOnTheTagOpensThePart() throws Exception {
        String page = ines.get("/parts/T-0440/tag").body();
        Matcher m = Pattern.compile("viewBox=\"0 0 (\\d+) \\d+\"><rect[^>]*/><path class=\"qr-ink\" d=\"([^\"]+)\"")
                .matcher(page);
        assertTrue(m.find());
        int n = Integer.parseInt(m.group(1));
        int scale = 4;
        int[] pixels = new int[n * n * scale * scale];
        java.util.Arrays.fill(pixels, 0xffffff);
        Matcher module = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z").matcher(m.group(2));
        while (module.find()) {
            int x = Integer.parseInt(module.group(1)) * scale;
            int y = Integer.parseInt(module.group(2)) * scale;
            for (int k = 0; k < scale * scale; k++) {
                pixels[(y + k / scale) * n * scale + x + k % scale] = 0;
            }
        }
        String read = new QRCodeReader()
                .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(n * scale, n * scale, pixels))))
                .getText();
        assertTrue(read.endsWith("/parts/T-0440"), read);
        HttpResponse<String> found = ines.get("/find?q=" + java.net.URLEncoder.encode(read, StandardCharsets.UTF_8));
        assertTrue(found.headers().firstValue("Location").orElse("").endsWith("/parts/T-0440"));
    }

    @Test
    void partsSurveysAndLedgersAreReadPageByPage() throws Exception {
        JsonNode first = api("/api/v1/parts?size=5", 200);
        JsonNode second = api("/api/v1/parts?size=5&page=1", 200);
        assertEquals(5, first.get("items").size());
        assertTrue(first.get("total").asInt() >= 20);
        assertFalse(first.get("items")
                .get(4)
                .get("tag")
                .equals(second.get("items").get(0).get("tag")));
        JsonNode part = api("/api/v1/parts/T-0409", 200);
        assertEquals("HEAD", part.get("part").get("kind").asString());
        assertTrue(part.get("removedInLifeMm").decimalValue().doubleValue()
                > part.get("removedNowMm").decimalValue().doubleValue());
        assertTrue(part.get("route").toString().contains("\"operation\":\"CUT\",\"state\":\"DUE\""));
        JsonNode survey = api("/api/v1/parts/T-0409/surveys", 200).get("items").get(0);
        assertEquals("FACE", survey.get("kind").asString());
        assertTrue(survey.get("readings").size() > 20);
        assertEquals(
                1,
                api("/api/v1/parts/T-0409/ledger?size=1&page=1", 200)
                        .get("items")
                        .size());
        assertEquals(404, api("/api/v1/parts/T-9999", 404).get("status").asInt());
        assertTrue(api("/api/v1/parts?size=1000", 400).get("detail").asString().contains("between 1 and 100"));
        HttpResponse<String> stranger = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(shop.address() + "/api/v1/parts"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertEquals(401, stranger.statusCode());
    }

    private JsonNode api(String path, int status) throws Exception {
        String key = Base64.getEncoder().encodeToString("api:saltmarsh-demo".getBytes(StandardCharsets.UTF_8));
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(shop.address() + path))
                                .header("Authorization", "Basic " + key)
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertEquals(status, answer.statusCode(), answer::body);
        return JsonMapper.shared().readTree(answer.body());
    }

    /** The report says what was found and done, and what nobody looked at. */
    @Test
    void theReportTellsTheWholeCasting() {
        String told = ines.get("/parts/T-0440/report").body();
        for (String words : new String[] {
            "Cleaned: bake", "between the seats", "Done: stitch with pins, tapered pins, 8 mm", "Pressure test 1"
        }) {
            assertTrue(told.contains(words), words);
        }
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        assertTrue(ines.get("/parts/" + deck.tag() + "/report").body().contains("It was not looked over for cracks."));
        JsonNode record = JsonMapper.shared()
                .readTree(ines.get("/parts/T-0440/record.json").body());
        JsonNode beside = record.get("visits").get(0).get("beside");
        assertEquals(2, beside.get("cracks").size());
        assertEquals("WITHIN", beside.get("pressureTests").get(0).get("verdict").asString());
        assertArrayEquals(
                new String[] {"CLEAN", "CRACK_CHECK", "STITCH", "INSERT", "CRACK_CHECK"},
                beside.get("work")
                        .valueStream()
                        .map(w -> w.get("what").asString())
                        .toArray());
        hands.read(deck, SurveyKind.FACE, spot -> 0.01);
        assertTrue(ines.get("/parts/" + deck.tag() + "/report").body().contains("Looked over for cracks by eyes."));
    }

    /** Without a pointer: both ends by figures from the edges, in the unit of the bench, and its length follows from them. */
    @ParameterizedTest
    @CsvSource({"MM, 40, 20, 43, 24", "THOU, 40 mm, 20mm, 43 mm, 24 mm", "THOU, 1.5748, 0.7874, 1.6929, 0.9449"})
    void aCrackIsMarkedByKeysAlone(BenchUnit unit, String front1, String across1, String front2, String across2) {
        PartFile head = new HandsOfTests(shop).bookReady();
        shop.bean(People.class).useUnit(new HandsOfTests(shop).ines(), unit);
        Visitor hand = Visitor.signedIn(shop.port(), "ines");
        String path = "/parts/" + head.tag() + "/cracks";
        hand.get(path);
        HttpResponse<String> marked = hand.key(
                path, "id", id(), "place", "FACE", "method", "DYE", "front1", front1, "across1", across1, "front2",
                front2, "across2", across2);
        shop.bean(People.class).useUnit(new HandsOfTests(shop).ines(), BenchUnit.MM);
        assertEquals(200, marked.statusCode(), marked.body());
        CrackFile crack = shop.bean(Cracks.class).of(head).get(0);
        assertEquals(5, crack.what().length(), 0.01);
        assertEquals(40, crack.from().x(), 0.01);
        assertEquals(20, crack.from().y(), 0.01);
        assertEquals(43, crack.to().x(), 0.01);
        assertEquals(24, crack.to().y(), 0.01);
    }
}

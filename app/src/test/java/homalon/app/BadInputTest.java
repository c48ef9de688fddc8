package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.Surveys;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever is keyed: a sentence that says what to key instead, nothing lost, nothing stored by mistake, no 500. */
@ExtendWith(RunningShop.class)
class BadInputTest {
    private final RunningShop.Shop shop;
    private final Visitor ines;

    BadInputTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    private SurveyFile face(String tag) {
        return shop.bean(Surveys.class).find(part(tag), SurveyKind.FACE).orElseThrow();
    }

    private PartFile part(String tag) {
        return shop.bean(Parts.class).byTag(tag);
    }

    private HttpResponse<String> read(String tag, String typed, String... more) {
        SurveyFile survey = face(tag);
        SurveyFile.PlaceFile place = survey.places().get(0);
        long seen = place.reading().map(SurveyFile.ReadingFile::seq).orElse(0L);
        List<String> fields = new java.util.ArrayList<>(List.of(
                "id", UUID.randomUUID().toString(), "place", place.id().toString(), "typed", typed, "unit", "MM"));
        fields.addAll(List.of("seen", Long.toString(seen)));
        fields.addAll(List.of(more));
        return ines.key("/parts/" + tag + "/face/readings", fields.toArray(String[]::new));
    }

    private static void saysWhatToKey(HttpResponse<String> answer) {
        assertEquals(422, answer.statusCode(), answer.body());
        assertFalse(answer.body().contains("Exception") || answer.body().contains("<html"), answer.body());
        assertTrue(answer.body().length() > 20 && answer.body().endsWith("."), answer.body());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "abc",
                "",
                " ",
                "1e308",
                "NaN",
                "Infinity",
                "--1",
                "0.0.1",
                "7/0",
                "1/3",
                "40",
                "-21mm",
                "0.0000001",
                "999999999999999999999999",
                "<script>alert(1)</script>",
                "=1+1",
                "１２"
            })
    void aReadingThatIsNoneIsToldAndNotStored(String typed) {
        long before = face("T-0406").revision();
        saysWhatToKey(read("T-0406", typed));
        assertEquals(before, face("T-0406").revision());
    }

    @Test
    void aCharacterThatCannotBeKeptIsRefused() {
        assertEquals(422, read("T-0406", "0.01\u0000").statusCode());
        assertEquals(422, ines.get("/find?q=%00").statusCode());
    }

    @Test
    void anOddReadingAsksFirstAndARepeatStoresOnce() {
        String id = UUID.randomUUID().toString();
        int before = face("T-0403").history().size();
        HttpResponse<String> asked = read("T-0403", "2.4");
        assertEquals(409, asked.statusCode());
        assertTrue(asked.body().contains("2.400 mm is far from the other places"), asked.body());
        assertEquals(before, face("T-0403").history().size());
        for (int i = 0; i < 3; i++) {
            SurveyFile.PlaceFile place = face("T-0403").places().get(0);
            HttpResponse<String> sure = ines.key(
                    "/parts/T-0403/face/readings",
                    "id",
                    id,
                    "place",
                    place.id().toString(),
                    "typed",
                    "2.4",
                    "unit",
                    "MM",
                    "seen",
                    "0",
                    "sure",
                    "true");
            assertEquals(200, sure.statusCode());
        }
        assertEquals(before + 1, face("T-0403").history().size());
        ines.key("/parts/T-0403/face/undo", "id", UUID.randomUUID().toString());
        assertEquals(before + 2, face("T-0403").history().size(), "what was taken back stays in the record");
        assertTrue(face("T-0403").places().get(0).value().mm() < 1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "40; No pass is that deep",
                "-0.03; A pass takes metal off",
                "0; A pass of nothing is no pass",
                "/; A pass is not skipped",
                "deep; is not a length"
            })
    void aPassThatCannotBeIsRefused(String typed, String sentence) {
        int before = shop.bean(Ledgers.class).of(part("T-0409")).lines().size();
        HttpResponse<String> answer = ines.key(
                "/parts/T-0409/cut/readings", "id", UUID.randomUUID().toString(), "typed", typed, "unit", "MM");
        saysWhatToKey(answer);
        assertTrue(answer.body().contains(sentence), answer.body());
        assertEquals(before, shop.bean(Ledgers.class).of(part("T-0409")).lines().size());
    }

    @Test
    void aLineIsTakenBackOnceWithAReason() {
        UUID pass = UUID.randomUUID();
        ines.key("/parts/T-0401/cut/readings", "id", pass.toString(), "typed", "0.01", "unit", "MM");
        saysWhatToKey(ines.key(
                "/parts/T-0401/cut/reverse", "id", UUID.randomUUID().toString(), "line", pass.toString(), "why", " "));
        assertEquals(
                200,
                ines.key(
                                "/parts/T-0401/cut/reverse",
                                "id",
                                UUID.randomUUID().toString(),
                                "line",
                                pass.toString(),
                                "why",
                                "slip")
                        .statusCode());
        saysWhatToKey(ines.key(
                "/parts/T-0401/cut/reverse",
                "id",
                UUID.randomUUID().toString(),
                "line",
                pass.toString(),
                "why",
                "again"));
    }

    @Test
    void fewerThanFourPlacesAreNotMeasuredYet() {
        ines.post(
                "/parts",
                "tag",
                "T-7100",
                "name",
                "Dinghy",
                "customer",
                "Sand Eel Fisheries",
                "cylinders",
                "1",
                "bore",
                "70");
        ines.post("/parts/T-7100/face/start", "density", "USUAL");
        List<SurveyFile.PlaceFile> places = face("T-7100").places();
        for (int i = 0; i < 4; i++) {
            String page = ines.get("/parts/T-7100/face").body();
            assertTrue(page.contains("Not measured yet") && page.contains((4 - i) + " more to key"), page);
            assertTrue(ines.get("/parts/T-7100/plan").body().contains("No face to plan from yet"));
            ines.key(
                    "/parts/T-7100/face/readings",
                    "id",
                    UUID.randomUUID().toString(),
                    "place",
                    places.get(i).id().toString(),
                    "typed",
                    "0.0" + i,
                    "unit",
                    "MM");
        }
        assertFalse(ines.get("/parts/T-7100/face").body().contains("Not measured yet"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "bore; round; Bore",
                "bore; 1e308; Bore",
                "spacing; 10; pacing",
                "cylinders; 9; Cylinders",
                "cylinders; many; Cylinders",
                "due; next week; Wanted by",
                "overall; -1; Flatness overall",
                "tag; x; Tag",
                "tag; T-0407; T-0407 hangs on another part",
                "length; 3; ength"
            })
    void anIntakeSheetKeepsWhatWasKeyedAndNamesWhatIsWrong(String field, String typed, String sentence) {
        String[] sheet = {
            "tag",
            "T-7001",
            "name",
            "<b>Trawler</b> & sons",
            "customer",
            "Sand Eel Fisheries",
            "kind",
            "HEAD",
            "material",
            "CAST_IRON",
            "cylinders",
            "4",
            "bore",
            "87",
            "spacing",
            "98",
            field,
            typed
        };
        HttpResponse<String> answer = ines.post("/parts", last(sheet));
        assertEquals(422, answer.statusCode());
        String said = answer.body().replaceAll("(?s).*role=\"alert\">(.*?)</div>.*", "$1");
        assertTrue(said.contains(sentence), said);
        assertTrue(answer.body().contains("&lt;b&gt;Trawler&lt;/b&gt; &amp; sons"), "kept, and escaped");
    }

    /** Of two values for a field the last one counts. */
    private static String[] last(String... fields) {
        var map = new java.util.LinkedHashMap<String, String>();
        for (int i = 0; i < fields.length; i += 2) {
            map.put(fields[i], fields[i + 1]);
        }
        return map.entrySet().stream()
                .flatMap(e -> java.util.stream.Stream.of(e.getKey(), e.getValue()))
                .toArray(String[]::new);
    }

    @ParameterizedTest
    @CsvSource({
        "/nothing, 404",
        "/parts/T-9999/face, 404",
        "/parts/T-0412/nothing, 404",
        "/parts/T-0412/face?density=MANY, 400",
        "/parts/T-0412/plan?school=NONE, 400",
        "/parts/T-0412/plan?skim=abc, 422",
        "/shop/people, 403",
        "/parts/T-0412/face/readings, 405"
    })
    void anAddressThatLeadsNowhereIsAPageOfOurs(String path, int status) {
        HttpResponse<String> answer = ines.get(path);
        assertEquals(status, answer.statusCode());
        assertTrue(answer.headers().firstValue("Content-Type").orElseThrow().startsWith("text/html"));
        assertTrue(answer.body().contains("href=\"/\""), "with a way back");
    }

    @Test
    void aFormThatIsFarTooLargeIsRefused() {
        HttpResponse<String> answer = ines.post("/parts", "history", "x".repeat(400_000));
        assertEquals(413, answer.statusCode());
        assertTrue(answer.body().contains("send less"), answer.body());
    }

    @Test
    void aPartThatLeftTakesNoMoreUntilItIsBack() {
        Visitor desk = Visitor.signedIn(shop.port(), "desk");
        HttpResponse<String> open = desk.post("/parts/T-0418/report");
        assertEquals(422, open.statusCode());
        assertTrue(open.body().contains("Not done yet"), open.body());
        assertEquals(
                302,
                desk.post("/parts/T-0418/report", "note", "she wants it back uncut")
                        .statusCode());
        saysWhatToKey(ines.key(
                "/parts/T-0418/cut/readings", "id", UUID.randomUUID().toString(), "typed", "0.01", "unit", "MM"));
        assertTrue(desk.get("/parts/T-0418/report").body().contains("she wants it back uncut"));
        desk.post("/parts/T-0418/come-back", "history", "leaks", "wishes", "");
        assertEquals(2, part("T-0418").visit().no());
    }
}

package homalon.app.outcome.calc;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The interface for programs, asked over HTTP as a spreadsheet would. */
@ExtendWith(RunningShop.class)
class CalcTest {
    private static final String ENGINE = "bore\":86,\"stroke\":78,\"gasketThickness\":1,\"deck\":0,\"crownCc\":0";
    private static final String GOOD = "[[0,0,0.03],[400,0,0],[0,150,0],[400,150,0.05],[200,75,-0.02]]";

    private final RunningShop.Shop shop;
    private final String address;

    CalcTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.address = shop.address();
    }

    private HttpResponse<String> ask(String calc, String body, String authorization)
            throws IOException, InterruptedException {
        return new Caller(shop).ask(calc, body, authorization);
    }

    private HttpResponse<String> ask(String calc, String body) throws IOException, InterruptedException {
        return new Caller(shop).ask(calc, body);
    }

    /** The instrument's uncertainty is kept on both sides of the limit. */
    @ParameterizedTest
    @CsvSource({
        "0.049, 0, WITHIN",
        "0.049, 0.002, NOT_PROVEN",
        "0.040, 0.002, WITHIN",
        "0.051, 0.002, NOT_PROVEN",
        "0.051, 0, OUT",
        "0.060, 0.002, OUT"
    })
    void aLimitIsJudgedWithTheUncertaintyThatIsGiven(double zone, double uncertainty, String verdict) throws Exception {
        StringBuilder points = new StringBuilder();
        for (int x = 0; x <= 2; x++) {
            for (int y = 0; y <= 2; y++) {
                points.append(points.isEmpty() ? "" : ",")
                        .append("[" + 50 * x + "," + 50 * y + "," + (x == 1 ? -zone : 0) + "]");
            }
        }
        HttpResponse<String> answer =
                ask("flatness", "{\"points\":[" + points + "],\"limit\":0.05,\"uncertainty\":" + uncertainty + "}");
        assertEquals(200, answer.statusCode(), answer.body());
        assertEquals(
                verdict,
                JsonMapper.shared().readTree(answer.body()).get("verdict").asString());
    }

    /** The same cases that the core agrees with, through the whole interface. */
    @TestFactory
    Stream<DynamicTest> casesAgree() {
        List<JsonNode> all = new ArrayList<>();
        for (String file : List.of("face", "feelers-finish", "shaft", "valves", "chambers")) {
            JsonMapper.shared()
                    .readTree(Path.of("../core/src/test/resources/cases/" + file + ".json"))
                    .forEach(all::add);
        }
        assertEquals(84, all.size());
        return all.stream().map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> check(c)));
    }

    private void check(JsonNode c) throws Exception {
        HttpResponse<String> answer =
                ask(c.get("calc").asString(), c.get("request").toString());
        assertEquals(200, answer.statusCode(), answer.body());
        JsonNode found = JsonMapper.shared().readTree(answer.body());
        c.get("expected").properties().forEach(e -> {
            JsonNode value = at(found, e.getKey());
            if (e.getValue().isNumber()) {
                double expected = e.getValue().asDouble();
                double tolerance = c.get("tol").asDouble() * Math.max(1, Math.abs(expected));
                assertEquals(expected, value.asDouble(), tolerance, e.getKey());
            } else {
                assertEquals(e.getValue(), value, e.getKey());
            }
        });
    }

    /** A dotted field; an element of a list is named by its school. */
    private static JsonNode at(JsonNode node, String path) {
        Iterator<String> steps = Arrays.asList(path.split("\\.")).iterator();
        JsonNode here = node;
        while (steps.hasNext()) {
            String step = steps.next();
            if (here.isArray()) {
                here = StreamSupport.stream(here.spliterator(), false)
                        .filter(n -> n.get("school").asString().equals(step))
                        .findFirst()
                        .orElseThrow();
            } else {
                here = here.get(step);
            }
        }
        return here;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "flatness; points; {\"limit\":0.05}",
                "flatness; points; {\"points\":[[0,0,0],[1,0,0],[2,1,0]]}",
                "flatness; points; {\"points\":[[0,0,0],[1,1,0],[2,2,0],[3,3,1]]}",
                "flatness; points[3]; {\"points\":[[0,0,0],[1,0,0],[1,1,0],[0,0,0.5]]}",
                "flatness; points[1]; {\"points\":[[0,0,0],[1,0],[1,1,0],[0,1,0]]}",
                "flatness; points[0]; {\"points\":[[\"a\",0,0],[1,0,0],[1,1,0],[0,1,0]]}",
                "flatness; points[0]; {\"points\":[[1e308,0,0],[1,0,0],[1,1,0],[0,1,0]]}",
                "flatness; points[0]; {\"points\":[[1e999,0,0],[1,0,0],[1,1,0],[0,1,0]]}",
                "flatness; body; {\"points\":[[NaN,0,0],[1,0,0],[1,1,0],[0,1,0]]}",
                "flatness; limit; {\"points\":" + GOOD + ",\"limit\":-1}",
                "flatness; uncertainty; {\"points\":" + GOOD + ",\"limit\":0.05,\"uncertainty\":-0.001}",
                "guide; bore; {\"stem\":[8.1],\"bore\":[[8,8],[8,8],[8,8]]}",
                "guide; bore; {\"stem\":[7.9]}",
                "guide; bore; {\"stem\":[7.9],\"bore\":[[8,8],[8,8]]}",
                "guide; bore; {\"stem\":[7.9],\"bore\":[[8],[8,8],[8,8]]}",
                "rocking; guideLength; {\"play\":0.1,\"reach\":10,\"guideLength\":0}",
                "seat; topAngle; {\"faceAngle\":45,\"topAngle\":50,\"throatAngle\":60,\"outer\":34,\"inner\":31,\"pitDepth\":0,\"targetOuter\":34,\"targetWidth\":1.4,\"headDiameter\":35}",
                "seat; inner; {\"faceAngle\":45,\"topAngle\":30,\"throatAngle\":60,\"outer\":34,\"inner\":34.5,\"pitDepth\":0,\"targetOuter\":34,\"targetWidth\":1.4,\"headDiameter\":35}",
                "insert-fit; insertOuter; {\"head\":\"ALUMINIUM\",\"insert\":\"BRONZE\",\"counterbore\":35,\"insertOuter\":34.9,\"insertInner\":27,\"wallToWater\":4,\"runAt\":200}",
                "insert-fit; wallToWater; {\"head\":\"ALUMINIUM\",\"insert\":\"BRONZE\",\"counterbore\":35,\"insertOuter\":35.1,\"insertInner\":27,\"wallToWater\":-1,\"runAt\":200}",
                "insert-fit; head; {\"head\":\"BRONZE\",\"insert\":\"BRONZE\",\"counterbore\":35,\"insertOuter\":35.1,\"insertInner\":27,\"wallToWater\":4,\"runAt\":200}",
                "flatness; box; {\"points\":" + GOOD + ",\"box\":[0,0,0,1]}",
                "flatness; zone; {\"points\":" + GOOD + ",\"zone\":1}",
                "flatness; limit; {\"points\":" + GOOD + ",\"limit\":\"0.05\"}",
                "flatness; body; not json",
                "flatness; body; []",
                "feelers; lines[0].stations[0]; {\"box\":[0,0,400,150],\"limit\":0.05,\"thinnest\":0.02,\"lines\":[{\"from\":[0,0],\"to\":[400,0],\"stations\":[{\"at\":0.5,\"goes\":0.05,\"refuses\":0.05}]}]}",
                "feelers; thinnest; {\"box\":[0,0,400,150],\"limit\":0.05,\"lines\":[]}",
                "feelers; lines[0].stations; {\"box\":[0,0,400,150],\"limit\":0.05,\"thinnest\":0.02,\"lines\":[{\"from\":[0,0],\"to\":[9,0],\"stations\":[{}]}]}",
                "feelers; limitKind; {\"box\":[0,0,400,150],\"limit\":0.05,\"limitKind\":\"SUM\",\"thinnest\":0.02,\"lines\":[]}",
                "shaft; height; {\"at\":[0,90],\"height\":[0],\"clearance\":[0.05,0.05],\"runningClearance\":0.02}",
                "shaft; at; {\"at\":[9,9],\"height\":[0,0],\"clearance\":[0.05,0.05],\"runningClearance\":0.02}",
                "shaft; clearance; {\"at\":[0,9],\"height\":[0,0],\"clearance\":[0.05,0],\"runningClearance\":0.02}",
                "finish; feedPerRev; {\"noseRadius\":6}",
                "finish; feedPerRev; {\"noseRadius\":6,\"feedPerRev\":0.1,\"wantedRa\":0.8}",
                "finish; noseRadius; {\"noseRadius\":0,\"feedPerRev\":0.1}",
                "compression; gasketBore; {\"" + ENGINE + ",\"chamberCc\":46}",
                "compression; gasketBore; {\"" + ENGINE + ",\"chamberCc\":46,\"gasketBore\":0}",
                "compression; chamberCc; {\"" + ENGINE + ",\"chamberCc\":-4,\"gasketBore\":87}",
                "compression; fillSpreadCc; {\"" + ENGINE + ",\"chamberCc\":46,\"gasketBore\":87,\"fillSpreadCc\":-1}",
                "cut-for-ratio; wantedRatio; {\"" + ENGINE
                        + ",\"chamberCc\":46,\"gasketBore\":87,\"openingArea\":4700,\"wantedRatio\":1}",
                "cut-for-ratio; openingArea; {\"" + ENGINE + ",\"chamberCc\":46,\"gasketBore\":87,\"wantedRatio\":10}",
                "cut-for-ratio; fills; {\"" + ENGINE
                        + ",\"gasketBore\":87,\"wantedRatio\":10,\"fills\":[{\"depth\":0,\"cc\":46},{\"depth\":1,\"cc\":47}]}",
                "cut-for-ratio; fills[1]; {\"" + ENGINE
                        + ",\"gasketBore\":87,\"wantedRatio\":10,\"fills\":[{\"depth\":0,\"cc\":46},{\"depth\":1}]}",
                "consequences; headCut; {\"headCut\":-0.1,\"blockCut\":0}",
                "consequences; flangeLean; {\"headCut\":0.1,\"blockCut\":0,\"bankHalfAngle\":60,\"flangeLean\":40}",
                "consequences; valveClearance; {\"headCut\":0.1,\"blockCut\":0,\"valveLean\":18}",
                "consequences; sprocketRadius; {\"headCut\":0.1,\"blockCut\":0,\"sprocketRadius\":0}",
                "consequences; crown; {\"headCut\":0.1,\"blockCut\":0,\"crown\":\"ROUND\"}",
                "study; readings; {\"limit\":0.05}",
                "study; readings; {\"readings\":[[[1,2],[1]]]}",
                "study; readings; {\"readings\":[[null]]}",
                "study; readings; {\"readings\":[[[1],[2]]]}",
                "study; limit; {\"readings\":[[[1,2],[1,2]]],\"limit\":0}",
                "uncertainty; sum; {\"figures\":{}}",
                "uncertainty; figures; {\"sum\":\"CLEARANCE\"}",
                "uncertainty; figures.stem; {\"sum\":\"CLEARANCE\",\"figures\":{\"bore\":{\"value\":8}}}",
                "uncertainty; figures.seat; {\"sum\":\"CLEARANCE\",\"figures\":{\"bore\":{\"value\":8},\"stem\":{\"value\":8},\"seat\":{\"value\":1}}}",
                "uncertainty; figures.bore; {\"sum\":\"CLEARANCE\",\"figures\":{\"bore\":{\"value\":8,\"standard\":-1},\"stem\":{\"value\":8}}}",
                "uncertainty; figures.bore; {\"sum\":\"CLEARANCE\",\"figures\":{\"bore\":{\"value\":8,\"standard\":1,\"within\":1},\"stem\":{\"value\":8}}}",
                "uncertainty; figures; {\"sum\":\"RATIO\",\"figures\":{\"sweptCc\":{\"value\":500},\"clearanceCc\":{\"value\":0}}}",
                "feelers; model.risk; {\"box\":[0,0,400,150],\"limit\":0.05,\"thinnest\":0.02,\"lines\":[],\"model\":{\"risk\":1}}",
                "feelers; model.blades; {\"box\":[0,0,400,150],\"limit\":0.05,\"thinnest\":0.02,\"lines\":[],\"model\":{\"blades\":[0]}}",
                "feelers; box; {\"box\":[0,0,400,1],\"limit\":0.05,\"thinnest\":0.02,\"lines\":[],\"model\":{}}",
                "tram; diameter; {\"width\":150,\"hollow\":0.01}",
                "tram; width; {\"diameter\":120,\"width\":150,\"hollow\":0.01}",
                "tram; outOfSquare; {\"diameter\":200,\"width\":150,\"hollow\":0.01,\"outOfSquare\":0.05}",
                "tram; outOfSquare; {\"diameter\":200,\"width\":150,\"outOfSquare\":-0.05}",
                "tram; hollow; {\"diameter\":200,\"width\":150,\"hollow\":-0.01}",
                "finish; maxRpm; {\"noseRadius\":6,\"feedPerRev\":0.1,\"maxRpm\":-1}"
            })
    void badInputNamesTheFieldAndSaysWhatWouldBeRight(String calc, String field, String body) throws Exception {
        HttpResponse<String> answer = ask(calc, body);
        assertEquals(400, answer.statusCode(), answer.body());
        assertEquals(
                "application/problem+json",
                answer.headers().firstValue("Content-Type").orElseThrow());
        JsonNode problem = JsonMapper.shared().readTree(answer.body());
        assertTrue(
                StreamSupport.stream(problem.get("errors").spliterator(), false)
                        .anyMatch(e -> e.get("field").asString().startsWith(field)
                                && e.get("detail").asString().length() > 15),
                answer.body());
    }

    @Test
    void allProblemsOfASetUpAreToldAtOnce() throws Exception {
        HttpResponse<String> answer = ask("setup", "{\"points\":" + GOOD + ",\"corners\":[0,9,9]}");
        assertEquals(400, answer.statusCode());
        JsonNode errors = JsonMapper.shared().readTree(answer.body()).get("errors");
        assertEquals(2, errors.size(), answer.body());
    }

    @Test
    void theFeedForAWantedFinishIsSolvedAndTheSpindleIsNeverDrivenFaster() throws Exception {
        String asked = "{\"noseRadius\":6.35,\"wantedRa\":0.8,\"cutterDiameter\":250,\"cuttingSpeed\":1200,"
                + "\"maxRpm\":1000,\"length\":412,\"overrun\":250}";
        HttpResponse<String> answer = ask("finish", asked);
        assertEquals(200, answer.statusCode(), answer.body());
        JsonNode found = JsonMapper.shared().readTree(answer.body());
        double feed = found.get("feedPerRev").asDouble();
        assertEquals(0.8, 1000 * feed * feed / (31.2 * 6.35), 1e-9);
        assertEquals(1000, found.get("rpm").asDouble());
        assertEquals(662 / (1000 * feed), found.get("minutes").asDouble(), 1e-9);
    }

    @Test
    void tooManyPointsAreRefusedWhileReading() throws Exception {
        StringBuilder body = new StringBuilder("{\"points\":[");
        for (int i = 0; i <= 2_000_000; i++) {
            body.append(i == 0 ? "" : ",").append("[1,2,3]");
        }
        assertEquals(413, ask("flatness", body.append("]}").toString()).statusCode());
    }

    @Test
    void strangersAreRefusedAsProblemsToo() throws Exception {
        String body = "{\"points\":" + GOOD + "}";
        assertEquals(401, ask("flatness", body, "").statusCode());
        assertEquals(401, ask("flatness", body, "Bearer nothing").statusCode());
        assertEquals(401, ask("flatness", body, Caller.basic("api", "wrong")).statusCode());
        HttpResponse<String> unknown = ask("nothing", body);
        assertEquals(404, unknown.statusCode());
        assertEquals(
                "application/problem+json",
                unknown.headers().firstValue("Content-Type").orElseThrow());
    }

    @Test
    void theInterfaceIsDescribed() throws Exception {
        HttpResponse<String> docs = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(address + "/api/openapi"))
                                .build(),
                        BodyHandlers.ofString());
        JsonNode all = JsonMapper.shared().readTree(docs.body());
        assertTrue(all.get("paths").has("/api/v1/calc/flatness")
                && all.get("paths").has("/api/v1/calc/setup"));
        assertTrue(
                all.get("paths").has("/api/v1/calc/feelers") && all.get("paths").has("/api/v1/calc/finish"));
        JsonNode schemas = all.get("components").get("schemas");
        assertTrue(schemas.get("FlatnessRequest").get("properties").has("window"), docs.body());
        assertTrue(schemas.get("SetUpRequest").get("properties").has("shimStep"), docs.body());
    }

    /** A ratio that cannot be had is no bad input: the figures are given, and what is possible is said. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "100; \"openingArea\":4700,\"chamberCc\":46; false; 2.1; change those",
                "8; \"openingArea\":4700,\"chamberCc\":46; false; -4.2; A gasket thicker by",
                "11; \"fills\":[{\"depth\":0,\"cc\":46},{\"depth\":0.5,\"cc\":43.7}]; false; 0.5; fill deeper",
                "9.9; \"openingArea\":4700,\"chamberCc\":46; true; 0.3; ''"
            })
    void whatCannotBeHadIsAnswered(double wanted, String chamber, boolean possible, double cut, String says)
            throws Exception {
        HttpResponse<String> answer = ask(
                "cut-for-ratio", "{\"" + ENGINE + ",\"gasketBore\":87,\"wantedRatio\":" + wanted + "," + chamber + "}");
        assertEquals(200, answer.statusCode(), answer.body());
        JsonNode found = JsonMapper.shared().readTree(answer.body());
        assertEquals(possible, found.get("possible").asBoolean(), answer.body());
        assertEquals(Math.signum(cut), Math.signum(found.get("headCut").asDouble()), answer.body());
        assertTrue(found.get("why").asString().contains(says), answer.body());
        if (cut == 0.5) {
            assertEquals(0.5, found.get("headCut").asDouble(), "never past the deepest fill");
        }
    }

    /** A script that sets no type, or a form's, is answered as well. */
    @ParameterizedTest
    @ValueSource(strings = {"", "application/x-www-form-urlencoded", "text/plain"})
    void theBodyIsReadWhateverItsTypeIsSaidToBe(String type) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + "/api/v1/calc/rocking"))
                .header("Authorization", Caller.basic("api", "saltmarsh-demo"))
                .POST(BodyPublishers.ofString("{\"play\":0.4,\"reach\":12,\"guideLength\":52}"));
        if (!type.isEmpty()) {
            request.header("Content-Type", type);
        }
        HttpResponse<String> answer = HttpClient.newHttpClient().send(request.build(), BodyHandlers.ofString());
        assertEquals(200, answer.statusCode(), answer.body());
        assertTrue(answer.body().contains("clearance"), answer.body());
    }

    /** Every call says what it takes, what it answers, and what it says of bad input. */
    @Test
    void everyCallIsDescribed() {
        HttpResponse<String> docs = Visitor.signedIn(shop.port(), "ines").get("/api/openapi");
        assertEquals(200, docs.statusCode());
        JsonNode paths = JsonMapper.shared().readTree(docs.body()).get("paths");
        List<String> calls = new ArrayList<>();
        paths.properties().forEach(p -> {
            if (!p.getKey().startsWith("/api/v1/calc/")) {
                return;
            }
            calls.add(p.getKey().substring("/api/v1/calc/".length()));
            JsonNode post = p.getValue().get("post");
            assertTrue(post.get("summary").asString().length() > 5, p.getKey());
            String takes = post.at("/requestBody/content/application~1json/schema/$ref")
                    .asString();
            assertTrue(takes.endsWith("Request"), p.getKey() + " takes " + takes);
            String gives = post.at("/responses/200/content/application~1json/schema/$ref")
                    .asString();
            assertTrue(gives.endsWith("Answer"), p.getKey() + " gives " + gives);
            assertTrue(post.at("/responses/400/content").toString().contains("ProblemDetail"), p.getKey());
            assertTrue(post.get("responses").has("413"), p.getKey());
        });
        assertEquals(15, calls.size(), calls.toString());
    }
}

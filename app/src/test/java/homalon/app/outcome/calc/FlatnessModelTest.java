package homalon.app.outcome.calc;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.RunningShop;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the call of flatness says of what lies between its points. */
@ExtendWith(RunningShop.class)
class FlatnessModelTest {
    private final Caller caller;

    FlatnessModelTest(RunningShop.Shop shop) {
        this.caller = new Caller(shop);
    }

    private static String grid(int along, int across) {
        StringBuilder points = new StringBuilder();
        for (int i = 0; i < along; i++) {
            for (int j = 0; j < across; j++) {
                points.append(points.isEmpty() ? "" : ",")
                        .append("[" + 400.0 * i / (along - 1) + "," + 150.0 * j / (across - 1) + ",0]");
            }
        }
        return "{\"points\":[" + points + "],\"limit\":0.05,\"uncertainty\":0.002";
    }

    private JsonNode model(String body) throws Exception {
        return caller.answer("flatness", body).get("model");
    }

    /** Four corners leave nearly all open, a close grid next to nothing. */
    @Test
    void theModelTellsWhatLiesBetweenThePoints() throws Exception {
        JsonNode corners = model(grid(2, 2) + ",\"window\":100,\"model\":{\"windowLimit\":0.02}}");
        assertTrue(corners.get("chance").asDouble() > 0.3);
        assertTrue(corners.get("windowChance").asDouble()
                <= corners.get("anyChance").asDouble());
        assertFalse(corners.get("withinRisk").asBoolean());
        double x = corners.get("next").get(0).asDouble();
        assertTrue(x > 40 && x < 360, "the middle tells most of a bow: " + x);
        JsonNode close = model(grid(9, 4) + ",\"model\":{}}");
        assertTrue(close.get("chance").asDouble() < 0.01);
        assertTrue(close.get("withinRisk").asBoolean());
        assertTrue(close.get("windowChance").isNull());
    }

    @Test
    void aGasketThatWasGoneMakesAHollowLikely() throws Exception {
        double told = model(grid(3, 2) + ",\"model\":{\"gone\":[[200,75]]}}")
                .get("chance")
                .asDouble();
        double untold = model(grid(3, 2) + ",\"model\":{}}").get("chance").asDouble();
        assertTrue(told > untold + 0.05, told + " and " + untold);
    }

    @Test
    void whatIsAskedOfNoModelAnswersAsItDid() throws Exception {
        assertNull(model(grid(3, 3) + "}"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"model\":{\"risk\":1}|model.risk",
                "\"model\":{\"noise\":0}|model.noise",
                "\"model\":{\"noise\":1e-300}|model.noise",
                "\"model\":{\"length\":-1}|model.length",
                "\"model\":{\"length\":1e300}|model.length",
                "\"model\":{\"local\":1e200}|model.local",
                "\"model\":{\"windowLimit\":0.02}|model.windowLimit",
                "\"model\":{\"gone\":[[1]]}|model.gone[0]",
                "\"model\":{},\"bores\":[{\"x\":200,\"y\":75,\"d\":900}]|bores",
                "\"model\":{},\"window\":1e-7,\"limit\":1e-9|model",
            })
    void whatIsNoModelIsRefusedByItsField(String more, String field) throws Exception {
        String body = more.contains("\"limit\"") ? grid(3, 3).replace("\"limit\":0.05,", "") : grid(3, 3);
        HttpResponse<String> answer = caller.ask("flatness", body + "," + more + "}");
        assertEquals(400, answer.statusCode(), answer.body());
        assertTrue(answer.body().contains("\"" + field + "\""), answer.body());
    }

    @Test
    void heightsThatNoFaceHasAreRefused() throws Exception {
        String high =
                "{\"points\":[[0,0,1e60],[400,0,0],[0,150,0],[400,150,0],[200,75,0]],\"limit\":0.05,\"model\":{}}";
        HttpResponse<String> answer = caller.ask("flatness", high);
        assertEquals(400, answer.statusCode(), answer.body());
    }

    /** Sizes that no casting has, and places on top of each other, are worked out all the same. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "[[0,0,0],[1e9,0,0],[0,1e9,0],[1e9,1e9,0],[0,1,0]]",
                "[[0,0,0],[1e-3,0,0],[0,1e-3,0],[1e-3,1e-3,0],[0,1,0]]",
                "[[0,0,0],[400,0,0],[0,150,0],[400,150,0],[1e-9,0,0.01]]"
            })
    void theModelBearsAnyPlaces(String points) throws Exception {
        HttpResponse<String> answer = caller.ask(
                "flatness",
                "{\"points\":" + points + ",\"limit\":0.05,\"window\":0.5,\"model\":{\"windowLimit\":0.02}}");
        assertEquals(200, answer.statusCode(), answer.body());
        double any = JsonMapper.shared()
                .readTree(answer.body())
                .get("model")
                .get("anyChance")
                .asDouble();
        assertTrue(any >= 0 && any <= 1, "a chance: " + any);
    }
}

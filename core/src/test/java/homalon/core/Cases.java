package homalon.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reference results of an independent program: what was asked, what it found, and within what. */
final class Cases {
    private Cases() {}

    /** @param found answers a case by the names of its expected fields: numbers, optional numbers, truths */
    static Stream<DynamicTest> of(String file, int count, Function<JsonNode, Map<String, Object>> found)
            throws IOException {
        try (InputStream in = Cases.class.getResourceAsStream("/cases/" + file + ".json")) {
            JsonNode all = JsonMapper.shared().readTree(in);
            assertEquals(count, all.size());
            return StreamSupport.stream(all.spliterator(), false)
                    .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> check(c, found.apply(c))))
                    .toList()
                    .stream();
        }
    }

    static double n(JsonNode request, String field) {
        return request.get(field).asDouble();
    }

    private static void check(JsonNode c, Map<String, Object> found) {
        double tol = c.get("tol").asDouble();
        assertTrue(c.get("expected").size() > 0);
        c.get("expected").properties().forEach(e -> {
            Object is = found.get(e.getKey());
            if (e.getValue().isNumber()) {
                double want = e.getValue().asDouble();
                double got = is instanceof OptionalDouble o ? o.orElseThrow() : (double) is;
                assertEquals(want, got, tol * Math.max(1, Math.abs(want)), e.getKey());
            } else if (e.getValue().isNull()) {
                assertEquals(OptionalDouble.empty(), is, e.getKey());
            } else {
                assertEquals(e.getValue().asBoolean(), is, e.getKey());
            }
        });
    }
}

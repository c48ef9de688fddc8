package homalon.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.cut.Finish;
import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Feelers;
import homalon.core.geometry.Box;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Results of an independent program for the same questions. */
class FeelerCasesTest {

    @TestFactory
    Stream<DynamicTest> casesAgree() throws Exception {
        try (InputStream in = getClass().getResourceAsStream("/cases/feelers-finish.json")) {
            JsonNode all = JsonMapper.shared().readTree(in);
            assertEquals(13, all.size());
            return stream(all)
                    .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> check(c)))
                    .toList()
                    .stream();
        }
    }

    private static void check(JsonNode c) {
        JsonNode request = c.get("request");
        boolean finish = c.get("calc").asString().equals("finish");
        FeelerResult feelers = finish ? null : Feelers.judge(survey(request));
        assertTrue(c.get("expected").size() > 0);
        c.get("expected").properties().forEach(e -> {
            if (e.getValue().isString()) {
                assertEquals(e.getValue().asString(), feelers.verdict().name());
                return;
            }
            double found = finish ? field(finish(request), e.getKey()) : field(feelers, e.getKey());
            if (e.getValue().isNull()) {
                assertTrue(Double.isInfinite(found), e.getKey() + " is bounded by " + found);
            } else {
                double expected = e.getValue().asDouble();
                assertEquals(expected, found, c.get("tol").asDouble() * Math.max(1, Math.abs(expected)), e.getKey());
            }
        });
    }

    private static Finish finish(JsonNode request) {
        return Finish.ofFeed(
                request.get("noseRadius").asDouble(),
                request.get("feedPerRev").asDouble(),
                Finish.Spindle.NONE,
                Finish.Run.NONE);
    }

    private static double field(Finish finish, String field) {
        return field.equals("ra") ? finish.ra() : finish.rt();
    }

    private static double field(FeelerResult r, String field) {
        if (field.equals("gapProven")) {
            return r.gapProven();
        }
        if (field.equals("gapPossible")) {
            return r.gapPossible();
        }
        String[] path = field.split("\\.");
        FeelerResult.Allowed allowed = r.shape().orElseThrow();
        Range range = switch (path[0]) {
            case "longBow" -> allowed.longBow();
            case "crossBow" -> allowed.crossBow();
            case "fourthCornerLift" -> allowed.fourthCornerLift();
            default -> allowed.zone();
        };
        return path[1].equals("least") ? range.least() : range.most();
    }

    private static FeelerSurvey survey(JsonNode request) {
        JsonNode b = request.get("box");
        Box box = new Box(
                b.get(0).asDouble(),
                b.get(1).asDouble(),
                b.get(2).asDouble(),
                b.get(3).asDouble());
        List<FeelerLine> lines =
                stream(request.get("lines")).map(FeelerCasesTest::line).toList();
        return new FeelerSurvey(
                box,
                request.get("thinnest").asDouble(),
                lines,
                request.get("limit").asDouble(),
                FeelerSurvey.Kind.GAP);
    }

    private static FeelerLine line(JsonNode l) {
        Rest rest = Optional.ofNullable(l.get("rocks"))
                .map(r -> r.asBoolean() ? Rest.ROCKS : Rest.SITS_STILL)
                .orElse(Rest.NOT_NOTED);
        List<Station> stations = stream(l.get("stations"))
                .map(s -> new Station(s.get("at").asDouble(), tried(s)))
                .toList();
        Tried ends = l.has("endBlades") ? tried(l.get("endBlades")) : Tried.NOTHING;
        return new FeelerLine(spot(l.get("from")), spot(l.get("to")), rest, ends, stations);
    }

    private static Tried tried(JsonNode n) {
        return new Tried(number(n.get("goes")), number(n.get("refuses")));
    }

    private static OptionalDouble number(JsonNode n) {
        return n == null ? OptionalDouble.empty() : OptionalDouble.of(n.asDouble());
    }

    private static Spot spot(JsonNode n) {
        return new Spot(n.get(0).asDouble(), n.get(1).asDouble());
    }

    private static Stream<JsonNode> stream(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false);
    }
}

package homalon.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.cut.SetUp;
import homalon.core.cut.SetUpSettings;
import homalon.core.cut.SetUps;
import homalon.core.cut.Slopes;
import homalon.core.cut.Supports;
import homalon.core.face.Flatness;
import homalon.core.face.FlatnessResult;
import homalon.core.face.FlatnessSettings;
import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Results of an independent program (dense linear programming, least squares) for the same questions. */
class ReferenceCasesTest {

    @TestFactory
    Stream<DynamicTest> casesAgree() throws Exception {
        try (InputStream in = getClass().getResourceAsStream("/cases/face.json")) {
            JsonNode all = JsonMapper.shared().readTree(in);
            assertEquals(27, all.size());
            return StreamSupport.stream(all.spliterator(), false)
                    .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> check(c)))
                    .toList()
                    .stream();
        }
    }

    private static void check(JsonNode c) {
        JsonNode request = c.get("request");
        Points points = Points.of(StreamSupport.stream(request.get("points").spliterator(), false)
                .map(ReferenceCasesTest::row)
                .toArray(double[][]::new));
        boolean flatness = c.get("calc").asString().equals("flatness");
        var flat = flatness ? Flatness.of(points, settings(request, points)) : null;
        var setups = flatness ? null : SetUps.of(points, setUp(request));
        assertTrue(c.get("expected").size() > 0);
        c.get("expected").properties().forEach(e -> {
            String field = e.getKey();
            Object found = flatness ? field(flat, field) : field(setups, field);
            if (e.getValue().isNull()) {
                assertEquals(OptionalDouble.empty(), found, field);
            } else if (e.getValue().isString()) {
                assertEquals(e.getValue().asString(), String.valueOf(found), field);
            } else {
                double expected = e.getValue().asDouble();
                double value = found instanceof OptionalDouble o ? o.orElseThrow() : (Double) found;
                assertEquals(expected, value, c.get("tol").asDouble() * Math.max(1, Math.abs(expected)), field);
            }
        });
    }

    private static double[] row(JsonNode p) {
        return new double[] {p.get(0).asDouble(), p.get(1).asDouble(), p.get(2).asDouble()};
    }

    private static FlatnessSettings settings(JsonNode request, Points points) {
        JsonNode b = request.get("box");
        Box box = b == null
                ? points.bounds()
                : new Box(
                        b.get(0).asDouble(),
                        b.get(1).asDouble(),
                        b.get(2).asDouble(),
                        b.get(3).asDouble());
        FlatnessSettings settings = FlatnessSettings.over(box);
        return request.has("limit") ? settings.withLimit(request.get("limit").asDouble()) : settings;
    }

    private static SetUpSettings setUp(JsonNode request) {
        JsonNode sealing = request.get("sealing");
        boolean[] flags = new boolean[sealing.size()];
        IntStream.range(0, flags.length).forEach(i -> flags[i] = sealing.get(i).asBoolean());
        List<Spot> supports = StreamSupport.stream(request.get("supports").spliterator(), false)
                .map(s -> new Spot(s.get(0).asDouble(), s.get(1).asDouble()))
                .toList();
        int[] corners = StreamSupport.stream(request.get("corners").spliterator(), false)
                .mapToInt(JsonNode::asInt)
                .toArray();
        JsonNode slopes = request.get("parallelTo");
        return new SetUpSettings(
                flags,
                new Supports(
                        supports,
                        ShimStock.inSteps(
                                Length.roundedFromMm(request.get("shimStep").asDouble()))),
                corners,
                Optional.of(
                        new Slopes(slopes.get("a").asDouble(), slopes.get("b").asDouble())),
                new double[0]);
    }

    private static Object field(FlatnessResult r, String field) {
        return switch (field) {
            case "leastSquares" -> r.leastSquares();
            case "minimumZone" -> r.minimumZone().zone();
            case "plane.a" -> r.leastSquaresPlane().a();
            case "plane.b" -> r.leastSquaresPlane().b();
            case "longBow" -> r.bend().longBow();
            case "crossBow" -> r.bend().crossBow();
            case "fourthCornerLift" -> r.bend().fourthCornerLift();
            case "shape" -> r.shape();
            case "verdict" -> r.verdict().orElseThrow();
            default -> throw new IllegalArgumentException(field);
        };
    }

    private static Object field(List<SetUp> setups, String field) {
        String[] path = field.split("\\.");
        SetUp s = setups.stream()
                .filter(u -> u.school().name().equals(path[1]))
                .findFirst()
                .orElseThrow();
        return path[2].equals("depth") ? s.depth() : s.depthWithShims();
    }
}

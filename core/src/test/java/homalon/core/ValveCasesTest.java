package homalon.core;

import static homalon.core.Cases.n;

import homalon.core.catalogue.Metal;
import homalon.core.guides.Guide;
import homalon.core.guides.Rocking;
import homalon.core.seats.PressFit;
import homalon.core.seats.SeatAngles;
import homalon.core.seats.SeatPlan;
import java.util.HashMap;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

/** Guides, seats and press fits as an independent program worked them out. */
class ValveCasesTest {

    @TestFactory
    Stream<DynamicTest> casesAgree() throws Exception {
        return Cases.of("valves", 19, c -> {
            JsonNode q = c.get("request");
            return switch (c.get("calc").asString()) {
                case "guide" -> guide(q);
                case "rocking" ->
                    Map.of("clearance", Rocking.clearance(n(q, "play"), n(q, "reach"), n(q, "guideLength")));
                case "seat" -> seat(q);
                default -> fit(q);
            };
        });
    }

    private static double[] row(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .mapToDouble(JsonNode::asDouble)
                .toArray();
    }

    private static Map<String, Object> guide(JsonNode q) {
        Guide g = Guide.of(
                row(q.get("stem")),
                StreamSupport.stream(q.get("bore").spliterator(), false)
                        .map(ValveCasesTest::row)
                        .toArray(double[][]::new));
        return Map.of(
                "clearanceLeast", g.clearanceLeast(),
                "clearanceGoverning", g.clearanceGoverning(),
                "wear", g.wear(),
                "bellMouthTop", g.bellMouthTop(),
                "bellMouthBottom", g.bellMouthBottom(),
                "ovality", g.ovality(),
                "oneEndOnly", g.oneEndOnly());
    }

    private static Map<String, Object> seat(JsonNode q) {
        SeatPlan p = SeatPlan.of(new SeatPlan.Asked(
                SeatAngles.of(n(q, "topAngle"), n(q, "faceAngle"), n(q, "throatAngle")),
                n(q, "outer"),
                n(q, "inner"),
                OptionalDouble.empty(),
                n(q, "pitDepth"),
                n(q, "runout"),
                n(q, "targetOuter"),
                n(q, "targetWidth"),
                n(q, "headDiameter"),
                n(q, "headDiameter"),
                0.5,
                0,
                0));
        return Map.of(
                "seatSink", p.seatSink(),
                "topSink", p.topSink(),
                "throatSink", p.throatSink(),
                "outerAfterSeat", p.outerAfterSeat(),
                "innerAfterSeat", p.innerAfterSeat(),
                "valveSink", p.valveSink(),
                "chamberCc", p.valveCc());
    }

    private static Map<String, Object> fit(JsonNode q) {
        PressFit f = PressFit.of(new PressFit.Asked(
                Metal.valueOf(q.get("head").asString()),
                Metal.valueOf(q.get("insert").asString()),
                n(q, "counterbore"),
                n(q, "insertOuter"),
                n(q, "insertInner"),
                n(q, "wallToWater"),
                n(q, "chillTo"),
                n(q, "warmTo"),
                n(q, "runAt"),
                0.02));
        Map<String, Object> all = new HashMap<>();
        all.put("press", f.press());
        all.put("pressWhenHot", f.hot());
        all.put("pressGoneAt", f.goneAt());
        all.put("fittingClearance", f.fitting());
        all.put("interfacePressure", f.pressure());
        all.put("hoopStress", f.hoop());
        return all;
    }
}

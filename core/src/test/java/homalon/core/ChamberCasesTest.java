package homalon.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.Compression;
import homalon.core.chambers.CutForRatio;
import homalon.core.chambers.Cylinder;
import homalon.core.chambers.Doubts;
import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.GasketAdvice;
import homalon.core.cut.CamTiming;
import homalon.core.cut.ManifoldFit;
import homalon.core.cut.ValveRoom;
import java.io.InputStream;
import java.util.Map;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Compression, cuts for a ratio and what a cut brings with it, as an independent program worked them out. */
class ChamberCasesTest {

    @TestFactory
    Stream<DynamicTest> casesAgree() throws Exception {
        try (InputStream in = getClass().getResourceAsStream("/cases/chambers.json")) {
            JsonNode all = JsonMapper.shared().readTree(in);
            assertEquals(13, all.size());
            return StreamSupport.stream(all.spliterator(), false)
                    .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> check(c)))
                    .toList()
                    .stream();
        }
    }

    private static void check(JsonNode c) {
        JsonNode q = c.get("request");
        Map<String, Double> found = switch (c.get("calc").asString()) {
            case "compression" -> compression(q);
            case "cut-for-ratio" -> cut(q);
            default -> consequences(q);
        };
        double tol = c.get("tol").asDouble();
        assertTrue(c.get("expected").size() > 0);
        c.get("expected").properties().forEach(e -> {
            double want = e.getValue().asDouble();
            assertEquals(want, found.get(e.getKey()), tol * Math.max(1, Math.abs(want)), e.getKey());
        });
    }

    private static double n(JsonNode q, String field) {
        return q.get(field).asDouble();
    }

    private static Cylinder cylinder(JsonNode q) {
        return new Cylinder(
                n(q, "bore"),
                n(q, "stroke"),
                n(q, "chamberCc"),
                Cylinder.Gasket.round(n(q, "gasketBore"), n(q, "gasketThickness")),
                n(q, "deck"),
                n(q, "crownCc"),
                n(q, "creviceCc"));
    }

    private static Map<String, Double> compression(JsonNode q) {
        Compression c = Compression.now(cylinder(q), Doubts.ofFill(0));
        return Map.of(
                "sweptCc", c.cylinder().sweptCc(), "clearanceCc", c.cylinder().clearanceCc(), "ratio", c.ratio());
    }

    private static Map<String, Double> cut(JsonNode q) {
        Cylinder y = cylinder(q);
        CutForRatio cut = CutForRatio.of(y, n(q, "wantedRatio"), n(q, "openingArea"), y.boreArea());
        return Map.of("headCut", cut.headCut(), "blockCut", cut.blockCut());
    }

    private static Map<String, Double> consequences(JsonNode q) {
        double head = n(q, "headCut");
        double block = n(q, "blockCut");
        ManifoldFit manifold = ManifoldFit.of(head + block, n(q, "bankHalfAngle"), n(q, "flangeLean"));
        ValveRoom valve = new ValveRoom(n(q, "valveLean"), n(q, "valveClearance"), n(q, "valveSink"), Crown.FLAT);
        double bore = n(q, "bore");
        double gasket = n(q, "gasketBore");
        return Map.of(
                "camRetardCrank",
                CamTiming.of(head + block, n(q, "sprocketRadius")).crank(),
                "manifoldFlange",
                manifold.flange(),
                "manifoldRails",
                manifold.rails(),
                "valveClearanceAfter",
                valve.after(head + block),
                "gasketToRestoreRatio",
                GasketAdvice.toRestoreRatio(
                        head, n(q, "openingArea"), block, Math.PI / 4 * bore * bore, Math.PI / 4 * gasket * gasket));
    }
}

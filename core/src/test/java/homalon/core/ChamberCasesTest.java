package homalon.core;

import static homalon.core.Cases.n;

import homalon.core.chambers.Compression;
import homalon.core.chambers.CutForRatio;
import homalon.core.chambers.Cylinder;
import homalon.core.chambers.DepthFills;
import homalon.core.chambers.Doubts;
import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.GasketAdvice;
import homalon.core.cut.CamTiming;
import homalon.core.cut.ManifoldFit;
import homalon.core.cut.ValveRoom;
import java.util.Map;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

/** Compression, cuts for a ratio and what a cut brings with it, as an independent program worked them out. */
class ChamberCasesTest {

    @TestFactory
    Stream<DynamicTest> casesAgree() throws Exception {
        return Cases.of("chambers", 17, c -> switch (c.get("calc").asString()) {
            case "compression" -> compression(c.get("request"));
            case "cut-for-ratio" -> cut(c.get("request"));
            default -> consequences(c.get("request"));
        });
    }

    private static Cylinder cylinder(JsonNode q) {
        return new Cylinder(
                n(q, "bore"),
                n(q, "stroke"),
                n(q, "chamberCc"),
                Cylinder.Gasket.round(n(q, "gasketBore"), n(q, "gasketThickness")),
                n(q, "deck"),
                n(q, "crownCc"),
                q.has("creviceCc") ? n(q, "creviceCc") : 0);
    }

    private static Map<String, Object> compression(JsonNode q) {
        Compression c = Compression.now(cylinder(q), Doubts.ofFill(0));
        return Map.of(
                "sweptCc", c.cylinder().sweptCc(), "clearanceCc", c.cylinder().clearanceCc(), "ratio", c.ratio());
    }

    private static Map<String, Object> cut(JsonNode q) {
        Cylinder y = cylinder(q);
        CutForRatio cut = q.has("fills")
                ? CutForRatio.of(y, n(q, "wantedRatio"), fills(q.get("fills")), y.boreArea())
                : CutForRatio.of(y, n(q, "wantedRatio"), n(q, "openingArea"), y.boreArea());
        return Map.of("headCut", cut.headCut(), "blockCut", cut.blockCut());
    }

    private static DepthFills fills(JsonNode all) {
        return DepthFills.of(StreamSupport.stream(all.spliterator(), false)
                .map(f -> new DepthFills.Level(n(f, "depth"), n(f, "cc")))
                .toList());
    }

    private static Map<String, Object> consequences(JsonNode q) {
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

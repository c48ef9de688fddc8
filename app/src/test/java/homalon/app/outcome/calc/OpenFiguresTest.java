package homalon.app.outcome.calc;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.RunningShop;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What the calls say of what gauges, blades and a spindle leave open. */
@ExtendWith(RunningShop.class)
class OpenFiguresTest {
    private final Caller caller;

    OpenFiguresTest(RunningShop.Shop shop) {
        this.caller = new Caller(shop);
    }

    @Test
    void aClearanceCarriesWhatBothGaugesLeaveOpen() throws Exception {
        JsonNode found = caller.answer("uncertainty", """
                {"sum":"CLEARANCE","most":0.05,"figures":
                 {"bore":{"value":8.035,"plusMinus":0.008},"stem":{"value":7.985,"standard":0.003}}}""");
        assertEquals(0.05, found.get("value").asDouble(), 1e-12);
        assertEquals(0.005, found.get("standard").asDouble(), 1e-12);
        assertEquals(0.01, found.get("kept").asDouble(), 1e-12);
        assertEquals("NOT_PROVEN", found.get("verdict").asString(), "0.05 +- 0.01 against 0.05 is never within");
        assertEquals("bore", found.get("most").asString());
        assertEquals(0.003, found.get("parts").get("stem").asDouble(), 1e-12);
        assertEquals(1, found.get("drawn").asDouble() / 0.005, 0.05);
    }

    @Test
    void aWarmPartIsBroughtToTwentyDegrees() throws Exception {
        JsonNode found = caller.answer("uncertainty", """
                {"sum":"AT_20","figures":{"length":{"value":400},"expansion":{"value":0.0000235},
                 "temperature":{"value":40,"within":2}}}""");
        assertEquals(400 / 1.00047, found.get("value").asDouble(), 1e-9);
        assertTrue(found.get("verdict").isNull());
        assertEquals("temperature", found.get("most").asString());
    }

    @Test
    void aStudySaysWhetherAGaugeProvesALimit() throws Exception {
        String readings =
                "{\"readings\":[[[0.010,0.011],[0.030,0.031],[0.052,0.051]],[[0.011,0.010],[0.031,0.030],[0.051,0.052]]]";
        JsonNode wide = caller.answer("study", readings + ",\"limit\":0.1}");
        assertEquals("PROVES", wide.get("fit").asString());
        assertEquals("can prove this limit", wide.get("says").asString());
        assertEquals(6 * wide.get("both").asDouble() / 0.1, wide.get("share").asDouble(), 1e-12);
        assertEquals(
                "CANNOT",
                caller.answer("study", readings + ",\"limit\":0.01}").get("fit").asString());
        assertTrue(caller.answer("study", readings + "}").get("fit").isNull());
    }

    @Test
    void aSpindleOutOfSquareLeavesAHollowAndTheOtherWayRound() throws Exception {
        JsonNode hollow = caller.answer("tram", "{\"diameter\":200,\"width\":150,\"outOfSquare\":0.05}");
        assertEquals(0.0084645, hollow.get("hollow").asDouble(), 1e-6);
        JsonNode out = caller.answer(
                "tram",
                "{\"diameter\":200,\"width\":150,\"hollow\":"
                        + hollow.get("hollow").asDouble() + "}");
        assertEquals(0.05, out.get("outOfSquare").asDouble(), 1e-9);
    }

    private static String line(String from, String to, double refused) {
        return "{\"from\":" + from + ",\"to\":" + to + ",\"rocks\":false,\"stations\":[{\"at\":0.25,\"refuses\":"
                + refused + "},{\"at\":0.5,\"refuses\":" + refused + "},{\"at\":0.75,\"refuses\":" + refused + "}]}";
    }

    private static String survey(double refused, String model) {
        return "{\"box\":[0,0,400,150],\"limit\":0.05,\"thinnest\":0.02,\"lines\":["
                + line("[5,5]", "[395,5]", refused)
                + "," + line("[5,145]", "[395,145]", refused)
                + "," + line("[200,5]", "[200,145]", refused)
                + "," + line("[5,5]", "[395,145]", refused)
                + "," + line("[5,145]", "[395,5]", refused)
                + "]" + model + "}";
    }

    /** Thin blades refused leave little open, thick ones much; without the model nothing is said and the rest is as before. */
    @Test
    void feelersSayTheChanceBetweenTheEdges() throws Exception {
        JsonNode thin = caller.answer("feelers", survey(0.02, ",\"model\":{}"));
        JsonNode thick = caller.answer("feelers", survey(0.05, ",\"model\":{\"blades\":[0.02,0.03,0.04]}"));
        double small = thin.get("model").get("chance").asDouble();
        double great = thick.get("model").get("chance").asDouble();
        assertTrue(small < 0.02 && great > 4 * small, small + " and " + great);
        JsonNode next = thick.get("model").get("next");
        assertTrue(next.get("blade").asDouble() <= 0.04 && next.get("line").asInt() <= 4, next.toString());
        JsonNode plain = caller.answer("feelers", survey(0.02, ""));
        assertTrue(plain.get("model").isNull());
        assertEquals(plain.get("verdict"), thin.get("verdict"));
        assertEquals(plain.get("gapPossible"), thin.get("gapPossible"));
    }
}

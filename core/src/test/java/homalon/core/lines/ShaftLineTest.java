package homalon.core.lines;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.lines.ShaftLine.Bore;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ShaftLineTest {
    @TestFactory
    Stream<DynamicTest> referenceCases() throws IOException {
        try (InputStream in = getClass().getResourceAsStream("/cases/shaft.json")) {
            JsonNode cases = JsonMapper.shared().readTree(in);
            assertEquals(8, cases.size());
            return StreamSupport.stream(cases.spliterator(), false)
                    .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> agrees(c)));
        }
    }

    private static void agrees(JsonNode c) {
        JsonNode request = c.get("request");
        JsonNode expected = c.get("expected");
        List<Bore> bores = new ArrayList<>();
        for (int i = 0; i < request.get("at").size(); i++) {
            bores.add(new Bore(
                    request.get("at").get(i).asDouble(),
                    request.get("height").get(i).asDouble(),
                    0,
                    request.get("clearance").get(i).asDouble()));
        }
        ShaftLine shaft = ShaftLine.of(bores, request.get("runningClearance").asDouble());
        double tolerance = c.get("tol").asDouble();
        assertEquals(expected.get("clearanceLeft").asDouble(), shaft.clearanceLeft(), tolerance);
        assertEquals(expected.get("zone").asDouble(), shaft.zone(), tolerance);
        assertEquals(expected.get("verdict").asString(), shaft.verdict().name());
    }

    private static List<Bore> random(Random random, boolean sideways) {
        int n = 2 + random.nextInt(8);
        List<Bore> bores = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < n; i++) {
            at += 20 + 100 * random.nextDouble();
            bores.add(new Bore(
                    at,
                    0.03 * random.nextGaussian(),
                    sideways ? 0.03 * random.nextGaussian() : 0,
                    0.03 + 0.09 * random.nextDouble()));
        }
        return bores;
    }

    private static double leftOn(List<Bore> bores, double a, double b, double c, double d) {
        return bores.stream()
                .mapToDouble(x ->
                        x.clearance() - 2 * Math.hypot(x.height() - a - b * x.at(), x.sideways() - c - d * x.at()))
                .min()
                .orElseThrow();
    }

    /** The line given leaves what is promised, and no line that is tried leaves more. */
    @Test
    void noLineLeavesMore() {
        Random random = new Random(2);
        for (int n = 0; n < 300; n++) {
            boolean sideways = n % 2 == 1;
            List<Bore> bores = random(random, sideways);
            ShaftLine shaft = ShaftLine.of(bores, 0.02);
            ShaftLine.Line l = shaft.line();
            double given = leftOn(bores, l.height(), l.rise(), l.sideways(), l.drift());
            assertEquals(shaft.clearanceLeft(), given, 1e-8);
            assertEquals(given, Collections.min(shaft.left()), 1e-8);
            assertEquals(Collections.min(shaft.left()), shaft.left().get(shaft.worst()), 1e-8);
            for (int k = 0; k < 400; k++) {
                double size = Math.pow(10, -1 - 5 * random.nextDouble());
                double other = leftOn(
                        bores,
                        l.height() + size * random.nextGaussian(),
                        l.rise() + size * random.nextGaussian() / 200,
                        sideways ? l.sideways() + size * random.nextGaussian() : 0,
                        sideways ? l.drift() + size * random.nextGaussian() / 200 : 0);
                assertTrue(other <= given + 1e-8, "a better line: " + other + " " + given);
            }
        }
    }

    /** A datum that was not level, or was read from the other end, changes nothing. */
    @Test
    void aTiltedDatumChangesNothing() {
        Random random = new Random(4);
        for (int n = 0; n < 100; n++) {
            List<Bore> bores = random(random, true);
            ShaftLine as = ShaftLine.of(bores, 0.02);
            double tilt = 0.001 * random.nextGaussian();
            List<Bore> other = new ArrayList<>(bores.stream()
                    .map(b -> new Bore(
                            1000 - b.at(),
                            b.height() + 0.4 + tilt * b.at(),
                            b.sideways() - 0.2 - 2 * tilt * b.at(),
                            b.clearance()))
                    .toList());
            Collections.shuffle(other, random);
            ShaftLine turned = ShaftLine.of(other, 0.02);
            assertEquals(as.clearanceLeft(), turned.clearanceLeft(), 1e-8);
            assertEquals(as.zone(), turned.zone(), 1e-9);
            assertEquals(as.bow(), turned.bow(), 1e-9);
            assertEquals(as.snakes(), turned.snakes());
            assertEquals(as.verdict(), turned.verdict());
        }
    }

    /** 0.03 up and 0.03 sideways bind in 0.08, though each alone would pass. */
    @Test
    void upAndSidewaysAddUp() {
        double bow = 0.06;
        List<Bore> up = List.of(new Bore(0, 0, 0, 0.08), new Bore(100, bow, 0, 0.08), new Bore(200, 0, 0, 0.08));
        List<Bore> both = List.of(new Bore(0, 0, 0, 0.08), new Bore(100, bow, bow, 0.08), new Bore(200, 0, 0, 0.08));
        assertEquals(0.02, ShaftLine.of(up, 0.02).clearanceLeft(), 1e-9);
        assertEquals(Turns.FREE, ShaftLine.of(up, 0.02).verdict());
        assertEquals(0.08 - bow * Math.sqrt(2), ShaftLine.of(both, 0.02).clearanceLeft(), 1e-8);
        assertEquals(Turns.BINDS, ShaftLine.of(both, 0.02).verdict());
    }

    @Test
    void equalClearancesLeaveWhatStraightnessDoesNotTake() {
        Random random = new Random(6);
        for (int n = 0; n < 100; n++) {
            List<Bore> bores = random(random, false).stream()
                    .map(b -> new Bore(b.at(), b.height(), 0, 0.06))
                    .toList();
            ShaftLine shaft = ShaftLine.of(bores, 0.02);
            assertEquals(0.06 - shaft.zone(), shaft.clearanceLeft(), 1e-12);
        }
    }

    @Test
    void bowAndSnakeAreTold() {
        ShaftLine hog = ShaftLine.of(
                List.of(new Bore(0, 0, 0, 0.05), new Bore(90, 0.02, 0, 0.05), new Bore(180, 0, 0, 0.05)), 0.02);
        assertEquals(0.02, hog.bow(), 1e-12);
        assertEquals(0, hog.snakes());
        ShaftLine snake = ShaftLine.of(
                List.of(
                        new Bore(0, 0, 0, 0.05),
                        new Bore(90, 0.02, 0, 0.05),
                        new Bore(180, -0.02, 0, 0.05),
                        new Bore(270, 0.01, 0, 0.05),
                        new Bore(360, 0, 0, 0.05)),
                0.02);
        assertEquals(2, snake.snakes());
        assertEquals(
                0.06,
                ShaftLine.of(List.of(new Bore(0, 3, 0, 0.06), new Bore(9, -2, 0, 0.09)), 0.02)
                        .clearanceLeft());
    }

    @Test
    void whatIsNoLineIsRefusedInWords() {
        Bore first = new Bore(0, 0, 0, 0.05);
        for (List<Bore> bad : List.of(
                List.of(first),
                List.of(first, new Bore(0, 0.01, 0, 0.05)),
                List.of(first, new Bore(90, Double.NaN, 0, 0.05)),
                List.of(first, new Bore(90, 0, 0, 0)),
                List.of(first, new Bore(90, 80, 0, 0.05)))) {
            assertThrows(BadInputException.class, () -> ShaftLine.of(bad, 0.02));
        }
        assertThrows(BadInputException.class, () -> ShaftLine.of(List.of(first, new Bore(90, 0, 0, 0.05)), -1));
    }

    /** Whatever heights lie in the intervals, the clearance left lies in its own; both ends of it are reached. */
    @Test
    void feelersBoundTheClearanceLeft() {
        Random random = new Random(8);
        for (int run = 0; run < 300; run++) {
            int n = 2 + random.nextInt(5);
            List<ShaftLine.Between> felt = new ArrayList<>();
            List<ShaftLine.Bore> wide = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                double low = -0.06 * random.nextDouble();
                double high = low + 0.03 * random.nextDouble();
                double clearance = 0.04 + 0.05 * random.nextDouble();
                felt.add(new ShaftLine.Between(90 * i, low, high, clearance));
                wide.add(new ShaftLine.Bore(90 * i, (low + high) / 2, 0, clearance + high - low));
            }
            ShaftLine.Span span = ShaftLine.between(felt, 0.02);
            double least = Double.POSITIVE_INFINITY;
            for (int corner = 0; corner < 1 << n; corner++) {
                List<ShaftLine.Bore> bores = new ArrayList<>();
                for (int i = 0; i < n; i++) {
                    ShaftLine.Between b = felt.get(i);
                    double h = (corner & 1 << i) != 0 ? b.most() : b.least();
                    bores.add(new ShaftLine.Bore(b.at(), h, 0, b.clearance()));
                }
                double left = ShaftLine.of(bores, 0.02).clearanceLeft();
                assertTrue(left <= span.most() + 1e-9 && left >= span.least() - 1e-9);
                least = Math.min(least, left);
            }
            assertEquals(least, span.least(), 1e-9);
            ShaftLine.Line line = ShaftLine.of(wide, 0.02).line();
            List<ShaftLine.Bore> best = felt.stream()
                    .map(b -> new ShaftLine.Bore(
                            b.at(), Math.max(b.least(), Math.min(b.most(), line.heightAt(b.at()))), 0, b.clearance()))
                    .toList();
            assertEquals(span.most(), ShaftLine.of(best, 0.02).clearanceLeft(), 1e-9);
        }
    }

    @Test
    void aVerdictFromFeelersRestsOnBothEnds() {
        List<ShaftLine.Between> sure = List.of(
                new ShaftLine.Between(0, 0, 0, 0.06),
                new ShaftLine.Between(90, 0.1, 0.12, 0.06),
                new ShaftLine.Between(180, 0, 0, 0.06));
        assertEquals(ShaftLine.Turns.BINDS, ShaftLine.between(sure, 0.02).verdict());
        List<ShaftLine.Between> open = List.of(
                new ShaftLine.Between(0, 0, 0, 0.06),
                new ShaftLine.Between(90, 0.02, 0.09, 0.06),
                new ShaftLine.Between(180, 0, 0, 0.06));
        assertEquals(ShaftLine.Turns.NOT_PROVEN, ShaftLine.between(open, 0.02).verdict());
    }

    /** A line that turns may be bowed all the same: what has more than half its clearance is never called straight. */
    @Test
    void aBowedLineIsNotCalledStraight() {
        List<ShaftLine.Bore> bores = List.of(
                new ShaftLine.Bore(0, 0, 0, 0.08),
                new ShaftLine.Bore(100, 0.045, 0, 0.08),
                new ShaftLine.Bore(200, 0, 0, 0.08));
        assertEquals(ShaftLine.Turns.FREE, ShaftLine.of(bores, 0.03).verdict());
        assertFalse(ShaftLine.straight(ShaftLine.of(bores, 0.03).bow(), bores));
        assertTrue(ShaftLine.straight(0.04, bores));
        for (Verdict face : List.of(Verdict.WITHIN, Verdict.OUT)) {
            assertFalse(English.of(BentLine.of(0, face, 0.045, ShaftLine.Turns.FREE, false)
                            .words())
                    .contains("straight:"));
            assertTrue(English.of(BentLine.of(0, face, 0.045, ShaftLine.Turns.FREE, false)
                            .words())
                    .contains("more than half"));
        }
    }

    /** Bored straight: each saddle loses at least the least cut, none more than the zone beyond it; checked bore by bore. */
    @Test
    void aBoredLineCleansEverySaddle() {
        double[] heights = {0, -0.062, -0.094, -0.058, 0.002};
        List<ShaftLine.Bore> bores = new ArrayList<>();
        for (int i = 0; i < heights.length; i++) {
            bores.add(new ShaftLine.Bore(i * 96, heights[i], 0, 0.06));
        }
        double zone = ShaftLine.of(bores, 0.03).zone();
        LineBore bore = LineBore.of(zone);
        assertEquals(0.02, bore.least(), 1e-12);
        assertEquals(0.02 + zone, bore.most(), 1e-12);
        assertEquals(bore.most() + 0.02, bore.caps(), 1e-12);
        // Of a fan of lines none does with less.
        double best = Double.MAX_VALUE;
        for (int r = -2000; r <= 2000; r++) {
            double rise = r * 1e-6;
            double least = Double.MAX_VALUE;
            double most = -Double.MAX_VALUE;
            for (ShaftLine.Bore b : bores) {
                double s = rise * b.at() - b.height();
                least = Math.min(least, s);
                most = Math.max(most, s);
            }
            best = Math.min(best, most - least + 0.02);
        }
        assertEquals(best, bore.most(), 2e-4);
        assertTrue(best >= bore.most() - 1e-9);
        assertEquals(0.04, LineBore.of(0).caps(), 1e-12);
        assertThrows(IllegalArgumentException.class, () -> LineBore.of(Double.NaN));
    }

    @Test
    void aFlatFaceOverABentLineWasSkimmedWhileBent() {
        BentLine skimmed = BentLine.of(0.01, Verdict.WITHIN, -0.09, ShaftLine.Turns.BINDS, true);
        assertEquals(BentLine.Advice.STRAIGHTEN, skimmed.advice());
        assertTrue(English.of(skimmed.words()).contains("skimmed while bent"));
        assertEquals(
                BentLine.Advice.STRAIGHTEN,
                BentLine.of(-0.1, Verdict.OUT, -0.09, ShaftLine.Turns.BINDS, true)
                        .advice());
        assertEquals(
                BentLine.Advice.LINE_ONLY,
                BentLine.of(0.1, Verdict.OUT, -0.09, ShaftLine.Turns.BINDS, true)
                        .advice());
        assertEquals(
                BentLine.Advice.SKIM,
                BentLine.of(-0.1, Verdict.OUT, 0, ShaftLine.Turns.FREE, true).advice());
        assertEquals(
                BentLine.Advice.NOTHING,
                BentLine.of(0, Verdict.WITHIN, 0, ShaftLine.Turns.FREE, true).advice());
        assertEquals(
                BentLine.Advice.MEASURE,
                BentLine.of(0, Verdict.NOT_PROVEN, 0, ShaftLine.Turns.FREE, true)
                        .advice());
    }
}

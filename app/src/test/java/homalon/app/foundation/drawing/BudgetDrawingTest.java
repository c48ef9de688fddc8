package homalon.app.foundation.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.cut.Consequence;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Bars and the burette, read back from what is drawn. */
class BudgetDrawingTest {
    private static List<Double> all(String svg, String pattern) {
        Matcher m = Pattern.compile(pattern).matcher(svg);
        List<Double> found = new ArrayList<>();
        while (m.find()) {
            found.add(Double.parseDouble(m.group(1)));
        }
        return found;
    }

    private static double one(String svg, String pattern) {
        List<Double> found = all(svg, pattern);
        assertEquals(1, found.size(), pattern);
        return found.get(0);
    }

    private static BudgetDrawing.Bar bar(String name, double room, double used) {
        return new BudgetDrawing.Bar(
                name, Double.isNaN(room) ? OptionalDouble.empty() : OptionalDouble.of(room), used, "", "within", false);
    }

    @Test
    void barsStandOnOneRule() {
        double cut = 0.3;
        String svg = BudgetDrawing.svg(
                List.of(
                        bar("thickness", 0.45, 0),
                        bar("life <&>", 0.2, 0.1),
                        bar("valve", 40, 0),
                        bar("squeeze", Double.POSITIVE_INFINITY, 0),
                        bar("not measured", Double.NaN, 0)),
                List.of(new BudgetDrawing.Need("to come clean", 0.12)),
                cut,
                0.1,
                mm -> Long.toString(Math.round(mm * 10)),
                "title");
        double zero = one(svg, "x=\"([0-9.]+)\" y=\"[0-9.]+\" text-anchor=\"middle\">0<");
        double four = one(svg, "x=\"([0-9.]+)\" y=\"[0-9.]+\" text-anchor=\"middle\">4<");
        double perMm = (four - zero) / 0.4;
        List<Double> ends = all(svg, "class=\"end\" d=\"M([0-9.]+) ");
        assertEquals(2, ends.size(), "what lies far beyond, is not touched or was not measured has no end");
        assertEquals(zero + 0.45 * perMm, ends.get(0), 0.05);
        assertEquals(zero + 0.2 * perMm, ends.get(1), 0.05);
        assertEquals(1, all(svg, "class=\"on\" d=\"M([0-9.]+) ").size());
        assertEquals(zero + cut * perMm, one(svg, "class=\"cut\" d=\"M([0-9.]+) "), 0.05);
        assertEquals(zero + 0.12 * perMm, one(svg, "class=\"need\" d=\"M([0-9.]+) "), 0.05);
        // Over: from where the room ends to where the cutter ends.
        Matcher over = Pattern.compile("class=\"over\" x=\"([0-9.]+)\" y=\"[0-9.]+\" width=\"([0-9.]+)\"")
                .matcher(svg);
        assertTrue(over.find());
        assertEquals(zero + 0.2 * perMm, Double.parseDouble(over.group(1)), 0.05);
        assertEquals(0.1 * perMm, Double.parseDouble(over.group(2)), 0.05);
        assertFalse(over.find());
        // What came off before lies on the other side of zero.
        Matcher used = Pattern.compile("class=\"used\" x=\"([0-9.]+)\" y=\"[0-9.]+\" width=\"([0-9.]+)\"")
                .matcher(svg);
        assertTrue(used.find());
        assertEquals(zero - 0.1 * perMm, Double.parseDouble(used.group(1)), 0.05);
        assertTrue(svg.contains("life &lt;&amp;&gt;"), "words are escaped");
    }

    @Test
    void theBuretteStandsWhereItWasRead() {
        for (double capacity : new double[] {50, 100}) {
            for (double read : new double[] {3.2, 25, 48.7}) {
                String svg = BuretteDrawing.svg(capacity, OptionalDouble.of(1), read, "title");
                double top = one(svg, "class=\"scale\" x=\"[0-9.]+\" y=\"([0-9.]+)\" text-anchor=\"end\">0<");
                double bottom = one(
                        svg,
                        "class=\"scale\" x=\"[0-9.]+\" y=\"([0-9.]+)\" text-anchor=\"end\">" + Math.round(capacity)
                                + "<");
                // The lowest point of the hollow is half way from its rim to its control point.
                Matcher hollow = Pattern.compile("class=\"liquid\" d=\"M[0-9.]+ ([0-9.]+)Q[0-9.]+ ([0-9.]+) ")
                        .matcher(svg);
                assertTrue(hollow.find());
                double lowest = (Double.parseDouble(hollow.group(1)) + Double.parseDouble(hollow.group(2))) / 2;
                assertEquals(top - 4 + (bottom - top) * read / capacity, lowest, 0.05);
                assertTrue(svg.contains(">" + read + "<"), "the reading stands under the lens");
            }
        }
    }

    @Test
    void everyConsequenceHasItsDrawing() {
        List<String> drawn = new ArrayList<>();
        for (Consequence.Kind kind : Consequence.Kind.values()) {
            String svg = ConsequenceDrawing.svg(kind, "0.42", "0.17");
            assertTrue(svg.contains("0.42"), kind + " shows its figure");
            drawn.add(svg);
        }
        // Both valves differ in their lean; no two kinds share a picture.
        assertEquals(drawn.size(), drawn.stream().distinct().count());
    }
}

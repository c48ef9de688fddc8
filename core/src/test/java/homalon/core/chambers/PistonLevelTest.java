package homalon.core.chambers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.words.English;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PistonLevelTest {
    private static PistonLevel level(String heights) {
        Map<Integer, Double> below = new TreeMap<>();
        String[] each = heights.split(" ");
        for (int i = 0; i < each.length; i++) {
            below.put(i + 1, Double.parseDouble(each[i]));
        }
        return PistonLevel.of(below, 0.10);
    }

    @ParameterizedTest
    @CsvSource(
            nullValues = "none",
            value = {
                "0.20 0.21 0.19 0.20, none",
                "0.20 0.20 0.30 0.20, none",
                "0.20 0.20 0.301 0.20, 3",
                "0.20 0.51 0.20 0.21, 2",
                "0.20 0.20 0.09 0.20, 3",
                // Two bent rods of four: each against the median of the others.
                "0.20 0.60 0.60 0.20, 1 2 3 4",
                "0.20 0.60 0.60 0.20 0.20 0.20, 2 3",
                "-0.30 0.20, 2",
                "0.20 0.10, none",
                "0.25, none"
            })
    void whoStandsApart(String heights, String odd) {
        String found = level(heights).odd().stream()
                .map(o -> Integer.toString(o.cylinder()))
                .collect(Collectors.joining(" "));
        assertEquals(odd == null ? "" : odd, found);
    }

    @Test
    void aLowOneIsABentRodAndAHighOneAnother() {
        assertEquals(
                "Piston 3 stands 0.310 lower than the others: look at its rod, it may be bent.",
                English.of(level("0.20 0.20 0.51 0.20").odd().get(0).words()));
        assertTrue(English.of(level("0.20 0.20 -0.1 0.20").odd().get(0).words()).contains("higher"));
    }

    /** All a tenth lower is another deck, not another rod. */
    @Test
    void whatAllHaveInCommonSaysNothing() {
        double[] heights = {0.2, 0.24, 0.55, 0.22};
        Map<Integer, Double> here = new TreeMap<>();
        Map<Integer, Double> lower = new TreeMap<>();
        for (int i = 0; i < heights.length; i++) {
            here.put(i, heights[i]);
            lower.put(i, heights[i] + 1.7);
        }
        assertEquals(
                PistonLevel.of(here, 0.10).odd().stream()
                        .map(PistonLevel.Odd::cylinder)
                        .toList(),
                PistonLevel.of(lower, 0.10).odd().stream()
                        .map(PistonLevel.Odd::cylinder)
                        .toList());
        assertEquals(0.35, PistonLevel.of(lower, 0.10).spread(), 1e-9);
        assertEquals(0, PistonLevel.of(Map.of(), 0.10).spread());
    }
}

package homalon.core.gauge;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.gauge.ControlChart.Rule;
import homalon.core.input.BadInputException;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ControlChartTest {
    /** Neighbours differ by one: centre 0, standard deviation 1 / 1.128. */
    private static final double[] EVEN = {0.5, -0.5, 0.5, -0.5, 0.5, -0.5, 0.5, -0.5, 0.5, -0.5};

    private static List<ControlChart.Signal> after(double... more) {
        double[] all =
                DoubleStream.concat(Arrays.stream(EVEN), Arrays.stream(more)).toArray();
        return ControlChart.of(all, EVEN.length).signals().stream()
                .filter(s -> s.number() >= EVEN.length)
                .toList();
    }

    @Test
    void itIsSetUpFromNeighbours() {
        ControlChart chart = ControlChart.of(EVEN, EVEN.length);
        assertEquals(0, chart.centre(), 1e-12);
        assertEquals(1 / 1.128, chart.deviation(), 1e-12);
        assertEquals(3 / 1.128, chart.upper(), 1e-12);
        assertEquals(-3 / 1.128, chart.lower(), 1e-12);
        assertEquals(List.of(), chart.signals());
    }

    @ParameterizedTest
    @CsvSource({"2.6, 0", "2.7, 1", "-2.6, 0", "-2.7, 1"})
    void oneBeyondThreeStandsOut(double value, int signals) {
        List<ControlChart.Signal> found = after(value);
        assertEquals(
                signals, found.stream().filter(s -> s.rule() == Rule.BEYOND).count());
    }

    @Test
    void nineOnOneSideStandOutAndEightDoNot() {
        // the last of the even ones lies below
        assertEquals(List.of(), after(0.1, 0.2, 0.1, 0.2, 0.1, 0.2, 0.1, 0.2));
        assertEquals(
                List.of(new ControlChart.Signal(18, Rule.ONE_SIDE)),
                after(0.1, 0.2, 0.1, 0.2, 0.1, 0.2, 0.1, 0.2, 0.1));
    }

    @Test
    void sixThatOnlyRiseStandOut() {
        assertEquals(List.of(), after(-0.4, -0.3, -0.2, -0.1, -0.2));
        assertEquals(List.of(new ControlChart.Signal(14, Rule.TREND)), after(-0.4, -0.3, -0.2, -0.1, 0.1));
        assertEquals(Rule.TREND, after(0.6, 0.4, 0.3, 0.2, 0.1, -0.1).get(0).rule(), "or only fall");
    }

    @Test
    void twoInThreeBeyondTwoStandOut() {
        assertEquals(List.of(), after(2, 0, -0.1, 2));
        assertEquals(List.of(new ControlChart.Signal(12, Rule.TWO_OF_THREE)), after(2, 0, 2));
        assertEquals(List.of(), after(2, 0, -2), "on different sides");
    }

    @Test
    void whatIsInOrderRarelyStandsOut() {
        int signals = 0;
        for (int seed = 0; seed < 50; seed++) {
            Random random = new Random(seed);
            double[] checks =
                    DoubleStream.generate(random::nextGaussian).limit(120).toArray();
            signals += ControlChart.of(checks, 100).signals().size();
        }
        assertTrue(signals < 6000 * 0.025, signals + " of 6000 checks");
    }

    @Test
    void fourChecksSetUpNoChart() {
        assertThrows(BadInputException.class, () -> ControlChart.of(new double[] {1, 2, 3, 4}, 4));
        assertThrows(BadInputException.class, () -> ControlChart.of(EVEN, 11));
    }
}

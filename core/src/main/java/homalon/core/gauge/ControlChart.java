package homalon.core.gauge;

import homalon.core.input.Problems;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Checks of a gauge against one reference over time: individual values with the mean of what neighbours differ by (ISO 7870-2). A value
 * stands out beyond three standard deviations, at the end of nine on one side of the centre, of six that only rise or only fall, or
 * as one of two in three beyond two standard deviations on the same side (Nelson 1984).
 *
 * @param centre the mean of what it is set up from
 * @param deviation standard deviation from neighbours
 * @param signals what stands out, in order
 */
public record ControlChart(double centre, double deviation, List<Signal> signals) {
    /** Mean difference of neighbours, in standard deviations, of what is normal. */
    private static final double NEIGHBOURS = 1.128;

    private static final double LIMIT = 3;
    private static final double WARNING = 2;
    private static final int ONE_SIDE = 9;
    private static final int TREND = 6;
    /** So many checks set up a chart. */
    public static final int LEAST = 5;

    private static final int MOST = 10_000;

    /** How a value stands out. */
    public enum Rule {
        BEYOND,
        ONE_SIDE,
        TREND,
        TWO_OF_THREE;

        public Message words() {
            return Message.of(this);
        }
    }

    /**
     * One value that stands out.
     *
     * @param number of the check, from 0
     */
    public record Signal(int number, Rule rule) {}

    public ControlChart {
        signals = List.copyOf(signals);
    }

    public double upper() {
        return centre + LIMIT * deviation;
    }

    public double lower() {
        return centre - LIMIT * deviation;
    }

    /**
     * @param checks in order of time, each less what the reference is
     * @param setUpFrom how many of the first set up the chart
     * @throws homalon.core.input.BadInputException when there are too few to set it up
     */
    public static ControlChart of(double[] checks, int setUpFrom) {
        Problems problems = new Problems();
        problems.require(
                setUpFrom >= LEAST && setUpFrom <= checks.length && checks.length <= MOST,
                "checks",
                "gauge.chart-asks-for-checks-to-set-it-up",
                LEAST);
        problems.throwIfAny();
        double sum = 0;
        double apart = 0;
        for (int i = 0; i < setUpFrom; i++) {
            sum += checks[i];
            apart += i == 0 ? 0 : Math.abs(checks[i] - checks[i - 1]);
        }
        double centre = sum / setUpFrom;
        double deviation = apart / (setUpFrom - 1) / NEIGHBOURS;
        List<Signal> signals = new ArrayList<>();
        for (int i = 0; i < checks.length; i++) {
            look(checks, i, centre, deviation, signals);
        }
        signals.sort(Comparator.comparingInt(Signal::number).thenComparing(Signal::rule));
        return new ControlChart(centre, deviation, signals);
    }

    private static void look(double[] all, int at, double centre, double deviation, List<Signal> signals) {
        double off = all[at] - centre;
        if (Math.abs(off) > LIMIT * deviation) {
            signals.add(new Signal(at, Rule.BEYOND));
        }
        if (sameSide(all, at, centre)) {
            signals.add(new Signal(at, Rule.ONE_SIDE));
        }
        if (trend(all, at, 1) || trend(all, at, -1)) {
            signals.add(new Signal(at, Rule.TREND));
        }
        if (Math.abs(off) > WARNING * deviation && twoOfThree(all, at, centre, deviation)) {
            signals.add(new Signal(at, Rule.TWO_OF_THREE));
        }
    }

    private static boolean sameSide(double[] all, int at, double centre) {
        if (at + 1 < ONE_SIDE) {
            return false;
        }
        int above = 0;
        int below = 0;
        for (int i = at + 1 - ONE_SIDE; i <= at; i++) {
            above += all[i] > centre ? 1 : 0;
            below += all[i] < centre ? 1 : 0;
        }
        return above == ONE_SIDE || below == ONE_SIDE;
    }

    /** @param sign 1 for rising, -1 for falling */
    private static boolean trend(double[] all, int at, int sign) {
        if (at + 1 < TREND) {
            return false;
        }
        for (int i = at + 2 - TREND; i <= at; i++) {
            if (sign * (all[i] - all[i - 1]) <= 0) {
                return false;
            }
        }
        return true;
    }

    private static boolean twoOfThree(double[] all, int at, double centre, double deviation) {
        double side = Math.signum(all[at] - centre);
        int beyond = 0;
        for (int i = Math.max(0, at - 2); i <= at; i++) {
            beyond += side * (all[i] - centre) > WARNING * deviation ? 1 : 0;
        }
        return beyond >= 2;
    }
}

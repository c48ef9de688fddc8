package homalon.core.face;

import java.util.Arrays;

/**
 * Tells a reading that is far from its neighbours, such as one with its decimal point lost. It is asked about, never
 * refused: a face may be that bad.
 */
public final class OddReading {
    /** How many times the reach of the others a reading may stand off before it is asked about. */
    private static final double TIMES = 6;
    /** Reach that a face is taken to have at least, mm. */
    private static final double LEAST_REACH = 0.03;
    /** With fewer others than this only the size itself tells, mm. */
    private static final int FEW = 3;

    private static final double LARGE = 2;

    private OddReading() {}

    /**
     * @param value the reading, mm
     * @param others readings at the other places of the survey, mm
     * @param aboutZero true when readings are small departures; false for sizes such as a thickness
     */
    public static boolean asks(double value, double[] others, boolean aboutZero) {
        if (others.length < FEW) {
            return aboutZero && Math.abs(value) > LARGE;
        }
        double[] sorted = others.clone();
        Arrays.sort(sorted);
        double median = sorted[sorted.length / 2];
        double reach = Math.max(LEAST_REACH, sorted[sorted.length - 1] - sorted[0]);
        return Math.abs(value - median) > TIMES * reach;
    }
}

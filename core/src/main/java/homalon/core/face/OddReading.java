package homalon.core.face;

import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import java.util.Arrays;

/**
 * Tells a reading that is far from its neighbours, such as one with its decimal point lost. It is asked about, never
 * refused: a face may be that bad.
 */
public final class OddReading {
    /** How many times the reach of the others a reading may stand off before it is asked about. */
    private static final double TIMES = 6;
    /** With fewer others than this only the size itself tells. */
    private static final int FEW = 3;

    private OddReading() {}

    /**
     * @param value the reading, mm
     * @param others readings at the other places of the survey, mm
     * @param aboutZero true when readings are small departures; false for sizes such as a thickness
     * @param shop how far it has to stand off at the least, and what is large while few others are read
     */
    public static boolean asks(double value, double[] others, boolean aboutZero, BookDefaults shop) {
        if (others.length < FEW) {
            return aboutZero && Math.abs(value) > BenchFigure.FACE_LARGE.value(shop);
        }
        double[] sorted = others.clone();
        Arrays.sort(sorted);
        double median = sorted[sorted.length / 2];
        double reach = sorted[sorted.length - 1] - sorted[0];
        return Math.abs(value - median) > Math.max(BenchFigure.FACE_ODD.value(shop), TIMES * reach);
    }
}

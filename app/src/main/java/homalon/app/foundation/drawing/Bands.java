package homalon.app.foundation.drawing;

import homalon.core.geometry.Range;
import homalon.core.quantity.BenchUnit;

/**
 * Round heights at which a map changes colour. Five bands at most on each side of level, at a step of 1, 2 or 5 times a
 * power of ten of the reader's unit.
 *
 * @param step between two contours, mm
 * @param lowest index of the lowest band: band k lies from k step to (k + 1) step
 * @param highest index of the highest band
 */
public record Bands(double step, int lowest, int highest) {
    private static final int MOST = 5;

    /**
     * @param range of the heights, mm
     * @param least heights that the full colours stand for at the least, mm: half the limit in force, so that a face well
     *     within it looks pale beside one that is out
     */
    public static Bands of(Range range, double least, BenchUnit unit) {
        double perUnit = unit.nanometres() / 1e6;
        double reach = Math.max(Math.max(Math.abs(range.least()), Math.abs(range.most())), Math.max(least, 1e-4));
        double units = reach / perUnit;
        double power = Math.pow(10, Math.floor(Math.log10(units / MOST)));
        double step = 10 * power;
        for (double round : new double[] {5, 2, 1}) {
            if (round * power * MOST >= units * (1 - 1e-9)) {
                step = round * power;
            }
        }
        double mm = step * perUnit;
        int lowest = Math.max(-MOST, (int) Math.floor(range.least() / mm));
        int highest = Math.min(MOST - 1, (int) Math.floor(range.most() / mm));
        return new Bands(mm, lowest, Math.max(lowest, highest));
    }

    /** Style class of a band: h1 to h5 above level, l1 to l5 below. */
    public static String style(int band) {
        return band >= 0 ? "h" + (band + 1) : "l" + -band;
    }

    /** Low enough to be hatched, so that low metal is told without colour. */
    public static boolean hatched(int band) {
        return band <= -3;
    }
}

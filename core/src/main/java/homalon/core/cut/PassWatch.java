package homalon.core.cut;

import homalon.core.geometry.Box;
import homalon.core.quantity.Length;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * What the cutter was seen to touch, against what the map says for the depth on the dial.
 *
 * <p>When the touched land lags by more than 15 points, the likely reasons are named and the depth still to go is estimated
 * anew: the height to which the cutter has really come down is the one that best parts touched cells from untouched ones
 * (fewest land nodes on the wrong side), and what is left runs from there to the lowest place that seals. A tilt is tried as
 * well: when it parts the cells clearly better, the casting has moved.
 *
 * @param expected share of the land, 0 to 1
 * @param seen share of the land painted, 0 to 1
 * @param lags true when it is more than 15 points behind
 * @param reasons most likely first; empty unless it lags
 * @param left depth still to cut until the sealing land is clean, by what was seen, mm
 * @param expectedLeft the same by the dial, mm
 * @param misfit share of the land on the wrong side of the estimate, 0 to 1
 */
public record PassWatch(
        double expected,
        double seen,
        boolean lags,
        List<Reason> reasons,
        double left,
        double expectedLeft,
        double misfit) {

    /** Points by which seen may lag before it is said. */
    public static final double MOST_LAG = 0.15;

    /** Shares of the land closer than this are one: painting by hand tells no finer. */
    private static final double EQUAL_SHARES = 0.005;

    private static final int TILTS = 6;
    private static final double CLEARLY = 0.6;
    private static final double FITS_WELL = 0.05;

    /** Why a cut may lag behind its prediction. */
    public enum Reason {
        MOVED,
        UNSEEN_LOW,
        DIAL;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /**
     * @param cut on the dial, from first touch
     * @param touched cells that were seen touched
     */
    public static PassWatch of(Comparison comparison, Removal removal, TouchCells grid, Length cut, BitSet touched) {
        double expected = comparison.cleanShare(removal, cut);
        double seen = grid.share(touched);
        double[] heights = grid.means(removal.heights());
        double bottom = removal.firstTouch() - removal.setUp().toClean();
        Parting level = parting(grid, heights, touched);
        double expectedLeft = Math.max(0, removal.setUp().toClean() - cut.mm());
        double bySight = Math.max(0, level.height() - bottom);
        // Less touched than the map says never leaves less than it says.
        double left = seen < expected - EQUAL_SHARES ? Math.max(bySight, expectedLeft) : bySight;
        boolean lags = expected - seen > MOST_LAG;
        List<Reason> reasons = lags
                ? reasons(grid, heights, touched, level, comparison.layout().box())
                : List.of();
        return new PassWatch(expected, seen, lags, reasons, seen >= 1 ? 0 : left, expectedLeft, level.wrong());
    }

    /**
     * The same where only a share was said: the cutter has come down to the height under which that share of the land does not lie.
     *
     * @param share of the land touched, 0 to 1
     */
    public static PassWatch ofShare(Comparison comparison, Removal removal, TouchCells grid, Length cut, double share) {
        double[] heights = grid.means(removal.heights());
        List<TouchCells.Cell> down = new ArrayList<>(grid.cells());
        down.sort((a, b) -> Double.compare(heights[b.number()], heights[a.number()]));
        BitSet touched = new BitSet();
        for (TouchCells.Cell c : down) {
            touched.set(c.number());
            if (grid.share(touched) > share) {
                touched.clear(c.number());
                break;
            }
        }
        PassWatch all = of(comparison, removal, grid, cut, touched);
        return new PassWatch(
                all.expected(),
                share,
                all.expected() - share > MOST_LAG,
                all.reasons(),
                all.left(),
                all.expectedLeft(),
                0);
    }

    /**
     * @param height that parts touched from untouched best
     * @param wrong share of the land on the wrong side
     */
    private record Parting(double height, double wrong) {}

    /** The height with the fewest land nodes on the wrong side; midway between the neighbours, or of all that are equal. */
    private static Parting parting(TouchCells grid, double[] heights, BitSet touched) {
        List<TouchCells.Cell> up = new ArrayList<>(grid.cells());
        up.sort((a, b) -> Double.compare(heights[a.number()], heights[b.number()]));
        int all = up.stream().mapToInt(TouchCells.Cell::land).sum();
        // With the cutter below every cell, those that are not touched are wrong.
        int wrong = up.stream()
                .filter(c -> !touched.get(c.number()))
                .mapToInt(TouchCells.Cell::land)
                .sum();
        int least = wrong;
        double from = heights[up.get(0).number()];
        double to = from;
        for (int i = 0; i < up.size(); i++) {
            TouchCells.Cell c = up.get(i);
            wrong += touched.get(c.number()) ? c.land() : -c.land();
            double next = i + 1 < up.size() ? heights[up.get(i + 1).number()] : heights[c.number()];
            if (wrong < least) {
                least = wrong;
                from = heights[c.number()];
                to = next;
            } else if (wrong == least) {
                to = next;
            }
        }
        return new Parting((from + to) / 2, (double) least / all);
    }

    private static List<Reason> reasons(TouchCells grid, double[] heights, BitSet touched, Parting level, Box box) {
        double tilted = tilted(grid, heights, touched, level, box);
        boolean moved = tilted < CLEARLY * level.wrong() && level.wrong() - tilted > 0.04 && tilted < FITS_WELL;
        boolean patch = level.wrong() > 0.08;
        List<Reason> reasons = new ArrayList<>();
        if (moved) {
            reasons.add(Reason.MOVED);
        }
        if (patch) {
            reasons.add(Reason.UNSEEN_LOW);
        }
        reasons.add(Reason.DIAL);
        if (!moved) {
            reasons.add(Reason.MOVED);
        }
        if (!patch) {
            reasons.add(Reason.UNSEEN_LOW);
        }
        return List.copyOf(reasons);
    }

    /** How far off the best of many tilts of the casting still is. */
    private static double tilted(TouchCells grid, double[] heights, BitSet touched, Parting level, Box box) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (TouchCells.Cell c : grid.cells()) {
            least = Math.min(least, heights[c.number()]);
            most = Math.max(most, heights[c.number()]);
        }
        double best = level.wrong();
        for (int a = -TILTS; a <= TILTS; a++) {
            for (int b = -TILTS; b <= TILTS; b++) {
                double[] tilt = heights.clone();
                for (TouchCells.Cell c : grid.cells()) {
                    double u = box.u(c.x0() + c.width() / 2);
                    double v = box.v(c.y0() + c.height() / 2);
                    tilt[c.number()] += (most - least) * (a * u + b * v) / TILTS;
                }
                best = Math.min(best, parting(grid, tilt, touched).wrong());
            }
        }
        return best;
    }
}

package homalon.core.lines;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.input.Problems;
import java.util.Optional;

/**
 * How a block's deck stands to its crank line: deck heights, from crank line to deck, read at the corners or at more places. All
 * in millimetres; a deck is square when it is parallel to the crank line at the nominal bank angle, so that all heights are one.
 *
 * @param fall how much higher the rear end stands than the front, over the length of the deck
 * @param tilt how much higher the outer edge stands than the inner one, over its width
 * @param bankAngleError in degrees: atan(tilt / width); + when the outer edge is high
 * @param lowest place, which governs: a squaring cut must come down to it
 * @param highest place, where a squaring cut takes most
 */
public record DeckIndex(double fall, double tilt, double bankAngleError, double lowest, double highest) {

    /**
     * @param heights crank line to deck, at three places or more that are not on one line
     * @param outerAtTop whether the outer edge of the bank is the upper one of its drawing
     * @return empty with too few places
     * @throws homalon.core.input.BadInputException when a height is no height of a deck
     */
    public static Optional<DeckIndex> of(Points heights, Box box, boolean outerAtTop) {
        Problems problems = new Problems();
        double lowest = Double.POSITIVE_INFINITY;
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < heights.size(); i++) {
            lowest = Math.min(lowest, heights.z(i));
            highest = Math.max(highest, heights.z(i));
            problems.require(
                    heights.z(i) > 0 && heights.z(i) <= 1000, "height", "lines.a-deck-height-is-the-distance-from-the");
        }
        problems.throwIfAny();
        double least = lowest;
        double most = highest;
        return Taper.of(heights, box).map(t -> {
            double tilt = outerAtTop ? t.across() : -t.across();
            return new DeckIndex(t.along(), tilt, Math.toDegrees(Math.atan(tilt / box.height())), least, most);
        });
    }

    /** Whether its ends and edges stand alike within a limit, mm. */
    public boolean square(double limit) {
        return Math.abs(fall) <= limit + 1e-9 && Math.abs(tilt) <= limit + 1e-9;
    }

    /** Deepest metal off when the deck is squared by itself: from its highest place down to its lowest. */
    public double toSquare() {
        return highest - lowest;
    }

    /**
     * Deepest metal off when the deck is squared down to a height.
     *
     * @param height that it shall have, no more than {@link #lowest}
     */
    public double toHeight(double height) {
        return highest - Math.min(height, lowest);
    }

    /** The height that both banks can have: the lower deck rules. */
    public static double common(DeckIndex one, DeckIndex other) {
        return Math.min(one.lowest, other.lowest);
    }

    /** How much higher this bank stands than the other, at the means of their lowest and highest places. */
    public double above(DeckIndex other) {
        return (lowest + highest - other.lowest - other.highest) / 2;
    }
}

package homalon.core.gauge;

import homalon.core.input.Problems;
import java.util.Optional;

/**
 * What is known to bend the readings of one survey, and is taken off them before anything is worked out from them.
 *
 * @param angle between an indicator's travel and the square to the face, degrees: of what it travels the cosine is height
 * @param warmth of both sides of the casting; bends heights
 * @param scale temperatures of part and gauge; for sizes
 */
public record Corrections(double angle, Optional<Warmth> warmth, Optional<Scale> scale) {
    public static final Corrections NONE = new Corrections(0, Optional.empty(), Optional.empty());

    /** At a flatter angle than this an indicator is set up wrong, degrees. */
    public static final double STEEPEST = 60;

    /** @throws homalon.core.input.BadInputException for an angle at which no indicator stands */
    public Corrections {
        Problems problems = new Problems();
        problems.require(angle >= 0 && angle <= STEEPEST, "angle", "gauge.angle-from-square-in-degrees");
        problems.throwIfAny();
    }

    public boolean none() {
        return angle == 0 && warmth.isEmpty() && scale.isEmpty();
    }

    /** Height over travel. */
    public double cosine() {
        return Math.cos(Math.toRadians(angle));
    }

    /**
     * Height of a face at a place, were the casting as warm on both sides, but for a plane.
     *
     * @param x along, mm from anywhere
     * @param y across, mm from anywhere
     * @param read on the dial, mm
     */
    public double height(double x, double y, double read) {
        double bent = warmth.map(w -> w.curvature().value()).orElse(0.0);
        return read * cosine() + bent * (x * x + y * y) / 2;
    }

    /** A size at 20 degrees C, mm. */
    public double size(double read) {
        return scale.map(s -> s.at20(read)).orElse(read);
    }

    /** Standard uncertainty of how sharply warmth bends what is read, 1/mm: all readings share it. */
    public double curvature() {
        return warmth.map(w -> w.curvature().standard()).orElse(0.0);
    }
}

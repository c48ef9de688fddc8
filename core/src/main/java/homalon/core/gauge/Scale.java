package homalon.core.gauge;

import homalon.core.input.Problems;

/**
 * A size read on a part from a steel scale that is warmer or colder than it: what it would be with both at 20 degrees C (ISO 1).
 *
 * @param part temperature of the part, degrees C
 * @param scale of the micrometer or gauge, degrees C
 * @param expansion of the part's metal, per K
 */
public record Scale(double part, double scale, double expansion) {
    /** At this a size is meant, degrees C. */
    public static final double REFERENCE = 20;
    /** Steel of which scales are made, per K: a general value. */
    public static final double STEEL = 11.5e-6;

    private static final double COLDEST = -30;
    private static final double HOTTEST = 150;

    /** @throws homalon.core.input.BadInputException for what is no temperature of a shop */
    public Scale {
        Problems problems = new Problems();
        problems.require(
                part >= COLDEST && part <= HOTTEST && scale >= COLDEST && scale <= HOTTEST,
                "scale",
                "gauge.scale-key-the-temperature-of-part-and-gauge");
        problems.require(expansion > 0, "expansion", "gauge.expansion-above-nothing");
        problems.throwIfAny();
    }

    /** @param read what stood on the scale, mm */
    public double at20(double read) {
        return read * (1 + STEEL * (scale - REFERENCE)) / (1 + expansion * (part - REFERENCE));
    }

    /** What stands on the scale for a size at 20 degrees C, mm. */
    public double read(double size) {
        return size * (1 + expansion * (part - REFERENCE)) / (1 + STEEL * (scale - REFERENCE));
    }
}

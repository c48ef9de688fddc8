package homalon.core.guides;

import homalon.core.input.Problems;

/**
 * What is asked of a guide and its stem, mm on the diameter.
 *
 * @param least new clearance at the least
 * @param most new clearance at the most
 * @param service most that may stay in use
 * @param bellMouth most at either end
 * @param ovality most
 */
public record GuideLimits(double least, double most, double service, double bellMouth, double ovality) {
    public GuideLimits {
        Problems problems = new Problems();
        problems.require(
                least > 0 && least <= most && most <= service && service <= 1,
                "service",
                "Clearances: the least new, the most new and the service limit must grow in this order, up to 1 mm.");
        problems.require(bellMouth > 0 && ovality > 0, "bellMouth", "Bell-mouth and ovality limits are above zero.");
        problems.throwIfAny();
    }

    /** What a new fit aims at. */
    public double wanted() {
        return (least + most) / 2;
    }
}

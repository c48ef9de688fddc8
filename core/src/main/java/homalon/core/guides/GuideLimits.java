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
                "guides.clearances-the-least-new-the-most-new");
        problems.require(bellMouth > 0 && ovality > 0, "bellMouth", "guides.bell-mouth-and-ovality-limits-are-above");
        problems.throwIfAny();
    }

    /** No new clearance is smaller, however thin the stem: the oil needs it. */
    private static final double LEAST_NEW = 0.02;

    private static final double USUAL_SHAPE = 0.03;

    /**
     * General defaults, which grow with the stem: new 0.0045 to 0.0080 of its diameter (exhaust, hotter, 0.0055 to 0.0095), in
     * service up to 0.0125 (0.015) of it; whole thousandths of a mm.
     *
     * @param stem diameter, mm
     */
    public static GuideLimits usual(boolean exhaust, double stem) {
        double least = exhaust ? 0.0055 : 0.0045;
        double most = exhaust ? 0.0095 : 0.0080;
        double service = exhaust ? 0.015 : 0.0125;
        double from = Math.max(LEAST_NEW, whole(least * stem));
        double to = Math.max(from, whole(most * stem));
        return new GuideLimits(from, to, Math.max(to, whole(service * stem)), USUAL_SHAPE, USUAL_SHAPE);
    }

    private static double whole(double mm) {
        return Math.round(mm * 1000) / 1000.0;
    }

    /** What a new fit aims at. */
    public double wanted() {
        return (least + most) / 2;
    }
}

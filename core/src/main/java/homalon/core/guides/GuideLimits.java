package homalon.core.guides;

import homalon.core.input.Problems;
import homalon.core.rulebook.BookDefaults;

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

    private static final double LEAST_NEW_THOU = 0.8;
    private static final double USUAL_SHAPE = 0.03;
    private static final double USUAL_SHAPE_THOU = 1.2;
    private static final double STEP = 0.001;
    private static final double STEP_THOU = 0.1;

    /**
     * General defaults, which grow with the stem: new 0.0045 to 0.0080 of its diameter (exhaust, hotter, 0.0055 to 0.0095), in
     * service up to 0.0125 (0.015) of it; whole thousandths of a mm, or tenths of a thou.
     *
     * @param stem diameter, mm
     * @param shop in whose unit they are round
     */
    public static GuideLimits usual(boolean exhaust, double stem, BookDefaults shop) {
        double least = exhaust ? 0.0055 : 0.0045;
        double most = exhaust ? 0.0095 : 0.0080;
        double service = exhaust ? 0.015 : 0.0125;
        double step = shop.round(STEP, STEP_THOU);
        double from = Math.max(shop.round(LEAST_NEW, LEAST_NEW_THOU), whole(least * stem, step));
        double to = Math.max(from, whole(most * stem, step));
        double shape = shop.round(USUAL_SHAPE, USUAL_SHAPE_THOU);
        return new GuideLimits(from, to, Math.max(to, whole(service * stem, step)), shape, shape);
    }

    private static double whole(double mm, double step) {
        // Nine digits, so that ten thousandths of a thou are that and nothing beside it.
        return Math.round(Math.round(mm / step) * step * 1e9) / 1e9;
    }

    /** What a new fit aims at. */
    public double wanted() {
        return (least + most) / 2;
    }
}

package homalon.core.seats;

import homalon.core.input.Problems;

/**
 * Where a seat may lie on its valve, and how wide it may be. Millimetres.
 *
 * @param outerLeast smallest diameter of its outer edge
 * @param outerMost largest diameter of its outer edge
 * @param widthLeast along the face's slope
 * @param widthMost along the face's slope
 * @param runoutGood total runout up to which it is left as it is
 */
public record SeatRange(double outerLeast, double outerMost, double widthLeast, double widthMost, double runoutGood) {
    private static final double SLACK = 1e-9;

    public SeatRange {
        Problems problems = new Problems();
        problems.require(
                outerLeast > 0 && outerLeast <= outerMost, "INSET", "seats.contact-inside-the-valves-edge-the");
        problems.require(
                widthLeast > 0 && widthLeast <= widthMost,
                "WIDTH_LEAST",
                "seats.seat-width-the-least-must-not-be-above");
        problems.throwIfAny();
    }

    /** Where a seat's outer edge lies. */
    public enum Place {
        IN,
        /** Beyond the largest allowed: it touches too near the valve's edge. */
        HIGH,
        /** Under the smallest allowed: it touches too low on the valve's face. */
        LOW
    }

    public Place place(double outer) {
        return outer > outerMost + SLACK ? Place.HIGH : outer < outerLeast - SLACK ? Place.LOW : Place.IN;
    }

    /** A seat that lies right, is as wide as it may be, runs true, has no pits and meets no tool: nothing is to be done. */
    boolean leaves(SeatPlan.Asked q) {
        double width = (q.outer() - q.inner()) / 2 / q.angles().cosFace();
        return place(q.outer()) == Place.IN
                && width >= widthLeast - SLACK
                && width <= widthMost + SLACK
                && q.pitDepth() <= SLACK
                && q.runout() <= runoutGood + SLACK
                && q.least() <= SLACK
                && q.level() <= SLACK;
    }

    /**
     * The least that the face has to go in so that some outer edge and some width in the ranges can be had: the outer edge has to
     * come out to the smallest that is allowed, and far enough apart from the inner one for the narrowest width, however the outer
     * edge is brought back. Both grow as the face sinks, so that a narrower range never asks for less.
     *
     * @param anyway what it goes in by in any case
     */
    double leastSink(SeatPlan.Asked q, double anyway) {
        SeatAngles angles = q.angles();
        double out = 1 / (SeatAngles.tan(angles.face()) - SeatAngles.tan(angles.top()));
        double in = 1 / (SeatAngles.tan(angles.throat()) - SeatAngles.tan(angles.face()));
        double narrow = widthLeast * angles.cosFace();
        double reach = (outerLeast - q.outer()) / 2 / out;
        double asItIs = (narrow - (q.outer() - q.inner()) / 2) / (out + in);
        double broughtBack = (q.inner() / 2 - outerMost / 2 + narrow) / in;
        return Math.max(Math.max(anyway, reach), Math.max(asItIs, broughtBack));
    }

    /** It lies so low that its outer edge has to come out, further than its width asks for. */
    boolean outerEdgeBinds(SeatPlan.Asked q) {
        double reach = (outerLeast - q.outer())
                / 2
                * (SeatAngles.tan(q.angles().face()) - SeatAngles.tan(q.angles().top()));
        return reach > 0 && reach >= leastSink(q, 0) - SLACK;
    }

    /**
     * The seat to aim at: of all that the least sink reaches, the one with the least further cutting.
     *
     * @return the same question with outer edge and width to make
     */
    SeatPlan.Asked aimed(SeatPlan.Asked q) {
        if (leaves(q)) {
            return q.aimed(q.outer(), (q.outer() - q.inner()) / 2 / q.angles().cosFace(), true);
        }
        SeatAngles angles = q.angles();
        double sink = leastSink(q, Math.max(q.pits(), Math.max(q.least(), q.level())));
        double outer = q.outer() / 2 + sink / (SeatAngles.tan(angles.face()) - SeatAngles.tan(angles.top()));
        double inner = q.inner() / 2 - sink / (SeatAngles.tan(angles.throat()) - SeatAngles.tan(angles.face()));
        double edge = Math.max(outerLeast, Math.min(outerMost, 2 * outer));
        double natural = (edge / 2 - inner) / angles.cosFace();
        return q.aimed(edge, Math.max(widthLeast, Math.min(widthMost, natural)), false);
    }
}

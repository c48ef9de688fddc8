package homalon.core.cut;

import homalon.core.input.Problems;

/**
 * What a manifold between two banks of a V has to lose so that it fits again after both banks were cut alike.
 *
 * @param flange off each of its flanges, square to the flange, mm
 * @param rails off its end rails: how far the manifold comes down, mm
 */
public record ManifoldFit(double flange, double rails) {
    /**
     * The head moves by the cut against the normal of its deck, which leans by q from the vertical. The manifold comes straight
     * down by d, and a layer t is taken off its flange along the normal of the intake face, which rises q + m above the horizontal.
     * Its ports meet the head's again when both movements are the same vector: sideways x sin q = t cos(q + m), downwards
     * x cos q = d - t sin(q + m).
     *
     * @param cut off head and deck together, of each bank, mm
     * @param halfAngle q, of a bank from the vertical, degrees
     * @param lean m, of the intake face from square to the deck, degrees; q + m under 90
     */
    public static ManifoldFit of(double cut, double halfAngle, double lean) {
        Problems problems = new Problems();
        problems.require(
                halfAngle >= 0 && halfAngle < 90, "bankHalfAngle", "cut.bank-from-the-vertical-from-0-under-90");
        problems.require(
                Math.abs(lean) < 90 && halfAngle + lean < 90 && halfAngle + lean > -90,
                "flangeLean",
                "cut.bank-and-intake-face-together-must-stay");
        problems.throwIfAny();
        double q = Math.toRadians(halfAngle);
        double m = Math.toRadians(lean);
        double rise = Math.cos(q + m);
        return new ManifoldFit(cut * Math.sin(q) / rise, cut * Math.cos(m) / rise);
    }
}

package homalon.core.gauge;

import homalon.core.input.Problems;

/**
 * A casting that is warmer on one side than on the other: it bends like a plate, lengthwise and across, and the warmer side is crowned. Over
 * a length L it stands up by expansion times difference times L squared over 8 times its height (the sagitta of a bent plate whose
 * temperature falls evenly from side to side).
 *
 * @param face temperature of the side that is read, degrees C
 * @param back of the side away from it, degrees C
 * @param height of the casting between the two, mm
 * @param expansion of its metal, per K
 */
public record Warmth(double face, double back, double height, double expansion) {
    /** Standard uncertainty of a temperature taken on metal by hand, K: a general value. */
    public static final double HAND = 0.5;
    /** Temperature hardly ever falls evenly, and a casting has ribs and hollows: of the bow so much is open, a general value. */
    public static final double SHAPE = 0.15;

    private static final double LOWEST = 10;
    private static final double HIGHEST = 1000;
    private static final double COLDEST = -30;
    private static final double HOTTEST = 150;

    /** @throws homalon.core.input.BadInputException for what is no temperature of a shop, or no height of a casting */
    public Warmth {
        Problems problems = new Problems();
        problems.require(
                face >= COLDEST && face <= HOTTEST && back >= COLDEST && back <= HOTTEST,
                "back",
                "gauge.back-key-the-temperature-of-the-other-side");
        problems.require(height >= LOWEST && height <= HIGHEST, "height", "gauge.height-of-the-casting-from-to");
        problems.require(expansion > 0, "expansion", "gauge.expansion-above-nothing");
        problems.throwIfAny();
    }

    /** How sharply it bends, 1/mm; above nothing where the side that is read is crowned. */
    public Uncertain curvature() {
        double perKelvin = expansion / height;
        double value = perKelvin * (face - back);
        return new Uncertain(value, Math.hypot(perKelvin * HAND * Math.sqrt(2), SHAPE * value));
    }

    /** How far the middle of so long a stretch stands up by it, mm; below nothing where it is hollow. */
    public Uncertain bow(double length) {
        return curvature().times(length * length / 8);
    }
}

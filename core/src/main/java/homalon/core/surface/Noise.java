package homalon.core.surface;

/**
 * What is open of readings.
 *
 * @param each standard uncertainty of one reading, mm, above zero: independent of the others
 * @param curvature standard uncertainty of a bend that all of them share and the face has not, 1/mm: what is left open of warmth that was
 *     taken off; 0 where nothing was
 */
public record Noise(double each, double curvature) {
    /** @throws IllegalArgumentException for a reading without any uncertainty */
    public Noise {
        if (!(each > 0) || !(curvature >= 0)) {
            throw new IllegalArgumentException("the standard uncertainty of a reading must be above zero, mm");
        }
    }

    /** Of readings that share nothing. */
    public static Noise of(double each) {
        return new Noise(each, 0);
    }
}

package homalon.core.surface;

/**
 * What is open of readings.
 *
 * @param each standard uncertainty of one reading, mm, above zero: independent of the others
 * @param curvature standard uncertainty of a bend that all of them share and the face has not, 1/mm: what is left open of warmth that was
 *     taken off; 0 where nothing was
 * @param rough of the last ones, which are surmised rather than read
 */
public record Noise(double each, double curvature, Rough rough) {
    /**
     * Heights that are surmised from what was seen.
     *
     * @param count of the last readings, so many
     * @param each standard uncertainty of one, mm, above zero
     */
    public record Rough(int count, double each) {
        public static final Rough NONE = new Rough(0, 1);
    }

    /** @throws IllegalArgumentException for a reading without any uncertainty */
    public Noise {
        if (!(each > 0) || !(curvature >= 0) || !(rough.each() > 0)) {
            throw new IllegalArgumentException("the standard uncertainty of a reading must be above zero, mm");
        }
    }

    /** Of readings that share a bend. */
    public Noise(double each, double curvature) {
        this(each, curvature, Rough.NONE);
    }

    /** Of readings that share nothing. */
    public static Noise of(double each) {
        return new Noise(each, 0);
    }

    /** With so many more that are surmised. */
    public Noise with(Rough more) {
        return new Noise(each, curvature, more);
    }
}

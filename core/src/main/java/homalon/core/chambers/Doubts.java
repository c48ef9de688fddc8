package homalon.core.chambers;

/**
 * What each figure leaves open, as one standard deviation.
 *
 * @param chamberCc of the chamber's volume
 * @param gasket of its compressed thickness, mm
 * @param deck of the piston's height, mm
 * @param crownCc of the crown
 * @param area of the chamber's opening, mm2
 * @param cut of a cut's depth, mm
 */
public record Doubts(double chamberCc, double gasket, double deck, double crownCc, double area, double cut) {
    /** What a dial and a micrometer leave open on a cut, mm. */
    public static final double DEFAULT_CUT = 0.005;
    /** What a depth gauge leaves open on the piston's height, mm. */
    public static final double DEFAULT_DECK = 0.01;
    /** Of a gasket's compressed thickness, mm. */
    public static final double DEFAULT_GASKET = 0.02;

    /** The fills alone, as the calculation interface has it. */
    public static Doubts ofFill(double cc) {
        return new Doubts(cc, 0, 0, 0, 0, 0);
    }

    /** General defaults beside what the chamber itself leaves open. */
    public static Doubts usual(double chamberCc, double area) {
        return new Doubts(chamberCc, DEFAULT_GASKET, DEFAULT_DECK, 0, area, DEFAULT_CUT);
    }
}

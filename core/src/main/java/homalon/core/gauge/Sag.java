package homalon.core.gauge;

/**
 * How far a straightedge hangs down between the two places on which it rests: a beam of even section under its own weight,
 * 5 q L^4 / (384 E I) in its middle (any table of beams). For a section of height h that is rho g / E times 12 / h^2, whatever its width.
 *
 * @param bend weight over stiffness, 1/mm3
 */
public record Sag(double bend) {
    public static final Sag NONE = new Sag(0);
    /** Of steel, N/mm3 over N/mm2: 7.85 g/cm3, 210 GPa; granite hangs a third more. */
    private static final double STEEL = 7.85e-6 * 9.81 / 2.1e5;

    private static final double SECTION = 12;
    private static final double BEAM = 24;

    /** @param height of its section, mm; 0 for one that counts as stiff */
    public static Sag ofHeight(double height) {
        return height > 0 ? new Sag(SECTION * STEEL / (height * height)) : NONE;
    }

    /**
     * @param from where it rests, mm along it
     * @param to where it rests beyond, mm
     * @param at a place along it, mm
     * @return how far it hangs there below the line through both, mm; nothing outside them
     */
    public double at(double from, double to, double at) {
        double l = to - from;
        double x = at - from;
        return x <= 0 || x >= l ? 0 : bend / BEAM * x * (l * l * l - 2 * l * x * x + x * x * x);
    }
}

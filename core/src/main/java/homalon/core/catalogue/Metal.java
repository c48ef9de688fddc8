package homalon.core.catalogue;

import homalon.core.part.Material;
import homalon.core.words.Message;

/**
 * Metals of heads, inserts and guides, as far as a press fit needs them. General engineering values; the maker's figure comes
 * before them.
 */
public enum Metal {
    CAST_IRON(11, 9.2, 110, 0.26),
    ALUMINIUM(22, 18.2, 71, 0.33),
    POWDER_METAL(12, 9.5, 140, 0.27),
    HARD_IRON(11, 9.2, 150, 0.27),
    NICKEL_COBALT(13.5, 10, 200, 0.30),
    BRONZE(17.5, 15, 110, 0.34),
    COPPER_ALLOY(17, 14.5, 125, 0.30);

    private final Message words = Message.of(this);
    private final double alpha;
    private final double alphaCold;
    private final double modulus;
    private final double poisson;

    Metal(double alpha, double alphaCold, double modulus, double poisson) {
        this.alpha = alpha;
        this.alphaCold = alphaCold;
        this.modulus = modulus;
        this.poisson = poisson;
    }

    public Message words() {
        return words;
    }

    /** Mean expansion from 20 C up to working heat, 1e-6 per K. */
    public double alpha() {
        return alpha;
    }

    /** Mean contraction from 20 C down to -196 C, 1e-6 per K: metals shrink less in deep cold. */
    public double alphaCold() {
        return alphaCold;
    }

    /** Young's modulus, GPa. */
    public double modulus() {
        return modulus;
    }

    public double poisson() {
        return poisson;
    }

    /**
     * Tensile strength of what castings are made of, MPa: grey iron 220 however warm it runs; cast aluminium 240 cold and 130 at
     * 220 C, straight between and on to 300 C. General values.
     *
     * @throws IllegalStateException for a metal that no casting is made of
     */
    public double strength(double celsius) {
        return switch (this) {
            case CAST_IRON -> 220;
            case ALUMINIUM -> 240 - 110 * (Math.max(20, Math.min(300, celsius)) - 20) / 200;
            default -> throw new IllegalStateException("no casting is of " + this);
        };
    }

    public static Metal of(Material casting) {
        return casting == Material.ALUMINIUM ? ALUMINIUM : CAST_IRON;
    }
}

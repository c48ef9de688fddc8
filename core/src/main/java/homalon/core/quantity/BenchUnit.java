package homalon.core.quantity;

/** The unit a bench thinks in. One per person; what was keyed in one unit can always be read in the other. */
public enum BenchUnit {
    /** Millimetres; written with three decimals. */
    MM(1_000_000L, "mm", 3),
    /** Thousandths of an inch; written with two decimals. */
    THOU(25_400L, "thou", 2);

    private final long nanometres;
    private final String label;
    private final int decimals;

    BenchUnit(long nanometres, String label, int decimals) {
        this.nanometres = nanometres;
        this.label = label;
        this.decimals = decimals;
    }

    /** Nanometres in one of this unit, exactly. */
    public long nanometres() {
        return nanometres;
    }

    public String label() {
        return label;
    }

    /** Decimals shown for a small length such as a warp. */
    public int decimals() {
        return decimals;
    }

    public BenchUnit other() {
        return this == MM ? THOU : MM;
    }
}

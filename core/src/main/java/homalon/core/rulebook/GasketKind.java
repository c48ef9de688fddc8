package homalon.core.rulebook;

import homalon.core.part.Material;
import homalon.core.words.Message;

/** What kinds of head gasket ask of the two faces; the gasket maker's own figure comes before these. */
public enum GasketKind {
    /** Soft: it wants a face to hold on; on aluminium a finer one, which it moves on less. */
    COMPOSITE(1.5, 3.0),
    LAYERED_STEEL(0, 0.8),
    COPPER(0.8, 1.5),
    RACE(0, 0.4);

    private final Message words = Message.of(this);
    private final double leastRa;
    private final double mostRa;

    GasketKind(double leastRa, double mostRa) {
        this.leastRa = leastRa;
        this.mostRa = mostRa;
    }

    public Message words() {
        return words;
    }

    private static final double COMPOSITE_LEAST_ON_ALUMINIUM = 0.8;
    private static final double COMPOSITE_MOST_ON_ALUMINIUM = 1.6;

    private boolean finer(Material face) {
        return this == COMPOSITE && face == Material.ALUMINIUM;
    }

    /** Smoothest that it wants of a face, micrometres; 0 for none too smooth. */
    public double leastRa(Material face) {
        return finer(face) ? COMPOSITE_LEAST_ON_ALUMINIUM : leastRa;
    }

    /** Roughest that it stands, micrometres. */
    public double mostRa(Material face) {
        return finer(face) ? COMPOSITE_MOST_ON_ALUMINIUM : mostRa;
    }

    /** What to aim at: the roughest that it stands where smoother is better, else the middle. */
    public double wantedRa(Material face) {
        return leastRa == 0 ? mostRa : (leastRa(face) + mostRa(face)) / 2;
    }
}

package homalon.core.rulebook;

import homalon.core.quantity.Length;
import java.util.Optional;

/** What kinds of head gasket ask of the two faces; the gasket maker's own figure comes before these. */
public enum GasketKind {
    COMPOSITE("composite", 1.5, 3.0, Optional.empty()),
    LAYERED_STEEL("multi-layer steel", 0, 0.8, Optional.of(Length.ofMm("0.03"))),
    COPPER("copper", 0.8, 1.5, Optional.empty()),
    RACE("race, as its maker says", 0, 0.4, Optional.empty());

    private final String words;
    private final double leastRa;
    private final double mostRa;
    private final Optional<Length> flatness;

    GasketKind(String words, double leastRa, double mostRa, Optional<Length> flatness) {
        this.words = words;
        this.leastRa = leastRa;
        this.mostRa = mostRa;
        this.flatness = flatness;
    }

    public String words() {
        return words;
    }

    /** Smoothest that it wants, micrometres; 0 for none too smooth. */
    public double leastRa() {
        return leastRa;
    }

    /** Roughest that it stands, micrometres. */
    public double mostRa() {
        return mostRa;
    }

    /** What to aim at: the roughest that it stands where smoother is better, else the middle. */
    public double wantedRa() {
        return leastRa == 0 ? mostRa : (leastRa + mostRa) / 2;
    }

    /** Flatness that it wants of the whole face; empty where no more than usual. */
    public Optional<Length> flatness() {
        return flatness;
    }
}

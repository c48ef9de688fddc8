package homalon.core.part;

/** How the opening at each bore is drawn: it is no land, so nothing is measured or mapped there. */
public enum ChamberShape {
    /** The full bore: a deck, or a head with round chambers. */
    ROUND("round, full bore"),
    /** A round opening cut off straight on the intake side, leaving a quench flat. */
    CUT_OFF("round, flat on the intake side"),
    /** Beside the bore, over the valves that stand in the block, and reaching over a part of the bore: a plain lid. */
    BESIDE("beside the bore, over valves in the block"),
    /** No opening: the chamber is in the piston; two valve heads lie in the face. */
    VALVES_ONLY("flat, valves only");

    private final String words;

    ChamberShape(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

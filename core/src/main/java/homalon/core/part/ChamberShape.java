package homalon.core.part;

import homalon.core.words.Message;

/** How the opening at each bore is drawn: it is no land, so nothing is measured or mapped there. */
public enum ChamberShape {
    /** The full bore: a deck, or a head with round chambers. */
    ROUND,
    /** A round opening cut off straight on the intake side, leaving a quench flat. */
    CUT_OFF,
    /** Beside the bore, over the valves that stand in the block, and reaching over a part of the bore: a plain lid. */
    BESIDE,
    /** No opening: the chamber is in the piston; two valve heads lie in the face. */
    VALVES_ONLY;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}

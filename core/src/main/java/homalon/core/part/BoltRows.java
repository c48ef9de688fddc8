package homalon.core.part;

import homalon.core.words.Message;

/** How the head bolts run. */
public enum BoltRows {
    NONE,
    /** One row along each long edge, at the ends and between the bores. */
    TWO,
    /** The two rows and a second pair closer to the bores, one at each bore. */
    FOUR,
    /** The two rows and one hole more between every two bores and at both ends, along the middle. */
    THREE,
    /** Six about each bore, shared by neighbours where they meet. */
    AROUND;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}

package homalon.core.integrity;

import homalon.core.words.Message;

/** What is done in a moment and forgotten as fast: each is ticked with a name. */
public enum SmallCheck {
    DOWELS_OUT,
    HOLES_CHASED,
    PASSAGES_BRUSHED,
    OILED_AND_BAGGED;

    private final Message words = Message.of(this, "words");
    private final Message because = Message.of(this, "because");

    public Message words() {
        return words;
    }

    public Message because() {
        return because;
    }
}

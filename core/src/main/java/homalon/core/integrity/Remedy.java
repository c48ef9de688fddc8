package homalon.core.integrity;

import homalon.core.words.Message;

/** What becomes of a crack, in rising cost. */
public enum Remedy {
    LEAVE,
    PROVE,
    STITCH,
    STITCH_AND_INSERT,
    WELD,
    SLEEVE,
    SCRAP;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}

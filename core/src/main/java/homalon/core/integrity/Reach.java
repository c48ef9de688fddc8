package homalon.core.integrity;

import homalon.core.words.Message;

/** What a crack reaches. */
public enum Reach {
    WATER,
    OIL,
    COMBUSTION,
    BOLT,
    WEB;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}

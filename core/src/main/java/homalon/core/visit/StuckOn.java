package homalon.core.visit;

import homalon.core.words.Message;

/** Whom or what a part waits for. */
public enum StuckOn {
    CUSTOMER,
    PARTS,
    CHECK;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }

    /** Within a sentence. */
    public Message within() {
        return Message.small(words);
    }
}

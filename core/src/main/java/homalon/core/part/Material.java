package homalon.core.part;

import homalon.core.words.Message;

/** What the casting is made of; chooses cutters, cleaning and pass depths. */
public enum Material {
    CAST_IRON,
    ALUMINIUM;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}

package homalon.core.part;

import homalon.core.words.Message;

/** What is on the bench. */
public enum PartKind {
    HEAD,
    DECK;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}

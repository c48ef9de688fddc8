package homalon.core.part;

import homalon.core.words.Message;

/** What a valve lets through. */
public enum ValveKind {
    INTAKE("I"),
    EXHAUST("E");

    private final Message words = Message.of(this);
    private final String letter;

    ValveKind(String letter) {
        this.letter = letter;
    }

    public Message words() {
        return words;
    }

    public String letter() {
        return letter;
    }
}

package homalon.core.money;

import homalon.core.route.Finding;
import homalon.core.words.Message;

/** Where a shop asks every customer by itself, once, whatever was agreed. */
public enum AskPoint {
    LOOK(Finding.LOOK_DONE),
    METAL(Finding.METAL_ENDS),
    PROMISE(Finding.PROMISE_BROKEN);

    private final Message words = Message.of(this);
    private final Finding why;

    AskPoint(Finding why) {
        this.why = why;
    }

    public Message words() {
        return words;
    }

    /** What is written down as the reason. */
    public Finding why() {
        return why;
    }
}

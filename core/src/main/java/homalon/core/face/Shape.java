package homalon.core.face;

import homalon.core.words.Message;

/** The largest part of a face's departure from flat, named the way the trade does. */
public enum Shape {
    FLAT,
    HOLLOW_LENGTHWISE,
    CROWNED_LENGTHWISE,
    HOLLOW_CROSSWISE,
    CROWNED_CROSSWISE,
    TWISTED,
    LOCAL,
    MIXED;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}

package homalon.core.rulebook;

import homalon.core.words.Message;

/** Where a limit comes from, strongest first. */
public enum Source {
    MAKER,
    GASKET,
    SHOP,
    RULES,
    OWNER,
    /** What gaskets of the kind that was chosen usually ask. */
    GASKET_KIND,
    DEFAULT;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }

    public boolean outranks(Source other) {
        return ordinal() < other.ordinal();
    }
}

package homalon.core.rulebook;

import homalon.core.words.Message;

/** Where a limit comes from, strongest first. */
public enum Source {
    MAKER,
    GASKET,
    SHOP,
    RULES,
    OWNER,
    /** What this shop asks for gaskets of the kind that was chosen. */
    SHOP_GASKET_KIND,
    /** What gaskets of the kind that was chosen usually ask. */
    GASKET_KIND,
    /** What this shop asks where nothing was entered. */
    SHOP_DEFAULT,
    DEFAULT;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }

    /** Entered for the one casting, by whoever asks it. */
    public boolean entered() {
        return compareTo(SHOP_GASKET_KIND) < 0;
    }

    /** Neither entered for the one casting nor asked by its gasket. */
    public boolean usual() {
        return this == SHOP_DEFAULT || this == DEFAULT;
    }

    public boolean outranks(Source other) {
        return ordinal() < other.ordinal();
    }
}

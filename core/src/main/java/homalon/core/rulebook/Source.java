package homalon.core.rulebook;

/** Where a limit comes from, strongest first. */
public enum Source {
    MAKER("maker's book"),
    GASKET("gasket maker"),
    SHOP("shop rule"),
    RULES("class rules"),
    OWNER("the owner's wish"),
    /** What gaskets of the kind that was chosen usually ask. */
    GASKET_KIND("default for that kind of gasket"),
    DEFAULT("general default, not from a book");

    private final String words;

    Source(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    public boolean outranks(Source other) {
        return ordinal() < other.ordinal();
    }
}

package homalon.core.part;

/** How the head bolts run. */
public enum BoltRows {
    NONE("no bolt holes"),
    /** One row along each long edge, at the ends and between the bores. */
    TWO("two rows"),
    /** The two rows and a second pair closer to the bores, one at each bore. */
    FOUR("four rows");

    private final String words;

    BoltRows(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

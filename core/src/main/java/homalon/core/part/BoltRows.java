package homalon.core.part;

/** How the head bolts run. */
public enum BoltRows {
    NONE("no bolt holes"),
    /** One row along each long edge, at the ends and between the bores. */
    TWO("two rows"),
    /** The two rows and a second pair closer to the bores, one at each bore. */
    FOUR("four rows"),
    /** The two rows and one hole more between every two bores and at both ends, along the middle. */
    THREE("two rows and one along the middle"),
    /** Six about each bore, shared by neighbours where they meet. */
    AROUND("six around each bore");

    private final String words;

    BoltRows(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

package homalon.app.check.feelers;

/** Two ways to work with feelers. */
public enum Way {
    /** The thickest blade that goes is found at every place. */
    FIND("find the gap"),
    /** One blade, as thick as the limit: it goes or it does not. */
    LIMIT("limit blade only");

    private final String words;

    Way(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

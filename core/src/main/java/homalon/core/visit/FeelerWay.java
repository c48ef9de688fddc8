package homalon.core.visit;

/** Two ways to work with feelers. */
public enum FeelerWay {
    /** The thickest blade that goes is found at every place. */
    FIND("find the gap"),
    /** One blade, as thick as the limit: it goes or it does not. */
    LIMIT("limit blade only");

    private final String words;

    FeelerWay(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

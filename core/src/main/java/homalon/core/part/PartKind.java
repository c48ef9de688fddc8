package homalon.core.part;

/** What is on the bench. */
public enum PartKind {
    HEAD("head"),
    DECK("block deck");

    private final String words;

    PartKind(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

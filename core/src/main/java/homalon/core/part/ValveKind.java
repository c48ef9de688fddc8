package homalon.core.part;

/** What a valve lets through. */
public enum ValveKind {
    INTAKE("intake", "I"),
    EXHAUST("exhaust", "E");

    private final String words;
    private final String letter;

    ValveKind(String words, String letter) {
        this.words = words;
        this.letter = letter;
    }

    public String words() {
        return words;
    }

    public String letter() {
        return letter;
    }
}

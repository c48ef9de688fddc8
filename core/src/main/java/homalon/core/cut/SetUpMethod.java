package homalon.core.cut;

import homalon.core.words.Message;

/** Four ways to choose the plane that is set level with the cutter. Practitioners differ; all are always shown. */
public enum SetUpMethod {
    LEAST_REMOVAL("least"),
    AVERAGE("average"),
    CORNERS("corners"),
    PARALLEL("parallel");

    private static final Message CRANK_LINE = Message.of("cut.parallel-to-the-crank-line");

    private final Message words = Message.of(this, "words");
    private final String brief;
    private final Message meaning = Message.of(this, "meaning");

    SetUpMethod(String brief) {
        this.brief = brief;
    }

    public Message words() {
        return words;
    }

    /** @param crankLine whether the reference is the crank line, as a deck index gives it, and not the other deck */
    public Message words(boolean crankLine) {
        return this == PARALLEL && crankLine ? CRANK_LINE : words;
    }

    /** In one word, where the four stand in a row. */
    public String brief() {
        return brief;
    }

    public Message meaning() {
        return meaning;
    }
}

package homalon.app.part;

/** The steps of a visit in the order in which the work goes. */
public enum StepKind {
    BOOKED("Booked in", "intake", 'i'),
    FACE("Face", "face", 'f'),
    PLAN("Plan", "plan", 'p'),
    CUT("Cut", "cut", 'c'),
    PROVE("Prove", "proof", 'v'),
    HAND_OVER("Hand over", "report", 'h');

    private final String words;
    private final String path;
    private final char key;

    StepKind(String words, String path, char key) {
        this.words = words;
        this.path = path;
        this.key = key;
    }

    public String words() {
        return words;
    }

    /** Last part of the step's address. */
    public String path() {
        return path;
    }

    /** Goes to the step after {@code g}. */
    public char key() {
        return key;
    }
}

package homalon.app.foundation.web;

/** Something odd was keyed: it is kept once it is keyed again. */
public final class AskAgainException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final long seen;

    /** @param sentence what is odd, and that Enter keeps it */
    public AskAgainException(String sentence) {
        this(sentence, 0);
    }

    /**
     * Somebody else wrote there since the hand looked.
     *
     * @param sentence who wrote what, and that Enter puts one's own in its place
     * @param seen number of the line that the hand knows from now on
     */
    public AskAgainException(String sentence, long seen) {
        super(sentence);
        this.seen = seen;
    }

    /** Zero where the question is about the value itself. */
    public long seen() {
        return seen;
    }
}

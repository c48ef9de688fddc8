package homalon.app.web;

/** Something odd was keyed: it is kept once it is keyed again. */
public final class AskAgainException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** @param sentence what is odd, and that Enter keeps it */
    public AskAgainException(String sentence) {
        super(sentence);
    }
}

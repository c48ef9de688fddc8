package homalon.app.foundation.web;

/** What was asked for is not in the shop; the message is a sentence that says what to do. */
public final class NotHereException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotHereException(String sentence) {
        super(sentence);
    }
}

package homalon.app.foundation.load;

/** There is no room for this just now; it may be sent again in a while. */
public final class BusyException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** After how many seconds to ask again. */
    public static final int LATER = 5;

    public BusyException(String sentence) {
        super(sentence);
    }
}

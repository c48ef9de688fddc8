package homalon.core.quantity;

import java.util.Objects;

/** What was keyed is not a length; the message is a sentence for the person who keyed it. */
public final class NotALengthException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    public NotALengthException(String sentence) {
        super(sentence);
    }

    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage());
    }
}

package homalon.core.quantity;

import homalon.core.input.RefusedInputException;
import homalon.core.words.Message;

/** What was keyed is not a length. */
public final class NotALengthException extends RefusedInputException {
    private static final long serialVersionUID = 1L;

    public NotALengthException(Message sentence) {
        super(sentence);
    }
}

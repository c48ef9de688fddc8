package homalon.core.input;

import homalon.core.words.Message;

/** What was keyed or sent cannot be; the sentence says what to give instead. */
public abstract class RefusedInputException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final transient Message sentence;

    protected RefusedInputException(Message sentence) {
        super(sentence.toString());
        this.sentence = sentence;
    }

    /** For the person who keyed it. */
    public Message sentence() {
        return sentence;
    }
}

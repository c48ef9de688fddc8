package homalon.core.visit;

import homalon.core.words.Message;

/** Two ways to work with feelers. */
public enum FeelerWay {
    /** The thickest blade that goes is found at every place. */
    FIND,
    /** One blade, as thick as the limit: it goes or it does not. */
    LIMIT;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}

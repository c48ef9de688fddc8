package homalon.core.surface;

import homalon.core.words.Message;

/** What a face may have beside bow, twist and a smooth local part. A face has one of these at the most in the model. */
public enum Fault {
    /** A hollow that nothing told of: eroded, dented, rubbed away. */
    DIP(true),
    /** A hollow where the gasket was seen to be gone. */
    GASKET(true),
    /** Ripples of a worn table or a loose cutter. */
    WAVES(false),
    /** An edge that a cutter or a wheel left. */
    STEP(false),
    /** Metal pulled up around the bolt holes. */
    BOLTS(true);

    private final Message words = Message.of(this);
    private final boolean oneWay;

    /** @param oneWay whether it only ever goes one way: down for a hollow, up for pulled metal */
    Fault(boolean oneWay) {
        this.oneWay = oneWay;
    }

    public Message words() {
        return words;
    }

    boolean oneWay() {
        return oneWay;
    }
}

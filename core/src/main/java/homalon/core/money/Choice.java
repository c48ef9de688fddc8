package homalon.core.money;

import homalon.core.words.Message;

/** What a customer may say once it was told what a casting comes to. */
public enum Choice {
    /** The work that was shown. */
    GO_ON(true),
    /** The work, once parts that are the customer's own are here. */
    OWN_PARTS(true),
    /** No work on this one: another casting takes its place. */
    REPLACE(false),
    /** No work: the look is paid for, and it goes back as it is. */
    STOP(false);

    private final Message words = Message.of(this);
    private final boolean goesOn;

    Choice(boolean goesOn) {
        this.goesOn = goesOn;
    }

    public Message words() {
        return words;
    }

    /** Whether work goes on. */
    public boolean goesOn() {
        return goesOn;
    }

    /** By what means it was said. */
    public enum By {
        IN_PERSON,
        PHONE,
        MAIL,
        /** By the customer itself, on its page. */
        PAGE;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }
}

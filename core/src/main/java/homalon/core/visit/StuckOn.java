package homalon.core.visit;

/** Whom or what a part waits for. */
public enum StuckOn {
    CUSTOMER("On the customer"),
    PARTS("On parts"),
    CHECK("On a check");

    private final String words;

    StuckOn(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

package homalon.core.integrity;

/** What a crack reaches. */
public enum Reach {
    WATER("water"),
    OIL("oil"),
    COMBUSTION("combustion"),
    BOLT("a bolt hole"),
    WEB("the main web");

    private final String words;

    Reach(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

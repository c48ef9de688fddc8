package homalon.app.foundation.people;

/** What a person may do. */
public enum Role {
    OWNER("owner"),
    MACHINIST("machinist"),
    DESK("desk");

    private final String words;

    Role(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

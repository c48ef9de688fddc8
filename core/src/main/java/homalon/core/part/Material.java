package homalon.core.part;

/** What the casting is made of; chooses cutters, cleaning and pass depths. */
public enum Material {
    CAST_IRON("cast iron"),
    ALUMINIUM("aluminium");

    private final String words;

    Material(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

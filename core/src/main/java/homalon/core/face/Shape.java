package homalon.core.face;

/** The largest part of a face's departure from flat, named the way the trade does. */
public enum Shape {
    FLAT("flat"),
    HOLLOW_LENGTHWISE("hollow lengthwise"),
    CROWNED_LENGTHWISE("crowned lengthwise"),
    HOLLOW_CROSSWISE("hollow crosswise"),
    CROWNED_CROSSWISE("crowned crosswise"),
    TWISTED("twisted"),
    LOCAL("local: a dip or a burr, no bow and no twist"),
    MIXED("mixed: no one shape holds half of it");

    private final String words;

    Shape(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

package homalon.core.integrity;

/** What becomes of a crack, in rising cost. */
public enum Remedy {
    LEAVE("leave and note"),
    PROVE("prove it by pressure first"),
    STITCH("stitch with tapered pins"),
    STITCH_AND_INSERT("stitch, then insert over it"),
    WELD("weld, by a specialist"),
    SLEEVE("sleeve"),
    SCRAP("scrap");

    private final String words;

    Remedy(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

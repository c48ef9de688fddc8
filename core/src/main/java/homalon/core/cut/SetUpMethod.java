package homalon.core.cut;

/** Four ways to choose the plane that is set level with the cutter. Practitioners differ; all are always shown. */
public enum SetUpMethod {
    LEAST_REMOVAL("Least removal", "least", "the plane that cleans up with the least metal off"),
    AVERAGE("Average of all", "average", "the least-squares plane of the sealing places"),
    CORNERS("Corners level", "corners", "the plane through chosen corners"),
    PARALLEL("Parallel to the other deck", "parallel", "parallel to a reference, for squareness; takes the taper out");

    private final String words;
    private final String brief;
    private final String meaning;

    SetUpMethod(String words, String brief, String meaning) {
        this.words = words;
        this.brief = brief;
        this.meaning = meaning;
    }

    public String words() {
        return words;
    }

    /** In one word, where the four stand in a row. */
    public String brief() {
        return brief;
    }

    public String meaning() {
        return meaning;
    }
}

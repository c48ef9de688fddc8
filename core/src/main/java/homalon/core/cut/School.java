package homalon.core.cut;

/** Four ways to choose the plane that is set level with the cutter. Practitioners differ; all are always shown. */
public enum School {
    LEAST_REMOVAL("Least removal", "the plane that cleans up with the least metal off"),
    AVERAGE("Average of all", "the least-squares plane of the sealing places"),
    CORNERS("Corners level", "the plane through chosen corners"),
    PARALLEL("Parallel to the other deck", "parallel to a reference, for squareness; takes the taper out");

    private final String words;
    private final String meaning;

    School(String words, String meaning) {
        this.words = words;
        this.meaning = meaning;
    }

    public String words() {
        return words;
    }

    public String meaning() {
        return meaning;
    }
}

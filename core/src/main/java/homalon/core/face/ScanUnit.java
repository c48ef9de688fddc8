package homalon.core.face;

/** Units in which scanners write, and how many millimetres each is. */
public enum ScanUnit {
    MM("mm", 1),
    MICRON("micrometres", 0.001),
    INCH("inches", 25.4),
    THOU("thou", 0.0254),
    METRE("metres", 1000);

    private final String words;
    private final double mm;

    ScanUnit(String words, double mm) {
        this.words = words;
        this.mm = mm;
    }

    public String words() {
        return words;
    }

    public double mm() {
        return mm;
    }
}

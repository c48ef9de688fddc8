package homalon.core.face;

import homalon.core.words.Message;

/** Units in which scanners write, and how many millimetres each is. */
public enum ScanUnit {
    MM(1),
    MICRON(0.001),
    INCH(25.4),
    THOU(0.0254),
    METRE(1000);

    private final Message words = Message.of(this);
    private final double mm;

    ScanUnit(double mm) {
        this.mm = mm;
    }

    public Message words() {
        return words;
    }

    public double mm() {
        return mm;
    }
}

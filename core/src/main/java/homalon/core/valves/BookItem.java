package homalon.core.valves;

import homalon.core.part.ValveKind;
import java.util.OptionalDouble;

/** What a maker's book, a shop rule or a general default says about valves of one kind. Lengths in mm. */
public enum BookItem {
    HEAD_DIAMETER("Valve head diameter", Unit.SIZE, 8, 150),
    STEM("Stem, nominal", Unit.SIZE, 3, 40),
    CLEARANCE_LEAST("Stem clearance new, least", Unit.SMALL, 0.001, 1, 0.03, 0.04),
    CLEARANCE_MOST("Stem clearance new, most", Unit.SMALL, 0.001, 1, 0.06, 0.07),
    CLEARANCE_SERVICE("Stem clearance, service limit", Unit.SMALL, 0.001, 1, 0.10, 0.12),
    BELL_MOUTH("Bell-mouth, most", Unit.SMALL, 0.001, 1, 0.03, 0.03),
    OVALITY("Ovality, most", Unit.SMALL, 0.001, 1, 0.03, 0.03),
    GUIDE_LENGTH("Guide length", Unit.SIZE, 5, 300),
    GUIDE_HEIGHT("Guide height", Unit.SIZE, 0.1, 300),
    FACE_ANGLE("Seat angle", Unit.DEGREES, 15, 75, 45, 45),
    TOP_ANGLE("Top angle", Unit.DEGREES, 0, 60, 30, 30),
    THROAT_ANGLE("Throat angle", Unit.DEGREES, 20, 88, 60, 60),
    BOWL_ANGLE("Fourth angle, under the throat", Unit.DEGREES, 25, 88),
    BOWL_EDGE("Where the fourth begins, diameter", Unit.SIZE, 5, 150),
    WIDTH_LEAST("Seat width, least", Unit.SMALL, 0.2, 6, 1.0, 1.5),
    WIDTH_MOST("Seat width, most", Unit.SMALL, 0.2, 6, 1.5, 2.0),
    INSET("Contact inside the valve's edge", Unit.SMALL, 0, 5, 0.5, 0.5),
    RUNOUT_GOOD("Runout good to", Unit.SMALL, 0.001, 1, 0.05, 0.05),
    RUNOUT_BAD("Runout bad above", Unit.SMALL, 0.001, 1, 0.08, 0.08),
    MARGIN("Margin, least", Unit.SMALL, 0.1, 10, 0.8, 1.0),
    RECESSION("Head below the face, most", Unit.SIGNED, -20, 20),
    TIP("Stem tip above spring seat, most", Unit.SIZE, 5, 200),
    SINK("Sink by seat work, most", Unit.SMALL, 0.05, 10, 0.5, 0.5),
    VACUUM("Vacuum to hold, kPa", Unit.KPA, 5, 100, 60, 60),
    FALL("Vacuum, seconds to fall, least", Unit.SECONDS, 1, 600, 10, 10),
    SPRING_HEIGHT("Spring, installed height", Unit.SIZE, 5, 200),
    SPRING_FREE("Spring, free length", Unit.SIZE, 5, 250),
    SPRING_SOLID("Spring, solid height", Unit.SIZE, 3, 200),
    SPRING_RATE("Spring rate, N per mm", Unit.RATE, 1, 500),
    LOCATOR("Spring locator, thickness", Unit.SMALL, 0, 10),
    LIFT("Lift at the valve", Unit.SIZE, 1, 40),
    ROCKER_RATIO("Rocker ratio", Unit.RATIO, 0.5, 3),
    OFFSET("Exhaust deeper than intake by", Unit.SIGNED, -10, 10);

    /** What it is in. */
    public enum Unit {
        SIZE,
        SMALL,
        SIGNED,
        DEGREES,
        KPA,
        SECONDS,
        RATE,
        RATIO;

        public boolean isLength() {
            return this == SIZE || this == SMALL || this == SIGNED;
        }
    }

    private final String words;
    private final Unit unit;
    private final double least;
    private final double most;
    private final double intake;
    private final double exhaust;

    BookItem(String words, Unit unit, double least, double most) {
        this(words, unit, least, most, Double.NaN, Double.NaN);
    }

    BookItem(String words, Unit unit, double least, double most, double intake, double exhaust) {
        this.words = words;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.intake = intake;
        this.exhaust = exhaust;
    }

    public String words() {
        return words;
    }

    public Unit unit() {
        return unit;
    }

    public double least() {
        return least;
    }

    public double most() {
        return most;
    }

    /** General default; empty where only a book can say. */
    public OptionalDouble usual(ValveKind kind) {
        double value = kind == ValveKind.INTAKE ? intake : exhaust;
        return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}

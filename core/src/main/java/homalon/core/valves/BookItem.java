package homalon.core.valves;

import homalon.core.guides.GuideLimits;
import homalon.core.part.ValveKind;
import java.util.OptionalDouble;

/** What a maker's book, a shop rule or a general default says about valves of one kind. Lengths in mm. */
public enum BookItem {
    HEAD_DIAMETER("Valve head diameter", Unit.SIZE, 8, 150),
    STEM("Stem, nominal", Unit.SIZE, 3, 40),
    CLEARANCE_LEAST("Stem clearance new, least", Unit.SMALL, 0.001, 1),
    CLEARANCE_MOST("Stem clearance new, most", Unit.SMALL, 0.001, 1),
    CLEARANCE_SERVICE("Stem clearance, service limit", Unit.SMALL, 0.001, 1),
    BELL_MOUTH("Bell-mouth, most", Unit.SMALL, 0.001, 1),
    OVALITY("Ovality, most", Unit.SMALL, 0.001, 1),
    GUIDE_LENGTH("Guide length", Unit.SIZE, 5, 300),
    GUIDE_HEIGHT("Guide height", Unit.SIZE, 0.1, 300),
    FACE_ANGLE("Seat angle", Unit.DEGREES, 15, 75, 45, 45),
    TOP_ANGLE("Top angle", Unit.DEGREES, 0, 60, 30, 30),
    THROAT_ANGLE("Throat angle", Unit.DEGREES, 20, 88, 60, 60),
    BOWL_ANGLE("Fourth angle, under the throat", Unit.DEGREES, 25, 88),
    BOWL_EDGE("Where the fourth begins, diameter", Unit.SIZE, 5, 150),
    WIDTH_LEAST("Seat width, least", Unit.SMALL, 0.2, 6, 1.0, 1.5),
    WIDTH_MOST("Seat width, most", Unit.SMALL, 0.2, 6, 1.5, 2.0),
    INSET_LEAST("Contact inside the valve's edge, least", Unit.SMALL, 0, 5, 0.1, 0.1),
    INSET("Contact inside the valve's edge, most", Unit.SMALL, 0, 5, 0.5, 0.5),
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

    /** What a seat's top cut is where its face has 30 degrees: it has to be flatter. */
    private static final double TOP_OF_FLAT_FACE = 15;

    private static final double FLAT_FACE = 30;
    /** A raced engine's seats are narrower and nearer the valve's edge. */
    private static final double RACING_INSET = 0.3;

    /**
     * General default; empty where only a book can say.
     *
     * @param by what some defaults go by
     */
    public OptionalDouble usual(ValveKind kind, Basis by) {
        GuideLimits guide = GuideLimits.usual(kind == ValveKind.EXHAUST, by.stem());
        double value = switch (this) {
            case CLEARANCE_LEAST -> guide.least();
            case CLEARANCE_MOST -> guide.most();
            case CLEARANCE_SERVICE -> guide.service();
            case BELL_MOUTH -> guide.bellMouth();
            case OVALITY -> guide.ovality();
            case TOP_ANGLE -> by.faceAngle() <= FLAT_FACE ? TOP_OF_FLAT_FACE : intake;
            case INSET_LEAST -> by.racing() ? 0 : intake;
            case INSET -> by.racing() ? RACING_INSET : intake;
            case WIDTH_LEAST -> by.racing() ? own(kind, 0.8, 1.2) : own(kind, intake, exhaust);
            case WIDTH_MOST -> by.racing() ? own(kind, 1.2, 1.6) : own(kind, intake, exhaust);
            default -> own(kind, intake, exhaust);
        };
        return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static double own(ValveKind kind, double intake, double exhaust) {
        return kind == ValveKind.INTAKE ? intake : exhaust;
    }

    /**
     * What defaults go by.
     *
     * @param stem diameter, mm
     * @param faceAngle of the seats, degrees
     * @param racing the engine is raced
     */
    public record Basis(double stem, double faceAngle, boolean racing) {
        /** Where nobody keyed or measured anything. */
        public static final Basis NONE = new Basis(8, 45, false);

        /** A measured stem stands for the size it was made to, which is a little more: to the nearest half millimetre. */
        public static double nominal(double measured) {
            return Math.round(measured * 2) / 2.0;
        }
    }
}

package homalon.core.valves;

import homalon.core.guides.GuideLimits;
import homalon.core.part.ValveKind;
import homalon.core.quantity.Quantity;
import homalon.core.words.Message;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a maker's book, a shop rule or a general default says about valves of one kind. Lengths in mm. */
public enum BookItem {
    HEAD_DIAMETER(Unit.SIZE, 8, 150),
    STEM(Unit.SIZE, 3, 40),
    CLEARANCE_LEAST(Unit.SMALL, 0.001, 1),
    CLEARANCE_MOST(Unit.SMALL, 0.001, 1),
    CLEARANCE_SERVICE(Unit.SMALL, 0.001, 1),
    BELL_MOUTH(Unit.SMALL, 0.001, 1),
    OVALITY(Unit.SMALL, 0.001, 1),
    GUIDE_LENGTH(Unit.SIZE, 5, 300),
    GUIDE_HEIGHT(Unit.SIZE, 0.1, 300),
    FACE_ANGLE(Unit.DEGREES, 15, 75, 45, 45),
    TOP_ANGLE(Unit.DEGREES, 0, 60, 30, 30),
    THROAT_ANGLE(Unit.DEGREES, 20, 88, 60, 60),
    BOWL_ANGLE(Unit.DEGREES, 25, 88),
    BOWL_EDGE(Unit.SIZE, 5, 150),
    WIDTH_LEAST(Unit.SMALL, 0.2, 6, 1.0, 1.5),
    WIDTH_MOST(Unit.SMALL, 0.2, 6, 1.5, 2.0),
    INSET_LEAST(Unit.SMALL, 0, 5, 0.1, 0.1),
    INSET(Unit.SMALL, 0, 5, 0.5, 0.5),
    RUNOUT_GOOD(Unit.SMALL, 0.001, 1, 0.05, 0.05),
    RUNOUT_BAD(Unit.SMALL, 0.001, 1, 0.08, 0.08),
    MARGIN(Unit.SMALL, 0.1, 10, 0.8, 1.0),
    RECESSION(Unit.SIGNED, -20, 20),
    TIP(Unit.SIZE, 5, 200),
    SINK(Unit.SMALL, 0.05, 10, 0.5, 0.5),
    VACUUM(Unit.KPA, 5, 100, 60, 60),
    FALL(Unit.SECONDS, 1, 600, 10, 10),
    SPRING_HEIGHT(Unit.SIZE, 5, 200),
    SPRING_FREE(Unit.SIZE, 5, 250),
    SPRING_SOLID(Unit.SIZE, 3, 200),
    SPRING_RATE(Unit.RATE, 1, 500),
    LOCATOR(Unit.SMALL, 0, 10),
    LIFT(Unit.SIZE, 1, 40),
    ROCKER_RATIO(Unit.RATIO, 0.5, 3),
    OFFSET(Unit.SIGNED, -10, 10);

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

        /** Empty for lengths and for what is in the same unit at every bench. */
        public Optional<Quantity> quantity() {
            return switch (this) {
                case KPA -> Optional.of(Quantity.VACUUM);
                case RATE -> Optional.of(Quantity.SPRING_RATE);
                default -> Optional.empty();
            };
        }
    }

    private final Message words = Message.of(this);
    private final Unit unit;
    private final double least;
    private final double most;
    /** Defaults of an intake and of an exhaust valve; empty where only a book can say. */
    private final OptionalDouble intake;

    private final OptionalDouble exhaust;

    BookItem(Unit unit, double least, double most) {
        this(unit, least, most, OptionalDouble.empty(), OptionalDouble.empty());
    }

    BookItem(Unit unit, double least, double most, double intake, double exhaust) {
        this(unit, least, most, OptionalDouble.of(intake), OptionalDouble.of(exhaust));
    }

    BookItem(Unit unit, double least, double most, OptionalDouble intake, OptionalDouble exhaust) {
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.intake = intake;
        this.exhaust = exhaust;
    }

    public Message words() {
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
        boolean in = kind == ValveKind.INTAKE;
        OptionalDouble usual = in ? intake : exhaust;
        return switch (this) {
            case CLEARANCE_LEAST -> OptionalDouble.of(guide.least());
            case CLEARANCE_MOST -> OptionalDouble.of(guide.most());
            case CLEARANCE_SERVICE -> OptionalDouble.of(guide.service());
            case BELL_MOUTH -> OptionalDouble.of(guide.bellMouth());
            case OVALITY -> OptionalDouble.of(guide.ovality());
            case TOP_ANGLE -> by.faceAngle() <= FLAT_FACE ? OptionalDouble.of(TOP_OF_FLAT_FACE) : intake;
            case INSET_LEAST -> by.racing() ? OptionalDouble.of(0) : intake;
            case INSET -> by.racing() ? OptionalDouble.of(RACING_INSET) : intake;
            case WIDTH_LEAST -> by.racing() ? OptionalDouble.of(in ? 0.8 : 1.2) : usual;
            case WIDTH_MOST -> by.racing() ? OptionalDouble.of(in ? 1.2 : 1.6) : usual;
            default -> usual;
        };
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

package homalon.core.valves;

import homalon.core.guides.GuideLimits;
import homalon.core.part.ValveKind;
import homalon.core.quantity.Quantity;
import homalon.core.rulebook.BookDefaults;
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
    FACE_ANGLE(Unit.DEGREES, 15, 75, same(45)),
    TOP_ANGLE(Unit.DEGREES, 0, 60, same(30)),
    THROAT_ANGLE(Unit.DEGREES, 20, 88, same(60)),
    BOWL_ANGLE(Unit.DEGREES, 25, 88),
    BOWL_EDGE(Unit.SIZE, 5, 150),
    WIDTH_LEAST(Unit.SMALL, 0.2, 6, round(1.0, 40), round(1.5, 60)),
    WIDTH_MOST(Unit.SMALL, 0.2, 6, round(1.5, 60), round(2.0, 80)),
    INSET_LEAST(Unit.SMALL, 0, 5, round(0.1, 4)),
    INSET(Unit.SMALL, 0, 5, round(0.5, 20)),
    RUNOUT_GOOD(Unit.SMALL, 0.001, 1, round(0.05, 2)),
    RUNOUT_BAD(Unit.SMALL, 0.001, 1, round(0.08, 3)),
    MARGIN(Unit.SMALL, 0.1, 10, round(0.8, 30), round(1.0, 40)),
    RECESSION(Unit.SIGNED, -20, 20),
    TIP(Unit.SIZE, 5, 200),
    SINK(Unit.SMALL, 0.05, 10, round(0.5, 20)),
    VACUUM(Unit.KPA, 5, 100, shop -> shop.roundVacuum(60, 18)),
    FALL(Unit.SECONDS, 1, 600, same(10)),
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
    private final Optional<Round> intake;

    private final Optional<Round> exhaust;

    /** A general value in a shop. */
    private interface Round {
        double in(BookDefaults shop);
    }

    private static Round round(double mm, double thou) {
        return shop -> shop.round(mm, thou);
    }

    /** What is no length. */
    private static Round same(double value) {
        return shop -> value;
    }

    BookItem(Unit unit, double least, double most) {
        this(unit, least, most, Optional.empty(), Optional.empty());
    }

    BookItem(Unit unit, double least, double most, Round usual) {
        this(unit, least, most, usual, usual);
    }

    BookItem(Unit unit, double least, double most, Round intake, Round exhaust) {
        this(unit, least, most, Optional.of(intake), Optional.of(exhaust));
    }

    BookItem(Unit unit, double least, double most, Optional<Round> intake, Optional<Round> exhaust) {
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

    /** What a shop keeps its own figure under. */
    public String name(ValveKind kind) {
        return "VALVE_" + kind.letter() + "_" + name();
    }

    /**
     * What stands where nothing was keyed: the shop's own figure, else the general default; empty where only a book can say.
     *
     * @param by what some defaults go by
     */
    public OptionalDouble usual(ValveKind kind, Basis by) {
        OptionalDouble own = by.shop().own(name(kind));
        return own.isPresent() ? own : general(kind, by);
    }

    /** General default; empty where only a book can say. */
    public OptionalDouble general(ValveKind kind, Basis by) {
        BookDefaults shop = by.shop();
        GuideLimits guide = GuideLimits.usual(kind == ValveKind.EXHAUST, by.stem(), shop);
        boolean in = kind == ValveKind.INTAKE;
        return switch (this) {
            case CLEARANCE_LEAST -> OptionalDouble.of(guide.least());
            case CLEARANCE_MOST -> OptionalDouble.of(guide.most());
            case CLEARANCE_SERVICE -> OptionalDouble.of(guide.service());
            case BELL_MOUTH -> OptionalDouble.of(guide.bellMouth());
            case OVALITY -> OptionalDouble.of(guide.ovality());
            case TOP_ANGLE -> by.faceAngle() <= FLAT_FACE ? OptionalDouble.of(TOP_OF_FLAT_FACE) : figure(intake, shop);
            default ->
                figure((by.racing() ? raced(in) : Optional.<Round>empty()).or(() -> in ? intake : exhaust), shop);
        };
    }

    /** A raced engine's seats are narrower and nearer the valve's edge. */
    private Optional<Round> raced(boolean in) {
        return switch (this) {
            case INSET_LEAST -> Optional.of(same(0));
            case INSET -> Optional.of(round(0.3, 12));
            case WIDTH_LEAST -> Optional.of(in ? round(0.8, 30) : round(1.2, 50));
            case WIDTH_MOST -> Optional.of(in ? round(1.2, 50) : round(1.6, 65));
            default -> Optional.empty();
        };
    }

    private static OptionalDouble figure(Optional<Round> round, BookDefaults shop) {
        return round.map(r -> OptionalDouble.of(r.in(shop))).orElseGet(OptionalDouble::empty);
    }

    /**
     * What defaults go by.
     *
     * @param stem diameter, mm
     * @param faceAngle of the seats, degrees
     * @param racing the engine is raced
     * @param shop whose figures stand, and in whose unit general ones are round
     */
    public record Basis(double stem, double faceAngle, boolean racing, BookDefaults shop) {
        private static final double STEM = 8;
        private static final double FACE = 45;

        /** Where nobody keyed or measured anything. */
        public static Basis of(boolean racing, BookDefaults shop) {
            return new Basis(STEM, FACE, racing, shop);
        }

        /** A measured stem stands for the size it was made to, which is a little more: to the nearest half millimetre. */
        public static double nominal(double measured) {
            return Math.round(measured * 2) / 2.0;
        }
    }
}

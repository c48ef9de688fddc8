package homalon.core.chambers;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import homalon.core.quantity.Quantity;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What has to be known of the engine around a head before a cut can be judged. Lengths mm, volumes cm3, areas mm2, angles degrees.
 * Items of {@link Group#LIMITS} carry the source they come from.
 */
public enum EngineItem {
    BORE(Group.ENGINE, Unit.SIZE, 20, 500),
    STROKE(Group.ENGINE, Unit.SIZE, 10, 1000),
    GASKET_BORE(Group.ENGINE, Unit.SIZE, 20, 600),
    GASKET_AREA(Group.ENGINE, Unit.SQUARE, 100, 5e5),
    GASKET(Group.ENGINE, Unit.SMALL, 0.05, 10),
    DECK(Group.ENGINE, Unit.SIGNED, -20, 20),
    CROWN(Group.ENGINE, Unit.CC, -2000, 2000),
    PLAY(Group.ENGINE, Unit.SMALL, 0, 3),
    TOP_LAND(Group.ENGINE, Unit.SIZE, 0, 100),
    CHAMBER(Group.ENGINE, Unit.CC, 0, 2000),
    OPENING(Group.ENGINE, Unit.SQUARE, 100, 5e5),
    BLOCK_OPENING(Group.ENGINE, Unit.SQUARE, 100, 5e5),
    BURETTE(Group.ENGINE, Unit.CC, 5, 1000, 100),
    FILL_OPEN(Group.ENGINE, Unit.CC, 0.01, 5, ChamberVolume.DEFAULT_FILL),

    THICKNESS_LEAST(Group.LIMITS, Unit.SIZE, 1, 500),
    LIFE_MOST(Group.LIMITS, Unit.SMALL, 0.01, 20),
    SQUEEZE_LEAST(Group.LIMITS, Unit.SMALL, 0.1, 10),
    INTAKE_LEAST(Group.LIMITS, Unit.SMALL, 0.1, 10),
    EXHAUST_LEAST(Group.LIMITS, Unit.SMALL, 0.1, 10),
    RATIO_MOST(Group.LIMITS, Unit.RATIO, 2, 40),
    CLASS_RATIO(Group.LIMITS, Unit.RATIO, 2, 40),
    CLASS_CC(Group.LIMITS, Unit.CC, 1, 2000),
    CLASS_SPACE(Group.LIMITS, Unit.CC, 1, 4000),
    CLASS_BOWL(Group.LIMITS, Unit.CC, 0, 2000),
    CLASS_THICKNESS(Group.LIMITS, Unit.SIZE, 1, 500),
    CLASS_DECK(Group.LIMITS, Unit.SIGNED, -20, 20),
    WAY_METAL_LEAST(Group.LIMITS, Unit.SMALL, 0.5, 50),
    RECESSION_LEAST(Group.LIMITS, Unit.SIGNED, -20, 20),
    ROOM_LEAST(Group.LIMITS, Unit.SMALL, 0.1, 10),
    RETARD_MOST(Group.LIMITS, Unit.DEGREES, 0.1, 20, 1.0),
    PRELOAD_MOST(Group.LIMITS, Unit.SMALL, 0.05, 10),

    THINNEST(Group.MEASURED, Unit.SIZE, 1, 1000),
    INTAKE_ROOM(Group.MEASURED, Unit.SMALL, 0, 30),
    EXHAUST_ROOM(Group.MEASURED, Unit.SMALL, 0, 30),
    INTAKE_LEAN(Group.MEASURED, Unit.DEGREES, 0, 60),
    EXHAUST_LEAN(Group.MEASURED, Unit.DEGREES, 0, 60),
    SINK(Group.MEASURED, Unit.SMALL, 0, 5),
    WAY_METAL(Group.MEASURED, Unit.SMALL, 0, 100),
    RING_DEPTH(Group.MEASURED, Unit.SMALL, 0, 30),
    RECESSION(Group.MEASURED, Unit.SIGNED, -20, 20),
    ROOM(Group.MEASURED, Unit.SMALL, 0, 30),
    GOUGE(Group.MEASURED, Unit.SMALL, 0, 10),

    GRIND_MOST(Group.EQUAL, Unit.CC, 0, 50, Equalise.DEFAULT_GRIND_MOST),
    GRIND_MINUTES(Group.EQUAL, Unit.MINUTES, 1, 600, Equalise.DEFAULT_GRIND),
    SINK_MOST(Group.EQUAL, Unit.SMALL, 0, 5),
    SINK_MINUTES(Group.EQUAL, Unit.MINUTES, 1, 600, Equalise.DEFAULT_SINK),
    POCKET_MOST(Group.EQUAL, Unit.CC, 0, 100),
    POCKET_MINUTES(Group.EQUAL, Unit.MINUTES, 1, 600, Equalise.DEFAULT_POCKET),
    POCKET_DEEPER(Group.EQUAL, Unit.SMALL, 0.05, 20),
    POCKET_GAVE(Group.EQUAL, Unit.CC, 0.1, 100),
    INTAKE_HEAD(Group.EQUAL, Unit.SIZE, 8, 150),
    EXHAUST_HEAD(Group.EQUAL, Unit.SIZE, 8, 150),

    SPROCKET(Group.DRIVE, Unit.SIZE, 10, 300),
    BANK_HALF(Group.DRIVE, Unit.DEGREES, 0, 89),
    FLANGE_LEAN(Group.DRIVE, Unit.DEGREES, -60, 80),
    PRELOAD(Group.DRIVE, Unit.SMALL, 0, 10),
    BOLT_ROOM(Group.DRIVE, Unit.SMALL, 0, 50);

    /** Where an item stands on the form. */
    public enum Group {
        ENGINE,
        LIMITS,
        MEASURED,
        EQUAL,
        DRIVE;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /** What it is in. */
    public enum Unit {
        SIZE,
        SMALL,
        SIGNED,
        CC,
        SQUARE,
        RATIO,
        DEGREES,
        MINUTES;

        public boolean isLength() {
            return this == SIZE || this == SMALL || this == SIGNED;
        }

        /** What stands behind a field. */
        public String label(BenchUnit unit) {
            return switch (this) {
                case SIZE -> unit == BenchUnit.MM ? "mm" : "in";
                case SMALL, SIGNED -> unit.label();
                case CC -> "cc";
                case SQUARE -> Quantity.AREA.unit(unit);
                case RATIO -> ": 1";
                case DEGREES -> "°";
                case MINUTES -> "min";
            };
        }
    }

    private static final double MM2_PER_SQUARE_INCH = 645.16;
    private static final double CC_PER_CUBIC_INCH = 16.387064;
    private static final Pattern NUMBER =
            Pattern.compile("([+-]?(?:\\d{1,7}(?:\\.\\d{0,9})?|\\.\\d{1,9}))\\s*(\\S.*)?");

    private final Group group;
    private final Message words = Message.of(this);
    private final Unit unit;
    private final double least;
    private final double most;
    private final OptionalDouble usual;

    EngineItem(Group group, Unit unit, double least, double most) {
        this(group, unit, least, most, OptionalDouble.empty());
    }

    EngineItem(Group group, Unit unit, double least, double most, double usual) {
        this(group, unit, least, most, OptionalDouble.of(usual));
    }

    EngineItem(Group group, Unit unit, double least, double most, OptionalDouble usual) {
        this.group = group;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.usual = usual;
    }

    public Group group() {
        return group;
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

    /** What a shop keeps its own figure under. */
    public String ofShop() {
        return "ENGINE_" + name();
    }

    /** General default; empty where only a book or a measurement can say. */
    public OptionalDouble usual() {
        return usual;
    }

    /** What was typed at a bench as it is kept: a bare area is given the unit that it has there, since one without is in mm2. */
    public String asKept(String typed, BenchUnit bench) {
        boolean bare = typed.matches("[+-]?[0-9]*[.,]?[0-9]+[.,]?");
        return unit == Unit.SQUARE && bench == BenchUnit.THOU && bare ? typed + " in2" : typed;
    }

    /**
     * Reads what was keyed at a bench: a length as {@link Length} reads it; a volume in cc, or with {@code ci}; an area in mm2, or
     * with {@code in2}; a ratio as {@code 9.5} or {@code 9.5:1}.
     *
     * @throws BadInputException under the item's name, with a sentence that says what to key instead
     */
    public double read(String typed, BenchUnit bench) {
        double value;
        try {
            value = unit.isLength() ? length(typed, bench) : number(typed);
        } catch (NotALengthException e) {
            throw new BadInputException(name(), "text.colon", words, e.sentence());
        }
        if (value < least - 1e-9 || value > most + 1e-9) {
            throw new BadInputException(
                    name(),
                    "chambers.key-from-to-or-leave-it-blank",
                    words,
                    written(least, bench),
                    written(most, bench));
        }
        return value;
    }

    private double length(String typed, BenchUnit bench) {
        return (unit == Unit.SIZE ? Length.parseSize(typed, bench) : Length.parse(typed, bench)).mm();
    }

    private double number(String typed) {
        String tidy = typed.strip().toLowerCase(Locale.ROOT).replace(',', '.').replace('\u2212', '-');
        Matcher m = NUMBER.matcher(tidy);
        if (!m.matches()) {
            throw new BadInputException(name(), "chambers.key-a-number-such-as", words, example());
        }
        String suffix = m.group(2) == null ? "" : m.group(2).replace(" ", "");
        return Double.parseDouble(m.group(1)) * factor(suffix);
    }

    private double factor(String suffix) {
        boolean plain = suffix.isEmpty()
                || switch (unit) {
                    case CC -> suffix.equals("cc") || suffix.equals("ml") || suffix.equals("cm3");
                    case SQUARE -> suffix.equals("mm2") || suffix.equals("mm²");
                    case RATIO -> suffix.equals(":1");
                    case DEGREES -> suffix.equals("°") || suffix.equals("deg");
                    default -> false;
                };
        if (plain) {
            return 1;
        }
        if (unit == Unit.CC && (suffix.equals("ci") || suffix.equals("in3"))) {
            return CC_PER_CUBIC_INCH;
        }
        if (unit == Unit.SQUARE && (suffix.equals("in2") || suffix.equals("sqin"))) {
            return MM2_PER_SQUARE_INCH;
        }
        if (unit == Unit.SQUARE && suffix.equals("cm2")) {
            return 100;
        }
        throw new BadInputException(name(), "chambers.is-not-its-unit-key-a-number-such-as", words, suffix, example());
    }

    private String example() {
        return switch (unit) {
            case CC -> "42.6";
            case SQUARE -> "5020";
            case RATIO -> "9.5";
            default -> "18";
        };
    }

    /** A value of it with its unit, for a reader. */
    public String written(double value, BenchUnit bench) {
        LengthWriter writer = new LengthWriter(bench);
        return switch (unit) {
            case SIZE -> writer.size(Length.roundedFromMm(value));
            case SMALL, SIGNED -> writer.full(value);
            case CC -> Ratios.cc(value);
            case SQUARE -> Quantity.AREA.full(value, bench);
            case RATIO -> Ratios.ratio(value);
            case DEGREES -> trimmed(value) + "°";
            case MINUTES -> trimmed(value) + " min";
        };
    }

    private static String trimmed(double value) {
        BigDecimal of =
                BigDecimal.valueOf(value).setScale(3, RoundingMode.HALF_UP).stripTrailingZeros();
        return (of.scale() < 0 ? of.setScale(0) : of).toPlainString().replace('-', '\u2212');
    }
}

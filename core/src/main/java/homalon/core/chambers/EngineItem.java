package homalon.core.chambers;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
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
    BORE(Group.ENGINE, "Bore", Unit.SIZE, 20, 500),
    STROKE(Group.ENGINE, "Stroke", Unit.SIZE, 10, 1000),
    GASKET_BORE(Group.ENGINE, "Gasket's opening, diameter", Unit.SIZE, 20, 600),
    GASKET_AREA(Group.ENGINE, "Gasket's opening, area where it is no circle", Unit.SQUARE, 100, 5e5),
    GASKET(Group.ENGINE, "Gasket, compressed", Unit.SMALL, 0.05, 10),
    DECK(Group.ENGINE, "Piston below the deck, − proud", Unit.SIGNED, -20, 20),
    CROWN(Group.ENGINE, "Crown: dish +, dome −", Unit.CC, -2000, 2000),
    PLAY(Group.ENGINE, "Piston's play in the bore", Unit.SMALL, 0, 3),
    TOP_LAND(Group.ENGINE, "Crown down to the top ring", Unit.SIZE, 0, 100),
    CHAMBER(Group.ENGINE, "Chamber volume, as told", Unit.CC, 0, 2000),
    OPENING(Group.ENGINE, "Chamber's opening, from an outline", Unit.SQUARE, 100, 5e5),
    BLOCK_OPENING(Group.ENGINE, "Block's opening where the valves stand in it", Unit.SQUARE, 100, 5e5),
    BURETTE(Group.ENGINE, "Burette holds", Unit.CC, 5, 1000, 100),
    FILL_OPEN(Group.ENGINE, "One fill is good to ±", Unit.CC, 0.01, 5, ChamberVolume.DEFAULT_FILL),

    THICKNESS_LEAST(Group.LIMITS, "Thickness, least", Unit.SIZE, 1, 500),
    LIFE_MOST(Group.LIMITS, "Off in its whole life, most", Unit.SMALL, 0.01, 20),
    SQUEEZE_LEAST(Group.LIMITS, "Piston to head, least", Unit.SMALL, 0.1, 10),
    INTAKE_LEAST(Group.LIMITS, "Intake valve to piston, least", Unit.SMALL, 0.1, 10),
    EXHAUST_LEAST(Group.LIMITS, "Exhaust valve to piston, least", Unit.SMALL, 0.1, 10),
    RATIO_MOST(Group.LIMITS, "Compression, most", Unit.RATIO, 2, 40),
    CLASS_RATIO(Group.LIMITS, "Class: compression, most", Unit.RATIO, 2, 40),
    CLASS_CC(Group.LIMITS, "Class: chamber, least", Unit.CC, 1, 2000),
    CLASS_SPACE(Group.LIMITS, "Class: whole space above the piston, least", Unit.CC, 1, 4000),
    CLASS_BOWL(Group.LIMITS, "Class: bowl in the piston, least", Unit.CC, 0, 2000),
    CLASS_THICKNESS(Group.LIMITS, "Class: thickness, least", Unit.SIZE, 1, 500),
    CLASS_DECK(Group.LIMITS, "Class: piston below the deck, least", Unit.SIGNED, -20, 20),
    WAY_METAL_LEAST(Group.LIMITS, "Metal over water or oil ways, least", Unit.SMALL, 0.5, 50),
    RECESSION_LEAST(Group.LIMITS, "Valve heads below the face, least", Unit.SIGNED, -20, 20),
    ROOM_LEAST(Group.LIMITS, "Side valve under the roof, least", Unit.SMALL, 0.1, 10, 1.0),
    RETARD_MOST(Group.LIMITS, "Cam late by, most, crank degrees", Unit.DEGREES, 0.1, 20, 1.0),
    PRELOAD_MOST(Group.LIMITS, "Lifter preload, most", Unit.SMALL, 0.05, 10),

    THINNEST(Group.MEASURED, "Thickness at the thinnest place", Unit.SIZE, 1, 1000),
    INTAKE_ROOM(Group.MEASURED, "Intake valve to piston", Unit.SMALL, 0, 30),
    EXHAUST_ROOM(Group.MEASURED, "Exhaust valve to piston", Unit.SMALL, 0, 30),
    INTAKE_LEAN(Group.MEASURED, "Intake leans from the bore's axis, degrees", Unit.DEGREES, 0, 60),
    EXHAUST_LEAN(Group.MEASURED, "Exhaust leans from the bore's axis, degrees", Unit.DEGREES, 0, 60),
    SINK(Group.MEASURED, "Valves go in by seat work", Unit.SMALL, 0, 5),
    WAY_METAL(Group.MEASURED, "Metal over water or oil ways", Unit.SMALL, 0, 100),
    RING_DEPTH(Group.MEASURED, "Insert or sleeve below the face", Unit.SMALL, 0, 30),
    RECESSION(Group.MEASURED, "Shallowest valve head below the face", Unit.SIGNED, -20, 20),
    ROOM(Group.MEASURED, "Side valve at full lift, to the roof", Unit.SMALL, 0, 30),
    GOUGE(Group.MEASURED, "Deepest gouge to come out", Unit.SMALL, 0, 10),

    GRIND_MOST(Group.EQUAL, "Ground out of one chamber, most", Unit.CC, 0, 50, Equalise.DEFAULT_GRIND_MOST),
    GRIND_MINUTES(Group.EQUAL, "Grinding, minutes for 1 cc", Unit.MINUTES, 1, 600, Equalise.DEFAULT_GRIND),
    SINK_MOST(Group.EQUAL, "Valves sunk further, most", Unit.SMALL, 0, 5),
    SINK_MINUTES(Group.EQUAL, "Sinking, minutes for 1 cc", Unit.MINUTES, 1, 600, Equalise.DEFAULT_SINK),
    POCKET_MOST(Group.EQUAL, "Pocket in one crown, most", Unit.CC, 0, 100),
    POCKET_MINUTES(Group.EQUAL, "Pocket, minutes for 1 cc", Unit.MINUTES, 1, 600, Equalise.DEFAULT_POCKET),
    POCKET_DEEPER(Group.EQUAL, "First piston milled deeper by", Unit.SMALL, 0.05, 20),
    POCKET_GAVE(Group.EQUAL, "First piston holds more by", Unit.CC, 0.1, 100),
    INTAKE_HEAD(Group.EQUAL, "Intake valve, head", Unit.SIZE, 8, 150),
    EXHAUST_HEAD(Group.EQUAL, "Exhaust valve, head", Unit.SIZE, 8, 150),

    SPROCKET(Group.DRIVE, "Cam sprocket, pitch radius", Unit.SIZE, 10, 300),
    BANK_HALF(Group.DRIVE, "V engine: bank from the vertical, degrees", Unit.DEGREES, 0, 89),
    FLANGE_LEAN(Group.DRIVE, "Intake face from square to the deck, degrees", Unit.DEGREES, -60, 80),
    PRELOAD(Group.DRIVE, "Lifter preload now", Unit.SMALL, 0, 10),
    BOLT_ROOM(Group.DRIVE, "Blind hole below the bolt's end", Unit.SMALL, 0, 50);

    /** Where an item stands on the form. */
    public enum Group {
        ENGINE("Engine"),
        LIMITS("Limits"),
        MEASURED("Measured"),
        EQUAL("Making chambers equal"),
        DRIVE("Cam, manifold, bolts");

        private final String words;

        Group(String words) {
            this.words = words;
        }

        public String words() {
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
                case SQUARE -> "mm²";
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
    private final String words;
    private final Unit unit;
    private final double least;
    private final double most;
    private final double usual;

    EngineItem(Group group, String words, Unit unit, double least, double most) {
        this(group, words, unit, least, most, Double.NaN);
    }

    EngineItem(Group group, String words, Unit unit, double least, double most, double usual) {
        this.group = group;
        this.words = words;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.usual = usual;
    }

    public Group group() {
        return group;
    }

    public String words() {
        return words;
    }

    public Unit unit() {
        return unit;
    }

    /** General default; empty where only a book or a measurement can say. */
    public OptionalDouble usual() {
        return Double.isNaN(usual) ? OptionalDouble.empty() : OptionalDouble.of(usual);
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
            throw new BadInputException(name(), words + ": " + e.getMessage());
        }
        if (value < least - 1e-9 || value > most + 1e-9) {
            throw new BadInputException(
                    name(),
                    words + ": key from " + written(least, bench) + " to " + written(most, bench)
                            + ", or leave it blank.");
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
            throw new BadInputException(name(), words + ": key a number, such as " + example() + ".");
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
        throw new BadInputException(
                name(), words + ": \"" + suffix + "\" is not its unit; key a number such as " + example() + ".");
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
            case SQUARE -> Ratios.square(value);
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

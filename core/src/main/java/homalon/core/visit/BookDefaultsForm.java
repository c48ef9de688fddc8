package homalon.core.visit;

import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.part.ValveKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import homalon.core.quantity.Quantity;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.BookDefaults.Own;
import homalon.core.valves.BookItem;
import homalon.core.valves.ValveBook;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The shop's own figures of its books as text: for each item its value under the item's name, and where it is from under the name and
 * {@code .from}.
 */
public final class BookDefaultsForm {
    private static final int MOST_WORDS = 120;
    private static final int DIGITS = 6;
    private static final double LEAST_STEP = 1e-7;

    private static final List<BookItem> OF_VALVES = List.of(
            BookItem.CLEARANCE_LEAST,
            BookItem.CLEARANCE_MOST,
            BookItem.CLEARANCE_SERVICE,
            BookItem.BELL_MOUTH,
            BookItem.OVALITY,
            BookItem.WIDTH_LEAST,
            BookItem.WIDTH_MOST,
            BookItem.INSET_LEAST,
            BookItem.INSET,
            BookItem.RUNOUT_GOOD,
            BookItem.RUNOUT_BAD,
            BookItem.MARGIN,
            BookItem.SINK,
            BookItem.VACUUM,
            BookItem.FALL);
    private static final List<EngineItem> OF_ENGINES = List.of(
            EngineItem.BURETTE,
            EngineItem.FILL_OPEN,
            EngineItem.SQUEEZE_LEAST,
            EngineItem.INTAKE_LEAST,
            EngineItem.EXHAUST_LEAST,
            EngineItem.ROOM_LEAST,
            EngineItem.RETARD_MOST,
            EngineItem.GRIND_MOST,
            EngineItem.GRIND_MINUTES,
            EngineItem.SINK_MINUTES,
            EngineItem.POCKET_MINUTES);

    private static final Map<BenchFigure, BenchFigure> SPANS = Map.of(
            BenchFigure.GUIDE_PRESS_LEAST_IRON, BenchFigure.GUIDE_PRESS_MOST_IRON,
            BenchFigure.GUIDE_PRESS_LEAST_ALUMINIUM, BenchFigure.GUIDE_PRESS_MOST_ALUMINIUM,
            BenchFigure.INSERT_PRESS_LEAST_IRON, BenchFigure.INSERT_PRESS_MOST_IRON,
            BenchFigure.INSERT_PRESS_LEAST_ALUMINIUM, BenchFigure.INSERT_PRESS_MOST_ALUMINIUM);

    private final Map<String, String> values;

    public BookDefaultsForm(Map<String, String> given) {
        this.values = new LinkedHashMap<>(given);
    }

    /** Groups of items, in the order of the page. */
    public enum Group {
        VALVES,
        PRESSES,
        ENGINE,
        TESTS,
        GAUGES;

        private final Message words = Message.of(this);
        private final Message used = Message.of(this, "used");

        public Message words() {
            return words;
        }

        /** Where its figures are used. */
        public Message used() {
            return used;
        }
    }

    /** What a figure is in. */
    private enum Kind {
        SMALL,
        VACUUM,
        PRESSURE,
        SECONDS,
        MINUTES,
        CC,
        DEGREES,
        SHARE,
        ONE_IN;

        String unit(BenchUnit bench) {
            return switch (this) {
                case SMALL -> bench.label();
                case VACUUM -> Quantity.VACUUM.unit(bench);
                case PRESSURE -> Quantity.PRESSURE.unit(bench);
                case SECONDS -> "s";
                case MINUTES -> "min";
                case CC -> "cc";
                case DEGREES -> "\u00b0";
                case SHARE -> "/1000";
                case ONE_IN -> "faces";
            };
        }

        private Optional<Quantity> quantity() {
            return switch (this) {
                case VACUUM -> Optional.of(Quantity.VACUUM);
                case PRESSURE -> Optional.of(Quantity.PRESSURE);
                default -> Optional.empty();
            };
        }

        /** A value as a reader at that bench sees it. */
        String written(double value, BenchUnit bench) {
            if (this == SMALL) {
                return new LengthWriter(bench).number(value);
            }
            return quantity().map(q -> q.aboutNumber(value, bench)).orElseGet(() -> plain(value));
        }

        /** A value as it is keyed again: to the last digit, with the unit it was keyed in where the bench's would round it. */
        String again(double value, BenchUnit bench) {
            String own = this == SMALL ? exact(value, bench) : written(value, bench);
            if (same(own, value, bench)) {
                return own;
            }
            return (this == SMALL ? exact(value, BenchUnit.MM) : plain(value)) + " " + unit(BenchUnit.MM);
        }

        private static String exact(double mm, BenchUnit bench) {
            return new LengthWriter(bench).exact(Length.roundedFromMm(mm));
        }

        private boolean same(String typed, double value, BenchUnit bench) {
            try {
                return Math.abs(read(typed, bench) - value) < LEAST_STEP;
            } catch (NotALengthException e) {
                return false;
            }
        }

        double read(String typed, BenchUnit bench) {
            if (this == SMALL) {
                return Length.parse(typed, bench).mm();
            }
            return quantity()
                    .map(q -> q.read(typed, bench).orElseThrow(() -> new NumberFormatException(typed)))
                    .orElseGet(() -> Double.parseDouble(ValveSetup.plain(
                            typed.strip().replaceFirst("\\s*(s|min|cc|deg|\u00b0|/1000|faces)$", ""))));
        }

        private static String plain(double value) {
            return BigDecimal.valueOf(value)
                    .setScale(DIGITS, RoundingMode.HALF_UP)
                    .stripTrailingZeros()
                    .toPlainString();
        }
    }

    /** A figure that a shop may set. */
    private record Item(
            String name, Group group, Kind kind, Message words, double least, double most, OptionalDouble general) {}

    /**
     * One line of the page.
     *
     * @param general the general value
     */
    public record Row(
            String name, Group group, Message words, String unit, String general, String value, String from) {}

    private static List<Item> items(BenchUnit shop) {
        BookDefaults plain = BookDefaults.of(shop);
        List<Item> all = new ArrayList<>();
        for (BookItem i : OF_VALVES) {
            for (ValveKind kind : ValveKind.values()) {
                Kind of = i == BookItem.VACUUM ? Kind.VACUUM : i == BookItem.FALL ? Kind.SECONDS : Kind.SMALL;
                all.add(new Item(
                        i.name(kind),
                        Group.VALVES,
                        of,
                        Message.of("text.comma", i.words(), kind.words()),
                        i.least(),
                        i.most(),
                        i.general(kind, BookItem.Basis.of(false, plain))));
            }
        }
        for (EngineItem i : OF_ENGINES) {
            Kind of = switch (i.unit()) {
                case CC -> Kind.CC;
                case MINUTES -> Kind.MINUTES;
                case DEGREES -> Kind.DEGREES;
                default -> Kind.SMALL;
            };
            OptionalDouble general = EngineBook.general(i, EngineBook.Drive.UNKNOWN, EngineBook.Rods.IRON, plain);
            all.add(new Item(i.ofShop(), Group.ENGINE, of, i.words(), i.least(), i.most(), general));
        }
        for (BenchFigure f : BenchFigure.values()) {
            Kind of = Kind.valueOf(f.unit().name());
            OptionalDouble general = OptionalDouble.of(f.general(plain));
            Group group = f.ofPresses() ? Group.PRESSES : f.ofGauges() ? Group.GAUGES : Group.TESTS;
            all.add(new Item(f.ofShop(), group, of, f.words(), f.least(), f.most(), general));
        }
        return all;
    }

    /** As they stand, in the reader's unit. */
    public static BookDefaultsForm of(BookDefaults defaults, BenchUnit bench) {
        Map<String, String> v = new LinkedHashMap<>();
        for (Item item : items(defaults.unit())) {
            Own own = defaults.own().get(item.name());
            if (own != null) {
                v.put(item.name(), item.kind().again(own.value(), bench));
                v.put(item.name() + ".from", own.from());
            }
        }
        return new BookDefaultsForm(v);
    }

    /** The page's lines. */
    public List<Row> rows(BenchUnit shop, BenchUnit bench) {
        return items(shop).stream()
                .map(i -> new Row(
                        i.name(),
                        i.group(),
                        i.words(),
                        i.kind().unit(bench),
                        i.general().isPresent() ? i.kind().written(i.general().getAsDouble(), bench) : "",
                        get(i.name()),
                        get(i.name() + ".from")))
                .toList();
    }

    private String get(String field) {
        return values.getOrDefault(field, "").strip();
    }

    /**
     * What was keyed; what is empty is the general value.
     *
     * @throws BadInputException naming everything that cannot be read, has no source, or cannot stand beside another
     */
    public BookDefaults read(BenchUnit shop, BenchUnit bench) {
        Problems problems = new Problems();
        Map<String, Own> own = new LinkedHashMap<>();
        for (Item item : items(shop)) {
            if (!get(item.name()).isEmpty()) {
                one(item, bench, problems, own);
            }
        }
        problems.throwIfAny();
        BookDefaults read = new BookDefaults(shop, own);
        pairs(read, problems);
        problems.throwIfAny();
        return read;
    }

    private void one(Item item, BenchUnit bench, Problems problems, Map<String, Own> own) {
        String from = get(item.name() + ".from");
        problems.require(
                !from.isEmpty() && from.length() <= MOST_WORDS,
                item.name() + ".from",
                "rulebook.say-where-the-shop-has-it-from",
                item.words());
        try {
            double value = item.kind().read(get(item.name()), bench);
            problems.require(
                    value >= item.least() - LEAST_STEP && value <= item.most() + LEAST_STEP,
                    item.name(),
                    "visit.key-a-figure-from-to",
                    item.words(),
                    item.kind().written(item.least(), bench),
                    item.kind().written(item.most(), bench),
                    item.kind().unit(bench));
            own.put(item.name(), new Own(value, from));
        } catch (NotALengthException e) {
            problems.require(false, item.name(), "text.colon", item.words(), e.sentence());
        } catch (NumberFormatException e) {
            problems.require(
                    false,
                    item.name(),
                    "chambers.key-a-number-such-as",
                    item.words(),
                    item.kind().written(item.general().orElse(item.least()), bench));
        }
    }

    /** Of two of the shop's own the least is not above the most; beside a general value the shop's own stands. */
    private static void pairs(BookDefaults read, Problems problems) {
        List<List<BookItem>> rising = List.of(
                List.of(BookItem.CLEARANCE_LEAST, BookItem.CLEARANCE_MOST, BookItem.CLEARANCE_SERVICE),
                List.of(BookItem.WIDTH_LEAST, BookItem.WIDTH_MOST),
                List.of(BookItem.INSET_LEAST, BookItem.INSET),
                List.of(BookItem.RUNOUT_GOOD, BookItem.RUNOUT_BAD));
        for (ValveKind kind : ValveKind.values()) {
            for (List<BookItem> of : rising) {
                for (int i = 0; i < of.size(); i++) {
                    for (int j = i + 1; j < of.size(); j++) {
                        OptionalDouble least = read.own(of.get(i).name(kind));
                        OptionalDouble most = read.own(of.get(j).name(kind));
                        problems.require(
                                least.isEmpty() || most.isEmpty() || least.getAsDouble() <= most.getAsDouble(),
                                of.get(i).name(kind),
                                "visit.must-not-be-above",
                                of.get(i).words(),
                                of.get(j).words(),
                                kind.words());
                    }
                }
            }
            new ValveBook(kind, Map.of(), false, read);
        }
        SPANS.forEach((least, most) -> {
            OptionalDouble from = read.own(least.ofShop());
            OptionalDouble to = read.own(most.ofShop());
            problems.require(
                    from.isEmpty() || to.isEmpty() || from.getAsDouble() <= to.getAsDouble(),
                    least.ofShop(),
                    "visit.must-not-be-above-that",
                    least.words(),
                    most.words());
        });
    }
}

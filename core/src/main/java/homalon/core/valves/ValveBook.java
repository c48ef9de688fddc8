package homalon.core.valves;

import homalon.core.guides.GuideLimits;
import homalon.core.input.Problems;
import homalon.core.part.ValveKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.Source;
import homalon.core.seats.SeatAngles;
import homalon.core.seats.SeatRange;
import homalon.core.words.Message;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.DoubleStream;

/** What stands for the valves of one kind: what was keyed, with its source, and general defaults where nothing was. */
public final class ValveBook {
    /** A figure with where it comes from. */
    public record Entry(double value, Source source) {}

    private final ValveKind kind;
    private final BookItem.Basis basis;
    private final Map<BookItem, Entry> entries;

    /** @throws homalon.core.input.BadInputException naming every figure that cannot be, alone or beside the others */
    public ValveBook(ValveKind kind, Map<BookItem, Entry> keyed) {
        this(kind, keyed, false);
    }

    /** @param racing the engine is raced: some defaults are others */
    public ValveBook(ValveKind kind, Map<BookItem, Entry> keyed, boolean racing) {
        this(kind, keyed, racing, BookDefaults.of(BenchUnit.MM));
    }

    /** @param shop what stands there where nothing was keyed */
    public ValveBook(ValveKind kind, Map<BookItem, Entry> keyed, boolean racing, BookDefaults shop) {
        this(kind, keyed, BookItem.Basis.of(racing, shop));
    }

    /** @param by what defaults go by where the book does not say */
    private ValveBook(ValveKind kind, Map<BookItem, Entry> keyed, BookItem.Basis by) {
        this.kind = kind;
        this.basis = basis(keyed, by);
        Map<BookItem, Entry> all = new EnumMap<>(BookItem.class);
        Problems problems = new Problems();
        for (BookItem item : BookItem.values()) {
            Entry entry = keyed.get(item);
            if (entry != null) {
                boolean fits = entry.value() >= item.least() && entry.value() <= item.most();
                problems.require(
                        fits,
                        item.name(),
                        "valves.that-cannot-be-key-it-again-or-leave-it",
                        item.words(),
                        kind.words());
                all.put(item, entry);
            } else {
                item.usual(kind, basis).ifPresent(v -> all.put(item, new Entry(v, source(kind, item, basis.shop()))));
            }
        }
        this.entries = all;
        // General figures give way to the shop's own, and both to what was keyed.
        Set<BookItem> said = new HashSet<>(keyed.keySet());
        all.forEach((item, entry) -> {
            if (entry.source() == Source.SHOP_DEFAULT) {
                said.add(item);
            }
        });
        giveWay(said);
        giveWay(keyed.keySet());
        problems.throwIfAny();
        guide();
        angles();
        problems.require(
                value(BookItem.WIDTH_LEAST) <= value(BookItem.WIDTH_MOST),
                "WIDTH_LEAST",
                "valves.seat-width-the-least-must-not-be-above",
                kind.words());
        problems.require(
                value(BookItem.INSET_LEAST) <= value(BookItem.INSET),
                "INSET_LEAST",
                "valves.contact-inside-the-valves-edge-the",
                kind.words());
        problems.require(
                value(BookItem.RUNOUT_GOOD) <= value(BookItem.RUNOUT_BAD),
                "RUNOUT_GOOD",
                "valves.runout-good-must-not-lie-above-bad",
                kind.words());
        problems.require(
                entry(BookItem.BOWL_ANGLE).isPresent()
                        == entry(BookItem.BOWL_EDGE).isPresent(),
                "BOWL_EDGE",
                "valves.a-fourth-angle-needs-the-diameter-at");
        problems.require(
                below(BookItem.SPRING_HEIGHT, BookItem.SPRING_FREE),
                "SPRING_FREE",
                "valves.spring-its-free-length-is-larger-than",
                kind.words());
        problems.require(
                below(BookItem.SPRING_SOLID, BookItem.SPRING_HEIGHT),
                "SPRING_SOLID",
                "valves.spring-its-solid-height-is-smaller-than",
                kind.words());
        problems.throwIfAny();
    }

    /** Of two that are both known. */
    private boolean below(BookItem least, BookItem most) {
        return entry(least).isEmpty() || entry(most).isEmpty() || value(least) < value(most);
    }

    private static BookItem.Basis basis(Map<BookItem, Entry> keyed, BookItem.Basis by) {
        Entry size = keyed.get(BookItem.STEM);
        Entry face = keyed.get(BookItem.FACE_ANGLE);
        return new BookItem.Basis(
                size == null ? by.stem() : size.value(),
                face == null ? by.faceAngle() : face.value(),
                by.racing(),
                by.shop());
    }

    /** What stands where a figure is left blank; empty where only a book can say. */
    public OptionalDouble usual(BookItem item) {
        return item.usual(kind, basis);
    }

    /** A figure by default never stands against one that was keyed. */
    private void giveWay(Set<BookItem> keyed) {
        pair(BookItem.WIDTH_LEAST, BookItem.WIDTH_MOST, keyed);
        pair(BookItem.INSET_LEAST, BookItem.INSET, keyed);
        pair(BookItem.RUNOUT_GOOD, BookItem.RUNOUT_BAD, keyed);
        boolean least = keyed.contains(BookItem.CLEARANCE_LEAST);
        boolean most = keyed.contains(BookItem.CLEARANCE_MOST);
        if (!keyed.contains(BookItem.CLEARANCE_SERVICE)) {
            double floor =
                    Math.max(least ? value(BookItem.CLEARANCE_LEAST) : 0, most ? value(BookItem.CLEARANCE_MOST) : 0);
            standIn(BookItem.CLEARANCE_SERVICE, Math.max(floor, value(BookItem.CLEARANCE_SERVICE)));
        }
        if (!most) {
            double floor = least ? value(BookItem.CLEARANCE_LEAST) : 0;
            standIn(
                    BookItem.CLEARANCE_MOST,
                    Math.min(value(BookItem.CLEARANCE_SERVICE), Math.max(floor, value(BookItem.CLEARANCE_MOST))));
        }
        if (!least) {
            standIn(
                    BookItem.CLEARANCE_LEAST,
                    Math.min(value(BookItem.CLEARANCE_MOST), value(BookItem.CLEARANCE_LEAST)));
        }
    }

    /** Of a least and a most the one that was keyed stands. */
    private void pair(BookItem least, BookItem most, Set<BookItem> keyed) {
        if (value(least) > value(most)) {
            if (!keyed.contains(least)) {
                standIn(least, value(most));
            } else if (!keyed.contains(most)) {
                standIn(most, value(least));
            }
        }
    }

    private void standIn(BookItem item, double value) {
        if (value(item) != value) {
            entries.put(item, new Entry(value, Source.DEFAULT));
        }
    }

    private static Source source(ValveKind kind, BookItem item, BookDefaults shop) {
        return shop.own(item.name(kind)).isPresent() ? Source.SHOP_DEFAULT : Source.DEFAULT;
    }

    /**
     * The same book for stems that were measured: its defaults go by their size where the book has none.
     *
     * @param stems as measured, mm; none leaves the book as it is
     */
    public ValveBook measured(double... stems) {
        if (stems.length == 0 || entries.containsKey(BookItem.STEM)) {
            return this;
        }
        Map<BookItem, Entry> keyed = new EnumMap<>(entries);
        keyed.values().removeIf(e -> e.source().usual());
        double size = BookItem.Basis.nominal(DoubleStream.of(stems).max().orElseThrow());
        return new ValveBook(kind, keyed, new BookItem.Basis(size, basis.faceAngle(), basis.racing(), basis.shop()));
    }

    public ValveKind kind() {
        return kind;
    }

    public Optional<Entry> entry(BookItem item) {
        return Optional.ofNullable(entries.get(item));
    }

    /** @throws java.util.NoSuchElementException for what neither was keyed nor has a default */
    public double value(BookItem item) {
        return entry(item).orElseThrow().value();
    }

    /** Empty for what neither was keyed nor has a default. */
    public OptionalDouble figure(BookItem item) {
        return entry(item).map(e -> OptionalDouble.of(e.value())).orElseGet(OptionalDouble::empty);
    }

    /** {@code general default, not from a book} and so on; for what is not known, nothing. */
    public Message source(BookItem item) {
        return entry(item).map(e -> e.source().words()).orElse(Message.NONE);
    }

    public boolean isDefault(BookItem item) {
        return entry(item).filter(e -> e.source().usual()).isPresent();
    }

    public GuideLimits guide() {
        return new GuideLimits(
                value(BookItem.CLEARANCE_LEAST),
                value(BookItem.CLEARANCE_MOST),
                value(BookItem.CLEARANCE_SERVICE),
                value(BookItem.BELL_MOUTH),
                value(BookItem.OVALITY));
    }

    public SeatAngles angles() {
        return new SeatAngles(
                value(BookItem.TOP_ANGLE),
                value(BookItem.FACE_ANGLE),
                value(BookItem.THROAT_ANGLE),
                entry(BookItem.BOWL_ANGLE)
                        .map(e -> OptionalDouble.of(e.value()))
                        .orElse(OptionalDouble.empty()));
    }

    /** Where a seat may lie on its valve and how wide it may be; empty while the valve's head is not known. */
    public Optional<SeatRange> seat() {
        return entry(BookItem.HEAD_DIAMETER)
                .map(head -> new SeatRange(
                        head.value() - 2 * value(BookItem.INSET),
                        head.value() - 2 * value(BookItem.INSET_LEAST),
                        value(BookItem.WIDTH_LEAST),
                        value(BookItem.WIDTH_MOST),
                        value(BookItem.RUNOUT_GOOD)));
    }
}

package homalon.core.visit;

import homalon.core.chambers.ChamberVolume;
import homalon.core.chambers.DepthFills;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Fill;
import homalon.core.chambers.FillState;
import homalon.core.chambers.Ratios;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.Source;
import homalon.core.words.Message;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** The chambers of one visit: what was filled in which state, and what is known of the engine around them. */
public final class ChamberFile {
    /** So many fills of one chamber to one level can be kept. */
    public static final int MOST_FILLS = 6;

    private final PartFile part;
    private final SheetFile sheet;
    private final Read read;

    public ChamberFile(PartFile part, SheetFile sheet, Read read) {
        this.part = part;
        this.sheet = sheet;
        this.read = read;
    }

    /** What a sheet and the layout say, whatever became of the part since: read out of the lines once. */
    public static final class Read {
        private final ChamberSetup setup;
        private final EngineBook book;
        private final List<Layout.Bore> bores;
        private final Map<Level, List<Figure>> figures = new HashMap<>();
        private final Map<Level, Filled> filled = new HashMap<>();

        private Read(SheetFile sheet, LayoutNumbers numbers, Layout layout, BookDefaults shop) {
            this.setup = ChamberSetup.of(sheet.setup());
            this.bores = layout.bores();
            this.book = book(setup, entries(sheet, numbers), shop);
            List<Length> depths = new ArrayList<>(setup.depths());
            depths.add(0, Length.ZERO);
            for (Layout.Bore b : bores) {
                for (FillState s : FillState.values()) {
                    for (Length d : depths) {
                        Level at = new Level(b.number(), s, d);
                        List<Figure> fills = fills(sheet, at);
                        if (!fills.isEmpty()) {
                            figures.put(at, fills);
                            filled.put(at, filled(at, fills));
                        }
                    }
                }
            }
        }

        private static List<Figure> fills(SheetFile sheet, Level at) {
            List<Figure> all = new ArrayList<>();
            for (int n = 1; n <= MOST_FILLS; n++) {
                Figure f = sheet.standing().get(fill(at.state(), at.depth(), at.cylinder(), n));
                if (f != null && f.kind() == Figure.Kind.KEYED) {
                    all.add(f);
                }
            }
            return List.copyOf(all);
        }

        private Filled filled(Level at, List<Figure> figures) {
            ChamberVolume volume = ChamberVolume.of(
                    figures.stream().mapToDouble(ChamberFile::cc).toArray(), book.value(EngineItem.FILL_OPEN));
            Figure last = volume.taken().stream()
                    .map(figures::get)
                    .max(Comparator.comparingLong(Figure::seq))
                    .orElseThrow();
            return new Filled(at.state(), volume, figures, last.at(), last.seq());
        }

        /** @param shop what stands where nothing was keyed */
        public static Read of(SheetFile sheet, LayoutNumbers numbers, Layout layout, BookDefaults shop) {
            return new Read(sheet, numbers, layout, shop);
        }
    }

    /** One chamber in one state, filled to one level. */
    private record Level(int cylinder, FillState state, Length depth) {}

    /**
     * A chamber as it was filled in one state.
     *
     * @param figures its fills in the order of their numbers
     * @param at when the last of those that count was keyed
     */
    public record Filled(FillState state, ChamberVolume volume, List<Figure> figures, Instant at, long seq) {}

    public static String place(EngineItem item) {
        return "e." + item.name();
    }

    public static String source(EngineItem item) {
        return "s." + item.name();
    }

    public static String fill(FillState state, Length depth, int cylinder, int number) {
        return "f." + state.name() + "." + depth.nanometres() + "." + cylinder + "." + number;
    }

    public static String deck(int cylinder) {
        return "d." + cylinder;
    }

    public static String crown(int cylinder) {
        return "c." + cylinder;
    }

    /** What was keyed; the bore is taken from the drawing where nobody keyed it. */
    private static Map<EngineItem, EngineBook.Entry> entries(SheetFile sheet, LayoutNumbers numbers) {
        Map<EngineItem, EngineBook.Entry> entries = new EnumMap<>(EngineItem.class);
        entries.put(EngineItem.BORE, new EngineBook.Entry(numbers.bore().mm(), Source.SHOP));
        for (EngineItem item : EngineItem.values()) {
            Figure figure = sheet.standing().get(place(item));
            if (figure != null) {
                double value = figure.value().map(Length::mm).orElseGet(() -> item.read(figure.typed(), figure.unit()));
                Figure source = sheet.standing().get(source(item));
                entries.put(
                        item,
                        new EngineBook.Entry(value, source == null ? Source.SHOP : Source.valueOf(source.typed())));
            }
        }
        return entries;
    }

    /** A drawing that was changed since may not go with what was keyed: then what was keyed stands alone. */
    private static EngineBook book(ChamberSetup setup, Map<EngineItem, EngineBook.Entry> entries, BookDefaults shop) {
        try {
            return new EngineBook(entries, setup.drive(), setup.crown(), setup.rods(), shop);
        } catch (BadInputException e) {
            entries.remove(EngineItem.BORE);
            return new EngineBook(entries, setup.drive(), setup.crown(), setup.rods(), shop);
        }
    }

    public PartFile part() {
        return part;
    }

    public SheetFile sheet() {
        return sheet;
    }

    public boolean begun() {
        return !sheet.setup().isEmpty();
    }

    public ChamberSetup setup() {
        return read.setup;
    }

    public EngineBook book() {
        return read.book;
    }

    public List<Layout.Bore> bores() {
        return read.bores;
    }

    /** Fills of one chamber to one level in one state, by number; empty where there is none. */
    public List<Figure> fills(int cylinder, FillState state, Length depth) {
        return read.figures.getOrDefault(new Level(cylinder, state, depth), List.of());
    }

    public static double cc(Figure fill) {
        return Fill.read(fill.typed(), Double.MAX_VALUE).cc();
    }

    public Optional<Filled> filled(int cylinder, FillState state) {
        return filled(cylinder, state, Length.ZERO);
    }

    private Optional<Filled> filled(int cylinder, FillState state, Length depth) {
        return Optional.ofNullable(read.filled.get(new Level(cylinder, state, depth)));
    }

    /** As it was filled last, in whatever state. */
    public Optional<Filled> latest(int cylinder) {
        Filled latest = null;
        for (FillState s : FillState.values()) {
            Filled f = filled(cylinder, s).orElse(null);
            latest = f != null && (latest == null || f.seq() > latest.seq()) ? f : latest;
        }
        return Optional.ofNullable(latest);
    }

    /** The state in which anything was filled last. */
    public Optional<FillState> lastState() {
        return read.bores.stream()
                .flatMap(b -> latest(b.number()).stream())
                .max(Comparator.comparingLong(Filled::seq))
                .map(Filled::state);
    }

    /** As it was filled in the earliest state of which there is a fill. */
    public Optional<Filled> first(int cylinder) {
        for (FillState s : FillState.values()) {
            Optional<Filled> f = filled(cylinder, s);
            if (f.isPresent()) {
                return f;
            }
        }
        return Optional.empty();
    }

    /** Fills to the brim and to depths in one state; empty without both, or where they cannot stand beside each other. */
    public Optional<DepthFills> depths(int cylinder, FillState state) {
        List<DepthFills.Level> levels = new ArrayList<>();
        filled(cylinder, state)
                .ifPresent(f -> levels.add(new DepthFills.Level(0, f.volume().cc())));
        for (Length d : read.setup.depths()) {
            filled(cylinder, state, d)
                    .ifPresent(f ->
                            levels.add(new DepthFills.Level(d.mm(), f.volume().cc())));
        }
        if (levels.size() < 2 || levels.get(0).depth() > 0) {
            return Optional.empty();
        }
        try {
            return Optional.of(DepthFills.of(levels));
        } catch (BadInputException e) {
            return Optional.empty();
        }
    }

    public OptionalDouble deckOf(int cylinder) {
        Optional<Length> value = sheet.value(deck(cylinder));
        return value.isPresent() ? OptionalDouble.of(value.get().mm()) : OptionalDouble.empty();
    }

    public Optional<Instant> deckAt(int cylinder) {
        return Optional.ofNullable(sheet.standing().get(deck(cylinder))).map(Figure::at);
    }

    public OptionalDouble crownOf(int cylinder) {
        Figure f = sheet.standing().get(crown(cylinder));
        return f == null || f.kind() != Figure.Kind.KEYED
                ? OptionalDouble.empty()
                : OptionalDouble.of(EngineItem.CROWN.read(f.typed(), f.unit()));
    }

    public Optional<Instant> keyedAt(EngineItem item) {
        return Optional.ofNullable(sheet.standing().get(place(item))).map(Figure::at);
    }

    /** Every chamber has fills that agree in that state. */
    public boolean settled(FillState state) {
        return read.bores.stream()
                .allMatch(b -> filled(b.number(), state)
                        .filter(f -> f.volume().settled())
                        .isPresent());
    }

    /** {@code 45.6 to 46.2 cc}, as filled last; empty before any was filled. */
    public Message range() {
        List<Double> cc = bores().stream()
                .flatMap(b -> latest(b.number()).stream())
                .map(f -> f.volume().cc())
                .sorted()
                .toList();
        if (cc.isEmpty()) {
            return Message.NONE;
        }
        String most = Ratios.cc(cc.get(cc.size() - 1));
        String least = Ratios.cc(cc.get(0));
        return least.equals(most) ? Message.plain(most) : Message.of("visit.to", least.replace(" cc", ""), most);
    }
}

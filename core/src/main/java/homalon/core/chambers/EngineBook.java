package homalon.core.chambers;

import homalon.core.input.Problems;
import homalon.core.rulebook.Source;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What is known of an engine: what was keyed, and general defaults where nothing was. Immutable. */
public final class EngineBook {
    /** A figure with where it comes from; keyed figures that are no limits have the shop as their source. */
    public record Entry(double value, Source source) {}

    /** How the valves are driven. */
    public enum Drive {
        UNKNOWN("not said", 2.0, 2.5),
        CHAIN_OR_BELT("cam in the head, chain or belt", 1.5, 2.0),
        GEARS("cam in the head, gears", 1.5, 2.0),
        PUSHROD("pushrods", 2.0, 2.5),
        SIDE_VALVE("valves in the block", 2.0, 2.5);

        private final String words;
        /** Room from a valve to the piston, least, mm: long gear bends and floats further; not said, the larger stand. */
        private final double intakeLeast;

        private final double exhaustLeast;

        Drive(String words, double intakeLeast, double exhaustLeast) {
            this.words = words;
            this.intakeLeast = intakeLeast;
            this.exhaustLeast = exhaustLeast;
        }

        public String words() {
            return words;
        }
    }

    /** What a valve meets. */
    public enum Crown {
        FLAT("flat crown"),
        PARALLEL_POCKET("pockets parallel to the valves");

        private final String words;

        Crown(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** How far a rod stretches. */
    public enum Rods {
        IRON("iron or steel rods", 1.0),
        ALUMINIUM_OR_FAST("aluminium rods, or high speed", 1.5);

        private final String words;
        private final double squeeze;

        Rods(String words, double squeeze) {
            this.words = words;
            this.squeeze = squeeze;
        }

        public String words() {
            return words;
        }
    }

    private final Map<EngineItem, Entry> entries;
    private final Drive drive;
    private final Crown crown;
    private final Rods rods;

    /**
     * @param keyed what was keyed
     * @throws homalon.core.input.BadInputException for figures that cannot stand beside each other
     */
    public EngineBook(Map<EngineItem, Entry> keyed, Drive drive, Crown crown, Rods rods) {
        this.drive = drive;
        this.crown = crown;
        this.rods = rods;
        this.entries = new EnumMap<>(EngineItem.class);
        for (EngineItem item : EngineItem.values()) {
            Entry entry = keyed.get(item);
            if (entry != null) {
                entries.put(item, entry);
            } else {
                usual(item, drive, rods).ifPresent(v -> entries.put(item, new Entry(v, Source.DEFAULT)));
            }
        }
        Problems problems = new Problems();
        double sum = value(EngineItem.BANK_HALF) + value(EngineItem.FLANGE_LEAN);
        problems.require(
                !(sum >= 90),
                EngineItem.FLANGE_LEAN.name(),
                "Bank and intake face together must stay under 90 degrees: key both again.");
        problems.require(
                !(value(EngineItem.GASKET_BORE) < value(EngineItem.BORE)),
                EngineItem.GASKET_BORE.name(),
                "The gasket's opening is smaller than the bore: it would hang into it; key both again.");
        problems.throwIfAny();
    }

    /** The default that stands where nothing was keyed. */
    public static OptionalDouble usual(EngineItem item, Drive drive, Rods rods) {
        return switch (item) {
            case SQUEEZE_LEAST -> OptionalDouble.of(rods.squeeze);
            case INTAKE_LEAST -> OptionalDouble.of(drive.intakeLeast);
            case EXHAUST_LEAST -> OptionalDouble.of(drive.exhaustLeast);
            default -> item.usual();
        };
    }

    public static EngineBook empty() {
        return new EngineBook(Map.of(), Drive.UNKNOWN, Crown.FLAT, Rods.IRON);
    }

    /** The same with another figure in the place of one. */
    public EngineBook with(EngineItem item, double value) {
        Map<EngineItem, Entry> keyed = keyed();
        keyed.put(item, new Entry(value, Source.SHOP));
        return new EngineBook(keyed, drive, crown, rods);
    }

    /** The same as if one had not been keyed. */
    public EngineBook without(EngineItem item) {
        Map<EngineItem, Entry> keyed = keyed();
        keyed.remove(item);
        return new EngineBook(keyed, drive, crown, rods);
    }

    private Map<EngineItem, Entry> keyed() {
        Map<EngineItem, Entry> keyed = new EnumMap<>(EngineItem.class);
        entries.forEach((i, e) -> {
            if (e.source() != Source.DEFAULT) {
                keyed.put(i, e);
            }
        });
        return keyed;
    }

    public Optional<Entry> entry(EngineItem item) {
        return Optional.ofNullable(entries.get(item));
    }

    public boolean has(EngineItem item) {
        return entries.containsKey(item);
    }

    /** NaN where neither was keyed nor has a default. */
    public double value(EngineItem item) {
        return entry(item).map(Entry::value).orElse(Double.NaN);
    }

    public double or(EngineItem item, double otherwise) {
        return entry(item).map(Entry::value).orElse(otherwise);
    }

    public Drive drive() {
        return drive;
    }

    public Crown crown() {
        return crown;
    }

    public Rods rods() {
        return rods;
    }

    /** What has to be keyed before a ratio can be worked out, chamber volumes apart; empty when all of it is known. */
    public List<EngineItem> missingForRatio() {
        List<EngineItem> missing = new ArrayList<>();
        for (EngineItem item : List.of(EngineItem.BORE, EngineItem.STROKE, EngineItem.GASKET, EngineItem.DECK)) {
            if (!has(item)) {
                missing.add(item);
            }
        }
        if (!has(EngineItem.GASKET_BORE) && !has(EngineItem.GASKET_AREA)) {
            missing.add(EngineItem.GASKET_BORE);
        }
        if (!has(EngineItem.CROWN)) {
            missing.add(EngineItem.CROWN);
        }
        return missing;
    }

    /** NaN while neither diameter nor area was keyed. */
    public double gasketArea() {
        double d = value(EngineItem.GASKET_BORE);
        return or(EngineItem.GASKET_AREA, Math.PI / 4 * d * d);
    }

    /** The block's opening: as keyed, else the bore's circle. */
    public double blockOpening() {
        double d = value(EngineItem.BORE);
        return or(EngineItem.BLOCK_OPENING, Math.PI / 4 * d * d);
    }

    /**
     * A cylinder of this engine.
     *
     * @param chamberCc of its chamber
     * @param deck of its piston, where it was read by itself
     * @param crownCc of its piston, where it was read by itself
     * @return empty while {@link #missingForRatio} names something
     */
    public Optional<Cylinder> cylinder(double chamberCc, OptionalDouble deck, OptionalDouble crownCc) {
        List<EngineItem> missing = new ArrayList<>(missingForRatio());
        if (deck.isPresent()) {
            missing.remove(EngineItem.DECK);
        }
        if (crownCc.isPresent()) {
            missing.remove(EngineItem.CROWN);
        }
        if (!missing.isEmpty()) {
            return Optional.empty();
        }
        double crevice = has(EngineItem.PLAY) && has(EngineItem.TOP_LAND)
                ? Cylinder.creviceCc(value(EngineItem.BORE), value(EngineItem.PLAY), value(EngineItem.TOP_LAND))
                : 0;
        return Optional.of(new Cylinder(
                value(EngineItem.BORE),
                value(EngineItem.STROKE),
                chamberCc,
                new Cylinder.Gasket(gasketArea(), value(EngineItem.GASKET)),
                deck.orElse(value(EngineItem.DECK)),
                crownCc.orElse(value(EngineItem.CROWN)),
                crevice));
    }
}

package homalon.core.chambers;

import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.Source;
import homalon.core.words.Message;
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
        UNKNOWN(2.0, 80, 2.5, 100),
        CHAIN_OR_BELT(1.5, 60, 2.0, 80),
        GEARS(1.5, 60, 2.0, 80),
        PUSHROD(2.0, 80, 2.5, 100),
        SIDE_VALVE(2.0, 80, 2.5, 100);

        private final Message words = Message.of(this);
        /** Room from a valve to the piston, least, mm and thou: long gear bends and floats further; not said, the larger stand. */
        private final double intakeLeast;

        private final double intakeThou;
        private final double exhaustLeast;
        private final double exhaustThou;

        Drive(double intakeLeast, double intakeThou, double exhaustLeast, double exhaustThou) {
            this.intakeLeast = intakeLeast;
            this.intakeThou = intakeThou;
            this.exhaustLeast = exhaustLeast;
            this.exhaustThou = exhaustThou;
        }

        public Message words() {
            return words;
        }
    }

    /** What a valve meets. */
    public enum Crown {
        FLAT,
        PARALLEL_POCKET;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /** How far a rod stretches. */
    public enum Rods {
        IRON(1.0, 40),
        ALUMINIUM_OR_FAST(1.5, 60);

        private final Message words = Message.of(this);
        private final double squeeze;
        private final double squeezeThou;

        Rods(double squeeze, double squeezeThou) {
            this.squeeze = squeeze;
            this.squeezeThou = squeezeThou;
        }

        public Message words() {
            return words;
        }
    }

    private final Map<EngineItem, Entry> entries;
    private final Drive drive;
    private final Crown crown;
    private final Rods rods;
    private final BookDefaults shop;

    /** With general values in mm. */
    public EngineBook(Map<EngineItem, Entry> keyed, Drive drive, Crown crown, Rods rods) {
        this(keyed, drive, crown, rods, BookDefaults.of(BenchUnit.MM));
    }

    /**
     * @param keyed what was keyed
     * @param shop what stands where nothing was keyed
     * @throws homalon.core.input.BadInputException for figures that cannot stand beside each other
     */
    public EngineBook(Map<EngineItem, Entry> keyed, Drive drive, Crown crown, Rods rods, BookDefaults shop) {
        this.drive = drive;
        this.shop = shop;
        this.crown = crown;
        this.rods = rods;
        this.entries = new EnumMap<>(EngineItem.class);
        for (EngineItem item : EngineItem.values()) {
            Entry entry = keyed.get(item);
            if (entry != null) {
                entries.put(item, entry);
            } else {
                Source source = shop.own(item.ofShop()).isPresent() ? Source.SHOP_DEFAULT : Source.DEFAULT;
                usual(item, drive, rods, shop).ifPresent(v -> entries.put(item, new Entry(v, source)));
            }
        }
        Problems problems = new Problems();
        problems.require(
                !has(EngineItem.BANK_HALF) || value(EngineItem.BANK_HALF) + or(EngineItem.FLANGE_LEAN, 0) < 90,
                EngineItem.FLANGE_LEAN.name(),
                "chambers.bank-and-intake-face-together-must-stay");
        problems.require(
                !has(EngineItem.GASKET_BORE)
                        || !has(EngineItem.BORE)
                        || value(EngineItem.GASKET_BORE) >= value(EngineItem.BORE),
                EngineItem.GASKET_BORE.name(),
                "chambers.the-gaskets-opening-is-smaller-than-the");
        problems.throwIfAny();
    }

    /** What stands where nothing was keyed: the shop's own figure, else the general default. */
    public static OptionalDouble usual(EngineItem item, Drive drive, Rods rods, BookDefaults shop) {
        OptionalDouble own = shop.own(item.ofShop());
        return own.isPresent() ? own : general(item, drive, rods, shop);
    }

    /** The general default, round in the shop's unit. */
    public static OptionalDouble general(EngineItem item, Drive drive, Rods rods, BookDefaults shop) {
        return switch (item) {
            case SQUEEZE_LEAST -> OptionalDouble.of(shop.round(rods.squeeze, rods.squeezeThou));
            case INTAKE_LEAST -> OptionalDouble.of(shop.round(drive.intakeLeast, drive.intakeThou));
            case EXHAUST_LEAST -> OptionalDouble.of(shop.round(drive.exhaustLeast, drive.exhaustThou));
            case ROOM_LEAST -> OptionalDouble.of(shop.round(1.0, 40));
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
        return new EngineBook(keyed, drive, crown, rods, shop);
    }

    /** The same as if one had not been keyed. */
    public EngineBook without(EngineItem item) {
        Map<EngineItem, Entry> keyed = keyed();
        keyed.remove(item);
        return new EngineBook(keyed, drive, crown, rods, shop);
    }

    private Map<EngineItem, Entry> keyed() {
        Map<EngineItem, Entry> keyed = new EnumMap<>(EngineItem.class);
        entries.forEach((i, e) -> {
            if (!e.source().usual()) {
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

    /** @throws java.util.NoSuchElementException for what neither was keyed nor has a default */
    public double value(EngineItem item) {
        return entry(item).orElseThrow().value();
    }

    /** Empty for what neither was keyed nor has a default. */
    public OptionalDouble figure(EngineItem item) {
        return entry(item).map(e -> OptionalDouble.of(e.value())).orElseGet(OptionalDouble::empty);
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

    /** As keyed, else the circle of its bore. */
    public double gasketArea() {
        return figure(EngineItem.GASKET_AREA).orElseGet(() -> circle(EngineItem.GASKET_BORE));
    }

    /** The block's opening: as keyed, else the bore's circle. */
    public double blockOpening() {
        return figure(EngineItem.BLOCK_OPENING).orElseGet(() -> circle(EngineItem.BORE));
    }

    private double circle(EngineItem diameter) {
        return Math.PI / 4 * value(diameter) * value(diameter);
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
                deck.orElseGet(() -> value(EngineItem.DECK)),
                crownCc.orElseGet(() -> value(EngineItem.CROWN)),
                crevice));
    }
}

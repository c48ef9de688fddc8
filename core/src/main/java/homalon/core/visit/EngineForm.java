package homalon.core.visit;

import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.Source;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** The form of an engine's figures: what was keyed, and what stands where nothing was. */
public final class EngineForm {
    /** Whom a figure may be held from. */
    public static final List<Source> SOURCES =
            List.of(Source.MAKER, Source.GASKET, Source.SHOP, Source.RULES, Source.OWNER);

    /** What is of the engine and not of one casting, its bench or its owner: the same on every casting like it. */
    private static final Set<EngineItem> OF_THE_ENGINE = EnumSet.of(
            EngineItem.STROKE,
            EngineItem.GASKET_BORE,
            EngineItem.GASKET_AREA,
            EngineItem.GASKET,
            EngineItem.CROWN,
            EngineItem.PLAY,
            EngineItem.TOP_LAND,
            EngineItem.THICKNESS_LEAST,
            EngineItem.LIFE_MOST,
            EngineItem.SQUEEZE_LEAST,
            EngineItem.INTAKE_LEAST,
            EngineItem.EXHAUST_LEAST,
            EngineItem.WAY_METAL_LEAST,
            EngineItem.RECESSION_LEAST,
            EngineItem.ROOM_LEAST,
            EngineItem.RETARD_MOST,
            EngineItem.PRELOAD_MOST);

    private EngineForm() {}

    /** A group of fields; one that holds something keyed is open. */
    public record Group(String name, Message words, boolean limits, List<Field> fields) {}

    /** @param usual what stands where the field is blank; empty where only a book or a measurement can say */
    public record Field(String name, Message words, String value, String usual, String unit, String source) {}

    public static List<Group> of(ChamberFile file, BenchUnit unit) {
        return of(file, Optional.empty(), unit);
    }

    /**
     * Filled, where nothing was begun, with what was keyed for a casting like it: its engine's book, not what was measured on it, nor
     * what its owner or the rules of its class want.
     */
    public static List<Group> of(ChamberFile file, Optional<ChamberFile> alike, BenchUnit unit) {
        List<Group> groups = new ArrayList<>();
        for (EngineItem.Group g : EngineItem.Group.values()) {
            List<Field> fields = new ArrayList<>();
            for (EngineItem item : EngineItem.values()) {
                if (item.group() == g) {
                    Optional<ChamberFile> book = alike.filter(a -> !file.begun() && carried(a, item));
                    fields.add(field(file, book.orElse(file), item, unit));
                }
            }
            groups.add(new Group(g.name(), g.words(), g == EngineItem.Group.LIMITS, fields));
        }
        return groups;
    }

    private static boolean carried(ChamberFile alike, EngineItem item) {
        return OF_THE_ENGINE.contains(item) && alike.sheet().standing().containsKey(ChamberFile.place(item));
    }

    /** Whether a casting like it has anything of the engine's book to go by. */
    public static boolean carries(ChamberFile alike) {
        return OF_THE_ENGINE.stream().anyMatch(item -> carried(alike, item));
    }

    /** @param keyed in which its figure stands, if any does */
    private static Field field(ChamberFile file, ChamberFile keyed, EngineItem item, BenchUnit unit) {
        OptionalDouble stands = item == EngineItem.BORE
                ? OptionalDouble.of(file.part().numbers().bore().mm())
                : EngineBook.usual(
                        item,
                        file.setup().drive(),
                        file.setup().rods(),
                        file.part().rules().books());
        String usual = stands.isPresent() ? plain(item, stands.getAsDouble(), unit) : "";
        Figure source = keyed.sheet().standing().get(ChamberFile.source(item));
        boolean ofClass = item.name().startsWith("CLASS_");
        String fallback = (ofClass ? Source.RULES : item == EngineItem.RATIO_MOST ? Source.OWNER : Source.MAKER).name();
        return new Field(
                item.name(),
                item.words(),
                shown(keyed, item, unit),
                usual,
                item.unit().label(unit),
                source == null ? fallback : source.typed());
    }

    /** Without the unit, which stands beside the field. */
    private static String plain(EngineItem item, double value, BenchUnit unit) {
        return item.written(value, unit).replaceFirst("\\s*(mm|in|thou|cc|mm²|in²|min|°)$", "");
    }

    /** As it was typed, with its unit where another bench typed it: kept as it is when nothing is changed. */
    public static String shown(ChamberFile file, EngineItem item, BenchUnit unit) {
        Figure f = file.sheet().standing().get(ChamberFile.place(item));
        if (f == null) {
            return "";
        }
        if (!f.typed().matches("[-+]?[0-9.,]+")) {
            return f.typed();
        }
        if (item.unit() == EngineItem.Unit.SQUARE) {
            return unit == BenchUnit.MM ? f.typed() : f.typed() + " mm2";
        }
        boolean foreign = item.unit().isLength() && f.unit() != unit;
        return foreign ? f.typed() + " " + suffix(item, f) : f.typed();
    }

    /** What a bare number meant at the bench that typed it. */
    private static String suffix(EngineItem item, Figure f) {
        if (f.unit() == BenchUnit.MM) {
            return "mm";
        }
        boolean inches = item.unit() == EngineItem.Unit.SIZE || f.typed().matches("[-+]?[0-9]*[.,][0-9]{3,}");
        return inches ? "in" : "th";
    }

    /** Groups that hold something keyed. */
    public static Set<EngineItem.Group> keyed(ChamberFile file) {
        Set<EngineItem.Group> groups = EnumSet.noneOf(EngineItem.Group.class);
        for (EngineItem item : EngineItem.values()) {
            if (file.sheet().standing().containsKey(ChamberFile.place(item))) {
                groups.add(item.group());
            }
        }
        return groups;
    }
}

package homalon.core.visit;

import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.Source;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The form of an engine's figures: what was keyed, and what stands where nothing was. */
public final class EngineForm {
    /** Whom a figure may be held from. */
    public static final List<Source> SOURCES =
            List.of(Source.MAKER, Source.GASKET, Source.SHOP, Source.RULES, Source.OWNER);

    private EngineForm() {}

    /** A group of fields; one that holds something keyed is open. */
    public record Group(String name, Message words, boolean limits, List<Field> fields) {}

    /** @param usual what stands where the field is blank; empty where only a book or a measurement can say */
    public record Field(String name, Message words, String value, String usual, String unit, String source) {}

    public static List<Group> of(ChamberFile file, BenchUnit unit) {
        List<Group> groups = new ArrayList<>();
        for (EngineItem.Group g : EngineItem.Group.values()) {
            List<Field> fields = new ArrayList<>();
            for (EngineItem item : EngineItem.values()) {
                if (item.group() == g) {
                    fields.add(field(file, item, unit));
                }
            }
            groups.add(new Group(g.name(), g.words(), g == EngineItem.Group.LIMITS, fields));
        }
        return groups;
    }

    private static Field field(ChamberFile file, EngineItem item, BenchUnit unit) {
        String usual = item == EngineItem.BORE
                ? plain(item, file.part().numbers().bore().mm(), unit)
                : EngineBook.usual(item, file.setup().drive(), file.setup().rods())
                                .isPresent()
                        ? plain(
                                item,
                                EngineBook.usual(
                                                item,
                                                file.setup().drive(),
                                                file.setup().rods())
                                        .getAsDouble(),
                                unit)
                        : "";
        Figure source = file.sheet().standing().get(ChamberFile.source(item));
        boolean ofClass = item.name().startsWith("CLASS_");
        String fallback = (ofClass ? Source.RULES : item == EngineItem.RATIO_MOST ? Source.OWNER : Source.MAKER).name();
        return new Field(
                item.name(),
                item.words(),
                shown(file, item, unit),
                usual,
                item.unit().label(unit),
                source == null ? fallback : source.typed());
    }

    /** Without the unit, which stands beside the field. */
    private static String plain(EngineItem item, double value, BenchUnit unit) {
        return item.written(value, unit).replaceFirst("\\s*(mm|in|thou|cc|mm²|min|°)$", "");
    }

    /** As it was typed, with its unit where another bench typed it: kept as it is when nothing is changed. */
    public static String shown(ChamberFile file, EngineItem item, BenchUnit unit) {
        Figure f = file.sheet().standing().get(ChamberFile.place(item));
        if (f == null) {
            return "";
        }
        boolean foreign =
                item.unit().isLength() && f.unit() != unit && f.typed().matches("[-+]?[0-9.,]+");
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

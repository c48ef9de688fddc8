package homalon.core.visit;

import homalon.core.input.Problems;
import homalon.core.part.ValveKind;
import homalon.core.part.ValvePattern;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import homalon.core.quantity.Quantity;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.Source;
import homalon.core.valves.BookItem;
import homalon.core.valves.ValveBook;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * How the valves of a casting lie and what the book says of them.
 *
 * @param source of what was keyed of the book and has none of its own
 * @param knurls whether this shop knurls guides
 * @param racing the engine is raced
 */
public record ValveSetup(
        ValvePattern pattern, Map<ValveKind, ValveBook> books, Source source, boolean knurls, boolean racing) {
    private static final String FROM = "from.";

    /** @param shop what stands where nothing was keyed */
    public static ValveSetup of(Map<String, String> kept, BookDefaults shop) {
        Source source = Source.valueOf(Objects.requireNonNull(kept.get("source")));
        Map<ValveKind, ValveBook> books = new EnumMap<>(ValveKind.class);
        boolean racing = Boolean.parseBoolean(kept.get("racing"));
        for (ValveKind kind : ValveKind.values()) {
            books.put(kind, new ValveBook(kind, keyed(kept, kind), racing, shop));
        }
        return new ValveSetup(
                new ValvePattern(
                        Integer.parseInt(kept.get("intake")),
                        Integer.parseInt(kept.get("exhaust")),
                        ValvePattern.Rows.valueOf(Objects.requireNonNull(kept.get("rows"))),
                        Boolean.parseBoolean(kept.get("exhaustFirst")),
                        Boolean.parseBoolean(kept.get("mirrored"))),
                books,
                source,
                Boolean.parseBoolean(kept.get("knurls")),
                racing);
    }

    /** What was keyed of one kind's book. */
    public static Map<BookItem, ValveBook.Entry> keyed(Map<String, String> kept, ValveKind kind) {
        Map<BookItem, ValveBook.Entry> entries = new EnumMap<>(BookItem.class);
        for (BookItem item : BookItem.values()) {
            String value = kept.get(key(kind, item));
            if (value != null) {
                double of = item.unit().isLength()
                        ? Length.ofNanometres(Long.parseLong(value)).mm()
                        : Double.parseDouble(value);
                String from = kept.getOrDefault(from(item), Objects.requireNonNull(kept.get("source")));
                entries.put(item, new ValveBook.Entry(of, Source.valueOf(from)));
            }
        }
        return entries;
    }

    public static String key(ValveKind kind, BookItem item) {
        return kind.letter() + "." + item.name();
    }

    /** Where one figure comes from, of both kinds, if not from where the book does. */
    public static String from(BookItem item) {
        return FROM + item.name();
    }

    public ValveBook book(ValveKind kind) {
        return Objects.requireNonNull(books.get(kind));
    }

    /**
     * The form as it is kept, once all of it was understood.
     *
     * @throws homalon.core.input.BadInputException naming every field that cannot be
     */
    public static Map<String, String> typed(Map<String, String> form, BenchUnit unit, BookDefaults shop) {
        Problems problems = new Problems();
        Map<String, String> kept = new TreeMap<>();
        kept.put("intake", Integer.toString(count(form, "intake", problems)));
        kept.put("exhaust", Integer.toString(count(form, "exhaust", problems)));
        kept.put("rows", oneOf(form.get("rows"), ValvePattern.Rows.class, "rows", problems));
        kept.put("source", oneOf(form.get("source"), Source.class, "source", problems));
        for (String flag : new String[] {"exhaustFirst", "mirrored", "knurls", "racing"}) {
            kept.put(flag, Boolean.toString("true".equals(form.get(flag))));
        }
        for (ValveKind kind : ValveKind.values()) {
            for (BookItem item : BookItem.values()) {
                String typed = form.getOrDefault(key(kind, item), "").strip();
                if (!typed.isEmpty()) {
                    read(kind, item, typed, unit, problems, kept);
                }
            }
        }
        for (BookItem item : BookItem.values()) {
            boolean keyed = Arrays.stream(ValveKind.values()).anyMatch(k -> kept.containsKey(key(k, item)));
            if (keyed && !form.getOrDefault(from(item), "").isEmpty()) {
                kept.put(from(item), oneOf(form.get(from(item)), Source.class, from(item), problems));
            }
        }
        problems.throwIfAny();
        of(kept, shop);
        return kept;
    }

    private static void read(
            ValveKind kind, BookItem item, String typed, BenchUnit unit, Problems problems, Map<String, String> kept) {
        String field = key(kind, item);
        try {
            if (item.unit().isLength()) {
                Length length =
                        item.unit() == BookItem.Unit.SIZE ? Length.parseSize(typed, unit) : Length.parse(typed, unit);
                kept.put(field, Long.toString(length.nanometres()));
            } else if (item.unit().quantity().isPresent()) {
                kept.put(field, metric(item.unit().quantity().get(), typed, unit));
            } else {
                kept.put(field, plain(typed));
            }
        } catch (NotALengthException | NumberFormatException e) {
            problems.require(
                    false,
                    field,
                    "text.comma-colon",
                    item.words(),
                    kind.words(),
                    e instanceof NotALengthException not
                            ? not.sentence()
                            : Message.of("visit.key-a-number-such-as-45"));
        }
    }

    private static String metric(Quantity kind, String typed, BenchUnit unit) {
        double value = kind.read(typed, unit).orElseThrow(() -> new NumberFormatException(typed));
        return BigDecimal.valueOf(value)
                .setScale(4, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    /** As it is keyed again: in the unit it is held in, with its suffix, where the reader's would round it. */
    private static String again(Quantity kind, String value, BenchUnit unit) {
        String own = kind.number(Double.parseDouble(value), unit);
        return metric(kind, own, unit).equals(value) ? own : value + " " + kind.unit(BenchUnit.MM);
    }

    /** A number with point or comma, at most six digits before it. */
    public static String plain(String typed) {
        String tidy = typed.strip().replace(',', '.').replace('\u2212', '-');
        if (!tidy.matches("-?[0-9]{1,6}(\\.[0-9]{1,6})?")) {
            throw new NumberFormatException(tidy);
        }
        return new BigDecimal(tidy).toPlainString();
    }

    private static int count(Map<String, String> form, String field, Problems problems) {
        String typed = form.getOrDefault(field, "").strip();
        boolean digit = problems.require(typed.matches("[0-9]"), field, "visit.valves-of-a-cylinder-key-a-number-such");
        return digit ? Integer.parseInt(typed) : 1;
    }

    private static <E extends Enum<E>> String oneOf(
            @Nullable String typed, Class<E> type, String field, Problems problems) {
        for (E e : type.getEnumConstants()) {
            if (e.name().equals(typed)) {
                return e.name();
            }
        }
        problems.require(false, field, "visit.choose-one-of-what-is-offered");
        return type.getEnumConstants()[0].name();
    }

    /** What stands in the fields of the form: what was keyed, in the reader's unit; defaults are shown beside an empty field. */
    public static Map<String, String> shown(Map<String, String> kept, LengthWriter writer) {
        Map<String, String> shown = new HashMap<>();
        kept.forEach((key, value) -> {
            int dot = key.indexOf('.');
            if (dot < 0 || key.startsWith(FROM)) {
                shown.put(key, value);
                return;
            }
            BookItem item = BookItem.valueOf(key.substring(dot + 1));
            shown.put(
                    key,
                    item.unit().isLength()
                            ? exact(Length.ofNanometres(Long.parseLong(value)), item, writer)
                            : item.unit()
                                    .quantity()
                                    .map(q -> again(q, value, writer.unit()))
                                    .orElse(value));
        });
        return shown;
    }

    private static String exact(Length length, BookItem item, LengthWriter writer) {
        return item.unit() == BookItem.Unit.SIZE
                ? writer.size(length).replace(" mm", "").replace(" in", "")
                : writer.exact(length);
    }

    /** What stands where a field is left blank, in words; empty where only a book can say. */
    public static String usual(ValveBook book, BookItem item, LengthWriter writer) {
        OptionalDouble usual = book.usual(item);
        if (usual.isEmpty()) {
            return "";
        }
        double value = usual.getAsDouble();
        return item.unit().isLength()
                ? writer.number(value)
                : item.unit()
                        .quantity()
                        .map(q -> q.aboutNumber(value, writer.unit()))
                        .orElseGet(() ->
                                BigDecimal.valueOf(value).stripTrailingZeros().toPlainString());
    }
}

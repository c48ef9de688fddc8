package homalon.core.rulebook;

import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import homalon.core.rulebook.FaceDefaults.Item;
import homalon.core.rulebook.FaceDefaults.Own;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** The shop's own figures as text: for each item its value under the item's name and where it is from under the name and {@code .from}. */
public final class DefaultsForm {
    private static final int MOST_WORDS = 120;
    private static final double MOST_MM = 1;
    private static final double LEAST_SIDE_MM = 10;
    private static final double MOST_SIDE_MM = 1000;

    private final Map<String, String> values;

    public DefaultsForm(Map<String, String> given) {
        this.values = new LinkedHashMap<>(given);
    }

    /** As they stand, in the reader's unit. */
    public static DefaultsForm of(FaceDefaults defaults, BenchUnit unit) {
        Map<String, String> v = new LinkedHashMap<>();
        defaults.own().forEach((item, own) -> {
            v.put(item.name(), text(item, own.value(), unit));
            v.put(item.name() + ".from", own.from());
        });
        return new DefaultsForm(v);
    }

    /** As it is keyed again: to the last digit, and in millimetres where the reader's unit would round it. */
    private static String text(Item item, Length value, BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        String own = item.size() ? writer.size(value) : writer.exact(value) + " " + unit.label();
        String mm = new LengthWriter(BenchUnit.MM).exact(value) + " mm";
        try {
            return read(item, own, unit).equals(value) ? own : mm;
        } catch (NotALengthException e) {
            return mm;
        }
    }

    private static Length read(Item item, String typed, BenchUnit unit) {
        return item.size() ? Length.parseSize(typed, unit) : Length.parse(typed, unit);
    }

    public String get(String field) {
        return values.getOrDefault(field, "").strip();
    }

    /**
     * What was keyed; what is empty is the general value.
     *
     * @throws BadInputException naming everything that cannot be read, or has no source
     */
    public Map<Item, Own> read(BenchUnit unit) {
        Problems problems = new Problems();
        Map<Item, Own> own = new EnumMap<>(Item.class);
        for (Item item : Item.values()) {
            if (!get(item.name()).isEmpty()) {
                one(item, unit, problems).ifPresent(o -> own.put(item, o));
            }
        }
        problems.throwIfAny();
        return own;
    }

    private Optional<Own> one(Item item, BenchUnit unit, Problems problems) {
        String from = get(item.name() + ".from");
        boolean told = problems.require(
                !from.isEmpty() && from.length() <= MOST_WORDS,
                item.name() + ".from",
                "rulebook.say-where-the-shop-has-it-from",
                item.words());
        try {
            Length value = read(item, get(item.name()), unit);
            boolean fits = item.size()
                    ? problems.require(
                            value.mm() >= LEAST_SIDE_MM && value.mm() <= MOST_SIDE_MM,
                            item.name(),
                            "rulebook.key-a-side-from-10-to-1000-mm",
                            item.words())
                    : problems.require(
                            value.signum() > 0 && value.mm() <= MOST_MM,
                            item.name(),
                            "rulebook.key-a-limit-above-zero-and-at-most-1-mm",
                            item.words());
            return told && fits ? Optional.of(new Own(value, from)) : Optional.empty();
        } catch (NotALengthException e) {
            problems.require(false, item.name(), "text.colon", item.words(), e.sentence());
            return Optional.empty();
        }
    }
}

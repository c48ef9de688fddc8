package homalon.core.valves;

import homalon.core.guides.GuideLimits;
import homalon.core.input.Problems;
import homalon.core.part.ValveKind;
import homalon.core.rulebook.Source;
import homalon.core.seats.SeatAngles;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What stands for the valves of one kind: what was keyed, with its source, and general defaults where nothing was. */
public final class ValveBook {
    /** A figure with where it comes from. */
    public record Entry(double value, Source source) {}

    private final ValveKind kind;
    private final Map<BookItem, Entry> entries;

    /** @throws homalon.core.input.BadInputException naming every figure that cannot be, alone or beside the others */
    public ValveBook(ValveKind kind, Map<BookItem, Entry> keyed) {
        this.kind = kind;
        Map<BookItem, Entry> all = new EnumMap<>(BookItem.class);
        Problems problems = new Problems();
        for (BookItem item : BookItem.values()) {
            Entry entry = keyed.get(item);
            if (entry != null) {
                boolean fits = entry.value() >= item.least() && entry.value() <= item.most();
                problems.require(
                        fits,
                        item.name(),
                        item.words() + ", " + kind.words() + ": that cannot be; key it again, or leave it blank.");
                all.put(item, entry);
            } else {
                item.usual(kind).ifPresent(v -> all.put(item, new Entry(v, Source.DEFAULT)));
            }
        }
        this.entries = all;
        problems.throwIfAny();
        guide();
        angles();
        problems.require(
                value(BookItem.WIDTH_LEAST) <= value(BookItem.WIDTH_MOST),
                "WIDTH_LEAST",
                "Seat width, " + kind.words() + ": the least must not be above the most.");
        problems.require(
                value(BookItem.RUNOUT_GOOD) <= value(BookItem.RUNOUT_BAD),
                "RUNOUT_GOOD",
                "Runout, " + kind.words() + ": good must not lie above bad.");
        problems.require(
                entry(BookItem.BOWL_ANGLE).isPresent()
                        == entry(BookItem.BOWL_EDGE).isPresent(),
                "BOWL_EDGE",
                "A fourth angle needs the diameter at which it begins, and that the angle.");
        problems.require(
                !(value(BookItem.SPRING_FREE) <= value(BookItem.SPRING_HEIGHT)),
                "SPRING_FREE",
                "Spring, " + kind.words() + ": its free length is larger than its installed height; key both again.");
        problems.require(
                !(value(BookItem.SPRING_SOLID) >= value(BookItem.SPRING_HEIGHT)),
                "SPRING_SOLID",
                "Spring, " + kind.words() + ": its solid height is smaller than the installed one; key both again.");
        problems.throwIfAny();
    }

    public ValveKind kind() {
        return kind;
    }

    public Optional<Entry> entry(BookItem item) {
        return Optional.ofNullable(entries.get(item));
    }

    /** NaN where neither was keyed nor has a default. */
    public double value(BookItem item) {
        return entry(item).map(Entry::value).orElse(Double.NaN);
    }

    /** {@code general default, not from a book} and so on; for what is not known, nothing. */
    public String source(BookItem item) {
        return entry(item).map(e -> e.source().words()).orElse("");
    }

    public boolean isDefault(BookItem item) {
        return entry(item).filter(e -> e.source() == Source.DEFAULT).isPresent();
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

    /** What a seat is made to: the middle of its range. */
    public double widthWanted() {
        return (value(BookItem.WIDTH_LEAST) + value(BookItem.WIDTH_MOST)) / 2;
    }
}

package homalon.core.visit;

import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.ledger.Removal;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.FaceDefaults;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A casting as a line of a table tells it.
 *
 * @param removed metal off before; empty where the line says nothing of it
 * @param came the day on which it came; empty: today
 * @param left the day on which it left; empty while it is here
 */
public record CastingLine(
        Booking booking, Optional<Removal> removed, Optional<LocalDate> came, Optional<LocalDate> left) {
    /** Columns that are fields of the intake sheet under another name. */
    private static final Map<String, String> FIELDS = Map.of("engine", "name", "casting number", "castingNumber");

    private static final Map<String, PartKind> KINDS = Map.of(
            "head", PartKind.HEAD,
            "cylinder head", PartKind.HEAD,
            "block", PartKind.DECK,
            "deck", PartKind.DECK,
            "block deck", PartKind.DECK);

    private static final Map<String, Material> METALS = Map.of(
            "cast iron", Material.CAST_IRON,
            "iron", Material.CAST_IRON,
            "aluminium", Material.ALUMINIUM,
            "aluminum", Material.ALUMINIUM,
            "alloy", Material.ALUMINIUM);

    /**
     * @param line by the names of the columns of {@link homalon.core.table.TableKind#CASTINGS}
     * @param start the sheet that it fills, with a tag that is free
     * @param unit of bare numbers
     * @param today no day of it lies behind
     * @throws BadInputException naming everything of the line that cannot be
     */
    public static CastingLine read(
            Map<String, String> line, IntakeForm start, BenchUnit unit, FaceDefaults defaults, LocalDate today) {
        Problems problems = new Problems();
        Map<String, String> keyed = new HashMap<>();
        line.forEach((column, cell) -> keyed.put(FIELDS.getOrDefault(column, column), cell));
        choice("kind", line, KINDS, "visit.kind-write-head-or-block", problems)
                .ifPresent(k -> keyed.put("kind", k.name()));
        choice("metal", line, METALS, "visit.metal-write-cast-iron-or-aluminium", problems)
                .ifPresent(m -> keyed.put("material", m.name()));
        Optional<LocalDate> came = day("came", line, problems);
        Optional<LocalDate> left = day("left", line, problems);
        problems.require(came.filter(today::isBefore).isEmpty(), "came", "visit.that-day-is-still-to-come", "came");
        problems.require(left.filter(today::isBefore).isEmpty(), "left", "visit.that-day-is-still-to-come", "left");
        boolean inOrder =
                left.isEmpty() || came.filter(c -> !c.isAfter(left.get())).isPresent();
        problems.require(inOrder, "left", "visit.left-needs-a-day-on-which-it-came-before");
        Optional<Removal> removed = gathered(
                problems,
                () -> line.containsKey("removed")
                        ? Optional.of(Removal.read(line.get("removed"), line.getOrDefault("removed is", ""), unit))
                        : Optional.empty());
        Optional<Booking> booking =
                gathered(problems, () -> Optional.of(start.with(keyed).read(unit, defaults)));
        problems.throwIfAny();
        return new CastingLine(booking.orElseThrow(), removed, came, left);
    }

    private interface Reading<T> {
        Optional<T> read();
    }

    private static <T> Optional<T> gathered(Problems problems, Reading<T> reading) {
        try {
            return reading.read();
        } catch (BadInputException e) {
            e.problems().forEach(p -> problems.require(false, p.field(), p.sentence()));
            return Optional.empty();
        }
    }

    private static <T> Optional<T> choice(
            String column, Map<String, String> line, Map<String, T> all, String code, Problems problems) {
        String cell = line.getOrDefault(column, "");
        Optional<T> one =
                Optional.ofNullable(all.get(cell.toLowerCase(Locale.ROOT).replace('_', ' ')));
        problems.require(cell.isEmpty() || one.isPresent(), column, code, cell);
        return one;
    }

    private static Optional<LocalDate> day(String column, Map<String, String> line, Problems problems) {
        String cell = line.getOrDefault(column, "");
        try {
            return cell.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(cell));
        } catch (DateTimeParseException e) {
            problems.require(false, column, "visit.write-a-day-as-year-month-day", column, cell);
            return Optional.empty();
        }
    }
}

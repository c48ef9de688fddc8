package homalon.core.visit;

import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A sheet of one visit as it stands.
 *
 * @param setup how it is set up, by name; empty before it is
 * @param setups every way it was set up, in order, the last one being the set-up
 * @param standing what counts at each place, by the place's key
 * @param kept every figure that was not taken back, in order, those included that a later one took the place of
 * @param revision goes up with every line
 */
public record SheetFile(
        Sheet sheet,
        Map<String, String> setup,
        List<Map<String, String>> setups,
        Map<String, Figure> standing,
        List<Figure> history,
        List<Figure> kept,
        long revision) {
    public static SheetFile empty(Sheet sheet) {
        return new SheetFile(sheet, Map.of(), List.of(), Map.of(), List.of(), List.of(), 0);
    }

    /** @throws BadInputException when nobody has said yet how this sheet is set up */
    public SheetFile requireSetUp() {
        if (setup.isEmpty()) {
            throw new BadInputException("setup", "visit.this-sheet-is-not-set-up-yet-open-it");
        }
        return this;
    }

    public Optional<Length> value(String place) {
        return Optional.ofNullable(standing.get(place)).flatMap(Figure::value);
    }

    /** All that was said at a place and not taken back, in order; a skip clears what was said before it. */
    public List<Figure> at(String place) {
        List<Figure> all = new ArrayList<>();
        for (Figure f : kept) {
            if (f.place().equals(place)) {
                if (f.kind() == Figure.Kind.SKIPPED) {
                    all.clear();
                } else {
                    all.add(f);
                }
            }
        }
        return all;
    }

    /** Number of the last line; 0 when there is none. */
    public long last() {
        return history.isEmpty() ? 0 : history.get(history.size() - 1).seq();
    }

    /** In millimetres. */
    public OptionalDouble mm(String place) {
        return value(place).map(l -> OptionalDouble.of(l.mm())).orElseGet(OptionalDouble::empty);
    }

    /** When the oldest of what counts was read: a check counts as made when all of it was. */
    public Optional<Instant> since() {
        return standing.values().stream().map(Figure::at).min(Comparator.naturalOrder());
    }
}

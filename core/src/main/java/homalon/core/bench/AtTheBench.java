package homalon.core.bench;

import homalon.core.part.Material;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * A casting in the shop, as its bench day needs to know it.
 *
 * @param size how much there is to do, by operation
 * @param promised the day that was said to its customer
 * @param wanted the day that was asked for
 * @param weight how much its being late counts, 1 at the least
 * @param waits until when
 * @param inHand who is at it now
 * @param pins what was said of its works, by what {@link RouteWorks} calls each within its casting
 */
public record AtTheBench(
        String tag,
        Material metal,
        Route route,
        Function<Operation, JobSize> size,
        Optional<LocalDate> promised,
        Optional<LocalDate> wanted,
        int weight,
        Waits waits,
        Optional<InHand> inHand,
        Map<String, Pin> pins) {
    /**
     * What it cannot go on without.
     *
     * @param all before this nothing is done to it: an answer, a specialist
     * @param some before this an operation is not: the last of the parts it needs
     */
    public record Waits(Optional<Instant> all, Map<Operation, Instant> some) {
        public static final Waits FOR_NOTHING = new Waits(Optional.empty(), Map.of());

        public Waits {
            some = Map.copyOf(some);
        }

        Optional<Instant> of(Operation operation) {
            Optional<Instant> own = Optional.ofNullable(some.get(operation));
            return own.isEmpty() || all.filter(a -> a.isAfter(own.get())).isPresent() ? all : own;
        }
    }

    /** An operation that somebody is at. */
    public record InHand(Operation operation, String person, Instant since) {}

    public AtTheBench {
        pins = Map.copyOf(pins);
    }

    /** The same, asked for by another day, and counting so much where it is late. */
    AtTheBench wanted(LocalDate day, int counts) {
        return new AtTheBench(tag, metal, route, size, promised, Optional.of(day), counts, waits, inHand, pins);
    }

    /** The same, without the parts that it waits for until then. */
    AtTheBench withoutPartsUntil(Instant then) {
        Map<Operation, Instant> some = new HashMap<>(waits.some());
        some.replaceAll((o, at) -> at.isAfter(then) ? at : then);
        return new AtTheBench(
                tag, metal, route, size, promised, wanted, weight, new Waits(waits.all(), some), inHand, pins);
    }
}

package homalon.core.bench;

import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.words.Message;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One thing that a casting waits for.
 *
 * @param what it is
 * @param holds what cannot be done before it is there; empty for all that is done to it
 * @param until the day on which work is planned to go on
 * @param said whether somebody said that day; else it is what it usually takes
 */
public record Awaited(Message what, Optional<Operation> holds, LocalDate until, boolean said) {
    /** The same at a casting whose route may not need it: then it leaves with it, and is waited for before it is handed over. */
    public Awaited on(Route route) {
        boolean needed = holds.isEmpty() || route.open(holds.get()).isPresent();
        return needed ? this : new Awaited(what, Optional.of(Operation.HAND_OVER), until, said);
    }

    /** What comes last holds: work waits for all that it needs. */
    public static AtTheBench.Waits waits(List<Awaited> all, ZoneId zone) {
        Map<Operation, Instant> some = new EnumMap<>(Operation.class);
        Optional<Instant> whole = Optional.empty();
        for (Awaited one : all) {
            Instant morning = one.until.atStartOfDay(zone).toInstant();
            if (one.holds.isPresent()) {
                some.merge(one.holds.get(), morning, (a, b) -> a.isAfter(b) ? a : b);
            } else if (whole.isEmpty() || morning.isAfter(whole.get())) {
                whole = Optional.of(morning);
            }
        }
        return new AtTheBench.Waits(whole, some);
    }

    /** What comes last; empty where nothing is awaited. */
    public static Optional<Awaited> last(List<Awaited> all) {
        return all.stream().max(Comparator.comparing(Awaited::until));
    }

    /** Of what comes after a day that was promised, the last: the promise cannot be kept as it stands. */
    public static Optional<Awaited> after(List<Awaited> all, LocalDate promised) {
        return last(all).filter(a -> !a.until.isBefore(promised));
    }
}

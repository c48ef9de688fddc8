package homalon.core.bench;

import homalon.core.hours.OpenTime;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What somebody said of a work, whatever a plan would rather do.
 *
 * @param at stays where it begins; one that has passed pins nothing any more
 * @param notBefore held until then
 * @param station the one that it is done on
 * @param person who does it
 */
public record Pin(
        Optional<Instant> at, Optional<Instant> notBefore, Optional<String> station, Optional<String> person) {
    public static final Pin NONE = new Pin(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** Whether it says nothing: a pin that was taken off. */
    public boolean none() {
        return equals(NONE);
    }

    /** The work as it is said here; a station that it is not done on, and somebody who does not do it, are passed over. */
    Work on(Work work, OpenTime time) {
        List<Way> ways =
                work.ways().stream().filter(w -> station.isEmpty() || on(w)).toList();
        int held = notBefore.map(time::before).orElse(0);
        return new Work(
                work.id(),
                work.casting(),
                ways.isEmpty() ? work.ways() : ways,
                person.filter(work.people()::contains).map(List::of).orElse(work.people()),
                work.setUp(),
                Math.max(work.earliest(), held),
                at.filter(a -> !passed(time))
                        .map(a -> OptionalInt.of(time.before(a)))
                        .orElse(OptionalInt.empty()));
    }

    /** What of it cannot be done with that work, whenever. */
    Optional<Unkept.Kind> against(Work work, OpenTime time) {
        if (station.isPresent() && work.ways().stream().noneMatch(this::on)) {
            return Optional.of(Unkept.Kind.STATION);
        }
        if (person.isPresent() && !work.people().contains(person.get())) {
            return Optional.of(Unkept.Kind.PERSON);
        }
        return passed(time) ? Optional.of(Unkept.Kind.PASSED) : Optional.empty();
    }

    private boolean on(Way way) {
        return station.filter(way.station()::equals).isPresent();
    }

    private boolean passed(OpenTime time) {
        return at.filter(a -> a.isBefore(time.from())).isPresent();
    }
}

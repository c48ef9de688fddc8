package homalon.core.bench;

import homalon.core.bench.Why.Holds;
import homalon.core.hours.Stretch;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** What is in the way of a work at the minute that it is pinned to. Of several the one is told that moves least, as in {@link Why}. */
final class InTheWay {
    private final Bench bench;
    private final Work work;
    private final Stretch pinned;
    private final Map<String, Placed> placed;
    private final Map<String, String> castings;

    /**
     * @param timetable in which it is elsewhere, or nowhere
     * @param work pinned
     */
    InTheWay(Bench bench, Timetable timetable, Work work) {
        this.bench = bench;
        this.work = work;
        int at = work.at().orElseThrow();
        this.pinned = new Stretch(at, at + work.minutes());
        this.placed = new TreeMap<>(timetable.byWork());
        this.placed.remove(work.id());
        this.castings = bench.works().stream().collect(Collectors.toMap(Work::id, Work::casting));
    }

    Why.Link link() {
        if (work.earliest() > pinned.from()) {
            return new Why.Link(work.id(), Holds.NOT_BEFORE, "");
        }
        return before().or(() -> other(Holds.CASTING, p -> work.casting().equals(castings.get(p.work()))))
                .or(() -> other(
                        Holds.STATION, p -> !station().isEmpty() && p.station().equals(station())))
                .or(this::down)
                .or(() -> other(Holds.PERSON, this::takesItsPerson))
                .or(this::away)
                .orElseGet(() -> new Why.Link(work.id(), Holds.CLOSING, ""));
    }

    private String station() {
        return work.ways().size() == 1 ? work.ways().get(0).station() : "";
    }

    private boolean meets(int from, int to) {
        return from < pinned.to() && to > pinned.from();
    }

    private boolean meets(List<Stretch> away) {
        return away.stream().anyMatch(a -> meets(a.from(), a.to()));
    }

    private Optional<Why.Link> before() {
        return bench.orders().stream()
                .filter(o -> o.must() && o.after().equals(work.id()))
                .map(Order::before)
                .filter(b -> Optional.ofNullable(placed.get(b))
                        .filter(p -> p.to() > pinned.from())
                        .isPresent())
                .min(String::compareTo)
                .map(b -> new Why.Link(work.id(), Holds.AFTER, b));
    }

    private Optional<Why.Link> other(Holds how, Predicate<Placed> which) {
        return placed.values().stream()
                .filter(p -> meets(p.begins(), p.to()))
                .filter(which)
                .findFirst()
                .map(p -> new Why.Link(work.id(), how, p.work()));
    }

    private boolean takesItsPerson(Placed other) {
        return other.parts().stream()
                .anyMatch(p -> work.people().equals(List.of(p.person())) && meets(p.from(), p.to()));
    }

    private Optional<Why.Link> down() {
        return bench.stations().stream()
                .filter(s -> s.id().equals(station()) && meets(s.away()))
                .map(s -> new Why.Link(work.id(), Holds.DOWN, s.id()))
                .findFirst();
    }

    private Optional<Why.Link> away() {
        return bench.people().stream()
                .filter(p -> work.people().equals(List.of(p.id())) && meets(p.away()))
                .map(p -> new Why.Link(work.id(), Holds.AWAY, p.id()))
                .findFirst();
    }
}

package homalon.core.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Places of what is pinned, each just where it was said, in a timetable that fills. */
final class Pinned {
    private final Numbered bench;
    private final Passage passage;

    Pinned(Numbered bench, Passage passage) {
        this.bench = bench;
        this.passage = passage;
    }

    /**
     * Where a pinned work goes, with others that are pinned so that they go in together.
     *
     * @param pins all that are pinned, the first first
     * @return empty where it cannot be where it is pinned
     */
    List<Place> places(int work, List<Integer> pins) {
        return Arrays.stream(bench.stations(work))
                .mapToObj(s -> load(work, s, pins))
                .flatMap(Optional::stream)
                .findFirst()
                .orElseGet(() -> alone(work));
    }

    private int at(int work) {
        return bench.work(work).at().orElseThrow();
    }

    private List<Place> alone(int work) {
        return passage.first(work, at(work), bench.stations(work), bench.people(work)).stream()
                .filter(p -> there(p) && p.starts() >= bench.work(work).earliest())
                .toList();
    }

    private boolean there(Place place) {
        return place.starts() == at(place.work());
    }

    /** As many as can go in with the first, two at the least; empty where none can. */
    private Optional<List<Place>> load(int first, int station, List<Integer> pins) {
        List<Integer> mates = pins.stream()
                .filter(w -> w != first && !passage.holds(w) && bench.casting(w) != bench.casting(first))
                .filter(w -> bench.setUp(w) == bench.setUp(first) && has(bench.stations(w), station))
                .filter(w -> at(w) >= at(first) && at(w) <= at(first) + ListScheduler.LOADED_WITHIN)
                .toList();
        for (int n = Math.min(passage.room(station) - 1, mates.size()); n > 0; n--) {
            List<Integer> some = new ArrayList<>(List.of(first));
            some.addAll(mates.subList(0, n));
            Optional<List<Place>> places = Arrays.stream(bench.people(first))
                    .filter(p -> some.stream().allMatch(w -> has(bench.people(w), p)))
                    .mapToObj(p -> passage.together(some, at(first), station, p))
                    .flatMap(Optional::stream)
                    .filter(all -> all.stream().allMatch(this::there))
                    .findFirst();
            if (places.isPresent()) {
                return places;
            }
        }
        return Optional.empty();
    }

    private static boolean has(int[] some, int one) {
        return Arrays.stream(some).anyMatch(s -> s == one);
    }
}

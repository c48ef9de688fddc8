package homalon.core.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Places where people were told that works are, or as good as there. */
final class AsTold {
    private final Numbered bench;
    private final @Nullable Placed[] told;

    AsTold(Bench of, Numbered bench) {
        this.bench = bench;
        this.told = new Placed[bench.works()];
        for (Placed one : of.told()) {
            int number = bench.number(one.work());
            if (number >= 0 && one.from() < of.soon() && known(one, number)) {
                told[number] = one;
            }
        }
    }

    /** Its station and whoever was to do it are still among those that can. */
    private boolean known(Placed one, int work) {
        boolean station =
                bench.work(work).ways().stream().anyMatch(w -> w.station().equals(one.station()));
        return station && (one.person().isEmpty() || bench.work(work).people().contains(one.person()));
    }

    /** Works told to begin soon, the first first; those that go in together as one. */
    List<List<Integer>> groups() {
        List<Placed> all = Arrays.stream(told)
                .flatMap(t -> Optional.ofNullable(t).stream())
                .sorted(Comparator.comparingInt(Placed::from).thenComparing(Placed::work))
                .toList();
        List<List<Integer>> groups = new ArrayList<>();
        List<Placed> last = new ArrayList<>();
        for (Placed one : all) {
            int work = bench.number(one.work());
            int with = -1;
            for (int g = 0; g < last.size() && with < 0; g++) {
                Placed other = last.get(g);
                with = room(work) > 1
                                && other.station().equals(one.station())
                                && other.to() > one.from()
                                && groups.get(g).size() < room(work)
                        ? g
                        : -1;
            }
            if (with >= 0) {
                groups.get(with).add(work);
            } else {
                groups.add(new ArrayList<>(List.of(work)));
                last.add(one);
            }
        }
        return groups;
    }

    private int room(int work) {
        int station = station(work);
        return station < 0 ? 1 : bench.bench().stations().get(station).holds();
    }

    private int station(int work) {
        Placed one = told[work];
        for (int s : bench.stations(work)) {
            if (one != null && bench.bench().stations().get(s).id().equals(one.station())) {
                return s;
            }
        }
        return Numbered.NONE;
    }

    private int person(int work) {
        Placed one = told[work];
        for (int p : bench.people(work)) {
            if (one != null && bench.bench().people().get(p).id().equals(one.person())) {
                return p;
            }
        }
        return Numbered.NONE;
    }

    /** Whether it was told to begin no earlier than about then. */
    boolean after(int work, int minute) {
        Placed one = told[work];
        return one != null && minute <= one.from() + Score.NEAR;
    }

    /** Where it was told, no earlier than it can be; empty where that is elsewhere by now. */
    Optional<Place> place(Passage passage, int work, int earliest) {
        Placed one = told[work];
        return one == null
                ? Optional.empty()
                : passage.first(work, Math.max(earliest, one.from()), station(work), person(work))
                        .filter(p -> !Score.moved(one, p.named(bench, 0)));
    }

    /** Just where they were told, with every piece; empty where any of that is not free, or no such long time any more. */
    Optional<List<Place>> exactly(Passage passage, List<Integer> works, int earliest) {
        List<Placed> all = new ArrayList<>();
        for (int work : works) {
            Placed one = told[work];
            if (one != null && earliest <= one.from()) {
                all.add(one);
            }
        }
        return all.size() == works.size() ? passage.exactly(works, all, station(works.get(0))) : Optional.empty();
    }

    /** The same for works that went in together. */
    Optional<List<Place>> together(Passage passage, List<Integer> works, int earliest) {
        int first = works.get(0);
        Placed one = told[first];
        return one == null
                ? Optional.empty()
                : passage.together(works, Math.max(earliest, one.from()), station(first), person(first))
                        .filter(group -> group.stream().noneMatch(this::moved));
    }

    private boolean moved(Place place) {
        Placed one = told[place.work()];
        return one != null && Score.moved(one, place.named(bench, 0));
    }

    /** Whether castings go in together where it was told to be. */
    boolean loaded(int work) {
        return room(work) > 1;
    }
}

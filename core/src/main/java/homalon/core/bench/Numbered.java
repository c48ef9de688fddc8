package homalon.core.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A bench whose works, stations, people, castings and set-ups have numbers, for what goes over them often. The numbers are those of the
 * bench's own lists; -1 stands for none.
 */
public final class Numbered {
    public static final int NONE = -1;

    /** Another work, and whether the order must be kept. */
    public record Neighbour(int work, boolean must) {}

    private final Bench bench;
    private final List<Work> works;
    private final Map<String, Integer> numberOfWork;
    private final int[] casting;
    private final int castings;
    private final int[][] stations;
    private final List<List<List<Piece>>> pieces = new ArrayList<>();
    private final int[][] people;
    private final int[] setUp;
    private final int[] setUpNow;
    /** By station, from and to; the last row and column are for nothing. */
    private final int[][][] change;

    private final List<List<Neighbour>> before = new ArrayList<>();
    private final List<List<Neighbour>> after = new ArrayList<>();
    private final int[] due;
    private final Map<String, Integer> numberOfPerson;

    public Numbered(Bench bench) {
        this.bench = bench;
        this.works = bench.works();
        this.numberOfWork = numbers(works.stream().map(Work::id).toList());
        Map<String, Integer> tags =
                numbers(works.stream().map(Work::casting).distinct().toList());
        this.castings = tags.size();
        this.casting = works.stream().mapToInt(w -> of(tags, w.casting())).toArray();
        Map<String, Integer> on =
                numbers(bench.stations().stream().map(Station::id).toList());
        this.numberOfPerson = numbers(bench.people().stream().map(Person::id).toList());
        this.stations = works.stream()
                .map(w -> known(on, w.ways().stream().map(Way::station).toList()))
                .toArray(int[][]::new);
        for (Work work : works) {
            List<List<Piece>> own = new ArrayList<>();
            for (Station station : bench.stations()) {
                own.add(work.ways().stream()
                        .filter(w -> w.station().equals(station.id()))
                        .findFirst()
                        .map(Way::pieces)
                        .orElse(List.of()));
            }
            pieces.add(own);
        }
        this.people = works.stream().map(w -> known(numberOfPerson, w.people())).toArray(int[][]::new);
        List<String> keys = new ArrayList<>(works.stream()
                .map(Work::setUp)
                .filter(s -> !s.isEmpty())
                .distinct()
                .toList());
        bench.stations().stream()
                .map(Station::setUp)
                .filter(s -> !s.isEmpty() && !keys.contains(s))
                .forEach(keys::add);
        Map<String, Integer> setUps = numbers(keys);
        this.setUp = works.stream().mapToInt(w -> of(setUps, w.setUp())).toArray();
        this.setUpNow =
                bench.stations().stream().mapToInt(s -> of(setUps, s.setUp())).toArray();
        this.change = changes(keys);
        this.due = new int[castings];
        Arrays.fill(due, NONE);
        for (int d = 0; d < bench.dues().size(); d++) {
            int number = of(tags, bench.dues().get(d).casting());
            if (number != NONE) {
                due[number] = d;
            }
        }
        works.forEach(w -> {
            before.add(new ArrayList<>());
            after.add(new ArrayList<>());
        });
        for (Order order : bench.orders()) {
            int first = of(numberOfWork, order.before());
            int second = of(numberOfWork, order.after());
            if (first != NONE && second != NONE) {
                before.get(second).add(new Neighbour(first, order.must()));
                after.get(first).add(new Neighbour(second, order.must()));
            }
        }
    }

    private static Map<String, Integer> numbers(List<String> names) {
        Map<String, Integer> all = new HashMap<>();
        for (int i = 0; i < names.size(); i++) {
            all.put(names.get(i), i);
        }
        return all;
    }

    private static int of(Map<String, Integer> numbers, String name) {
        return numbers.getOrDefault(name, NONE);
    }

    private static int[] known(Map<String, Integer> numbers, List<String> names) {
        return names.stream()
                .filter(numbers::containsKey)
                .mapToInt(n -> of(numbers, n))
                .toArray();
    }

    private int[][][] changes(List<String> keys) {
        List<String> all = new ArrayList<>(keys);
        all.add("");
        int[][][] table = new int[bench.stations().size()][all.size()][all.size()];
        for (int s = 0; s < table.length; s++) {
            Station station = bench.stations().get(s);
            for (int a = 0; a < all.size() && !station.together(); a++) {
                for (int b = 0; b < all.size(); b++) {
                    table[s][a][b] = bench.change(station.id(), all.get(a), all.get(b));
                }
            }
        }
        return table;
    }

    public Bench bench() {
        return bench;
    }

    public int works() {
        return works.size();
    }

    public Work work(int number) {
        return works.get(number);
    }

    /** The number of a work; -1 for one that is not to be placed. */
    public int number(String work) {
        return of(numberOfWork, work);
    }

    /** The number of somebody; -1 for nobody, and for whom the bench does not have. */
    int person(String name) {
        return of(numberOfPerson, name);
    }

    public int castings() {
        return castings;
    }

    /** Of a work. */
    public int casting(int work) {
        return casting[work];
    }

    /** Those of a work that the bench has; none for what is done outside. */
    public int[] stations(int work) {
        return stations[work].clone();
    }

    /** What a work takes on a station, or outside where that is -1. */
    public List<Piece> pieces(int work, int station) {
        return station == NONE
                ? works.get(work).ways().get(0).pieces()
                : pieces.get(work).get(station);
    }

    /** Those of a work that the bench has. */
    public int[] people(int work) {
        return people[work].clone();
    }

    /** Of a work; -1 where it is all one. */
    public int setUp(int work) {
        return setUp[work];
    }

    /** Of a station as it stands; -1 where nobody knows. */
    public int setUpNow(int station) {
        return setUpNow[station];
    }

    /** Minutes of a change; none on a station that castings go into together. */
    public int change(int station, int from, int to) {
        if (station == NONE) {
            return 0;
        }
        int last = change[station].length - 1;
        return change[station][from == NONE ? last : from][to == NONE ? last : to];
    }

    /** The longest change to it. */
    public int longest(int station, int to) {
        int most = 0;
        for (int from = NONE; station != NONE && from < change[station].length - 1; from++) {
            most = Math.max(most, change(station, from, to));
        }
        return most;
    }

    public List<Neighbour> before(int work) {
        return before.get(work);
    }

    public List<Neighbour> after(int work) {
        return after.get(work);
    }

    /** When a casting has to be done; one that never has to where nothing says. */
    public Due due(int casting) {
        return due[casting] == NONE ? Due.NEVER : bench.dues().get(due[casting]);
    }
}

package homalon.core.bench;

import homalon.core.hours.OpenTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.TreeMap;

/**
 * Below what no timetable of a bench can be, whoever makes it: proven by what is left out.
 *
 * @param late open minutes past what was promised or asked for, as much as each counts
 * @param setUp minutes of set-up
 */
public record Bounds(long late, int setUp) {
    /**
     * Lateness by two relaxations, of which the greater counts. Each casting alone in the shop cannot be done before the longest chain of what
     * must come one after the other, nor before all that needs hands at it is over, one after the other. And all castings shared by hands that
     * can do everything, any piece of a work at any time: the shortest rest first gives the earliest first, second, third end there can be, and
     * the earliest dues taken in their order are met no better (Chu 1992, for one machine with releases). Set-up: every form that a station
     * which does it alone does not stand at has to be set up once.
     */
    public static Bounds of(Bench bench) {
        Map<String, Integer> alone = alone(bench);
        Map<String, Integer> earliest = new HashMap<>();
        Map<String, Integer> hands = new HashMap<>();
        for (Work work : bench.works()) {
            earliest.merge(work.casting(), Math.max(0, work.earliest()), Math::min);
            hands.merge(work.casting(), hands(work), Integer::sum);
        }
        List<Job> promised = new ArrayList<>();
        List<Job> wanted = new ArrayList<>();
        for (Due due : bench.dues()) {
            if (hands.containsKey(due.casting())) {
                Job job = new Job(
                        earliest.getOrDefault(due.casting(), 0),
                        hands.getOrDefault(due.casting(), 0),
                        alone.getOrDefault(due.casting(), 0),
                        due.weight(),
                        0);
                due.promised().ifPresent(at -> promised.add(job.due(at)));
                due.wanted().ifPresent(at -> wanted.add(job.due(at)));
            }
        }
        int people = Math.max(1, bench.people().size());
        return new Bounds(Due.PROMISE * late(promised, people) + late(wanted, people), setUp(bench));
    }

    /**
     * A casting as the bound sees it.
     *
     * @param earliest minute at which anything of it can begin
     * @param hands minutes that it needs somebody
     * @param end before which it cannot be done alone in the shop
     */
    private record Job(int earliest, int hands, int end, int weight, int due) {
        Job due(int at) {
            return new Job(earliest, hands, end, weight, at);
        }
    }

    private static long late(List<Job> jobs, int people) {
        long alone = jobs.stream()
                .mapToLong(j -> (long) j.weight() * Math.max(0, j.end() - j.due()))
                .sum();
        long least = jobs.stream().mapToLong(Job::weight).min().orElse(1);
        return Math.max(alone, least * shared(jobs, people));
    }

    private static long shared(List<Job> jobs, int people) {
        List<Long> ends = ends(jobs, people);
        List<Integer> dues = jobs.stream().map(Job::due).sorted().toList();
        long late = 0;
        for (int i = 0; i < dues.size(); i++) {
            // Parts of a minute are let go: what is told is never more than what must be.
            late += Math.max(0, ends.get(i) / people - dues.get(i));
        }
        return late;
    }

    /** Where one after the other is done, in minutes of one pair of hands: so many people work off so many minutes in each. */
    private static List<Long> ends(List<Job> jobs, int people) {
        List<Job> coming =
                jobs.stream().sorted(Comparator.comparingInt(Job::earliest)).toList();
        PriorityQueue<Long> rest = new PriorityQueue<>();
        List<Long> ends = new ArrayList<>();
        long now = 0;
        int next = 0;
        while (next < coming.size() || !rest.isEmpty()) {
            if (rest.isEmpty()) {
                now = Math.max(now, (long) coming.get(next).earliest() * people);
            }
            while (next < coming.size() && (long) coming.get(next).earliest() * people <= now) {
                rest.add((long) coming.get(next).hands());
                next++;
            }
            long shortest = rest.poll();
            long until = next < coming.size() ? (long) coming.get(next).earliest() * people : Long.MAX_VALUE;
            if (now + shortest <= until) {
                now += shortest;
                ends.add(now);
            } else {
                rest.add(shortest - (until - now));
                now = until;
            }
        }
        return ends;
    }

    private static int hands(Work work) {
        return work.ways().stream()
                .mapToInt(w -> w.pieces().stream()
                        .filter(Piece::attended)
                        .mapToInt(Piece::minutes)
                        .sum())
                .min()
                .orElse(0);
    }

    /** Before which each casting cannot be done, though it were the only one. */
    private static Map<String, Integer> alone(Bench bench) {
        Map<String, List<String>> before = new HashMap<>();
        bench.orders().stream()
                .filter(Order::must)
                .forEach(o -> before.computeIfAbsent(o.after(), k -> new ArrayList<>())
                        .add(o.before()));
        Map<String, Work> works = new HashMap<>();
        bench.works().forEach(w -> works.put(w.id(), w));
        Map<String, Integer> over = new HashMap<>();
        Map<String, Integer> ends = new HashMap<>();
        Map<String, Integer> begins = new HashMap<>();
        Map<String, Integer> sums = new HashMap<>();
        for (Work work : bench.works()) {
            ends.merge(work.casting(), over(work.id(), works, before, over, bench.time(), new HashSet<>()), Math::max);
            begins.merge(work.casting(), Math.max(0, work.earliest()), Math::min);
            sums.merge(work.casting(), hands(work), Integer::sum);
        }
        ends.replaceAll(
                (casting, end) -> Math.max(end, begins.getOrDefault(casting, 0) + sums.getOrDefault(casting, 0)));
        return ends;
    }

    private static int over(
            String id,
            Map<String, Work> works,
            Map<String, List<String>> before,
            Map<String, Integer> over,
            OpenTime time,
            Set<String> on) {
        Integer known = over.get(id);
        if (known != null) {
            return known;
        }
        Work work = works.get(id);
        if (work == null || !on.add(id)) {
            return 0;
        }
        int from = Math.max(0, work.earliest());
        for (String other : before.getOrDefault(id, List.of())) {
            from = Math.max(from, over(other, works, before, over, time, on));
        }
        int begin = from;
        int end = work.ways().stream()
                .mapToInt(w -> through(w.pieces(), begin, time))
                .min()
                .orElse(begin);
        over.put(id, end);
        return end;
    }

    /** What does not run at night is over no earlier than if it did. */
    private static int through(List<Piece> pieces, int from, OpenTime time) {
        int at = from;
        for (Piece piece : pieces) {
            at = piece.attended() ? at + piece.minutes() : time.alone(Math.min(at, time.length()), piece.minutes());
        }
        return at;
    }

    private static int setUp(Bench bench) {
        Map<String, Set<String>> forms = new TreeMap<>();
        for (Work work : bench.works()) {
            if (work.ways().size() == 1 && !work.outside() && !work.setUp().isEmpty()) {
                forms.computeIfAbsent(work.ways().get(0).station(), s -> new HashSet<>())
                        .add(work.setUp());
            }
        }
        Map<String, Station> stations = new HashMap<>();
        bench.stations().forEach(s -> stations.put(s.id(), s));
        return forms.keySet().stream()
                .map(stations::get)
                .filter(s -> s != null && !s.together())
                .mapToInt(s -> setUp(bench, s, forms.getOrDefault(s.id(), Set.of())))
                .sum();
    }

    /** From the best of all that may stand there before. */
    private static int setUp(Bench bench, Station station, Set<String> forms) {
        Set<String> from = new HashSet<>(forms);
        from.add(station.setUp());
        return forms.stream()
                .filter(f -> !f.equals(station.setUp()))
                .mapToInt(to -> from.stream()
                        .filter(f -> !f.equals(to))
                        .mapToInt(f -> bench.change(station.id(), f, to))
                        .min()
                        .orElse(0))
                .sum();
    }
}

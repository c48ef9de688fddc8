package homalon.planner;

import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import homalon.core.bench.Bench;
import homalon.core.bench.Budget;
import homalon.core.bench.Checker;
import homalon.core.bench.Due;
import homalon.core.bench.Person;
import homalon.core.bench.Placed;
import homalon.core.bench.Score;
import homalon.core.bench.Station;
import homalon.core.bench.Timetable;
import homalon.core.bench.Work;
import homalon.core.hours.Stretch;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * Makes a timetable better some castings at a time (large neighbourhood search, Shaw 1998): their works are taken out, stations and people
 * are away where the others have them, and the solver finds the best place for what was taken out. What comes of it is put together
 * and kept where it is legal and better.
 */
final class Around {
    /** So many castings the solver nearly always finds the best place for within a second. */
    static final int AT_ONCE = 3;

    /** Of one turn, in the solver's own count: half as much finds less, and presolve, which is not counted, takes over. */
    private static final double TURN = 0.1;
    /** What making a model counts beside solving it. */
    private static final double MODELLING = 0.005;

    private final Bench bench;
    private final SplittableRandom random;
    private final Map<String, Work> works = new HashMap<>();
    private final List<String> castings;

    private Around(Bench bench, long seed) {
        this.bench = bench;
        this.random = new SplittableRandom(seed);
        bench.works().forEach(w -> works.put(w.id(), w));
        this.castings = bench.works().stream().map(Work::casting).distinct().toList();
    }

    /** @param better is told each that is better than all before */
    static Timetable better(Bench bench, Timetable known, Budget budget, Consumer<Timetable> better) {
        return new Around(bench, budget.seed()).search(known, budget, better);
    }

    private Timetable search(Timetable known, Budget budget, Consumer<Timetable> better) {
        Timetable best = known;
        Score score = Score.of(bench, best);
        double left = budget.work();
        while (left > 0) {
            Set<String> free = free(best);
            Timetable before = best;
            List<Placed> taken = best.placed().stream()
                    .filter(p -> free.contains(casting(p)))
                    .toList();
            Model model = new Model(part(before, free), horizon(before));
            model.hint(new Timetable(taken));
            model.model().minimize(model.all());
            CpSolver solver = Solver.solver(budget, TURN, random.nextInt(1 << 30));
            CpSolverStatus status = solver.solve(model.model());
            left -= MODELLING + solver.response().getDeterministicTime();
            if (status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE) {
                Timetable now = together(before, model.read(solver), free);
                Score then = Score.of(bench, now);
                if (then.compareTo(score) < 0 && Checker.look(bench, now).isEmpty()) {
                    best = now;
                    score = then;
                    better.accept(best);
                }
            }
        }
        return best;
    }

    private String casting(Placed placed) {
        return Optional.ofNullable(works.get(placed.work())).map(Work::casting).orElse("");
    }

    private int horizon(Timetable of) {
        int last = of.placed().stream().mapToInt(Placed::to).max().orElse(0);
        return Math.min(bench.time().length(), last + last / 4 + 8 * 60);
    }

    /** One that is late, or any, and those that are about at the same time. */
    private Set<String> free(Timetable of) {
        Map<String, Integer> begins = new HashMap<>();
        Map<String, Integer> ends = new HashMap<>();
        of.placed().forEach(p -> {
            begins.merge(casting(p), p.begins(), Math::min);
            ends.merge(casting(p), p.to(), Math::max);
        });
        List<String> late = bench.dues().stream()
                .filter(d -> d.late(ends.getOrDefault(d.casting(), 0)) > 0)
                .map(Due::casting)
                .toList();
        List<String> from = late.isEmpty() || random.nextInt(4) == 0 ? castings : late;
        String first = from.get(random.nextInt(from.size()));
        int middle = (begins.getOrDefault(first, 0) + ends.getOrDefault(first, 0)) / 2;
        Set<String> free = new HashSet<>(Set.of(first));
        Map<String, Double> far = new HashMap<>();
        castings.forEach(c -> far.put(c, away(begins, ends, c, middle) * (0.2 + random.nextDouble())));
        List<String> near = castings.stream()
                .sorted(Comparator.comparingDouble(c -> far.getOrDefault(c, 0.0)))
                .toList();
        for (int i = 0; i < near.size() && free.size() < AT_ONCE; i++) {
            free.add(near.get(i));
        }
        return free;
    }

    private static double away(Map<String, Integer> begins, Map<String, Integer> ends, String casting, int minute) {
        return 1
                + Math.max(
                        0, Math.max(begins.getOrDefault(casting, 0) - minute, minute - ends.getOrDefault(casting, 0)));
    }

    /** Those castings alone, with stations and people away where the others have them. */
    private Bench part(Timetable of, Set<String> free) {
        Map<String, List<Stretch>> stations = new HashMap<>();
        Map<String, List<Stretch>> people = new HashMap<>();
        for (Placed placed : of.placed()) {
            if (!free.contains(casting(placed))) {
                stations.computeIfAbsent(placed.station(), s -> new ArrayList<>())
                        .add(new Stretch(placed.begins(), placed.to()));
                for (int i = 0; i < placed.parts().size(); i++) {
                    Placed.Part part = placed.parts().get(i);
                    people.computeIfAbsent(part.person(), p -> new ArrayList<>())
                            .add(new Stretch(i == 0 ? placed.begins() : part.from(), part.to()));
                }
            }
        }
        Bench all = bench.with(
                bench.works().stream().filter(w -> free.contains(w.casting())).toList());
        return new Bench(
                all.time(),
                all.stations().stream()
                        .map(s -> new Station(
                                s.id(), s.holds(), and(s.away(), stations.getOrDefault(s.id(), List.of())), s.setUp()))
                        .toList(),
                all.people().stream()
                        .map(p -> new Person(p.id(), and(p.away(), people.getOrDefault(p.id(), List.of()))))
                        .toList(),
                all.dues().stream().filter(d -> free.contains(d.casting())).toList(),
                all.works(),
                all.orders(),
                all.changes(),
                all.told().stream().filter(t -> free.contains(casting(t))).toList(),
                all.soon());
    }

    private static List<Stretch> and(List<Stretch> some, List<Stretch> more) {
        List<Stretch> all = new ArrayList<>(some);
        more.stream().filter(s -> s.to() > s.from()).forEach(all::add);
        return all;
    }

    /** The others where they were, each station set up for as what now comes before asks. */
    private Timetable together(Timetable before, Timetable found, Set<String> free) {
        List<Placed> all = new ArrayList<>(found.placed());
        before.placed().stream().filter(p -> !free.contains(casting(p))).forEach(all::add);
        Map<String, List<Placed>> on = all.stream().collect(Collectors.groupingBy(Placed::station));
        List<Placed> placed = new ArrayList<>();
        for (Map.Entry<String, List<Placed>> one : on.entrySet()) {
            Optional<Station> station = bench.stations().stream()
                    .filter(s -> s.id().equals(one.getKey()) && !s.together())
                    .findFirst();
            if (station.isEmpty()) {
                placed.addAll(one.getValue());
            } else {
                placed.addAll(inTurn(station.get(), one.getValue()));
            }
        }
        return new Timetable(placed);
    }

    private List<Placed> inTurn(Station station, List<Placed> on) {
        String form = station.setUp();
        List<Placed> all = new ArrayList<>();
        for (Placed one :
                on.stream().sorted(Comparator.comparingInt(Placed::from)).toList()) {
            String own =
                    Optional.ofNullable(works.get(one.work())).map(Work::setUp).orElse("");
            all.add(new Placed(one.work(), one.station(), bench.change(station.id(), form, own), one.parts()));
            form = own.isEmpty() ? form : own;
        }
        return all;
    }
}

package homalon.planner;

import homalon.core.bench.Bench;
import homalon.core.bench.Bounds;
import homalon.core.bench.Budget;
import homalon.core.bench.Checker;
import homalon.core.bench.ListScheduler;
import homalon.core.bench.Score;
import homalon.core.bench.Timetable;
import homalon.core.sim.MadeUpBench;

/**
 * What more work brings for a shop of so many castings: a list's first answer, its best of some, and after each amount of work what more
 * lists and the solver come to from there (docs/performance.md). Started by hand: {@code castings people seed work ...}, the work in the
 * solver's own count.
 */
public final class ShortAndLong {
    private static final int ROUNDS = Integer.getInteger("rounds", 200);

    private ShortAndLong() {}

    public static void main(String[] args) {
        int seed = Integer.parseInt(args[2]);
        Bench bench = MadeUpBench.draw(seed, Integer.parseInt(args[0]), Integer.parseInt(args[1]));
        int pieces = bench.works().stream()
                .mapToInt(w -> w.ways().get(0).pieces().size())
                .sum();
        Bounds bounds = Bounds.of(bench);
        System.out.printf(
                "seed %d: %d works, %d pieces, %d stations, %d people; lateness at least %d, set-up at least %d min%n",
                seed,
                bench.works().size(),
                pieces,
                bench.stations().size(),
                bench.people().size(),
                bounds.late(),
                bounds.setUp());
        long begun = System.nanoTime();
        tell("list", bench, ListScheduler.of(bench, 0, 1).timetable(), begun);
        begun = System.nanoTime();
        Timetable known = ListScheduler.of(bench, ROUNDS, 1).timetable();
        tell("list, " + ROUNDS + " rounds", bench, known, begun);
        for (int i = 3; i < args.length; i++) {
            begun = System.nanoTime();
            Budget budget = new Budget(Double.parseDouble(args[i]), 1, 1);
            tell(
                    "solver, " + args[i],
                    bench,
                    Solver.of(bench, known, budget, s -> {}).timetable(),
                    begun);
        }
    }

    private static void tell(String how, Bench bench, Timetable timetable, long begun) {
        double took = (System.nanoTime() - begun) / 1e9;
        Score score = Score.of(bench, timetable);
        System.out.printf(
                "%s: %.1f s, late %d, set-up %d min, standing %d, %s%n",
                how,
                took,
                score.late(),
                score.setUp(),
                score.standing(),
                Checker.look(bench, timetable).isEmpty() ? "legal" : "NOT LEGAL");
    }
}

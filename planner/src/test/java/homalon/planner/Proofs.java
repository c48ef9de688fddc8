package homalon.planner;

import homalon.core.bench.Bench;
import homalon.core.bench.Budget;
import homalon.core.bench.ListScheduler;
import homalon.core.bench.Solution;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * How long the solver takes to find and to prove what is known of instances of the literature (docs/performance.md). Started by hand, on a
 * machine that does nothing else: {@code [work [instance ...]]}, the work in the solver's own count.
 */
public final class Proofs {
    /** Ten jobs on ten machines (Fisher and Thompson 1963): 930, proven by Carlier and Pinson in 1989. */
    private static final String FT10 = """
            0 29 1 78 2 9 3 36 4 49 5 11 6 62 7 56 8 44 9 21
            0 43 2 90 4 75 9 11 3 69 1 28 6 46 5 46 7 72 8 30
            1 91 0 85 3 39 2 74 8 90 5 10 7 12 6 89 9 45 4 33
            1 81 2 95 0 71 4 99 6 9 8 52 7 85 3 98 9 22 5 43
            2 14 0 6 1 22 5 61 3 26 4 69 8 21 7 49 9 72 6 53
            2 84 1 2 5 52 3 95 8 48 9 72 0 47 6 65 4 6 7 25
            1 46 0 37 3 61 2 13 6 32 5 21 9 32 8 89 7 30 4 55
            2 31 0 86 1 46 5 74 4 32 6 88 8 19 9 48 7 36 3 79
            0 76 1 69 3 76 5 51 2 85 9 11 6 40 7 89 4 26 8 74
            1 85 0 13 2 61 6 7 8 64 9 76 5 47 3 52 4 90 7 45
            """;

    /** Ten jobs on six machines with two ways in the mean (Brandimarte 1993): 40. */
    private static final String MK01 = """
            6 2 1 5 3 4 3 5 3 3 5 2 1 2 3 4 6 2 3 6 5 2 6 1 1 1 3 1 3 6 6 3 6 4 3
            5 1 2 6 1 3 1 1 1 2 2 2 6 4 6 3 6 5 2 6 1 1
            5 1 2 6 2 3 4 6 2 3 6 5 2 6 1 1 3 3 4 2 6 6 6 2 1 1 5 5
            5 3 6 5 2 6 1 1 1 2 6 1 3 1 3 5 3 3 5 2 1 2 3 4 6 2
            6 3 5 3 3 5 2 1 3 6 5 2 6 1 1 1 2 6 2 1 5 3 4 2 2 6 4 6 3 3 4 2 6 6 6
            6 2 3 4 6 2 1 1 2 3 3 4 2 6 6 6 1 2 6 3 6 5 2 6 1 1 2 1 3 4 2
            5 1 6 1 2 1 3 4 2 3 3 4 2 6 6 6 3 2 6 5 1 1 6 1 3 1
            5 2 3 4 6 2 3 3 4 2 6 6 6 3 6 5 2 6 1 1 1 2 6 2 2 6 4 6
            6 1 6 1 2 1 1 5 5 3 6 6 3 6 4 3 1 1 2 3 3 4 2 6 6 6 2 2 6 4 6
            6 2 3 4 6 2 3 3 4 2 6 6 6 3 5 3 3 5 2 1 1 6 1 2 2 6 4 6 2 1 3 4 2
            """;

    private static final int SEEDS = 3;

    private Proofs() {}

    public static void main(String[] args) {
        double work = args.length > 0 ? Double.parseDouble(args[0]) : 60;
        int searches = Integer.getInteger("searches", 2);
        Map<String, Bench> all = new LinkedHashMap<>();
        all.put("ft06", JobShop.of(SolverTest.FT06));
        all.put("ft10", JobShop.of(FT10));
        all.put("mk01", JobShop.flexible(MK01));
        all.keySet().retainAll(args.length > 1 ? Arrays.asList(args).subList(1, args.length) : all.keySet());
        all.forEach((name, bench) -> {
            for (int seed = 1; seed <= SEEDS; seed++) {
                run(name, bench, new Budget(work, searches, seed));
            }
        });
    }

    /** What was asked is answered. */
    private static final class Enough extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final transient Solution.Reached reached;

        Enough(Solution.Reached reached) {
            this.reached = reached;
        }
    }

    /** The first aim alone: how long all takes. What follows it, the waiting between, is no part of the question. */
    private static void run(String name, Bench bench, Budget budget) {
        long begun = System.nanoTime();
        try {
            Solver.whole(bench, ListScheduler.of(bench, 5, budget.seed()).timetable(), budget, s -> {
                throw new Enough(s.reached().get(0));
            });
        } catch (Enough enough) {
            Solution.Reached reached = enough.reached;
            String bound = reached.proven() ? "proven" : "at least " + JobShop.takes(reached.bound());
            double took = (System.nanoTime() - begun) / 1e9;
            System.out.printf(
                    "%s seed %d: %d, %s, in %.1f s%n",
                    name, budget.seed(), JobShop.takes(reached.value()), bound, took);
        }
    }
}

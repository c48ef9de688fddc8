package homalon.planner;

import com.google.ortools.Loader;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import homalon.core.bench.Aim;
import homalon.core.bench.Bench;
import homalon.core.bench.Bounds;
import homalon.core.bench.Breach;
import homalon.core.bench.Budget;
import homalon.core.bench.Checker;
import homalon.core.bench.ListScheduler;
import homalon.core.bench.Placed;
import homalon.core.bench.Score;
import homalon.core.bench.Solution;
import homalon.core.bench.Timetable;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;

/**
 * Makes a timetable better than one that is known, aim after aim: the first is brought as low as the work allows, then it is held and the
 * next one is. What an aim leaves of its share the next ones have.
 */
public final class Solver {
    private static final int DAY = 24 * 60;
    /** Works of a bench that is solved all at once. */
    private static final int AT_ONCE = 60;

    /** By lists, for each work of the solver's count: a large bench comes further by these first than by the solver in the same time. */
    private static final int WORKS_PLACED = 400_000;

    private static final int MOST_ROUNDS = 700;
    private static final double LEAST_WORK = 0.1;
    private static final double ROUNDING = 1e-6;

    private Solver() {}

    /**
     * All of a small bench at once; of a larger one some castings at a time, with the bounds of what is left out.
     *
     * @param bench of which every work can have a place
     * @param known a legal timetable of it
     * @param better is told each that is better
     */
    public static Solution of(Bench bench, Timetable known, Budget budget, Consumer<Solution> better) {
        if (bench.works().size() <= AT_ONCE) {
            return whole(bench, known, budget, better);
        }
        Loader.loadNativeLibraries();
        Bounds bounds = Bounds.of(bench);
        Timetable listed = listed(bench, known, budget);
        if (!listed.equals(known)) {
            better.accept(told(bench, listed, bounds));
        }
        return told(bench, Around.better(bench, listed, budget, t -> better.accept(told(bench, t, bounds))), bounds);
    }

    /** The same or better, by as many lists as no page waits for. */
    private static Timetable listed(Bench bench, Timetable known, Budget budget) {
        int rounds = (int) (budget.work() * WORKS_PLACED / bench.works().size());
        ListScheduler.Made made = ListScheduler.of(bench, Math.min(MOST_ROUNDS, rounds), budget.seed());
        boolean whole = made.left().isEmpty() && made.unpinned().isEmpty();
        return whole
                        && Score.of(bench, made.timetable()).compareTo(Score.of(bench, known)) < 0
                        && Checker.look(bench, made.timetable()).isEmpty()
                ? made.timetable()
                : known;
    }

    private static Solution told(Bench bench, Timetable timetable, Bounds bounds) {
        Score score = Score.of(bench, timetable);
        return new Solution(
                timetable,
                score,
                List.of(
                        new Solution.Reached(Aim.LATE, score.late(), bounds.late()),
                        new Solution.Reached(Aim.SET_UP, score.setUp(), bounds.setUp())));
    }

    /**
     * @param better is told what there is after each aim
     * @throws IllegalStateException where what was found is not legal: then the model is wrong
     */
    static Solution whole(Bench bench, Timetable known, Budget budget, Consumer<Solution> better) {
        Loader.loadNativeLibraries();
        Model model = new Model(bench, horizon(bench, known));
        Timetable best = known;
        List<Solution.Reached> reached = new ArrayList<>();
        double left = budget.work();
        for (Aim aim : Aim.values()) {
            LinearExpr expression = model.aim(aim);
            long value = value(Score.of(bench, best), aim);
            long bound = 0;
            if (value > 0) {
                model.hint(best);
                model.model().minimize(expression);
                CpSolver solver = solver(budget, share(aim) * left, budget.seed());
                CpSolverStatus status = solver.solve(model.model());
                left -= solver.response().getDeterministicTime();
                if (status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE) {
                    Timetable found = legal(bench, model.read(solver));
                    best = Score.of(bench, found).compareTo(Score.of(bench, best)) < 0 ? found : best;
                }
                value = value(Score.of(bench, best), aim);
                bound = Math.min(value, (long) Math.ceil(solver.bestObjectiveBound() - ROUNDING));
                model.model().clearObjective();
            }
            reached.add(new Solution.Reached(aim, value, bound));
            model.model().addLessOrEqual(expression, value);
            better.accept(new Solution(best, Score.of(bench, best), reached));
            if (left <= 0) {
                break;
            }
        }
        return new Solution(best, Score.of(bench, best), reached);
    }

    private static Timetable legal(Bench bench, Timetable found) {
        List<Breach> breaches = Checker.look(bench, found);
        if (!breaches.isEmpty()) {
            throw new IllegalStateException("the solver's timetable is not legal: " + breaches.get(0));
        }
        return found;
    }

    /** A plan that leaves half as much time again unused, and a day, is none: so far is looked. */
    private static int horizon(Bench bench, Timetable known) {
        int last = known.placed().stream().mapToInt(Placed::to).max().orElse(0);
        return Math.min(bench.time().length(), last + last / 2 + DAY);
    }

    static CpSolver solver(Budget budget, double work, int seed) {
        CpSolver solver = new CpSolver();
        var parameters = solver.getParameters();
        parameters.setMaxDeterministicTime(Math.max(LEAST_WORK, work));
        parameters.setRandomSeed(seed);
        parameters.setNumWorkers(budget.searches());
        // Trying each truth both ways before the search takes longer than the search.
        parameters.setCpModelProbingLevel(0);
        parameters.setInterleaveSearch(budget.searches() > 1);
        return solver;
    }

    /** Of the work that is left, what an aim may take. */
    private static double share(Aim aim) {
        return switch (aim) {
            case LATE, SET_UP -> 0.6;
            case MOVED -> 0.4;
            case STANDING -> 1;
        };
    }

    private static long value(Score score, Aim aim) {
        return switch (aim) {
            case LATE -> score.late();
            case MOVED -> score.moved();
            case SET_UP -> score.setUp();
            case STANDING -> score.standing();
        };
    }
}

package homalon.planner;

import com.google.ortools.Loader;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import homalon.core.bench.Bench;
import homalon.core.bench.Breach;
import homalon.core.bench.Checker;
import homalon.core.bench.Placed;
import homalon.core.bench.Score;
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
    private static final double LEAST_WORK = 0.1;
    private static final double ROUNDING = 1e-6;

    private Solver() {}

    /**
     * @param bench of which every work can have a place
     * @param known a legal timetable of it
     * @param better is told what there is after each aim
     * @throws IllegalStateException where what was found is not legal: then the model is wrong
     */
    public static Solution of(Bench bench, Timetable known, Budget budget, Consumer<Solution> better) {
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
                CpSolver solver = solver(budget, aim.share() * left);
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

    private static CpSolver solver(Budget budget, double work) {
        CpSolver solver = new CpSolver();
        var parameters = solver.getParameters();
        parameters.setMaxDeterministicTime(Math.max(LEAST_WORK, work));
        parameters.setRandomSeed(budget.seed());
        parameters.setNumWorkers(budget.searches());
        // Trying each truth both ways before the search takes longer than the search.
        parameters.setCpModelProbingLevel(0);
        parameters.setInterleaveSearch(budget.searches() > 1);
        return solver;
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

package homalon.bench;

import homalon.core.face.MinimumZone;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Range;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * The exact minimum zone against one pass of residuals over the same million points, and against a general simplex solver on two
 * thousand. The solver gets the dual programme (four rows, two columns for each point), which suits it far better than the
 * primal with its four thousand rows.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class MinimumZoneBench {
    private static final int MANY = 1_000_000;
    private static final int FEW = 2_000;

    private Points many;
    private Points few;
    private Plane fixed;

    private static Points face(int n, long seed) {
        Random random = new Random(seed);
        double[] x = new double[n];
        double[] y = new double[n];
        double[] z = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = 412 * random.nextDouble();
            y[i] = 150 * random.nextDouble();
            double u = 2 * x[i] / 412 - 1;
            double v = 2 * y[i] / 150 - 1;
            z[i] = 0.05 * u * u + 0.02 * u * v + 0.1 * u + 0.002 * random.nextGaussian();
        }
        return Points.of(x, y, z);
    }

    @Setup
    public void make() {
        many = face(MANY, 1);
        few = face(FEW, 2);
        fixed = new Plane(1e-4, -2e-5, 0.01);
        MinimumZone.Result ours = MinimumZone.of(few);
        double theirs = simplex();
        if (Math.abs(ours.zone() / ours.middle().cosTilt() - theirs) > 1e-9) {
            throw new IllegalStateException("the two do not agree: " + ours.zone() + " and " + theirs);
        }
    }

    @Benchmark
    public Range onePassOfResiduals() {
        return many.range(fixed);
    }

    @Benchmark
    public double minimumZoneOfAMillion() {
        return MinimumZone.of(many).zone();
    }

    @Benchmark
    public double minimumZoneOfTwoThousand() {
        return MinimumZone.of(few).zone();
    }

    @Benchmark
    public double simplexOfTwoThousand() {
        return simplex();
    }

    /** max sum (p - q) z with sum p = sum q = 1, sum (p - q) x = 0, sum (p - q) y = 0; p, q not negative. */
    private double simplex() {
        int n = few.size();
        double[] goal = new double[2 * n];
        double[][] rows = new double[4][2 * n];
        for (int i = 0; i < n; i++) {
            goal[i] = few.z(i);
            goal[n + i] = -few.z(i);
            rows[0][i] = 1;
            rows[1][n + i] = 1;
            rows[2][i] = few.x(i) / 100;
            rows[2][n + i] = -few.x(i) / 100;
            rows[3][i] = few.y(i) / 100;
            rows[3][n + i] = -few.y(i) / 100;
        }
        List<LinearConstraint> constraints = new ArrayList<>();
        for (int r = 0; r < rows.length; r++) {
            constraints.add(new LinearConstraint(rows[r], Relationship.EQ, r < 2 ? 1 : 0));
        }
        return new SimplexSolver(1e-12)
                .optimize(
                        new LinearObjectiveFunction(goal, 0),
                        new LinearConstraintSet(constraints),
                        GoalType.MAXIMIZE,
                        new NonNegativeConstraint(true))
                .getValue();
    }

    /** Runs all four and prints the two ratios. */
    public static void main(String[] args) throws RunnerException {
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(MinimumZoneBench.class.getSimpleName())
                        .jvmArgs("-Xmx900m")
                        .build())
                .run();
        System.out.printf(
                "minimum zone of a million / one pass of residuals: %.1f (10 at most)%n",
                score(results, "OfAMillion") / score(results, "onePass"));
        System.out.printf(
                "simplex / minimum zone, two thousand points: %.0f (50 at least)%n",
                score(results, "simplex") / score(results, "zoneOfTwoThousand", "ZoneOfTwoThousand"));
    }

    private static double score(Collection<RunResult> results, String... names) {
        return results.stream()
                .filter(r -> Arrays.stream(names)
                        .anyMatch(n -> r.getParams().getBenchmark().contains(n)))
                .findFirst()
                .orElseThrow()
                .getPrimaryResult()
                .getScore();
    }
}

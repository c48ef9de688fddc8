package homalon.core.numeric;

import homalon.core.numeric.LinearBounds.Band;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.optim.LocalizedOptimFormats;
import org.hipparchus.optim.MaxIter;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.PivotSelectionRule;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;

/**
 * What bands of linear forms allow in more than four variables, by the simplex method: each answer is one programme, of forms that
 * differ clearly, which it solves well. ({@link LinearBounds} makes nearly parallel rows as it closes in, which a simplex calls
 * infeasible; its own method in turn loses what a double holds in six variables.)
 */
public final class LargerProgram {
    private static final int MOST_STEPS = 10_000;

    private final List<Band> bands;

    public LargerProgram(List<Band> bands) {
        this.bands = List.copyOf(bands);
    }

    /** Least value of a form, minus infinity where nothing bounds it; empty when nothing fits all bands. */
    public OptionalDouble least(double... form) {
        return minimum(rows(0), form);
    }

    /** Least that the largest of several forms can be; empty when nothing fits all bands. */
    public OptionalDouble leastOfLargest(List<double[]> forms) {
        List<LinearConstraint> rows = rows(1);
        int n = forms.get(0).length;
        for (double[] form : forms) {
            double[] below = Arrays.copyOf(form, n + 1);
            below[n] = -1;
            rows.add(new LinearConstraint(below, Relationship.LEQ, 0));
        }
        double[] goal = new double[n + 1];
        goal[n] = 1;
        return minimum(rows, goal);
    }

    private List<LinearConstraint> rows(int more) {
        List<LinearConstraint> rows = new ArrayList<>();
        for (Band b : bands) {
            double[] form = Arrays.copyOf(b.form(), b.form().length + more);
            if (b.most() < Double.POSITIVE_INFINITY) {
                rows.add(new LinearConstraint(form, Relationship.LEQ, b.most()));
            }
            if (b.least() > Double.NEGATIVE_INFINITY) {
                rows.add(new LinearConstraint(form, Relationship.GEQ, b.least()));
            }
        }
        return rows;
    }

    private static OptionalDouble minimum(List<LinearConstraint> rows, double[] goal) {
        try {
            return OptionalDouble.of(new SimplexSolver()
                    .optimize(
                            new MaxIter(MOST_STEPS),
                            new LinearObjectiveFunction(goal, 0),
                            new LinearConstraintSet(rows),
                            GoalType.MINIMIZE,
                            new NonNegativeConstraint(false),
                            PivotSelectionRule.BLAND)
                    .getValue());
        } catch (MathIllegalStateException e) {
            if (e.getSpecifier() == LocalizedOptimFormats.UNBOUNDED_SOLUTION) {
                return OptionalDouble.of(Double.NEGATIVE_INFINITY);
            }
            return OptionalDouble.empty();
        }
    }
}

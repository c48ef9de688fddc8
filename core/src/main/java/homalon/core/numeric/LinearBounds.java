package homalon.core.numeric;

import homalon.core.geometry.Range;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * What bands of linear forms allow: all x with least_i &lt;= form_i . x &lt;= most_i, in up to four variables. Gives the least and
 * greatest value of another form over them, their corners, where a convex function is least on them, and the fewest bands that
 * must give way when no x fits all.
 *
 * <p>Values are expected to be of order 0.001 to 10 (millimetres of warp): a bound beyond 1000 counts as none.
 */
public final class LinearBounds {
    private static final double UNBOUNDED = 1000;
    private static final double FITS = 1e-9;
    private static final double CLOSE_ENOUGH = 1e-9;
    private static final int MOST_CUTS = 400;

    /**
     * One band.
     *
     * @param form coefficients
     * @param least value allowed, or minus infinity
     * @param most value allowed, or plus infinity
     */
    public record Band(double[] form, double least, double most) {
        /** How far a value lies outside, 0 inside. */
        double outside(double value) {
            return Math.max(0, Math.max(least - value, value - most));
        }
    }

    /**
     * A convex function near a place: its value there, and a slope that it never falls below.
     *
     * @param value at the place
     * @param slope with f(y) &gt;= value + slope . (y - x) for all y
     */
    public record Touch(double value, double[] slope) {}

    private final List<Band> bands;
    private final int variables;

    /** @param variables length of every form, 1 to 4 */
    public LinearBounds(List<Band> bands, int variables) {
        this.bands = List.copyOf(bands);
        this.variables = variables;
    }

    private SmallProgram programme() {
        SmallProgram programme = new SmallProgram();
        bands.forEach(b -> add(programme, b));
        return programme;
    }

    private static void add(SmallProgram programme, Band b) {
        if (b.most() < Double.POSITIVE_INFINITY) {
            programme.atMost(b.form(), b.most());
        }
        if (b.least() > Double.NEGATIVE_INFINITY) {
            programme.atLeast(b.form(), b.least());
        }
    }

    /** Least and greatest value of the form, infinite where nothing bounds it; empty when no x fits all bands. */
    public Optional<Range> of(double... form) {
        double[] minus = Arrays.stream(form).map(c -> -c).toArray();
        double[] low = programme().minimum(form);
        double[] high = programme().minimum(minus);
        if (low == null || high == null) {
            return Optional.empty();
        }
        double least = dot(form, low);
        double most = dot(form, high);
        return Optional.of(new Range(
                least < -UNBOUNDED ? Double.NEGATIVE_INFINITY : least,
                most > UNBOUNDED ? Double.POSITIVE_INFINITY : most));
    }

    /**
     * Corners of what the bands allow, in three or four variables; none when the bands leave a whole line open.
     *
     * @throws IllegalStateException for another number of variables
     */
    public List<double[]> corners() {
        if (variables != 3 && variables != 4) {
            throw new IllegalStateException("corners are listed in three or four variables");
        }
        List<double[]> planes = new ArrayList<>();
        for (Band b : bands) {
            for (double edge : new double[] {b.least(), b.most()}) {
                if (Double.isFinite(edge)) {
                    double[] plane = Arrays.copyOf(b.form(), variables + 1);
                    plane[variables] = edge;
                    planes.add(plane);
                }
            }
        }
        List<double[]> corners = new ArrayList<>();
        pick(planes, new double[variables][], 0, 0, corners);
        return corners;
    }

    /** Every choice of as many planes as there are variables, those before {@code from} being settled. */
    private void pick(List<double[]> planes, double[][] picked, int settled, int from, List<double[]> corners) {
        if (settled == variables) {
            double[] x = variables == 3 ? meet(picked[0], picked[1], picked[2]) : meet(picked);
            if (x != null && bands.stream().allMatch(b -> b.outside(dot(b.form(), x)) <= FITS)) {
                corners.add(x);
            }
            return;
        }
        for (int i = from; i < planes.size(); i++) {
            picked[settled] = planes.get(i);
            pick(planes, picked, settled + 1, i + 1, corners);
        }
    }

    private double @Nullable [] meet(double[][] planes) {
        double[][] forms = new double[variables][];
        double[] edges = new double[variables];
        for (int i = 0; i < variables; i++) {
            forms[i] = Arrays.copyOf(planes[i], variables);
            edges[i] = planes[i][variables];
        }
        return Elimination.solve(forms, edges);
    }

    /** Where three planes meet (Cramer's rule); null when they meet in no one place. */
    private static double @Nullable [] meet(double[] p, double[] q, double[] r) {
        double[] qr = cross(q, r);
        double[] rp = cross(r, p);
        double[] pq = cross(p, q);
        double det = dot(p, qr);
        if (Math.abs(det) < 1e-10) {
            return null;
        }
        double[] x = new double[3];
        for (int j = 0; j < 3; j++) {
            x[j] = (p[3] * qr[j] + q[3] * rp[j] + r[3] * pq[j]) / det;
        }
        return x;
    }

    private static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }

    /**
     * Where a convex function is least over what the bands allow, by cutting planes: each step is the optimum of a linear
     * programme that never lies above the function, so the step before the last proves the result.
     *
     * @return x; empty when no x fits all bands
     * @throws ArithmeticException when it does not settle
     */
    public Optional<double[]> lowest(Function<double[], Touch> convex) {
        SmallProgram programme = new SmallProgram();
        for (Band b : bands) {
            add(programme, new Band(Arrays.copyOf(b.form(), variables + 1), b.least(), b.most()));
        }
        double[] goal = new double[variables + 1];
        goal[variables] = 1;
        programme.atLeast(goal, 0);
        double @Nullable [] best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < MOST_CUTS; i++) {
            double @Nullable [] found = programme.minimum(goal);
            if (found == null) {
                return Optional.ofNullable(best);
            }
            double[] x = Arrays.copyOf(found, variables);
            Touch touch = convex.apply(x);
            if (touch.value() < least) {
                least = touch.value();
                best = x;
            }
            if (least <= found[variables] + CLOSE_ENOUGH) {
                return Optional.ofNullable(best);
            }
            double[] cut = new double[variables + 1];
            for (int j = 0; j < variables; j++) {
                cut[j] = -touch.slope()[j];
            }
            cut[variables] = 1;
            programme.atLeast(cut, touch.value() - dot(touch.slope(), x));
        }
        throw new ArithmeticException("a convex programme did not settle after " + MOST_CUTS + " cuts");
    }

    /** How far each band must give way, when their sum is least: few of them do, which singles out the odd ones. */
    public double[] giveWay() {
        double[] x = new LinearBounds(List.of(), variables)
                .lowest(this::outside)
                .orElseThrow(() -> new ArithmeticException("nothing was asked of the variables"));
        return bands.stream().mapToDouble(b -> b.outside(dot(b.form(), x))).toArray();
    }

    private Touch outside(double[] x) {
        double sum = 0;
        double[] slope = new double[variables];
        for (Band b : bands) {
            double value = dot(b.form(), x);
            double out = b.outside(value);
            sum += out;
            int sign = out <= 0 ? 0 : value > b.most() ? 1 : -1;
            for (int j = 0; j < variables; j++) {
                slope[j] += sign * b.form()[j];
            }
        }
        return new Touch(sum, slope);
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int j = 0; j < Math.min(a.length, b.length); j++) {
            sum += a[j] * b[j];
        }
        return sum;
    }
}

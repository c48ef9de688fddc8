package homalon.core.numeric;

import org.jspecify.annotations.Nullable;

/**
 * The affine function closest to given heights in the greatest deviation: min over p of max |z_i - p . (1, u_i, v_i)|.
 *
 * <p>Solved exactly by the exchange method (E. Stiefel 1959; the simplex method on the dual): a basis of d + 1 points
 * carries the greatest deviation with alternate signs; the point that sticks out furthest enters, a ratio test says which
 * leaves, and the deviation of the basis only grows until nothing sticks out. Each exchange is one pass over the points
 * and a solve with a (d + 1) x (d + 1) matrix, made anew each time so that no error builds up. Places on one line within
 * the basis (grids have many) make steps of no length; after a few of those the lowest index enters (Bland's rule), which
 * cannot cycle.
 *
 * <p>Not a least-squares fit, and not iterated to a tolerance: the basis proves the result.
 */
final class Minimax {
    private static final int PATIENCE = 8;
    private static final int MOST_EXCHANGES = 10_000;
    /** Of the greatest height: what may stick out without being a point that matters, well above rounding. */
    private static final double ROUNDING = 4e-15;

    private final double[] u;
    private final double[] v;
    private final double[] z;
    private final int d;
    private final double tolerance;

    private final int[] basis;
    private final int[] side;
    private double[] weight = new double[0];
    private double[] p = new double[3];
    private double h;

    /**
     * Heights z over places (u, v), all centred and of order one.
     *
     * @param d 1 for a constant, 2 for a line in u, 3 for a plane in u and v
     * @param start d + 1 distinct points, of which d determine p
     */
    Minimax(double[] u, double[] v, double[] z, int d, int[] start) {
        this.u = u;
        this.v = v;
        this.z = z;
        this.d = d;
        this.basis = start.clone();
        this.side = new int[d + 1];
        double most = 0;
        for (double each : z) {
            most = Math.max(most, Math.abs(each));
        }
        this.tolerance = ROUNDING * most;
    }

    /** Where the greatest deviation lies, as far as it was looked for. */
    enum Lies {
        BELOW,
        ABOVE,
        FOUND
    }

    void solve() {
        solve(-1, Double.POSITIVE_INFINITY);
    }

    /**
     * The deviation of the basis only grows, and no deviation is greater than what sticks out furthest: looks no longer than it takes to
     * tell on which side of a stretch it lies, and finds it where it lies within.
     *
     * @param low below which it need not be found
     * @param high above which it need not be found
     */
    Lies solve(double low, double high) {
        firstSides();
        int stalled = 0;
        for (int exchange = 0; exchange < MOST_EXCHANGES; exchange++) {
            double before = h;
            solveBasis();
            stalled = exchange > 0 && h <= before + tolerance * 1e-3 ? stalled + 1 : 0;
            if (h > high) {
                return Lies.ABOVE;
            }
            boolean patient = stalled <= PATIENCE;
            int entering = patient ? furthestOutside() : lowestOutside();
            if (entering < 0) {
                return Lies.FOUND;
            }
            if (patient && Math.abs(residual(entering)) <= low) {
                return Lies.BELOW;
            }
            exchange(entering);
        }
        throw new ArithmeticException("the minimax fit did not settle after " + MOST_EXCHANGES + " exchanges");
    }

    /** Greatest deviation. */
    double deviation() {
        return h;
    }

    /** Constant, slope along u, slope along v. */
    double[] coefficients() {
        return p;
    }

    int[] basis() {
        return basis;
    }

    int[] sides() {
        return side;
    }

    /** Multipliers of the basis points, summing to one: those above zero hold the fit. */
    double[] weights() {
        return weight;
    }

    private double residual(int i) {
        double r = z[i] - p[0];
        if (d > 1) {
            r -= p[1] * u[i];
        }
        if (d > 2) {
            r -= p[2] * v[i];
        }
        return r;
    }

    private int furthestOutside() {
        int at = -1;
        double most = h + tolerance;
        double p0 = p[0];
        double p1 = p[1];
        double p2 = p[2];
        if (d == 3) {
            for (int i = 0; i < z.length; i++) {
                double r = Math.abs(z[i] - p0 - p1 * u[i] - p2 * v[i]);
                if (r > most) {
                    most = r;
                    at = i;
                }
            }
            return at;
        }
        for (int i = 0; i < z.length; i++) {
            double r = Math.abs(residual(i));
            if (r > most) {
                most = r;
                at = i;
            }
        }
        return at;
    }

    private int lowestOutside() {
        for (int i = 0; i < z.length; i++) {
            if (Math.abs(residual(i)) > h + tolerance) {
                return i;
            }
        }
        return -1;
    }

    /** Signs of the one affine dependency among the basis points; either sign where it is zero. */
    private void firstSides() {
        double[][] m = new double[d + 1][d + 1];
        double[] lambda = null;
        for (int k = 0; k <= d && lambda == null; k++) {
            for (int j = 0; j <= d; j++) {
                fillPlace(m, j);
                m[d][j] = j == k ? 1 : 0;
            }
            double[] right = new double[d + 1];
            right[d] = 1;
            lambda = Elimination.solve(m, right);
        }
        if (lambda == null) {
            throw new IllegalArgumentException("the first points of a minimax fit must determine it");
        }
        for (int j = 0; j <= d; j++) {
            side[j] = lambda[j] < 0 ? -1 : 1;
        }
    }

    private void fillPlace(double[][] m, int j) {
        m[0][j] = 1;
        if (d > 1) {
            m[1][j] = u[basis[j]];
        }
        if (d > 2) {
            m[2][j] = v[basis[j]];
        }
    }

    private double[][] columns() {
        double[][] m = new double[d + 1][d + 1];
        for (int j = 0; j <= d; j++) {
            fillPlace(m, j);
            for (int row = 0; row < d; row++) {
                m[row][j] *= side[j];
            }
            m[d][j] = 1;
        }
        return m;
    }

    private void solveBasis() {
        double[][] rows = new double[d + 1][d + 1];
        double[] right = new double[d + 1];
        for (int j = 0; j <= d; j++) {
            rows[j][0] = 1;
            if (d > 1) {
                rows[j][1] = u[basis[j]];
            }
            if (d > 2) {
                rows[j][2] = v[basis[j]];
            }
            rows[j][d] = side[j];
            right[j] = z[basis[j]];
        }
        double[] solution = required(Elimination.solve(rows, right));
        h = solution[d];
        if (h < 0) {
            h = -h;
            for (int j = 0; j <= d; j++) {
                side[j] = -side[j];
            }
        }
        p = new double[3];
        System.arraycopy(solution, 0, p, 0, d);
        double[] unit = new double[d + 1];
        unit[d] = 1;
        weight = required(Elimination.solve(columns(), unit));
    }

    private void exchange(int entering) {
        int sign = residual(entering) > 0 ? 1 : -1;
        double[] column = new double[d + 1];
        column[0] = sign;
        if (d > 1) {
            column[1] = sign * u[entering];
        }
        if (d > 2) {
            column[2] = sign * v[entering];
        }
        column[d] = 1;
        double[] w = required(Elimination.solve(columns(), column));
        int leaving = -1;
        double least = Double.POSITIVE_INFINITY;
        for (int j = 0; j <= d; j++) {
            if (w[j] > 1e-12) {
                double ratio = Math.max(0, weight[j]) / w[j];
                boolean tie = leaving >= 0 && Math.abs(ratio - least) <= 1e-15;
                if (tie ? basis[j] < basis[leaving] : ratio < least) {
                    least = ratio;
                    leaving = j;
                }
            }
        }
        if (leaving < 0) {
            throw new ArithmeticException("the minimax fit lost its basis");
        }
        basis[leaving] = entering;
        side[leaving] = sign;
    }

    private static double[] required(double @Nullable [] solution) {
        if (solution == null) {
            throw new ArithmeticException("the minimax fit met a singular basis");
        }
        return solution;
    }
}

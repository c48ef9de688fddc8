package homalon.core.numeric;

import org.jspecify.annotations.Nullable;

/** Gaussian elimination with row pivoting for the tiny systems of an exchange step (at most 4 x 4). */
final class Elimination {
    private static final double SINGULAR = 1e-14;

    private Elimination() {}

    /** The solution of m s = right, or null when m is singular to rounding. Leaves its arguments alone. */
    static double @Nullable [] solve(double[][] m, double[] right) {
        int n = right.length;
        double[][] a = new double[n][n + 1];
        for (int i = 0; i < n; i++) {
            System.arraycopy(m[i], 0, a[i], 0, n);
            a[i][n] = right[i];
        }
        for (int col = 0; col < n; col++) {
            int pivot = col;
            for (int row = col + 1; row < n; row++) {
                if (Math.abs(a[row][col]) > Math.abs(a[pivot][col])) {
                    pivot = row;
                }
            }
            if (Math.abs(a[pivot][col]) < SINGULAR) {
                return null;
            }
            double[] swap = a[col];
            a[col] = a[pivot];
            a[pivot] = swap;
            for (int row = col + 1; row < n; row++) {
                double f = a[row][col] / a[col][col];
                for (int k = col; k <= n; k++) {
                    a[row][k] -= f * a[col][k];
                }
            }
        }
        double[] solution = new double[n];
        for (int row = n - 1; row >= 0; row--) {
            double s = a[row][n];
            for (int k = row + 1; k < n; k++) {
                s -= a[row][k] * solution[k];
            }
            solution[row] = s / a[row][row];
        }
        return solution;
    }
}

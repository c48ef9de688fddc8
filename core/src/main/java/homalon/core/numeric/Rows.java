package homalon.core.numeric;

import java.util.Arrays;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.factory.DecompositionFactory_DDRM;

/**
 * Rows of a matrix, each an array of its own: only so does the compiler take several columns in one step of the processor. Four rows at
 * a time are read for one that is written; every column is worked out in the order of the rows, as it would be one after the other.
 */
public final class Rows {
    /** Columns of 60 rows, 8 bytes each, that fit the nearest memory of a processor. */
    private static final int BLOCK = 64;

    private Rows() {}

    /**
     * Takes each of the first rows, times its factor, off another.
     *
     * @param from that is written on
     * @param rows at least as long
     * @param count of them
     * @param factors one a row
     * @param first where the factors begin
     */
    public static void subtract(double[] from, double[][] rows, int count, double[] factors, int first) {
        subtract(from, rows, count, factors, first, 0, from.length);
    }

    /**
     * The same in some columns alone.
     *
     * @param least the first column
     * @param end after the last column
     */
    public static void subtract(
            double[] from, double[][] rows, int count, double[] factors, int first, int least, int end) {
        int k = 0;
        for (; k + 3 < count; k += 4) {
            four(from, rows, k, factors, first + k, least, end);
        }
        for (; k < count; k++) {
            one(from, rows[k], factors[first + k], least, end);
        }
    }

    /**
     * Adds each row, times its factor.
     *
     * @param to that is written on
     * @param factors one a row
     */
    public static void add(double[] to, double[][] rows, double[] factors) {
        double[] taken = new double[rows.length];
        Arrays.setAll(taken, k -> -factors[k]);
        subtract(to, rows, rows.length, taken, 0);
    }

    /** The sum of products, four at a time: none waits for the one before it. */
    public static double dot(double[] a, double[] b) {
        double first = 0;
        double second = 0;
        double third = 0;
        double fourth = 0;
        int i = 0;
        for (; i + 3 < a.length; i += 4) {
            first += a[i] * b[i];
            second += a[i + 1] * b[i + 1];
            third += a[i + 2] * b[i + 2];
            fourth += a[i + 3] * b[i + 3];
        }
        for (; i < a.length; i++) {
            first += a[i] * b[i];
        }
        return first + second + (third + fourth);
    }

    /**
     * The lower factor of a symmetric matrix, row by row in one array; its upper half is nothing.
     *
     * @param matrix written on
     * @throws IllegalStateException for one that is not positive definite
     */
    public static double[] factor(DMatrixRMaj matrix) {
        int n = matrix.numRows;
        if (n == 0) {
            return new double[0];
        }
        var cholesky = DecompositionFactory_DDRM.chol(n, true);
        if (!cholesky.decompose(matrix)) {
            throw new IllegalStateException("a covariance has no factor");
        }
        return cholesky.getT(null).data;
    }

    /**
     * L^-1 of many columns at once, so many of them at a time as stay near the processor.
     *
     * @param lower L, as {@link #factor} gives it
     * @param rows as many as L has, one column each that is solved; written on
     */
    public static void solve(double[] lower, double[][] rows) {
        int columns = rows.length == 0 ? 0 : rows[0].length;
        for (int from = 0; from < columns; from += BLOCK) {
            solve(lower, rows, from, Math.min(columns, from + BLOCK));
        }
    }

    private static void solve(double[] lower, double[][] rows, int least, int end) {
        int n = rows.length;
        for (int i = 0; i < n; i++) {
            double[] row = rows[i];
            subtract(row, rows, i, lower, i * n, least, end);
            double diagonal = lower[i * n + i];
            for (int j = least; j < end; j++) {
                row[j] /= diagonal;
            }
        }
    }

    private static void four(double[] from, double[][] rows, int k, double[] factors, int at, int least, int end) {
        double a = factors[at];
        double b = factors[at + 1];
        double c = factors[at + 2];
        double d = factors[at + 3];
        double[] first = rows[k];
        double[] second = rows[k + 1];
        double[] third = rows[k + 2];
        double[] fourth = rows[k + 3];
        for (int j = least; j < end; j++) {
            from[j] = from[j] - a * first[j] - b * second[j] - c * third[j] - d * fourth[j];
        }
    }

    private static void one(double[] from, double[] row, double by, int least, int end) {
        for (int j = least; j < end; j++) {
            from[j] -= by * row[j];
        }
    }
}

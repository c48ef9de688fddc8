package homalon.core.surface;

import homalon.core.numeric.Rows;
import java.util.Arrays;
import java.util.function.IntFunction;

/**
 * A covariance as few directions, whose squares add up to it: Cholesky with the largest of what is left first, ended when nothing is left
 * (Harbrecht, Peters, Schneider 2012). Only the columns that are used are ever asked for.
 */
final class PivotedFactor {
    private PivotedFactor() {}

    /**
     * @param variances of each place
     * @param column the covariance of every place with one of them, to be written on
     * @param nothing variance below which what is left of a place is dropped
     * @param most directions
     * @return one row a direction, one column a place
     */
    static double[][] directions(double[] variances, IntFunction<double[]> column, double nothing, int most) {
        double[] left = variances.clone();
        double[][] found = new double[Math.min(left.length, most)][];
        for (int k = 0; k < found.length; k++) {
            int pivot = 0;
            for (int j = 1; j < left.length; j++) {
                pivot = left[j] > left[pivot] ? j : pivot;
            }
            if (left[pivot] < nothing) {
                return Arrays.copyOf(found, k);
            }
            found[k] = direction(column.apply(pivot), found, k, pivot, left);
        }
        return found;
    }

    private static double[] direction(double[] column, double[][] before, int known, int pivot, double[] left) {
        double[] at = new double[known];
        Arrays.setAll(at, k -> before[k][pivot]);
        Rows.subtract(column, before, known, at, 0);
        double scale = 1 / Math.sqrt(left[pivot]);
        for (int j = 0; j < column.length; j++) {
            column[j] *= scale;
            left[j] -= column[j] * column[j];
        }
        left[pivot] = 0;
        return column;
    }
}

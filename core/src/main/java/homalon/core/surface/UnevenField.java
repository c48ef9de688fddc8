package homalon.core.surface;

import homalon.core.geometry.Spot;
import java.util.Arrays;
import java.util.List;

/**
 * The local part of a face at many places as few directions: heights are a sum of them, each times a standard normal. Cholesky with
 * the largest of what is left first, ended when nothing is left (Harbrecht, Peters, Schneider 2012).
 */
final class UnevenField {
    /** Of the variance of a place: what is left below this is dropped. */
    private static final double NOTHING = 4e-3;

    private static final int MOST = 140;

    private UnevenField() {}

    /**
     * For a local part of standard deviation 1.
     *
     * @param length over which it keeps its height, mm
     * @return one row a direction, one column a place
     */
    static double[][] directions(List<Spot> places, double length) {
        int count = places.size();
        double[] left = new double[count];
        Arrays.fill(left, 1);
        double[][] found = new double[Math.min(count, MOST)][];
        for (int k = 0; k < found.length; k++) {
            int pivot = 0;
            for (int j = 1; j < count; j++) {
                pivot = left[j] > left[pivot] ? j : pivot;
            }
            if (left[pivot] < NOTHING) {
                return Arrays.copyOf(found, k);
            }
            found[k] = direction(places, length, found, k, pivot, left);
        }
        return found;
    }

    private static double[] direction(
            List<Spot> places, double length, double[][] before, int known, int pivot, double[] left) {
        Spot at = places.get(pivot);
        double[] column = new double[left.length];
        for (int j = 0; j < column.length; j++) {
            column[j] = Matern.of(places.get(j).distance(at), length);
        }
        for (int k = 0; k < known; k++) {
            double by = before[k][pivot];
            for (int j = 0; j < column.length; j++) {
                column[j] -= by * before[k][j];
            }
        }
        double scale = 1 / Math.sqrt(left[pivot]);
        for (int j = 0; j < column.length; j++) {
            column[j] *= scale;
            left[j] -= column[j] * column[j];
        }
        left[pivot] = 0;
        return column;
    }
}

package homalon.core.surface;

import homalon.core.geometry.Points;
import java.util.Arrays;
import java.util.List;

/**
 * What each way in which a fault may lie makes of the readings, for an amplitude of 1 mm: the same whatever the height of the local part.
 *
 * @param ways all of them
 * @param near those that come near any reading, as indices
 * @param heights of these at the readings: one row a reading, one column a way
 * @param logWeights natural logarithm of the share of all faces that has each
 */
record FaultsRead(List<FaultShape> ways, int[] near, double[][] heights, double[] logWeights) {
    /** A fault whose height is less than this of its amplitude at every reading leaves no trace in them. */
    private static final double TRACE = 1e-4;

    static FaultsRead of(List<FaultShape> ways, Points read) {
        int n = read.size();
        double[][] at = new double[ways.size()][n];
        int[] near = new int[ways.size()];
        int m = 0;
        for (int f = 0; f < ways.size(); f++) {
            double largest = 0;
            for (int i = 0; i < n; i++) {
                at[f][i] = ways.get(f).shape().at(read.x(i), read.y(i));
                largest = Math.max(largest, Math.abs(at[f][i]));
            }
            if (largest > TRACE) {
                near[m++] = f;
            }
        }
        double[][] heights = new double[n][m];
        for (int j = 0; j < m; j++) {
            for (int i = 0; i < n; i++) {
                heights[i][j] = at[near[j]][i];
            }
        }
        double[] logs = ways.stream().mapToDouble(w -> Math.log(w.weight())).toArray();
        return new FaultsRead(ways, Arrays.copyOf(near, m), heights, logs);
    }
}

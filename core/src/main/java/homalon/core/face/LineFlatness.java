package homalon.core.face;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.numeric.MinimaxPlane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Straightness along or across a face: the worst of the rows in which its places stand. A row is what lies within a few
 * millimetres of one line along (or across); its straightness is the least distance between two parallel lines that hold its
 * heights. Rows of fewer than three places say nothing.
 */
final class LineFlatness {
    /** Places this near beside each other stand in one row, mm: a tip is moved off a hole by as much. */
    private static final double ROW = 6;

    private static final int FEWEST = 3;

    /**
     * @param straightness of the worst row, mm
     * @param middle of it
     * @param places in it
     * @param rows how many were judged
     */
    record Worst(double straightness, Spot middle, int places, int rows) {}

    private LineFlatness() {}

    /**
     * @param lengthwise along the face, else across it
     * @return empty when no row holds three places
     */
    static Optional<Worst> of(Points points, boolean lengthwise) {
        double[] beside = lengthwise ? points.ys() : points.xs();
        double[] along = lengthwise ? points.xs() : points.ys();
        Integer[] order = new Integer[points.size()];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, Comparator.comparingDouble(i -> beside[i]));
        Worst worst = null;
        int judged = 0;
        List<Integer> row = new ArrayList<>();
        for (int k = 0; k <= order.length; k++) {
            boolean ends = k == order.length || (!row.isEmpty() && beside[order[k]] - beside[row.get(0)] > ROW);
            if (ends && row.size() >= FEWEST) {
                double straightness = straightness(points, along, row);
                judged++;
                if (worst == null || straightness > worst.straightness()) {
                    worst = new Worst(straightness, middle(points, row), row.size(), 0);
                }
            }
            if (ends) {
                row = new ArrayList<>();
            }
            if (k < order.length) {
                row.add(order[k]);
            }
        }
        int rows = judged;
        return Optional.ofNullable(worst).map(w -> new Worst(w.straightness(), w.middle(), w.places(), rows));
    }

    private static double straightness(Points points, double[] along, List<Integer> row) {
        double[] x = row.stream().mapToDouble(i -> along[i]).toArray();
        double[] z = row.stream().mapToDouble(points::z).toArray();
        MinimaxPlane.Fit fit = MinimaxPlane.fit(Points.of(x, new double[x.length], z));
        return fit.extent() * fit.middle().cosTilt();
    }

    private static Spot middle(Points points, List<Integer> row) {
        double x = row.stream().mapToDouble(points::x).average().orElse(0);
        double y = row.stream().mapToDouble(points::y).average().orElse(0);
        return new Spot(x, y);
    }
}

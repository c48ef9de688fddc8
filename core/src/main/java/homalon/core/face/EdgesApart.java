package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Range;
import homalon.core.numeric.LinearBounds;
import homalon.core.numeric.LinearBounds.Band;
import homalon.core.numeric.MinimaxPlane;
import java.util.ArrayList;
import java.util.List;

/**
 * Gap and zone of a face whose two long edges bow differently, z = e u^2 + f v^2 + d u v + g u^2 v. Both are convex in the four
 * terms, so that each is greatest at a corner of what readings allow; where a straight edge rests on such a face is sought over
 * all runs between places of a grid, and what lies between these is allowed for.
 */
final class EdgesApart {
    private static final int ALONG = 16;
    private static final int ACROSS = 4;
    /** A run that ends between the places of the grid sees at most so much more. */
    private static final double BETWEEN = 1.02;

    private static final double[] PLACES = {0.3, 0.5, 0.7};
    private static final List<double[]> RUNS = runs();
    /** Places of the face between which a bow rises by less than {@link #BETWEEN} allows: half a per cent of it. */
    private static final List<double[]> FACE = grid(2 * ALONG, 4 * ACROSS);

    private EdgesApart() {}

    /** Weights of (e, f, d, g) in the gap under every run of the grid. */
    private static List<double[]> runs() {
        List<double[]> runs = new ArrayList<>();
        List<double[]> grid = grid(ALONG, ACROSS);
        for (int i = 0; i < grid.size(); i++) {
            for (int j = i + 1; j < grid.size(); j++) {
                double[] a = grid.get(i);
                double[] b = grid.get(j);
                for (double t : PLACES) {
                    double[] form = FaceTerms.EDGES_APART.form(a[0], a[1], b[0], b[1], t);
                    for (int k = 0; k < form.length; k++) {
                        form[k] *= t * (1 - t);
                    }
                    runs.add(form);
                }
            }
        }
        return List.copyOf(runs);
    }

    private static List<double[]> grid(int along, int across) {
        List<double[]> grid = new ArrayList<>();
        for (int i = 0; i <= along; i++) {
            for (int j = 0; j <= across; j++) {
                grid.add(new double[] {2.0 * i / along - 1, 2.0 * j / across - 1});
            }
        }
        return grid;
    }

    private static LinearBounds.Touch gap(double[] x) {
        double most = 0;
        double[] slope = new double[x.length];
        for (double[] run : RUNS) {
            double gap = run[0] * x[0] + run[1] * x[1] + run[2] * x[2] + run[3] * x[3];
            if (Math.abs(gap) > most) {
                most = Math.abs(gap);
                for (int k = 0; k < slope.length; k++) {
                    slope[k] = gap < 0 ? -run[k] : run[k];
                }
            }
        }
        return new LinearBounds.Touch(most, slope);
    }

    /** Greatest gap at a place of a line under an edge at rest, over the corners of what is allowed. */
    static double under(FeelerLine line, Box box, double at, List<double[]> corners) {
        double most = 0;
        for (int i = 0; i < 12; i++) {
            double from = at * i / 12;
            for (int j = 0; j < 12; j++) {
                double to = 1 - (1 - at) * j / 12;
                double[] a = place(line, box, from);
                double[] b = place(line, box, to);
                double t = (at - from) / (to - from);
                double[] form = FaceTerms.EDGES_APART.form(a[0], a[1], b[0], b[1], t);
                for (double[] x : corners) {
                    double gap = 0;
                    for (int k = 0; k < form.length; k++) {
                        gap += form[k] * x[k] * t * (1 - t);
                    }
                    most = Math.max(most, gap);
                }
            }
        }
        return most;
    }

    private static double[] place(FeelerLine line, Box box, double t) {
        double u = box.u(line.from().x());
        double v = box.v(line.from().y());
        return new double[] {u + t * line.du(box), v + t * line.dv(box)};
    }

    static double zone(double[] x) {
        double[][] rows = FACE.stream()
                .map(p -> new double[] {
                    p[0], p[1], x[0] * p[0] * p[0] + x[1] * p[1] * p[1] + x[2] * p[0] * p[1] + x[3] * p[0] * p[0] * p[1]
                })
                .toArray(double[][]::new);
        return MinimaxPlane.fit(Points.of(rows)).extent();
    }

    /**
     * What may be under an edge, and how far apart two planes hold the face; the least zone is the least gap, since a plane
     * that is tilted takes no bow out of a straight run.
     */
    record Bounds(Range gap, Range zone) {}

    /**
     * Over what the bands on (e, f, d, g) allow; they must allow something.
     *
     * @param corners of what they allow; none where nothing bounds it
     */
    static Bounds over(List<Band> bands, List<double[]> corners) {
        double gap = Double.POSITIVE_INFINITY;
        double zone = Double.POSITIVE_INFINITY;
        if (!corners.isEmpty()) {
            gap = BETWEEN
                    * corners.stream().mapToDouble(c -> gap(c).value()).max().orElse(0);
            zone = BETWEEN
                    * corners.stream().mapToDouble(EdgesApart::zone).max().orElse(0);
        }
        double least = new LinearBounds(bands, FaceTerms.EDGES_APART.count)
                .lowest(EdgesApart::gap)
                .map(x -> gap(x).value())
                .orElse(0.0);
        return new Bounds(new Range(Math.min(least, gap), gap), new Range(Math.min(least, zone), zone));
    }
}

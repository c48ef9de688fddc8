package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Range;
import homalon.core.numeric.LinearBounds;
import homalon.core.numeric.LinearBounds.Band;
import homalon.core.numeric.MinimaxPlane;
import java.util.ArrayList;
import java.util.Arrays;
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

    private static final List<Run> RUNS = runs();
    /** Places of the face between which a bow rises by less than {@link #BETWEEN} allows: half a per cent of it. */
    private static final List<double[]> FACE = grid(2 * ALONG, 4 * ACROSS);

    private EdgesApart() {}

    /**
     * The gap under an edge from one place to another is t (1 - t) times a sum that is linear along it, since the fourth term is
     * a cubic.
     *
     * @param start weights of (e, f, d, g) in that sum at t = 0
     * @param more what the weight of g gains up to t = 1
     */
    private record Run(double[] start, double more) {
        static Run of(double[] a, double[] b) {
            double[] near = FaceTerms.EDGES_APART.form(a[0], a[1], b[0], b[1], 0.25);
            double more = 2 * (FaceTerms.EDGES_APART.form(a[0], a[1], b[0], b[1], 0.75)[3] - near[3]);
            near[3] -= 0.25 * more;
            return new Run(near, more);
        }

        /** Of the sum, for these terms: its value at t = 0 and what it gains. */
        private double at0(double[] x) {
            return start[0] * x[0] + start[1] * x[1] + start[2] * x[2] + start[3] * x[3];
        }

        /** Greatest gap under it, negative for the height of a crown. */
        double widest(double[] x) {
            double a = at0(x);
            double b = more * x[3];
            double t = turn(a, b);
            return t * (1 - t) * (a + b * t);
        }

        /** Weights of the terms where it is widest. */
        double[] slope(double[] x) {
            double t = turn(at0(x), more * x[3]);
            double factor = t * (1 - t);
            return new double[] {factor * start[0], factor * start[1], factor * start[2], factor * (start[3] + more * t)
            };
        }
    }

    /** Where t (1 - t) (a + b t) is farthest from 0, t between 0 and 1: the greater of two turns lies on the heavier side. */
    static double turn(double a, double b) {
        double heavier = Math.abs(a) >= Math.abs(a + b) ? a : a + b;
        double s = Math.copySign(Math.sqrt(a * a + a * b + b * b), heavier);
        // The same root two ways: one loses its digits where a is small, the other where b is.
        double t = Math.abs(b) > Math.abs(a) ? (b - a + s) / (3 * b) : a / (a - b + s);
        return a == 0 && b == 0 ? 0.5 : t;
    }

    private static List<Run> runs() {
        List<Run> runs = new ArrayList<>();
        List<double[]> grid = grid(ALONG, ACROSS);
        for (int i = 0; i < grid.size(); i++) {
            for (int j = i + 1; j < grid.size(); j++) {
                runs.add(Run.of(grid.get(i), grid.get(j)));
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

    static LinearBounds.Touch gap(double[] x) {
        double most = 0;
        double[] slope = new double[x.length];
        for (Run run : RUNS) {
            double gap = run.widest(x);
            if (Math.abs(gap) > most) {
                most = Math.abs(gap);
                slope = run.slope(x);
                if (gap < 0) {
                    slope = Arrays.stream(slope).map(w -> -w).toArray();
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

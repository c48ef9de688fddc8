package homalon.core.numeric;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * The two parallel planes closest together along z that hold all points: the linear programme min over (a, b) of
 * [max(z - a x - b y) - min(z - a x - b y)], solved to its exact optimum.
 *
 * <p>Degenerate cases: places on one line give the straightness of that line (the plane's slope square to it is left at
 * zero); places on one spot give the range of the heights.
 *
 * <p>To get the distance <em>square</em> to the planes, see {@code homalon.core.face.MinimumZone}.
 */
public final class MinimaxPlane {
    private static final int MANY = 20_000;
    private static final int SAMPLE = 2_000;
    /** Points of which the one that sticks out furthest joins the part that is solved. */
    private static final int BLOCK = 500;
    /** Of the numbers that a height over a plane is the difference of. */
    private static final double ROUNDING = 1e-14;

    private MinimaxPlane() {}

    /**
     * The optimum.
     *
     * @param middle the plane midway between the two
     * @param extent their distance along z, mm
     * @param support indices of the points that hold them apart, in rising order
     * @param above for each support point, true when it lies on the upper plane
     */
    public record Fit(Plane middle, double extent, int[] support, boolean[] above) {}

    /** @throws IllegalArgumentException when there are no points */
    public static Fit fit(Points points) {
        int n = points.size();
        if (n == 0) {
            throw new IllegalArgumentException("a minimax fit needs points");
        }
        return n > MANY ? ofMany(points) : ofFew(points);
    }

    private static Fit ofFew(Points points) {
        MinimaxFrame frame = new MinimaxFrame(new MinimaxPlaces(points.xs(), points.ys()), points.zs());
        if (frame.exact()) {
            return exactFit(frame);
        }
        Minimax minimax = frame.minimax();
        minimax.solve();
        return result(frame, minimax);
    }

    /**
     * A part of the points is solved, and what sticks out of its two planes joins it, until nothing does: then they hold all points, and
     * none closer together hold even that part. A few passes over all points, and nothing copied of most of them.
     */
    private static Fit ofMany(Points points) {
        int step = points.size() / SAMPLE;
        int[] part = IntStream.range(0, points.size() / step).map(i -> i * step).toArray();
        while (true) {
            int[] now = part;
            Fit fit = ofFew(points.pick(now));
            int[] out = Arrays.stream(outside(points, fit, rounding(points, now, fit.middle())))
                    .filter(i -> Arrays.binarySearch(now, i) < 0)
                    .toArray();
            if (out.length == 0) {
                int[] support = Arrays.stream(fit.support()).map(k -> now[k]).toArray();
                return new Fit(fit.middle(), fit.extent(), support, fit.above());
            }
            part = IntStream.concat(Arrays.stream(now), Arrays.stream(out))
                    .sorted()
                    .toArray();
        }
    }

    /** The point of each block that sticks out furthest, where one does. */
    private static int[] outside(Points points, Fit fit, double rounding) {
        double[] x = points.xs();
        double[] y = points.ys();
        double[] z = points.zs();
        double a = fit.middle().a();
        double b = fit.middle().b();
        double c = fit.middle().c();
        int[] out = new int[(x.length + BLOCK - 1) / BLOCK];
        int found = 0;
        for (int from = 0; from < x.length; from += BLOCK) {
            double most = fit.extent() / 2 + rounding;
            int at = -1;
            for (int i = from; i < Math.min(x.length, from + BLOCK); i++) {
                double r = Math.abs(z[i] - a * x[i] - b * y[i] - c);
                if (r > most) {
                    most = r;
                    at = i;
                }
            }
            if (at >= 0) {
                out[found++] = at;
            }
        }
        return Arrays.copyOf(out, found);
    }

    /** What a height over the plane is rounded by at the most, from the numbers that it is the difference of. */
    private static double rounding(Points points, int[] part, Plane plane) {
        double most = 0;
        for (int i : part) {
            most = Math.max(
                    most,
                    Math.abs(points.z(i))
                            + Math.abs(plane.a() * points.x(i))
                            + Math.abs(plane.b() * points.y(i))
                            + Math.abs(plane.c()));
        }
        return ROUNDING * most;
    }

    private static Fit result(MinimaxFrame frame, Minimax minimax) {
        double[] p = minimax.coefficients();
        double[] weights = minimax.weights();
        int[] order = heldBy(minimax.basis(), weights);
        int[] support = new int[order.length];
        boolean[] above = new boolean[order.length];
        for (int k = 0; k < order.length; k++) {
            support[k] = minimax.basis()[order[k]];
            above[k] = minimax.sides()[order[k]] > 0;
        }
        Plane middle = frame.plane(p);
        return new Fit(middle, frame.extent(minimax.deviation()), support, above);
    }

    /** Positions in the basis, in rising order of the points there. */
    private static int[] heldBy(int[] basis, double[] weights) {
        int[] order = new int[basis.length];
        int held = 0;
        for (int j = 0; j < basis.length; j++) {
            if (weights[j] > 1e-12) {
                int at = held++;
                for (; at > 0 && basis[order[at - 1]] > basis[j]; at--) {
                    order[at] = order[at - 1];
                }
                order[at] = j;
            }
        }
        return Arrays.copyOf(order, held);
    }

    /** All heights lie on one plane (or line, or spot): nothing holds it apart. */
    private static Fit exactFit(MinimaxFrame frame) {
        int[] support = frame.start().clone();
        Arrays.sort(support);
        boolean[] above = new boolean[support.length];
        return new Fit(frame.plane(new double[3]), 0, support, above);
    }
}

package homalon.core.numeric;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spread;
import java.util.Arrays;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

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
        Frame frame = new Frame(points);
        int[] start = n > MANY ? startOfSample(points, frame) : frame.start();
        if (start.length <= frame.rank + 1) {
            return exactFit(frame, start);
        }
        Minimax minimax = new Minimax(frame.u, frame.v, frame.z, frame.rank + 1, start);
        minimax.solve();
        return result(frame, minimax);
    }

    /** What holds every so-manieth point nearly holds all of them: from there few passes over all are left to make. */
    private static int[] startOfSample(Points points, Frame frame) {
        int step = points.size() / SAMPLE;
        int[] sample =
                IntStream.range(0, points.size() / step).map(i -> i * step).toArray();
        int[] support = fit(points.pick(sample)).support();
        if (frame.rank < 2 || support.length != frame.rank + 2) {
            return frame.start();
        }
        return frame.start(Arrays.stream(support).map(i -> sample[i]).toArray());
    }

    private static Fit result(Frame frame, Minimax minimax) {
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
        return new Fit(middle, 2 * frame.scaleZ * minimax.deviation(), support, above);
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
    private static Fit exactFit(Frame frame, int[] start) {
        int[] support = start.clone();
        Arrays.sort(support);
        boolean[] above = new boolean[support.length];
        return new Fit(frame.plane(new double[3]), 0, support, above);
    }

    /** The points centred, turned along their longest reach, scaled to order one, with a first plane taken off. */
    private static final class Frame {
        private final Spread spread;
        private final int rank;
        private final double scaleU;
        private final double scaleV;
        private final double z0;
        private final double[] u;
        private final double[] v;
        private final double[] z;
        private double scaleZ = 1;
        private final double[] off = new double[3];

        Frame(Points points) {
            spread = Spread.of(points.xs(), points.ys());
            rank = spread.rank();
            scaleU = rank > 0 ? spread.along() : 1;
            scaleV = rank > 1 ? spread.across() : 1;
            z0 = points.z(0);
            int n = points.size();
            u = new double[n];
            v = new double[n];
            z = new double[n];
            for (int i = 0; i < n; i++) {
                double px = points.x(i) - spread.cx();
                double py = points.y(i) - spread.cy();
                u[i] = rank > 0 ? (px * spread.dx() + py * spread.dy()) / scaleU : 0;
                v[i] = rank > 1 ? (py * spread.dx() - px * spread.dy()) / scaleV : 0;
                z[i] = points.z(i) - z0;
            }
        }

        /**
         * Points to start from: those furthest along, furthest off that line, and furthest off the plane through them,
         * which is taken off all heights. Fewer than rank + 2 when everything lies on that plane.
         */
        int[] start() {
            int[] corner = new int[rank + 1];
            if (rank > 0) {
                corner[0] = furthest(u, -1);
                corner[1] = furthest(u, 1);
            }
            if (rank > 1) {
                corner[2] = furthestOff(corner[0], corner[1]);
            }
            takeOffPlaneThrough(corner);
            int at = -1;
            double most = 0;
            double range = 0;
            for (int i = 0; i < z.length; i++) {
                if (Math.abs(z[i]) > most) {
                    most = Math.abs(z[i]);
                    at = i;
                }
                range = Math.max(range, Math.abs(z[i] + off[0] + off[1] * u[i] + off[2] * v[i]));
            }
            if (at < 0 || most <= 1e-15 * range) {
                return corner;
            }
            scaleZ = most;
            for (int i = 0; i < z.length; i++) {
                z[i] /= most;
            }
            int[] start = Arrays.copyOf(corner, corner.length + 1);
            start[corner.length] = at;
            return start;
        }

        /** The point that lies furthest off the line through two, seen from above. */
        private int furthestOff(int first, int second) {
            double du = u[second] - u[first];
            double dv = v[second] - v[first];
            int furthest = 0;
            double most = -1;
            for (int i = 0; i < u.length; i++) {
                double off = Math.abs((u[i] - u[first]) * dv - (v[i] - v[first]) * du);
                if (off > most) {
                    most = off;
                    furthest = i;
                }
            }
            return furthest;
        }

        /** Starts from four points: the plane through the three that stand widest apart is taken off all heights. */
        int[] start(int[] four) {
            int[] corner = widest(four);
            takeOffPlaneThrough(corner);
            double most = 0;
            for (double each : z) {
                most = Math.max(most, Math.abs(each));
            }
            scaleZ = most;
            double times = 1 / most;
            for (int i = 0; i < z.length; i++) {
                z[i] *= times;
            }
            int[] start = Arrays.copyOf(corner, corner.length + 1);
            start[corner.length] = Arrays.stream(four)
                    .filter(i -> Arrays.stream(corner).noneMatch(c -> c == i))
                    .findFirst()
                    .orElseThrow();
            return start;
        }

        private int[] widest(int[] four) {
            int @Nullable [] best = null;
            double most = -1;
            for (int left = 0; left < four.length; left++) {
                int out = left;
                int[] three = IntStream.range(0, four.length)
                        .filter(k -> k != out)
                        .map(k -> four[k])
                        .toArray();
                double area = Math.abs((u[three[1]] - u[three[0]]) * (v[three[2]] - v[three[0]])
                        - (u[three[2]] - u[three[0]]) * (v[three[1]] - v[three[0]]));
                if (area > most) {
                    most = area;
                    best = three;
                }
            }
            return Objects.requireNonNull(best);
        }

        private void takeOffPlaneThrough(int[] corner) {
            int d = corner.length;
            double[][] m = new double[d][d];
            double[] right = new double[d];
            for (int j = 0; j < d; j++) {
                double[] place = {1, u[corner[j]], v[corner[j]]};
                System.arraycopy(place, 0, m[j], 0, d);
                right[j] = z[corner[j]];
            }
            double[] p = Elimination.solve(m, right);
            if (p == null) {
                throw new ArithmeticException("the first points of a minimax fit do not determine it");
            }
            System.arraycopy(p, 0, off, 0, d);
            for (int i = 0; i < z.length; i++) {
                z[i] -= off[0] + off[1] * u[i] + off[2] * v[i];
            }
            for (int j : corner) {
                z[j] = 0;
            }
        }

        private static int furthest(double[] values, int sign) {
            int at = 0;
            for (int i = 1; i < values.length; i++) {
                if (sign * values[i] > sign * values[at]) {
                    at = i;
                }
            }
            return at;
        }

        Plane plane(double[] p) {
            double constant = off[0] + scaleZ * p[0];
            double along = rank > 0 ? (off[1] + scaleZ * p[1]) / scaleU : 0;
            double across = rank > 1 ? (off[2] + scaleZ * p[2]) / scaleV : 0;
            double a = along * spread.dx() - across * spread.dy();
            double b = along * spread.dy() + across * spread.dx();
            return new Plane(a, b, z0 + constant - a * spread.cx() - b * spread.cy());
        }
    }
}

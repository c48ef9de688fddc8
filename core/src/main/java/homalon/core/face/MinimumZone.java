package homalon.core.face;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.numeric.MinimaxPlane;
import java.util.Arrays;

/**
 * Minimum-zone flatness: the least distance, square to them, between two parallel planes that hold all points (ISO 1101).
 *
 * <p>Found exactly. The linear programme for the distance along z gives support points; their zone is the least one
 * square to the planes as well when it is still the optimum after the points are turned level, which is checked on the
 * support points alone. Only for steeply tilted points is it not, and then the whole set is turned and solved again.
 *
 * <p>Degenerate cases: places on one line give their straightness; fewer than four points that are not on one line give 0.
 */
public final class MinimumZone {
    private static final int MOST_TURNS = 20;

    private MinimumZone() {}

    /**
     * @param middle the plane midway between the two
     * @param zone distance between them, mm
     * @param support indices of the points that hold them apart, in rising order: three against one inside their
     *     triangle, or two against two whose segments cross (two against one on a line)
     * @param above for each support point, true when it lies on the upper plane
     */
    public record Result(Plane middle, double zone, int[] support, boolean[] above) {}

    /** @throws IllegalArgumentException when there are no points */
    public static Result of(Points points) {
        MinimaxPlane.Fit fit = MinimaxPlane.fit(points);
        Plane plane = fit.middle();
        for (int turn = 0; turn < MOST_TURNS; turn++) {
            double zone = fit.extent() * plane.cosTilt();
            if (zone == 0 || holdsWhenLevel(points.pick(fit.support()), plane, zone)) {
                return new Result(plane, zone, fit.support(), fit.above());
            }
            Turn level = new Turn(plane);
            MinimaxPlane.Fit again = MinimaxPlane.fit(level.apply(points));
            Plane next = level.back(again.middle());
            if (Arrays.equals(again.support(), fit.support())) {
                return new Result(next, again.extent() * again.middle().cosTilt(), again.support(), again.above());
            }
            fit = new MinimaxPlane.Fit(
                    next, again.extent() * again.middle().cosTilt() / next.cosTilt(), again.support(), again.above());
            plane = next;
        }
        return new Result(plane, fit.extent() * plane.cosTilt(), fit.support(), fit.above());
    }

    private static boolean holdsWhenLevel(Points support, Plane plane, double zone) {
        MinimaxPlane.Fit level = MinimaxPlane.fit(new Turn(plane).apply(support));
        return level.extent() >= zone * (1 - 1e-9);
    }

    /** Turns a plane level and back. */
    private static final class Turn {
        private final double[] e1;
        private final double[] e2;
        private final double[] n;

        Turn(Plane plane) {
            n = unit(-plane.a(), -plane.b(), 1);
            e1 = unit(1, 0, plane.a());
            e2 = new double[] {n[1] * e1[2] - n[2] * e1[1], n[2] * e1[0] - n[0] * e1[2], n[0] * e1[1] - n[1] * e1[0]};
        }

        Points apply(Points points) {
            int size = points.size();
            double[] p = new double[size];
            double[] q = new double[size];
            double[] w = new double[size];
            for (int i = 0; i < size; i++) {
                double x = points.x(i) - points.x(0);
                double y = points.y(i) - points.y(0);
                double z = points.z(i) - points.z(0);
                p[i] = e1[0] * x + e1[1] * y + e1[2] * z;
                q[i] = e2[0] * x + e2[1] * y + e2[2] * z;
                w[i] = n[0] * x + n[1] * y + n[2] * z;
            }
            origin = new double[] {points.x(0), points.y(0), points.z(0)};
            return Points.of(p, q, w);
        }

        private double[] origin = {0, 0, 0};

        /** The plane w = a p + b q + c of the turned points, in the frame of the points as they were. */
        Plane back(Plane turned) {
            double nx = n[0] - turned.a() * e1[0] - turned.b() * e2[0];
            double ny = n[1] - turned.a() * e1[1] - turned.b() * e2[1];
            double nz = n[2] - turned.a() * e1[2] - turned.b() * e2[2];
            double a = -nx / nz;
            double b = -ny / nz;
            return new Plane(a, b, origin[2] + turned.c() / nz - a * origin[0] - b * origin[1]);
        }

        private static double[] unit(double x, double y, double z) {
            double length = Math.sqrt(x * x + y * y + z * z);
            return new double[] {x / length, y / length, z / length};
        }
    }
}

package homalon.core.cut;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.numeric.MinimaxPlane;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The plane with the least distance along z between highest and lowest point. Where several planes share that distance
 * (their slopes form a convex polygon), the one with the slopes nearest to the reference.
 *
 * <p>The polygon is built lazily: start at the reference, cut off by the pair of points that sticks out furthest, move to
 * the nearest place allowed by the cuts so far, and so on until no pair sticks out. Slopes are compared in millimetres of
 * tilt over the reach of the points.
 */
final class LeastRemoval {
    private static final int MOST_CUTS = 60;
    /** Of the extent: what counts as sharing the least distance. */
    private static final double EQUAL = 1e-10;

    /** p . (nx, ny) &lt;= right, in slopes times reach. */
    private record Cut(double nx, double ny, double right) {
        double excess(double px, double py) {
            return nx * px + ny * py - right;
        }
    }

    private LeastRemoval() {}

    static Plane plane(Points seal, Slopes reference) {
        MinimaxPlane.Fit fit = MinimaxPlane.fit(seal);
        double most = fit.extent() * (1 + EQUAL) + 1e-13;
        double scale = reach(seal);
        double[] wanted = {reference.a() * scale, reference.b() * scale};
        double[] at = wanted.clone();
        List<Cut> cuts = new ArrayList<>();
        for (int k = 0; k < MOST_CUTS; k++) {
            Cut cut = furthestPair(seal, at[0] / scale, at[1] / scale, most, scale);
            if (cut.excess(at[0], at[1]) <= 1e-12) {
                return centred(seal, at[0] / scale, at[1] / scale);
            }
            cuts.add(cut);
            double[] nearest = nearest(cuts, wanted);
            if (nearest == null) {
                break;
            }
            at = nearest;
        }
        return fit.middle();
    }

    private static double reach(Points seal) {
        double reach = 0;
        for (int i = 1; i < seal.size(); i++) {
            reach = Math.max(reach, seal.spot(i).distance(seal.spot(0)));
        }
        return reach;
    }

    private static Cut furthestPair(Points seal, double a, double b, double most, double scale) {
        Plane tilt = new Plane(a, b, 0);
        int high = 0;
        int low = 0;
        for (int i = 1; i < seal.size(); i++) {
            high = seal.above(tilt, i) > seal.above(tilt, high) ? i : high;
            low = seal.above(tilt, i) < seal.above(tilt, low) ? i : low;
        }
        double nx = -(seal.x(high) - seal.x(low)) / scale;
        double ny = -(seal.y(high) - seal.y(low)) / scale;
        return new Cut(nx, ny, most - (seal.z(high) - seal.z(low)));
    }

    /** Nearest place to the wanted one that all cuts allow: on one cut, or where two meet. */
    private static double @Nullable [] nearest(List<Cut> cuts, double[] wanted) {
        double @Nullable [] best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < cuts.size(); i++) {
            for (int j = i; j < cuts.size(); j++) {
                double @Nullable [] p = i == j ? foot(cuts.get(i), wanted) : meet(cuts.get(i), cuts.get(j));
                if (p != null && allowed(cuts, p)) {
                    double distance = Math.hypot(p[0] - wanted[0], p[1] - wanted[1]);
                    if (distance < least) {
                        least = distance;
                        best = p;
                    }
                }
            }
        }
        return best;
    }

    private static boolean allowed(List<Cut> cuts, double[] p) {
        return cuts.stream().allMatch(c -> c.excess(p[0], p[1]) <= 1e-12);
    }

    private static double @Nullable [] foot(Cut c, double[] p) {
        double n2 = c.nx() * c.nx() + c.ny() * c.ny();
        if (n2 == 0) {
            return null;
        }
        double t = c.excess(p[0], p[1]) / n2;
        return new double[] {p[0] - t * c.nx(), p[1] - t * c.ny()};
    }

    private static double @Nullable [] meet(Cut c, Cut d) {
        double det = c.nx() * d.ny() - c.ny() * d.nx();
        if (Math.abs(det) < 1e-12) {
            return null;
        }
        return new double[] {
            (c.right() * d.ny() - d.right() * c.ny()) / det, (c.nx() * d.right() - d.nx() * c.right()) / det
        };
    }

    private static Plane centred(Points seal, double a, double b) {
        var range = seal.range(new Plane(a, b, 0));
        return new Plane(a, b, (range.least() + range.most()) / 2);
    }
}

package homalon.core.face;

import homalon.core.geometry.Range;
import homalon.core.numeric.LinearBounds;
import homalon.core.numeric.LinearBounds.Band;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The zone of a smooth face: the plain range of q = e u^2 + f v^2 + d u v over u, v in [-1, 1]. Tilting the planes cannot make
 * it smaller, since q is even. The zone is a norm of (e, f, d), so its greatest value over what readings allow is at a corner,
 * and its least is found by cutting planes, each of them exact at the place where it touches.
 */
final class BowTwistZone {
    private BowTwistZone() {}

    /** Weights of (e, f, d) at the highest place less those at the lowest: the zone is their product with (e, f, d). */
    static double[] gradient(double e, double f, double d) {
        List<double[]> places = new ArrayList<>();
        places.add(new double[] {0, 0});
        for (double edge : new double[] {-1, 1}) {
            for (double along : new double[] {-1, 1}) {
                places.add(new double[] {edge, along});
            }
            turn(places, d * edge, f, edge, true);
            turn(places, d * edge, e, edge, false);
        }
        double @Nullable [] high = null;
        double @Nullable [] low = null;
        double most = Double.NEGATIVE_INFINITY;
        double least = Double.POSITIVE_INFINITY;
        for (double[] p : places) {
            double[] w = {p[0] * p[0], p[1] * p[1], p[0] * p[1]};
            double q = e * w[0] + f * w[1] + d * w[2];
            if (q > most) {
                most = q;
                high = w;
            }
            if (q < least) {
                least = q;
                low = w;
            }
        }
        Objects.requireNonNull(high);
        Objects.requireNonNull(low);
        return new double[] {high[0] - low[0], high[1] - low[1], high[2] - low[2]};
    }

    /** Where linear t + square t^2 turns on an edge, if it does within it. */
    private static void turn(List<double[]> places, double linear, double square, double edge, boolean uIsEdge) {
        double t = square == 0 ? Double.NaN : -linear / (2 * square);
        if (Math.abs(t) < 1) {
            places.add(uIsEdge ? new double[] {edge, t} : new double[] {t, edge});
        }
    }

    static double of(double[] x) {
        double[] g = gradient(x[0], x[1], x[2]);
        return g[0] * x[0] + g[1] * x[1] + g[2] * x[2];
    }

    /**
     * Least and greatest zone over what the bands on (e, f, d) allow; they must allow something.
     *
     * @param corners of what they allow; none where nothing bounds it
     */
    static Range over(List<Band> bands, List<double[]> corners) {
        double most = corners.stream().mapToDouble(BowTwistZone::of).max().orElse(Double.POSITIVE_INFINITY);
        return new Range(Math.min(least(bands), most), most);
    }

    private static double least(List<Band> bands) {
        return new LinearBounds(bands, 3)
                .lowest(x -> new LinearBounds.Touch(of(x), gradient(x[0], x[1], x[2])))
                .map(BowTwistZone::of)
                .orElse(0.0);
    }
}

package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.numeric.PartialFit;
import java.util.OptionalDouble;

/**
 * Least-squares fit of z = c + a u + b v + e u^2 + f v^2 + d u v, with u and v from -1 to 1 over the box of the face.
 * Each of bow and twist is given when the points determine it: no part of it lies in what they leave open, and its
 * standard error is at most three times that of a reading.
 *
 * @param longBow e: how far the middle lies below the ends along the length; + hollow, - crowned, mm
 * @param crossBow f: the same across, mm
 * @param fourthCornerLift 4 d: with three corners on pins, the gap at the fourth; + when the corners (+,+) and (-,-) are
 *     high, mm
 * @param local what the fit leaves, lowest to highest, mm
 * @param lowestLocal index of the point that lies lowest against the fitted shape
 * @param highestLocal index of the point that lies highest against it
 */
public record BowAndTwist(
        OptionalDouble longBow,
        OptionalDouble crossBow,
        OptionalDouble fourthCornerLift,
        double local,
        int lowestLocal,
        int highestLocal) {

    private static final double MOST_ERROR = 3;
    private static final int TERMS = 6;
    private static final int E = 3;
    private static final int F = 4;
    private static final int D = 5;

    public static BowAndTwist of(Points points, Box box) {
        double[][] normal = new double[TERMS][TERMS];
        double[] right = new double[TERMS];
        double[] row = new double[TERMS];
        double z0 = points.z(0);
        for (int i = 0; i < points.size(); i++) {
            fill(row, box, points, i);
            double z = points.z(i) - z0;
            for (int j = 0; j < TERMS; j++) {
                right[j] += row[j] * z;
                for (int k = 0; k <= j; k++) {
                    normal[j][k] += row[j] * row[k];
                }
            }
        }
        for (int j = 0; j < TERMS; j++) {
            for (int k = 0; k < j; k++) {
                normal[k][j] = normal[j][k];
            }
        }
        return leftOver(points, box, PartialFit.solve(normal, right), z0);
    }

    private static BowAndTwist leftOver(Points points, Box box, PartialFit fit, double z0) {
        double[] row = new double[TERMS];
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        int lowest = 0;
        int highest = 0;
        for (int i = 0; i < points.size(); i++) {
            fill(row, box, points, i);
            double left = points.z(i) - z0;
            for (int j = 0; j < TERMS; j++) {
                left -= fit.coefficient(j) * row[j];
            }
            if (left < least) {
                least = left;
                lowest = i;
            }
            if (left > most) {
                most = left;
                highest = i;
            }
        }
        return new BowAndTwist(
                ifDetermined(fit, E, 1),
                ifDetermined(fit, F, 1),
                ifDetermined(fit, D, 4),
                most - least,
                lowest,
                highest);
    }

    private static void fill(double[] row, Box box, Points points, int i) {
        double u = box.u(points.x(i));
        double v = box.v(points.y(i));
        row[0] = 1;
        row[1] = u;
        row[2] = v;
        row[E] = u * u;
        row[F] = v * v;
        row[D] = u * v;
    }

    private static OptionalDouble ifDetermined(PartialFit fit, int term, double times) {
        return fit.standardError(term) <= MOST_ERROR
                ? OptionalDouble.of(times * fit.coefficient(term))
                : OptionalDouble.empty();
    }

    /** The largest of |e|, |f|, 2|d| and the local range, named when it holds at least half of their sum. */
    public Shape shape() {
        double e = Math.abs(longBow.orElse(0));
        double f = Math.abs(crossBow.orElse(0));
        double d = Math.abs(fourthCornerLift.orElse(0)) / 2;
        double half = (e + f + d + local) / 2;
        if (half <= 0) {
            return Shape.MIXED;
        }
        if (e >= half) {
            return longBow.getAsDouble() > 0 ? Shape.HOLLOW_LENGTHWISE : Shape.CROWNED_LENGTHWISE;
        }
        if (f >= half) {
            return crossBow.getAsDouble() > 0 ? Shape.HOLLOW_CROSSWISE : Shape.CROWNED_CROSSWISE;
        }
        if (d >= half) {
            return Shape.TWISTED;
        }
        return local >= half ? Shape.LOCAL : Shape.MIXED;
    }
}

package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.numeric.PartialFit;
import homalon.core.words.Message;
import java.util.Arrays;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Least-squares fit of z = c + a u + b v + e u^2 + f v^2 + d u v, with u and v from -1 to 1 over the box of the face.
 * Each of bow and twist is given when the points determine it: no part of it lies in what they leave open, and its
 * standard error is at most three times that of a reading. Bows that are not determined are held at 0 together and the rest
 * is fitted again, else they would leak into it; then so is a twist that is not determined.
 *
 * @param longBow e: how far the middle lies below the ends along the length; + hollow, - crowned, mm
 * @param crossBow f: the same across, mm
 * @param fourthCornerLift 4 d: with three corners on pins, the gap at the fourth; + when the corners (+,+) and (-,-) are
 *     high, mm
 * @param error of each of the three, as a multiple of the standard error of one reading; infinite where it is not determined
 * @param local what the fit leaves, lowest to highest, mm
 * @param lowestLocal index of the point that lies lowest against the fitted shape
 * @param highestLocal index of the point that lies highest against it
 */
public record BowAndTwist(
        OptionalDouble longBow,
        OptionalDouble crossBow,
        OptionalDouble fourthCornerLift,
        Errors error,
        double local,
        int lowestLocal,
        int highestLocal) {

    /** Of long bow, cross bow and fourth-corner lift. */
    public record Errors(double longBow, double crossBow, double fourthCornerLift) {}

    private static final double MOST_ERROR = 3;
    /** Far below what any instrument reads: what is left of sums of readings that are all the same. */
    private static final double ROUNDING_MM = 1e-7;

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
            fill(row, box, points.x(i), points.y(i));
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
        return leftOver(points, box, determined(normal, right), z0);
    }

    /** How many of the three would be determined with one more place read. */
    static int determinedWith(Points points, Box box, Spot more) {
        double[][] normal = new double[TERMS][TERMS];
        double[] row = new double[TERMS];
        for (int i = 0; i <= points.size(); i++) {
            if (i < points.size()) {
                fill(row, box, points.x(i), points.y(i));
            } else {
                fill(row, box, more.x(), more.y());
            }
            for (int j = 0; j < TERMS; j++) {
                for (int k = 0; k < TERMS; k++) {
                    normal[j][k] += row[j] * row[k];
                }
            }
        }
        double[] error = determined(normal, new double[TERMS]).error;
        return (int) IntStream.of(E, F, D).filter(t -> error[t] <= MOST_ERROR).count();
    }

    /** Coefficients, and their errors: those that are not determined are 0, with an infinite error. */
    private record Fit(double[] coefficient, double[] error) {}

    private static Fit determined(double[][] normal, double[] right) {
        boolean[] held = new boolean[TERMS];
        Fit fit = fit(normal, right, held);
        held[E] = fit.error[E] > MOST_ERROR;
        held[F] = fit.error[F] > MOST_ERROR;
        if (held[E] || held[F]) {
            fit = fit(normal, right, held);
        }
        held[D] = fit.error[D] > MOST_ERROR;
        return held[D] ? fit(normal, right, held) : fit;
    }

    private static Fit fit(double[][] normal, double[] right, boolean[] held) {
        int[] free = IntStream.range(0, TERMS).filter(i -> !held[i]).toArray();
        double[][] some = new double[free.length][free.length];
        double[] side = new double[free.length];
        for (int j = 0; j < free.length; j++) {
            side[j] = right[free[j]];
            for (int k = 0; k < free.length; k++) {
                some[j][k] = normal[free[j]][free[k]];
            }
        }
        PartialFit solved = PartialFit.solve(some, side);
        double[] coefficient = new double[TERMS];
        double[] error = new double[TERMS];
        Arrays.fill(error, Double.POSITIVE_INFINITY);
        for (int j = 0; j < free.length; j++) {
            coefficient[free[j]] = solved.coefficient(j);
            error[free[j]] = solved.standardError(j);
        }
        return new Fit(coefficient, error);
    }

    private static BowAndTwist leftOver(Points points, Box box, Fit fit, double z0) {
        double[] row = new double[TERMS];
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        int lowest = 0;
        int highest = 0;
        for (int i = 0; i < points.size(); i++) {
            fill(row, box, points.x(i), points.y(i));
            double left = points.z(i) - z0;
            for (int j = 0; j < TERMS; j++) {
                left -= fit.coefficient[j] * row[j];
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
                new Errors(error(fit, E, 1), error(fit, F, 1), error(fit, D, 4)),
                most - least,
                lowest,
                highest);
    }

    private static void fill(double[] row, Box box, double x, double y) {
        double u = box.u(x);
        double v = box.v(y);
        row[0] = 1;
        row[1] = u;
        row[2] = v;
        row[E] = u * u;
        row[F] = v * v;
        row[D] = u * v;
    }

    private static OptionalDouble ifDetermined(Fit fit, int term, double times) {
        return fit.error[term] <= MOST_ERROR
                ? OptionalDouble.of(times * fit.coefficient[term])
                : OptionalDouble.empty();
    }

    private static double error(Fit fit, int term, double times) {
        return fit.error[term] <= MOST_ERROR ? times * fit.error[term] : Double.POSITIVE_INFINITY;
    }

    /** Whether all three are: without that nobody knows that the face is flat between its places. */
    public boolean determined() {
        return longBow.isPresent() && crossBow.isPresent() && fourthCornerLift.isPresent();
    }

    /** What is not, in words, such as <i>cross bow and twist</i>; empty when all is. */
    public Message open() {
        return Stream.of(
                        longBow.isPresent() ? Message.NONE : Message.of("face.long-bow"),
                        crossBow.isPresent() ? Message.NONE : Message.of("face.cross-bow"),
                        fourthCornerLift.isPresent() ? Message.NONE : Message.of("face.twist"))
                .collect(Message.joining("text.and"));
    }

    /** The largest of |e|, |f|, 2|d| and the local range, named when it holds at least half of their sum. */
    public Shape shape() {
        double e = Math.abs(longBow.orElse(0));
        double f = Math.abs(crossBow.orElse(0));
        double d = Math.abs(fourthCornerLift.orElse(0)) / 2;
        double half = (e + f + d + local) / 2;
        if (half <= ROUNDING_MM) {
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

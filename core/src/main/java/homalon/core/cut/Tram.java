package homalon.core.cut;

import homalon.core.face.Causes;
import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.input.Problems;
import homalon.core.numeric.PartialFit;
import homalon.core.words.Message;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;

/**
 * A cutter whose spindle leans along the travel leaves a face hollow across and the same along. The edge runs in a tilted circle:
 * at y from the middle of the face it cuts lower by (t / d) sqrt(R^2 - y^2), R = d / 2, for a spindle out of square by t over d. Across a
 * width w the hollow is (t / d) (R - sqrt(R^2 - w^2 / 4)). A lean across the travel only tilts the face. The cutter is taken to run over
 * the middle of the face, and to be wider than it: a face of several strokes has steps, and is not told by this.
 *
 * @param hollow how far the middle lies below the edges across the face, mm
 * @param error of it, mm: one standard deviation
 * @param outOfSquare t over the cutter's diameter, mm; empty while the cutter is not known, or is no wider than the face
 */
public record Tram(double hollow, double error, OptionalDouble outOfSquare) {
    /** Below this no shape is told from the marks of the feed, mm. */
    private static final double LEAST = 0.003;
    /** Standard deviations that the hollow stands off nothing. */
    private static final double CLEAR = 3;
    /** What varies along may be a third of the hollow, or no more than noise. */
    private static final double SHARE = 1.0 / 3;

    private static final int HOLLOW = 3;
    private static final int[] ALONG = {4, 5, 6};
    private static final int TERMS = 7;

    /**
     * The hollow that a spindle out of square leaves, mm.
     *
     * @param diameter of the cutter over its edges, mm
     * @param width of the face, mm: less than the diameter
     * @param outOfSquare over the diameter, along the travel, mm
     */
    public static double hollow(double diameter, double width, double outOfSquare) {
        check(diameter, width);
        Problems problems = new Problems();
        problems.require(
                outOfSquare >= 0 && outOfSquare <= diameter,
                "outOfSquare",
                "cut.tram-key-how-far-the-spindle-is-out-of-square");
        problems.throwIfAny();
        return outOfSquare * share(diameter, width);
    }

    /** How far a spindle is out of square over its cutter, mm, that left a hollow. */
    public static double outOfSquare(double diameter, double width, double hollow) {
        check(diameter, width);
        Problems problems = new Problems();
        problems.require(hollow >= 0 && hollow <= 1, "hollow", "cut.tram-key-how-hollow-the-face-is");
        problems.throwIfAny();
        return hollow / share(diameter, width);
    }

    private static void check(double diameter, double width) {
        Problems problems = new Problems();
        problems.require(diameter >= 20 && diameter <= 600, "diameter", "cut.diameter-key-20-to-600-mm");
        problems.require(width > 0 && width < diameter, "width", "cut.tram-the-cutter-is-wider-than-the-face");
        problems.throwIfAny();
    }

    /** Of what it is out of square over its diameter. */
    private static double share(double diameter, double width) {
        double radius = diameter / 2;
        return (radius - Math.sqrt(radius * radius - width * width / 4)) / diameter;
    }

    /**
     * What heights after a cut tell: this shape and little else.
     *
     * @param points heights in mm; x along the travel
     * @param box of the face, mm
     * @param diameter of the cutter, mm; empty where nobody noted it
     * @param noise of one reading, mm: standard uncertainty
     * @return empty where the face has another shape, or its places do not tell: they lie in fewer than three rows
     */
    public static Optional<Tram> seen(Points points, Box box, OptionalDouble diameter, double noise) {
        double width = box.height();
        OptionalDouble wider =
                diameter.isPresent() && diameter.getAsDouble() > width ? diameter : OptionalDouble.empty();
        if (diameter.isPresent() && wider.isEmpty()) {
            return Optional.empty();
        }
        DoubleUnaryOperator across = across(wider, width);
        double[][] rows = new double[points.size()][];
        for (int i = 0; i < rows.length; i++) {
            double u = box.u(points.x(i));
            double v = box.v(points.y(i));
            double s = across.applyAsDouble(v);
            rows[i] = new double[] {1, u, v, s, u * u, u * v, u * s};
        }
        PartialFit fit = fit(rows, points);
        double spread = Math.max(noise, leftOver(rows, points, fit));
        double hollow = fit.coefficient(HOLLOW);
        double error = spread * fit.standardError(HOLLOW);
        boolean clear = hollow >= LEAST && hollow >= CLEAR * error;
        boolean constant = Arrays.stream(ALONG).allMatch(t -> little(fit, t, hollow, spread));
        if (!clear || !constant) {
            return Optional.empty();
        }
        OptionalDouble out = wider.isPresent()
                ? OptionalDouble.of(hollow / share(wider.getAsDouble(), width))
                : OptionalDouble.empty();
        return Optional.of(new Tram(hollow, error, out));
    }

    /**
     * What to do about it.
     *
     * @param cutter over its edges, mm; empty as this was seen
     */
    public Causes.Cause cause(OptionalDouble cutter) {
        Message words = outOfSquare.isPresent()
                ? Message.of("cut.tram-the-spindle").with(cutter.orElseThrow(), outOfSquare.getAsDouble())
                : Message.of("cut.tram-the-spindle-of-a-cutter-not-noted");
        return new Causes.Cause(
                words, Message.of("cut.hollow-across-and-the-same-along").with(hollow, 2 * error));
    }

    private static boolean little(PartialFit fit, int term, double hollow, double spread) {
        double error = spread * fit.standardError(term);
        // A term that the places do not tell may hide anything.
        return Double.isFinite(error) && Math.abs(fit.coefficient(term)) <= Math.max(SHARE * hollow, 2 * error);
    }

    /** The shape across, 0 in the middle and 1 at the edges, of v from -1 to 1; a parabola for a cutter that is not known. */
    private static DoubleUnaryOperator across(OptionalDouble diameter, double width) {
        if (diameter.isEmpty()) {
            return v -> v * v;
        }
        double radius = diameter.getAsDouble() / 2;
        double half = width / 2;
        double whole = radius - Math.sqrt(radius * radius - half * half);
        return v -> (radius - Math.sqrt(radius * radius - v * v * half * half)) / whole;
    }

    private static PartialFit fit(double[][] rows, Points points) {
        double[][] normal = new double[TERMS][TERMS];
        double[] right = new double[TERMS];
        for (int i = 0; i < rows.length; i++) {
            double z = points.z(i) - points.z(0);
            for (int j = 0; j < TERMS; j++) {
                right[j] += rows[i][j] * z;
                for (int k = 0; k < TERMS; k++) {
                    normal[j][k] += rows[i][j] * rows[i][k];
                }
            }
        }
        return PartialFit.solve(normal, right);
    }

    /** Standard deviation of what the fit leaves, mm; 0 where as many terms as readings leave nothing. */
    private static double leftOver(double[][] rows, Points points, PartialFit fit) {
        double sum = 0;
        for (int i = 0; i < rows.length; i++) {
            double left = points.z(i) - points.z(0);
            for (int j = 0; j < TERMS; j++) {
                left -= fit.coefficient(j) * rows[i][j];
            }
            sum += left * left;
        }
        int free = rows.length - TERMS;
        return free <= 0 ? 0 : Math.sqrt(sum / free);
    }
}

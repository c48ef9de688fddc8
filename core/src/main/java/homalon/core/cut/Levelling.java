package homalon.core.cut;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import homalon.core.numeric.LeastSquaresPlane;
import java.util.ArrayList;
import java.util.List;

/**
 * At the machine: bringing a casting to the wanted plane by an indicator over its supports, and seeing whether the clamps bend
 * it. Heights in millimetres, + high.
 */
public final class Levelling {
    /** Nearer than this no jack is set, mm. */
    public static final double LEVEL = 0.005;

    private Levelling() {}

    /**
     * What to do at each support.
     *
     * @param raise how far up, none negative, mm
     * @param level true when none is further off than {@link #LEVEL}
     * @param worst index of the support to turn to first
     */
    public record Raise(double[] raise, boolean level, int worst) {}

    /**
     * @param read indicator over each support as it lies now, three or more
     * @param wanted what it would read there with the casting as planned, from any zero
     * @throws homalon.core.input.BadInputException when the two do not match or are no heights
     */
    public static Raise raise(double[] read, double[] wanted) {
        Problems problems = new Problems();
        problems.require(
                read.length >= 3 && read.length == wanted.length, "read", "cut.key-the-indicator-over-each-of-the");
        for (double r : read) {
            problems.require(
                    Double.isFinite(r) && Math.abs(r) <= 20, "read", "cut.key-what-the-dial-says-within-20-mm");
        }
        problems.throwIfAny();
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < read.length; i++) {
            highest = Math.max(highest, read[i] - wanted[i]);
        }
        double[] raise = new double[read.length];
        int worst = 0;
        for (int i = 0; i < read.length; i++) {
            raise[i] = highest - (read[i] - wanted[i]);
            worst = raise[i] > raise[worst] ? i : worst;
        }
        return new Raise(raise, raise[worst] <= LEVEL, worst);
    }

    /**
     * What the clamps do.
     *
     * @param spring range of what is left of the change when tilt and lift are taken off: how far the clamps bend it, mm
     * @param change at each place when tilt and lift are taken off, mm
     */
    public record Clamped(double spring, List<Double> change) {}

    /**
     * @param places four or more, not on one line
     * @param off heights with the clamps off
     * @param on heights with the clamps on
     */
    public static Clamped clamped(List<Spot> places, double[] off, double[] on) {
        Problems problems = new Problems();
        problems.require(
                places.size() >= 4 && off.length == places.size() && on.length == places.size(),
                "on",
                "cut.four-places-or-more-must-be-read-with");
        problems.throwIfAny();
        double[][] rows = new double[off.length][];
        for (int i = 0; i < off.length; i++) {
            rows[i] = new double[] {places.get(i).x(), places.get(i).y(), on[i] - off[i]};
        }
        Points change = Points.of(rows);
        problems.require(!change.onOneLine(), "on", "cut.the-places-lie-on-one-line-read-one-to");
        problems.throwIfAny();
        Plane moved = LeastSquaresPlane.fit(change);
        Range left = change.range(moved);
        List<Double> at = new ArrayList<>();
        for (int i = 0; i < change.size(); i++) {
            at.add(change.above(moved, i));
        }
        return new Clamped(left.extent(), List.copyOf(at));
    }
}

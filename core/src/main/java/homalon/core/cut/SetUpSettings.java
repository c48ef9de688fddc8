package homalon.core.cut;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.geometry.Spread;
import homalon.core.input.Problems;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What the set-ups are asked.
 *
 * @param sealing one flag per point: the depth to clean counts these; at least three, not on one line
 * @param footing where the casting stands on shims or jacks, at least three, not on one line, and what they are made of
 * @param corners indices of three or four points to set level
 * @param parallelTo slopes of a reference plane, when one was measured
 * @param depths total depths after which the clean-up is wanted, mm
 */
public record SetUpSettings(
        boolean[] sealing, Supports footing, int[] corners, Optional<Slopes> parallelTo, double[] depths) {

    /** @throws homalon.core.input.BadInputException naming everything that does not fit the points */
    public void check(Points points) {
        Problems problems = new Problems();
        if (problems.require(
                sealing.length == points.size(), "sealing", "cut.sealing-must-hold-one-true-or-false-for")) {
            Points seal = points.pick(sealingIndices());
            problems.require(
                    seal.size() >= 3 && !seal.onOneLine(), "sealing", "cut.at-least-three-sealing-points-that-are");
        }
        List<Spot> supports = footing.supports();
        problems.require(
                supports.size() >= 3 && !onOneLine(supports), "supports", "cut.give-at-least-three-supports-that-are");
        problems.require(
                supports.stream().allMatch(s -> Double.isFinite(s.x()) && Double.isFinite(s.y())),
                "supports",
                "cut.supports-must-be-finite-numbers-in-mm");
        checkCorners(points, problems);
        problems.require(
                Arrays.stream(depths).allMatch(d -> Double.isFinite(d) && d >= 0),
                "depths",
                "cut.depths-must-be-zero-or-more-in-mm");
        problems.throwIfAny();
    }

    private void checkCorners(Points points, Problems problems) {
        boolean fits = problems.require(
                (corners.length == 3 || corners.length == 4)
                        && Arrays.stream(corners).allMatch(c -> c >= 0 && c < points.size())
                        && Arrays.stream(corners).distinct().count() == corners.length,
                "corners",
                "cut.corners-must-be-three-or-four-different");
        if (fits) {
            problems.require(
                    !points.pick(corners).onOneLine(), "corners", "cut.the-corners-lie-on-one-line-choose-one");
        }
    }

    private static boolean onOneLine(List<Spot> spots) {
        double[] x = spots.stream().mapToDouble(Spot::x).toArray();
        double[] y = spots.stream().mapToDouble(Spot::y).toArray();
        return Spread.of(x, y).rank() < 2;
    }

    /** Indices of the sealing points. */
    public int[] sealingIndices() {
        return java.util.stream.IntStream.range(0, sealing.length)
                .filter(i -> sealing[i])
                .toArray();
    }
}

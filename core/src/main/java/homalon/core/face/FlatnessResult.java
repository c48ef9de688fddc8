package homalon.core.face;

import homalon.core.geometry.Plane;
import homalon.core.verdict.Verdict;
import java.util.List;
import java.util.Optional;

/**
 * What points say of a face. Lengths in millimetres.
 *
 * @param leastSquares flatness about the least-squares plane, square to it; never less than the minimum zone
 * @param leastSquaresPlane the plane itself
 * @param minimumZone the least zone and the points that hold it
 * @param bend bow and twist
 * @param shape in one word; flat only against a limit
 * @param verdict against the overall limit, when there is one
 * @param worstWindow when a window was asked for and one holds four points
 * @param bores in the order asked
 * @param cover the place of the land furthest from a measured one
 */
public record FlatnessResult(
        double leastSquares,
        Plane leastSquaresPlane,
        MinimumZone.Result minimumZone,
        BowAndTwist bend,
        Shape shape,
        Optional<Verdict> verdict,
        Optional<WindowFlatness.Worst> worstWindow,
        List<BoreFlatness> bores,
        Cover cover) {}

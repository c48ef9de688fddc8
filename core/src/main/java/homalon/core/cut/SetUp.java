package homalon.core.cut;

import homalon.core.geometry.Plane;
import java.util.List;

/**
 * One way to set the casting up.
 *
 * @param school which
 * @param plane set level with the cutter
 * @param depth from the highest sealing point to the lowest, along z: cleans every sealing point, mm
 * @param shims under each support, least zero, rounded to the shim stock, mm
 * @param onShims the plane that is level with the cutter once the rounded shims are in: what is really cut
 * @param depthWithShims the depth to that plane, mm
 * @param firstTouch how far the highest of all points stands above the highest sealing one over that plane, mm, zero or
 *     more: the cutter touches there first
 * @param cleanUp share of the sealing points that are clean after each depth asked for
 */
public record SetUp(
        SetUpMethod school,
        Plane plane,
        double depth,
        List<Double> shims,
        Plane onShims,
        double depthWithShims,
        double firstTouch,
        List<CleanUp> cleanUp) {

    /**
     * @param depth below the highest sealing point, mm
     * @param share 0 to 1
     */
    public record CleanUp(double depth, double share) {}

    /**
     * The same, counted over the metal of a map and not over the places that were read alone.
     *
     * @param above how far the map stands above the highest place, mm, zero or more: the cutter touches there first
     * @param below how far its sealing bands lie below the lowest sealing place, mm, zero or more: they have to come clean
     */
    public SetUp onMap(double above, double below) {
        return new SetUp(
                school, plane, depth + below, shims, onShims, depthWithShims + below, firstTouch + above, cleanUp);
    }

    /** From first touch until every sealing place is clean, on the rounded shims, mm. */
    public double toClean() {
        return firstTouch + depthWithShims;
    }

    /** What rounding the shims costs (or, by luck, saves), mm. */
    public double costOfRounding() {
        return depthWithShims - depth;
    }
}

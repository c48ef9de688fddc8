package homalon.core.cut;

import homalon.core.input.Problems;

/**
 * A cam in the head, driven by chain or belt with the tensioner on the slack side: the cut brings it nearer to the crank, the
 * driving side becomes too long by as much, and the cam comes late.
 *
 * @param cam degrees at the cam
 * @param crank degrees at the crank, twice as many
 */
public record CamTiming(double cam, double crank) {
    /**
     * @param cut off head and block together, mm
     * @param sprocketRadius pitch radius of the cam's sprocket, mm
     */
    public static CamTiming of(double cut, double sprocketRadius) {
        Problems problems = new Problems();
        problems.require(
                sprocketRadius > 0 && sprocketRadius <= 1000,
                "sprocketRadius",
                "cut.cam-sprockets-pitch-radius-above-0-and");
        problems.throwIfAny();
        double cam = Math.toDegrees(cut / sprocketRadius);
        return new CamTiming(cam, 2 * cam);
    }
}

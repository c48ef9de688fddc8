package homalon.core.guides;

import homalon.core.input.Problems;

/**
 * Clearance from the rocking check: the lifted valve's head is pushed to and fro under an indicator. The stem then touches the
 * guide at both ends, so that the play grows with the distance below it: clearance = play / (1 + 2 reach / length).
 */
public final class Rocking {
    private Rocking() {}

    /**
     * @param play whole travel of the indicator, mm
     * @param reach from the guide's lower end to the place measured, mm; 0 at the end itself
     * @param guideLength mm
     * @throws homalon.core.input.BadInputException for lengths that cannot be
     */
    public static double clearance(double play, double reach, double guideLength) {
        Problems problems = new Problems();
        problems.require(play >= 0 && play <= 10, "play", "guides.play-key-the-whole-travel-of-the");
        problems.require(reach >= 0 && reach <= 300, "reach", "guides.reach-key-how-far-below-the-guides-end");
        problems.require(
                guideLength >= 5 && guideLength <= 300,
                "guideLength",
                "guides.guide-length-key-5-to-300-mm-such-as-52");
        problems.throwIfAny();
        return play / (1 + 2 * reach / guideLength);
    }
}

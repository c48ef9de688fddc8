package homalon.core.guides;

import homalon.core.input.Problems;
import homalon.core.words.Message;

/**
 * Where a guide's end is set, when the face it is measured from is still to be cut. Millimetres.
 *
 * @param now distance to set it at now
 * @param after what the distance will be once the cut is made
 */
public record GuideHeight(double now, double after) {
    /** Which way the guide's end lies from the face it is measured from. */
    public enum From {
        /** Below the face, as in the deck of a side-valve block: the cut makes it shallower. */
        BELOW_FACE,
        /** Above the face or spring seat: the cut makes it stand higher. */
        ABOVE_FACE;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /**
     * @param target wanted when all is done
     * @param toCut what that face still loses; 0 for a reference that is not cut
     */
    public static GuideHeight of(double target, From from, double toCut) {
        check(target, toCut);
        double now = from == From.BELOW_FACE ? target + toCut : target - toCut;
        Problems problems = new Problems();
        problems.require(now > 0, "target", "guides.the-cut-is-deeper-than-the-height");
        problems.throwIfAny();
        return new GuideHeight(now, resulting(now, from, toCut));
    }

    /** The distance that a cut leaves of one that was set, or measured. */
    public static double resulting(double set, From from, double cut) {
        return from == From.BELOW_FACE ? set - cut : set + cut;
    }

    private static void check(double target, double toCut) {
        Problems problems = new Problems();
        problems.require(target > 0 && target <= 300, "target", "guides.guide-height-key-0-to-300-mm-such-as-14");
        problems.require(toCut >= 0 && toCut <= 10, "toCut", "guides.the-cut-still-to-come-lies-between-0");
        problems.throwIfAny();
    }
}

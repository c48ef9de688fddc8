package homalon.core.lines;

import homalon.core.verdict.Verdict;

/**
 * What a face and the line of a shaft in the same casting say together. Bow in millimetres over the length between the line's
 * ends, + when the middle stands high out of the face.
 *
 * @param advice what to do
 * @param words in the trade's words
 * @param faceBow that it rests on
 * @param lineBow that it rests on
 */
public record BentLine(Advice advice, String words, double faceBow, double lineBow) {
    /** What to do. */
    public enum Advice {
        NOTHING,
        SKIM,
        STRAIGHTEN,
        LINE_ONLY,
        MEASURE
    }

    private static final double LIKE = 0.5;

    /**
     * @param faceBow middle of the face against its ends, + high
     * @param face flatness verdict
     * @param lineBow middle bore against the end bores, + high in the same direction
     * @param line whether the shaft turns
     * @param straight whether the line may be called so; one that turns may be bowed all the same
     */
    public static BentLine of(double faceBow, Verdict face, double lineBow, ShaftLine.Turns line, boolean straight) {
        if (face == Verdict.NOT_PROVEN || line == ShaftLine.Turns.NOT_PROVEN) {
            return new BentLine(
                    Advice.MEASURE,
                    "Settle both the face and the line before anything is bent or cut.",
                    faceBow,
                    lineBow);
        }
        return line == ShaftLine.Turns.FREE
                ? turning(faceBow, face, lineBow, straight)
                : binding(faceBow, face, lineBow);
    }

    private static BentLine turning(double faceBow, Verdict face, double lineBow, boolean straight) {
        if (!straight) {
            return new BentLine(
                    face == Verdict.WITHIN ? Advice.NOTHING : Advice.SKIM,
                    face == Verdict.WITHIN
                            ? "The shaft turns, but its line is bowed by more than half its clearance: the casting is bent, and"
                                    + " its face may have been cut so. It may stay; write it down for whoever fits it."
                            : "The shaft turns, but its line is bowed by more than half its clearance. Straightening first"
                                    + " spares the face most of the cut; skimmed as it is, the bow stays in the line.",
                    faceBow,
                    lineBow);
        }
        return face == Verdict.WITHIN
                ? new BentLine(Advice.NOTHING, "Face flat and line straight: nothing is bent.", faceBow, lineBow)
                : new BentLine(
                        Advice.SKIM,
                        "The line is straight: the face alone is out, and may be skimmed.",
                        faceBow,
                        lineBow);
    }

    private static BentLine binding(double faceBow, Verdict face, double lineBow) {
        if (face == Verdict.WITHIN) {
            return new BentLine(
                    Advice.STRAIGHTEN,
                    "The face is flat but the line is not: it was skimmed while bent, and the bend is still in it. Check caps, their order and direction first; then straighten or re-bore the line. Skimming cannot help.",
                    faceBow,
                    lineBow);
        }
        boolean alike = Math.signum(faceBow) == Math.signum(lineBow)
                && Math.min(Math.abs(faceBow), Math.abs(lineBow))
                        >= LIKE * Math.max(Math.abs(faceBow), Math.abs(lineBow));
        return alike
                ? new BentLine(
                        Advice.STRAIGHTEN,
                        "Face and line are bowed alike: straighten first, " + (lineBow < 0 ? "hollow" : "crowned")
                                + " as the face lies up, then skim. Skimming alone leaves the shaft binding.",
                        faceBow,
                        lineBow)
                : new BentLine(
                        Advice.LINE_ONLY,
                        "Face and line are not bowed alike: check caps, their order and direction, and single bores before the casting is blamed.",
                        faceBow,
                        lineBow);
    }
}

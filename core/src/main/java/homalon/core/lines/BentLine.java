package homalon.core.lines;

import homalon.core.verdict.Verdict;
import homalon.core.words.Message;

/**
 * What a face and the line of a shaft in the same casting say together. Bow in millimetres over the length between the line's
 * ends, + when the middle stands high out of the face.
 *
 * @param advice what to do
 * @param words in the trade's words
 * @param faceBow that it rests on
 * @param lineBow that it rests on
 */
public record BentLine(Advice advice, Message words, double faceBow, double lineBow) {
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
                    Advice.MEASURE, Message.of("lines.settle-both-the-face-and-the-line"), faceBow, lineBow);
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
                            ? Message.of("lines.bowed-but-turns-it-may-stay")
                            : Message.of("lines.bowed-but-turns-straighten-it-first"),
                    faceBow,
                    lineBow);
        }
        return face == Verdict.WITHIN
                ? new BentLine(
                        Advice.NOTHING, Message.of("lines.face-flat-and-line-straight-nothing-is"), faceBow, lineBow)
                : new BentLine(
                        Advice.SKIM, Message.of("lines.the-line-is-straight-the-face-alone-is"), faceBow, lineBow);
    }

    private static BentLine binding(double faceBow, Verdict face, double lineBow) {
        if (face == Verdict.WITHIN) {
            return new BentLine(
                    Advice.STRAIGHTEN, Message.of("lines.the-face-is-flat-but-the-line-is-not-it"), faceBow, lineBow);
        }
        boolean alike = Math.signum(faceBow) == Math.signum(lineBow)
                && Math.min(Math.abs(faceBow), Math.abs(lineBow))
                        >= LIKE * Math.max(Math.abs(faceBow), Math.abs(lineBow));
        return alike
                ? new BentLine(
                        Advice.STRAIGHTEN,
                        Message.of(
                                "lines.face-and-line-are-bowed-alike",
                                lineBow < 0 ? Message.of("lines.hollow") : Message.of("lines.crowned")),
                        faceBow,
                        lineBow)
                : new BentLine(
                        Advice.LINE_ONLY,
                        Message.of("lines.face-and-line-are-not-bowed-alike-check"),
                        faceBow,
                        lineBow);
    }
}

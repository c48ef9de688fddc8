package homalon.app.part;

import java.util.List;
import java.util.Locale;

/**
 * What the frame of a part's page shows: its tag, its lines of words, and the strip of steps.
 *
 * @param strip every step with its address
 * @param open steps before the hand-over that are not done, in words
 */
public record PartHead(PartFile part, String line, List<StripMark> strip, List<String> open) {

    /**
     * @param style for its look
     * @param sign read out and drawn, so that colour is not alone
     */
    public record StripMark(
            String words, String path, char key, String note, String style, String sign, boolean here) {}

    static PartHead of(PartFile part, List<Step> steps, StepKind here) {
        String base = "/parts/" + part.tag() + "/";
        List<StripMark> strip = steps.stream()
                .map(s -> new StripMark(
                        s.kind().words(),
                        base + s.kind().path(),
                        s.kind().key(),
                        s.note(),
                        s.mark().name().toLowerCase(Locale.ROOT),
                        s.mark() == Step.Mark.DONE ? "\u2713" : "",
                        s.kind() == here))
                .toList();
        List<String> open = steps.stream()
                .filter(s -> s.kind() != StepKind.HAND_OVER && s.mark() != Step.Mark.DONE)
                .map(s -> s.kind().words().toLowerCase(Locale.ROOT) + " (" + s.note() + ")")
                .toList();
        return new PartHead(part, line(part), strip, open);
    }

    /** The first step that is not done; the last one when all are. */
    public static Step next(List<Step> steps) {
        return steps.stream()
                .filter(s -> s.mark() != Step.Mark.DONE)
                .findFirst()
                .orElse(steps.get(steps.size() - 1));
    }

    private static String line(PartFile part) {
        String history = part.visit().history();
        String shortened = history.length() > 90 ? history.substring(0, 88).strip() + "…" : history;
        return part.kindWords() + " · " + part.customer() + (shortened.isEmpty() ? "" : " · " + shortened);
    }
}

package homalon.app.casting.part;

import homalon.app.foundation.drawing.Markup;
import homalon.app.foundation.words.Words;
import homalon.core.route.Operation;
import homalon.core.route.Step;
import homalon.core.route.StepKind;
import homalon.core.route.VisitSteps;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What the frame of a part's page shows: its tag, its lines of words, and the strip of steps.
 *
 * @param strip every step with its address
 * @param open steps before the hand-over that are not done, in words
 * @param first what must be done before the step of this page; empty when it may be done now
 * @param better what it risks to do it now
 */
public record PartHead(
        PartFile part, String line, List<StripMark> strip, List<String> open, String first, List<String> better) {

    /**
     * @param style for its look
     * @param sign read out and drawn, so that colour is not alone
     */
    public record StripMark(
            String words, String path, char key, String note, String style, String sign, boolean here) {}

    /** @param here the step of this page; empty for a page beside the steps */
    static PartHead of(PartFile part, VisitSteps.Standing standing, Optional<StepKind> here) {
        List<Step> steps = standing.strip();
        String base = "/parts/" + part.tag() + "/";
        List<StripMark> strip = steps.stream()
                .map(s -> new StripMark(
                        Words.of(s.kind().words()),
                        base + StepPages.path(s.kind()),
                        StepPages.key(s.kind()),
                        Words.of(s.note()),
                        style(s),
                        sign(s),
                        here.filter(h -> h == s.kind()).isPresent()))
                .toList();
        boolean toDo =
                steps.stream().anyMatch(s -> here.filter(h -> h == s.kind()).isPresent() && s.mark() != Step.Mark.DONE);
        Optional<Operation> operation = toDo ? here.flatMap(StepKind::operation) : Optional.empty();
        return new PartHead(
                part,
                line(part),
                strip,
                open(standing),
                operation
                        .filter(o -> o != Operation.HAND_OVER)
                        .flatMap(it -> Words.of(standing.route().refusal(it)))
                        .orElse(""),
                operation.map(it -> Words.of(standing.route().warnings(it))).orElse(List.of()));
    }

    /** Steps before the hand-over that are not done, in words. */
    public static List<String> open(VisitSteps.Standing standing) {
        List<String> open = new ArrayList<>(standing.strip().stream()
                .filter(s -> s.kind() != StepKind.HAND_OVER && s.mark() != Step.Mark.DONE)
                .map(s -> Words.of(s.kind().words()).toLowerCase(Locale.ROOT) + " (" + Words.of(s.note()) + ")")
                .toList());
        if (standing.route().open(Operation.OIL_AND_BAG).isPresent()) {
            open.add(Words.of(Operation.OIL_AND_BAG.words()));
        }
        standing.toTick().forEach(line -> open.add("to tick: " + line));
        return open;
    }

    /** Whether a step with that last part of its address is on the strip; one that is not is reached from the part's links. */
    public boolean has(String path) {
        return strip.stream().anyMatch(s -> s.path().endsWith("/" + path));
    }

    /** The links of the strip; they come with every reading, so they are not left to the template engine. */
    public String stripHtml() {
        Markup html = new Markup();
        for (StripMark s : strip) {
            html.open(
                    "a",
                    "href",
                    s.path(),
                    "class",
                    s.style(),
                    "aria-current",
                    s.here() ? "step" : null,
                    "data-go",
                    s.key());
            html.open("span", "class", "name block").text(s.words()).close("span");
            html.open("span", "class", "note block")
                    .text(s.sign() + " " + s.note())
                    .close("span");
            html.close("a");
        }
        return html.toString();
    }

    /** The first step that can be done now; else the first that is not done; the last one when all are. */
    public static Step next(List<Step> steps) {
        return steps.stream()
                .filter(s -> s.mark() == Step.Mark.DUE || s.mark() == Step.Mark.BEGUN)
                .findFirst()
                .or(() -> steps.stream().filter(s -> s.mark() != Step.Mark.DONE).findFirst())
                .orElse(steps.get(steps.size() - 1));
    }

    /** Never green for what is out, or was left out. */
    private static String style(Step step) {
        return step.mark().name().toLowerCase(Locale.ROOT)
                + switch (step.found()) {
                    case GOOD -> " good";
                    case OUT -> " out";
                    case NOT_JUDGED -> "";
                };
    }

    private static String sign(Step step) {
        return switch (step.found()) {
            case GOOD -> "\u2713";
            case OUT -> "\u2715";
            case NOT_JUDGED -> step.mark() == Step.Mark.DONE ? "\u2013" : "";
        };
    }

    private static String line(PartFile part) {
        String history = part.visit().history();
        String shortened = history.length() > 90 ? history.substring(0, 88).strip() + "…" : history;
        return Words.of(part.kindWords()) + " · " + part.customer() + (shortened.isEmpty() ? "" : " · " + shortened);
    }
}

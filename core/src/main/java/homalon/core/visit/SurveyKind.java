package homalon.core.visit;

import homalon.core.gauge.InstrumentKind;
import homalon.core.input.InPath;
import homalon.core.route.StepKind;
import homalon.core.words.Message;
import java.util.List;

/** What a survey is read for. */
public enum SurveyKind implements InPath {
    FACE(StepKind.FACE, "face"),
    PROOF(StepKind.PROVE, "proof"),
    THICKNESS(StepKind.PLAN, "thickness"),
    THICKNESS_AFTER(StepKind.PROVE, "thickness-after");

    private final Message words = Message.of(this);
    private final StepKind step;
    private final String path;

    SurveyKind(StepKind step, String path) {
        this.step = step;
        this.path = path;
    }

    public Message words() {
        return words;
    }

    public StepKind step() {
        return step;
    }

    @Override
    public String path() {
        return path;
    }

    /** What may be in hand for it: the indicator and what it reads from, or a micrometer. */
    public List<InstrumentKind> instruments() {
        return ofHeights()
                ? List.of(InstrumentKind.INDICATOR, InstrumentKind.TABLE)
                : List.of(InstrumentKind.MICROMETER);
    }

    /** Readings are small departures from a plane, not sizes. */
    public boolean ofHeights() {
        return this != THICKNESS && this != THICKNESS_AFTER;
    }
}

package homalon.core.visit;

import homalon.core.gauge.InstrumentKind;
import homalon.core.input.InPath;
import homalon.core.route.StepKind;
import homalon.core.words.Message;
import java.util.List;

/** What the straightedge is laid for. */
public enum FeelerKind implements InPath {
    FACE(StepKind.FACE, "feelers"),
    PROOF(StepKind.PROVE, "proof-feelers");

    private final Message words = Message.of(this);
    private final StepKind step;
    private final String path;

    FeelerKind(StepKind step, String path) {
        this.step = step;
        this.path = path;
    }

    public Message words() {
        return words;
    }

    public StepKind step() {
        return step;
    }

    /** The same face, read by indicator. */
    public SurveyKind survey() {
        return this == FACE ? SurveyKind.FACE : SurveyKind.PROOF;
    }

    /** What may be in hand for it. */
    public List<InstrumentKind> instruments() {
        return List.of(InstrumentKind.STRAIGHTEDGE, InstrumentKind.FEELERS);
    }

    @Override
    public String path() {
        return path;
    }
}

package homalon.core.visit;

import homalon.core.input.InPath;
import homalon.core.route.StepKind;
import homalon.core.words.Message;

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

    @Override
    public String path() {
        return path;
    }
}

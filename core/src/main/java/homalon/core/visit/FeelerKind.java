package homalon.core.visit;

import homalon.core.input.InPath;
import homalon.core.route.StepKind;

/** What the straightedge is laid for. */
public enum FeelerKind implements InPath {
    FACE("Face, by straightedge and feelers", StepKind.FACE, "feelers"),
    PROOF("Face again, by straightedge and feelers", StepKind.PROVE, "proof-feelers");

    private final String words;
    private final StepKind step;
    private final String path;

    FeelerKind(String words, StepKind step, String path) {
        this.words = words;
        this.step = step;
        this.path = path;
    }

    public String words() {
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

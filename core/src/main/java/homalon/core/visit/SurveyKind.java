package homalon.core.visit;

import homalon.core.input.InPath;
import homalon.core.route.StepKind;

/** What a survey is read for. */
public enum SurveyKind implements InPath {
    FACE("Face, by indicator", StepKind.FACE, "face"),
    PROOF("Face again, after the cut", StepKind.PROVE, "proof"),
    THICKNESS("Thickness before the cut", StepKind.PLAN, "thickness"),
    THICKNESS_AFTER("Thickness after the cut", StepKind.PROVE, "thickness-after");

    private final String words;
    private final StepKind step;
    private final String path;

    SurveyKind(String words, StepKind step, String path) {
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

    /** Readings are small departures from a plane, not sizes. */
    public boolean ofHeights() {
        return this != THICKNESS && this != THICKNESS_AFTER;
    }
}

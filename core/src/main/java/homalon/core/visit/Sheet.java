package homalon.core.visit;

import homalon.core.input.InPath;
import homalon.core.quantity.Length;
import homalon.core.route.StepKind;

/** What is keyed on a sheet. */
public enum Sheet implements InPath {
    LINE("Line of the shaft", StepKind.LINE, "line"),
    LINERS("Liner protrusion", StepKind.LINERS, "liners"),
    INDEX("Deck index", StepKind.INDEX, "index"),
    VALVES("Valves", StepKind.VALVES, "valves"),
    CHAMBERS("Chambers", StepKind.CHAMBERS, "chambers");

    private final String words;
    private final StepKind step;
    private final String path;

    Sheet(String words, StepKind step, String path) {
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

    /** No figure of it is larger: anything beyond was keyed in another unit. */
    public Length furthest() {
        return this == INDEX || this == VALVES || this == CHAMBERS ? Length.ofMm("1000") : Length.ofMm("50");
    }

    @Override
    public String path() {
        return path;
    }
}

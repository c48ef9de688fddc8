package homalon.app.casting.sheets;

import homalon.app.casting.part.StepPages;
import homalon.core.quantity.Length;
import homalon.core.route.StepKind;

/** What is keyed on a sheet. */
public enum Sheet {
    LINE("Line of the shaft", StepKind.LINE),
    LINERS("Liner protrusion", StepKind.LINERS),
    INDEX("Deck index", StepKind.INDEX),
    VALVES("Valves", StepKind.VALVES),
    CHAMBERS("Chambers", StepKind.CHAMBERS);

    private final String words;
    private final StepKind step;

    Sheet(String words, StepKind step) {
        this.words = words;
        this.step = step;
    }

    public String words() {
        return words;
    }

    public StepKind step() {
        return step;
    }

    /** No figure of it is larger: anything beyond was keyed in another unit. */
    Length furthest() {
        return this == INDEX || this == VALVES || this == CHAMBERS ? Length.ofMm("1000") : Length.ofMm("50");
    }

    public String path() {
        return StepPages.path(step);
    }
}

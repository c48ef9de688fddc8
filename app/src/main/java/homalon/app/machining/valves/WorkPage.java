package homalon.app.machining.valves;

import homalon.app.casting.part.StepPages;
import homalon.core.input.InPath;
import homalon.core.route.StepKind;
import homalon.core.visit.Said;

/** A page on which one kind of work is chosen and written down, valve by valve. */
enum WorkPage implements InPath {
    GUIDES(StepKind.GUIDES, Said.GUIDE_DONE),
    INSERTS(StepKind.INSERTS, Said.INSERT_DONE),
    SEATS(StepKind.SEATS, Said.SEAT_DONE);

    private final StepKind step;
    private final Said done;

    WorkPage(StepKind step, Said done) {
        this.step = step;
        this.done = done;
    }

    StepKind step() {
        return step;
    }

    /** Where it is written that the work was done. */
    Said done() {
        return done;
    }

    @Override
    public String path() {
        return StepPages.path(step);
    }

    String template() {
        return "machining/valves/" + StepPages.path(step);
    }
}

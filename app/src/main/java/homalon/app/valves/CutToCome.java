package homalon.app.valves;

import homalon.app.cut.Plans;
import homalon.app.ledger.Ledgers;
import homalon.app.part.PartFile;
import homalon.core.quantity.Length;
import org.springframework.stereotype.Component;

/** What the face still loses by the plan that stands. */
@Component
class CutToCome {
    private final Plans plans;
    private final Ledgers ledgers;

    CutToCome(Plans plans, Ledgers ledgers) {
        this.plans = plans;
        this.ledgers = ledgers;
    }

    Length of(PartFile part) {
        Length cut = ledgers.of(part).ledger().totals(part.visit().id()).thisJob();
        Length planned = plans.of(part).map(p -> p.plan().passes().total()).orElse(Length.ZERO);
        return planned.compareTo(cut) > 0 ? planned.minus(cut) : Length.ZERO;
    }
}

package homalon.app.machining.cut;

import homalon.app.casting.ledger.Ledgers;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the face still loses by the plan that stands. */
@Component
@RequiredArgsConstructor
public class CutToCome {
    private final Plans plans;
    private final Ledgers ledgers;

    public Length of(PartFile part) {
        return of(part, plans.of(part).map(p -> p.plan().passes().total()).orElse(Length.ZERO));
    }

    /** What is left of a depth in all, after what was cut on this visit; zero when that much came off already. */
    public Length of(PartFile part, Length total) {
        Length cut = cut(part);
        return total.compareTo(cut) > 0 ? total.minus(cut) : Length.ZERO;
    }

    /** What came off on this visit. */
    public Length cut(PartFile part) {
        return ledgers.of(part).ledger().totals(part.visit().id()).thisJob();
    }
}

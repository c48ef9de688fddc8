package homalon.core.ledger;

import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * What came off a face in its life, visit by visit.
 *
 * @param before off before the casting came here for the first time; zero where nobody knows
 * @param opening how sure that figure is
 * @param visits off by the passes of each visit that stand, the first visit first
 */
public record MetalOff(Length before, Ledger.Opening opening, List<Length> visits) {

    /** @param visits of the casting, the first one first */
    public static MetalOff of(Ledger ledger, List<UUID> visits) {
        List<Length> off = new ArrayList<>();
        visits.forEach(v -> off.add(ledger.totals(v).thisJob()));
        // The opening figure is the casting's: the same from whichever visit it is asked.
        Ledger.Totals any = ledger.totals(visits.get(visits.size() - 1));
        return new MetalOff(any.before(), any.opening(), List.copyOf(off));
    }

    /** Of all visits and before them. */
    public Length life() {
        Length sum = before;
        for (Length off : visits) {
            sum = sum.plus(off);
        }
        return sum;
    }

    /** More may be off than is known here. */
    public boolean atLeast() {
        return opening == Ledger.Opening.UNKNOWN || opening == Ledger.Opening.NOT_ASKED;
    }
}

package homalon.app.outcome.estimate;

import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.store.EvidenceLog;
import homalon.core.input.BadInputException;
import homalon.core.money.Compared;
import homalon.core.money.Other;
import homalon.core.visit.PartFile;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.joda.money.CurrencyUnit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Other castings that could take the place of one, and how it stands beside them. */
@Service
@Transactional
@RequiredArgsConstructor
class Others {
    private static final int MOST = 12;

    private final EvidenceLog log;
    private final CastingLocks locks;
    private final Beside beside;

    /** @param other by which it is named when it is taken off */
    record Kept(UUID other, Other casting) {}

    /** Those that are thought of, in the order in which they were keyed first. */
    @Transactional(readOnly = true)
    public List<Kept> of(PartFile part, CurrencyUnit in) {
        Map<UUID, OtherCastingRow> last = new LinkedHashMap<>();
        log.ofVisit(OtherCastingRow.class, part.visit().id())
                .forEach(r -> last.put(r.told().other(), r));
        return last.values().stream()
                .filter(r -> !r.gone() && r.in(in))
                .map(OtherCastingRow::told)
                .toList();
    }

    /** @param more minutes beyond what the work here is thought to take */
    @Transactional(readOnly = true)
    public Compared compared(PartFile part, Grower.Grown grown, int more) {
        return beside.compared(part, grown, of(part, grown.estimate().rules().currency()), more);
    }

    /** @throws BadInputException for a casting that left, and for more than anybody compares */
    public void keep(PartFile part, UUID id, Other casting, UUID by) {
        part.requireHere("words", "to compare another with it");
        if (!locks.first(part, id)) {
            return;
        }
        if (of(part, casting.price().getCurrencyUnit()).size() >= MOST) {
            throw new BadInputException("words", "app.estimate.take-one-of-them-off-first", MOST);
        }
        log.add(new OtherCastingRow(id, part.visit().id(), new Kept(id, casting), false, by));
    }

    /** @throws BadInputException for one that is not there any more */
    public void drop(PartFile part, UUID id, UUID other, CurrencyUnit in, UUID by) {
        part.requireHere("other", "to take one off");
        if (!locks.first(part, id)) {
            return;
        }
        Kept kept = of(part, in).stream()
                .filter(k -> k.other().equals(other))
                .findFirst()
                .orElseThrow(() -> new BadInputException("other", "app.estimate.that-one-is-not-there-any-more"));
        log.add(new OtherCastingRow(id, part.visit().id(), kept, true, by));
    }
}

package homalon.app.shop.stock;

import homalon.app.casting.part.PartVisits;
import homalon.app.casting.part.Parts;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What is said of a casting on the bench, that it waits on parts, and what is ordered for it are kept to be the same. */
@Component
@RequiredArgsConstructor
class WaitsOnParts {
    private static final int LONGEST = 200;

    private final Parts parts;
    private final PartVisits visits;
    private final Orders orders;

    /** Since when and for what it waits on parts; empty where it does not. */
    Optional<PartFile.Stuck> waiting(PartFile part) {
        return part.visit().stuck().filter(s -> s.on() == StuckOn.PARTS);
    }

    /** It waits for what was just ordered. */
    void on(PartFile part, Need need, Optional<LocalDate> promised, UUID by) {
        String what = (need.quantity() + " × " + need.code()).strip() + " " + need.words();
        String when = promised.map(
                        d -> ", promised " + part.rules().paper().days().brief(d))
                .orElse("");
        String why = what.substring(0, Math.min(what.length(), LONGEST - when.length())) + when;
        visits.stick(part.id(), Optional.of(StuckOn.PARTS), why, by);
    }

    /** It goes on once nothing that was ordered for it is awaited any more. What it waits for otherwise is left. */
    @Transactional
    public void goOn(PartFile part, UUID by) {
        if (orders.of(part).stream().noneMatch(Orders.Order::open)) {
            end(part, by);
        }
    }

    /** Somebody says that it goes on, whatever is awaited. */
    @Transactional
    public void end(PartFile part, UUID by) {
        waiting(parts.byTag(part.tag())).ifPresent(s -> visits.stick(part.id(), Optional.empty(), "", by));
    }
}

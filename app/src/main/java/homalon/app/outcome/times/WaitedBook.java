package homalon.app.outcome.times;

import homalon.app.casting.part.Changes;
import homalon.app.shop.stock.Orders;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import homalon.core.visit.Waited;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How long visits waited: as was said of each, and for what was ordered for it. */
@Component
@RequiredArgsConstructor
public class WaitedBook {
    private final Changes changes;
    private final Orders orders;
    private final Clock clock;

    /** By visit; one that is here up to now. */
    @Transactional(readOnly = true)
    public Map<UUID, Waited> of(List<PartFile> visits) {
        List<UUID> ids = visits.stream().map(p -> p.visit().id()).toList();
        Map<UUID, List<Changes.Stuck>> stuck = changes.stuck(ids);
        Map<UUID, List<Orders.Order>> ordered = orders.ofVisits(ids);
        Map<UUID, Waited> all = new HashMap<>();
        for (PartFile part : visits) {
            PartFile.Visit visit = part.visit();
            Instant until = visit.releasedAt().orElse(clock.instant());
            List<Waited.Span> spans = stuck(stuck.getOrDefault(visit.id(), List.of()), until);
            ordered.getOrDefault(visit.id(), List.of())
                    .forEach(o -> spans.add(new Waited.Span(StuckOn.PARTS, o.at(), o.over(until))));
            all.put(visit.id(), Waited.of(spans, visit.openedAt(), until));
        }
        return all;
    }

    /** Each holds until the next is said. */
    private static List<Waited.Span> stuck(List<Changes.Stuck> said, Instant until) {
        List<Waited.Span> spans = new ArrayList<>();
        for (int i = 0; i < said.size(); i++) {
            Instant from = said.get(i).at();
            Instant to = i + 1 < said.size() ? said.get(i + 1).at() : until;
            said.get(i).on().ifPresent(on -> spans.add(new Waited.Span(on, from, to.isBefore(from) ? from : to)));
        }
        return spans;
    }
}

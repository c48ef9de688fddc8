package homalon.app.outcome.plan;

import homalon.app.shop.stock.Orders;
import homalon.core.route.Operation;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How much there is to do at castings, as far as it was counted: guides that were ordered, passes of the plan that are still to be cut. */
@Component
@RequiredArgsConstructor
class Counts {
    private final Orders orders;
    private final EntityManager entities;

    /**
     * Of one casting.
     *
     * @param some by operation
     * @param passes 0 for none planned
     */
    record Of(Map<Operation, Integer> some, int passes) {
        static final Of NOTHING = new Of(Map.of(), 0);
    }

    /** By visit, those of which nothing was counted left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Of> of(Collection<UUID> visits) {
        if (visits.isEmpty()) {
            return Map.of();
        }
        Map<UUID, Integer> passes = passes(visits);
        Map<UUID, Of> all = new HashMap<>();
        passes.forEach((visit, count) -> all.put(visit, new Of(Map.of(), count)));
        orders.ofVisits(visits).forEach((visit, ordered) -> {
            int guides = ordered.stream()
                    .filter(o -> o.operation() == Operation.GUIDE_WORK && !o.cancelled())
                    .mapToInt(Orders.Order::quantity)
                    .sum();
            if (guides > 0) {
                all.put(visit, new Of(Map.of(Operation.GUIDE_WORK, guides), passes.getOrDefault(visit, 0)));
            }
        });
        return all;
    }

    /** Of the plan that holds, without those that were cut since it was made; one at the least. */
    @SuppressWarnings("unchecked") // as wide as what is selected
    private Map<UUID, Integer> passes(Collection<UUID> visits) {
        List<Object[]> rows =
                entities.createNativeQuery("""
                        select c.job_id,
                          (select count(*) from plan_pass p where p.plan_id = c.id)
                            - (select count(*) from ledger_line l where l.job_id = c.job_id and l.kind = 'PASS' and l.at >= c.made_at
                                and not exists (select 1 from ledger_line r where r.reverses = l.id))
                        from cut_plan c where c.job_id in (:visits)
                          and not exists (select 1 from cut_plan n where n.job_id = c.job_id and n.seq > c.seq)
                        """).setParameter("visits", visits).getResultList();
        return rows.stream().collect(Collectors.toMap(r -> (UUID) r[0], r -> Math.max(1, ((Number) r[1]).intValue())));
    }
}

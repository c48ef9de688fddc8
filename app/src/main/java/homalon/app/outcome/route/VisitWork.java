package homalon.app.outcome.route;

import homalon.app.casting.agreed.ChoiceBook;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.shop.stock.Orders;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What was done on visits, ordered for them and chosen by their customers. */
@Component
@RequiredArgsConstructor
class VisitWork {
    private final WorkLog work;
    private final Orders orders;
    private final ChoiceBook choices;

    /** Of one visit. */
    record Done(
            List<WorkEntry> work,
            List<Orders.Order> orders,
            List<ChoiceBook.Asked> asked,
            List<ChoiceBook.Made> chosen) {}

    /** By visit. */
    Map<UUID, Done> of(List<UUID> visits) {
        Map<UUID, List<WorkEntry>> worked = work.ofVisits(visits);
        Map<UUID, List<Orders.Order>> ordered = orders.ofVisits(visits);
        Map<UUID, List<ChoiceBook.Asked>> asked = choices.asked(visits);
        Map<UUID, List<ChoiceBook.Made>> chosen = choices.made(visits);
        return visits.stream()
                .collect(Collectors.toMap(
                        v -> v,
                        v -> new Done(
                                worked.getOrDefault(v, List.of()),
                                ordered.getOrDefault(v, List.of()),
                                asked.getOrDefault(v, List.of()),
                                chosen.getOrDefault(v, List.of()))));
    }
}

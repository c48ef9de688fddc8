package homalon.app.outcome.plan;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.agreed.ChoiceBook;
import homalon.app.shop.stock.Orders;
import homalon.core.bench.Awaited;
import homalon.core.bench.UsualWaits;
import homalon.core.route.Operation;
import homalon.core.visit.Owed;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import homalon.core.words.Message;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** All that castings wait for: what was ordered, what their customers owe, and what somebody said on the bench. */
@Component
@RequiredArgsConstructor
public class Awaits {
    private final Orders orders;
    private final AgreedBook agreed;
    private final ChoiceBook choices;

    /** By visit, the first to come first. */
    public Map<UUID, List<Awaited>> of(List<PartFile> parts, LocalDate today) {
        List<UUID> visits = parts.stream().map(p -> p.visit().id()).toList();
        Map<UUID, List<Orders.Order>> ordered = orders.ofVisits(visits);
        Map<UUID, List<AgreedBook.Owing>> owed = agreed.owed(visits);
        Map<UUID, ChoiceBook.Asked> asked = choices.open(visits);
        Map<UUID, List<Awaited>> all = new HashMap<>();
        for (PartFile part : parts) {
            UUID visit = part.visit().id();
            all.put(
                    visit,
                    of(
                            part,
                            ordered.getOrDefault(visit, List.of()),
                            owed.getOrDefault(visit, List.of()),
                            Optional.ofNullable(asked.get(visit)),
                            today));
        }
        return all;
    }

    private static List<Awaited> of(
            PartFile part,
            List<Orders.Order> ordered,
            List<AgreedBook.Owing> owed,
            Optional<ChoiceBook.Asked> asked,
            LocalDate today) {
        List<Awaited> all = new ArrayList<>();
        asked.ifPresent(a -> all.add(new Awaited(
                Operation.CHOICE.words(),
                Optional.of(Operation.CHOICE),
                UsualWaits.until(
                        StuckOn.CUSTOMER, LocalDate.ofInstant(a.at(), ZoneId.systemDefault()), Optional.empty(), today),
                false)));
        for (Orders.Order order : ordered) {
            if (order.open()) {
                all.add(order.awaited(today));
            }
        }
        for (AgreedBook.Owing owing : owed) {
            if (owing.open()) {
                all.add(owed(owing, today));
            }
        }
        boolean parts = ordered.stream().anyMatch(Orders.Order::open);
        boolean answer = owed.stream().anyMatch(o -> o.open() && o.wanting().what() == Owed.ANSWER);
        part.visit()
                .stuck()
                .filter(s -> !(s.on() == StuckOn.PARTS && parts) && !(s.on() == StuckOn.CUSTOMER && answer))
                .ifPresent(s -> all.add(new Awaited(
                        Message.plain(s.why()),
                        Optional.empty(),
                        UsualWaits.until(s.on(), s.since(), Optional.empty(), today),
                        false)));
        all.sort(Comparator.comparing(Awaited::until));
        return all;
    }

    private static Awaited owed(AgreedBook.Owing owing, LocalDate today) {
        AgreedBook.Wanting wanting = owing.wanting();
        return new Awaited(
                wanting.what().named(wanting.words()),
                wanting.what().holds(),
                UsualWaits.until(StuckOn.CUSTOMER, owing.since(), wanting.expected(), today),
                wanting.expected().isPresent());
    }
}

package homalon.app.shop.stock;

import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.store.SingleOrList;
import homalon.core.bench.Awaited;
import homalon.core.bench.UsualWaits;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import homalon.core.words.Message;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was ordered for parts, and what has arrived. */
@Service
@Transactional
@RequiredArgsConstructor
public class Orders {
    private final CastingLocks locks;
    private final EvidenceLog log;
    private final EntityManager entities;
    private final Catalogue catalogue;

    /**
     * One order.
     *
     * @param arrived pieces of it
     * @param promised day on which it was said to come
     * @param last when something of it came last, or it was cancelled
     */
    public record Order(
            UUID id,
            UUID visit,
            String code,
            String words,
            int quantity,
            Operation operation,
            Optional<LocalDate> promised,
            int arrived,
            boolean cancelled,
            UUID by,
            Instant at,
            Optional<Instant> last) {
        /** Work waits for it. */
        public boolean open() {
            return !cancelled && arrived < quantity;
        }

        /** When nothing of it was to come any more, or the moment that is asked about. */
        public Instant over(Instant now) {
            return open() ? now : last.orElse(now);
        }

        /** What is still to come, for the work that needs it. */
        public Awaited awaited(LocalDate today) {
            LocalDate since = LocalDate.ofInstant(at, ZoneId.systemDefault());
            String what = ((quantity - arrived) + " × " + code).strip() + " " + words;
            return new Awaited(
                    Message.plain(what.strip()),
                    Optional.of(operation),
                    UsualWaits.until(StuckOn.PARTS, since, promised, today),
                    promised.isPresent());
        }
    }

    @Transactional(readOnly = true)
    public Map<UUID, List<Order>> ofVisits(Collection<UUID> visits) {
        List<PartOrder> placed = log.ofVisits(PartOrder.class, visits);
        if (placed.isEmpty()) {
            return Map.of();
        }
        List<UUID> orders = placed.stream().map(PartOrder::id).toList();
        Map<UUID, List<PartOrderEvent>> events = entities
                .createQuery("from PartOrderEvent where order " + SingleOrList.among(orders), PartOrderEvent.class)
                .setParameter("ids", SingleOrList.value(orders))
                .getResultList()
                .stream()
                .collect(Collectors.groupingBy(PartOrderEvent::order));
        return placed.stream()
                .map(o -> o.order(events.getOrDefault(o.id(), List.of())))
                .collect(Collectors.groupingBy(Order::visit));
    }

    @Transactional(readOnly = true)
    public List<Order> of(PartFile part) {
        return ofVisits(List.of(part.visit().id())).getOrDefault(part.visit().id(), List.of());
    }

    /** @throws BadInputException for a quantity that cannot be */
    public void order(PartFile part, UUID id, Need need, Optional<LocalDate> promised, UUID by) {
        if (locks.first(part, id)) {
            write(part, id, need, promised, by);
        }
    }

    private void write(PartFile part, UUID id, Need need, Optional<LocalDate> promised, UUID by) {
        part.requireHere("order", "to order for it");
        Problems problems = new Problems();
        problems.require(
                need.quantity() >= 1 && need.quantity() <= 200, "quantity", "app.stock.quantity-key-1-to-200-pieces");
        problems.throwIfAny();
        log.add(new PartOrder(id, part.visit().id(), need, promised, by));
    }

    /** @throws BadInputException when the shelf does not hold so many */
    public void takeFromShelf(PartFile part, UUID id, String code, int quantity, Operation operation, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        Catalogue.Row row = catalogue
                .byCode(code)
                .orElseThrow(() -> new BadInputException("code", "app.stock.that-is-not-on-the-shops-list-any-more"));
        if (quantity < 1 || quantity > row.shelf()) {
            throw new BadInputException("quantity", "app.stock.lie-on-the-shelf-key-how-many-are-taken", row.shelf());
        }
        write(
                part,
                id,
                new Need(row.item().code(), row.item().words(), quantity, operation, List.of()),
                Optional.empty(),
                by);
        UUID taken = UUID.nameUUIDFromBytes((id + "taken").getBytes(StandardCharsets.UTF_8));
        log.add(new PartOrderEvent(taken, id, PartOrderEvent.Kind.ARRIVED, quantity, "from the shelf", by));
        catalogue.keep(List.of(new Catalogue.Row(row.item(), row.shelf() - quantity)), by);
    }

    /** @throws BadInputException when there is no such order here, or nothing of it is awaited */
    public void arrived(PartFile part, UUID id, UUID order, int quantity, String note, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        Order of = require(part, order);
        int left = of.quantity() - of.arrived();
        if (quantity < 1 || quantity > left) {
            throw new BadInputException(
                    "quantity",
                    "app.stock.still-awaited-key-how-many-came-up-to",
                    left,
                    left == 1 ? Message.of("app.stock.piece-is") : Message.of("app.stock.pieces-are"));
        }
        log.add(new PartOrderEvent(id, order, PartOrderEvent.Kind.ARRIVED, quantity, note, by));
    }

    public void cancel(PartFile part, UUID id, UUID order, String note, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        if (note.isBlank()) {
            throw new BadInputException("note", "app.stock.say-why-it-is-cancelled-a-wrong-size");
        }
        require(part, order);
        log.add(new PartOrderEvent(id, order, PartOrderEvent.Kind.CANCELLED, 0, note, by));
    }

    private Order require(PartFile part, UUID order) {
        return of(part).stream()
                .filter(o -> o.id().equals(order) && o.open())
                .findFirst()
                .orElseThrow(() -> new BadInputException("order", "app.stock.that-order-is-not-open-any-more-look-at"));
    }
}

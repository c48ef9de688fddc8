package homalon.app.stock;

import homalon.app.part.PartFile;
import homalon.app.part.Turns;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.route.Operation;
import java.nio.charset.StandardCharsets;
import java.sql.Date;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was ordered for parts, and what has arrived. */
@Service
@Transactional
public class Orders {
    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;
    private final Catalogue catalogue;

    Orders(Turns turns, JdbcClient jdbc, Clock clock, Catalogue catalogue) {
        this.turns = turns;
        this.jdbc = jdbc;
        this.catalogue = catalogue;
        this.clock = clock;
    }

    /**
     * One order.
     *
     * @param arrived pieces of it
     * @param promised day on which it was said to come
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
            Instant at) {
        /** Work waits for it. */
        public boolean open() {
            return !cancelled && arrived < quantity;
        }
    }

    @Transactional(readOnly = true)
    public Map<UUID, List<Order>> ofVisits(Collection<UUID> visits) {
        if (visits.isEmpty()) {
            return Map.of();
        }
        List<Order> all = jdbc.sql("""
                        select o.id, o.job_id, o.code, o.words, o.quantity, o.operation, o.promised, o.by_person, o.at,
                            coalesce(sum(e.quantity) filter (where e.kind = 'ARRIVED'), 0) arrived,
                            coalesce(bool_or(e.kind = 'CANCELLED'), false) cancelled
                        from part_order o left join part_order_event e on e.order_id = o.id
                        where o.job_id in (:visits) group by o.seq order by o.seq
                        """)
                .param("visits", visits)
                .query((r, n) -> new Order(
                        r.getObject("id", UUID.class),
                        r.getObject("job_id", UUID.class),
                        r.getString("code"),
                        r.getString("words"),
                        r.getInt("quantity"),
                        Operation.valueOf(r.getString("operation")),
                        Optional.ofNullable(r.getDate("promised")).map(Date::toLocalDate),
                        r.getInt("arrived"),
                        r.getBoolean("cancelled"),
                        r.getObject("by_person", UUID.class),
                        r.getTimestamp("at").toInstant()))
                .list();
        return all.stream().collect(Collectors.groupingBy(Order::visit, HashMap::new, Collectors.toList()));
    }

    @Transactional(readOnly = true)
    public List<Order> of(PartFile part) {
        return ofVisits(List.of(part.visit().id())).getOrDefault(part.visit().id(), List.of());
    }

    /** @throws BadInputException for a quantity that cannot be */
    public void order(PartFile part, UUID id, Need need, Optional<LocalDate> promised, UUID by) {
        if (turns.first(part, id)) {
            write(part, id, need, promised, by);
        }
    }

    private void write(PartFile part, UUID id, Need need, Optional<LocalDate> promised, UUID by) {
        part.requireHere("order", "to order for it");
        Problems problems = new Problems();
        problems.require(need.quantity() >= 1 && need.quantity() <= 200, "quantity", "Quantity: key 1 to 200 pieces.");
        problems.throwIfAny();
        jdbc.sql("""
                        insert into part_order (id, job_id, code, words, quantity, operation, promised, by_person, at)
                        values (?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do nothing
                        """)
                .params(
                        id,
                        part.visit().id(),
                        need.code(),
                        need.words().length() > 120 ? need.words().substring(0, 120) : need.words(),
                        need.quantity(),
                        need.operation().name(),
                        promised.map(Date::valueOf).orElse(null),
                        by,
                        Timestamp.from(clock.instant()))
                .update();
    }

    /** @throws BadInputException when the shelf does not hold so many */
    public void takeFromShelf(PartFile part, UUID id, String code, int quantity, Operation operation, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        Catalogue.Row row = catalogue
                .byCode(code)
                .orElseThrow(() -> new BadInputException("code", "That is not on the shop's list any more."));
        if (quantity < 1 || quantity > row.shelf()) {
            throw new BadInputException(
                    "quantity", row.shelf() + " lie on the shelf: key how many are taken, up to that.");
        }
        write(
                part,
                id,
                new Need(row.item().code(), row.item().words(), quantity, operation, List.of()),
                Optional.empty(),
                by);
        UUID taken = UUID.nameUUIDFromBytes((id + "taken").getBytes(StandardCharsets.UTF_8));
        event(taken, id, "ARRIVED", quantity, "from the shelf", by);
        catalogue.keep(List.of(new Catalogue.Row(row.item(), row.shelf() - quantity)), by);
    }

    /** @throws BadInputException when there is no such order here, or nothing of it is awaited */
    public void arrived(PartFile part, UUID id, UUID order, int quantity, String note, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        Order of = require(part, order);
        int left = of.quantity() - of.arrived();
        if (quantity < 1 || quantity > left) {
            throw new BadInputException(
                    "quantity",
                    left + (left == 1 ? " piece is" : " pieces are")
                            + " still awaited: key how many came, up to that.");
        }
        event(id, order, "ARRIVED", quantity, note, by);
    }

    public void cancel(PartFile part, UUID id, UUID order, String note, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        if (note.isBlank()) {
            throw new BadInputException("note", "Say why it is cancelled: a wrong size, another supplier.");
        }
        require(part, order);
        event(id, order, "CANCELLED", 0, note, by);
    }

    private Order require(PartFile part, UUID order) {
        return of(part).stream()
                .filter(o -> o.id().equals(order) && o.open())
                .findFirst()
                .orElseThrow(() ->
                        new BadInputException("order", "That order is not open any more: look at the list again."));
    }

    private void event(UUID id, UUID order, String kind, int quantity, String note, UUID by) {
        jdbc.sql("""
                        insert into part_order_event (id, order_id, kind, quantity, note, by_person, at)
                        values (?, ?, ?, ?, ?, ?, ?) on conflict (id) do nothing
                        """)
                .params(
                        id,
                        order,
                        kind,
                        quantity,
                        note.length() > 200 ? note.substring(0, 200) : note,
                        by,
                        Timestamp.from(clock.instant()))
                .update();
    }
}

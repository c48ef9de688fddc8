package homalon.app.shop.stock;

import homalon.app.foundation.store.VisitLine;
import homalon.core.route.Operation;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** What was ordered for a visit. */
@Entity
@Immutable
@Table(name = "part_order")
final class PartOrder extends VisitLine {
    private static final int MOST_WORDS = 120;

    private String code;
    private String words;
    private int quantity;

    @Enumerated(EnumType.STRING)
    private Operation operation;

    private LocalDate promised;

    PartOrder() {}

    PartOrder(UUID id, UUID visit, Need need, Optional<LocalDate> promised, UUID by) {
        super(id, visit, by);
        this.code = need.code();
        this.words = need.words().length() > MOST_WORDS ? need.words().substring(0, MOST_WORDS) : need.words();
        this.quantity = need.quantity();
        this.operation = need.operation();
        this.promised = promised.orElse(null);
    }

    /** With all that became of it. */
    Orders.Order order(List<PartOrderEvent> events) {
        return new Orders.Order(
                id(),
                visit(),
                code,
                words,
                quantity,
                operation,
                Optional.ofNullable(promised),
                events.stream().mapToInt(PartOrderEvent::arrived).sum(),
                events.stream().anyMatch(PartOrderEvent::cancels),
                by(),
                at(),
                events.stream().map(PartOrderEvent::at).max(Comparator.naturalOrder()));
    }
}

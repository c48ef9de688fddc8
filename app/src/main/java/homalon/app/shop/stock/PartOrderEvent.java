package homalon.app.shop.stock;

import homalon.app.foundation.store.EvidenceLine;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** What became of an order. */
@Entity
@Immutable
@Table(name = "part_order_event")
@SuppressWarnings("unused") // some fields are read by queries alone
final class PartOrderEvent extends EvidenceLine {
    private static final int MOST_NOTE = 200;

    /** What happened. */
    enum Kind {
        ARRIVED,
        CANCELLED
    }

    @Column(name = "order_id")
    private UUID order;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    private int quantity;
    private String note;

    PartOrderEvent() {}

    PartOrderEvent(UUID id, UUID order, Kind kind, int quantity, String note, UUID by) {
        super(id, by);
        this.order = order;
        this.kind = kind;
        this.quantity = quantity;
        this.note = note.length() > MOST_NOTE ? note.substring(0, MOST_NOTE) : note;
    }

    UUID order() {
        return order;
    }

    /** Pieces that came. */
    int arrived() {
        return kind == Kind.ARRIVED ? quantity : 0;
    }

    boolean cancels() {
        return kind == Kind.CANCELLED;
    }
}

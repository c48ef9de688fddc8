package homalon.app.shop.instruments;

import homalon.app.foundation.store.EvidenceLine;
import homalon.core.gauge.Reversal;
import homalon.core.quantity.BenchUnit;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A table or an edge read both ways, as it was keyed. */
@Entity
@Immutable
@Table(name = "instrument_reversal")
final class ReversalRow extends EvidenceLine {
    @Column(name = "instrument_id")
    private UUID instrument;

    @Enumerated(EnumType.STRING)
    private Reversal.Way way;

    @Column(name = "first_read")
    private String first;

    @Column(name = "second_read")
    private String second;

    @Enumerated(EnumType.STRING)
    private BenchUnit unit;

    ReversalRow() {}

    ReversalRow(UUID id, UUID instrument, Reversal.Way way, String first, String second, BenchUnit unit, UUID by) {
        super(id, by);
        this.instrument = instrument;
        this.way = way;
        this.first = first;
        this.second = second;
        this.unit = unit;
    }

    UUID instrument() {
        return instrument;
    }

    Reversal.Way way() {
        return way;
    }

    Reversal found() {
        return Reversals.read(way, first, second, unit);
    }
}

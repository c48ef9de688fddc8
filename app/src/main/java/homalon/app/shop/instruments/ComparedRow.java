package homalon.app.shop.instruments;

import homalon.app.foundation.store.EvidenceLine;
import homalon.core.gauge.Compared;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A comparison as it was written down. */
@Entity
@Immutable
@Table(name = "instrument_compared")
final class ComparedRow extends EvidenceLine {
    @Column(name = "instrument_id")
    private UUID instrument;

    @Column(name = "on_day")
    private LocalDate on;

    private String against;
    private double error;

    ComparedRow() {}

    ComparedRow(UUID id, UUID instrument, Compared compared, UUID by) {
        super(id, by);
        this.instrument = instrument;
        this.on = compared.on();
        this.against = compared.against();
        this.error = compared.error();
    }

    UUID instrument() {
        return instrument;
    }

    Compared compared() {
        return new Compared(on, against, error);
    }
}

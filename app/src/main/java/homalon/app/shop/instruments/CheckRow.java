package homalon.app.shop.instruments;

import homalon.app.foundation.store.EvidenceLine;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A reference read at the bench: what it is, and what was read. */
@Entity
@Immutable
@Table(name = "instrument_check")
final class CheckRow extends EvidenceLine {
    @Column(name = "instrument_id")
    private UUID instrument;

    private double reference;
    private double read;

    CheckRow() {}

    CheckRow(UUID id, UUID instrument, double reference, double read, UUID by) {
        super(id, by);
        this.instrument = instrument;
        this.reference = reference;
        this.read = read;
    }

    double reference() {
        return reference;
    }

    double read() {
        return read;
    }
}

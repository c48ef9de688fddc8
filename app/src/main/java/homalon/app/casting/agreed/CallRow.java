package homalon.app.casting.agreed;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** Somebody rang a customer about a visit, or the customer rang. */
@Entity
@DynamicUpdate
@Table(name = "call_made")
final class CallRow {
    @Id
    UUID id;

    @Column(name = "job_id")
    UUID visit;

    String said;

    LocalDate again;

    @Column(name = "by_person")
    UUID by;

    Instant at;

    CallRow() {}

    CallRow(UUID id, UUID visit, String said, Optional<LocalDate> again, UUID by, Instant at) {
        this.id = id;
        this.visit = visit;
        this.said = said;
        this.again = again.orElse(null);
        this.by = by;
        this.at = at;
    }

    AgreedBook.Call told() {
        return new AgreedBook.Call(visit, said, Optional.ofNullable(again), by, at);
    }
}

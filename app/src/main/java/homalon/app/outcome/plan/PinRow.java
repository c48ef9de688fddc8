package homalon.app.outcome.plan;

import homalon.core.bench.Pin;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** Something that was said of a work of the bench day; the last line of a work holds. */
@Entity
@Immutable
@Table(name = "work_pin")
final class PinRow {
    @Id
    UUID id;

    @Column(name = "job_id")
    UUID visit;

    /** As it is called within its casting. */
    String work;

    Instant at;

    @Column(name = "not_before")
    Instant notBefore;

    String station;

    @Column(name = "person_id")
    UUID person;

    @Column(name = "by_person")
    UUID by;

    @Column(name = "said_at")
    Instant saidAt;

    PinRow() {}

    PinRow(UUID id, UUID visit, String work, Pin pin, UUID by, Instant saidAt) {
        this.id = id;
        this.visit = visit;
        this.work = work;
        this.at = pin.at().orElse(null);
        this.notBefore = pin.notBefore().orElse(null);
        this.station = pin.station().orElse(null);
        this.person = pin.person().map(UUID::fromString).orElse(null);
        this.by = by;
        this.saidAt = saidAt;
    }

    PinBook.Said told() {
        Pin pin = new Pin(
                Optional.ofNullable(at),
                Optional.ofNullable(notBefore),
                Optional.ofNullable(station),
                Optional.ofNullable(person).map(UUID::toString));
        return new PinBook.Said(visit, work, pin, by, saidAt);
    }
}

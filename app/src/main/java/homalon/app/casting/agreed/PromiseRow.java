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

/** A day that a customer was told. */
@Entity
@DynamicUpdate
@Table(name = "day_promised")
final class PromiseRow {
    @Id
    UUID id;

    @Column(name = "job_id")
    UUID visit;

    LocalDate day;

    String told;

    @Column(name = "usual_day")
    LocalDate usualDay;

    @Column(name = "by_person")
    UUID by;

    Instant at;

    PromiseRow() {}

    PromiseRow(UUID id, UUID visit, AgreedBook.Day said, UUID by, Instant at) {
        this.id = id;
        this.visit = visit;
        this.day = said.day();
        this.told = said.told();
        this.usualDay = said.usual().orElse(null);
        this.by = by;
        this.at = at;
    }

    AgreedBook.Promise told() {
        return new AgreedBook.Promise(visit, new AgreedBook.Day(day, told, Optional.ofNullable(usualDay)), by, at);
    }
}

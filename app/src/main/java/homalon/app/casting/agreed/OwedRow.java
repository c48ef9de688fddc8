package homalon.app.casting.agreed;

import homalon.core.visit.Owed;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** Something that a customer owes. */
@Entity
@DynamicUpdate
@Table(name = "customer_owes")
final class OwedRow {
    @Id
    UUID id;

    @Column(name = "job_id")
    UUID visit;

    @Enumerated(EnumType.STRING)
    Owed what;

    String words;

    LocalDate since;

    LocalDate expected;

    @Column(name = "by_person")
    UUID by;

    @Column(name = "come_at")
    Instant comeAt;

    @Column(name = "come_by")
    UUID comeBy;

    OwedRow() {}

    OwedRow(UUID id, UUID visit, AgreedBook.Wanting wanting, LocalDate since, UUID by) {
        this.id = id;
        this.visit = visit;
        this.what = wanting.what();
        this.words = wanting.words();
        this.since = since;
        this.expected = wanting.expected().orElse(null);
        this.by = by;
    }

    AgreedBook.Owing told() {
        return new AgreedBook.Owing(
                id,
                visit,
                new AgreedBook.Wanting(what, words, Optional.ofNullable(expected)),
                since,
                by,
                Optional.ofNullable(comeAt));
    }
}

package homalon.app.outcome.report;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** That the customer's name went from a visit's papers. */
@Entity
@Immutable
@Table(name = "release_erased")
final class ReleaseErasedRow {
    @Id
    @Column(name = "job_id")
    UUID visit;

    Instant at;

    @Column(name = "by_person")
    UUID by;

    /** Of the papers as they were handed over, one a line: name, blank, SHA-256. */
    String sums;
}

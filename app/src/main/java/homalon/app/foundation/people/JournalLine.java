package homalon.app.foundation.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A line of the journal. The database gives it its time, and refuses to change or remove it. */
@Entity
@Table(name = "journal")
final class JournalLine {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long seq;

    @Column(insertable = false, updatable = false)
    Instant at;

    /** Null where nobody was signed in. */
    @Column(name = "by_person")
    UUID by;

    @Enumerated(EnumType.STRING)
    Journal.What what;

    String detail;

    JournalLine() {}

    JournalLine(UUID by, Journal.What what, String detail) {
        this.by = by;
        this.what = what;
        this.detail = detail;
    }
}

package homalon.app.outcome.route;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A number that the database gives anew with every line about a visit; nothing was written about one that has none. */
@Entity
@Immutable
@Table(name = "visit_revision")
final class VisitRevision {
    @Id
    @Column(name = "job_id")
    UUID visit;

    long revision;
}

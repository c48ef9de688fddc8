package homalon.app.outcome.route;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** What all that was written about a visit is told apart by: counts and last numbers of its lines. */
@Entity
@Immutable
@Table(name = "visit_stamp")
class VisitStamp {
    @Id
    @Column(name = "job_id")
    UUID visit;

    String stamp;
}

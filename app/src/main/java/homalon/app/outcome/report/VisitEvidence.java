package homalon.app.outcome.report;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A line of evidence as it stands in the tables, of whichever table: what a seal holds. */
@Entity
@Immutable
@Table(name = "visit_evidence")
@IdClass(VisitEvidence.Key.class)
final class VisitEvidence {
    /** A table and the number of a line of it. */
    record Key(String kind, long seq) implements Serializable {}

    @Id
    String kind;

    @Id
    long seq;

    @Column(name = "job_id")
    UUID visit;

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(name = "line")
    String json;
}

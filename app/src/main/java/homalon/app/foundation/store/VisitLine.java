package homalon.app.foundation.store;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;

/** A line of evidence about one visit of a casting. */
@MappedSuperclass
public abstract class VisitLine extends EvidenceLine {
    @Column(name = "job_id")
    private UUID visit;

    /** For Hibernate. */
    protected VisitLine() {}

    protected VisitLine(UUID id, UUID visit, UUID by) {
        super(id, by);
        this.visit = visit;
    }

    public UUID visit() {
        return visit;
    }
}

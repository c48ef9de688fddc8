package homalon.app.machining.batch;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** Castings that were put together on one table. */
@Entity
@Table(name = "batch")
final class BatchRow implements Persistable<UUID> {
    @Id
    UUID id;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @ElementCollection
    @CollectionTable(name = "batch_member", joinColumns = @JoinColumn(name = "batch_id"))
    @OrderColumn(name = "seq")
    @Column(name = "job_id")
    List<UUID> visits = new ArrayList<>();

    BatchRow() {}

    @Override
    public UUID getId() {
        return id;
    }

    /** Formed once and never changed. */
    @Override
    public boolean isNew() {
        return true;
    }

    BatchRow(UUID id, List<UUID> visits, UUID madeBy, Instant madeAt) {
        this.id = id;
        this.visits.addAll(visits);
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }
}

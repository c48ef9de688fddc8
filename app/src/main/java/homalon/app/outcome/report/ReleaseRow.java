package homalon.app.outcome.report;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** A visit that was handed over, sealed. Never changed. */
@Entity
@Table(name = "release")
final class ReleaseRow implements Persistable<UUID> {
    @Id
    @Column(name = "job_id")
    UUID visit;

    @Column(name = "part_id")
    UUID partId;

    int no;

    @Column(name = "sealed_at")
    Instant sealedAt;

    @Column(name = "sealed_by")
    UUID sealedBy;

    boolean later;
    String program;
    String digest;
    String previous;
    byte[] seal;

    @Column(name = "key_id")
    String keyId;

    byte[] signature;

    @Override
    public UUID getId() {
        return visit;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}

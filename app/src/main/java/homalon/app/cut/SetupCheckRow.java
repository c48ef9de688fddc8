package homalon.app.cut;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.springframework.data.domain.Persistable;

/** Heights read at the machine. The database refuses to change or remove them. */
@Entity
@Table(name = "setup_check")
class SetupCheckRow implements Persistable<UUID> {
    @Id
    UUID id;

    @Generated
    @Column(insertable = false, updatable = false)
    long seq;

    @Column(name = "job_id")
    UUID jobId;

    @Enumerated(EnumType.STRING)
    SetupChecks.Kind kind;

    String heights;

    @Column(name = "by_person")
    UUID byPerson;

    Instant at;

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}

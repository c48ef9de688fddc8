package homalon.app.cut;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.springframework.data.domain.Persistable;

/** One painting of what the cutter touched. The database refuses to change or remove it. */
@Entity
@Table(name = "touched")
class TouchedRow implements Persistable<UUID> {
    @Id
    UUID id;

    @Generated
    @Column(insertable = false, updatable = false)
    long seq;

    @Column(name = "job_id")
    UUID jobId;

    @Column(name = "after_line")
    long afterLine;

    String cells;

    /** The words, where it was said and not painted. */
    String said;

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

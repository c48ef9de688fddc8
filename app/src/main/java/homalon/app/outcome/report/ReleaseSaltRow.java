package homalon.app.outcome.report;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** What the customer's name was salted with in a seal; without it the name cannot be guessed from the digest. */
@Entity
@Table(name = "release_salt")
final class ReleaseSaltRow implements Persistable<UUID> {
    @Id
    @Column(name = "job_id")
    UUID visit;

    byte[] salt;

    ReleaseSaltRow() {}

    ReleaseSaltRow(UUID visit, byte[] salt) {
        this.visit = visit;
        this.salt = salt;
    }

    @Override
    public UUID getId() {
        return visit;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}

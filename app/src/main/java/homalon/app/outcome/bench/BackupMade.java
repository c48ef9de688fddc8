package homalon.app.outcome.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** A backup that was written well; the command says so. */
@Entity
@Immutable
@Table(name = "backup_made")
final class BackupMade {
    @Id
    long seq;

    @Column(name = "made_at")
    Instant at;

    String file;
}

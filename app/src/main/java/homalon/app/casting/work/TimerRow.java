package homalon.app.casting.work;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** A timer; it ends once, and its line stays. */
@Entity
@Table(name = "timer")
@DynamicUpdate
final class TimerRow {
    @Id
    UUID id;

    @Column(name = "job_id")
    UUID visit;

    String what;
    int seconds;

    @Column(name = "started_by")
    UUID startedBy;

    @Column(name = "started_at")
    Instant startedAt;

    @Column(name = "ended_at")
    Instant endedAt;

    Instant endsAt() {
        return startedAt.plusSeconds(seconds);
    }
}

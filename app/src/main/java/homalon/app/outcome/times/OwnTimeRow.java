package homalon.app.outcome.times;

import homalon.core.route.Operation;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A time that somebody said; the last one of its kind holds, and none of its minutes means that it holds no more. */
@Entity
@Immutable
@Table(name = "own_time")
final class OwnTimeRow {
    @Id
    UUID id;

    @Enumerated(EnumType.STRING)
    Operation operation;

    int cylinders;

    /** 0 where what was said before is taken back. */
    int minutes;

    @Column(name = "by_person")
    UUID by;

    Instant at;

    OwnTimeRow() {}

    OwnTimeRow(UUID id, Operation operation, int cylinders, int minutes, UUID by, Instant at) {
        this.id = id;
        this.operation = operation;
        this.cylinders = cylinders;
        this.minutes = minutes;
        this.by = by;
        this.at = at;
    }
}

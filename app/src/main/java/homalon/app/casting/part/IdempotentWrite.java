package homalon.app.casting.part;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** Id of a write that was kept: the same once more changes nothing. */
@Entity
@Immutable
@Table(name = "kept_once")
final class IdempotentWrite {
    @Id
    UUID id;
}

package homalon.app.casting.part;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A name for the layout of a casting. */
@Entity
@Table(name = "own_layout")
final class OwnLayout {
    /** The name in small letters. */
    @Id
    @Column(name = "name_key")
    String key;

    String name;

    @Column(name = "part_id")
    UUID partId;

    @Column(name = "kept_by")
    UUID keptBy;

    @Column(name = "kept_at")
    Instant keptAt;

    OwnLayout() {}

    OwnLayout(String key) {
        this.key = key;
    }
}

package homalon.app.shop.crew;

import homalon.core.bench.StationKind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.UUID;

/** A station of the shop. */
@Entity
@Table(name = "station")
final class StationRow {
    @Id
    UUID id;

    String name;

    @Enumerated(EnumType.STRING)
    StationKind kind;

    int holds;

    @Column(name = "retired_at")
    Instant retiredAt;

    StationRow() {}

    /** Of a station that every shop has until it says its own: then it stays the same one, so that what was planned on it is still there. */
    static UUID usual(StationKind kind) {
        return UUID.nameUUIDFromBytes(("station " + kind.name()).getBytes(StandardCharsets.UTF_8));
    }

    StationRow(UUID id, String name, StationKind kind, int holds) {
        this.id = id;
        this.name = name;
        this.kind = kind;
        this.holds = holds;
    }
}

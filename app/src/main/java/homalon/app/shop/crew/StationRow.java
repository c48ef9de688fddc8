package homalon.app.shop.crew;

import homalon.core.bench.StationKind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A station of the shop. */
@Entity
@Table(name = "station")
final class StationRow {
    @Id
    UUID id = UUID.randomUUID();

    String name;

    @Enumerated(EnumType.STRING)
    StationKind kind;

    int holds;

    @Column(name = "retired_at")
    Instant retiredAt;

    StationRow() {}

    StationRow(String name, StationKind kind, int holds) {
        this.name = name;
        this.kind = kind;
        this.holds = holds;
    }
}

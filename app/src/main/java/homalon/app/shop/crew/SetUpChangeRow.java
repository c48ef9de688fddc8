package homalon.app.shop.crew;

import homalon.core.bench.StationKind;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** How long the shop takes to set a station of a kind up for another metal. */
@Entity
@Table(name = "set_up_change")
final class SetUpChangeRow {
    @Id
    @Enumerated(EnumType.STRING)
    StationKind kind;

    int minutes;

    SetUpChangeRow() {}

    SetUpChangeRow(StationKind kind, int minutes) {
        this.kind = kind;
        this.minutes = minutes;
    }
}

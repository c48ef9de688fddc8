package homalon.app.shop.crew;

import homalon.core.bench.StationKind;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** Whether stations of a kind may run by themselves while the shop is closed for the night, as the shop said. */
@Entity
@Table(name = "night_station")
final class NightRow {
    @Id
    @Enumerated(EnumType.STRING)
    StationKind kind;

    boolean runs;

    NightRow() {}

    NightRow(StationKind kind, boolean runs) {
        this.kind = kind;
        this.runs = runs;
    }
}

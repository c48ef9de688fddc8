package homalon.app.shop.crew;

import homalon.core.bench.ShopCrew;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** A time in which a station cannot be used. */
@Entity
@Table(name = "station_down")
final class StationDownRow {
    @Id
    UUID id;

    @Column(name = "station_id")
    UUID station;

    @Column(name = "from_at")
    Instant from;

    @Column(name = "to_at")
    Instant to;

    String why;

    @Column(name = "by_person")
    UUID by;

    @Column(name = "ended_at")
    Instant endedAt;

    StationDownRow() {}

    StationDownRow(UUID id, UUID station, ShopCrew.Down down, String why, UUID by) {
        this.id = id;
        this.station = station;
        this.from = down.from();
        this.to = down.to().orElse(null);
        this.why = why;
        this.by = by;
    }

    ShopCrew.Down down() {
        return new ShopCrew.Down(from, Optional.ofNullable(to));
    }
}

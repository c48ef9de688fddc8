package homalon.app.shop.instruments;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A study of an instrument and of the hands that read it. */
@Entity
@Immutable
@Table(name = "instrument_study")
final class StudyRow {
    private static final String BETWEEN = "\n";

    @Id
    UUID id;

    @Column(name = "instrument_id")
    UUID instrument;

    private String hands;
    int places;
    int times;
    double width;

    @Column(name = "started_by")
    UUID startedBy;

    @Column(name = "started_at")
    Instant startedAt;

    StudyRow() {}

    StudyRow(UUID id, UUID instrument, Studies.Asked asked, UUID by, Instant at) {
        this.id = id;
        this.instrument = instrument;
        this.hands = String.join(BETWEEN, asked.hands());
        this.places = asked.places();
        this.times = asked.times();
        this.width = asked.width();
        this.startedBy = by;
        this.startedAt = at;
    }

    Studies.Asked asked() {
        return new Studies.Asked(List.of(hands.split(BETWEEN)), places, times, width);
    }
}

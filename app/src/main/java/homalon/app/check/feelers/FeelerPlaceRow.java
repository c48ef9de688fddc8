package homalon.app.check.feelers;

import homalon.core.visit.Asked;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** Something that is asked of a line. */
@Entity
@Table(name = "feeler_place")
final class FeelerPlaceRow {
    @Id
    UUID id = UUID.randomUUID();

    @Column(name = "line_id")
    UUID lineId;

    int seq;

    @Enumerated(EnumType.STRING)
    Asked kind;

    @Column(name = "at_millionths")
    Integer at;

    FeelerPlaceRow() {}

    FeelerPlaceRow(UUID lineId, int seq, Asked kind, Integer at) {
        this.lineId = lineId;
        this.seq = seq;
        this.kind = kind;
        this.at = at;
    }
}

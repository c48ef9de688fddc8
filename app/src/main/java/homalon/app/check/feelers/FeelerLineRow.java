package homalon.app.check.feelers;

import homalon.core.geometry.Spot;
import homalon.core.quantity.Length;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** Where an edge is laid. */
@Entity
@Table(name = "feeler_line")
final class FeelerLineRow {
    @Id
    UUID id = UUID.randomUUID();

    @Column(name = "survey_id")
    UUID surveyId;

    int seq;
    String name;

    @Column(name = "x0_nm")
    long x0;

    @Column(name = "y0_nm")
    long y0;

    @Column(name = "x1_nm")
    long x1;

    @Column(name = "y1_nm")
    long y1;

    FeelerLineRow() {}

    FeelerLineRow(UUID surveyId, int seq, String name, Spot from, Spot to) {
        this.surveyId = surveyId;
        this.seq = seq;
        this.name = name;
        this.x0 = Length.roundedFromMm(from.x()).nanometres();
        this.y0 = Length.roundedFromMm(from.y()).nanometres();
        this.x1 = Length.roundedFromMm(to.x()).nanometres();
        this.y1 = Length.roundedFromMm(to.y()).nanometres();
    }

    Spot from() {
        return new Spot(x0 / 1e6, y0 / 1e6);
    }

    Spot to() {
        return new Spot(x1 / 1e6, y1 / 1e6);
    }
}

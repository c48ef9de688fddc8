package homalon.app.check.face;

import homalon.core.geometry.Spot;
import homalon.core.quantity.Length;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A place of a survey. Once read it does not move: the reading belongs to where it was taken. */
@Entity
@Table(name = "place")
final class PlaceRow {
    @Id
    UUID id;

    @Column(name = "survey_id")
    UUID surveyId;

    int seq;
    String name;

    @Column(name = "x_nm")
    long x;

    @Column(name = "y_nm")
    long y;

    boolean sealing;
    boolean dropped;

    PlaceRow() {}

    PlaceRow(UUID surveyId, int seq, String name, Spot spot) {
        this.id = UUID.randomUUID();
        this.surveyId = surveyId;
        this.seq = seq;
        this.name = name;
        this.sealing = true;
        put(spot);
    }

    final void put(Spot spot) {
        x = Length.roundedFromMm(spot.x()).nanometres();
        y = Length.roundedFromMm(spot.y()).nanometres();
    }
}

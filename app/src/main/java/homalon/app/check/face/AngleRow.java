package homalon.app.check.face;

import homalon.app.foundation.store.EvidenceLine;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** How far from square the indicator of a survey stands; the last one counts. */
@Entity
@Immutable
@Table(name = "survey_angle")
final class AngleRow extends EvidenceLine {
    @Column(name = "survey_id")
    private UUID survey;

    // By which the store finds what was last said of an indicator.
    @SuppressWarnings("unused")
    private String code;

    private double degrees;

    AngleRow() {}

    /** @param code of the indicator in hand; blank where none was noted */
    AngleRow(UUID survey, String code, double degrees, UUID by) {
        super(UUID.randomUUID(), by);
        this.survey = survey;
        this.code = code;
        this.degrees = degrees;
    }

    UUID survey() {
        return survey;
    }

    double degrees() {
        return degrees;
    }
}

package homalon.app.check.face;

import homalon.app.foundation.store.EvidenceLine;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** The first place of a survey as it was read once more; the last one counts. */
@Entity
@Immutable
@Table(name = "survey_closing")
final class ClosingRow extends EvidenceLine {
    @Column(name = "survey_id")
    private UUID survey;

    @Column(name = "place_id")
    private UUID place;

    @Column(name = "first_nm")
    private Length first;

    @Column(name = "again_nm")
    private Length again;

    // As it was keyed: for whoever looks at the tables.
    @SuppressWarnings("unused")
    private String typed;

    // As it was keyed: for whoever looks at the tables.
    @SuppressWarnings("unused")
    @Enumerated(EnumType.STRING)
    private BenchUnit unit;

    ClosingRow() {}

    /** @param first what stood at the place before */
    ClosingRow(UUID id, UUID survey, UUID place, Length first, Length again, String typed, BenchUnit unit, UUID by) {
        super(id, by);
        this.survey = survey;
        this.place = place;
        this.first = first;
        this.again = again;
        this.typed = typed;
        this.unit = unit;
    }

    UUID survey() {
        return survey;
    }

    Length first() {
        return first;
    }

    Length again() {
        return again;
    }
}

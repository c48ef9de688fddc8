package homalon.app.shop.instruments;

import homalon.app.foundation.store.EvidenceLine;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** One reading of a study as it was keyed. */
@Entity
@Immutable
@Table(name = "study_reading")
final class StudyReadingRow extends EvidenceLine {
    @Column(name = "study_id")
    private UUID study;

    private int slot;
    // As it was keyed: for whoever looks at the tables.
    @SuppressWarnings("unused")
    private String typed;

    private Double value;
    private UUID withdraws;

    StudyReadingRow() {}

    StudyReadingRow(UUID id, UUID study, int slot, String typed, double value, UUID by) {
        super(id, by);
        this.study = study;
        this.slot = slot;
        this.typed = typed;
        this.value = value;
    }

    static StudyReadingRow takingBack(UUID id, StudyReadingRow wrong, UUID by) {
        StudyReadingRow row = new StudyReadingRow(id, wrong.study, wrong.slot, "z", 0, by);
        row.value = null;
        row.withdraws = wrong.id();
        return row;
    }

    int slot() {
        return slot;
    }

    double value() {
        return value;
    }

    @Override
    public UUID withdraws() {
        return withdraws;
    }
}

package homalon.app.shop.crew;

import homalon.core.hours.DaysOff;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** Days on which the shop is closed, or somebody is not there. */
@Entity
@Table(name = "days_off")
final class DaysOffRow {
    @Id
    UUID id;

    /** None for the whole shop. */
    @Column(name = "person_id")
    UUID person;

    @Column(name = "from_day")
    LocalDate from;

    @Column(name = "to_day")
    LocalDate to;

    String why;

    @Column(name = "gone_at")
    Instant goneAt;

    DaysOffRow() {}

    DaysOffRow(UUID id, UUID person, DaysOff off) {
        this.id = id;
        this.person = person;
        this.from = off.from();
        this.to = off.to();
        this.why = off.why();
    }

    DaysOff off() {
        return new DaysOff(from, to, why);
    }
}

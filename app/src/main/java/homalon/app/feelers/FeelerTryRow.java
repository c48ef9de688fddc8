package homalon.app.feelers;

import homalon.core.quantity.BenchUnit;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.springframework.data.domain.Persistable;

/** What was said at a place, as it was keyed. The database refuses to change or remove it. */
@Entity
@Table(name = "feeler_try")
class FeelerTryRow implements Persistable<UUID> {
    @Id
    UUID id;

    @Generated
    @Column(insertable = false, updatable = false)
    long seq;

    @Column(name = "place_id")
    UUID placeId;

    @Enumerated(EnumType.STRING)
    Said said;

    @Column(name = "goes_nm")
    Long goes;

    @Column(name = "refuses_nm")
    Long refuses;

    String typed;

    @Enumerated(EnumType.STRING)
    BenchUnit unit;

    UUID withdraws;

    @Column(name = "by_person")
    UUID byPerson;

    Instant at;

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}

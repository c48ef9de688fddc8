package homalon.app.face;

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

/** A reading as it was keyed. The database refuses to change or remove it. */
@Entity
@Table(name = "reading")
class ReadingRow implements Persistable<UUID> {
    /** What was done at a place. */
    enum Kind {
        KEYED,
        SKIPPED,
        WITHDRAWN
    }

    @Id
    UUID id;

    @Generated
    @Column(insertable = false, updatable = false)
    long seq;

    @Column(name = "place_id")
    UUID placeId;

    @Enumerated(EnumType.STRING)
    Kind kind;

    String typed;

    @Enumerated(EnumType.STRING)
    BenchUnit unit;

    @Column(name = "value_nm")
    Long value;

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

package homalon.app.casting.ledger;

import homalon.core.ledger.CornerDepths;
import homalon.core.ledger.Entry;
import homalon.core.quantity.Length;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.springframework.data.domain.Persistable;

/** A line of the ledger. The database refuses to change or remove it. */
@Entity
@Table(name = "ledger_line")
final class LineRow implements Persistable<UUID> {
    @Id
    UUID id;

    @Generated
    @Column(insertable = false, updatable = false)
    long seq;

    @Column(name = "part_id")
    UUID partId;

    @Column(name = "job_id")
    UUID jobId;

    @Enumerated(EnumType.STRING)
    Entry.Kind kind;

    @Column(name = "depth_nm")
    long depth;

    UUID reverses;
    String machine = "";
    String cutter = "";
    String edge = "";
    String note = "";
    String typed = "";

    /** Four depths in nanometres with blanks between; empty where they were not worked out. */
    String corners = "";

    @Column(name = "batch_id")
    UUID batchId;

    @Column(name = "by_person")
    UUID byPerson;

    Instant at;

    Entry entry() {
        return new Entry(id, jobId, kind, Length.ofNanometres(depth), Optional.ofNullable(reverses), corners());
    }

    private Optional<CornerDepths> corners() {
        return corners.isEmpty()
                ? Optional.empty()
                : Optional.of(new CornerDepths(Arrays.stream(corners.split(" "))
                        .map(nm -> Length.ofNanometres(Long.parseLong(nm)))
                        .toList()));
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}

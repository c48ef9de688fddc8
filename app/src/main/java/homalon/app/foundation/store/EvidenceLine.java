package homalon.app.foundation.store;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Generated;

/**
 * One line of evidence. The database refuses to change or remove it: what is wrong is taken back by a further line. Entities of
 * it are immutable, so that they may be handed on as they were read.
 */
@MappedSuperclass
public abstract class EvidenceLine {
    @Id
    private UUID id;

    @Generated
    @Column(insertable = false, updatable = false)
    private long seq;

    @Column(name = "by_person")
    private UUID by;

    private Instant at;

    /** For Hibernate. */
    protected EvidenceLine() {}

    /**
     * @param id made by the browser, or derived from such a one, so that a repeat stores once
     * @param by whoever says it
     */
    protected EvidenceLine(UUID id, UUID by) {
        this.id = id;
        this.by = by;
    }

    public UUID id() {
        return id;
    }

    /** In the order in which lines were written, over the whole table. */
    public long seq() {
        return seq;
    }

    public UUID by() {
        return by;
    }

    public Instant at() {
        return at;
    }

    /** The line that this one takes back; null for none. */
    public UUID withdraws() {
        return null;
    }

    /** Lines never change: the same id is the same line. */
    @Override
    public final boolean equals(Object other) {
        return other instanceof EvidenceLine line && line.id.equals(id);
    }

    @Override
    public final int hashCode() {
        return id.hashCode();
    }

    void writtenAt(Instant now) {
        at = now;
    }
}

package homalon.app.foundation.store;

import jakarta.persistence.Column;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import java.util.UUID;
import lombok.Getter;

/**
 * One line of evidence. The database refuses to change or remove it: what is wrong is taken back by a further line. Entities of
 * it are immutable, so that they may be handed on as they were read.
 */
@MappedSuperclass
@Getter
public abstract class EvidenceLine {
    /** In the order in which lines were written, over the whole table. */
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private long seq;

    private UUID id;

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

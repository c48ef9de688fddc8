package homalon.app.outcome.report;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** A paper as it was handed over, in one unit: the page or the PDF. */
@Entity
@Table(name = "release_paper")
@IdClass(ReleasePaperRow.Key.class)
final class ReleasePaperRow implements Persistable<ReleasePaperRow.Key> {
    /** Of one visit, by name such as {@code pdf-mm}. */
    record Key(UUID visit, String name) implements Serializable {}

    @Id
    @Column(name = "job_id")
    UUID visit;

    @Id
    String name;

    byte[] content;

    ReleasePaperRow() {}

    ReleasePaperRow(UUID visit, String name, byte[] content) {
        this.visit = visit;
        this.name = name;
        this.content = content;
    }

    @Override
    public Key getId() {
        return new Key(visit, name);
    }

    @Override
    public boolean isNew() {
        return true;
    }
}

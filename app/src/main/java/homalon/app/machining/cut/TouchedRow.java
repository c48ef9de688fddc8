package homalon.app.machining.cut;

import homalon.app.foundation.store.VisitLine;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import lombok.AccessLevel;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** What the cutter touched, painted or said, after the last line of the ledger that stood then. */
@Entity
@Immutable
@Table(name = "touched")
@Getter(AccessLevel.PACKAGE)
final class TouchedRow extends VisitLine {
    @Column(name = "after_line")
    private long afterLine;

    /** As the browser writes them, four to a digit. */
    private String cells;

    private String said;

    TouchedRow() {}

    /** @param said the words, where it was said and not painted; null otherwise */
    TouchedRow(UUID id, UUID visit, long afterLine, String cells, String said, UUID by) {
        super(id, visit, by);
        this.afterLine = afterLine;
        this.cells = cells;
        this.said = said;
    }

    /** Empty where it was painted. */
    String said() {
        return said == null ? "" : said;
    }
}

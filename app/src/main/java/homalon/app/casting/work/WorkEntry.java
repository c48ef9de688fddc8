package homalon.app.casting.work;

import homalon.app.foundation.store.VisitLine;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** A line of the log of work. */
@Entity
@Immutable
@Table(name = "work_entry")
@Getter
public final class WorkEntry extends VisitLine {
    /** What a line says. */
    public enum Kind {
        DID,
        ADDED,
        WAIVED,
        TICKED,
        WITHDRAWN
    }

    @Enumerated(EnumType.STRING)
    private Kind kind;

    /** Name of the operation or of the small check. */
    private String what;

    private String note;
    private UUID withdraws;

    WorkEntry() {}

    WorkEntry(UUID id, UUID visit, Kind kind, String what, String note, UUID by) {
        super(id, visit, by);
        this.kind = kind;
        this.what = what;
        this.note = note;
    }

    /** A line that takes this one back. */
    WorkEntry takenBack(UUID id, UUID by) {
        WorkEntry back = new WorkEntry(id, visit(), Kind.WITHDRAWN, what, "", by);
        back.withdraws = id();
        return back;
    }

    @Override
    public UUID withdraws() {
        return withdraws;
    }
}

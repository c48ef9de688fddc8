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
        /** A line to tick was put down for this casting: at which step, and its words. */
        LISTED,
        /** Such a line, or one of the shop's, was ticked. */
        LINE_TICKED,
        WITHDRAWN
    }

    @Enumerated(EnumType.STRING)
    private Kind kind;

    /** Name of the operation, of the small check, or of the step at which a line is ticked. */
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

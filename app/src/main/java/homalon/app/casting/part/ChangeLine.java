package homalon.app.casting.part;

import homalon.app.foundation.store.VisitLine;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** One change on a visit that can turn a verdict. */
@Entity
@Immutable
@Table(name = "change_line")
@Getter
public final class ChangeLine extends VisitLine {
    /** What was changed. */
    public enum What {
        LAYOUT,
        LIMIT,
        /** Where the gasket seals. */
        SEALING,
        CAME_WITH,
        STUCK,
        /** How warm casting and room were. */
        SOAK,
        PLACE_ADDED,
        PLACE_MOVED,
        PLACE_DROPPED,
        PLACE_BROUGHT_BACK,
        SEALS,
        DOES_NOT_SEAL
    }

    @Enumerated(EnumType.STRING)
    private What what;

    private String detail;

    ChangeLine() {}

    ChangeLine(UUID visit, What what, String detail, UUID by) {
        super(UUID.randomUUID(), visit, by);
        this.what = what;
        this.detail = detail;
    }
}

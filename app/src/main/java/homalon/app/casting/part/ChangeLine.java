package homalon.app.casting.part;

import homalon.app.foundation.store.VisitLine;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** One change on a visit that can turn a verdict. */
@Entity
@Immutable
@Table(name = "change_line")
@Getter
public class ChangeLine extends VisitLine {
    /** What kind of change: letters and underlines. */
    private String what;

    private String detail;

    protected ChangeLine() {}

    ChangeLine(UUID visit, String what, String detail, UUID by) {
        super(UUID.randomUUID(), visit, by);
        this.what = what;
        this.detail = detail;
    }
}

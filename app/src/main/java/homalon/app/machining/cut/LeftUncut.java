package homalon.app.machining.cut;

import homalon.app.foundation.store.VisitLine;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** A low spot off the sealing bands that stays uncut, and who answers for it. */
@Entity
@Immutable
@Table(name = "left_uncut")
@Getter
public final class LeftUncut extends VisitLine {
    /** What was painted when it was signed for. */
    @Column(name = "painting_id")
    private UUID painting;

    private String why;

    LeftUncut() {}

    LeftUncut(UUID id, UUID visit, UUID painting, String why, UUID by) {
        super(id, visit, by);
        this.painting = painting;
        this.why = why;
    }
}

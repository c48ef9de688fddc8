package homalon.app.machining.cut;

import homalon.app.foundation.store.VisitLine;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A low spot off the sealing bands that stays uncut, and who answers for it. */
@Entity
@Immutable
@Table(name = "left_uncut")
public class LeftUncut extends VisitLine {
    @Column(name = "painting_id")
    private UUID painting;

    private String why;

    protected LeftUncut() {}

    LeftUncut(UUID id, UUID visit, UUID painting, String why, UUID by) {
        super(id, visit, by);
        this.painting = painting;
        this.why = why;
    }

    /** What was painted when it was signed for. */
    public UUID painting() {
        return painting;
    }

    public String why() {
        return why;
    }
}

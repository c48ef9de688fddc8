package homalon.app.machining.cut;

import homalon.app.foundation.store.VisitLine;
import homalon.core.quantity.Length;
import homalon.core.visit.SupportsInput;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** Heights read at the machine. */
@Entity
@Immutable
@Table(name = "setup_check")
final class SetupCheckRow extends VisitLine {
    @Enumerated(EnumType.STRING)
    private SetupChecks.Kind kind;

    private String heights;

    SetupCheckRow() {}

    SetupCheckRow(UUID id, UUID visit, SetupChecks.Kind kind, List<Length> heights, UUID by) {
        super(id, visit, by);
        this.kind = kind;
        this.heights = SupportsInput.lengths(heights);
    }

    SetupChecks.Kind kind() {
        return kind;
    }

    /** mm. */
    double[] heights() {
        return SupportsInput.lengths(heights).stream().mapToDouble(Length::mm).toArray();
    }
}

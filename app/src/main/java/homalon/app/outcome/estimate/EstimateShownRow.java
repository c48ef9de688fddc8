package homalon.app.outcome.estimate;

import homalon.app.foundation.store.VisitLine;
import homalon.core.money.ShownEstimate;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import tools.jackson.databind.json.JsonMapper;

/** An estimate as it was shown; the database refuses to change it. */
@Entity
@Immutable
@Table(name = "estimate_shown")
final class EstimateShownRow extends VisitLine {
    private String shown;

    EstimateShownRow() {}

    EstimateShownRow(UUID id, UUID visit, ShownEstimate shown, UUID by) {
        super(id, visit, by);
        this.shown = JsonMapper.shared().writeValueAsString(shown);
    }

    ShownEstimate shown() {
        return JsonMapper.shared().readValue(shown, ShownEstimate.class);
    }
}

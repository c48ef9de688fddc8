package homalon.app.casting.agreed;

import homalon.app.foundation.store.VisitLine;
import homalon.core.route.Finding;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** From then on the customer is asked before more work is done. */
@Entity
@Immutable
@Table(name = "choice_asked")
final class ChoiceAskedRow extends VisitLine {
    @Enumerated(EnumType.STRING)
    private Finding why;

    ChoiceAskedRow() {}

    ChoiceAskedRow(UUID id, UUID visit, Finding why, UUID by) {
        super(id, visit, by);
        this.why = why;
    }

    ChoiceBook.Asked told() {
        return new ChoiceBook.Asked(visit(), why, by(), at());
    }
}

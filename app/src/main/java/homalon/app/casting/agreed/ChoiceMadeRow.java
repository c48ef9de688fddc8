package homalon.app.casting.agreed;

import homalon.app.foundation.store.VisitLine;
import homalon.core.money.Choice;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What a customer chose. Names and words of it may be forgotten, nothing else is changed. */
@Entity
@Table(name = "choice_made")
final class ChoiceMadeRow extends VisitLine {
    @Column(name = "shown_id")
    private UUID shown;

    @Enumerated(EnumType.STRING)
    private Choice choice;

    @Enumerated(EnumType.STRING)
    private Choice.By means;

    @Column(name = "up_to")
    private @Nullable BigDecimal upTo;

    private String who;
    private String words;

    ChoiceMadeRow() {}

    ChoiceMadeRow(UUID id, UUID visit, ChoiceBook.Said said, UUID by) {
        super(id, visit, by);
        this.shown = said.shown();
        this.choice = said.choice();
        this.means = said.means();
        this.upTo = said.upTo().orElse(null);
        this.who = said.who();
        this.words = said.words();
    }

    ChoiceBook.Made told() {
        return new ChoiceBook.Made(
                visit(), new ChoiceBook.Said(shown, choice, means, Optional.ofNullable(upTo), who, words), by(), at());
    }
}

package homalon.app.outcome.ask;

import homalon.app.foundation.store.VisitLine;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;

/** A letter as it went out, or would have. Whoever is erased is named in it no more. */
@Entity
@Table(name = "sent_mail")
final class SentMailRow extends VisitLine {
    private String recipient;
    private String subject;
    private String body;

    @Enumerated(EnumType.STRING)
    private PostBox.State state;

    private String why;

    SentMailRow() {}

    SentMailRow(UUID visit, PostBox.Letter letter, PostBox.Outcome outcome, UUID by) {
        super(UUID.randomUUID(), visit, by);
        this.recipient = letter.to();
        this.subject = letter.subject();
        this.body = letter.kept();
        this.state = outcome.state();
        this.why = outcome.why();
    }

    PostBox.Sent told() {
        return new PostBox.Sent(recipient, subject, body, new PostBox.Outcome(state, why), by(), at());
    }
}

package homalon.app.foundation.people;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What happened to the shop itself: who came in, who may, what was set, issued, restored. Added to only. */
@Service
@Transactional
@RequiredArgsConstructor
public class Journal {
    private static final int MOST = 300;

    private final EntityManager entities;

    /** What a line is about. */
    public enum What {
        SIGNED_IN("signed in"),
        SIGNED_IN_BY_PIN("changed by PIN"),
        SIGNED_OUT("signed out"),
        NOT_LET_IN("was refused at sign-in"),
        FIRST_OWNER("opened the shop"),
        PERSON_ADDED("added a person"),
        PERSON_SHUT_OUT("blocked an account"),
        PERSON_LET_IN("unblocked an account"),
        ROLE_CHANGED("changed a role"),
        PASSWORD_CHANGED("changed the own password"),
        PASSWORD_RESET("gave a new password"),
        PASSWORD_RECOVERED("password recovered from the command line"),
        PIN_SET("set a PIN"),
        PASSKEY_MADE("made a passkey"),
        PASSKEY_REMOVED("removed a passkey"),
        DEVICE_ENABLED("enabled a device"),
        DEVICE_DISABLED("disabled a device"),
        TOKEN_ISSUED("issued a token"),
        TOKEN_REVOKED("revoked a token"),
        SHOP_RENAMED("renamed the shop"),
        SETTINGS_CHANGED("changed the settings"),
        WAITS_LIFTED("lifted waits"),
        ACCEPTED("accepted what was keyed by"),
        TOOLS_CHANGED("changed the tools"),
        LEFT_OUT("left out of a route"),
        LEFT_UNFINISHED("handed over unfinished"),
        CUSTOMER_CHANGED("changed a customer"),
        CUSTOMERS_MERGED("merged customers"),
        CUSTOMER_ERASED("erased a customer"),
        BOOKING_VOIDED("voided a booking"),
        TABLE_TAKEN("took a table in"),
        EXPORTED("took along"),
        RESTORED("restored");

        private final String words;

        What(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** One line. */
    public record Line(Instant at, Optional<UUID> by, What what, String detail) {}

    public void write(What what, UUID by, String detail) {
        entities.persist(new JournalLine(by, what, detail.length() > MOST ? detail.substring(0, MOST) : detail));
    }

    /** The last lines, the youngest first. */
    @Transactional(readOnly = true)
    public List<Line> last(int most) {
        return entities
                .createQuery("from JournalLine order by seq desc", JournalLine.class)
                .setMaxResults(most)
                .getResultList()
                .stream()
                .map(l -> new Line(l.at, Optional.ofNullable(l.by), l.what, l.detail))
                .toList();
    }
}

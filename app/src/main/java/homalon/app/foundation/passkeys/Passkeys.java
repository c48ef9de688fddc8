package homalon.app.foundation.passkeys;

import homalon.app.foundation.security.SecondFactor;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What pages show of passkeys. */
@Service
@Transactional(readOnly = true)
public class Passkeys implements SecondFactor {
    private final PasskeyRepository rows;
    private final boolean on;
    private final boolean only;

    /** @param only whoever made one comes in with it, and no longer with the password alone */
    Passkeys(
            PasskeyRepository rows,
            @Value("${homalon.passkeys:false}") boolean on,
            @Value("${homalon.passkeys-only:false}") boolean only) {
        this.rows = rows;
        this.on = on;
        this.only = only;
    }

    @Override
    public boolean askedOf(UUID person) {
        return only && !of(person).isEmpty();
    }

    /** One as its owner named it. */
    public record Passkey(String id, String label, Instant made, Instant lastUsed) {}

    public boolean on() {
        return on;
    }

    public List<Passkey> of(UUID person) {
        return on
                ? rows.findByPersonOrderByCreatedAt(person).stream()
                        .map(r -> new Passkey(r.id, r.label, r.createdAt, r.lastUsed))
                        .toList()
                : List.of();
    }
}

package homalon.app.outcome.feeds;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** An address for a calendar. */
@Entity
@Table(name = "calendar_feed")
final class FeedRow {
    @Id
    UUID id;

    @Column(name = "person_id")
    @Nullable
    UUID person;

    @Column(name = "token_hash")
    String tokenHash;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @Column(name = "revoked_at")
    @Nullable
    Instant revokedAt;

    FeedRow() {}

    FeedRow(Optional<UUID> person, String tokenHash, UUID madeBy, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.person = person.orElse(null);
        this.tokenHash = tokenHash;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }
}

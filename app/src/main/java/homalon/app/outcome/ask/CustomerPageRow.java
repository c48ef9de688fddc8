package homalon.app.outcome.ask;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** An address under which a customer sees an estimate. Few columns of it may ever change: no others are written. */
@Entity
@DynamicUpdate
@Table(name = "customer_page")
final class CustomerPageRow {
    @Id
    UUID id;

    @Column(name = "job_id")
    UUID visit;

    @Column(name = "shown_id")
    UUID shown;

    @Column(name = "token_hash")
    String tokenHash;

    String told;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @Column(name = "expires_at")
    Instant expiresAt;

    @Column(name = "revoked_at")
    @Nullable
    Instant revokedAt;

    int opened;

    @Column(name = "last_opened_at")
    @Nullable
    Instant lastOpenedAt;

    CustomerPageRow() {}

    CustomerPageRow(UUID id, UUID visit, UUID shown, String tokenHash, String told) {
        this.id = id;
        this.visit = visit;
        this.shown = shown;
        this.tokenHash = tokenHash;
        this.told = told;
    }

    /** By whom, when, and until when it holds. */
    CustomerPageRow made(UUID by, Instant at, Instant until) {
        this.madeBy = by;
        this.madeAt = at;
        this.expiresAt = until;
        return this;
    }
}

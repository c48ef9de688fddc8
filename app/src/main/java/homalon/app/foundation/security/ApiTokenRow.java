package homalon.app.foundation.security;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** A token of a program; what it is known by is kept as a hash only. */
@Entity
@Table(name = "api_token")
@DynamicUpdate
final class ApiTokenRow {
    @Id
    UUID id;

    String name;

    @Column(name = "token_hash")
    String hash;

    /** Null for one that came with the sample data. */
    @Column(name = "issued_by")
    UUID issuedBy;

    @Column(name = "issued_at")
    Instant issuedAt;

    @Column(name = "revoked_at")
    Instant revokedAt;

    /** Whose readings and bookings it sends, and who answers for them; null for one that reads only. */
    @Column(name = "writes_for")
    @Nullable
    UUID writesFor;

    ApiTokenRow() {}

    ApiTokenRow(String name, String hash, UUID issuedBy, Instant issuedAt, @Nullable UUID writesFor) {
        this.id = UUID.randomUUID();
        this.name = name;
        this.hash = hash;
        this.issuedBy = issuedBy;
        this.issuedAt = issuedAt;
        this.writesFor = writesFor;
    }
}

package homalon.app.foundation.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A bench PC on which people may change by PIN. */
@Entity
final class BenchDevice {
    @Id
    UUID id;

    @Column(name = "token_hash")
    String tokenHash;

    String name;

    @Column(name = "enabled_by")
    UUID enabledBy;

    @Column(name = "enabled_at")
    Instant enabledAt;

    @Column(name = "revoked_at")
    Instant revokedAt;

    BenchDevice() {}

    BenchDevice(String tokenHash, String name, UUID enabledBy, Instant enabledAt) {
        this.id = UUID.randomUUID();
        this.tokenHash = tokenHash;
        this.name = name;
        this.enabledBy = enabledBy;
        this.enabledAt = enabledAt;
    }
}

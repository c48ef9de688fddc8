package homalon.app.foundation.passkeys;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** One passkey, as the standard calls its parts. */
@Entity
@Table(name = "passkey")
final class PasskeyRow {
    /** The credential's id, as base64url: what the device calls it. */
    @Id
    String id;

    UUID person;
    String label;

    @Column(name = "public_key")
    byte[] publicKey;

    @Column(name = "signature_count")
    long signatureCount;

    @Column(name = "uv_initialized")
    boolean uvInitialized;

    /** With blanks between. */
    String transports;

    @Column(name = "backup_eligible")
    boolean backupEligible;

    @Column(name = "backup_state")
    boolean backupState;

    @Column(name = "attestation_object")
    byte[] attestationObject;

    @Column(name = "client_data")
    byte[] clientData;

    @Column(name = "created_at")
    Instant createdAt;

    @Column(name = "last_used")
    Instant lastUsed;
}

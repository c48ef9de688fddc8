package homalon.app.foundation.security;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The tries that are left for one subject, as the library that counts them writes them. */
@Entity
@Table(name = "try_bucket")
final class ThrottleBucketRow {
    @Id
    String subject;

    byte[] state;

    /** After that it is full again, milliseconds since 1970. */
    @Column(name = "expires_at")
    Long expiresAt;
}

package homalon.app.foundation.settings;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A logo that the shop set; the last one stands. */
@Entity
@Immutable
final class ShopLogo {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long seq;

    Instant at;

    @Column(name = "by_person")
    UUID by;

    /** Null for none from then on. */
    byte @Nullable [] jpeg;

    ShopLogo() {}

    ShopLogo(byte @Nullable [] jpeg, UUID by, Instant at) {
        this.jpeg = jpeg;
        this.by = by;
        this.at = at;
    }
}

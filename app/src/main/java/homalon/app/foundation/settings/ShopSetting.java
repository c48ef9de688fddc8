package homalon.app.foundation.settings;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** One thing that was set; the last of a name stands. */
@Entity
@Immutable
final class ShopSetting {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long seq;

    Instant at;

    @Column(name = "by_person")
    UUID by;

    String name;

    @Column(name = "nm")
    @Nullable
    Long nanometres;

    @Nullable
    BigDecimal figure;

    String words = "";

    ShopSetting() {}

    ShopSetting(String name, @Nullable Long nanometres, String words, UUID by, Instant at) {
        this.name = name;
        this.nanometres = nanometres;
        this.words = words;
        this.by = by;
        this.at = at;
    }

    ShopSetting withFigure(@Nullable BigDecimal value) {
        this.figure = value;
        return this;
    }
}

package homalon.app.check.integrity;

import homalon.app.foundation.store.VisitLine;
import homalon.core.integrity.Decay;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.OptionalDouble;
import java.util.UUID;
import lombok.AccessLevel;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** How a pressure test is set up. */
@Entity
@Immutable
@Table(name = "pressure_test")
@Getter(AccessLevel.PACKAGE)
final class PressureTestRow extends VisitLine {
    private String medium;
    private boolean wet;

    @Column(name = "hold_seconds")
    private int holdSeconds;

    @Column(name = "most_mbar")
    private int mostMillibar;

    @Column(name = "volume_cc")
    private Integer volume;

    PressureTestRow() {}

    /** @param volume under pressure, cc; null where nobody knows it */
    PressureTestRow(
            UUID id,
            UUID visit,
            String medium,
            boolean wet,
            int holdSeconds,
            int mostMillibar,
            Integer volume,
            UUID by) {
        super(id, visit, by);
        this.medium = medium;
        this.wet = wet;
        this.holdSeconds = holdSeconds;
        this.mostMillibar = mostMillibar;
        this.volume = volume;
    }

    Decay.Asked asked() {
        return new Decay.Asked(
                holdSeconds / 60.0,
                mostMillibar / 1000.0,
                volume == null ? OptionalDouble.empty() : OptionalDouble.of(volume));
    }
}

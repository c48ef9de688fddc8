package homalon.app.check.feelers;

import homalon.app.foundation.store.EvidenceLine;
import homalon.core.face.Gap;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerSaid;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import lombok.AccessLevel;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** What was said at a place, as it was keyed. */
@Entity
@Immutable
@Table(name = "feeler_try")
@Getter(AccessLevel.PACKAGE)
final class FeelerTryRow extends EvidenceLine {
    @Column(name = "place_id")
    private UUID place;

    @Enumerated(EnumType.STRING)
    private FeelerSaid said;

    @Column(name = "goes_nm")
    private Length goes;

    @Column(name = "refuses_nm")
    private Length refuses;

    private String typed;

    @Enumerated(EnumType.STRING)
    private BenchUnit unit;

    private UUID withdraws;

    FeelerTryRow() {}

    FeelerTryRow(UUID id, UUID place, FeelerSaid said, Gap gap, String typed, BenchUnit unit, UUID by) {
        super(id, by);
        this.place = place;
        this.said = said;
        this.goes = gap.goes().orElse(null);
        this.refuses = gap.refuses().orElse(null);
        this.typed = typed;
        this.unit = unit;
    }

    static FeelerTryRow takingBack(UUID id, FeelerFile.TryFile wrong, UUID by) {
        FeelerTryRow row = new FeelerTryRow(id, wrong.place(), FeelerSaid.WITHDRAWN, Gap.UNTRIED, "", wrong.unit(), by);
        row.withdraws = wrong.id();
        return row;
    }

    Optional<Length> goes() {
        return Optional.ofNullable(goes);
    }

    Optional<Length> refuses() {
        return Optional.ofNullable(refuses);
    }

    @Override
    public UUID withdraws() {
        return withdraws;
    }

    FeelerFile.TryFile file(boolean stands) {
        return new FeelerFile.TryFile(seq(), id(), place, said, goes(), refuses(), typed, unit, by(), at(), stands);
    }
}

package homalon.app.check.face;

import homalon.app.foundation.store.EvidenceLine;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyFile.ReadingFile.Kind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A reading as it was keyed. */
@Entity
@Immutable
@Table(name = "reading")
final class ReadingRow extends EvidenceLine {
    @Column(name = "place_id")
    private UUID place;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    private String typed;

    @Enumerated(EnumType.STRING)
    private BenchUnit unit;

    @Column(name = "value_nm")
    private Length value;

    private UUID withdraws;

    ReadingRow() {}

    private ReadingRow(UUID id, UUID place, Kind kind, String typed, BenchUnit unit, UUID by) {
        super(id, by);
        this.place = place;
        this.kind = kind;
        this.typed = typed;
        this.unit = unit;
    }

    /** @param value empty for a skip */
    static ReadingRow keyed(UUID id, UUID place, Optional<Length> value, String typed, BenchUnit unit, UUID by) {
        ReadingRow row = new ReadingRow(id, place, value.isPresent() ? Kind.KEYED : Kind.SKIPPED, typed, unit, by);
        row.value = value.orElse(null);
        return row;
    }

    static ReadingRow takingBack(UUID id, SurveyFile.ReadingFile wrong, UUID by) {
        ReadingRow row = new ReadingRow(id, wrong.place(), Kind.WITHDRAWN, "", wrong.unit(), by);
        row.withdraws = wrong.id();
        return row;
    }

    UUID place() {
        return place;
    }

    @Override
    public UUID withdraws() {
        return withdraws;
    }

    /** @param stands whether it is what counts at its place */
    SurveyFile.ReadingFile file(String placeName, boolean stands) {
        return new SurveyFile.ReadingFile(
                seq(),
                id(),
                place,
                placeName,
                kind,
                typed,
                unit,
                Optional.ofNullable(value),
                Optional.ofNullable(withdraws),
                by(),
                at(),
                stands);
    }
}

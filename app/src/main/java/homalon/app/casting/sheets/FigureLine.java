package homalon.app.casting.sheets;

import homalon.app.foundation.store.VisitLine;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.Figure;
import homalon.core.visit.Sheet;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** What was keyed at one place of a sheet. */
@Entity
@Immutable
@Table(name = "figure")
@Getter
final class FigureLine extends VisitLine implements Figure {
    @Enumerated(EnumType.STRING)
    private Sheet sheet;

    private String place;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    private String typed;

    @Enumerated(EnumType.STRING)
    private BenchUnit unit;

    @Column(name = "nm")
    private Length value;

    private UUID withdraws;

    FigureLine() {}

    private FigureLine(
            UUID id, UUID visit, Sheet sheet, String place, Kind kind, String typed, BenchUnit unit, UUID by) {
        super(id, visit, by);
        this.sheet = sheet;
        this.place = place;
        this.kind = kind;
        this.typed = typed;
        this.unit = unit;
    }

    /** @param value empty for what is no length */
    static FigureLine keyed(
            UUID id,
            UUID visit,
            Sheet sheet,
            String place,
            Optional<Length> value,
            String typed,
            BenchUnit unit,
            UUID by) {
        FigureLine figure = new FigureLine(id, visit, sheet, place, Kind.KEYED, typed, unit, by);
        figure.value = value.orElse(null);
        return figure;
    }

    static FigureLine skipped(UUID id, UUID visit, Sheet sheet, String place, BenchUnit unit, UUID by) {
        return new FigureLine(id, visit, sheet, place, Kind.SKIPPED, "/", unit, by);
    }

    /** A line that takes that one of the visit back. */
    static FigureLine takingBack(Figure that, UUID visit, UUID id, UUID by) {
        FigureLine back = new FigureLine(id, visit, that.sheet(), that.place(), Kind.WITHDRAWN, "", that.unit(), by);
        back.withdraws = that.id();
        return back;
    }

    @Override
    public Optional<Length> value() {
        return Optional.ofNullable(value);
    }

    @Override
    public UUID withdraws() {
        return withdraws;
    }
}

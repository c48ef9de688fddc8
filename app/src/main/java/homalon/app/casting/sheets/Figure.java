package homalon.app.casting.sheets;

import homalon.app.foundation.store.VisitLine;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
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
public class Figure extends VisitLine {
    /** What was done there. */
    public enum Kind {
        KEYED,
        SKIPPED,
        WITHDRAWN
    }

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

    protected Figure() {}

    private Figure(UUID id, UUID visit, Sheet sheet, String place, Kind kind, String typed, BenchUnit unit, UUID by) {
        super(id, visit, by);
        this.sheet = sheet;
        this.place = place;
        this.kind = kind;
        this.typed = typed;
        this.unit = unit;
    }

    /** @param value empty for what is no length */
    static Figure keyed(
            UUID id,
            UUID visit,
            Sheet sheet,
            String place,
            Optional<Length> value,
            String typed,
            BenchUnit unit,
            UUID by) {
        Figure figure = new Figure(id, visit, sheet, place, Kind.KEYED, typed, unit, by);
        figure.value = value.orElse(null);
        return figure;
    }

    static Figure skipped(UUID id, UUID visit, Sheet sheet, String place, BenchUnit unit, UUID by) {
        return new Figure(id, visit, sheet, place, Kind.SKIPPED, "/", unit, by);
    }

    /** A line that takes this one back. */
    Figure takenBack(UUID id, UUID by) {
        Figure back = new Figure(id, visit(), sheet, place, Kind.WITHDRAWN, "", unit, by);
        back.withdraws = id();
        return back;
    }

    /** Empty for a skip, and for what is no length. */
    public Optional<Length> value() {
        return Optional.ofNullable(value);
    }

    @Override
    public UUID withdraws() {
        return withdraws;
    }
}

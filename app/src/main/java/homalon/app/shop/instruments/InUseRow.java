package homalon.app.shop.instruments;

import homalon.app.foundation.store.VisitLine;
import homalon.core.gauge.GaugeStanding;
import homalon.core.gauge.InUse;
import homalon.core.gauge.InstrumentKind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** An instrument taken in hand at a step of a visit, as it was that day; without a code it was put away. */
@Entity
@Immutable
@Table(name = "instrument_use")
final class InUseRow extends VisitLine {
    private String step;

    @Enumerated(EnumType.STRING)
    private InstrumentKind kind;

    private String code = "";
    private String name = "";
    private double standard;

    @Enumerated(EnumType.STRING)
    private GaugeStanding.State state = GaugeStanding.State.NEVER;

    @Column(name = "due_on")
    private LocalDate due;

    InUseRow() {}

    private InUseRow(UUID visit, String step, InstrumentKind kind, UUID by) {
        super(UUID.randomUUID(), visit, by);
        this.step = step;
        this.kind = kind;
    }

    static InUseRow taken(UUID visit, String step, InUse use, UUID by) {
        InUseRow row = new InUseRow(visit, step, use.kind(), by);
        row.code = use.code();
        row.name = use.name();
        row.standard = use.standard();
        row.state = use.state();
        row.due = use.due().orElse(null);
        return row;
    }

    static InUseRow putAway(UUID visit, String step, InstrumentKind kind, UUID by) {
        return new InUseRow(visit, step, kind, by);
    }

    String step() {
        return step;
    }

    InstrumentKind kind() {
        return kind;
    }

    String code() {
        return code;
    }

    Optional<InUse> use() {
        return code.isEmpty()
                ? Optional.empty()
                : Optional.of(new InUse(code, name, kind, standard, state, Optional.ofNullable(due)));
    }
}

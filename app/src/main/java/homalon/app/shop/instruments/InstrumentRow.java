package homalon.app.shop.instruments;

import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.OptionalInt;
import java.util.UUID;

/** An instrument of the shop as it is now. */
@Entity
@Table(name = "instrument")
final class InstrumentRow {
    @Id
    UUID id = UUID.randomUUID();

    String code;
    String name;

    @Enumerated(EnumType.STRING)
    InstrumentKind kind;

    @Enumerated(EnumType.STRING)
    Instrument.Known known;

    double amount;
    Integer months;

    @Column(name = "retired_at")
    Instant retiredAt;

    InstrumentRow() {}

    InstrumentRow(Instrument i) {
        code = i.code();
        kind = i.kind();
        amend(i);
    }

    /** What it is stays; what it is called and good to may change. */
    void amend(Instrument i) {
        name = i.name();
        known = i.known();
        amount = i.amount();
        months = i.months().isPresent() ? i.months().getAsInt() : null;
    }

    Instrument instrument() {
        return new Instrument(
                code, name, kind, known, amount, months == null ? OptionalInt.empty() : OptionalInt.of(months));
    }
}

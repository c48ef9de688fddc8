package homalon.app.casting.part;

import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** A flatness limit entered for a part; withdrawn, never overwritten. */
@Entity
@Table(name = "flatness_limit")
final class LimitRow {
    @Id
    UUID id;

    @Column(name = "part_id")
    UUID partId;

    @Enumerated(EnumType.STRING)
    FlatnessLimit.Scope scope;

    @Column(name = "most_nm")
    long most;

    @Column(name = "window_nm")
    Long window;

    @Enumerated(EnumType.STRING)
    Source source;

    @Column(name = "entered_by")
    UUID enteredBy;

    @Column(name = "entered_at")
    Instant enteredAt;

    @Column(name = "withdrawn_at")
    Instant withdrawnAt;

    LimitRow() {}

    LimitRow(UUID partId, FlatnessLimit limit, UUID enteredBy, Instant enteredAt) {
        this.id = UUID.randomUUID();
        this.partId = partId;
        this.scope = limit.scope();
        this.most = limit.most().nanometres();
        this.window = limit.window().map(Length::nanometres).orElse(null);
        this.source = limit.source();
        this.enteredBy = enteredBy;
        this.enteredAt = enteredAt;
    }

    boolean inForceAt(Instant time) {
        return !enteredAt.isAfter(time) && (withdrawnAt == null || withdrawnAt.isAfter(time));
    }

    FlatnessLimit limit() {
        return new FlatnessLimit(
                scope, Length.ofNanometres(most), Optional.ofNullable(window).map(Length::ofNanometres), source);
    }
}

package homalon.app.outcome.estimate;

import homalon.app.foundation.store.VisitLine;
import homalon.core.money.Other;
import homalon.core.quantity.Length;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/** Another casting that could take the place of one; the last line of one holds. */
@Entity
@Immutable
@Table(name = "other_casting")
final class OtherCastingRow extends VisitLine {
    private UUID other;
    private boolean gone;

    @Enumerated(EnumType.STRING)
    private Other.Kind kind;

    private String words;
    private String currency;
    private BigDecimal price;
    private BigDecimal freight;
    private BigDecimal core;
    private int days;
    private int minutes;

    @Column(name = "left_nm")
    private @Nullable Length left;

    private @Nullable Integer months;
    private String unvouched;

    OtherCastingRow() {}

    OtherCastingRow(UUID id, UUID visit, Others.Kept kept, boolean gone, UUID by) {
        super(id, visit, by);
        Other casting = kept.casting();
        this.other = kept.other();
        this.gone = gone;
        this.kind = casting.kind();
        this.words = casting.words();
        this.currency = casting.price().getCurrencyUnit().getCode();
        this.price = casting.price().getAmount();
        this.freight = casting.freight().getAmount();
        this.core = casting.core().getAmount();
        this.days = casting.days();
        this.minutes = casting.minutes();
        this.left = casting.left().orElse(null);
        this.months = casting.months().isPresent() ? casting.months().getAsInt() : null;
        this.unvouched = casting.open();
    }

    boolean gone() {
        return gone;
    }

    boolean in(CurrencyUnit unit) {
        return unit.getCode().equals(currency);
    }

    Others.Kept told() {
        return new Others.Kept(
                other,
                new Other(
                        kind,
                        words,
                        money(price),
                        money(freight),
                        money(core),
                        days,
                        minutes,
                        Optional.ofNullable(left),
                        months == null ? OptionalInt.empty() : OptionalInt.of(months),
                        unvouched));
    }

    private Money money(BigDecimal amount) {
        return Money.of(CurrencyUnit.of(currency), amount, RoundingMode.UNNECESSARY);
    }
}

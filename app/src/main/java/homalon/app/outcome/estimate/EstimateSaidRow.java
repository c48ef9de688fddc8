package homalon.app.outcome.estimate;

import homalon.app.foundation.store.VisitLine;
import homalon.core.money.Estimate;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/** What was said of a line of an estimate by hand; the last of a key holds. */
@Entity
@Immutable
@Table(name = "estimate_said")
final class EstimateSaidRow extends VisitLine {
    private String key;

    @Enumerated(EnumType.STRING)
    private Estimate.Stand stand;

    private @Nullable BigDecimal amount;
    private @Nullable String currency;

    EstimateSaidRow() {}

    EstimateSaidRow(UUID id, UUID visit, String key, Estimate.Stand stand, Optional<Money> quoted, UUID by) {
        super(id, visit, by);
        this.key = key;
        this.stand = stand;
        this.amount = quoted.map(Money::getAmount).orElse(null);
        this.currency = quoted.map(q -> q.getCurrencyUnit().getCode()).orElse(null);
    }

    String key() {
        return key;
    }

    Estimate.Stand stand() {
        return stand;
    }

    /** A price of its own for this job, where one was said in that currency. */
    Optional<Money> quoted(CurrencyUnit in) {
        return amount == null || !in.getCode().equals(currency)
                ? Optional.empty()
                : Optional.of(Money.of(in, amount, RoundingMode.UNNECESSARY));
    }
}

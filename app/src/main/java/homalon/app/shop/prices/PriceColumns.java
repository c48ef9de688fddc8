package homalon.app.shop.prices;

import homalon.core.money.Price;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/** A line of a price list as it is stored, in the list's currency. */
@Embeddable
record PriceColumns(
        @Enumerated(EnumType.STRING) Operation operation,
        @Nullable @Enumerated(EnumType.STRING) Material metal,
        int least,
        int most,
        @Enumerated(EnumType.STRING) Price.Per per,
        BigDecimal each) {

    static PriceColumns of(Price price) {
        return new PriceColumns(
                price.operation(),
                price.metal().orElse(null),
                price.from(),
                price.to(),
                price.per(),
                price.each().getAmount());
    }

    Price price(CurrencyUnit in) {
        return new Price(
                operation, Optional.ofNullable(metal), least, most, per, Money.of(in, each, RoundingMode.UNNECESSARY));
    }
}

package homalon.app.shop.prices;

import homalon.app.foundation.store.EvidenceLine;
import homalon.core.money.AskPoint;
import homalon.core.money.MoneyRules;
import homalon.core.money.PriceList;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.ListIndexBase;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/** A version of what the shop asks; the last one holds. */
@Entity
@Immutable
@Table(name = "price_list")
final class PriceListRow extends EvidenceLine {
    private String currency;
    private BigDecimal tax;
    private boolean held;
    private BigDecimal coin;
    private BigDecimal rate;
    private BigDecimal least;
    private BigDecimal look;
    private BigDecimal margin;
    private String asks;

    @ElementCollection
    @CollectionTable(name = "price_line", joinColumns = @JoinColumn(name = "list_seq"))
    @OrderColumn(name = "no")
    @ListIndexBase(1)
    private List<PriceColumns> prices = new ArrayList<>();

    PriceListRow() {}

    PriceListRow(PriceList list, UUID by) {
        super(UUID.randomUUID(), by);
        MoneyRules rules = list.rules();
        this.currency = rules.currency().getCode();
        this.tax = rules.tax();
        this.held = rules.held();
        this.coin = rules.coin();
        this.rate = list.rate().getAmount();
        this.least = list.least().getAmount();
        this.look = list.look().getAmount();
        this.margin = list.margin();
        this.asks = list.asks().stream().sorted().map(AskPoint::name).collect(Collectors.joining(" "));
        list.prices().forEach(p -> prices.add(PriceColumns.of(p)));
    }

    PriceList list() {
        CurrencyUnit in = CurrencyUnit.of(currency);
        return new PriceList(
                new MoneyRules(in, tax, held, coin),
                money(rate, in),
                money(least, in),
                money(look, in),
                margin,
                prices.stream().map(p -> p.price(in)).toList(),
                asks.isEmpty()
                        ? Set.of()
                        : Arrays.stream(asks.split(" ")).map(AskPoint::valueOf).collect(Collectors.toSet()));
    }

    private static Money money(BigDecimal amount, CurrencyUnit in) {
        return Money.of(in, amount, RoundingMode.UNNECESSARY);
    }
}

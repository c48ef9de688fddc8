package homalon.app.demo;

import homalon.app.shop.prices.PriceBook;
import homalon.core.money.Price;
import homalon.core.money.PriceForm;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/** What the sample shop asks; every figure is made up. */
final class SamplePrices {
    private static final CurrencyUnit IN = CurrencyUnit.EUR;

    private SamplePrices() {}

    private static Price price(Operation work, Material metal, int from, int to, Price.Per per, String each) {
        return new Price(work, Optional.ofNullable(metal), from, to, per, Money.of(IN, new BigDecimal(each)));
    }

    static void keep(PriceBook prices, UUID owner) {
        prices.use(new PriceForm("EUR", "20", false, "0.05", "68", "45", "85", "30"), Set.of(), owner);
        prices.use(
                List.of(
                        price(Operation.CUT, null, 1, 2, Price.Per.CASTING, "70"),
                        price(Operation.CUT, null, 3, 6, Price.Per.CASTING, "110"),
                        price(Operation.CUT, null, 7, Price.MOST_CYLINDERS, Price.Per.CASTING, "160"),
                        price(Operation.GUIDE_WORK, null, 1, Price.MOST_CYLINDERS, Price.Per.PIECE, "14.50"),
                        price(Operation.SEAT_WORK, null, 1, Price.MOST_CYLINDERS, Price.Per.PIECE, "11"),
                        price(Operation.INSERT, null, 1, Price.MOST_CYLINDERS, Price.Per.PIECE, "24"),
                        price(Operation.PRESSURE_TEST, Material.CAST_IRON, 1, 6, Price.Per.CASTING, "65"),
                        price(Operation.PRESSURE_TEST, Material.ALUMINIUM, 1, 6, Price.Per.CASTING, "58")),
                owner);
    }
}

package homalon.app.shop.prices;

import java.util.List;
import org.joda.money.CurrencyUnit;

/** Which castings have sums that stand in a currency and are still to be paid. */
public interface SumsInUse {
    /** Their tags, a few of them. */
    List<String> in(CurrencyUnit currency);
}

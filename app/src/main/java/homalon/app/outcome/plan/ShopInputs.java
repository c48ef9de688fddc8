package homalon.app.outcome.plan;

import homalon.app.foundation.settings.ShopSettings;
import homalon.app.outcome.times.TimesBook;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.ShopTimes;
import homalon.core.quantity.LengthWriter;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What of a bench day is the shop's and no casting's. */
@Component
@RequiredArgsConstructor
class ShopInputs {
    private final CrewBook crews;
    private final TimesBook times;
    private final ShopSettings settings;

    ShopCrew crew() {
        return crews.crew();
    }

    /** How long works take here, as far as the shop has its own. */
    ShopTimes times() {
        return times.now();
    }

    /** Nobody reads what it writes: the steps of a casting are asked with one. */
    LengthWriter writer() {
        return new LengthWriter(
                settings.unit(), false, settings.history().now().paper().days());
    }
}

package homalon.app.outcome.plan;

import homalon.app.foundation.settings.ShopSettings;
import homalon.app.foundation.web.Shop;
import homalon.app.outcome.times.TimesBook;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.ShopTimes;
import homalon.core.bench.Weights;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import java.time.Duration;
import java.time.Instant;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What of a bench day is the shop's and no casting's. */
@Component
@RequiredArgsConstructor
class ShopInputs {
    private final CrewBook crews;
    private final TimesBook times;
    private final ShopSettings settings;
    private final Shop shop;

    /** With its surfacers set up as they were left. */
    ShopCrew crew() {
        return crews.crew().after(times.lastCuts());
    }

    /** How long works take here, as far as the shop has its own. */
    ShopTimes times() {
        return times.now();
    }

    /** What was booked in under the shop's own name, or nobody's, is its own: no customer pays for it. */
    int weight(PartFile part, Instant now) {
        String whose = part.customer().strip();
        boolean own = whose.isEmpty() || whose.equalsIgnoreCase(shop.name());
        return Weights.of(own, Duration.between(part.visit().openedAt(), now).toDays());
    }

    /** Nobody reads what it writes: the steps of a casting are asked with one. */
    LengthWriter writer() {
        return new LengthWriter(
                settings.unit(), false, settings.history().now().paper().days());
    }
}

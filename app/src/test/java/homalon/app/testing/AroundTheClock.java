package homalon.app.testing;

import homalon.app.outcome.plan.DayPlans;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.Posted;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.StationKind;
import homalon.core.hours.Stretch;
import homalon.core.hours.WeekHours;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The sample shop, open around the clock so that it has a bench day whenever a test runs. */
public record AroundTheClock(RunningShop.Shop shop, Visitor ines, Visitor marit, HandsOfTests hands) {
    public static final WeekHours ALWAYS = new WeekHours(Arrays.stream(DayOfWeek.values())
            .collect(Collectors.toMap(Function.identity(), d -> List.of(new Stretch(0, 24 * 60)))));

    public static AroundTheClock open() {
        RunningShop.Shop shop = RunningShop.sample(OwnDatabase.sampled());
        shop.bean(CrewBook.class).useHours(ALWAYS);
        return new AroundTheClock(
                shop,
                Visitor.signedIn(shop.port(), "ines"),
                Visitor.signedIn(shop.port(), "marit"),
                new HandsOfTests(shop));
    }

    public Posted plan() {
        shop.bean(DayPlans.class).look();
        return shop.bean(DayPlans.class).now().posted();
    }

    public static Posted.Line line(Posted plan, String work) {
        return plan.line(work).orElseThrow(() -> new AssertionError(work + " of " + plan.told()));
    }

    public String surfacer() {
        return shop.bean(CrewBook.class).posts().stream()
                .filter(p -> p.kind() == StationKind.SURFACER)
                .map(ShopCrew.Post::id)
                .findFirst()
                .orElseThrow();
    }

    public static String id() {
        return UUID.randomUUID().toString();
    }
}

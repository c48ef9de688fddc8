package homalon.app.outcome.estimate;

import homalon.app.machining.chambers.ChamberReport;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.outcome.plan.FoundBefore;
import homalon.core.cut.Budgets;
import homalon.core.money.Compared;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What is known of a casting that weighs when it is laid beside another. */
@Component
@RequiredArgsConstructor
class Beside {
    private final FoundBefore before;
    private final ChamberReport metal;
    private final DayPlans plans;
    private final Clock clock;

    Compared compared(PartFile part, Grower.Grown grown, List<Others.Kept> others, int more) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        return Compared.of(
                grown.list(),
                new Compared.Repair(
                        grown.estimate(), grown.risks(), more, ready(part), left(part), OptionalInt.empty()),
                others.stream()
                        .map(Others.Kept::casting)
                        .map(o -> new Compared.Instead(
                                o,
                                o.risks(grown.list(), part.material(), grown.size(), before.now()),
                                today.plusDays(o.daysToReady())))
                        .toList());
    }

    /** By when it is ready in 80 of 100. */
    private Optional<LocalDate> ready(PartFile part) {
        return Optional.ofNullable(plans.posted().ready().get(part.tag()))
                .filter(r -> !r.past())
                .map(r -> LocalDate.ofInstant(r.most(), ZoneId.systemDefault()));
    }

    /** What the cut that it needs leaves of what may come off. */
    private Optional<Length> left(PartFile part) {
        Budgets budgets = metal.budgets(part);
        double need =
                budgets.needs().stream().mapToDouble(Budgets.Need::depth).max().orElse(0);
        return budgets.mayComeOff().isPresent()
                ? Optional.of(
                        Length.roundedFromMm(Math.max(0, budgets.mayComeOff().getAsDouble() - need)))
                : Optional.empty();
    }
}

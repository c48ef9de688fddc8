package homalon.app.outcome.estimate;

import homalon.app.machining.chambers.ChamberReport;
import homalon.app.outcome.plan.Awaits;
import homalon.app.outcome.plan.DayPlans;
import homalon.core.bench.PromiseCheck;
import homalon.core.money.AskPoint;
import homalon.core.money.Asking;
import homalon.core.money.Estimate;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What tells of a casting that its customer wants to know. */
@Component
@RequiredArgsConstructor
class AskSigns {
    private final ChamberReport metal;
    private final Awaits awaits;
    private final DayPlans plans;
    private final Clock clock;

    /** @param points none else is looked at: each of them takes its time */
    Asking.Stand of(PartFile part, Estimate estimate, Set<AskPoint> points) {
        boolean looked = estimate.lines().stream().anyMatch(l -> l.key().equals(Estimate.LOOK) && l.done());
        boolean works = estimate.rest().lines().stream()
                .anyMatch(l -> l.kind() == Estimate.Kind.WORK || l.kind() == Estimate.Kind.OUTSIDE);
        return new Asking.Stand(
                looked,
                works,
                works && points.contains(AskPoint.METAL) && !metal.budgets(part).enough(),
                works && points.contains(AskPoint.PROMISE) && broken(part));
    }

    private boolean broken(PartFile part) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        return part.visit()
                .promised()
                .map(day -> PromiseCheck.of(
                        day,
                        awaits.of(List.of(part), today)
                                .getOrDefault(part.visit().id(), List.of()),
                        Optional.ofNullable(plans.posted().ready().get(part.tag())),
                        today,
                        ZoneId.systemDefault()))
                .filter(c -> c.state().compareTo(PromiseCheck.State.UNLIKELY) <= 0)
                .isPresent();
    }
}

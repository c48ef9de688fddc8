package homalon.app.outcome.bench;

import homalon.app.casting.part.InTheShop;
import homalon.app.casting.part.PartHead;
import homalon.app.casting.part.StepSource;
import homalon.app.foundation.web.Blanks;
import homalon.app.foundation.web.Shell;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.DayPlan;
import homalon.core.bench.Posted;
import homalon.core.bench.RouteWorks;
import homalon.core.route.Operation;
import homalon.core.route.VisitSteps;
import homalon.core.visit.PartFile;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Some of the castings on the bench: by what is next at them, where and for whom the plan has them, and whose they are. */
@Component
@RequiredArgsConstructor
class BenchFilter {
    private final InTheShop shop;
    private final StepSource steps;
    private final DayPlans plans;
    private final CrewBook crews;

    /**
     * What is asked for, as it stands in an address; blank for all.
     *
     * @param choose there where the choices are asked for
     * @param step an operation, by its name
     */
    record Only(
            @Nullable String choose,
            @Nullable String step,
            @Nullable String station,
            @Nullable String person,
            @Nullable String customer) {
        /** The bench itself asks the database for no choices that nobody wants. */
        public boolean open() {
            return choose != null || any();
        }

        public boolean any() {
            return !(Blanks.of(step) + Blanks.of(station) + Blanks.of(person) + Blanks.of(customer)).isBlank();
        }
    }

    record Choice(String id, String name) {}

    record Choices(List<Operation> steps, List<Choice> stations, List<Choice> people) {}

    Choices choices() {
        return new Choices(
                Arrays.asList(Operation.values()),
                crews.posts().stream().map(p -> new Choice(p.id(), p.name())).toList(),
                crews.workers().stream()
                        .filter(CrewBook.Worker::atBench)
                        .map(w -> new Choice(
                                w.person().id().toString(), w.person().name()))
                        .toList());
    }

    /** What the plan has, where a place in it is asked for; asked before anything is read, since it may have to be made. */
    Posted plan(Only only) {
        return Blanks.of(only.station()).isBlank() && Blanks.of(only.person()).isBlank()
                ? Posted.NOTHING
                : plans.now().posted();
    }

    /** Of the castings that are due first, whether they wait or not; no more than a plan holds. */
    List<PartFile> of(Only only, Posted plan, Shell shell) {
        List<PartFile> parts = shop.firstDue(DayPlan.CASTINGS);
        String customer = Blanks.of(only.customer()).strip().toLowerCase(Locale.ROOT);
        if (!customer.isEmpty()) {
            parts = parts.stream()
                    .filter(p -> p.customer().toLowerCase(Locale.ROOT).contains(customer))
                    .toList();
        }
        if (!Blanks.of(only.station()).isBlank() || !Blanks.of(only.person()).isBlank()) {
            Set<String> planned = planned(only, plan);
            parts = parts.stream().filter(p -> planned.contains(p.tag())).toList();
        }
        String step = Blanks.of(only.step());
        if (!step.isBlank()) {
            Map<UUID, VisitSteps.Standing> all = steps.steps(parts, shell.writer());
            parts = parts.stream()
                    .filter(p -> PartHead.next(all.get(p.visit().id()).strip())
                            .kind()
                            .operation()
                            .filter(o -> o.name().equals(step))
                            .isPresent())
                    .toList();
        }
        return parts;
    }

    /** Tags of castings of which some work is planned there. */
    private static Set<String> planned(Only only, Posted plan) {
        return plan.lines().stream()
                .filter(l -> fits(l, Blanks.of(only.station()), Blanks.of(only.person())))
                .map(l -> RouteWorks.casting(l.told().work()))
                .collect(Collectors.toSet());
    }

    private static boolean fits(Posted.Line line, String station, String person) {
        return (station.isBlank() || line.told().station().equals(station))
                && (person.isBlank()
                        || line.told().parts().stream().anyMatch(p -> p.person().equals(person)));
    }
}

package homalon.app.outcome.day;

import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.PlanWords;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What stands on every page of a plan: the day, when it was made, what is late and what has no place. */
@Component
@RequiredArgsConstructor
class DayHead {
    private static final int AT_MOST = 14;

    private final CrewBook crews;
    private final DayWords words;

    /** @param done when it is */
    record Late(String tag, String done) {}

    void show(Page page, DayPlans.Plan plan, Instant now) {
        UnaryOperator<String> names = words.names();
        page.show("today", page.shell().days().withWeekday(LocalDate.ofInstant(now, DayWords.zone())));
        page.show("clock", DayWords.clock(now));
        page.show("planned", plan.madeAt().isPresent());
        page.show(
                "made",
                plan.madeAt().map(at -> "planned at " + DayWords.clock(at)).orElse("not planned yet: look again soon"));
        List<String> stands = new ArrayList<>();
        if (plan.posted().beyond() > 0) {
            stands.add(Words.of(PlanWords.beyond(plan.posted().beyond())));
        }
        plan.posted().stands().forEach(h -> stands.add(Words.of(PlanWords.stands(h, names))));
        plan.posted()
                .unkept()
                .forEach(u -> stands.add(Words.of(PlanWords.unkept(u, names, at -> DayWords.moment(at, page)))));
        plan.posted().left().forEach(w -> stands.add(Words.of(PlanWords.left(w))));
        page.show("stands", stands.subList(0, Math.min(AT_MOST, stands.size())));
        page.show("standsMore", Math.max(0, stands.size() - AT_MOST));
        page.show(
                "late",
                plan.posted().late().entrySet().stream()
                        .sorted(Map.Entry.comparingByValue())
                        .map(e -> new Late(e.getKey(), DayWords.moment(e.getValue(), page)))
                        .toList());
        page.show("gap", Words.of(PlanWords.gap(plan.posted())));
        page.show("ownHours", crews.ownHours().isPresent() && crews.ownStations());
    }
}

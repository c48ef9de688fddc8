package homalon.app.outcome.day;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.PlanWords;
import homalon.core.bench.Posted;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is next for one person. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class DayController {
    private final DayPlans plans;
    private final CrewBook crews;
    private final DayHead head;
    private final DayItems items;
    private final Clock clock;

    /** One who may be looked at. */
    record Who(UUID id, String name, boolean chosen) {}

    @GetMapping("/day")
    String mine(Page page, @RequestParam Optional<UUID> who) {
        DayPlans.Plan plan = plans.now();
        return page.read(() -> {
            Instant now = clock.instant();
            UUID whose = who.orElseGet(page::me);
            List<CrewBook.Worker> workers = crews.workers();
            CrewBook.Worker worker = workers.stream()
                    .filter(w -> w.person().id().equals(whose))
                    .findFirst()
                    .orElseThrow(
                            () -> new NotHereException("Nobody of that name works here: choose somebody on the page."));
            page.show(
                    "people",
                    workers.stream()
                            .filter(CrewBook.Worker::atBench)
                            .map(w -> new Who(
                                    w.person().id(),
                                    w.person().name(),
                                    w.person().id().equals(whose)))
                            .toList());
            page.show("name", worker.person().name());
            page.show("atBench", worker.atBench());
            head.show(page, plan, now);
            List<Posted.Turn> all = plan.posted().of(whose.toString(), now);
            LocalDate today = LocalDate.ofInstant(now, DayWords.zone());
            // In the evening it is the next day that somebody looks for.
            LocalDate day = DayItems.first(all.stream(), today);
            page.show("day", page.shell().days().withWeekday(day));
            page.show("later", day.isAfter(today));
            page.show("items", items.of(all, day, page, plan.posted()));
            page.show(
                    "then",
                    all.stream()
                            .filter(t -> LocalDate.ofInstant(t.from(), DayWords.zone())
                                    .isAfter(day))
                            .findFirst()
                            .map(t -> then(t, page))
                            .orElse(""));
            return "outcome/day/mine";
        });
    }

    /** One person's part of the day sheet. */
    record Sheet(String name, List<DayItems.Item> items) {}

    /** The day on paper: everybody's list, to be hung up; in the evening that of the next day. */
    @GetMapping("/day/sheet")
    String sheet(
            Page page,
            @RequestParam Optional<UUID> who,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) Optional<LocalDate> day) {
        DayPlans.Plan plan = plans.now();
        return page.read(() -> {
            Instant now = clock.instant();
            LocalDate today = LocalDate.ofInstant(now, DayWords.zone());
            head.show(page, plan, now);
            Map<PersonInfo, List<Posted.Turn>> turns = new LinkedHashMap<>();
            crews.workers().stream()
                    .filter(CrewBook.Worker::atBench)
                    .map(CrewBook.Worker::person)
                    .filter(p -> who.isEmpty() || p.id().equals(who.get()))
                    .forEach(p -> turns.put(p, plan.posted().of(p.id().toString(), now)));
            LocalDate shown = day.filter(d -> !d.isBefore(today))
                    .orElseGet(() -> DayItems.first(turns.values().stream().flatMap(List::stream), today));
            page.show("day", page.shell().days().withWeekday(shown));
            page.show("later", shown.isAfter(today));
            page.show("next", next(turns.values(), shown));
            page.show(
                    "sheets",
                    turns.entrySet().stream()
                            .map(e -> new Sheet(e.getKey().name(), items.of(e.getValue(), shown, page, plan.posted())))
                            .toList());
            return "outcome/day/sheet";
        });
    }

    /** The next day on which somebody has something to do; empty for none. */
    private static String next(Collection<List<Posted.Turn>> turns, LocalDate after) {
        return turns.stream()
                .flatMap(List::stream)
                .map(t -> LocalDate.ofInstant(t.from(), DayWords.zone()))
                .filter(d -> d.isAfter(after))
                .min(Comparator.naturalOrder())
                .map(LocalDate::toString)
                .orElse("");
    }

    private static String then(Posted.Turn turn, Page page) {
        String work = turn.line().told().work();
        return "Then " + DayWords.moment(turn.from(), page) + ": " + Words.of(PlanWords.work(work)) + ".";
    }
}

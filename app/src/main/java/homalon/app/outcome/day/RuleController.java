package homalon.app.outcome.day;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Blanks;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.PlanWords;
import homalon.core.bench.Posted;
import homalon.core.bench.RouteWorks;
import homalon.core.bench.WhatIf;
import homalon.core.input.RefusedInputException;
import homalon.core.route.Operation;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZonedDateTime;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The rule: hours as its marks, with every station or person on it; why a work is not earlier, what if, and a station that is down. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class RuleController {
    private final DayPlans plans;
    private final CrewBook crews;
    private final DayRule rule;
    private final DayHead head;
    private final DayWords words;
    private final Clock clock;

    /** One who may be looked at. */
    record Who(UUID id, String name) {}

    @GetMapping("/day/rule")
    String rule(
            Page page,
            @RequestParam(defaultValue = "stations") String by,
            @RequestParam(defaultValue = "1") int days,
            @RequestParam Optional<String> work,
            @ModelAttribute Tried tried) {
        Optional<WhatIf> what = tried.what(LocalDate.ofInstant(clock.instant(), DayWords.zone()));
        DayPlans.Plan plan = what.map(w -> new DayPlans.Plan(plans.tried(w), clock.instant()))
                .orElseGet(plans::now);
        page.show("tried", what.isPresent());
        return rule(page, by, days, work, plan, null);
    }

    /**
     * What if, as it stands in an address; what is empty, or is no day, is not tried.
     *
     * @param until the last day, as a browser writes it
     */
    record Tried(
            @Nullable String down,
            @Nullable String away,
            @Nullable String rush,
            @Nullable String until) {
        Optional<WhatIf> what(LocalDate today) {
            LocalDate last;
            try {
                last = Blanks.of(until).isBlank()
                        ? today
                        : LocalDate.parse(Blanks.of(until).strip());
            } catch (DateTimeParseException e) {
                last = today;
            }
            boolean odd = last.isBefore(today) || last.isAfter(today.plusYears(1));
            WhatIf what = new WhatIf(said(down), said(away), said(rush), odd ? today : last);
            return what.nothing() ? Optional.empty() : Optional.of(what);
        }

        private static Optional<String> said(@Nullable String one) {
            return Optional.of(Blanks.of(one).strip()).filter(s -> !s.isEmpty());
        }
    }

    private String rule(
            Page page, String by, int days, Optional<String> work, DayPlans.Plan plan, @Nullable String said) {
        return page.read(() -> {
            Instant now = clock.instant();
            boolean people = by.equals("people");
            int shown = days == 1 ? 1 : DayRule.WEEK;
            head.show(page, plan, now);
            page.show("by", people ? "people" : "stations");
            page.show("days", shown);
            Optional<Posted.Line> chosen = work.flatMap(plan.posted()::line);
            page.show(
                    "drawing",
                    rule.svg(
                            plan.posted(),
                            now,
                            shown,
                            people,
                            chosen.map(l -> l.told().work())));
            page.show("chosen", chosen.map(l -> chosen(l, plan.posted(), page)).orElse(null));
            page.show("stations", crews.posts());
            page.show(
                    "hands",
                    crews.workers().stream()
                            .filter(CrewBook.Worker::atBench)
                            .map(w -> new Who(w.person().id(), w.person().name()))
                            .toList());
            page.show("tags", tags(plan.posted()));
            page.show(
                    "moved",
                    plan.posted().moved().stream().map(c -> moved(c, page)).toList());
            page.show("rows", plan.posted().inARow(Operation.CUT));
            page.show("down", crews.down().stream().map(d -> down(d, page)).toList());
            page.show("said", said);
            return "outcome/day/rule";
        });
    }

    private static List<String> tags(Posted posted) {
        return posted.told().stream()
                .map(t -> RouteWorks.casting(t.work()))
                .distinct()
                .sorted()
                .toList();
    }

    private String moved(Posted.Move move, Page page) {
        String work = Words.of(PlanWords.work(move.work())) + ": ";
        if (move.begins().equals(move.was())) {
            return work + DayWords.moment(move.was(), page) + " as before, in other hands or on another station.";
        }
        return work + "from " + DayWords.moment(move.was(), page) + " to " + DayWords.moment(move.begins(), page) + "."
                + (move.begins().isAfter(move.was()) ? " " + Words.of(PlanWords.why(move.why(), words.names())) : "");
    }

    /**
     * A work that is looked at.
     *
     * @param chain why it is not earlier, link by link
     * @param slack how much later it could be
     */
    record Chosen(
            String work,
            String tag,
            String title,
            String when,
            String where,
            List<String> chain,
            String slack,
            String path) {}

    private Chosen chosen(Posted.Line line, Posted posted, Page page) {
        UnaryOperator<String> names = words.names();
        String work = line.told().work();
        String who = line.told().parts().stream()
                .map(p -> p.person())
                .filter(p -> !p.isEmpty())
                .distinct()
                .map(names)
                .collect(Collectors.joining(", "));
        String station = line.told().station();
        List<String> chain = words.chain(posted, work);
        return new Chosen(
                work,
                RouteWorks.casting(work),
                Words.of(PlanWords.work(work)),
                DayWords.moment(line.told().from(), page) + " to "
                        + DayWords.moment(line.told().to(), page),
                (station.isEmpty() ? "outside the shop" : names.apply(station)) + (who.isEmpty() ? "" : " · " + who),
                chain,
                line.slack() == Posted.FREE
                        ? "No promise hangs on it."
                        : "It could be " + line.slack() + " open minutes later without breaking a promise.",
                DayWords.path(RouteWorks.casting(work), RouteWorks.operation(work)));
    }

    /** A station that is down. */
    record Down(UUID id, String name, String until, String why) {}

    private Down down(CrewBook.SaidDown said, Page page) {
        return new Down(
                said.id(),
                words.names().apply(said.station()),
                said.down().to().map(t -> "until " + DayWords.moment(t, page)).orElse("until it is said to be mended"),
                said.why());
    }

    /** A station cannot be used from now on; the day is planned anew at once. */
    @ToMachinists
    @PostMapping("/day/down")
    String down(
            Page page,
            @RequestParam UUID id,
            @RequestParam String station,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE_TIME) Optional<LocalDateTime> to,
            @RequestParam(defaultValue = "") String why) {
        return changed(
                page,
                "The day is planned without it.",
                () -> crews.down(
                        id,
                        station,
                        to.map(t -> t.atZone(DayWords.zone())).map(ZonedDateTime::toInstant),
                        why,
                        page.me()));
    }

    @ToMachinists
    @PostMapping("/day/up")
    String up(Page page, @RequestParam UUID down) {
        return changed(page, "The day is planned with it again.", () -> crews.up(down));
    }

    private String changed(Page page, String done, Runnable change) {
        try {
            change.run();
            plans.look();
            return rule(page, "stations", 1, Optional.empty(), plans.now(), done);
        } catch (RefusedInputException e) {
            page.unprocessable();
            return rule(page, "stations", 1, Optional.empty(), plans.now(), Words.of(e.sentence()));
        }
    }
}

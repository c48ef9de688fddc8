package homalon.app.outcome.day;

import homalon.app.casting.part.StepPages;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Blanks;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.PlanWords;
import homalon.core.bench.Posted;
import homalon.core.bench.RouteWorks;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.WhatIf;
import homalon.core.input.RefusedInputException;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.util.StringUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is next for the shop: one person's day, and the rule with every station or person on it. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class DayController {
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm", Locale.ENGLISH);
    private static final int AT_MOST = 14;

    private final DayPlans plans;
    private final CrewBook crews;
    private final DayRule rule;
    private final Clock clock;

    /** One who may be looked at. */
    record Who(UUID id, String name, boolean chosen) {}

    /**
     * Something to do.
     *
     * @param when in the style of the page: {@code now}, {@code next}, {@code later}
     * @param parted what stands before it where a break lies between: {@code After 12:45}; else empty
     */
    record Item(
            String when,
            String parted,
            String clock,
            String tag,
            String todo,
            String where,
            String minutes,
            String setUp,
            String why,
            String path,
            String work) {}

    private static ZoneId zone() {
        return ZoneId.systemDefault();
    }

    private static String clock(Instant at) {
        return CLOCK.format(at.atZone(zone()));
    }

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
            show(page, plan, now);
            List<Posted.Turn> all = plan.posted().of(whose.toString(), now);
            LocalDate today = LocalDate.ofInstant(now, zone());
            page.show("items", items(all, today, page, plan.posted()));
            page.show(
                    "then",
                    all.stream()
                            .filter(t -> !LocalDate.ofInstant(t.from(), zone()).equals(today))
                            .findFirst()
                            .map(t -> then(t, page))
                            .orElse(""));
            return "outcome/day/mine";
        });
    }

    private void show(Page page, DayPlans.Plan plan, Instant now) {
        UnaryOperator<String> names = names();
        page.show("today", page.shell().days().withWeekday(LocalDate.ofInstant(now, zone())));
        page.show("clock", clock(now));
        page.show("made", clock(plan.madeAt()));
        List<String> stands = new ArrayList<>();
        plan.posted().stands().forEach(h -> stands.add(Words.of(PlanWords.stands(h, names))));
        plan.posted().left().forEach(w -> stands.add(Words.of(PlanWords.left(w))));
        if (plan.posted().beyond() > 0) {
            stands.add(0, Words.of(PlanWords.beyond(plan.posted().beyond())));
        }
        page.show("stands", stands.subList(0, Math.min(AT_MOST, stands.size())));
        page.show("standsMore", Math.max(0, stands.size() - AT_MOST));
        page.show(
                "late",
                plan.posted().late().entrySet().stream()
                        .sorted(Map.Entry.comparingByValue())
                        .map(e -> new Late(e.getKey(), moment(e.getValue(), page)))
                        .toList());
        page.show("ownHours", crews.ownHours().isPresent() && crews.ownStations());
    }

    /** @param done when it is */
    record Late(String tag, String done) {}

    private static String moment(Instant at, Page page) {
        return page.shell().days().moment(LocalDateTime.ofInstant(at, zone()));
    }

    /** Names of stations and people, by what a plan calls them. */
    private UnaryOperator<String> names() {
        Map<String, String> all =
                crews.posts().stream().collect(Collectors.toMap(ShopCrew.Post::id, ShopCrew.Post::name));
        crews.workers()
                .forEach(w -> all.put(w.person().id().toString(), w.person().name()));
        return id -> all.getOrDefault(id, id);
    }

    private List<Item> items(List<Posted.Turn> turns, LocalDate today, Page page, Posted posted) {
        UnaryOperator<String> names = names();
        List<Item> items = new ArrayList<>();
        List<Opening> openings = openings(today);
        Optional<Opening> in = Optional.empty();
        for (Posted.Turn turn : turns) {
            if (!LocalDate.ofInstant(turn.from(), zone()).equals(today)) {
                break;
            }
            Optional<Opening> next = openings.stream()
                    .filter(o -> !turn.from().isBefore(o.from()) && turn.from().isBefore(o.to()))
                    .findFirst();
            boolean parted = in.isPresent() && next.isPresent() && !in.equals(next);
            items.add(item(turn, parted ? "After " + clock(next.get().from()) : "", names, page, posted));
            in = next.isPresent() ? next : in;
        }
        return items;
    }

    private record Opening(Instant from, Instant to) {}

    private List<Opening> openings(LocalDate today) {
        Instant from = today.atStartOfDay(zone()).toInstant();
        Instant to = today.plusDays(1).atStartOfDay(zone()).toInstant();
        return crews.crew().hours().between(from, to, zone()).stream()
                .map(s -> new Opening(from.plus(Duration.ofMinutes(s.from())), from.plus(Duration.ofMinutes(s.to()))))
                .toList();
    }

    private Item item(Posted.Turn turn, String parted, UnaryOperator<String> names, Page page, Posted posted) {
        String work = turn.line().told().work();
        String tag = RouteWorks.casting(work);
        Operation operation = RouteWorks.operation(work);
        int pieces = turn.line().told().parts().size();
        boolean first = turn.piece() == 0;
        String todo = StringUtils.capitalize(Words.of(operation.words())) + (first ? "" : pieces > 1 ? ", go on" : "");
        String station = turn.line().told().station();
        Instant begins = turn.from().minus(Duration.ofMinutes(turn.setUp()));
        long minutes = Duration.between(begins, turn.to()).toMinutes();
        String late = posted.late().containsKey(tag)
                ? "late: done " + moment(posted.late().get(tag), page)
                : "";
        return new Item(
                turn.when().name().toLowerCase(Locale.ROOT),
                parted,
                clock(begins) + "–" + clock(turn.to()),
                tag,
                todo,
                station.isEmpty() ? "outside the shop" : names.apply(station),
                minutes + " min",
                turn.setUp() > 0 ? "with " + turn.setUp() + " min to set it up" : "",
                late,
                path(tag, operation),
                work);
    }

    private static String then(Posted.Turn turn, Page page) {
        String work = turn.line().told().work();
        return "Then " + moment(turn.from(), page) + ": " + Words.of(PlanWords.work(work)) + ".";
    }

    /** The page on which an operation is keyed. */
    private static String path(String tag, Operation operation) {
        return "/parts/" + tag + "/"
                + Arrays.stream(StepKind.values())
                        .filter(k -> k.operation().equals(Optional.of(operation)))
                        .findFirst()
                        .map(StepPages::path)
                        .orElse("route");
    }

    @GetMapping("/day/rule")
    String rule(
            Page page,
            @RequestParam(defaultValue = "stations") String by,
            @RequestParam(defaultValue = "1") int days,
            @RequestParam Optional<String> work,
            @ModelAttribute Tried tried) {
        Optional<WhatIf> what = tried.what(LocalDate.ofInstant(clock.instant(), zone()));
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
            show(page, plan, now);
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
                            .map(w -> new Who(w.person().id(), w.person().name(), false))
                            .toList());
            page.show("tags", tags(plan.posted()));
            page.show(
                    "moved",
                    plan.posted().moved().stream().map(c -> moved(c, page)).toList());
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
            return work + moment(move.was(), page) + " as before, in other hands or on another station.";
        }
        return work + "from " + moment(move.was(), page) + " to " + moment(move.begins(), page) + "."
                + (move.begins().isAfter(move.was()) ? " " + Words.of(PlanWords.why(move.why(), names())) : "");
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
        UnaryOperator<String> names = names();
        String work = line.told().work();
        String who = line.told().parts().stream()
                .map(p -> p.person())
                .filter(p -> !p.isEmpty())
                .distinct()
                .map(names)
                .collect(Collectors.joining(", "));
        String station = line.told().station();
        List<String> chain = posted.chain(work).stream()
                .map(l ->
                        (l.work().equals(work) ? "" : StringUtils.capitalize(Words.of(PlanWords.work(l.work()))) + ": ")
                                + Words.of(PlanWords.why(l, names)))
                .toList();
        return new Chosen(
                work,
                RouteWorks.casting(work),
                Words.of(PlanWords.work(work)),
                moment(line.told().from(), page) + " to " + moment(line.told().to(), page),
                (station.isEmpty() ? "outside the shop" : names.apply(station)) + (who.isEmpty() ? "" : " · " + who),
                chain,
                line.slack() == Posted.FREE
                        ? "No promise hangs on it."
                        : "It could be " + line.slack() + " open minutes later without breaking a promise.",
                path(RouteWorks.casting(work), RouteWorks.operation(work)));
    }

    /** A station that is down. */
    record Down(UUID id, String name, String until, String why) {}

    private Down down(CrewBook.SaidDown said, Page page) {
        return new Down(
                said.id(),
                names().apply(said.station()),
                said.down().to().map(t -> "until " + moment(t, page)).orElse("until it is said to be mended"),
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
                        id, station, to.map(t -> t.atZone(zone())).map(ZonedDateTime::toInstant), why, page.me()));
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

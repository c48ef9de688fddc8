package homalon.app.outcome.bench;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.InTheShop;
import homalon.app.casting.part.PartHead;
import homalon.app.casting.part.StepPages;
import homalon.app.casting.part.StepSource;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.web.Shell;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.quantity.DayForm;
import homalon.core.route.Step;
import homalon.core.route.VisitSteps;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers at one glance: what do I do next, what is stuck and on whom, what is late. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class BenchController {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE", Locale.ENGLISH);

    /** More are fetched when the end of the list comes in sight. */
    private static final int AT_ONCE = 30;

    private static final int STUCK_AT_ONCE = 8;
    private static final int GONE = 6;
    private static final int STUCK_ON_A_PAGE = 50;
    private static final int MOST_PAGES = 10_000;

    private final InTheShop shop;
    private final StepSource steps;
    private final BenchPictures pictures;
    private final Ledgers ledgers;
    private final Surveys surveys;
    private final Clock clock;
    private final Backups backups;

    /**
     * One part to work on.
     *
     * @param key that opens it; 0 for none
     */
    record Next(
            int key,
            String tag,
            String name,
            String todo,
            String detail,
            String life,
            String due,
            boolean late,
            String path,
            String drawing) {}

    /** One part that waits. */
    record Held(String tag, String name, String why, String since) {}

    /**
     * Parts that wait for the same.
     *
     * @param more that are not shown
     */
    record HeldOn(String words, String path, List<Held> parts, long more) {}

    /** One part that left. */
    record Gone(String tag, String name, String when, String life) {}

    /** @param after the visit after which the list goes on, as the page asks for when its end is in sight */
    @GetMapping("/")
    String page(
            Page page,
            @RequestParam Optional<UUID> after,
            @RequestHeader(name = "HX-Request", required = false) String swap) {
        return page.read(() -> {
            LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
            if (after.isPresent() && swap != null) {
                List<PartFile> free = shop.after(after.get(), AT_ONCE + 1);
                rows(page, free, books(free), false, today);
                return "outcome/bench/bench :: rows";
            }
            InTheShop.Bench bench = shop.bench(today, after, AT_ONCE + 1, STUCK_AT_ONCE, GONE);
            Map<UUID, LedgerFile> books = books(
                    Stream.concat(bench.free().stream(), bench.gone().stream()).toList());
            rows(page, bench.free(), books, after.isEmpty(), today);
            return show(page, bench, books, today);
        });
    }

    private Map<UUID, LedgerFile> books(List<PartFile> of) {
        return ledgers.ofParts(of.stream().map(PartFile::id).toList());
    }

    private void rows(Page page, List<PartFile> free, Map<UUID, LedgerFile> books, boolean first, LocalDate today) {
        List<PartFile> shown = free.subList(0, Math.min(AT_ONCE, free.size()));
        page.show("next", next(shown, books, first, page.shell(), today));
        page.show("after", free.size() > AT_ONCE ? free.get(AT_ONCE - 1).visit().id() : null);
    }

    private String show(Page page, InTheShop.Bench bench, Map<UUID, LedgerFile> books, LocalDate today) {
        InTheShop.Count count = bench.count();
        page.show("held", held(bench, today));
        page.show("gone", gone(bench.gone(), books, page.shell()));
        page.show("backup", page.shell().owner() ? backups.warning().orElse(null) : null);
        page.show(
                "summary",
                page.shell().days().withWeekday(today) + " · " + count.free() + " to do, " + count.waiting()
                        + " stuck, " + (count.late() == 0 ? "none late" : count.late() + " late"));
        return "outcome/bench/bench";
    }

    /** All that waits for the same, page by page. */
    @GetMapping("/stuck/{on}")
    String stuck(
            Page page,
            @PathVariable String on,
            @RequestParam(name = "page", defaultValue = "0") int lot,
            @RequestHeader(name = "HX-Request", required = false) String swap) {
        StuckOn whom = Arrays.stream(StuckOn.values())
                .filter(s -> s.name().equalsIgnoreCase(on))
                .findFirst()
                .orElseThrow(() -> new NotHereException("Nothing waits for that: go back to the bench."));
        if (lot < 0 || lot > MOST_PAGES) {
            throw new BadInputException("page", "app.bench.page-0-to", MOST_PAGES);
        }
        return page.read(() -> {
            LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
            List<Held> those = held(shop.stuck(whom, lot * STUCK_ON_A_PAGE, STUCK_ON_A_PAGE + 1), today);
            boolean more = those.size() > STUCK_ON_A_PAGE;
            page.show("words", Words.of(whom.words()));
            page.show("path", path(whom));
            page.show("those", more ? those.subList(0, STUCK_ON_A_PAGE) : those);
            page.show("more", more ? lot + 1 : null);
            return swap == null ? "outcome/bench/stuck" : "outcome/bench/stuck :: rows";
        });
    }

    private List<Next> next(
            List<PartFile> free, Map<UUID, LedgerFile> books, boolean first, Shell shell, LocalDate today) {
        Map<UUID, VisitSteps.Standing> all = steps.steps(free, shell.writer());
        Map<UUID, SurveyFile> read = surveys
                .ofVisits(free.stream().map(p -> p.visit().id()).toList())
                .stream()
                .filter(s -> s.kind().ofHeights() && s.read() > 0)
                .collect(Collectors.toMap(SurveyFile::visit, Function.identity(), BenchController::later));
        List<Next> next = new ArrayList<>();
        for (PartFile part : free) {
            Step step = PartHead.next(all.get(part.visit().id()).strip());
            var totals = books.get(part.id()).ledger().totals(part.visit().id());
            String life = totals.life().signum() > 0 ? shell.writer().full(totals.life()) + " taken in its life" : "";
            Optional<LocalDate> due = part.visit().due();
            next.add(new Next(
                    first ? next.size() + 1 : 0,
                    part.tag(),
                    part.name(),
                    Words.of(step.todo()),
                    Words.of(step.detail()),
                    life,
                    due.map(d -> dueWords(d, today, shell.days())).orElse(""),
                    due.filter(d -> d.isBefore(today)).isPresent(),
                    "/parts/" + part.tag() + "/" + StepPages.path(step.kind()),
                    pictures.of(part, Optional.ofNullable(read.get(part.visit().id())), shell.unit())));
        }
        return next;
    }

    /** Once it is read again after the cut, the face looks as it was read then. */
    private static SurveyFile later(SurveyFile one, SurveyFile other) {
        return other.kind() == SurveyKind.PROOF ? other : one;
    }

    private static String dueWords(LocalDate due, LocalDate today, DayForm form) {
        long days = ChronoUnit.DAYS.between(today, due);
        if (days < 0) {
            return -days + (days == -1 ? " day late" : " days late");
        }
        if (days == 0) {
            return "today";
        }
        if (days == 1) {
            return "tomorrow";
        }
        return days < 7 ? DAY.format(due) : form.brief(due);
    }

    private static List<HeldOn> held(InTheShop.Bench bench, LocalDate today) {
        return bench.stuck().entrySet().stream()
                .map(s -> new HeldOn(
                        Words.of(s.getKey().words()),
                        path(s.getKey()),
                        held(s.getValue(), today),
                        bench.count().stuck().getOrDefault(s.getKey(), 0L)
                                - s.getValue().size()))
                .toList();
    }

    private static String path(StuckOn on) {
        return on.name().toLowerCase(Locale.ROOT);
    }

    private static List<Held> held(List<PartFile> parts, LocalDate today) {
        return parts.stream()
                .map(p -> {
                    PartFile.Stuck s = p.visit().stuck().orElseThrow();
                    long days = ChronoUnit.DAYS.between(s.since(), today);
                    return new Held(
                            p.tag(), p.name(), s.why(), days == 0 ? "today" : days == 1 ? "1 day" : days + " days");
                })
                .toList();
    }

    private static List<Gone> gone(List<PartFile> gone, Map<UUID, LedgerFile> books, Shell shell) {
        return gone.stream()
                .map(p -> new Gone(
                        p.tag(),
                        p.name(),
                        shell.days()
                                .brief(LocalDate.ofInstant(
                                        p.visit().releasedAt().orElseThrow(), ZoneId.systemDefault())),
                        shell.writer()
                                        .full(books.get(p.id())
                                                .ledger()
                                                .totals(p.visit().id())
                                                .life()) + " in its life"))
                .toList();
    }
}

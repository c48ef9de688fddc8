package homalon.app.outcome.bench;

import homalon.app.casting.part.InTheShop;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.web.Shell;
import homalon.app.foundation.words.Words;
import homalon.core.bench.Posted;
import homalon.core.input.BadInputException;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers at one glance: what do I do next, what is stuck and on whom, what is late. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class BenchController {
    /** More are fetched when the end of the list comes in sight. */
    private static final int AT_ONCE = 30;

    private static final int STUCK_AT_ONCE = 8;
    private static final int GONE = 6;
    private static final int STUCK_ON_A_PAGE = 50;
    private static final int MOST_PAGES = 10_000;

    private final InTheShop shop;
    private final BenchRows rows;
    private final BenchFilter filter;
    private final Clock clock;
    private final Backups backups;

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
            @ModelAttribute BenchFilter.Only only,
            @RequestHeader(name = "HX-Request", required = false) String swap) {
        Posted plan = filter.plan(only);
        return page.read(() -> {
            page.show("only", only);
            page.show("choices", only.open() ? filter.choices() : null);
            LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
            if (after.isPresent() && swap != null) {
                List<PartFile> free = shop.after(after.get(), AT_ONCE + 1);
                rows(page, free, rows.books(free), false, today);
                return "outcome/bench/bench :: rows";
            }
            if (only.any()) {
                List<PartFile> some = filter.of(only, plan, page.shell());
                InTheShop.Bench whole = shop.bench(today, after, 1, STUCK_AT_ONCE, GONE);
                Map<UUID, LedgerFile> known = rows.books(
                        Stream.concat(some.stream(), whole.gone().stream()).toList());
                page.show("next", rows.next(some, known, true, page.shell(), today));
                page.show("after", null);
                return show(page, whole, known, today);
            }
            InTheShop.Bench bench = shop.bench(today, after, AT_ONCE + 1, STUCK_AT_ONCE, GONE);
            Map<UUID, LedgerFile> books = rows.books(
                    Stream.concat(bench.free().stream(), bench.gone().stream()).toList());
            rows(page, bench.free(), books, after.isEmpty(), today);
            return show(page, bench, books, today);
        });
    }

    private void rows(Page page, List<PartFile> free, Map<UUID, LedgerFile> books, boolean first, LocalDate today) {
        List<PartFile> shown = free.subList(0, Math.min(AT_ONCE, free.size()));
        page.show("next", rows.next(shown, books, first, page.shell(), today));
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

package homalon.app.outcome.day;

import homalon.app.casting.part.InTheShop;
import homalon.app.foundation.opened.ToVisitors;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.Posted;
import homalon.core.bench.RouteWorks;
import homalon.core.visit.StuckOn;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.util.StringUtils;
import org.springframework.web.bind.annotation.GetMapping;

/**
 * The day on the wall: who is at what, the next three, what is late, how many wait on whom. Nothing of customers: it is read without signing
 * in, on a device that an owner enabled.
 */
@ToVisitors
@Controller
@RequiredArgsConstructor
class WallController {
    private static final int NEXT = 3;
    private static final int LATE = 8;

    private final DayPlans plans;
    private final CrewBook crews;
    private final DayWords words;
    private final InTheShop shop;
    private final Clock clock;

    /** @param clock empty for what somebody is at */
    record Piece(String clock, String tag, String todo, String where) {}

    /** @param now what they are at; at most one */
    record Hand(String name, List<Piece> now, List<Piece> next) {}

    record Stuck(String words, long many) {}

    @GetMapping("/wall")
    String wall(Page page) {
        if (page.shell().me() == null && !page.shell().benchDevice()) {
            return "redirect:/sign-in";
        }
        DayPlans.Plan plan = plans.now();
        return page.read(() -> {
            Instant now = clock.instant();
            LocalDate today = LocalDate.ofInstant(now, DayWords.zone());
            UnaryOperator<String> names = words.names();
            page.show("today", page.shell().days().withWeekday(today));
            page.show("clock", DayWords.clock(now));
            page.show(
                    "hands",
                    crews.workers().stream()
                            .filter(CrewBook.Worker::atBench)
                            .map(w -> hand(
                                    w.person().name(),
                                    plan.posted().of(w.person().id().toString(), now),
                                    names,
                                    today,
                                    page))
                            .toList());
            List<Map.Entry<String, Instant>> late = plan.posted().late().entrySet().stream()
                    .sorted(Map.Entry.comparingByValue())
                    .toList();
            page.show(
                    "late",
                    late.stream()
                            .limit(LATE)
                            .map(e -> e.getKey() + ", done " + DayWords.moment(e.getValue(), page))
                            .toList());
            page.show("lateMore", Math.max(0, late.size() - LATE));
            page.show(
                    "stuck",
                    Arrays.stream(StuckOn.values())
                            .map(s -> new Stuck(Words.of(s.words()), shop.manyStuck(s)))
                            .filter(s -> s.many() > 0)
                            .toList());
            return "outcome/day/wall";
        });
    }

    private static Hand hand(
            String name, List<Posted.Turn> turns, UnaryOperator<String> names, LocalDate today, Page page) {
        return new Hand(
                name,
                turns.stream()
                        .filter(t -> t.when() == Posted.When.NOW)
                        .limit(1)
                        .map(t -> piece(t, "", names))
                        .toList(),
                turns.stream()
                        .filter(t -> t.when() != Posted.When.NOW)
                        .limit(NEXT)
                        .map(t -> piece(t, when(t, today, page), names))
                        .toList());
    }

    private static String when(Posted.Turn turn, LocalDate today, Page page) {
        return LocalDate.ofInstant(turn.from(), DayWords.zone()).equals(today)
                ? DayWords.clock(turn.from())
                : DayWords.moment(turn.from(), page);
    }

    private static Piece piece(Posted.Turn turn, String clock, UnaryOperator<String> names) {
        String work = turn.line().told().work();
        String station = turn.line().told().station();
        return new Piece(
                clock,
                RouteWorks.casting(work),
                StringUtils.capitalize(Words.of(RouteWorks.operation(work).words())),
                station.isEmpty() ? "outside the shop" : names.apply(station));
    }
}

package homalon.app.outcome.day;

import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.Posted;
import homalon.core.bench.RouteWorks;
import homalon.core.route.Operation;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** One person's list of today. */
@Component
@RequiredArgsConstructor
class DayItems {
    private final CrewBook crews;
    private final DayWords words;

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

    /** The first day with something to do; today where there is none. */
    static LocalDate first(Stream<Posted.Turn> turns, LocalDate today) {
        return turns.map(t -> LocalDate.ofInstant(t.from(), DayWords.zone()))
                .map(d -> d.isBefore(today) ? today : d)
                .min(Comparator.naturalOrder())
                .orElse(today);
    }

    /**
     * @param turns of one person, the first first
     * @param day of which they are told
     */
    List<Item> of(List<Posted.Turn> turns, LocalDate day, Page page, Posted posted) {
        UnaryOperator<String> names = words.names();
        List<Item> items = new ArrayList<>();
        List<Opening> openings = openings(day);
        Optional<Opening> in = Optional.empty();
        for (Posted.Turn turn : turns) {
            if (!LocalDate.ofInstant(turn.from(), DayWords.zone()).equals(day)) {
                continue;
            }
            Optional<Opening> next = openings.stream()
                    .filter(o -> !turn.from().isBefore(o.from()) && turn.from().isBefore(o.to()))
                    .findFirst();
            boolean parted = in.isPresent() && next.isPresent() && !in.equals(next);
            items.add(item(turn, parted ? "After " + DayWords.clock(next.get().from()) : "", names, page, posted));
            in = next.isPresent() ? next : in;
        }
        return items;
    }

    private record Opening(Instant from, Instant to) {}

    private List<Opening> openings(LocalDate today) {
        Instant from = today.atStartOfDay(DayWords.zone()).toInstant();
        Instant to = today.plusDays(1).atStartOfDay(DayWords.zone()).toInstant();
        return crews.crew().hours().between(from, to, DayWords.zone()).stream()
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
                ? "late: done " + DayWords.moment(posted.late().get(tag), page)
                : "";
        return new Item(
                turn.when().name().toLowerCase(Locale.ROOT),
                parted,
                DayWords.clock(begins) + "–" + DayWords.clock(turn.to()),
                tag,
                todo,
                station.isEmpty() ? "outside the shop" : names.apply(station),
                minutes + " min",
                turn.setUp() > 0 ? "with " + turn.setUp() + " min to set it up" : "",
                late,
                DayWords.path(tag, operation),
                work);
    }
}

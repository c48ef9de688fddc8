package homalon.app.outcome.day;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.plan.PinBook;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.Pin;
import homalon.core.bench.PlanWords;
import homalon.core.bench.Posted;
import homalon.core.bench.RouteWorks;
import homalon.core.bench.StationKind;
import homalon.core.bench.UsualTimes;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** A work of the plan that is looked at: why it is not earlier, how much later it could be, and where it may be sent. */
@Component
@RequiredArgsConstructor
class ChosenWork {
    private final DayWords words;
    private final Parts parts;
    private final PinBook pins;
    private final CrewBook crews;
    private final People people;
    private final Clock clock;

    /**
     * @param chain why it is not earlier, link by link
     * @param slack how much later it could be
     * @param path on which it is keyed
     */
    record Chosen(
            String work,
            String tag,
            String title,
            String when,
            String where,
            List<String> chain,
            String slack,
            String path,
            Placing placing) {}

    /** @param chosen as it is planned or pinned now */
    record Choice(String id, String name, boolean chosen) {}

    /**
     * Where and when it may be said to be done.
     *
     * @param begins as it is planned, as a browser writes it
     * @param tomorrow likewise
     * @param stations on which it can be done; none for what is done outside the shop
     * @param people who do it; none where nobody is at it
     * @param said what is said now, and who said it; empty for nothing
     */
    record Placing(String begins, String tomorrow, List<Choice> stations, List<Choice> people, String said) {}

    Chosen of(Posted.Line line, Posted posted, Page page) {
        UnaryOperator<String> names = words.names();
        String work = line.told().work();
        String tag = RouteWorks.casting(work);
        List<String> who = line.told().parts().stream()
                .map(p -> p.person())
                .filter(p -> !p.isEmpty())
                .distinct()
                .toList();
        String station = line.told().station();
        String where = Stream.concat(
                        Stream.of(station.isEmpty() ? "outside the shop" : names.apply(station)),
                        who.stream().map(names))
                .collect(Collectors.joining(" · "));
        return new Chosen(
                work,
                tag,
                Words.of(PlanWords.work(work)),
                DayWords.moment(line.told().from(), page) + " to "
                        + DayWords.moment(line.told().to(), page),
                where,
                words.chain(posted, work),
                line.slack() == Posted.FREE
                        ? "No promise hangs on it."
                        : "It could be " + line.slack() + " open minutes later without breaking a promise.",
                DayWords.path(tag, RouteWorks.operation(work)),
                parts.find(tag).map(p -> placing(p, line, who, page)).orElse(null));
    }

    private Placing placing(PartFile part, Posted.Line line, List<String> who, Page page) {
        String work = line.told().work();
        List<StationKind> kinds =
                UsualTimes.of(RouteWorks.operation(work), part.material()).stations();
        Optional<PinBook.Said> said =
                pins.now(List.of(part.visit().id())).getOrDefault(part.visit().id(), List.of()).stream()
                        .filter(s -> s.work().equals(RouteWorks.within(work)))
                        .findFirst();
        LocalDateTime begins = LocalDateTime.ofInstant(line.told().from(), DayWords.zone());
        return new Placing(
                begins.truncatedTo(ChronoUnit.MINUTES).toString(),
                LocalDate.ofInstant(clock.instant(), DayWords.zone())
                        .plusDays(1)
                        .toString(),
                crews.posts().stream()
                        .filter(p -> kinds.contains(p.kind()))
                        .map(p -> new Choice(
                                p.id(), p.name(), p.id().equals(line.told().station())))
                        .toList(),
                who.isEmpty()
                        ? List.of()
                        : crews.workers().stream()
                                .filter(w -> w.atBench() && kinds.stream().anyMatch(w.skills()::contains))
                                .map(w -> new Choice(
                                        w.person().id().toString(),
                                        w.person().name(),
                                        w.person().id().toString().equals(who.get(0))))
                                .toList(),
                said.map(s -> said(s, page)).orElse(""));
    }

    private String said(PinBook.Said said, Page page) {
        Pin pin = said.pin();
        UnaryOperator<String> names = words.names();
        String what = Stream.of(
                        pin.at().map(a -> "begins " + DayWords.moment(a, page)),
                        pin.notBefore().map(a -> "not before " + DayWords.moment(a, page)),
                        pin.station().map(names).map(n -> "on " + n),
                        pin.person().map(names).map(n -> "by " + n))
                .flatMap(Optional::stream)
                .collect(Collectors.joining(", "));
        return "Pinned: " + what + ". " + people.nameOf(said.by()) + ", " + DayWords.moment(said.at(), page) + ".";
    }
}

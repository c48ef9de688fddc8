package homalon.app.outcome.promises;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.people.People;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.day.DayWords;
import homalon.app.outcome.plan.Awaits;
import homalon.core.bench.Awaited;
import homalon.core.bench.Posted;
import homalon.core.bench.PromiseCheck;
import homalon.core.bench.RouteWorks;
import homalon.core.quantity.DayForm;
import homalon.core.visit.PartFile;
import homalon.core.visit.Promises;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** What a page tells of when a casting can be ready. */
@Component
@RequiredArgsConstructor
class ReadyViews {
    private static final int CHAIN = 6;

    private final Awaits awaits;
    private final AgreedBook agreed;
    private final DayWords words;
    private final People people;
    private final Clock clock;

    /** @param kept of a hundred */
    record By(int kept, String day) {}

    /** @param holds what it holds up */
    record Wait(String what, String holds, String until) {}

    record Said(String day, String fate, String by) {}

    /** @param came when it did; empty while it is owed */
    record Owing(UUID id, String what, String since, String came) {}

    record Called(String said, String by, String again) {}

    /**
     * @param here false once it was handed over
     * @param ready when, in so many of a hundred draws; none where no plan says
     * @param past whether the last of these lies beyond what is planned
     * @param holdsUp why what is done last is not earlier, link by link
     * @param meanwhile what can go on before the last that it waits for is there
     * @param engine what it goes on or what goes on it, with when that is ready
     * @param whole the day by which all of them are ready, in 80 of 100 each; empty where no plan says of all
     * @param wanted the day that was asked for; empty without one
     * @param promise how the day that was promised stands; empty without one
     * @param endangered whether it cannot well be kept
     * @param offered the day that is promised where nobody keys another, as a field has it
     */
    record View(
            boolean here,
            List<By> ready,
            boolean past,
            List<String> holdsUp,
            List<Wait> waits,
            List<String> meanwhile,
            List<With> engine,
            String whole,
            String wanted,
            String promise,
            boolean endangered,
            String offered,
            List<Said> said,
            List<Owing> owed,
            List<Called> calls) {}

    /** @param ready words of when it is */
    record With(String tag, String ready) {}

    private static LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, ZoneId.systemDefault());
    }

    /** The day by which it is ready in 80 of 100. */
    Optional<LocalDate> usual(Posted posted, String tag) {
        return Optional.ofNullable(posted.ready().get(tag))
                .filter(r -> !r.past())
                .map(r -> day(r.most()));
    }

    View of(PartPage page, Posted posted) {
        PartFile part = page.part();
        UUID visit = part.visit().id();
        List<UUID> one = List.of(visit);
        LocalDate today = day(clock.instant());
        DayForm days = page.shell().days();
        boolean here = part.visit().releasedAt().isEmpty();
        List<Awaited> waits = here
                ? awaits.of(List.of(part), today).getOrDefault(visit, List.of()).stream()
                        .map(w -> w.on(page.standing().route()))
                        .toList()
                : List.of();
        Optional<Posted.Ready> ready = here ? Optional.ofNullable(posted.ready().get(part.tag())) : Optional.empty();
        List<AgreedBook.Promise> promises = agreed.promises(one).getOrDefault(visit, List.of());
        Optional<PromiseCheck> check = here && !promises.isEmpty()
                ? Optional.of(PromiseCheck.of(last(promises), waits, ready, today, ZoneId.systemDefault()))
                : Optional.empty();
        Map<UUID, String> names = people.names();
        return new View(
                here,
                ready.map(r -> by(r, days)).orElse(List.of()),
                ready.filter(Posted.Ready::past).isPresent(),
                ready.map(r -> words.chain(posted, r.last()))
                        .map(c -> c.subList(0, Math.min(CHAIN, c.size())))
                        .orElse(List.of()),
                waits.stream().map(w -> wait(w, days)).toList(),
                meanwhile(posted, part.tag(), waits, page),
                part.visit().with().stream().map(t -> with(t, posted, days)).toList(),
                whole(part, posted, days),
                part.visit().due().map(days::withWeekday).orElse(""),
                check.map(c -> Words.of(c.words(), page.writer())).orElse(""),
                check.filter(c -> c.state().endangered()).isPresent(),
                ready.filter(r -> !r.past()).map(r -> day(r.most()).toString()).orElse(""),
                said(promises, part, today, names, days),
                agreed.owed(one).getOrDefault(visit, List.of()).stream()
                        .map(o -> owing(o, days))
                        .toList(),
                agreed.calls(one).getOrDefault(visit, List.of()).stream()
                        .map(c -> called(c, names, days))
                        .toList());
    }

    private static LocalDate last(List<AgreedBook.Promise> promises) {
        return promises.get(promises.size() - 1).said().day();
    }

    private static List<By> by(Posted.Ready ready, DayForm days) {
        return List.of(
                new By(50, days.withWeekday(day(ready.half()))),
                new By(80, days.withWeekday(day(ready.most()))),
                new By(95, days.withWeekday(day(ready.nearlyAll()))));
    }

    private static Wait wait(Awaited one, DayForm days) {
        return new Wait(
                StringUtils.capitalize(Words.of(one.what())),
                one.holds().map(o -> Words.of(o.words())).orElse(""),
                (one.said() ? "said for " : "as a rule by ") + days.briefWithWeekday(one.until()));
    }

    private With with(String tag, Posted posted, DayForm days) {
        boolean planned = !posted.of(tag).isEmpty();
        return new With(
                tag,
                usual(posted, tag)
                        .map(d -> "in 80 of 100 by " + days.withWeekday(d))
                        .orElse(planned ? "no plan tells when" : "nothing is planned for it now"));
    }

    private String whole(PartFile part, Posted posted, DayForm days) {
        List<String> all = Stream.concat(
                        Stream.of(part.tag()),
                        part.visit().with().stream().filter(t -> !posted.of(t).isEmpty()))
                .toList();
        List<LocalDate> ready =
                all.stream().flatMap(t -> usual(posted, t).stream()).sorted().toList();
        return all.size() > 1 && ready.size() == all.size() ? days.withWeekday(ready.get(ready.size() - 1)) : "";
    }

    /** Works that begin before the last that is awaited is there. */
    private static List<String> meanwhile(Posted posted, String tag, List<Awaited> waits, PartPage page) {
        Optional<Awaited> last = Awaited.last(waits);
        if (last.isEmpty()) {
            return List.of();
        }
        Instant there = last.get().until().atStartOfDay(ZoneId.systemDefault()).toInstant();
        return posted.of(tag).stream()
                .filter(l -> l.told().from().isBefore(there))
                .map(l -> StringUtils.capitalize(
                                Words.of(RouteWorks.operation(l.told().work()).words())) + ", "
                        + DayWords.moment(l.told().from(), page))
                .toList();
    }

    private static List<Said> said(
            List<AgreedBook.Promise> promises, PartFile part, LocalDate today, Map<UUID, String> names, DayForm days) {
        List<Promises.Fate> fates = Promises.of(
                promises.stream().map(p -> p.said().day()).toList(),
                part.visit().releasedAt().map(ReadyViews::day),
                today);
        List<Said> all = new ArrayList<>();
        for (int i = 0; i < promises.size(); i++) {
            AgreedBook.Promise promise = promises.get(i);
            String told = promise.said().told();
            all.add(new Said(
                    days.withWeekday(promise.said().day()),
                    Words.of(fates.get(i).words()),
                    (told.isEmpty() ? "said" : "told to " + told) + " on " + days.brief(day(promise.at())) + ", "
                            + names.getOrDefault(promise.by(), "somebody who left")));
        }
        return all;
    }

    private static Owing owing(AgreedBook.Owing owing, DayForm days) {
        return new Owing(
                owing.id(),
                StringUtils.capitalize(
                        Words.of(owing.wanting().what().named(owing.wanting().words()))),
                "since " + days.brief(owing.since())
                        + owing.wanting()
                                .expected()
                                .map(e -> ", said for " + days.briefWithWeekday(e))
                                .orElse(""),
                owing.come().map(c -> "came " + days.brief(day(c))).orElse(""));
    }

    private static Called called(AgreedBook.Call call, Map<UUID, String> names, DayForm days) {
        return new Called(
                call.said(),
                days.brief(day(call.at())) + ", " + names.getOrDefault(call.by(), "somebody who left"),
                call.again().map(a -> "again on " + days.briefWithWeekday(a)).orElse(""));
    }
}

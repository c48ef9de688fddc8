package homalon.app.outcome.promises;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.part.InTheShop;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.web.Shell;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.day.Awaits;
import homalon.core.bench.Awaited;
import homalon.core.bench.Posted;
import homalon.core.bench.PromiseCheck;
import homalon.core.bench.RouteWorks;
import homalon.core.route.Operation;
import homalon.core.visit.Owed;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Whom to ring, and about what. */
@Component
@RequiredArgsConstructor
class CallList {
    private static final int AT_MOST = 200;

    private final InTheShop shop;
    private final Parts parts;
    private final AgreedBook agreed;
    private final Awaits awaits;
    private final Customers customers;
    private final Clock clock;

    /**
     * A casting about which somebody should ring.
     *
     * @param about the worst first
     * @param last what was said when somebody rang last; empty where nobody did
     * @param later whether that says to ring again on a day to come
     */
    record ToRing(
            String tag, String name, String customer, String phone, List<String> about, String last, boolean later) {}

    /** @param rank the less, the sooner */
    private record About(int rank, String words) {}

    /** What is urgent first; what was put off to another day last. */
    List<ToRing> now(Posted posted, Shell shell) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        Map<String, List<Posted.Line>> toFetch = posted.lines().stream()
                .collect(Collectors.groupingBy(l -> RouteWorks.casting(l.told().work())));
        toFetch.values()
                .removeIf(l ->
                        l.size() > 1 || RouteWorks.operation(l.get(0).told().work()) != Operation.HAND_OVER);
        List<PartFile> all = Stream.of(
                        parts.ofVisits(agreed.visitsHere()),
                        shop.stuck(StuckOn.CUSTOMER, 0, AT_MOST),
                        toFetch.keySet().stream()
                                .flatMap(t -> parts.find(t).stream())
                                .toList())
                .flatMap(List::stream)
                .collect(Collectors.toMap(PartFile::id, p -> p, (a, b) -> a))
                .values()
                .stream()
                .filter(p -> p.visit().releasedAt().isEmpty())
                .limit(AT_MOST)
                .toList();
        List<UUID> visits = all.stream().map(p -> p.visit().id()).toList();
        Map<UUID, LocalDate> promised = agreed.promised(visits);
        Map<UUID, List<Awaited>> waits = awaits.of(all, today);
        Map<UUID, List<AgreedBook.Owing>> owed = agreed.owed(visits);
        Map<UUID, List<AgreedBook.Call>> calls = agreed.calls(visits);
        Map<String, Customer> known =
                customers.called(all.stream().map(PartFile::customer).distinct().toList());
        record Ranked(int rank, ToRing one) {}
        List<Ranked> ranked = new ArrayList<>();
        for (PartFile part : all) {
            UUID visit = part.visit().id();
            List<About> about = new ArrayList<>();
            Optional.ofNullable(promised.get(visit))
                    .map(p -> PromiseCheck.of(
                            p,
                            waits.getOrDefault(visit, List.of()),
                            Optional.ofNullable(posted.ready().get(part.tag())),
                            today,
                            ZoneId.systemDefault()))
                    .filter(c -> c.state().endangered())
                    .ifPresent(c -> about.add(new About(c.state().ordinal(), Words.of(c.words(), shell.writer()))));
            owed(part, owed.getOrDefault(visit, List.of()), today, shell, about);
            if (toFetch.containsKey(part.tag())) {
                about.add(new About(20, "It is ready to be fetched."));
            }
            if (!about.isEmpty()) {
                Optional<AgreedBook.Call> last =
                        calls.getOrDefault(visit, List.of()).stream().reduce((a, b) -> b);
                boolean later = last.flatMap(AgreedBook.Call::again)
                        .filter(a -> a.isAfter(today))
                        .isPresent();
                about.sort(Comparator.comparingInt(About::rank));
                ranked.add(new Ranked(
                        (later ? 100 : 0) + about.get(0).rank(),
                        new ToRing(
                                part.tag(),
                                part.name(),
                                part.customer(),
                                Optional.ofNullable(known.get(part.customer()))
                                        .map(Customer::phone)
                                        .orElse(""),
                                about.stream().map(About::words).toList(),
                                last.map(c -> last(c, shell)).orElse(""),
                                later)));
            }
        }
        return ranked.stream()
                .sorted(Comparator.comparingInt(Ranked::rank)
                        .thenComparing(r -> r.one().customer())
                        .thenComparing(r -> r.one().tag()))
                .map(Ranked::one)
                .toList();
    }

    private static String last(AgreedBook.Call call, Shell shell) {
        return shell.days().brief(LocalDate.ofInstant(call.at(), ZoneId.systemDefault())) + ": " + call.said()
                + call.again()
                        .map(a -> " · again on " + shell.days().briefWithWeekday(a))
                        .orElse("");
    }

    private static void owed(
            PartFile part, List<AgreedBook.Owing> owed, LocalDate today, Shell shell, List<About> about) {
        for (AgreedBook.Owing owing : owed) {
            if (owing.open()) {
                boolean late = owing.wanting()
                        .expected()
                        .filter(e -> e.isBefore(today))
                        .isPresent();
                String kind = Words.of(owing.wanting().what().words());
                String more = owing.wanting().words();
                String what = owing.wanting().what() == Owed.OTHER ? more : more.isBlank() ? kind : kind + ": " + more;
                about.add(new About(
                        late ? 10 : owing.wanting().what() == Owed.ANSWER ? 12 : 14,
                        "Owed " + days(owing.since(), today) + ": " + what
                                + owing.wanting()
                                        .expected()
                                        .map(e -> (late ? ", should have come " : ", said for ")
                                                + shell.days().briefWithWeekday(e))
                                        .orElse("")
                                + "."));
            }
        }
        boolean answer = owed.stream().anyMatch(o -> o.open() && o.wanting().what() == Owed.ANSWER);
        part.visit()
                .stuck()
                .filter(s -> s.on() == StuckOn.CUSTOMER && !answer)
                .ifPresent(s ->
                        about.add(new About(12, "It waits on them, " + days(s.since(), today) + ": " + s.why() + ".")));
    }

    private static String days(LocalDate since, LocalDate today) {
        long days = ChronoUnit.DAYS.between(since, today);
        return days <= 0 ? "since today" : days == 1 ? "for 1 day" : "for " + days + " days";
    }
}

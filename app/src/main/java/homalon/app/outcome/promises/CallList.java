package homalon.app.outcome.promises;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.agreed.ChoiceBook;
import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.part.InTheShop;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.web.Shell;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.plan.Awaits;
import homalon.core.bench.Awaited;
import homalon.core.bench.Posted;
import homalon.core.bench.PromiseCheck;
import homalon.core.bench.RouteWorks;
import homalon.core.bench.Urgency;
import homalon.core.money.Choice;
import homalon.core.route.Operation;
import homalon.core.visit.Owed;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
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
    private final ChoiceBook choices;
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

    private record About(Urgency urgency, String words) {}

    /** All that is looked at for it, by visit. */
    private record Known(
            LocalDate today,
            Posted posted,
            Shell shell,
            Set<String> toFetch,
            Map<UUID, List<Awaited>> waits,
            Map<UUID, List<AgreedBook.Owing>> owed,
            Map<UUID, List<AgreedBook.Call>> calls,
            Map<UUID, ChoiceBook.Asked> asked,
            Map<UUID, List<ChoiceBook.Made>> made,
            Map<String, Customer> customers) {
        List<AgreedBook.Owing> owed(PartFile part) {
            return owed.getOrDefault(part.visit().id(), List.of()).stream()
                    .filter(AgreedBook.Owing::open)
                    .toList();
        }

        Optional<ChoiceBook.Made> chose(PartFile part) {
            return made.getOrDefault(part.visit().id(), List.of()).stream().reduce((a, b) -> b);
        }

        Optional<AgreedBook.Call> last(PartFile part) {
            return calls.getOrDefault(part.visit().id(), List.of()).stream().reduce((a, b) -> b);
        }
    }

    private record Ranked(boolean later, Urgency urgency, ToRing one) {}

    /** What is urgent first; what was put off to another day last. */
    List<ToRing> now(Posted posted, Shell shell) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        Set<String> toFetch = toFetch(posted);
        List<PartFile> all = candidates(toFetch);
        List<UUID> visits = all.stream().map(p -> p.visit().id()).toList();
        Known known = new Known(
                today,
                posted,
                shell,
                toFetch,
                awaits.of(all, today),
                agreed.owed(visits),
                agreed.calls(visits),
                choices.open(visits),
                choices.made(visits),
                customers.called(all.stream().map(PartFile::customer).distinct().toList()));
        return all.stream()
                .flatMap(p -> ranked(p, known).stream())
                .sorted(Comparator.comparing(Ranked::later)
                        .thenComparing(Ranked::urgency)
                        .thenComparing(r -> r.one().customer())
                        .thenComparing(r -> r.one().tag()))
                .map(Ranked::one)
                .toList();
    }

    /** Of which nothing is left but the hand-over. */
    private static Set<String> toFetch(Posted posted) {
        Map<String, List<Operation>> left = posted.lines().stream()
                .map(l -> l.told().work())
                .collect(Collectors.groupingBy(
                        RouteWorks::casting, Collectors.mapping(RouteWorks::operation, Collectors.toList())));
        return left.entrySet().stream()
                .filter(e -> e.getValue().equals(List.of(Operation.HAND_OVER)))
                .map(Map.Entry::getKey)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private List<PartFile> candidates(Set<String> toFetch) {
        return Stream.of(
                        parts.ofVisits(agreed.visitsHere()),
                        parts.ofVisits(choices.visitsAsked()),
                        parts.ofVisits(choices.visitsChosenOnThePage()),
                        shop.stuck(StuckOn.CUSTOMER, 0, AT_MOST),
                        toFetch.stream().flatMap(t -> parts.find(t).stream()).toList())
                .flatMap(List::stream)
                .filter(p -> p.visit().releasedAt().isEmpty())
                .collect(Collectors.toMap(PartFile::id, p -> p, (a, b) -> a, LinkedHashMap::new))
                .values()
                .stream()
                .toList();
    }

    private static Optional<Ranked> ranked(PartFile part, Known known) {
        List<About> about = Stream.of(
                        promise(part, known).stream(),
                        owed(part, known),
                        asked(part, known).stream(),
                        chose(part, known).stream(),
                        stuck(part, known).stream(),
                        fetch(part, known).stream())
                .flatMap(s -> s)
                .sorted(Comparator.comparing(About::urgency))
                .toList();
        if (about.isEmpty()) {
            return Optional.empty();
        }
        Optional<AgreedBook.Call> last = known.last(part);
        boolean later = last.flatMap(AgreedBook.Call::again)
                .filter(a -> a.isAfter(known.today()))
                .isPresent();
        String phone = Optional.ofNullable(known.customers().get(part.customer()))
                .map(Customer::phone)
                .orElse("");
        return Optional.of(new Ranked(
                later,
                about.get(0).urgency(),
                new ToRing(
                        part.tag(),
                        part.name(),
                        part.customer(),
                        phone,
                        about.stream().map(About::words).toList(),
                        last.map(c -> last(c, known.shell())).orElse(""),
                        later)));
    }

    private static Optional<About> promise(PartFile part, Known known) {
        return part.visit()
                .promised()
                .map(p -> PromiseCheck.of(
                        p,
                        known.waits().getOrDefault(part.visit().id(), List.of()),
                        Optional.ofNullable(known.posted().ready().get(part.tag())),
                        known.today(),
                        ZoneId.systemDefault()))
                .flatMap(c -> Urgency.of(c.state())
                        .map(u -> new About(u, Words.of(c.words(), known.shell().writer()))));
    }

    private static Stream<About> owed(PartFile part, Known known) {
        return known.owed(part).stream().map(o -> {
            AgreedBook.Wanting wanting = o.wanting();
            Urgency urgency = Urgency.of(wanting.what(), wanting.expected(), known.today());
            String late = urgency == Urgency.OWED_PAST_ITS_DAY ? ", should have come " : ", said for ";
            return new About(
                    urgency,
                    "Owed " + days(o.since(), known.today()) + ": "
                            + Words.of(wanting.what().named(wanting.words()))
                            + wanting.expected()
                                    .map(e -> late + known.shell().days().briefWithWeekday(e))
                                    .orElse("")
                            + ".");
        });
    }

    /** Whoever chose on its page that it does not go on asks to be rung, and was not since. */
    private static Optional<About> chose(PartFile part, Known known) {
        return known.chose(part)
                .filter(m ->
                        m.said().means() == Choice.By.PAGE && !m.said().choice().goesOn())
                .filter(m ->
                        known.last(part).filter(c -> c.at().isAfter(m.at())).isEmpty())
                .map(m -> new About(
                        Urgency.ANSWER_OWED,
                        (m.said().who().isEmpty() ? "The customer" : m.said().who()) + " asks to be rung: "
                                + Words.of(m.said().choice().words()) + "."));
    }

    /** Work waits until they have said how it goes on. */
    private static Optional<About> asked(PartFile part, Known known) {
        return Optional.ofNullable(known.asked().get(part.visit().id()))
                .map(a -> new About(
                        Urgency.ANSWER_OWED,
                        "They are asked how it goes on, "
                                + days(LocalDate.ofInstant(a.at(), ZoneId.systemDefault()), known.today()) + ": "
                                + Words.of(a.why().words()) + "."));
    }

    /** What was said on the bench and not as something owed. */
    private static Optional<About> stuck(PartFile part, Known known) {
        boolean answer = known.owed(part).stream().anyMatch(o -> o.wanting().what() == Owed.ANSWER);
        return part.visit()
                .stuck()
                .filter(s -> s.on() == StuckOn.CUSTOMER && !answer)
                .map(s -> new About(
                        Urgency.ANSWER_OWED,
                        "It waits on them, " + days(s.since(), known.today()) + ": " + s.why() + "."));
    }

    /** The customer fetches an engine whole: what of it is not ready is told. */
    private static Optional<About> fetch(PartFile part, Known known) {
        if (!known.toFetch().contains(part.tag()) || !known.owed(part).isEmpty()) {
            return Optional.empty();
        }
        String wanting = part.visit().with().stream()
                .filter(t ->
                        !known.toFetch().contains(t) && !known.posted().of(t).isEmpty())
                .collect(Collectors.joining(", "));
        return Optional.of(new About(
                Urgency.TO_FETCH,
                wanting.isEmpty()
                        ? "It is ready to be fetched."
                        : "It is ready to be fetched; " + wanting + ", of the same engine, is not."));
    }

    private static String last(AgreedBook.Call call, Shell shell) {
        return shell.days().brief(LocalDate.ofInstant(call.at(), ZoneId.systemDefault())) + ": " + call.said()
                + call.again()
                        .map(a -> " · again on " + shell.days().briefWithWeekday(a))
                        .orElse("");
    }

    private static String days(LocalDate since, LocalDate today) {
        long days = ChronoUnit.DAYS.between(since, today);
        return days <= 0 ? "since today" : days == 1 ? "for 1 day" : "for " + days + " days";
    }
}

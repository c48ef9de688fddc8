package homalon.core.money;

import homalon.core.bench.JobSize;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import org.joda.money.Money;

/**
 * What a casting comes to as it stands: every step of its route and every part on its list as a line, with the finding that made it. Grown;
 * nobody types it.
 *
 * @param lines in the order in which they are done
 */
public record Estimate(MoneyRules rules, List<Line> lines) {
    /** The line of the look. */
    public static final String LOOK = "LOOK";

    private static final String LEAST = "LEAST";

    /** What a line is for. */
    public enum Kind {
        /** Cleaning, looking and measuring, whatever comes of it. */
        LOOK,
        WORK,
        PART,
        /** Somebody else does it, for what was quoted. */
        OUTSIDE,
        /** What is missing of the least that a job comes to. */
        LEAST;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /** Who pays for a line. */
    public enum Stand {
        OWED,
        /** Worth doing while it is here; done only where the customer says so. */
        OPTIONAL,
        /** On the house: it stands with nothing to pay, and with what it costs. */
        OURS,
        /** The customer brings it. */
        BROUGHT;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /**
     * A line.
     *
     * @param key by which it is known again in the next version
     * @param because the findings that made it
     * @param how the amount is made up
     * @param worth what it comes to; empty while nobody has said
     * @param done whether it is done by now
     * @param quoted whether the amount was said for this job
     */
    public record Line(
            String key,
            Kind kind,
            Message what,
            List<Message> because,
            Message how,
            Optional<Money> worth,
            Stand stand,
            boolean done,
            boolean quoted) {
        public Line {
            because = List.copyOf(because);
        }

        /** What of it is to be paid; nothing of what is optional, on the house, or brought. */
        public Optional<Money> asked() {
            return stand == Stand.OWED ? worth : Optional.empty();
        }
    }

    /**
     * A part that the job needs.
     *
     * @param key of its order
     * @param each what one costs the shop; empty while nobody has said
     * @param here whether all of it has come
     */
    public record Part(String key, String words, int count, Operation operation, Optional<Money> each, boolean here) {}

    /**
     * What was said by hand.
     *
     * @param stands by the keys of lines; what is not named is owed
     * @param quoted likewise, for what somebody else does, or a price of its own for this job
     */
    public record Said(Map<String, Stand> stands, Map<String, Money> quoted) {
        public static final Said NOTHING = new Said(Map.of(), Map.of());

        public Said {
            stands = Map.copyOf(stands);
            quoted = Map.copyOf(quoted);
        }

        private Stand stand(String key) {
            return stands.getOrDefault(key, Stand.OWED);
        }

        private Optional<Money> quote(String key) {
            return Optional.ofNullable(quoted.get(key));
        }
    }

    public Estimate {
        lines = List.copyOf(lines);
    }

    /**
     * @param size how much there is to do
     * @param minutes in hands that each operation is planned for
     */
    public static Estimate of(
            PriceList list,
            Material metal,
            Route route,
            Function<Operation, JobSize> size,
            ToIntFunction<Operation> minutes,
            List<Part> parts,
            Said said) {
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(
                LOOK,
                Kind.LOOK,
                Message.of("money.the-look"),
                List.of(),
                Message.of("money.one-price-whatever-comes-of-it"),
                Optional.of(said.quote(LOOK).orElse(list.look())),
                said.stand(LOOK),
                route.steps().stream()
                        .filter(s -> PriceList.LOOK.contains(s.operation()))
                        .allMatch(s -> s.state() == Route.State.DONE || s.state() == Route.State.WAIVED),
                said.quote(LOOK).isPresent()));
        Map<Operation, Integer> count = new EnumMap<>(Operation.class);
        for (Route.Step step : route.steps()) {
            if (step.state() != Route.State.WAIVED) {
                int no = count.merge(step.operation(), 1, Integer::sum);
                String key = step.operation().name() + (no == 1 ? "" : "/" + no);
                work(list, metal, step, key, size, minutes, said).ifPresent(lines::add);
            }
        }
        parts.forEach(p -> lines.add(part(list, p, said)));
        missing(list, lines).ifPresent(lines::add);
        return new Estimate(list.rules(), lines);
    }

    private static Optional<Line> work(
            PriceList list,
            Material metal,
            Route.Step step,
            String key,
            Function<Operation, JobSize> size,
            ToIntFunction<Operation> minutes,
            Said said) {
        Operation operation = step.operation();
        boolean outside = operation == Operation.WELD;
        Optional<PriceList.Asked> asked = outside
                ? Optional.empty()
                : list.of(operation, metal, size.apply(operation), minutes.applyAsInt(operation));
        Optional<Money> quoted = said.quote(key);
        if (asked.isEmpty() && quoted.isEmpty() && !outside) {
            return Optional.empty();
        }
        Message how = quoted.isPresent()
                ? Message.of("money.as-quoted")
                : asked.map(PriceList.Asked::words).orElse(Message.of("money.not-quoted-yet"));
        return Optional.of(new Line(
                key,
                outside ? Kind.OUTSIDE : Kind.WORK,
                operation.words(),
                step.because(),
                how,
                quoted.or(() -> asked.map(PriceList.Asked::amount)),
                said.stand(key),
                step.state() == Route.State.DONE,
                quoted.isPresent()));
    }

    private static Line part(PriceList list, Part part, Said said) {
        Optional<Money> quoted = said.quote(part.key());
        Optional<Money> worth =
                quoted.or(() -> part.each().map(e -> list.part(e).multipliedBy(part.count())));
        return new Line(
                part.key(),
                Kind.PART,
                Message.of("money.part", part.count(), part.words()),
                List.of(part.operation().words()),
                quoted.isPresent()
                        ? Message.of("money.as-quoted")
                        : part.each()
                                .map(e -> Message.of("money.each", Amounts.shown(list.part(e))))
                                .orElse(Message.of("money.not-quoted-yet")),
                worth,
                said.stand(part.key()),
                part.here(),
                quoted.isPresent());
    }

    private static Optional<Line> missing(PriceList list, List<Line> lines) {
        Money now = Money.total(
                list.rules().currency(),
                lines.stream().flatMap(l -> l.asked().stream()).toList());
        boolean open = lines.stream()
                .anyMatch(l -> l.stand() == Stand.OWED && l.worth().isEmpty());
        return open || !now.isLessThan(list.least())
                ? Optional.empty()
                : Optional.of(new Line(
                        LEAST,
                        Kind.LEAST,
                        Message.of("money.to-the-least-that-a-job-comes-to"),
                        List.of(),
                        Message.of("money.the-least-is", Amounts.shown(list.least())),
                        Optional.of(list.least().minus(now)),
                        Stand.OWED,
                        false,
                        false));
    }

    /** What is to be paid as it stands: what is optional is not in it, and what nobody has said a price of is not either. */
    public MoneyRules.Sum sum() {
        return sum(rules.none());
    }

    /** The same with so much more before tax. */
    public MoneyRules.Sum sum(Money more) {
        List<Money> all = new ArrayList<>(asked());
        all.add(more);
        return rules.sum(all);
    }

    /** What each line asks, of those that ask anything. */
    public List<Money> asked() {
        return lines.stream().flatMap(l -> l.asked().stream()).toList();
    }

    /** What of it is still to come: money that is spent is spent, and weighs nothing in a choice. */
    public Estimate rest() {
        return new Estimate(rules, lines.stream().filter(l -> !l.done()).toList());
    }

    /** What of it is done. */
    public Estimate spent() {
        return new Estimate(rules, lines.stream().filter(Line::done).toList());
    }

    /** Lines that nobody has said a price of. */
    public List<Line> open() {
        return lines.stream()
                .filter(l -> l.stand() == Stand.OWED && l.worth().isEmpty())
                .toList();
    }
}

package homalon.core.money;

import homalon.core.quantity.Length;
import homalon.core.words.Message;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.joda.money.Money;

/**
 * A casting beside others that could take its place: only what is still to come is weighed, what is spent is spent whatever is chosen.
 *
 * @param rows what is to be expected to come to least first
 * @param said how the casting that is here stands to each of the others, in the order in which they were keyed
 * @param spent what was done up to now comes to
 */
public record Compared(List<Row> rows, List<Message> said, Money spent) {
    private static final double HUNDRED = 100;

    /**
     * One way.
     *
     * @param other empty for the casting that is here
     * @param outlook of what is still to come
     * @param ready by when; empty where no plan says
     * @param left what may be cut off it afterwards; empty where nobody knows
     * @param months for which somebody stands for it; empty where nobody said
     * @param open what is not known of it
     */
    public record Row(
            Optional<Other> other,
            Outlook outlook,
            Optional<LocalDate> ready,
            Optional<Length> left,
            OptionalInt months,
            List<Message> open) {
        public Row {
            open = List.copyOf(open);
        }
    }

    /**
     * The casting that is here.
     *
     * @param whole its estimate, of which only what is still to come is weighed
     * @param more minutes beyond what it is thought to take
     */
    public record Repair(
            Estimate whole,
            List<Risk> risks,
            int more,
            Optional<LocalDate> ready,
            Optional<Length> left,
            OptionalInt months) {}

    /**
     * Another in its place.
     *
     * @param ready by when it is done
     */
    public record Instead(Other other, List<Risk> risks, LocalDate ready) {}

    public Compared {
        rows = List.copyOf(rows);
        said = List.copyOf(said);
    }

    public static Compared of(PriceList list, Repair repair, List<Instead> others) {
        Estimate rest = repair.whole().rest();
        List<Money> lines = new ArrayList<>(rest.asked());
        if (repair.more() > 0) {
            lines.add(list.byTheHour(repair.more()).amount());
        }
        List<Money> owed = rest.lines().stream()
                .filter(l -> l.key().equals(Estimate.LOOK))
                .flatMap(l -> l.asked().stream())
                .toList();
        Outlook here = Outlook.of(list.rules(), lines, repair.risks());
        List<Row> rows = new ArrayList<>();
        rows.add(new Row(
                Optional.empty(), here, repair.ready(), repair.left(), repair.months(), open(rest, repair.risks())));
        List<Message> said = new ArrayList<>();
        for (Instead one : others) {
            Other other = one.other();
            List<Money> its = other.lines(list, owed);
            Outlook there = Outlook.of(list.rules(), its, one.risks());
            rows.add(new Row(
                    Optional.of(other),
                    there,
                    Optional.of(one.ready()),
                    other.left(),
                    other.months(),
                    open(other, one.risks())));
            said.add(said(list.rules(), new Way(lines, repair.risks(), here), new Way(its, one.risks(), there), other));
        }
        rows.sort(Comparator.comparing((Row r) -> r.outlook().expected())
                .thenComparing(r -> r.outlook().worst())
                .thenComparing(r -> r.other().isPresent()));
        return new Compared(rows, said, repair.whole().spent().sum().total());
    }

    private static List<Message> open(Estimate rest, List<Risk> risks) {
        List<Message> all = new ArrayList<>();
        rest.open().forEach(l -> all.add(Message.of("money.no-price-of", l.what())));
        risks.forEach(r -> all.add(r.what()));
        return all;
    }

    private static List<Message> open(Other other, List<Risk> risks) {
        List<Message> all = new ArrayList<>();
        if (!other.open().isEmpty()) {
            all.add(Message.plain(other.open()));
        }
        risks.forEach(r -> all.add(r.what()));
        if (other.left().isEmpty()) {
            all.add(Message.of("money.what-may-still-be-cut-off-it"));
        }
        return all;
    }

    private record Way(List<Money> lines, List<Risk> risks, Outlook outlook) {}

    /** Which of the two costs less, and what would turn that round. */
    private static Message said(MoneyRules rules, Way here, Way there, Other other) {
        boolean less = !here.outlook().expected().isGreaterThan(there.outlook().expected());
        Way cheaper = less ? here : there;
        Money dear = (less ? there : here).outlook().expected();
        Message which = less ? Message.of("money.this-one") : Message.plain(other.words());
        Message than = less ? Message.plain(other.words()) : Message.of("money.this-one");
        if (!cheaper.outlook().worst().isGreaterThan(dear)) {
            return Message.of("money.costs-less-whatever-turns-up", which, than);
        }
        List<Message> turns = cheaper.risks().stream()
                .filter(r -> r.chance() > 0)
                .filter(r -> total(rules, cheaper.lines(), r.adds()).isGreaterThan(dear))
                .map(Risk::what)
                .toList();
        long stays = Math.round(HUNDRED * chance(rules, cheaper, dear));
        return turns.isEmpty()
                ? Message.of("money.costs-less-unless-several", which, than, stays)
                : Message.of("money.costs-less-unless", which, than, either(turns), stays);
    }

    private static Message either(List<Message> turns) {
        Message all = turns.get(0);
        for (Message next : turns.subList(1, turns.size())) {
            all = Message.of("money.or", all, next);
        }
        return all;
    }

    private static Money total(MoneyRules rules, List<Money> lines, Money more) {
        List<Money> all = new ArrayList<>(lines);
        all.add(more);
        return rules.sum(all).total();
    }

    /** How often it does not come to more than that. */
    private static double chance(MoneyRules rules, Way way, Money most) {
        return Spread.of(way.risks().stream().map(Risk::money).toList()).steps().stream()
                .filter(s -> !total(rules, way.lines(), Money.ofMinor(rules.currency(), s.amount()))
                        .isGreaterThan(most))
                .mapToDouble(Spread.Step::chance)
                .sum();
    }
}

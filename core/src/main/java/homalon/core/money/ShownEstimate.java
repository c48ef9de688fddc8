package homalon.core.money;

import homalon.core.words.Message;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.joda.money.Money;

/**
 * An estimate as it was shown, in the words and figures of that day: kept, and never worked out again. Amounts are in one currency, with all
 * of its digits.
 *
 * @param tax of a hundred
 * @param held whether prices hold it already
 * @param fixed what it comes to as it stands
 * @param open lines that nobody had said a price of
 * @param beside it and other castings in its place, what is to be expected to come to least first; none where nobody thought of others
 * @param said how they stand to each other
 */
public record ShownEstimate(
        String currency,
        String tax,
        boolean held,
        List<Line> lines,
        List<Risk> risks,
        String net,
        String taxed,
        String rounding,
        String fixed,
        String expected,
        String kept,
        String worst,
        int open,
        List<Way> beside,
        List<String> said) {
    /**
     * One way: this casting, or another in its place; of what was still to come then.
     *
     * @param here whether it is the casting that is here
     * @param ready the day; empty where no plan said
     * @param left in the unit of that day's bench; empty where nobody knew
     * @param months for which somebody stood for it; empty where nobody said
     * @param open what was not known
     */
    public record Way(
            boolean here,
            String what,
            String fixed,
            String expected,
            String kept,
            String worst,
            String ready,
            String left,
            String months,
            List<String> open) {}

    /** @param worth empty while nobody had said */
    public record Line(
            String key,
            Estimate.Kind kind,
            String what,
            String because,
            String how,
            String worth,
            Estimate.Stand stand,
            boolean done) {}

    /** @param chance of a hundred */
    public record Risk(String key, String what, int chance, String adds) {}

    /**
     * A line that is not as it was.
     *
     * @param was empty for a line that is new
     * @param now empty for one that is gone
     */
    public record Changed(String what, String was, String now) {}

    public ShownEstimate {
        lines = List.copyOf(lines);
        risks = List.copyOf(risks);
        // Estimates that were shown before others could be laid beside them have none.
        beside = beside == null ? List.of() : List.copyOf(beside);
        said = said == null ? List.of() : List.copyOf(said);
    }

    /** @param words what a message says to whoever reads it */
    public static ShownEstimate of(
            Estimate estimate,
            List<homalon.core.money.Risk> risks,
            Compared compared,
            Function<Message, String> words) {
        boolean others = compared.rows().size() > 1;
        Outlook outlook = Outlook.of(estimate, risks);
        MoneyRules rules = estimate.rules();
        MoneyRules.Sum sum = estimate.sum();
        return new ShownEstimate(
                rules.currency().getCode(),
                rules.tax().toPlainString(),
                rules.held(),
                estimate.lines().stream()
                        .map(l -> new Line(
                                l.key(),
                                l.kind(),
                                words.apply(l.what()),
                                String.join(
                                        "; ", l.because().stream().map(words).toList()),
                                words.apply(l.how()),
                                l.worth().map(Amounts::shown).orElse(""),
                                l.stand(),
                                l.done()))
                        .toList(),
                risks.stream()
                        .map(r -> new Risk(
                                r.key(),
                                words.apply(r.what()),
                                (int) Math.round(100 * r.chance()),
                                Amounts.shown(r.adds())))
                        .toList(),
                Amounts.shown(sum.net()),
                Amounts.shown(sum.tax()),
                Amounts.shown(sum.rounding()),
                Amounts.shown(outlook.fixed()),
                Amounts.shown(outlook.expected()),
                Amounts.shown(outlook.kept()),
                Amounts.shown(outlook.worst()),
                estimate.open().size(),
                others ? compared.rows().stream().map(r -> way(r, words)).toList() : List.of(),
                compared.said().stream().map(words).toList());
    }

    private static Way way(Compared.Row row, Function<Message, String> words) {
        return new Way(
                row.other().isEmpty(),
                words.apply(row.other().map(o -> Message.plain(o.words())).orElse(Message.of("money.this-one"))),
                Amounts.shown(row.outlook().fixed()),
                Amounts.shown(row.outlook().expected()),
                Amounts.shown(row.outlook().kept()),
                Amounts.shown(row.outlook().worst()),
                row.ready().map(LocalDate::toString).orElse(""),
                row.left().map(l -> words.apply(Message.of("money.length", l))).orElse(""),
                row.months().isPresent() ? Integer.toString(row.months().getAsInt()) : "",
                row.open().stream().map(words).toList());
    }

    /** What it comes to as it stands. */
    public Money total() {
        return Money.parse(currency + " " + fixed);
    }

    /** The same for two that ask the same of a customer, whatever of it is done. */
    public String asks() {
        StringBuilder all = new StringBuilder(String.join("/", currency, tax, fixed, expected, kept, worst));
        lines.forEach(l -> all.append('\n')
                .append(String.join("/", l.key(), l.worth(), l.stand().name())));
        beside.forEach(w -> all.append('\n').append(String.join("/", w.what(), w.fixed(), w.expected(), w.worst())));
        return all.toString();
    }

    /** What is not as it was shown before, line by line; done or not makes no difference to what is asked. */
    public List<Changed> since(ShownEstimate before) {
        Map<String, Line> was = new LinkedHashMap<>();
        before.lines.forEach(l -> was.put(l.key(), l));
        List<Changed> all = new ArrayList<>();
        for (Line now : lines) {
            Optional<Line> then = Optional.ofNullable(was.remove(now.key()));
            if (then.isEmpty()) {
                all.add(new Changed(now.what(), "", asked(now)));
            } else if (!asked(then.get()).equals(asked(now))) {
                all.add(new Changed(now.what(), asked(then.get()), asked(now)));
            }
        }
        was.values().forEach(gone -> all.add(new Changed(gone.what(), asked(gone), "")));
        return all;
    }

    /** How a line stands, as it is compared: its amount, and how it is paid where it is not simply owed. */
    private static String asked(Line line) {
        String worth = line.worth().isEmpty() ? "?" : line.worth();
        return line.stand() == Estimate.Stand.OWED ? worth : worth + " " + line.stand();
    }
}

package homalon.app.outcome.estimate;

import homalon.app.casting.agreed.ChoiceBook;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.people.People;
import homalon.app.foundation.words.Words;
import homalon.core.bench.UsualChances;
import homalon.core.money.Amounts;
import homalon.core.money.Estimate;
import homalon.core.money.Outlook;
import homalon.core.money.Risk;
import homalon.core.money.ShownEstimate;
import homalon.core.quantity.DayForm;
import homalon.core.route.Operation;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** What the page of an estimate shows. */
@Component
@RequiredArgsConstructor
class EstimateViews {
    private static final int HUNDRED = 100;

    private final Estimates estimates;
    private final ChoiceBook choices;
    private final People people;

    /**
     * @param because the findings that made it
     * @param worth empty while nobody has said
     * @param quoted the price that was said for this job, as it is keyed
     */
    record Line(
            String key,
            String what,
            String because,
            String how,
            String worth,
            Estimate.Stand stand,
            boolean done,
            String quoted) {}

    record Figure(String what, String amount) {}

    /** @param chance in words, with where it comes from */
    record May(String what, String chance, String adds) {}

    record Shown(int no, String total, String when, boolean now) {}

    /** @param upTo empty where nothing was agreed for what may come */
    record Chosen(String what, String who, String upTo, String words, int version) {}

    /**
     * @param here false once it was handed over: then nothing is said of it any more
     * @param tax in words
     * @param sums how the total is made up
     * @param outlook as it stands, expected, kept in 8 of 10, worst
     * @param exact whether all that can come was counted
     * @param open lines that nobody has said a price of
     * @param asked whether the customer is to be asked now; a reason in words, empty where not
     * @param mark of what is shown, sent with a choice
     * @param beside how it stands to other castings in its place
     */
    record View(
            boolean here,
            String currency,
            String tax,
            List<Line> lines,
            List<Figure> sums,
            List<Figure> outlook,
            boolean exact,
            int open,
            List<Figure> spent,
            List<May> may,
            String asked,
            List<Shown> shown,
            List<ShownEstimate.Changed> changed,
            List<Chosen> chosen,
            String mark,
            List<String> beside) {}

    /** Empty as long as the shop has said no prices. */
    Optional<View> of(PartPage page) {
        return estimates.now(page.part()).map(g -> view(page, g));
    }

    private View view(PartPage page, Grower.Grown grown) {
        Estimate estimate = grown.estimate();
        Outlook outlook = Outlook.of(estimate, grown.risks());
        UUID visit = page.part().visit().id();
        List<Estimates.Version> versions = estimates.shown(page.part());
        ShownEstimate now = estimates.toShow(page.part(), grown);
        DayForm days = page.shell().days();
        Map<UUID, String> names = people.names();
        return new View(
                page.part().visit().releasedAt().isEmpty(),
                estimate.rules().currency().getCode(),
                tax(estimate),
                estimate.lines().stream().map(EstimateViews::line).toList(),
                sums(estimate),
                List.of(
                        new Figure("as it stands", Amounts.shown(outlook.fixed())),
                        new Figure("expected", Amounts.shown(outlook.expected())),
                        new Figure("kept in 8 of 10", Amounts.shown(outlook.kept())),
                        new Figure("at the worst", Amounts.shown(outlook.worst()))),
                outlook.exact(),
                estimate.open().size(),
                List.of(
                        new Figure(
                                "Spent so far",
                                Amounts.shown(estimate.spent().sum().total())),
                        new Figure(
                                "still to come",
                                Amounts.shown(estimate.rest().sum().total()))),
                grown.risks().stream().map(EstimateViews::may).toList(),
                asked(page),
                shown(versions, now, names, days),
                versions.isEmpty()
                        ? List.of()
                        : now.since(versions.get(versions.size() - 1).shown()),
                chosen(choices.made(List.of(visit)).getOrDefault(visit, List.of()), versions, names, days),
                Estimates.mark(now),
                now.said().stream().map(StringUtils::capitalize).toList());
    }

    private static String tax(Estimate estimate) {
        String percent = estimate.rules().tax().toPlainString();
        return estimate.rules().tax().signum() == 0
                ? "without tax"
                : "tax of " + percent + " in a hundred " + (estimate.rules().held() ? "in the prices" : "comes on top");
    }

    private static Line line(Estimate.Line line) {
        return new Line(
                line.key(),
                StringUtils.capitalize(Words.of(line.what())),
                String.join("; ", line.because().stream().map(Words::of).toList()),
                Words.of(line.how()),
                line.worth().map(Amounts::shown).orElse(""),
                line.stand(),
                line.done(),
                line.quoted() ? line.worth().map(Amounts::shown).orElse("") : "");
    }

    private static List<Figure> sums(Estimate estimate) {
        var sum = estimate.sum();
        List<Figure> all = new ArrayList<>();
        all.add(new Figure("lines to be paid, without tax", Amounts.shown(sum.net())));
        if (!sum.tax().isZero()) {
            all.add(new Figure("tax", Amounts.shown(sum.tax())));
        }
        if (!sum.rounding().isZero()) {
            all.add(new Figure("rounding", Amounts.shown(sum.rounding())));
        }
        return all;
    }

    private static May may(Risk risk) {
        long percent = Math.round(HUNDRED * risk.chance());
        UsualChances.Counted own = risk.own();
        String from = own.looked() == 0
                ? " (a default)"
                : " (" + own.found() + " of " + own.looked() + " here; the default counts as 20)";
        return new May(
                StringUtils.capitalize(Words.of(risk.what())), percent + " of 100" + from, Amounts.shown(risk.adds()));
    }

    /** Why the customer is to be asked before more work is done. */
    private static String asked(PartPage page) {
        return page.standing()
                .route()
                .open(Operation.CHOICE)
                .map(s -> StringUtils.capitalize(
                        String.join("; ", s.because().stream().map(Words::of).toList())))
                .orElse("");
    }

    private static List<Shown> shown(
            List<Estimates.Version> versions, ShownEstimate now, Map<UUID, String> names, DayForm days) {
        List<Shown> all = new ArrayList<>();
        for (Estimates.Version v : versions) {
            all.add(new Shown(
                    v.no(),
                    v.shown().currency() + " " + v.shown().fixed(),
                    when(v.at(), days) + ", " + names.getOrDefault(v.by(), "somebody who left"),
                    v.shown().equals(now)));
        }
        Collections.reverse(all);
        return all;
    }

    private static String when(Instant at, DayForm days) {
        return days.brief(LocalDate.ofInstant(at, ZoneId.systemDefault()));
    }

    private static List<Chosen> chosen(
            List<ChoiceBook.Made> made, List<Estimates.Version> versions, Map<UUID, String> names, DayForm days) {
        List<Chosen> all = new ArrayList<>();
        for (ChoiceBook.Made m : made) {
            Optional<Estimates.Version> of = versions.stream()
                    .filter(v -> v.id().equals(m.said().shown()))
                    .findFirst();
            all.add(new Chosen(
                    StringUtils.capitalize(Words.of(m.said().choice().words())),
                    (m.said().who().isEmpty() ? "the customer" : m.said().who()) + ", "
                            + Words.of(m.said().means().words()) + ", "
                            + when(m.at(), days) + "; noted by " + names.getOrDefault(m.by(), "somebody who left"),
                    m.said()
                            .upTo()
                            .map(u -> "up to "
                                    + of.map(v -> v.shown().currency() + " ").orElse("")
                                    + u.stripTrailingZeros().toPlainString() + " without asking")
                            .orElse(""),
                    m.said().words(),
                    of.map(Estimates.Version::no).orElse(0)));
        }
        Collections.reverse(all);
        return all;
    }
}

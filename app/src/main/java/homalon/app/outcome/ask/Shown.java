package homalon.app.outcome.ask;

import homalon.app.outcome.estimate.Estimates;
import homalon.core.money.Estimate;
import homalon.core.money.ShownEstimate;
import homalon.core.quantity.DayForm;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/**
 * An estimate as a customer reads it, on the page and in the letter alike.
 *
 * @param day on which it was made
 * @param tax in words
 * @param lines that are to be paid
 * @param optional worth doing while it is here; in no sum
 * @param brought what the customer brings
 * @param ours on the house
 * @param mays what may still turn up
 * @param ways another casting beside it
 * @param said how they stand to each other
 * @param open lines without a price yet, in words; empty where there are none
 */
record Shown(
        ShownEstimate estimate,
        String day,
        String tax,
        List<ShownEstimate.Line> lines,
        List<ShownEstimate.Line> optional,
        List<ShownEstimate.Line> brought,
        List<ShownEstimate.Line> ours,
        List<May> mays,
        List<Way> ways,
        List<String> said,
        String open) {
    /** @param often in words */
    record May(String what, String often, String adds) {}

    /** @param rest when, what is left, for how long somebody stands for it, what is not known */
    record Way(String what, String expected, String worst, String rest) {}

    static Shown of(Estimates.Version version, DayForm days) {
        ShownEstimate e = version.shown();
        String tax = e.tax().equals("0")
                ? "No tax is counted."
                : e.held()
                        ? "Tax of " + e.tax() + " in a hundred is in it."
                        : "Tax of " + e.tax() + " in a hundred is added.";
        return new Shown(
                e,
                days.withWeekday(LocalDate.ofInstant(version.at(), ZoneId.systemDefault())),
                tax,
                stand(e, Estimate.Stand.OWED),
                stand(e, Estimate.Stand.OPTIONAL),
                stand(e, Estimate.Stand.BROUGHT),
                stand(e, Estimate.Stand.OURS),
                e.risks().stream()
                        .map(r -> new May(r.what(), "in " + r.chance() + " of 100", r.adds()))
                        .toList(),
                e.beside().stream().map(w -> way(w, days)).toList(),
                e.said(),
                e.open() == 0
                        ? ""
                        : e.open() == 1
                                ? "The price of one line is not known yet: it is in no sum."
                                : "The prices of " + e.open() + " lines are not known yet: they are in no sum.");
    }

    private static List<ShownEstimate.Line> stand(ShownEstimate e, Estimate.Stand stand) {
        return e.lines().stream().filter(l -> l.stand() == stand).toList();
    }

    private static Way way(ShownEstimate.Way w, DayForm days) {
        List<String> rest = new ArrayList<>();
        if (!w.ready().isEmpty()) {
            rest.add("ready by " + days.briefWithWeekday(LocalDate.parse(w.ready())));
        }
        if (!w.left().isEmpty()) {
            rest.add("may be cut by " + w.left() + " afterwards");
        }
        if (!w.months().isEmpty()) {
            rest.add("warranty of " + w.months() + (w.months().equals("1") ? " month" : " months"));
        }
        if (!w.open().isEmpty()) {
            rest.add("not known: " + String.join("; ", w.open()));
        }
        return new Way(w.what(), w.expected(), w.worst(), String.join(" · ", rest));
    }
}

package homalon.app.outcome.estimate;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.words.Words;
import homalon.core.money.Amounts;
import homalon.core.money.Compared;
import homalon.core.money.Other;
import homalon.core.quantity.DayForm;
import homalon.core.quantity.LengthWriter;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** What the page of other castings shows. */
@Component
@RequiredArgsConstructor
class BesideViews {
    private final Others others;

    /**
     * A way, in words and figures.
     *
     * @param here whether it is the casting that is here
     * @param left what may be cut off it afterwards; empty where nobody knows
     */
    record Row(
            boolean here,
            String what,
            String kind,
            List<String> amounts,
            String ready,
            String left,
            String months,
            List<String> open) {}

    /** @param how what it is made up of */
    record One(UUID other, String what, String how) {}

    record View(boolean still, String currency, List<Row> rows, List<String> said, String spent, List<One> keyed) {}

    View of(PartPage page, Grower.Grown grown, Compared compared) {
        return new View(
                page.part().visit().releasedAt().isEmpty(),
                grown.estimate().rules().currency().getCode(),
                compared.rows().stream()
                        .map(r -> row(r, page.shell().days(), page.writer()))
                        .toList(),
                compared.said().stream()
                        .map(m -> StringUtils.capitalize(Words.of(m)))
                        .toList(),
                Amounts.shown(compared.spent()),
                others.of(page.part(), grown.estimate().rules().currency()).stream()
                        .map(BesideViews::one)
                        .toList());
    }

    static Row row(Compared.Row row, DayForm days, LengthWriter writer) {
        return new Row(
                row.other().isEmpty(),
                row.other().map(Other::words).orElse("This one"),
                row.other().map(o -> Words.of(o.kind().words())).orElse("as it is planned"),
                List.of(
                        Amounts.shown(row.outlook().fixed()),
                        Amounts.shown(row.outlook().expected()),
                        Amounts.shown(row.outlook().kept()),
                        Amounts.shown(row.outlook().worst())),
                row.ready().map(days::briefWithWeekday).orElse("no plan says"),
                row.left().map(writer::full).orElse("not known"),
                row.months().isEmpty()
                        ? "nothing said"
                        : row.months().getAsInt() == 1
                                ? "1 month"
                                : row.months().getAsInt() + " months",
                row.open().stream().map(Words::of).toList());
    }

    private static One one(Others.Kept kept) {
        Other o = kept.casting();
        return new One(
                kept.other(),
                o.words(),
                Amounts.shown(o.price()) + " and " + Amounts.shown(o.freight()) + " to bring it"
                        + (o.core().isZero() ? "" : ", less " + Amounts.shown(o.core()) + " for the old one")
                        + (o.kind().lookedAt() ? ", the look" : "")
                        + (o.minutes() == 0 ? "" : ", " + o.minutes() + " min of work")
                        + "; here in " + (o.days() == 1 ? "1 day" : o.days() + " days"));
    }
}

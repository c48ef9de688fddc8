package homalon.app.machining.chambers;

import homalon.app.foundation.drawing.BudgetDrawing;
import homalon.app.foundation.drawing.ConsequenceDrawing;
import homalon.app.foundation.web.WorkingView;
import homalon.app.foundation.web.Workings;
import homalon.app.foundation.words.Words;
import homalon.core.chambers.Bowls;
import homalon.core.chambers.Compression;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Equalise;
import homalon.core.chambers.GasketAdvice;
import homalon.core.chambers.Ratios;
import homalon.core.cut.Budget;
import homalon.core.cut.Budgets;
import homalon.core.cut.Consequence;
import homalon.core.cut.Outlook;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Writes what a cut brings with it. */
@Component
class BudgetViews {

    BudgetView of(Outlook outlook, LengthWriter writer) {
        Budgets budgets = outlook.budgets();
        BudgetHeadline headline = BudgetHeadline.of(outlook, writer);
        List<Working> workings = new ArrayList<>();
        budgets.all().forEach(b -> workings.add(b.working()));
        for (Outlook.Each e : outlook.each()) {
            e.then()
                    .ifPresent(t -> workings.add(t.working(Message.of(
                            "app.chambers.cylinder-after-it", e.chamber().name()))));
        }
        return new BudgetView(
                headline.style(),
                headline.words(),
                headline.sentence(),
                bars(outlook, writer),
                budgets.all().stream().map(b -> limit(b, outlook, writer)).toList(),
                missing(outlook),
                outlook.each().stream().map(e -> cylinder(e, writer)).toList(),
                outlook.each().stream().anyMatch(BudgetViews::changed),
                outlook.each().stream().anyMatch(e -> e.seats().isPresent()),
                gasket(outlook, writer),
                outlook.consequences().stream().map(c -> brings(c, writer)).toList(),
                equal(outlook, writer),
                outlook.question().bowls().map(b -> bowls(b, writer)).orElse(List.of()),
                outlook.question().bowls().map(BudgetViews::say).orElse(""),
                Workings.of(workings, writer),
                report(outlook, writer));
    }

    private static String bars(Outlook outlook, LengthWriter writer) {
        Budgets budgets = outlook.budgets();
        double cut = outlook.question().whatIf().cut();
        Optional<Budget> binding = budgets.binding();
        List<BudgetDrawing.Bar> bars = budgets.all().stream()
                .map(b -> new BudgetDrawing.Bar(
                        Words.of(b.name()),
                        b.figures().map(f -> OptionalDouble.of(f.room())).orElseGet(OptionalDouble::empty),
                        b.kind() == Budget.Kind.LIFE ? b.now() : 0,
                        note(b, cut, writer),
                        style(b.state()),
                        binding.filter(b::equals).isPresent()))
                .toList();
        List<BudgetDrawing.Need> needs = budgets.needs().stream()
                .map(n -> new BudgetDrawing.Need(Words.of(n.words()) + ": " + writer.full(n.depth()), n.depth()))
                .toList();
        double widest = budgets.all().stream()
                .filter(Budget::binds)
                .mapToDouble(Budget::room)
                .max()
                .orElse(0);
        String title = "What may come off, by each limit: "
                + bars.stream().map(b -> b.name() + " " + b.note()).collect(Collectors.joining(", "));
        double step = step(Math.max(cut, Math.min(widest, 3 * Math.max(cut, 0.2))), writer);
        return bars.isEmpty() ? "" : BudgetDrawing.svg(bars, needs, cut, step, mm -> round(mm, writer), title);
    }

    private static String note(Budget b, double cut, LengthWriter writer) {
        if (b.state() == Budget.State.NOT_MEASURED) {
            return "not measured";
        }
        if (!b.binds()) {
            return untouched(b.state());
        }
        double left = b.left(cut);
        return left < -1e-9 ? "over by " + writer.number(-left) : writer.allowedNumber(left) + " left";
    }

    /** No cut changes it; what stands against it stands all the same. */
    private static String untouched(Budget.State state) {
        return switch (state) {
            case OVER -> "over already";
            case ON_THE_LINE, NOT_PROVEN -> Words.of(state.words());
            case WITHIN, NOT_MEASURED -> "not touched";
        };
    }

    /** Between numbers of the rule: some five of them, round in the reader's unit. */
    private static double step(double reach, LengthWriter writer) {
        double[] steps = writer.unit() == BenchUnit.MM
                ? new double[] {0.05, 0.1, 0.2, 0.5, 1, 2}
                : new double[] {0.0508, 0.127, 0.254, 0.508, 1.27, 2.54};
        for (double s : steps) {
            if (reach / s <= 6) {
                return s;
            }
        }
        return steps[steps.length - 1];
    }

    /** Numbers of the rule are round: no more decimals than they need. */
    private static String round(double mm, LengthWriter writer) {
        BigDecimal of = new BigDecimal(writer.exact(Length.roundedFromMm(mm)))
                .setScale(3, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return (of.scale() < 0 ? of.setScale(0) : of).toPlainString();
    }

    private static String style(Budget.State state) {
        return switch (state) {
            case WITHIN -> "within";
            case ON_THE_LINE -> "line";
            case OVER -> "over";
            case NOT_MEASURED, NOT_PROVEN -> "unread";
        };
    }

    private static BudgetView.Limit limit(Budget b, Outlook outlook, LengthWriter writer) {
        boolean measured = b.state() != Budget.State.NOT_MEASURED;
        double cut = outlook.question().whatIf().cut();
        String open = b.plusMinus() > 0 ? " ± " + written(b, b.plusMinus(), writer) : "";
        return new BudgetView.Limit(
                Words.of(b.name()),
                (b.kind().least() ? "≥ " : "≤ ") + written(b, b.limit(), writer),
                b.kind() == Budget.Kind.RING
                        ? "the ring itself"
                        : Words.of(b.source().words()),
                measured ? written(b, b.now(), writer) : "",
                measured ? written(b, b.after(), writer) + open : "",
                !measured ? "" : b.binds() ? writer.allowedNumber(b.left(cut)) : "–",
                b.kind().ofClass() && measured
                        ? margin(b, writer)
                        : Words.of(b.state().words()),
                b.state() == Budget.State.OVER ? "out" : b.state() == Budget.State.WITHIN ? "within" : "");
    }

    /** A class is passed or failed by so much; between lies the line. */
    private static String margin(Budget b, LengthWriter writer) {
        double by = b.kind().least() ? b.after() - b.limit() : b.limit() - b.after();
        String figure = written(b, Math.abs(by), writer);
        return switch (b.state()) {
            case WITHIN -> "passes by " + figure;
            case OVER -> "fails by " + figure;
            case NOT_PROVEN -> "inside by " + figure + ", not proven";
            default -> "on the line: " + (by < 0 ? "outside by " : "inside by ") + figure;
        };
    }

    private static String written(Budget b, double value, LengthWriter writer) {
        if (b.kind().item().unit() == EngineItem.Unit.RATIO) {
            return Ratios.ratio(value);
        }
        if (b.kind().item().unit() == EngineItem.Unit.CC) {
            return Ratios.cc(value);
        }
        return b.kind().item().unit() == EngineItem.Unit.SIZE
                ? b.kind().item().written(value, writer.unit())
                : writer.number(value);
    }

    private static String missing(Outlook outlook) {
        List<String> names = new ArrayList<>();
        boolean known = !outlook.each().isEmpty()
                && outlook.each().stream().allMatch(e -> e.now().isPresent());
        if (!known) {
            outlook.question().book().missingForRatio().forEach(i -> names.add(lower(Words.of(i.words()))));
        }
        if (outlook.each().isEmpty()) {
            names.add("what the chambers hold");
        }
        return names.isEmpty() ? "" : "For the ratio, key under Engine figures: " + String.join("; ", names) + ".";
    }

    /** It holds something else now than when it was filled first. */
    private static boolean changed(Outlook.Each e) {
        return Math.abs(e.chamber().firstCc() - e.chamber().nowCc()) > 0.05;
    }

    private static BudgetView.Cylinder cylinder(Outlook.Each e, LengthWriter writer) {
        boolean since = e.chamber().cutSince() > 1e-9;
        return new BudgetView.Cylinder(
                e.chamber().name(),
                Ratios.cc(e.chamber().nowCc()),
                Words.of(e.chamber().basis().words())
                        + (since ? ", less " + writer.full(e.chamber().cutSince()) + " cut since" : ""),
                writer.number(e.rim()),
                Ratios.cc(e.thenCc()) + String.format(Locale.ROOT, " ± %.1f", e.thenPlusMinus()),
                changed(e) ? e.filled().map(Compression::words).orElse("") : "",
                e.now().map(Compression::words).orElse(""),
                e.seats().map(Compression::words).orElse(""),
                e.then().map(Compression::words).orElse(""));
    }

    private static List<String> gasket(Outlook outlook, LengthWriter writer) {
        List<String> says = new ArrayList<>();
        outlook.gasket().ifPresent(g -> says.addAll(gasket(g, writer)));
        return says;
    }

    private static List<String> gasket(GasketAdvice g, LengthWriter writer) {
        List<String> says = new ArrayList<>();
        says.add("A gasket " + writer.full(g.restoresRatio())
                + " thicker restores the ratio as it is now; piston to head comes to "
                + writer.signed(g.squeezeWithRatio()) + " " + writer.unit().label() + " against now.");
        if (g.restoresSqueeze() > 0) {
            says.add("One " + writer.full(g.restoresSqueeze())
                    + " thicker restores the distance from piston to head; the ratio comes to "
                    + Ratios.ratio(g.ratioWithSqueeze()) + ".");
        }
        return says;
    }

    private static BudgetView.Brings brings(Consequence c, LengthWriter writer) {
        boolean cam = c.kind() == Consequence.Kind.CAM;
        List<String> figures = c.figures().stream()
                .map(f -> cam ? String.format(Locale.ROOT, "%.2f°", f) : writer.number(f))
                .toList();
        String first = figures.isEmpty() ? "?" : figures.get(0);
        String second = figures.size() < 2 ? "" : figures.get(1);
        return new BudgetView.Brings(
                Words.of(c.kind().words()),
                switch (c.tone()) {
                    case FINE -> "within";
                    case LOOK -> "look";
                    case OVER -> "out";
                    case NOT_KNOWN -> "open";
                },
                ConsequenceDrawing.svg(c.kind(), first, second),
                Words.of(c.says(), writer),
                Words.of(c.advice()),
                WorkingView.of(c.working(), writer));
    }

    private static List<BudgetView.Bowl> bowls(Bowls bowls, LengthWriter writer) {
        return bowls.each().stream()
                .map(o -> new BudgetView.Bowl(
                        o.name(),
                        o.cc().isPresent() ? Ratios.cc(o.cc().getAsDouble()) : "",
                        o.margin()
                                .map(m -> Words.of(m.standing().words())
                                        + (o.proven()
                                                ? ""
                                                : ", lacks "
                                                        + Ratios.signedCc(o.add())
                                                                .replace("+", "")))
                                .orElse("not filled"),
                        o.margin()
                                .map(m -> switch (m.standing()) {
                                    case PASSES -> "within";
                                    case ON_THE_LINE -> "line";
                                    case FAILS -> "out";
                                })
                                .orElse("unread"),
                        o.deeper().isPresent()
                                ? "mill " + writer.needed(o.deeper().getAsDouble()) + " ± "
                                        + writer.number(o.plusMinus()) + " deeper"
                                : ""))
                .toList();
    }

    private static String say(Bowls bowls) {
        if (bowls.proven()) {
            return "Every bowl was filled and passes.";
        }
        boolean lacks = bowls.each().stream().anyMatch(o -> o.add() > 0);
        if (!lacks) {
            return "Fill the crown of each piston that was not filled: none is proven by another.";
        }
        return (bowls.first().isEmpty()
                        ? "Mill one bowl deeper by a known depth, fill its crown again, and key depth and gain under"
                                + " Engine figures, Making chambers equal: then the depth for the others stands here."
                        : "Copy that depth, fill each crown again: none is proven by another.")
                + " How thin a crown may become is the maker's or the class's to say.";
    }

    /** By which way, with the depth of a pocket where one was tried. */
    private static String how(Equalise.Share s, Optional<Bowls.First> first, LengthWriter writer) {
        String cc = Words.of(s.way().words()) + " " + Ratios.signedCc(s.cc()).replace("+", "");
        return s.way() == Equalise.Way.POCKET && first.isPresent()
                ? cc + ", " + writer.needed(first.get().depthFor(s.cc())) + " deeper; fill it again"
                : cc;
    }

    private static BudgetView.Equal equal(Outlook outlook, LengthWriter writer) {
        Optional<Bowls.First> first = outlook.question().firstPocket();
        double least = outlook.question().book().or(EngineItem.CLASS_CC, 0);
        Optional<Equalise> equal = outlook.equalCylinders();
        boolean pistons = outlook.pistonsDiffer();
        if (equal.isEmpty() || equal.get().each().size() < 2) {
            return new BudgetView.Equal("", "", List.of());
        }
        Equalise e = equal.get();
        List<BudgetView.Share> rows = new ArrayList<>();
        for (Equalise.One o : e.each()) {
            String how = o.shares().stream().map(s -> how(s, first, writer)).collect(Collectors.joining(", "));
            String lacking =
                    o.lacking() > 0 ? "; " + Ratios.signedCc(o.lacking()).replace("+", "") + " is lacking" : "";
            rows.add(new BudgetView.Share(
                    o.name(),
                    Ratios.signedCc(o.add()),
                    o.add() == 0 ? "as it is" : how + lacking,
                    o.shares().isEmpty() ? "" : Math.round(o.minutes()) + " min"));
        }
        String words = e.reached()
                ? "All to " + Ratios.cc(e.target())
                        + (pistons
                                ? " above the piston, as the largest has after this cut: "
                                : ", the largest after this cut: ")
                        + Math.round(e.minutes())
                        + " minutes in all by the cheapest mix."
                : "They cannot all come to " + Ratios.cc(e.target()) + ": inside the limits the least of them reaches "
                        + Ratios.cc(e.possible()) + ".";
        String below = !pistons && least > e.target() ? " That is below the class's " + Ratios.cc(least) + "." : "";
        return new BudgetView.Equal(words + below, e.reached() ? "within" : "out", rows);
    }

    static List<String> report(Outlook outlook, LengthWriter writer) {
        return outlook.consequences().stream()
                .flatMap(c -> c.report().stream())
                .map(l -> Words.of(l, writer))
                .toList();
    }

    static String lower(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
    }

    static String capital(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}

package homalon.core.cut;

import homalon.core.chambers.Bowls;
import homalon.core.chambers.ClassMargin;
import homalon.core.chambers.Cylinder;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Ratios;
import homalon.core.cut.Budget.Kind;
import homalon.core.part.PartKind;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/** Budgets that each cylinder has by itself: of them the one that is used up first stands. */
final class ChamberBudgets {
    /** What a cut leaves open grows with the cut: so many rounds settle how deep it may be. */
    private static final int ROUNDS = 12;

    private final OutlookQuestion q;
    private final EngineBook book;
    private final List<Outlook.Each> each;

    ChamberBudgets(OutlookQuestion question, List<Outlook.Each> each) {
        this.q = question;
        this.book = question.book();
        this.each = each;
    }

    List<Budget> all() {
        List<Budget> all = new ArrayList<>();
        ratio(Kind.RATIO).map(this::ifFilled).ifPresent(all::add);
        ratio(Kind.CLASS_RATIO).map(this::ifFilled).ifPresent(all::add);
        classChamber().map(this::ifFilled).ifPresent(all::add);
        classSpace().map(this::ifFilled).ifPresent(all::add);
        classBowl().ifPresent(all::add);
        return all;
    }

    /** What the filled chambers keep to says nothing of one that nobody filled; a class asks for two fills of each. */
    private Budget ifFilled(Budget of) {
        return q.filled(of.kind().ofClass()) ? of : of.notProven();
    }

    /** What is needed above the piston for a ratio, against what is there. */
    private Optional<Budget> ratio(Kind kind) {
        Optional<EngineBook.Entry> limit = book.entry(kind.item());
        if (limit.isEmpty()) {
            return Optional.empty();
        }
        List<Budget> found = new ArrayList<>();
        for (int i = 0; i < each.size(); i++) {
            if (each.get(i).then().isPresent() && each.get(i).now().isPresent()) {
                found.add(ratio(kind, limit.get(), i));
            }
        }
        EngineItem missing = book.missingForRatio().isEmpty()
                ? EngineItem.CHAMBER
                : book.missingForRatio().get(0);
        return Optional.of(first(found).orElseGet(() -> Budget.notMeasured(kind, limit.get(), missing)));
    }

    private Budget ratio(Kind kind, EngineBook.Entry limit, int i) {
        Outlook.Each e = each.get(i);
        Cylinder y = e.then().orElseThrow().cylinder();
        boolean head = q.face() == PartKind.HEAD;
        double before = y.clearanceCc() + (head ? e.chamber().took(e.rim()) : e.rim() * book.blockOpening() / 1000);
        double needed = y.sweptCc() / (limit.value() - 1);
        double spread = kind.ofClass() ? e.then().get().spread() : 0;
        // As a volume; the part of the chamber in it changes with the cut.
        double open = spread * y.clearanceCc() * y.clearanceCc() / y.sweptCc();
        double rest = open * open - Math.pow(e.chamber().openAfter(head ? e.rim() : 0), 2);
        DoubleUnaryOperator openAfter = rim -> kind.ofClass()
                ? ClassMargin.COVERAGE
                        * Math.sqrt(Math.max(0, rest) + Math.pow(e.chamber().openAfter(head ? rim : 0), 2))
                : 0;
        double rim = settled(
                cc -> head ? e.chamber().rimFor(cc) : cc / book.blockOpening() * 1000, before - needed, openAfter);
        Message less = kind.ofClass()
                ? Message.of("cut.and-kept-for-what-the-measurement", Ratios.exactCc(openAfter.applyAsDouble(rim)))
                : Message.NONE;
        return Budget.of(
                kind,
                Message.of("cut.cyl", e.chamber().name()),
                limit,
                e.now().orElseThrow().ratio(),
                e.then().get().ratio(),
                spread,
                q.cutFor(i, rim),
                Working.of(kind.words())
                        .line(Message.of("cut.above-the-piston-before-this-cut", Ratios.exactCc(before)))
                        .line(Message.of(
                                "cut.needed-for-swept-ratio-1",
                                Ratios.ratio(limit.value()),
                                Ratios.exactCc(needed),
                                less))
                        .line(
                                Message.of(
                                        "cut.to-spare-over-the-opening-at-its-rim", Ratios.signedCc(before - needed)),
                                rim)
                        .done());
    }

    private Optional<Budget> classChamber() {
        Optional<EngineBook.Entry> limit = book.entry(EngineItem.CLASS_CC);
        if (limit.isEmpty()) {
            return Optional.empty();
        }
        List<Budget> found = new ArrayList<>();
        for (int i = 0; i < each.size(); i++) {
            Outlook.Each e = each.get(i);
            ChamberNow c = e.chamber();
            double now = c.nowCc() + c.seatsCc();
            double spare = now - limit.get().value();
            double rim = settled(c::rimFor, spare, at -> ClassMargin.COVERAGE * c.openAfter(at));
            found.add(Budget.of(
                    Kind.CLASS_CC,
                    Message.of("cut.no", c.name()),
                    limit.get(),
                    now,
                    e.thenCc(),
                    e.thenPlusMinus(),
                    q.face() == PartKind.HEAD ? q.cutFor(i, rim) : Double.POSITIVE_INFINITY,
                    Working.of(Kind.CLASS_CC.words())
                            .line(Message.of(
                                    "cut.holds-the-class-asks-to-spare",
                                    Ratios.exactCc(now),
                                    Ratios.exactCc(c.plusMinus()),
                                    Ratios.exactCc(limit.get().value()),
                                    Ratios.signedCc(spare)))
                            .line(
                                    Message.of(
                                            "cut.less-two-standard-uncertainties-of-what",
                                            new Message.Mm2(c.opening().mm2())),
                                    rim)
                            .done()));
        }
        return Optional.of(
                first(found).orElseGet(() -> Budget.notMeasured(Kind.CLASS_CC, limit.get(), EngineItem.CHAMBER)));
    }

    /** The least space that may be left above a piston, against what is there. */
    private Optional<Budget> classSpace() {
        Optional<EngineBook.Entry> limit = book.entry(EngineItem.CLASS_SPACE);
        if (limit.isEmpty()) {
            return Optional.empty();
        }
        List<Budget> found = new ArrayList<>();
        for (int i = 0; i < each.size(); i++) {
            Outlook.Each e = each.get(i);
            if (e.then().isPresent() && e.now().isPresent()) {
                found.add(classSpace(limit.get(), i));
            }
        }
        EngineItem missing = book.missingForRatio().isEmpty()
                ? EngineItem.CHAMBER
                : book.missingForRatio().get(0);
        return Optional.of(first(found).orElseGet(() -> Budget.notMeasured(Kind.CLASS_SPACE, limit.get(), missing)));
    }

    private Budget classSpace(EngineBook.Entry limit, int i) {
        Outlook.Each e = each.get(i);
        Cylinder y = e.then().orElseThrow().cylinder();
        boolean head = q.face() == PartKind.HEAD;
        double before = y.clearanceCc() + (head ? e.chamber().took(e.rim()) : e.rim() * book.blockOpening() / 1000);
        // The spread of the ratio, as a volume.
        double open = e.then().get().spread() * y.clearanceCc() * y.clearanceCc() / y.sweptCc();
        double rest = open * open - Math.pow(e.chamber().openAfter(head ? e.rim() : 0), 2);
        DoubleUnaryOperator openAfter = at -> ClassMargin.COVERAGE
                * Math.sqrt(Math.max(0, rest) + Math.pow(e.chamber().openAfter(head ? at : 0), 2));
        double rim = settled(
                cc -> head ? e.chamber().rimFor(cc) : cc / book.blockOpening() * 1000,
                before - limit.value(),
                openAfter);
        return Budget.of(
                Kind.CLASS_SPACE,
                Message.of("cut.cyl", e.chamber().name()),
                limit,
                e.now().orElseThrow().cylinder().clearanceCc(),
                y.clearanceCc(),
                open,
                q.cutFor(i, rim),
                Working.of(Kind.CLASS_SPACE.words())
                        .line(Message.of(
                                "cut.above-the-piston-before-this-cut-the",
                                Ratios.exactCc(before),
                                Ratios.exactCc(limit.value())))
                        .line(
                                Message.of(
                                        "cut.less-two-standard-uncertainties-over",
                                        Ratios.exactCc(openAfter.applyAsDouble(rim))),
                                rim)
                        .done());
    }

    /** The least bowl of a piston: no cut changes it. What was read of each is held against the class; a told figure is not. */
    private Optional<Budget> classBowl() {
        Optional<EngineBook.Entry> limit = book.entry(EngineItem.CLASS_BOWL);
        if (limit.isEmpty()) {
            return Optional.empty();
        }
        Bowls bowls = q.bowls().orElseThrow();
        // Each piston has to pass: one that nobody filled is not proven by the others.
        Optional<Budget> worst = bowls.each().stream()
                .filter(o -> o.cc().isPresent())
                .min(Comparator.comparingDouble(o -> o.cc().getAsDouble()))
                .map(o -> Budget.of(
                        Kind.CLASS_BOWL,
                        Message.of("cut.cyl", o.name()),
                        limit.get(),
                        o.cc().getAsDouble(),
                        o.cc().getAsDouble(),
                        bowls.open(),
                        Double.POSITIVE_INFINITY,
                        bowls.working()))
                .map(b -> bowls.proven() ? b : b.notProven());
        return Optional.of(worst.orElseGet(() -> Budget.notMeasured(Kind.CLASS_BOWL, limit.get(), EngineItem.CROWN)));
    }

    /** The cut that takes what is to spare, less what is left open after that very cut. */
    private static double settled(DoubleUnaryOperator rimFor, double spareCc, DoubleUnaryOperator openAfter) {
        double rim = rimFor.applyAsDouble(spareCc - openAfter.applyAsDouble(0));
        for (int round = 0; round < ROUNDS; round++) {
            rim = rimFor.applyAsDouble(spareCc - openAfter.applyAsDouble(rim));
        }
        return rim;
    }

    /** The one used up first; where this cut uses none of them up, the one that stands worst. */
    private static Optional<Budget> first(List<Budget> found) {
        return found.stream()
                .min(Comparator.comparingDouble(Budget::room)
                        .thenComparingDouble(b -> b.kind().least() ? b.after() : -b.after()));
    }
}

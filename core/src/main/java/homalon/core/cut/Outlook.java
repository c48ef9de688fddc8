package homalon.core.cut;

import homalon.core.chambers.ClassMargin;
import homalon.core.chambers.Compression;
import homalon.core.chambers.Cylinder;
import homalon.core.chambers.Doubts;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Equalise;
import homalon.core.chambers.GasketAdvice;
import homalon.core.chambers.Ratios;
import homalon.core.input.BadInputException;
import homalon.core.part.PartKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;

/**
 * What a cut brings with it: every cylinder's compression before and after, every budget, every consequence. The same for a cut
 * that is thought of and for one that was made. Immutable; lengths mm, volumes cm3.
 */
public final class Outlook {
    /**
     * One cylinder, step by step.
     *
     * @param rim what the cut takes over its rim
     * @param filled as its chamber was filled first
     * @param now with what came off since
     * @param seats with seat work as planned; empty where none is
     * @param then with the cut, gasket, deck and crown that are thought of
     * @param thenCc of the chamber after all that
     * @param thenPlusMinus of it
     */
    public record Each(
            ChamberNow chamber,
            double rim,
            Optional<Compression> filled,
            Optional<Compression> now,
            Optional<Compression> seats,
            Optional<Compression> then,
            double thenCc,
            double thenPlusMinus) {}

    private final OutlookQuestion question;
    private final List<Each> each;
    private final Budgets budgets;
    private final List<Consequence> consequences;

    private Outlook(OutlookQuestion question, List<Each> each, Budgets budgets, List<Consequence> consequences) {
        this.question = question;
        this.each = each;
        this.budgets = budgets;
        this.consequences = consequences;
    }

    /** @throws BadInputException when the cut would leave nothing above a piston; it says how much is possible */
    public static Outlook of(OutlookQuestion question) {
        List<Each> each = new ArrayList<>();
        for (int i = 0; i < question.chambers().size(); i++) {
            each.add(each(question, i));
        }
        Budgets budgets = Budgets.of(question, each);
        return new Outlook(question, List.copyOf(each), budgets, Consequences.of(question));
    }

    private static Each each(OutlookQuestion q, int i) {
        ChamberNow c = q.chambers().get(i);
        double rim = q.rim(i, q.whatIf().cut());
        double head = q.face() == PartKind.HEAD ? rim : q.whatIf().other();
        double block = q.face() == PartKind.HEAD ? q.whatIf().other() : rim;
        OptionalDouble deck = c.deck().isPresent() ? c.deck() : deck(q);
        double took = c.took(head);
        double thenCc = c.nowCc() + c.seatsCc() - took;
        if (thenCc < 0) {
            throw new BadInputException(
                    "cut", "cut.chamber-holds-that-cut-takes-more-than", c.name(), Ratios.cc(c.nowCc() + c.seatsCc()));
        }
        Doubts doubts = Doubts.usual(c.plusMinus(), c.opening().plusMinus());
        Optional<Cylinder> filled = q.book().cylinder(c.firstCc(), c.deck(), c.crownCc());
        Optional<Cylinder> now = q.book().cylinder(c.nowCc(), deck, c.crownCc());
        Optional<Cylinder> seats =
                c.seatsCc() == 0 ? Optional.empty() : now.map(n -> n.withChamber(c.nowCc() + c.seatsCc()));
        // What a cut takes follows the fills to a depth where there are some: as a mean opening down to there.
        double opening = head == 0 ? c.opening().mm2() : took / head * 1000;
        Compression.Cut uncut = new Compression.Cut(0, 0, c.opening().mm2(), 0, c.cutSince());
        return new Each(
                c,
                rim,
                filled.map(y -> Compression.now(y, doubts)),
                now.map(y -> Compression.after(y, uncut, doubts)),
                seats.map(y -> Compression.after(y, uncut, doubts)),
                then(q, c, deck)
                        .map(y -> Compression.after(
                                y,
                                new Compression.Cut(
                                        head, block, opening, q.book().blockOpening(), c.cutSince()),
                                doubts)),
                thenCc,
                c.openAfter(head));
    }

    /** The cylinder as it is thought of: with the deck, the crown and the gasket that are tried out. */
    private static Optional<Cylinder> then(OutlookQuestion q, ChamberNow c, OptionalDouble deck) {
        WhatIf tried = q.whatIf();
        return q.book()
                .cylinder(
                        c.nowCc() + c.seatsCc(),
                        tried.deck().isPresent() ? tried.deck() : deck,
                        tried.crownCc().isPresent() ? tried.crownCc() : c.crownCc())
                .map(y -> tried.gasket().isPresent()
                        ? y.withGasket(new Cylinder.Gasket(
                                y.gasket().areaMm2(), tried.gasket().getAsDouble()))
                        : y);
    }

    /** The piston's height now: a block that was cut since it was keyed lets it stand higher. */
    static OptionalDouble deck(OutlookQuestion q) {
        double off = q.face() == PartKind.DECK ? q.since(EngineItem.DECK) : 0;
        return q.book().has(EngineItem.DECK)
                ? OptionalDouble.of(q.book().value(EngineItem.DECK) - off)
                : OptionalDouble.empty();
    }

    /** A piston's height that was read, after what came off the deck since. */
    public static OptionalDouble deckNow(OptionalDouble read, double cutSince) {
        return read.isPresent() ? OptionalDouble.of(read.getAsDouble() - cutSince) : read;
    }

    public OutlookQuestion question() {
        return question;
    }

    /** Every cylinder, in the order of the chambers. */
    public List<Each> each() {
        return each;
    }

    public Budgets budgets() {
        return budgets;
    }

    public List<Consequence> consequences() {
        return consequences;
    }

    /** Pistons or crowns were read one by one: cylinders are equal by all that is above the piston, not by the chamber alone. */
    public boolean pistonsDiffer() {
        return each.stream()
                        .anyMatch(e -> e.chamber().deck().isPresent()
                                || e.chamber().crownCc().isPresent())
                && each.stream().allMatch(e -> e.then().isPresent());
    }

    /** The cylinders made equal in what is above their pistons, where that is known of each by itself; else their chambers. */
    public Optional<Equalise> equalCylinders() {
        return pistonsDiffer()
                ? equalise(0, e -> e.then().orElseThrow().cylinder().clearanceCc())
                : equalise(0);
    }

    /**
     * The chambers made equal after all that is thought of.
     *
     * @param atLeast a volume that is wanted, cm3; 0 for that of the largest
     * @return empty without chambers
     */
    public Optional<Equalise> equalise(double atLeast) {
        return equalise(atLeast, Each::thenCc);
    }

    private Optional<Equalise> equalise(double atLeast, ToDoubleFunction<Each> volume) {
        if (each.isEmpty()) {
            return Optional.empty();
        }
        EngineBook book = question.book();
        List<Equalise.Chamber> chambers = new ArrayList<>();
        for (Each e : each) {
            List<Equalise.Means> means = new ArrayList<>();
            means.add(new Equalise.Means(
                    Equalise.Way.GRIND, book.value(EngineItem.GRIND_MOST), book.value(EngineItem.GRIND_MINUTES)));
            if (book.has(EngineItem.SINK_MOST) && e.chamber().valveArea() > 0) {
                means.add(new Equalise.Means(
                        Equalise.Way.SINK,
                        book.value(EngineItem.SINK_MOST) * e.chamber().valveArea() / 1000,
                        book.value(EngineItem.SINK_MINUTES)));
            }
            if (book.has(EngineItem.POCKET_MOST)) {
                means.add(new Equalise.Means(
                        Equalise.Way.POCKET,
                        book.value(EngineItem.POCKET_MOST),
                        book.value(EngineItem.POCKET_MINUTES)));
            }
            chambers.add(new Equalise.Chamber(e.chamber().name(), volume.applyAsDouble(e), means));
        }
        return Optional.of(Equalise.of(chambers, atLeast));
    }

    /**
     * Chambers that the cut brings under the class's least volume, but that can be ground out to the largest, which then passes as
     * every one of them does.
     */
    public boolean passesOnceEqual() {
        Optional<Equalise> equal = equalise(0);
        double open = each.stream().mapToDouble(Each::thenPlusMinus).max().orElse(0);
        return question.book().has(EngineItem.CLASS_CC)
                && equal.isPresent()
                && equal.get().reached()
                && equal.get().target()
                        >= question.book().value(EngineItem.CLASS_CC) + ClassMargin.COVERAGE * open - 1e-6;
    }

    /** What a gasket puts right, for the cylinder that stands highest; empty while no ratio is known or nothing is cut. */
    public Optional<GasketAdvice> gasket() {
        Each highest = null;
        for (Each e : each) {
            boolean more = e.then().isPresent()
                    && e.now().isPresent()
                    && (highest == null
                            || e.then().get().ratio() > highest.then().get().ratio());
            highest = more ? e : highest;
        }
        if (highest == null || question.headCut() + question.blockCut() == 0) {
            return Optional.empty();
        }
        boolean head = question.face() == PartKind.HEAD;
        double headRim = head ? highest.rim() : question.headCut();
        double took = highest.chamber().took(headRim);
        double opening = headRim == 0 ? 0 : took / headRim * 1000;
        return Optional.of(GasketAdvice.of(
                highest.now().orElseThrow().cylinder(),
                new Compression.Cut(
                        headRim,
                        head ? question.blockCut() : highest.rim(),
                        opening,
                        question.book().blockOpening())));
    }
}

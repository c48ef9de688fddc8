package homalon.core.cut;

import homalon.core.chambers.Compression;
import homalon.core.chambers.Cylinder;
import homalon.core.chambers.DepthFills;
import homalon.core.chambers.Doubts;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Equalise;
import homalon.core.chambers.GasketAdvice;
import homalon.core.chambers.OpeningArea;
import homalon.core.chambers.Ratios;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.part.PartKind;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;

/**
 * What a cut brings with it: every cylinder's compression before and after, every budget, every consequence. The same for a cut
 * that is thought of and for one that was made. Immutable; lengths mm, volumes cm3.
 */
public final class Outlook {
    /** Where a chamber's volume comes from. */
    public enum Basis {
        FILLED("filled"),
        ONE_FILL("filled once"),
        TOLD("told, not measured");

        private final String words;

        Basis(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * One chamber.
     *
     * @param firstCc as it was filled first, which is what the engine had; as told where it was not filled
     * @param cc as last filled, or as told
     * @param plusMinus what that leaves open
     * @param cutSince mean over its rim that came off since
     * @param seatsCc what seat work that is planned will add
     * @param valveArea heads of its valves together, mm2; 0 where they are not known
     * @param depths fills to a depth, where there are some: a cut follows them as far as they go
     * @param deck of its piston as it stands now, where it was read by itself
     * @param crownCc of its piston, where it was read by itself
     */
    public record Chamber(
            String name,
            double firstCc,
            double cc,
            double plusMinus,
            Basis basis,
            double cutSince,
            double seatsCc,
            double valveArea,
            OpeningArea opening,
            Optional<DepthFills> depths,
            OptionalDouble deck,
            OptionalDouble crownCc) {

        /** What a cut from the face as it was filled takes of it, cm3. */
        double loss(double cut) {
            return depths.filter(d -> cut > 0 && cut <= d.deepest())
                    .map(d -> d.after(0) - d.after(cut))
                    .orElse(cut * opening.mm2() / 1000);
        }

        /** Cut from the face as it was filled that takes so much of it, mm. */
        double cutFor(double cc) {
            Optional<DepthFills.Cut> cut =
                    depths.filter(d -> cc > 0).map(d -> d.to(d.after(0) - cc)).filter(DepthFills.Cut::reached);
            return cut.map(DepthFills.Cut::cut).orElse(cc / opening.mm2() * 1000);
        }

        /** What a cut from here on takes of it, cm3. @param rim mean over its rim, mm */
        double took(double rim) {
            return loss(cutSince + rim) - loss(cutSince);
        }

        /** Cut over its rim from here on that takes so much; negative for what would have to be added. */
        double rimFor(double cc) {
            return cutFor(loss(cutSince) + cc) - cutSince;
        }

        /** What its volume leaves open after a cut over its rim, cm3: by the whole of what came off since it was filled. */
        double openAfter(double rim) {
            double off = cutSince + Math.max(0, rim);
            double cut = off == 0 ? 0 : opening.mm2() * Doubts.DEFAULT_CUT / 1000;
            return Math.sqrt(plusMinus * plusMinus + Math.pow(off * opening.plusMinus() / 1000, 2) + cut * cut);
        }

        public double nowCc() {
            return cc - loss(cutSince);
        }
    }

    /** @param total off in its life, this visit's among it; a least figure unless what came off before is known */
    public record Life(double total, Sure sure) {
        /** How sure what came off before is. */
        public enum Sure {
            KNOWN(""),
            ESTIMATED("what came off before is an estimate"),
            UNKNOWN("what came off before is not known");

            private final String words;

            Sure(String words) {
                this.words = words;
            }

            /** What is to be said of it; empty when it is known. */
            public String words() {
                return words;
            }
        }
    }

    /**
     * What is thought of.
     *
     * @param cut off this face from here on, counted from first touch
     * @param other off the face that it meets
     * @param gasket another one, compressed
     * @param deck another height of the pistons
     * @param crownCc another crown
     */
    public record WhatIf(double cut, double other, OptionalDouble gasket, OptionalDouble deck, OptionalDouble crownCc) {
        public static final WhatIf NOTHING =
                new WhatIf(0, 0, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

        /** @throws BadInputException for what nobody cuts or fits */
        public WhatIf {
            Problems problems = new Problems();
            problems.require(cut >= 0 && cut <= 10, "cut", "The cut: key 0 to 10 mm.");
            problems.require(other >= 0 && other <= 10, "other", "The other face's cut: key 0 to 10 mm.");
            gasket.ifPresent(
                    g -> problems.require(g >= 0.05 && g <= 10, "gasket", "Gasket, compressed: key 0.05 to 10 mm."));
            deck.ifPresent(d -> problems.require(
                    Math.abs(d) <= 20, "deck", "Piston below the deck: key −20 to 20 mm, with a minus when proud."));
            crownCc.ifPresent(c -> problems.require(
                    Math.abs(c) <= 2000, "crown", "Crown: key −2000 to 2000 cc, with a minus for a dome."));
            problems.throwIfAny();
        }

        public WhatIf withCut(double mm) {
            return new WhatIf(mm, other, gasket, deck, crownCc);
        }
    }

    /**
     * All that it is worked out from.
     *
     * @param face head or block deck
     * @param chambers in the order of the bores of the layout; may be empty
     * @param rims as many as the layout has bores
     * @param done what was cut of the set-up already, from its first touch
     * @param since what came off this face since an item was measured; absent for nothing
     * @param toClean what the plan says the face needs from here on; empty without a plan
     */
    public record Question(
            EngineBook book,
            PartKind face,
            List<Chamber> chambers,
            RimDepths rims,
            double done,
            Life life,
            Map<EngineItem, Double> since,
            OptionalDouble toClean,
            WhatIf whatIf) {
        public Question {
            chambers = List.copyOf(chambers);
            since = Map.copyOf(since);
        }

        /**
         * What was cut since the first fills and what is known now, put as one cut from there: for whoever puts the engine together.
         * What was measured after some of it has lost only the rest.
         *
         * @param cut off this face in all, from first touch
         */
        public Question asOneCut(double cut) {
            List<Chamber> before = new ArrayList<>();
            for (Chamber c : chambers) {
                OptionalDouble then = face == PartKind.DECK ? deckNow(c.deck(), -cut) : c.deck();
                before.add(new Chamber(
                        c.name(),
                        c.firstCc(),
                        c.firstCc(),
                        c.plusMinus(),
                        c.basis(),
                        0,
                        0,
                        c.valveArea(),
                        c.opening(),
                        c.depths(),
                        then,
                        c.crownCc()));
            }
            Map<EngineItem, Double> sooner = new EnumMap<>(EngineItem.class);
            since.forEach((item, off) -> sooner.put(item, off - cut));
            return new Question(
                    book,
                    face,
                    before,
                    rims,
                    0,
                    new Life(life.total() - cut, life.sure()),
                    sooner,
                    OptionalDouble.empty(),
                    WhatIf.NOTHING.withCut(cut));
        }

        double since(EngineItem item) {
            return since.getOrDefault(item, 0.0);
        }

        Question with(EngineBook other) {
            return new Question(other, face, chambers, rims, done, life, since, toClean, whatIf);
        }

        public Question with(WhatIf other) {
            return new Question(book, face, chambers, rims, done, life, since, toClean, other);
        }

        /** What is off the head in all by what is thought of. */
        double headCut() {
            return face == PartKind.HEAD ? whatIf.cut() : whatIf.other();
        }

        double blockCut() {
            return face == PartKind.HEAD ? whatIf.other() : whatIf.cut();
        }

        /** What the cut takes over the rim of one chamber, from here on. */
        double rim(int chamber, double cut) {
            return rims.taken(chamber, done + cut) - rims.taken(chamber, done);
        }

        /** What has to come off from here on for so much over that rim; as it is for what would have to be put on. */
        double cutFor(int chamber, double rim) {
            return rim <= 0 ? rim : rims.totalFor(chamber, rims.taken(chamber, done) + rim) - done;
        }

        /** How much thicker the gasket that is thought of is. */
        double gasketThicker() {
            return whatIf.gasket().isPresent() && book.has(EngineItem.GASKET)
                    ? whatIf.gasket().getAsDouble() - book.value(EngineItem.GASKET)
                    : 0;
        }

        /** Nearer that head and piston come, all in all. */
        double nearer() {
            return whatIf.cut() + whatIf.other() - gasketThicker();
        }
    }

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
            Chamber chamber,
            double rim,
            Optional<Compression> filled,
            Optional<Compression> now,
            Optional<Compression> seats,
            Optional<Compression> then,
            double thenCc,
            double thenPlusMinus) {}

    private final Question question;
    private final List<Each> each;
    private final Budgets budgets;
    private final List<Consequence> consequences;

    private Outlook(Question question, List<Each> each, Budgets budgets, List<Consequence> consequences) {
        this.question = question;
        this.each = each;
        this.budgets = budgets;
        this.consequences = consequences;
    }

    /** @throws BadInputException when the cut would leave nothing above a piston; it says how much is possible */
    public static Outlook of(Question question) {
        List<Each> each = new ArrayList<>();
        for (int i = 0; i < question.chambers().size(); i++) {
            each.add(each(question, i));
        }
        Budgets budgets = Budgets.of(question, each);
        return new Outlook(question, List.copyOf(each), budgets, Consequences.of(question));
    }

    private static Each each(Question q, int i) {
        Chamber c = q.chambers().get(i);
        double rim = q.rim(i, q.whatIf().cut());
        double head = q.face() == PartKind.HEAD ? rim : q.whatIf().other();
        double block = q.face() == PartKind.HEAD ? q.whatIf().other() : rim;
        OptionalDouble deck = c.deck().isPresent() ? c.deck() : deck(q);
        double took = c.took(head);
        double thenCc = c.nowCc() + c.seatsCc() - took;
        if (thenCc < 0) {
            throw new BadInputException(
                    "cut",
                    "Chamber " + c.name() + " holds " + Ratios.cc(c.nowCc() + c.seatsCc())
                            + ": that cut takes more than all of it. Key less.");
        }
        Doubts doubts = Doubts.usual(c.plusMinus(), c.opening().plusMinus());
        Optional<Cylinder> filled = q.book().cylinder(c.firstCc(), deck, c.crownCc());
        Optional<Cylinder> now = q.book().cylinder(c.nowCc(), deck, c.crownCc());
        Optional<Cylinder> seats =
                c.seatsCc() == 0 ? Optional.empty() : now.map(n -> n.withChamber(c.nowCc() + c.seatsCc()));
        // What a cut takes follows the fills to a depth where there are some: as a mean opening down to there.
        double opening = head == 0 ? c.opening().mm2() : took / head * 1000;
        Compression.Cut cut = new Compression.Cut(head, block, opening, q.book().blockOpening(), c.cutSince());
        Compression.Cut uncut = new Compression.Cut(0, 0, c.opening().mm2(), 0, c.cutSince());
        Optional<Compression> then = q.book()
                .cylinder(
                        c.nowCc() + c.seatsCc(),
                        q.whatIf().deck().isPresent() ? q.whatIf().deck() : deck,
                        q.whatIf().crownCc().isPresent() ? q.whatIf().crownCc() : c.crownCc())
                .map(y -> q.whatIf().gasket().isPresent()
                        ? y.withGasket(new Cylinder.Gasket(
                                y.gasket().areaMm2(), q.whatIf().gasket().getAsDouble()))
                        : y)
                .map(y -> Compression.after(y, cut, doubts));
        return new Each(
                c,
                rim,
                filled.map(y -> Compression.now(y, doubts)),
                now.map(y -> Compression.after(y, uncut, doubts)),
                seats.map(y -> Compression.after(y, uncut, doubts)),
                then,
                thenCc,
                c.openAfter(head));
    }

    /** The piston's height now: a block that was cut since it was keyed lets it stand higher. */
    static OptionalDouble deck(Question q) {
        double off = q.face() == PartKind.DECK ? q.since(EngineItem.DECK) : 0;
        return q.book().has(EngineItem.DECK)
                ? OptionalDouble.of(q.book().value(EngineItem.DECK) - off)
                : OptionalDouble.empty();
    }

    /** A piston's height that was read, after what came off the deck since. */
    public static OptionalDouble deckNow(OptionalDouble read, double cutSince) {
        return read.isPresent() ? OptionalDouble.of(read.getAsDouble() - cutSince) : read;
    }

    public Question question() {
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
                && equal.get().target() >= question.book().value(EngineItem.CLASS_CC) + open - 1e-6;
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

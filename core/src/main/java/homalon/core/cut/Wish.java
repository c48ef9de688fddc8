package homalon.core.cut;

import homalon.core.chambers.ClassMargin;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Ratios;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.part.PartKind;
import homalon.core.words.Message;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What somebody wants of an engine, turned into a cut or a gasket; where it cannot be had, what can, and what stands against it.
 *
 * @param whatIf what comes nearest inside every budget
 * @param met whether that is what was wanted
 * @param says what it takes, or what stands against it
 */
public record Wish(WhatIf whatIf, boolean met, Message says) {
    /** What is wanted. */
    public enum Kind {
        RATIO,
        CLASS,
        CLASS_EQUAL,
        STOCK,
        MOST;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    private static final double SLACK = 1e-9;
    private static final double MOST_CUT = 10;

    /**
     * @param wanted the ratio; not looked at for another wish
     * @throws homalon.core.input.BadInputException while what it is worked out from is not known, or for what is no ratio
     */
    public static Wish of(Kind kind, OutlookQuestion question, double wanted) {
        return switch (kind) {
            case RATIO -> ratio(question, wanted);
            case CLASS -> classVolume(question, false);
            case CLASS_EQUAL -> classVolume(question, true);
            case STOCK -> stock(question);
            case MOST -> most(question);
        };
    }

    private static Message line(Message text, double... mm) {
        return text.with(mm);
    }

    private static Wish ratio(OutlookQuestion asked, double wanted) {
        Problems problems = new Problems();
        problems.require(wanted > 1 && wanted <= 1000, "wanted", "cut.wanted-ratio-key-a-number-above-1-such");
        problems.throwIfAny();
        OutlookQuestion q = asked.with(asked.whatIf().withCut(0));
        Outlook now = Outlook.of(q);
        Outlook.Each highest = highest(now);
        double stands = highest.then().orElseThrow().ratio();
        if (wanted < stands - 5e-3) {
            double thicker = (highest.then().get().cylinder().chamberFor(wanted)
                            - highest.then().get().cylinder().chamberCc())
                    / q.book().gasketArea()
                    * 1000;
            double gasket = q.whatIf().gasket().orElse(q.book().value(EngineItem.GASKET)) + thicker;
            Message says = line(
                    Message.of(
                            "cut.a-cut-only-raises-the-ratio-and",
                            highest.chamber().name(),
                            Ratios.ratio(stands),
                            Ratios.ratio(wanted)),
                    thicker,
                    gasket);
            return gasket <= 10
                    ? new Wish(withGasket(q.whatIf(), gasket), true, says)
                    : new Wish(q.whatIf(), false, says);
        }
        Budget first = Outlook.of(q.with(q.book().with(EngineItem.RATIO_MOST, wanted))).budgets().all().stream()
                .filter(b -> b.kind() == Budget.Kind.RATIO)
                .findFirst()
                .orElseThrow();
        return capped(
                q,
                Math.max(0, first.room()),
                Message.of("cut.for-in", Ratios.ratio(wanted), first.where()),
                Message.of("cut.in-takes-off-from-first-touch", Ratios.ratio(wanted), first.where()));
    }

    private static Wish classVolume(OutlookQuestion asked, boolean equal) {
        Problems problems = new Problems();
        problems.require(asked.book().has(EngineItem.CLASS_CC), "wanted", "cut.key-the-classs-least-chamber-volume");
        problems.require(!asked.chambers().isEmpty(), "wanted", "cut.fill-every-chamber-first");
        problems.throwIfAny();
        double limit = asked.book().value(EngineItem.CLASS_CC);
        Settled settled = settled(asked, equal, limit);
        double cut = settled.cut();
        String which = settled.which();
        double target = settled.target();
        if (cut < -SLACK) {
            return new Wish(
                    asked.whatIf().withCut(0),
                    false,
                    line(Message.of(
                            "cut.chamber-is-too-small-already-for-and", which, Ratios.cc(limit), Ratios.cc(target))));
        }
        Message what = equal
                ? Message.of("cut.brings-the-largest-chamber-to-the", which, Ratios.cc(target), Ratios.cc(limit))
                : Message.of("cut.brings-the-smallest-chamber-to-and-two", which, Ratios.cc(target), Ratios.cc(limit));
        OutlookQuestion without = asked.with(asked.book().without(EngineItem.CLASS_CC));
        return capped(
                equal ? without : asked,
                cut,
                Message.of("cut.for-the-classs-volume"),
                Message.of("cut.a-cut-of", what));
    }

    /** A cut to the class's volume: which chamber it brings there, and to what with its margin, cc. */
    private record Settled(double cut, String which, double target) {}

    private static Settled settled(OutlookQuestion asked, boolean equal, double limit) {
        double cut = 0;
        String which = "";
        double target = limit;
        // What the cut itself leaves open grows with it: a few rounds settle that.
        for (int round = 0; round < 8; round++) {
            Outlook at = Outlook.of(asked.with(asked.whatIf().withCut(bounded(asked, cut))));
            double open = at.each().stream()
                    .mapToDouble(Outlook.Each::thenPlusMinus)
                    .max()
                    .orElseThrow();
            target = limit + ClassMargin.COVERAGE * open;
            Optional<Integer> best = Optional.empty();
            double cuts = 0;
            for (int i = 0; i < at.each().size(); i++) {
                ChamberNow c = at.each().get(i).chamber();
                double spare = c.nowCc() + c.seatsCc() - target;
                double rim = c.rimFor(spare);
                double own = asked.cutFor(i, rim);
                boolean takes = best.isEmpty() || (equal ? own > cuts : own < cuts);
                if (takes) {
                    best = Optional.of(i);
                    cuts = own;
                }
            }
            cut = cuts;
            which = at.each().get(best.orElseThrow()).chamber().name();
        }
        return new Settled(cut, which, target);
    }

    private static Wish stock(OutlookQuestion q) {
        Outlook now = Outlook.of(q.with(WhatIf.NOTHING));
        Outlook.Each was = highest(now);
        OptionalDouble old =
                was.filled().isPresent() ? OptionalDouble.of(was.filled().get().ratio()) : OptionalDouble.empty();
        WhatIf plain = new WhatIf(
                q.whatIf().cut(),
                q.whatIf().other(),
                OptionalDouble.empty(),
                q.whatIf().deck(),
                q.whatIf().crownCc());
        Outlook then = Outlook.of(q.with(plain));
        Outlook.Each same = then.each().stream()
                .filter(e -> e.chamber().name().equals(was.chamber().name()))
                .findFirst()
                .orElseThrow();
        double ratio = old.orElseThrow();
        double thicker = (same.then().orElseThrow().cylinder().chamberFor(ratio)
                        - same.then().get().cylinder().chamberCc())
                / q.book().gasketArea()
                * 1000;
        double gasket = q.book().value(EngineItem.GASKET) + thicker;
        Message of = Message.of("cut.cylinder-back-to", was.chamber().name(), Ratios.ratio(ratio));
        if (gasket < 0.05 || gasket > MOST_CUT) {
            return new Wish(plain, false, line(Message.of("cut.no-gasket-brings-it-would-have-to-be", of), gasket));
        }
        return new Wish(
                withGasket(plain, gasket),
                true,
                line(Message.of("cut.a-gasket-of-compressed-thicker-than-now", of), gasket, thicker));
    }

    private static Wish most(OutlookQuestion q) {
        Outlook now = Outlook.of(q.with(q.whatIf().withCut(0)));
        Optional<Budget> binding = now.budgets().binding();
        if (binding.isEmpty()) {
            return new Wish(q.whatIf(), false, line(Message.of("cut.no-budget-is-known-yet-key-limits-and")));
        }
        double most = bounded(q, now.budgets().mayComeOff().orElse(0));
        return new Wish(
                q.whatIf().withCut(most),
                true,
                line(
                        Message.of(
                                "cut.may-come-off-ends-it",
                                Message.small(binding.get().name())),
                        most));
    }

    /** The cut, or what the budgets leave of it. */
    private static Wish capped(OutlookQuestion q, double cut, Message forWhat, Message says) {
        Outlook now = Outlook.of(q.with(q.whatIf().withCut(0)));
        double room = now.budgets().mayComeOff().orElse(Double.POSITIVE_INFINITY);
        double possible = bounded(q, Math.min(cut, room));
        if (cut <= possible + SLACK) {
            return new Wish(q.whatIf().withCut(possible), true, line(says, possible));
        }
        Message reached = highestIfKnown(Outlook.of(q.with(q.whatIf().withCut(possible))))
                .map(e -> Message.of(
                        "cut.that-gives-in-cylinder",
                        Ratios.ratio(e.then().orElseThrow().ratio()),
                        e.chamber().name()))
                .orElse(Message.NONE);
        Message stands = room <= possible + SLACK
                ? Message.of(
                        "cut.ends-it",
                        Message.small(now.budgets().binding().orElseThrow().name()))
                : Message.of("cut.there-would-be-no-chamber-left");
        boolean sane = cut <= 100;
        return new Wish(
                q.whatIf().withCut(possible),
                false,
                sane
                        ? line(Message.of("cut.would-have-to-come-off-may", forWhat, stands, reached), cut, possible)
                        : line(Message.of("cut.no-cut-does-it-may-come-off", forWhat, stands, reached), possible));
    }

    /** No more than what leaves a tenth of every chamber, and no more than anybody cuts. */
    private static double bounded(OutlookQuestion q, double cut) {
        double most = MOST_CUT;
        boolean head = q.face() == PartKind.HEAD;
        for (int i = 0; head && i < q.chambers().size(); i++) {
            ChamberNow c = q.chambers().get(i);
            double rim = c.rimFor(0.9 * c.nowCc());
            most = Math.min(most, q.cutFor(i, rim));
        }
        return Math.max(0, Math.min(cut, most));
    }

    private static WhatIf withGasket(WhatIf w, double gasket) {
        return new WhatIf(w.cut(), w.other(), OptionalDouble.of(gasket), w.deck(), w.crownCc());
    }

    private static Outlook.Each highest(Outlook outlook) {
        return highestIfKnown(outlook)
                .orElseThrow(() -> new BadInputException("wanted", "cut.no-ratio-is-known-yet", missing(outlook)));
    }

    private static Optional<Outlook.Each> highestIfKnown(Outlook outlook) {
        return outlook.each().stream()
                .filter(e -> e.then().isPresent() && e.now().isPresent())
                .max(Comparator.comparingDouble(e -> e.then().orElseThrow().ratio()));
    }

    private static Message missing(Outlook outlook) {
        List<EngineItem> items = outlook.question().book().missingForRatio();
        return items.isEmpty()
                ? Message.of("cut.fill-the-chambers-or-key-what-they-hold")
                : Message.of("cut.key", Message.small(items.get(0).words()));
    }
}

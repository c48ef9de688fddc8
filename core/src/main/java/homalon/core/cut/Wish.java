package homalon.core.cut;

import homalon.core.chambers.ClassMargin;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Ratios;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.part.PartKind;
import homalon.core.verdict.Working;
import homalon.core.verdict.Working.Line;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What somebody wants of an engine, turned into a cut or a gasket; where it cannot be had, what can, and what stands against it.
 *
 * @param whatIf what comes nearest inside every budget
 * @param met whether that is what was wanted
 * @param says what it takes, or what stands against it
 */
public record Wish(WhatIf whatIf, boolean met, Line says) {
    /** What is wanted. */
    public enum Kind {
        RATIO("a compression ratio"),
        CLASS("the class's least volume in the smallest chamber"),
        CLASS_EQUAL("all chambers equal at the class's least volume"),
        STOCK("the ratio as it was, by the gasket"),
        MOST("as much as may come off");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
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

    private static Line line(String text, double... mm) {
        return Working.of("").line(text, mm).done().lines().get(0);
    }

    private static Wish ratio(OutlookQuestion asked, double wanted) {
        Problems problems = new Problems();
        problems.require(wanted > 1 && wanted <= 1000, "wanted", "Wanted ratio: key a number above 1, such as 9.5.");
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
            Line says = line(
                    "A cut only raises the ratio, and cylinder "
                            + highest.chamber().name() + " stands at "
                            + Ratios.ratio(stands) + " without one. A gasket {} thicker, {} compressed, brings it to "
                            + Ratios.ratio(wanted) + ".",
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
                "for " + Ratios.ratio(wanted) + " in " + first.where(),
                Ratios.ratio(wanted) + " in " + first.where() + " takes {} off from first touch.");
    }

    private static Wish classVolume(OutlookQuestion asked, boolean equal) {
        Problems problems = new Problems();
        problems.require(
                asked.book().has(EngineItem.CLASS_CC),
                "wanted",
                "Key the class's least chamber volume under Limits first.");
        problems.require(!asked.chambers().isEmpty(), "wanted", "Fill every chamber first.");
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
                    line("Chamber " + which + " is too small already for " + Ratios.cc(limit)
                            + " and two standard uncertainties of the fills: nothing may come off; grind it out to "
                            + Ratios.cc(target) + "."));
        }
        String what = equal
                ? "brings the largest chamber, " + which + ", to " + Ratios.cc(target)
                        + "; the others are then ground out to it. That is " + Ratios.cc(limit)
                        + " and two standard uncertainties of the fills."
                : "brings the smallest chamber, " + which + ", to " + Ratios.cc(target) + ": " + Ratios.cc(limit)
                        + " and two standard uncertainties of the fills.";
        OutlookQuestion without = asked.with(asked.book().without(EngineItem.CLASS_CC));
        return capped(equal ? without : asked, cut, "for the class's volume", "A cut of {} " + what);
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
        String of = "cylinder " + was.chamber().name() + " back to " + Ratios.ratio(ratio);
        if (gasket < 0.05 || gasket > MOST_CUT) {
            return new Wish(plain, false, line("No gasket brings " + of + ": it would have to be {} thick.", gasket));
        }
        return new Wish(
                withGasket(plain, gasket),
                true,
                line("A gasket of {} compressed, {} thicker than now, brings " + of + ".", gasket, thicker));
    }

    private static Wish most(OutlookQuestion q) {
        Outlook now = Outlook.of(q.with(q.whatIf().withCut(0)));
        Optional<Budget> binding = now.budgets().binding();
        if (binding.isEmpty()) {
            return new Wish(
                    q.whatIf(),
                    false,
                    line("No budget is known yet: key limits, and measure what they are held against."));
        }
        double most = bounded(q, now.budgets().mayComeOff().orElse(0));
        return new Wish(
                q.whatIf().withCut(most),
                true,
                line("{} may come off: " + binding.get().name().toLowerCase(Locale.ROOT) + " ends it.", most));
    }

    /** The cut, or what the budgets leave of it. */
    private static Wish capped(OutlookQuestion q, double cut, String forWhat, String says) {
        Outlook now = Outlook.of(q.with(q.whatIf().withCut(0)));
        double room = now.budgets().mayComeOff().orElse(Double.POSITIVE_INFINITY);
        double possible = bounded(q, Math.min(cut, room));
        if (cut <= possible + SLACK) {
            return new Wish(q.whatIf().withCut(possible), true, line(says, possible));
        }
        String reached = highestIfKnown(Outlook.of(q.with(q.whatIf().withCut(possible))))
                .map(e -> " That gives " + Ratios.ratio(e.then().orElseThrow().ratio()) + " in cylinder "
                        + e.chamber().name() + ".")
                .orElse("");
        String stands = room <= possible + SLACK
                ? now.budgets().binding().orElseThrow().name().toLowerCase(Locale.ROOT) + " ends it"
                : "there would be no chamber left";
        boolean sane = cut <= 100;
        return new Wish(
                q.whatIf().withCut(possible),
                false,
                sane
                        ? line(
                                "{} would have to come off " + forWhat + "; {} may: " + stands + "." + reached,
                                cut,
                                possible)
                        : line("No cut does it " + forWhat + "; {} may come off: " + stands + "." + reached, possible));
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
                .orElseThrow(() -> new BadInputException("wanted", "No ratio is known yet: " + missing(outlook) + "."));
    }

    private static Optional<Outlook.Each> highestIfKnown(Outlook outlook) {
        return outlook.each().stream()
                .filter(e -> e.then().isPresent() && e.now().isPresent())
                .max(Comparator.comparingDouble(e -> e.then().orElseThrow().ratio()));
    }

    private static String missing(Outlook outlook) {
        List<EngineItem> items = outlook.question().book().missingForRatio();
        return items.isEmpty()
                ? "fill the chambers, or key what they hold"
                : "key " + items.get(0).words().toLowerCase(Locale.ROOT);
    }
}

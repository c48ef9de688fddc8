package homalon.core.guides;

import homalon.core.catalogue.Item;
import homalon.core.input.Problems;
import homalon.core.part.Material;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BenchGauges;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.Source;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Which guides of a stock bite in a housing that was measured, and what to ream where none does.
 *
 * @param least press wanted at the least, mm on the diameter
 * @param most press wanted at the most
 * @param source where the two are from
 * @param each every guide with the press it would have, the best first
 * @param ream the smallest oversize that is had by reaming the housing; empty where one fits as it is, or none is larger
 */
public record GuideFit(double least, double most, Source source, List<One> each, Optional<Ream> ream) {
    /** One guide of the stock in this housing. */
    public record One(Item guide, double press, Answer answer) {}

    /** Ream the housing to this size for that guide. */
    public record Ream(Item guide, double size) {}

    /** How it would sit. */
    public enum Answer {
        BITES,
        /** By what was read it bites, and the gauges leave open whether it does. */
        NEAR,
        TIGHT,
        LOOSE,
        DROPS;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }

        /** It may be chosen as the housing is. */
        public boolean sits() {
            return this == BITES || this == NEAR;
        }
    }

    private static BenchFigure.Span press(Material casting, BookDefaults shop) {
        return casting == Material.ALUMINIUM
                ? BenchFigure.span(
                        BenchFigure.GUIDE_PRESS_LEAST_ALUMINIUM, BenchFigure.GUIDE_PRESS_MOST_ALUMINIUM, shop)
                : BenchFigure.span(BenchFigure.GUIDE_PRESS_LEAST_IRON, BenchFigure.GUIDE_PRESS_MOST_IRON, shop);
    }

    /**
     * @param housing bore in the casting, measured before anything is ordered, mm
     * @param shop whose press is wanted
     * @throws homalon.core.input.BadInputException for a bore that is none
     */
    public static GuideFit of(double housing, Material casting, List<Item> stock, BookDefaults shop) {
        Problems problems = new Problems();
        problems.require(housing >= 5 && housing <= 60, "housing", "guides.housing-key-the-bore-in-the-casting-5");
        problems.throwIfAny();
        BenchFigure.Span press = press(casting, shop);
        double middle = (press.least() + press.most()) / 2;
        List<One> each = new ArrayList<>();
        for (Item guide : stock) {
            if (guide.kind() == Item.Kind.GUIDE) {
                double p = guide.outer() - housing;
                each.add(new One(guide, p, answer(p, press, BenchGauges.of(shop))));
            }
        }
        each.sort(Comparator.comparingDouble((One o) -> Math.abs(o.press() - middle))
                .thenComparing(o -> o.guide().code()));
        boolean fits = each.stream().anyMatch(o -> o.answer().sits());
        Optional<Ream> ream = fits
                ? Optional.empty()
                : each.stream()
                        .filter(o -> o.guide().outer() - press.least() > housing)
                        .min(Comparator.comparingDouble((One o) -> o.guide().outer())
                                .thenComparing(o -> o.guide().code()))
                        .map(o -> new Ream(o.guide(), o.guide().outer() - middle));
        return new GuideFit(press.least(), press.most(), press.source(), List.copyOf(each), ream);
    }

    private static Answer answer(double p, BenchFigure.Span wanted, BenchGauges gauges) {
        if (p <= 0) {
            return Answer.DROPS;
        }
        if (p < wanted.least() - 1e-9) {
            return Answer.LOOSE;
        }
        if (p > wanted.most() + 1e-9) {
            return Answer.TIGHT;
        }
        return gauges.fit(p).between(wanted.least(), wanted.most()) == Verdict.WITHIN ? Answer.BITES : Answer.NEAR;
    }
}

package homalon.core.chambers;

import homalon.core.input.Problems;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Bowls of the pistons against a class's least. One is milled deeper first, by a known depth, and filled again: what that gave is
 * the depth for the others. Each is filled by itself afterwards; none is proven by another.
 *
 * @param least that the class asks of each, cm3
 * @param open standard uncertainty of one fill, cm3
 */
public record Bowls(double least, double open, List<One> each, Optional<First> first) {
    /** What a depth gauge in a mill leaves open, mm. */
    private static final double DEPTH_OPEN = 0.02;

    /**
     * The first one, milled.
     *
     * @param deeper than before, mm
     * @param gave more than before, cm3
     */
    public record First(double deeper, double gave) {
        /** @throws homalon.core.input.BadInputException for a depth or a volume that is none */
        public First {
            Problems problems = new Problems();
            problems.require(deeper > 0, "deeper", "chambers.depth-milled-in-the-first-bowl-key-it");
            problems.require(gave > 0, "gave", "chambers.a-bowl-milled-deeper-holds-more-key");
            problems.throwIfAny();
        }

        /** Floor that was lowered, mm2: with straight walls it is the same all the way down. */
        public double floorMm2() {
            return gave / deeper * 1000;
        }

        /** Depth that gives so much, mm. */
        public double depthFor(double cc) {
            return cc / gave * deeper;
        }

        /**
         * One standard uncertainty of such a depth, mm: the two fills of the first bowl and its depth.
         *
         * @param open of one fill, cm3
         */
        public double plusMinus(double cc, double open) {
            return depthFor(cc) * Math.hypot(Math.sqrt(2) * open / gave, DEPTH_OPEN / deeper);
        }
    }

    /**
     * @param cc that it holds; empty while nobody filled it
     * @param add what it lacks to pass by two standard uncertainties, cm3; 0 when it does
     * @param deeper what that takes, mm; empty while no first one tells
     */
    public record One(
            String name,
            OptionalDouble cc,
            Optional<ClassMargin> margin,
            double add,
            OptionalDouble deeper,
            double plusMinus) {
        /** Filled, and inside the class by more than two standard uncertainties. */
        public boolean proven() {
            return margin.isPresent() && margin.get().standing() == ClassMargin.Standing.PASSES;
        }
    }

    /** @param cc of its bowl; empty while nobody filled it */
    public record Piston(String name, OptionalDouble cc) {}

    public static Bowls of(double least, double open, List<Piston> pistons, Optional<First> first) {
        return new Bowls(
                least,
                open,
                pistons.stream().map(p -> one(p, least, open, first)).toList(),
                first);
    }

    private static One one(Piston p, double least, double open, Optional<First> first) {
        if (p.cc().isEmpty()) {
            return new One(p.name(), p.cc(), Optional.empty(), 0, OptionalDouble.empty(), 0);
        }
        ClassMargin margin = ClassMargin.atLeast(p.cc().getAsDouble(), least, open);
        double add = margin.standing() == ClassMargin.Standing.PASSES
                ? 0
                : least + ClassMargin.COVERAGE * open - p.cc().getAsDouble();
        boolean told = add > 0 && first.isPresent();
        return new One(
                p.name(),
                p.cc(),
                Optional.of(margin),
                add,
                told ? OptionalDouble.of(first.get().depthFor(add)) : OptionalDouble.empty(),
                told ? first.get().plusMinus(add, open) : 0);
    }

    /** Every one was filled and passes. */
    public boolean proven() {
        return !each.isEmpty() && each.stream().allMatch(One::proven);
    }

    public Working working() {
        Working.Builder working = Working.of(Message.of("chambers.bowls-in-the-pistons"));
        working.line(Message.of(
                "chambers.the-class-asks-it-passes-from-two",
                Ratios.exactCc(least),
                Ratios.exactCc(least + ClassMargin.COVERAGE * open),
                Ratios.exactCc(open)));
        first.ifPresent(f -> working.line(
                Message.of(
                        "chambers.the-first-bowl-deeper-gave-a-floor-of",
                        Ratios.exactCc(f.gave()),
                        new Message.Mm2(f.floorMm2())),
                f.deeper()));
        for (One o : each) {
            o.deeper()
                    .ifPresent(d -> working.line(
                            Message.of("chambers.no-over-that-floor", o.name(), Ratios.exactCc(o.add())),
                            d,
                            o.plusMinus()));
        }
        return working.done();
    }
}

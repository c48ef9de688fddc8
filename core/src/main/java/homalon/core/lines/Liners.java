package homalon.core.lines;

import homalon.core.input.Problems;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/**
 * How far liners stand above their deck, read at four clock places each: 12 towards the front of the block, then 3, 6, 9.
 * Millimetres, + above the deck. Two schools by gasket: proud within a range, or flush.
 *
 * @param each in the order given
 * @param step largest difference of two neighbours' means
 * @param verdict of all: range, tilt and step
 */
public record Liners(List<One> each, double step, Verdict verdict) {
    /** What is asked of them. */
    public enum School {
        /** Composite and copper gaskets: liners stand proud and bite; they settle, so the middle is aimed at. */
        PROUD("proud", 0.03, 0.10, 0.065),
        /** Multi-layer steel: flush, or proud by a breath. */
        FLUSH("flush", 0, 0.02, 0.01);

        private final String words;
        private final Range usual;

        School(String words, double least, double most, double aim) {
            this.words = words;
            this.usual = new Range(least, most, aim, 0.03, 0.03);
        }

        public String words() {
            return words;
        }

        /** A general default; the maker's book or the gasket maker comes before it. */
        public Range usual() {
            return usual;
        }
    }

    /** How they are held, and so how they are brought to height. */
    public enum Held {
        /** On a flange, and out again for the lathe: each is trimmed by itself, and a cut of the deck raises all. */
        LOOSE("loose, trimmed one by one"),
        /** Pressed in to stay: the cutter takes their tops with the deck. */
        PRESSED_IN("pressed in, cut with the deck");

        private final String words;

        Held(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Where a reading stands after a cut of the deck, mm. */
        double after(double protrusion, double deckCut) {
            double raised = protrusion + deckCut;
            return this == PRESSED_IN && deckCut > 0 ? Math.min(0, raised) : raised;
        }
    }

    /**
     * Limits, mm.
     *
     * @param aim of a liner that has to be trimmed
     * @param step most that two neighbours may differ
     * @param tilt most that one liner may lean, from a clock place to the one across
     */
    public record Range(double least, double most, double aim, double step, double tilt) {}

    /**
     * One liner.
     *
     * @param number of its bore
     * @param mean of its clock places; empty while none is read
     * @param tilt the larger difference of two places across; empty while no two are read
     * @param trim what to take off its top so that its mean comes to the aim; 0 where it stands within, or stands low
     * @param verdict out above or below the range at any place, or leaning; not proven with a place unread
     * @param why in words
     */
    public record One(int number, OptionalDouble mean, OptionalDouble tilt, double trim, Verdict verdict, String why) {}

    /**
     * @param numbers of the bores, front to back
     * @param protrusion four readings for each, NaN where it was not read
     * @param deckCut what the deck has lost since they were read, which raises fixed liners; 0 for none
     * @throws homalon.core.input.BadInputException for readings that no liner gives
     */
    public static Liners of(int[] numbers, double[][] protrusion, double deckCut, Range range) {
        return of(numbers, protrusion, deckCut, range, Held.LOOSE);
    }

    /** @param held how they are brought to height */
    public static Liners of(int[] numbers, double[][] protrusion, double deckCut, Range range, Held held) {
        check(numbers, protrusion, deckCut, range);
        List<One> each = new ArrayList<>();
        for (int i = 0; i < numbers.length; i++) {
            each.add(one(
                    numbers[i],
                    Arrays.stream(protrusion[i])
                            .map(p -> held.after(p, deckCut))
                            .toArray(),
                    range,
                    held));
        }
        double step = 0;
        boolean open = each.stream().anyMatch(o -> o.verdict() == Verdict.NOT_PROVEN);
        for (int i = 0; i + 1 < each.size(); i++) {
            OptionalDouble here = each.get(i).mean();
            OptionalDouble next = each.get(i + 1).mean();
            if (here.isPresent() && next.isPresent()) {
                step = Math.max(step, Math.abs(here.getAsDouble() - next.getAsDouble()));
            }
        }
        boolean out = step > range.step() + 1e-9 || each.stream().anyMatch(o -> o.verdict() == Verdict.OUT);
        return new Liners(List.copyOf(each), step, out ? Verdict.OUT : open ? Verdict.NOT_PROVEN : Verdict.WITHIN);
    }

    private static One one(int number, double[] p, Range range, Held held) {
        double[] read = Arrays.stream(p).filter(v -> !Double.isNaN(v)).toArray();
        if (read.length == 0) {
            return new One(number, OptionalDouble.empty(), OptionalDouble.empty(), 0, Verdict.NOT_PROVEN, "not read");
        }
        double mean = Arrays.stream(read).average().orElseThrow();
        double low = Arrays.stream(read).min().orElseThrow();
        double high = Arrays.stream(read).max().orElseThrow();
        OptionalDouble tilt = DoubleStream.of(p[0] - p[2], p[1] - p[3])
                .filter(v -> !Double.isNaN(v))
                .map(Math::abs)
                .max();
        double trim = held == Held.LOOSE && high > range.most() + 1e-9 ? Math.max(0, mean - range.aim()) : 0;
        String why;
        Verdict verdict = Verdict.OUT;
        if (high > range.most() + 1e-9) {
            why = held == Held.LOOSE ? "stands too high" : "stands too high: the cutter takes it with the deck";
        } else if (low < range.least() - 1e-9) {
            why = held == Held.LOOSE
                    ? "stands too low: trimming cannot help, look under its flange, shim it or cut the deck"
                    : "stands too low: cut the deck down to it, or press in another";
        } else if (tilt.orElse(0) > range.tilt() + 1e-9) {
            why = "leans: look for dirt under its flange before anything is cut";
        } else if (read.length < 4) {
            verdict = Verdict.NOT_PROVEN;
            why = "read it at all four places";
        } else {
            verdict = Verdict.WITHIN;
            why = "within";
        }
        return new One(number, OptionalDouble.of(mean), tilt, trim, verdict, why);
    }

    private static void check(int[] numbers, double[][] protrusion, double deckCut, Range range) {
        Problems problems = new Problems();
        problems.require(
                numbers.length >= 1 && numbers.length == protrusion.length,
                "liners",
                "Each liner needs its bore's number and four readings.");
        for (double[] p : protrusion) {
            problems.require(p.length == 4, "liners", "A liner is read at four places: 12, 3, 6 and 9 o'clock.");
            problems.require(
                    Arrays.stream(p).allMatch(v -> Double.isNaN(v) || Math.abs(v) <= 5),
                    "reading",
                    "A liner stands within 5 mm of its deck: + above, − below.");
        }
        problems.require(deckCut >= 0 && deckCut <= 10, "deckCut", "The deck's cut must lie between 0 and 10 mm.");
        problems.require(
                range.least() <= range.aim() && range.aim() <= range.most() && range.step() > 0 && range.tilt() > 0,
                "range",
                "The aim must lie between the least and the most protrusion.");
        problems.throwIfAny();
    }
}

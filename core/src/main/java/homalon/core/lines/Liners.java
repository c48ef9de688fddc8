package homalon.core.lines;

import homalon.core.input.Problems;
import homalon.core.rulebook.BenchGauges;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

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
        PROUD(0.03, 0.10, 0.065),
        /** Multi-layer steel: flush, or proud by a breath. */
        FLUSH(0, 0.02, 0.01);

        private final Message words = Message.of(this);
        private final Range usual;

        School(double least, double most, double aim) {
            this.usual = new Range(least, most, aim, 0.03, 0.03);
        }

        public Message words() {
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
        LOOSE,
        /** Pressed in to stay: the cutter takes their tops with the deck. */
        PRESSED_IN;

        private final Message words = Message.of(this);

        public Message words() {
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
    public record One(
            int number, OptionalDouble mean, OptionalDouble tilt, double trim, Verdict verdict, Message why) {}

    /**
     * What was read of one.
     *
     * @param number of its bore
     * @param clock at 12, 3, 6 and 9 o'clock, mm; empty where it was not read
     */
    public record Read(int number, List<OptionalDouble> clock) {
        public Read {
            clock = List.copyOf(clock);
        }

        private Read after(double deckCut, Held held) {
            return new Read(
                    number,
                    clock.stream()
                            .map(p -> p.isPresent() ? OptionalDouble.of(held.after(p.getAsDouble(), deckCut)) : p)
                            .toList());
        }

        private double[] known() {
            return clock.stream().flatMapToDouble(OptionalDouble::stream).toArray();
        }

        /** How much one place stands above the one across from it. */
        private OptionalDouble across(int place) {
            OptionalDouble here = clock.get(place);
            OptionalDouble there = clock.get(place + 2);
            return here.isPresent() && there.isPresent()
                    ? OptionalDouble.of(Math.abs(here.getAsDouble() - there.getAsDouble()))
                    : OptionalDouble.empty();
        }
    }

    /**
     * @param read front to rear
     * @param deckCut what the deck has lost since they were read, which raises fixed liners; 0 for none
     * @throws homalon.core.input.BadInputException for readings that no liner gives
     */
    public static Liners of(List<Read> read, double deckCut, Range range) {
        return of(read, deckCut, range, Held.LOOSE);
    }

    /** @param held how they are brought to height */
    public static Liners of(List<Read> read, double deckCut, Range range, Held held) {
        return of(read, deckCut, range, held, BenchGauges.EXACT);
    }

    /** @param gauges what the indicator leaves open of each place */
    public static Liners of(List<Read> read, double deckCut, Range range, Held held, BenchGauges gauges) {
        check(read, deckCut, range);
        List<One> each = new ArrayList<>();
        for (Read one : read) {
            each.add(one(one.after(deckCut, held), range, held, gauges));
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
        Verdict apart = gauges.byIndicator(step).atMost(range.step());
        boolean out = apart == Verdict.OUT || each.stream().anyMatch(o -> o.verdict() == Verdict.OUT);
        open |= apart == Verdict.NOT_PROVEN;
        return new Liners(List.copyOf(each), step, out ? Verdict.OUT : open ? Verdict.NOT_PROVEN : Verdict.WITHIN);
    }

    private static One one(Read of, Range range, Held held, BenchGauges gauges) {
        int number = of.number();
        double[] read = of.known();
        if (read.length == 0) {
            return new One(
                    number,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    0,
                    Verdict.NOT_PROVEN,
                    Message.of("lines.not-read"));
        }
        double mean = Arrays.stream(read).average().orElseThrow();
        double low = Arrays.stream(read).min().orElseThrow();
        double high = Arrays.stream(read).max().orElseThrow();
        OptionalDouble tilt = IntStream.of(0, 1)
                .mapToObj(of::across)
                .flatMapToDouble(OptionalDouble::stream)
                .max();
        Verdict top = gauges.byIndicator(high).atMost(range.most());
        Verdict bottom = gauges.byIndicator(low).atLeast(range.least());
        Verdict level =
                gauges.byIndicator(0).plus(gauges.byIndicator(tilt.orElse(0))).atMost(range.tilt());
        double trim = held == Held.LOOSE && top == Verdict.OUT ? Math.max(0, mean - range.aim()) : 0;
        Message why;
        Verdict verdict = Verdict.OUT;
        if (top == Verdict.OUT) {
            why = held == Held.LOOSE
                    ? Message.of("lines.stands-too-high")
                    : Message.of("lines.stands-too-high-the-cutter-takes-it");
        } else if (bottom == Verdict.OUT) {
            why = held == Held.LOOSE
                    ? Message.of("lines.stands-too-low-trimming-cannot-help")
                    : Message.of("lines.stands-too-low-cut-the-deck-down-to-it");
        } else if (level == Verdict.OUT) {
            why = Message.of("lines.leans-look-for-dirt-under-its-flange");
        } else if (read.length < 4) {
            verdict = Verdict.NOT_PROVEN;
            why = Message.of("lines.read-it-at-all-four-places");
        } else if (top == Verdict.WITHIN && bottom == Verdict.WITHIN && level == Verdict.WITHIN) {
            verdict = Verdict.WITHIN;
            why = Message.of("lines.within");
        } else {
            verdict = Verdict.NOT_PROVEN;
            why = Message.of("lines.too-near-to-tell");
        }
        return new One(number, OptionalDouble.of(mean), tilt, trim, verdict, why);
    }

    private static void check(List<Read> read, double deckCut, Range range) {
        Problems problems = new Problems();
        problems.require(!read.isEmpty(), "liners", "lines.each-liner-needs-its-bores-number-and");
        for (Read one : read) {
            problems.require(one.clock().size() == 4, "liners", "lines.a-liner-is-read-at-four-places-12-3-6");
            problems.require(
                    Arrays.stream(one.known()).allMatch(v -> Math.abs(v) <= 5),
                    "reading",
                    "lines.a-liner-stands-within-5-mm-of-its-deck");
        }
        problems.require(deckCut >= 0 && deckCut <= 10, "deckCut", "lines.the-decks-cut-must-lie-between-0-and-10");
        problems.require(
                range.least() <= range.aim() && range.aim() <= range.most() && range.step() > 0 && range.tilt() > 0,
                "range",
                "lines.the-aim-must-lie-between-the-least-and");
        problems.throwIfAny();
    }
}

package homalon.core.integrity;

import homalon.core.gauge.Propagation;
import homalon.core.gauge.Uncertain;
import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BenchGauges;
import homalon.core.rulebook.BookDefaults;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A pressure test: what was lost while it held, put right for the temperature. Air that cools loses pressure without any leak:
 * the end pressure as it would be at the start's temperature is p2' = (p2 + a - v2) T1 / T2 + v1 - a, with T in kelvin, a the
 * air around and v the vapour pressure of water at each temperature (0 for dry air); what is lost is p1 - p2'. Vapour pressure
 * by Antoine's equation for water from 1 to 100 degrees C, good to a few thousandths. Pressures in bar above the air around.
 *
 * @param lost of the last reading, corrected, bar; negative when it rose
 * @param minutes that it was held
 * @param curve of every reading, corrected
 * @param verdict out as soon as more was lost than allowed or a bubble was seen; within only after the whole time
 */
public record Decay(double lost, double minutes, List<Point> curve, Verdict verdict, Message why) {
    /** Standard atmosphere, bar: what is meant where nobody read the barometer. */
    public static final double ATMOSPHERE = 1.01325;

    private static final double ZERO = 273.15;
    private static final Message LEAKS = Message.of("integrity.bubbles-were-seen-no-rate-of-decay");

    /**
     * What is asked of it.
     *
     * @param hold minutes
     * @param most that it may lose in that time, bar; where the volume is known, what leaks is asked instead
     * @param volume under pressure, cm3; empty where nobody keyed it
     */
    public record Asked(double hold, double most, OptionalDouble volume) {
        /** General default: at most 0.05 bar in 10 minutes. */
        public static final Asked DEFAULT = usual(BookDefaults.of(BenchUnit.MM));

        /** What a shop asks where nothing was keyed. */
        public static Asked usual(BookDefaults shop) {
            return new Asked(
                    BenchFigure.TEST_HOLD.value(shop), BenchFigure.TEST_DROP.value(shop), OptionalDouble.empty());
        }

        /** Whether nothing else was keyed, to the thousandth of a bar and of a minute. */
        public boolean isUsual(BookDefaults shop) {
            Asked usual = usual(shop);
            return volume.isEmpty() && Math.abs(hold - usual.hold) < KEPT_TO && Math.abs(most - usual.most) < KEPT_TO;
        }

        /** Half of what the last digit is, and what sums leave. */
        private static final double KEPT_TO = 0.0005 + 1e-9;

        /** What may be lost by so many minutes, bar: of a known volume what the leak allowed takes, else the limit in bar. */
        double mostAfter(double minutes) {
            return volume.isPresent() ? MOST_LEAK * Math.max(hold, minutes) * ATMOSPHERE / volume.getAsDouble() : most;
        }

        /** The same for the whole time. */
        public double mostLost() {
            return mostAfter(hold);
        }
    }

    /** What may leak, standard cm3 a minute; a general default. */
    public static final double MOST_LEAK = 10;
    /** Nothing on a bench cools by more while it is tested, K. */
    static final double MOST_COOLING = 60;

    private static final double ROOM = 20;

    /** What the eyes saw while it held. */
    public enum Bubbles {
        NOT_LOOKED,
        NONE,
        SEEN;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /**
     * One reading.
     *
     * @param minute since the hold began, 0 for the first
     * @param bar above the air around
     * @param celsius of what is under pressure; empty when it was not read
     */
    public record Reading(double minute, double bar, OptionalDouble celsius) {}

    /** One reading as it would be at the first one's temperature. */
    public record Point(double minute, double bar, double corrected) {}

    /** How far a thermometer on the casting may be off between two readings, K, 19 times in 20; a general default. */
    public static final double THERMOMETER = 0.5;

    /** The same with readings that count as exact. */
    public static Decay of(List<Reading> readings, boolean wet, Bubbles bubbles, Asked asked) {
        return of(readings, wet, bubbles, asked, BenchGauges.EXACT);
    }

    /**
     * What was lost with what the gauges leave open of it, to first order over two pressures and two temperatures; exact where the
     * pressure gauge counts as exact.
     */
    public static Uncertain lost(Reading first, Reading last, boolean wet, BenchGauges gauges) {
        double kelvin = gauges.pressure() > 0 ? THERMOMETER / Uncertain.KEPT / Math.sqrt(2) : 0;
        List<Uncertain> figures = List.of(
                Uncertain.plusMinus(first.bar(), gauges.pressure()),
                new Uncertain(first.celsius().orElse(ROOM), kelvin),
                Uncertain.plusMinus(last.bar(), gauges.pressure()),
                new Uncertain(last.celsius().orElse(ROOM), kelvin));
        return Propagation.of(
                        figures,
                        v -> v[0]
                                - corrected(
                                        new Reading(first.minute(), v[0], OptionalDouble.of(v[1])),
                                        new Reading(last.minute(), v[2], OptionalDouble.of(v[3])),
                                        wet))
                .result();
    }

    /**
     * @param readings in time, the first at the start of the hold
     * @param wet water stands in the space that is under pressure
     * @param gauges what the pressure gauge leaves open
     * @return with one reading or none: not proven
     * @throws homalon.core.input.BadInputException for readings that no test gives
     */
    public static Decay of(List<Reading> readings, boolean wet, Bubbles bubbles, Asked asked, BenchGauges gauges) {
        check(readings);
        if (readings.isEmpty()) {
            return bubbles == Bubbles.SEEN
                    ? new Decay(0, 0, List.of(), Verdict.OUT, LEAKS)
                    : new Decay(0, 0, List.of(), Verdict.NOT_PROVEN, Message.of("integrity.nothing-read-yet"));
        }
        Reading first = readings.get(0);
        boolean told = readings.stream().allMatch(r -> r.celsius().isPresent());
        List<Point> curve = new ArrayList<>();
        for (Reading r : readings) {
            curve.add(new Point(r.minute(), r.bar(), told ? corrected(first, r, wet) : r.bar()));
        }
        Point last = curve.get(curve.size() - 1);
        double lost = first.bar() - last.corrected();
        double minutes = last.minute() - first.minute();
        boolean leaks = told
                && readings.stream()
                        .anyMatch(r -> lost(first, r, wet, gauges).atMost(asked.mostAfter(r.minute() - first.minute()))
                                == Verdict.OUT);
        boolean fell = readings.stream().anyMatch(r -> r.bar() < coldest(first, wet) - 1e-9);
        boolean whole = readings.size() > 1 && minutes >= asked.hold() - 1e-9;
        if (bubbles == Bubbles.SEEN) {
            return new Decay(lost, minutes, List.copyOf(curve), Verdict.OUT, LEAKS);
        }
        if (fell || leaks) {
            Message why = fell
                    ? Message.of("integrity.no-cooling-explains-that-fall")
                    : Message.of("integrity.it-lost-more-than-it-may");
            return new Decay(lost, minutes, List.copyOf(curve), Verdict.OUT, why);
        }
        Reading end = readings.get(readings.size() - 1);
        boolean near =
                told && whole && lost(first, end, wet, gauges).atMost(asked.mostAfter(minutes)) == Verdict.NOT_PROVEN;
        boolean proven = told && whole && !near && bubbles != Bubbles.NOT_LOOKED;
        return new Decay(
                lost,
                minutes,
                List.copyOf(curve),
                proven ? Verdict.WITHIN : Verdict.NOT_PROVEN,
                near ? tooNear(asked) : notOut(told, whole, bubbles));
    }

    private static Message tooNear(Asked asked) {
        return asked.volume().isPresent()
                ? Message.of("integrity.too-near-to-tell-hold-it-longer")
                : Message.of("integrity.too-near-to-tell-key-the-volume");
    }

    private static Message notOut(boolean told, boolean whole, Bubbles bubbles) {
        if (!told) {
            return Message.of("integrity.key-the-temperature-with-each-reading");
        }
        if (!whole) {
            return Message.of("integrity.hold-it-for-the-whole-time");
        }
        return bubbles == Bubbles.NOT_LOOKED
                ? Message.of("integrity.it-held-now-look-for-bubbles-all-over")
                : Message.of("integrity.it-held-and-no-bubbles-were-seen");
    }

    /** What would be left of the pressure if it had cooled as far as anything does; from room where nobody read how warm it was. */
    private static double coldest(Reading first, boolean wet) {
        double from = first.celsius().orElse(ROOM);
        double kelvin = from + ZERO;
        // Not read, the water in it may have been boiling: all of its vapour may be gone.
        double vapour = !wet ? 0 : first.celsius().isPresent() ? vapour(from) : vapour(100);
        return (first.bar() + ATMOSPHERE - vapour) * (kelvin - MOST_COOLING) / kelvin - ATMOSPHERE;
    }

    /** What leaks, standard cm3 a minute: the volume times what was lost, over the minutes and one atmosphere; empty without a volume. */
    public OptionalDouble leak(Asked asked) {
        return asked.volume().isPresent() && minutes > 0
                ? OptionalDouble.of(asked.volume().getAsDouble() * lost / (minutes * ATMOSPHERE))
                : OptionalDouble.empty();
    }

    private static double corrected(Reading first, Reading r, boolean wet) {
        double t1 = first.celsius().orElseThrow();
        double t2 = r.celsius().orElseThrow();
        double v1 = wet ? vapour(t1) : 0;
        double v2 = wet ? vapour(t2) : 0;
        return (r.bar() + ATMOSPHERE - v2) * (t1 + ZERO) / (t2 + ZERO) + v1 - ATMOSPHERE;
    }

    /** Vapour pressure of water, bar. */
    static double vapour(double celsius) {
        return Math.pow(10, 8.07131 - 1730.63 / (233.426 + celsius)) * 1.33322e-3;
    }

    private static void check(List<Reading> readings) {
        Problems problems = new Problems();
        double before = Double.NEGATIVE_INFINITY;
        for (Reading r : readings) {
            problems.require(r.bar() >= 0 && r.bar() <= 10, "bar", "integrity.a-test-pressure-lies-between-0-and-10");
            problems.require(r.minute() > before, "minute", "integrity.each-reading-comes-later-than-the-one");
            problems.require(
                    r.celsius().isEmpty()
                            || (r.celsius().getAsDouble() >= 1 && r.celsius().getAsDouble() <= 100),
                    "celsius",
                    "integrity.the-temperature-of-a-test-lies-between");
            before = r.minute();
        }
        problems.throwIfAny();
    }
}

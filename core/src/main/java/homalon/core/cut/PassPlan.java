package homalon.core.cut;

import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.RuleBook;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The list of passes that takes a face down by a total depth: a skim to find metal, passes, a last finish pass. Exact
 * lengths, so that the depths add up to the total.
 *
 * @param passes in the order they are cut; the total is at least the depth asked for
 */
public record PassPlan(List<Pass> passes) {

    /** What a pass is for. */
    public enum Kind {
        SKIM,
        PASS,
        FINISH;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /**
     * @param kind what it is for
     * @param depth of this pass
     * @param total from first touch to the end of this pass
     */
    public record Pass(Kind kind, Length depth, Length total) {}

    /**
     * How deep passes may be.
     *
     * @param skim first light cut; zero for none
     * @param deepest most for a pass between skim and finish
     * @param finish last pass, taken in full even when the face is clean before it
     */
    public record Depths(Length skim, Length deepest, Length finish) {
        public Depths {
            Problems problems = new Problems();
            if (skim.signum() != 0) {
                check(problems, "skim", Message.of("cut.skim"), skim);
            }
            check(problems, "deepest", Message.of("cut.deepest-pass"), deepest);
            check(problems, "finish", Message.of("cut.finish-pass"), finish);
            problems.throwIfAny();
        }

        /** The defaults, in round figures of the bench's own unit. */
        public static Depths usual(BenchUnit unit) {
            return new Depths(RuleBook.skim(unit), RuleBook.pass(unit), RuleBook.finish(unit));
        }

        /** The same where steel pre-chambers or liners lie in the cut: no pass is deeper than those stand. */
        public Depths throughSteel(BenchUnit unit) {
            Length most = RuleBook.passThroughSteel(unit);
            return new Depths(shallower(skim, most), shallower(deepest, most), shallower(finish, most));
        }

        /**
         * Shrunk where skim and finish alone would take more than may come off, though the face needs less: the finish keeps what
         * there is, the skim gives way first.
         *
         * @param needed to come clean, or wanted off in all, mm
         * @param most that may come off from first touch, mm; infinite for no limit
         * @param step of the dial
         */
        public Depths fitted(double needed, double most, Length step) {
            if (!(most < 1e6)) {
                return this;
            }
            long grain = step.nanometres();
            long room = (long) Math.floor(most * 1e6 / grain + 1e-6) * grain;
            long least = (long) Math.ceil(needed * 1e6 / grain - 1e-9) * grain;
            if (room <= 0 || least > room || skim.nanometres() + finish.nanometres() <= room) {
                return this;
            }
            long last = Math.min(finish.nanometres(), room);
            return new Depths(new Length(room - last), deepest, new Length(last));
        }

        private static Length shallower(Length depth, Length most) {
            return depth.compareTo(most) > 0 ? most : depth;
        }

        private static void check(Problems problems, String field, Message name, Length depth) {
            problems.require(
                    depth.signum() > 0 && depth.compareTo(RuleBook.DEEPEST_PASS) <= 0,
                    field,
                    "cut.key-a-depth-above-zero-and-at-most-2-mm",
                    name);
        }
    }

    public PassPlan {
        passes = List.copyOf(passes);
    }

    /**
     * Skim, equal passes no deeper than allowed, finish. A depth of zero needs no cut: an empty list.
     *
     * @param toClean depth from first touch until the sealing land is clean, mm
     * @param step depths are rounded up to whole multiples of it, as the dial has them
     */
    public static PassPlan toClean(double toClean, Depths depths, Length step) {
        long grain = step.nanometres();
        long needed = (long) Math.ceil(toClean * 1e6 / grain - 1e-9) * grain;
        List<Pass> passes = new ArrayList<>();
        if (needed <= 0) {
            return new PassPlan(passes);
        }
        long skim = depths.skim().nanometres();
        long finish = depths.finish().nanometres();
        long between = Math.max(0, needed - skim - finish);
        long deepest = depths.deepest().nanometres();
        int count = (int) ((between + deepest - 1) / deepest);
        long total = add(passes, Kind.SKIM, skim, 0);
        long left = between;
        for (int k = 0; k < count; k++) {
            long share = left / (count - k);
            long depth = Math.min(left, (share + grain - 1) / grain * grain);
            total = add(passes, Kind.PASS, depth, total);
            left -= depth;
        }
        add(passes, Kind.FINISH, finish, total);
        return new PassPlan(passes);
    }

    private static long add(List<Pass> passes, Kind kind, long depth, long total) {
        if (depth <= 0) {
            return total;
        }
        passes.add(new Pass(kind, new Length(depth), new Length(total + depth)));
        return total + depth;
    }

    /** {@code Skim}, {@code Pass 1}, {@code Pass 2}, {@code Finish}: what the pass at an index is called. */
    public Message name(int index) {
        Kind kind = passes.get(index).kind();
        if (kind != Kind.PASS) {
            return kind.words();
        }
        long before = passes.subList(0, index).stream()
                .filter(p -> p.kind() == Kind.PASS)
                .count();
        return Message.of("text.space", kind.words(), before + 1);
    }

    /** From first touch to the last pass. */
    public Length total() {
        return passes.isEmpty() ? Length.ZERO : passes.get(passes.size() - 1).total();
    }

    /** More than this many times what is proposed, or less than one of as many parts of it, is asked about. */
    private static final double FAR = 2.5;

    private static final double FAR_UNDER = 8;
    /** A pass without a plan that is deeper is asked about: four times the usual pass, mm. */
    private static final double DEEP_WITHOUT_A_PLAN = 0.2;

    /**
     * What is proposed for the next pass: what is left of the pass that comes next, however much the ones before it took, in the
     * figures that the bench's unit is read in. The last one is rounded up, so that the plan is met.
     *
     * @param off cut already
     * @return empty once the plan is through
     */
    public Optional<Length> next(Length off, BenchUnit unit) {
        for (int i = 0; i < passes.size(); i++) {
            Length left = passes.get(i).total().minus(off);
            Length shown = rounded(left, unit, i == passes.size() - 1);
            if (shown.signum() > 0) {
                return Optional.of(shown);
            }
        }
        return Optional.empty();
    }

    private static Length rounded(Length length, BenchUnit unit, boolean up) {
        long step = unit.nanometres();
        for (int i = 0; i < unit.decimals(); i++) {
            step /= 10;
        }
        long n = length.nanometres();
        return new Length(up ? -Math.floorDiv(-n, step) * step : Math.floorDiv(n + step / 2, step) * step);
    }

    /**
     * What is odd about a depth, as a sentence; empty when it is as one would think.
     *
     * @param off cut already
     * @param depth keyed
     */
    public Optional<Message> odd(Length off, Length depth, LengthWriter writer) {
        if (passes.isEmpty()) {
            return depth.mm() > DEEP_WITHOUT_A_PLAN
                    ? Optional.of(Message.of("cut.in-one-pass-is-deep", writer.full(depth)))
                    : Optional.empty();
        }
        Optional<Length> proposed = next(off, writer.unit());
        Length past = off.plus(depth).minus(total());
        if (proposed.isEmpty()) {
            return Optional.of(Message.of("cut.the-plan-is-through-this-goes-past-it", writer.full(past)));
        }
        // The last pass was rounded up to what the dial shows.
        boolean beyond = past.compareTo(Length.ZERO) > 0 && depth.compareTo(proposed.get()) > 0;
        if (beyond) {
            return Optional.of(Message.of("cut.that-goes-past-the-plan-of", writer.full(past), writer.full(total())));
        }
        double times = depth.mm() / proposed.get().mm();
        return times > FAR || times < 1 / FAR_UNDER
                ? Optional.of(Message.of("cut.planned-next-are-not", writer.full(proposed.get()), writer.full(depth)))
                : Optional.empty();
    }
}

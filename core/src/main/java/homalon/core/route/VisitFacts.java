package homalon.core.route;

import homalon.core.integrity.Remedy;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.Length;
import homalon.core.rulebook.OwnLines;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * All that is known of one visit of a casting, as far as its steps depend on it: what was told, read, judged, decided, ordered,
 * signed. Times are when a thing was measured or done; of several readings the oldest that counts, since a check is made again
 * only when all of it was read again.
 *
 * @param number of the visit of this casting, from 1
 * @param told what it came with, by its owner's words
 * @param happened to it, as it was ticked at intake
 * @param carriesShafts cams or a main line run in it
 * @param face as an indicator read it before the cut; empty before the first place was asked for
 * @param felt the same by straightedge and feelers
 * @param proof as an indicator read it after the cut
 * @param proofFelt the same by feelers
 * @param lines of each shaft that was set up
 * @param orders that were not cancelled
 * @param doubted steps beside the face that were measured with an instrument that is not to be relied on
 */
public record VisitFacts(
        int number,
        Instant opened,
        Optional<Instant> released,
        Set<Told> told,
        Set<Happened> happened,
        boolean carriesShafts,
        Optional<Face> face,
        Optional<Felt> felt,
        Optional<Face> proof,
        Optional<Felt> proofFelt,
        Optional<Plan> plan,
        Passes passes,
        List<Entry> work,
        List<Cracked> cracks,
        List<Tested> tests,
        List<Line> lines,
        Optional<Liners> liners,
        Optional<Index> index,
        Optional<Valves> valves,
        Optional<Chambers> chambers,
        List<Ordered> orders,
        Set<StepKind> doubted) {

    /** What the one who brought it said, or the machinist ticked. */
    public enum Told {
        /** It was hot and carries a shaft. */
        MAY_BE_BENT,
        /** A shaft was set up to be measured, for whatever reason. */
        LINES_ASKED,
        HAS_LINERS,
        DECK_ASKED,
        VALVES_ASKED,
        CHAMBERS_ASKED
    }

    /**
     * A face read by an indicator.
     *
     * @param asked places that were proposed
     * @param handled those of them that were read or left out
     * @param oldest reading that counts
     * @param finding empty while there are too few places
     * @param settled within, with what lies between the places: whatever is left of the walk
     * @param doubted it was read with an instrument that is not to be relied on: past due, never compared, found out
     * @param revision changes with every reading
     */
    public record Face(
            int asked,
            int handled,
            Instant oldest,
            Optional<FaceFound> finding,
            boolean settled,
            boolean doubted,
            long revision) {
        /** Nothing more need be read: all that was proposed is, or what was read settles it before. */
        public boolean complete() {
            return handled >= asked || settled;
        }

        boolean is(Verdict verdict) {
            return complete() && verdict() == verdict;
        }

        Verdict verdict() {
            return finding.map(FaceFound::worst).orElse(Verdict.NOT_PROVEN);
        }
    }

    /**
     * @param worst of all limits in force
     * @param over by how much the worst of them is passed, mm; 0 when none is
     * @param zone of all sealing places, mm
     * @param shape in words
     * @param next what would settle it, in words; empty when it is settled
     */
    public record FaceFound(Verdict worst, double over, double zone, Message shape, Message next) {}

    /**
     * A face tried by straightedge and feelers.
     *
     * @param complete nothing more is asked for
     */
    public record Felt(Instant begun, Verdict verdict, boolean complete, int handled, int asked) {}

    /**
     * @param surveyRevision of the face that it was made from
     * @param shims under A, B, C and so on
     * @param reference where it is cut in stages
     */
    public record Plan(
            Instant at,
            long surveyRevision,
            Length total,
            int passes,
            List<Length> shims,
            Optional<Reference> reference) {}

    /**
     * A cut off which other work is done, before the finish pass.
     *
     * @param depth of it
     * @param reached when so much was off; empty before
     */
    public record Reference(Length depth, Optional<Instant> reached) {}

    /**
     * What was cut off on this visit.
     *
     * @param number of passes that stand
     * @param last when the last of them was made
     * @param changed when a pass was last logged or taken back: what was said of the cut before was said of another depth
     */
    public record Passes(Length off, int number, Optional<Instant> last, Optional<Instant> changed) {
        public static final Passes NONE = new Passes(Length.ZERO, 0, Optional.empty(), Optional.empty());

        /** Whether what was said of the cut at a moment still holds: something was cut, and no line of it came since. */
        public boolean heldSince(Instant said) {
            return number > 0 && changed.filter(at -> !said.isBefore(at)).isPresent();
        }
    }

    /** A line of the log of work. */
    public sealed interface Entry {
        Instant at();
    }

    /** @param leavesGrit the passages must be brushed through and signed for before it counts */
    public record DidWork(Instant at, Operation operation, boolean leavesGrit) implements Entry {}

    public record AddedWork(Instant at, Operation operation) implements Entry {}

    /** @param who in words */
    public record WaivedWork(Instant at, Operation operation, String who, String why) implements Entry {}

    public record PassagesBrushed(Instant at) implements Entry {}

    /** From here on the customer is asked before more work is done. */
    public record AskedChoice(Instant at, Finding why) implements Entry {}

    /**
     * The customer's choice, as somebody noted it.
     *
     * @param goesOn whether work goes on; else it leaves as it is
     * @param said in few words
     */
    public record ChoseHow(Instant at, boolean goesOn, String who, Message said) implements Entry {}

    /** A line to tick at a step, of the shop's own or for this casting alone. */
    public record LineListed(Instant at, StepKind step, String words) implements Entry {}

    public record LineTicked(Instant at, StepKind step, String words) implements Entry {}

    /** A shaft turned by hand took more than it should, or stuck after a rest. */
    public record TurnedStiff(Instant at) implements Entry {}

    /** @param pins in it, 0 when none were counted */
    public record Cracked(Instant since, Remedy remedy, boolean inFace, int pins) {}

    /**
     * @param at its beginning: what was done while it held is not proven by it
     * @param begun a reading was keyed
     */
    public record Tested(Instant at, Verdict verdict, boolean begun, Message why) {}

    /**
     * The line of one shaft.
     *
     * @param oldest reading that counts; empty before any was keyed
     */
    public record Line(String name, Optional<Instant> oldest, Turns turns) {}

    public record Liners(Instant oldest, Verdict verdict) {}

    /** @param toSquare what squaring it takes, mm */
    public record Index(Instant oldest, boolean square, double toSquare) {}

    /**
     * One kind of work over all valves.
     *
     * @param due valves for which it is still to do
     * @param done valves for which it was done
     * @param last when the last of them was done
     */
    public record ValveWork(int due, int done, Optional<Instant> last) {
        public static final ValveWork NONE = new ValveWork(0, 0, Optional.empty());

        public boolean any() {
            return all() > 0;
        }

        public int all() {
            return due + done;
        }

        public boolean finished() {
            return due == 0 && done > 0;
        }
    }

    /**
     * @param count of valves
     * @param settled how many need no more reading
     * @param out how many are out
     * @param since when the oldest reading that counts was taken
     * @param axisMoved the bore of at least one guide was made anew
     */
    public record Valves(
            int count,
            int settled,
            int out,
            boolean begun,
            Optional<Instant> since,
            ValveWork guides,
            ValveWork inserts,
            ValveWork seats,
            boolean axisMoved) {
        public boolean complete() {
            return settled == count;
        }
    }

    /**
     * @param filled when all of them were filled, once for each state in which they were: the oldest fill that counts
     * @param said what they hold, in few words
     */
    public record Chambers(int count, int settled, boolean begun, List<Instant> filled, Message said) {}

    /** @param arrived pieces that are here */
    public record Ordered(Operation operation, int arrived, Optional<LocalDate> promised) {}

    /** When the passages were last signed for. */
    Optional<Instant> brushed() {
        return work.stream()
                .filter(PassagesBrushed.class::isInstance)
                .map(Entry::at)
                .reduce((a, b) -> b);
    }

    /** Cleaned with grit, and nobody signed for the passages since: it is not clean yet. */
    boolean gritLeft() {
        Optional<Instant> grit = work.stream()
                .filter(e -> e instanceof DidWork d && d.operation() == Operation.CLEAN && d.leavesGrit())
                .map(Entry::at)
                .reduce((a, b) -> b);
        return grit.isPresent()
                && brushed().filter(at -> !at.isBefore(grit.get())).isEmpty();
    }

    /** Lines at a step that nobody ticked, in the order in which they were put down. */
    List<String> toTick(StepKind step) {
        List<String> ticked = work.stream()
                .filter(e -> e instanceof LineTicked t && t.step() == step)
                .map(e -> ((LineTicked) e).words())
                .toList();
        return work.stream()
                .filter(e -> e instanceof LineListed l && l.step() == step)
                .map(e -> ((LineListed) e).words())
                .filter(words -> OwnLines.same(ticked, words).isEmpty())
                .distinct()
                .toList();
    }

    /** Somebody said that it is clean and stopped there, and nothing was cut since. */
    boolean stopped() {
        return work.stream()
                .anyMatch(e -> e instanceof DidWork d && d.operation() == Operation.CUT && passes.heldSince(d.at()));
    }

    /** Somebody answers for cutting no further than was cut; what the route wants anew, it opens again. */
    boolean cutLeftThere() {
        return passes.number() > 0
                && work.stream().anyMatch(e -> e instanceof WaivedWork w && w.operation() == Operation.CUT);
    }

    /** What the customer said last, in few words. */
    Message chosen() {
        return work.stream()
                .flatMap(e -> e instanceof ChoseHow c ? Stream.of(c.said()) : Stream.empty())
                .reduce((a, b) -> b)
                .orElse(Message.NONE);
    }

    /** How many of those that a work is about there are: to do and done. */
    Map<Operation, Integer> counted() {
        Map<Operation, Integer> all = new EnumMap<>(Operation.class);
        valves.ifPresent(v -> {
            all.put(Operation.GUIDE_WORK, v.guides().all());
            all.put(Operation.INSERT, v.inserts().all());
            all.put(Operation.SEAT_WORK, v.seats().all());
        });
        all.put(Operation.STITCH, (int) cracks.stream()
                .filter(c -> c.remedy() == Remedy.STITCH || c.remedy() == Remedy.STITCH_AND_INSERT)
                .count());
        all.put(Operation.SLEEVE, (int)
                cracks.stream().filter(c -> c.remedy() == Remedy.SLEEVE).count());
        all.values().removeIf(n -> n == 0);
        return all;
    }

    /** The choice by which it goes no further; empty where none was made, or another since. */
    Optional<ChoseHow> stop() {
        return work.stream()
                .flatMap(e -> e instanceof ChoseHow c ? Stream.of(c) : Stream.empty())
                .reduce((a, b) -> b)
                .filter(c -> !c.goesOn());
    }

    List<Ordered> ordered(Operation operation) {
        return orders.stream().filter(o -> o.operation() == operation).toList();
    }
}

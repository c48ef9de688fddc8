package homalon.core.seats;

import homalon.core.input.Problems;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.OptionalDouble;

/**
 * How far each cut of a seat is sunk to make it as wanted, and what that does to the valve. Millimetres along the axis.
 *
 * @param asked what was asked
 * @param before the seat as found
 * @param after the seat as planned
 * @param seatSink of the face
 * @param topSink of the top cut
 * @param throatSink of the throat cut
 * @param outerAfterSeat diameter of the outer edge after the face is sunk and before the others are
 * @param innerAfterSeat the same of the inner edge
 * @param valveSink how far the valve's head goes in, its stem's tip comes out and its spring grows longer
 * @param valveCc what the sunk valve adds to the chamber, cm3
 * @param ringCc what the top cut takes outside the valve, up to where it runs out, cm3
 * @param binds what decides the sink of the face
 * @param feasible within the sink limit
 * @param why in words
 */
public record SeatPlan(
        Asked asked,
        SeatProfile before,
        SeatProfile after,
        double seatSink,
        double topSink,
        double throatSink,
        double outerAfterSeat,
        double innerAfterSeat,
        double valveSink,
        double valveCc,
        double ringCc,
        Binds binds,
        boolean feasible,
        Message why) {
    /** Beyond it an insert is the answer; a general default. */
    public static final double DEFAULT_SINK_LIMIT = 0.5;
    /** A stone dresses at least this. */
    public static final double LEAST_STONE = 0.03;
    /** A form cutter takes at least this. */
    public static final double LEAST_CUTTER = 0.08;
    /** Beyond the valve's edge, where the top cut is drawn to when nobody said where it runs out; on the diameter. */
    public static final double DEFAULT_RUN_OUT = 2;

    /** Sinks closer than this are one. */
    private static final double SAME = 1e-9;

    /** How the seat is made. */
    public enum Way {
        STONE,
        CUTTER;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }

        /**
         * The least that it sinks a seat.
         *
         * @param pits what pits and runout need, along the axis
         * @param topUneven highest less lowest place of the old top edge over one turn
         */
        public double least(double pits, double topUneven) {
            return this == STONE ? Math.max(pits, LEAST_STONE) : Math.max(Math.max(pits, topUneven), LEAST_CUTTER);
        }
    }

    /** What decides how far the face is sunk. */
    public enum Binds {
        PITS,
        OUTER_EDGE,
        WIDTH,
        TOOL,
        LEVEL,
        OTHER_CUTS,
        NOTHING;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /**
     * What is wanted of a seat.
     *
     * @param outer diameter of the face's outer edge as found
     * @param inner diameter of its inner edge as found
     * @param throatInner where a fourth cut begins; empty without one
     * @param pitDepth of the deepest pit, square to the face
     * @param runout total, square to the face
     * @param targetOuter diameter of the outer edge wanted
     * @param targetWidth of the face along its slope
     * @param headDiameter of the valve
     * @param topEnd diameter where the top cut runs out into the chamber
     * @param sinkLimit most that the valve may go in
     * @param least that the tool takes anyway
     * @param level that it goes in to stand level with the others; 0 for none
     */
    public record Asked(
            SeatAngles angles,
            double outer,
            double inner,
            OptionalDouble throatInner,
            double pitDepth,
            double runout,
            double targetOuter,
            double targetWidth,
            double headDiameter,
            double topEnd,
            double sinkLimit,
            double least,
            double level) {
        /** @throws homalon.core.input.BadInputException naming each size that cannot be */
        public Asked {
            Problems problems = new Problems();
            boolean edges =
                    problems.require(outer > 0 && outer <= 200, "outer", "seats.outer-edge-key-its-diameter-up-to-200");
            problems.require(
                    !edges || (inner > 0 && inner < outer), "inner", "seats.the-seats-inner-edge-lies-inside-its");
            problems.require(pitDepth >= 0 && pitDepth <= 5, "pitDepth", "seats.pits-key-their-depth-0-to-5-mm");
            problems.require(runout >= 0 && runout <= 5, "runout", "seats.runout-key-the-whole-travel-0-to-5-mm");
            problems.require(
                    headDiameter > 0 && headDiameter <= 200,
                    "headDiameter",
                    "seats.valve-head-key-its-diameter-up-to-200");
            problems.require(
                    targetOuter > 0 && targetOuter <= headDiameter + 1e-9,
                    "targetOuter",
                    "seats.the-outer-edge-wanted-lies-on-the-valve");
            problems.require(
                    targetWidth > 0 && targetWidth * angles.cosFace() < targetOuter / 2,
                    "targetWidth",
                    "seats.width-wanted-above-zero-and-less-than");
            problems.require(
                    sinkLimit > 0 && sinkLimit <= 10, "sinkLimit", "seats.sink-limit-key-0-to-10-mm-such-as-0-5");
            problems.require(least >= 0 && least <= 10, "least", "seats.what-the-tool-takes-lies-between-0-and");
            problems.require(level >= 0 && level <= 20, "level", "seats.to-stand-level-key-0-to-20-mm");
            problems.throwIfAny();
        }

        /** What pits and runout need, along the axis: (p + TIR / 2) / cos a. */
        public double pits() {
            return (pitDepth + runout / 2) / angles.cosFace();
        }

        /** The same made by a tool. */
        public Asked by(Way way, double topUneven) {
            return new Asked(
                    angles,
                    outer,
                    inner,
                    throatInner,
                    pitDepth,
                    runout,
                    targetOuter,
                    targetWidth,
                    headDiameter,
                    topEnd,
                    sinkLimit,
                    way.least(pits(), topUneven),
                    level);
        }

        /** The same with what is to be made; of a seat that is left, nothing asks for a cut. */
        Asked aimed(double outerEdge, double width, boolean left) {
            return new Asked(
                    angles,
                    outer,
                    inner,
                    throatInner,
                    left ? 0 : pitDepth,
                    left ? 0 : runout,
                    Math.min(outerEdge, headDiameter),
                    width,
                    headDiameter,
                    topEnd,
                    sinkLimit,
                    left ? 0 : least,
                    level);
        }

        /** The same, sunk at least so far: to stand level with the others. */
        public Asked atLeast(double sink) {
            return new Asked(
                    angles,
                    outer,
                    inner,
                    throatInner,
                    pitDepth,
                    runout,
                    targetOuter,
                    targetWidth,
                    headDiameter,
                    topEnd,
                    sinkLimit,
                    least,
                    Math.max(level, sink));
        }
    }

    /**
     * The plan with the least sink of all that the valve allows: any outer edge and any width of the ranges. A seat that is inside
     * them, true and clean is left.
     */
    public static SeatPlan least(Asked q, SeatRange range) {
        return of(range.aimed(q), range.outerEdgeBinds(q));
    }

    public static SeatPlan of(Asked q) {
        return of(q, false);
    }

    /** @param outerEdge of two edges that ask for the same, it is the outer one that has to move */
    private static SeatPlan of(Asked q, boolean outerEdge) {
        SeatAngles angles = q.angles();
        double a = SeatAngles.tan(angles.face());
        double b = SeatAngles.tan(angles.top());
        double g = SeatAngles.tan(angles.throat());
        double target = q.targetOuter() / 2;
        double targetInner = target - q.targetWidth() * angles.cosFace();
        double outwards = (q.targetOuter() - q.outer()) / 2 * (a - b);
        double inwards = (q.inner() / 2 - targetInner) * (g - a);
        double seat = Math.max(Math.max(q.pits(), Math.max(q.least(), q.level())), Math.max(outwards, inwards));
        SeatProfile before = SeatProfile.of(angles, q.outer(), q.inner(), q.throatInner());
        SeatProfile face = before.sunk(1, seat);
        double top = Math.max(0, (face.outer() - target) * (a - b));
        double throat = Math.max(0, (targetInner - face.inner()) * (g - a));
        SeatProfile after = face.sunk(0, top).sunk(2, throat);
        if (after.cuts() > 3) {
            // A fourth cut keeps its edge on the throat.
            after = after.sunk(3, throat);
        }
        Binds binds = seat <= SAME && top + throat > SAME
                ? Binds.OTHER_CUTS
                : binds(q, seat, outwards > inwards + SAME || outerEdge);
        boolean feasible = seat <= q.sinkLimit() + 1e-9;
        double valve = q.headDiameter() / 2;
        return new SeatPlan(
                q,
                before,
                after,
                seat,
                top,
                throat,
                2 * face.outer(),
                2 * face.inner(),
                seat,
                Math.PI * valve * valve * seat / 1000,
                before.volumeDownTo(after, valve, q.topEnd() / 2) / 1000,
                binds,
                feasible,
                why(binds, feasible));
    }

    private static Message why(Binds binds, boolean feasible) {
        if (!feasible) {
            return Message.of("seats.beyond-the-sink-limit-because-an-insert", binds.words());
        }
        return binds == Binds.NOTHING ? binds.words() : Message.of("seats.within-the-sink-limit", binds.words());
    }

    /** Of needs that are alike, what was found comes before what was aimed at because of it. */
    private static Binds binds(Asked q, double seat, boolean outerEdge) {
        if (seat <= SAME) {
            return Binds.NOTHING;
        }
        if (seat <= q.pits() + SAME) {
            return Binds.PITS;
        }
        if (seat <= q.level() + SAME) {
            return Binds.LEVEL;
        }
        if (seat <= q.least() + SAME) {
            return Binds.TOOL;
        }
        return outerEdge ? Binds.OUTER_EDGE : Binds.WIDTH;
    }

    /** How far a refaced valve goes in, which is also what its margin loses: t / cos a. */
    public static double refaced(double squareToFace, double faceAngle) {
        return squareToFace / Math.cos(Math.toRadians(faceAngle));
    }

    /** How it was worked out. */
    public Working working() {
        return Working.of(Message.of("seats.seat"))
                .line(Message.of("seats.pits-and-runout-p-tir-2-cos-a"), asked.pits())
                .line(
                        Message.of("seats.outer-edge-out-to-width-the-face-goes"),
                        asked.outer(),
                        asked.targetOuter(),
                        asked.targetWidth(),
                        seatSink)
                .line(Message.of("seats.outer-edge-stands-then-at-the-top-cut"), outerAfterSeat, topSink)
                .line(Message.of("seats.inner-edge-stands-then-at-the-throat"), innerAfterSeat, throatSink)
                .line(Message.of("seats.the-valve-sinks-with-its-face-by-its"), valveSink)
                .done();
    }

    /** The fourth cut's edge as found, when there is one. */
    public OptionalDouble bowlEdge() {
        return before.cuts() > 3 ? OptionalDouble.of(before.edge(2)) : OptionalDouble.empty();
    }
}

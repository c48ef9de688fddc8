package homalon.core.route;

import static homalon.core.route.VisitFacts.ValveWork.NONE;
import static homalon.core.verdict.Verdict.NOT_PROVEN;
import static homalon.core.verdict.Verdict.OUT;
import static homalon.core.verdict.Verdict.WITHIN;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.integrity.Remedy;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.route.Step.Mark;
import homalon.core.route.VisitFacts.ValveWork;
import homalon.core.words.English;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What is ticked, what is owed, what bars what: each row is a visit as a machinist works it. */
class VisitStepsTest {
    private static Arguments row(String name, StepKind step, String expected, UnaryOperator<VisitOfTests> what) {
        return Arguments.of(name, step, expected, what);
    }

    static Stream<Arguments> stands() {
        return Stream.of(
                row("nothing was done", StepKind.CLEAN, "DUE due", v -> v),
                row("cleaned", StepKind.CLEAN, "DONE clean", v -> v.did(Operation.CLEAN)),
                row("blasted", StepKind.CLEAN, "BEGUN passages to brush", VisitOfTests::blasted),
                row(
                        "blasted and brushed",
                        StepKind.CLEAN,
                        "DONE clean",
                        v -> v.blasted().brushed()),
                row("dirty", StepKind.CRACKS, "WAITS after cleaning", v -> v),
                row("looked over", StepKind.CRACKS, "DONE none found", VisitOfTests::ready),
                row(
                        "a mark and no look to its end",
                        StepKind.CRACKS,
                        "BEGUN 1 marked",
                        v -> v.did(Operation.CLEAN).cracked(Remedy.LEAVE, false)),
                row("scrap", StepKind.CRACKS, "BEGUN scrap", v -> v.ready().cracked(Remedy.SCRAP, false)),

                // The face: ticked by a verdict.
                row("not read", StepKind.FACE, "DUE due", VisitOfTests::ready),
                row(
                        "half read",
                        StepKind.FACE,
                        "BEGUN 8 of 15 keyed",
                        v -> v.ready().read(WITHIN, 8, 15)),
                row(
                        "settled before the walk is through",
                        StepKind.FACE,
                        "DONE within",
                        v -> v.ready().settling().read(WITHIN, 8, 15)),
                row(
                        "no plan is wanted of what is settled",
                        StepKind.PLAN,
                        "DONE no cut needed",
                        v -> v.ready().settling().read(WITHIN, 8, 15)),
                row("within", StepKind.FACE, "DONE within", v -> v.ready().read(WITHIN)),
                row(
                        "within by an instrument past due",
                        StepKind.FACE,
                        "DONE within, instrument in doubt",
                        v -> v.doubting().ready().read(WITHIN)),
                row(
                        "proven by an instrument past due",
                        StepKind.PROVE,
                        "DONE within, instrument in doubt",
                        v -> cut(v).doubting().proven(WITHIN)),
                row("out", StepKind.FACE, "DONE out by 0.050 mm", v -> v.ready().read(OUT)),
                row("open", StepKind.FACE, "BEGUN not proven", v -> v.ready().read(NOT_PROVEN)),
                row(
                        "three places",
                        StepKind.FACE,
                        "BEGUN too few places",
                        v -> v.ready().read(NOT_PROVEN, 3, 3)),
                row(
                        "open, but to be cut",
                        StepKind.FACE,
                        "DONE not proven, cut",
                        v -> v.ready().read(NOT_PROVEN).planned("0.10", 2)),
                row(
                        "cut, then opened and not read",
                        StepKind.FACE,
                        "BEGUN 0 of 15 keyed",
                        v -> v.ready().pass("0.05").read(NOT_PROVEN, 0, 15)),
                row(
                        "felt within",
                        StepKind.FACE,
                        "DONE within, by feelers",
                        v -> v.ready().felt(WITHIN)),
                row(
                        "felt open",
                        StepKind.FACE,
                        "BEGUN not proven",
                        v -> v.ready().felt(NOT_PROVEN)),
                row(
                        "felt out",
                        StepKind.FACE,
                        "BEGUN out, by feelers",
                        v -> v.ready().felt(OUT)),
                row(
                        "the owner answers for the face",
                        StepKind.FACE,
                        "DONE left out, signed",
                        v -> v.ready().waived(Operation.FACE_CHECK)),
                row(
                        "then nothing is cut",
                        StepKind.CUT,
                        "DONE none",
                        v -> v.ready().waived(Operation.FACE_CHECK)),
                row(
                        "nor read again",
                        StepKind.PROVE,
                        "DONE left out, signed",
                        v -> v.ready().waived(Operation.FACE_CHECK)),
                row(
                        "but what is out is out",
                        StepKind.PLAN,
                        "DUE due",
                        v -> v.ready().read(OUT).waived(Operation.FACE_CHECK)),

                // Plan and cut.
                row(
                        "within needs no plan",
                        StepKind.PLAN,
                        "DONE no cut needed",
                        v -> v.ready().read(WITHIN)),
                row(
                        "half of it within needs the rest",
                        StepKind.PLAN,
                        "WAITS after the face",
                        v -> v.ready().read(WITHIN, 8, 15)),
                row(
                        "half of it out is out",
                        StepKind.PLAN,
                        "DUE due",
                        v -> v.ready().read(OUT, 8, 15)),
                row("out wants a plan", StepKind.PLAN, "DUE due", v -> v.ready().read(OUT)),
                row(
                        "planned",
                        StepKind.PLAN,
                        "DONE 0.150 mm in 4",
                        v -> v.ready().read(OUT).planned("0.15", 4)),
                row(
                        "read again since",
                        StepKind.PLAN,
                        "BEGUN face read since",
                        v -> v.ready().read(OUT).planned("0.15", 4).read(OUT)),
                row(
                        "read again after metal came off",
                        StepKind.PLAN,
                        "DUE owed again",
                        v -> v.ready().read(OUT).planned("0.15", 4).pass("0.01").read(OUT)),
                row(
                        "no plan",
                        StepKind.CUT,
                        "WAITS after the plan",
                        v -> v.ready().read(OUT)),
                row("a plan", StepKind.CUT, "DUE due", v -> v.ready().read(OUT).planned("0.15", 4)),
                row(
                        "two of four",
                        StepKind.CUT,
                        "BEGUN pass 2 of 4",
                        v -> v.ready().read(OUT).planned("0.15", 4).pass("0.01").pass("0.05")),
                row(
                        "through",
                        StepKind.CUT,
                        "DONE 0.150 mm off",
                        v -> v.ready().read(OUT).planned("0.15", 4).pass("0.10").pass("0.05")),
                row(
                        "a within face that shall be cut",
                        StepKind.CUT,
                        "DUE due",
                        v -> v.ready().read(WITHIN).planned("0.03", 1)),
                row(
                        "within, and a cut is asked for",
                        StepKind.PLAN,
                        "DUE asked for",
                        v -> v.ready().read(WITHIN).added(Operation.CUT)),
                row(
                        "so it is not proven by its old face",
                        StepKind.PROVE,
                        "WAITS after the cut",
                        v -> v.ready().read(WITHIN).added(Operation.CUT)),

                // In stages: a reference cut, other work off it, the light finish pass last.
                row(
                        "in stages, nothing cut",
                        StepKind.CUT,
                        "DUE due",
                        v -> v.ready().read(OUT).staged("0.13", "0.15", 4)),
                row(
                        "on the way to the reference cut",
                        StepKind.CUT,
                        "BEGUN pass 1 of 4",
                        v -> v.ready().read(OUT).staged("0.13", "0.15", 4).pass("0.12")),
                row(
                        "down to the reference cut",
                        StepKind.CUT,
                        "BEGUN finish pass owed",
                        v -> v.ready()
                                .read(OUT)
                                .staged("0.13", "0.15", 4)
                                .pass("0.08")
                                .pass("0.05")),
                row(
                        "and not proven by a reading between",
                        StepKind.PROVE,
                        "WAITS after the finish pass",
                        v -> v.ready()
                                .read(OUT)
                                .staged("0.13", "0.15", 4)
                                .pass("0.13")
                                .proven(WITHIN)),
                row(
                        "proven after it",
                        StepKind.PROVE,
                        "DONE within",
                        v -> v.ready()
                                .read(OUT)
                                .staged("0.13", "0.15", 4)
                                .pass("0.13")
                                .pass("0.02")
                                .proven(WITHIN)),
                row(
                        "finished in stages",
                        StepKind.CUT,
                        "DONE 0.150 mm off",
                        v -> v.ready()
                                .read(OUT)
                                .staged("0.13", "0.15", 4)
                                .pass("0.13")
                                .pass("0.02")),
                row(
                        "in stages, clean before the finish pass",
                        StepKind.CUT,
                        "DONE 0.130 mm off, clean",
                        v -> v.ready()
                                .read(OUT)
                                .staged("0.13", "0.15", 4)
                                .pass("0.13")
                                .did(Operation.CUT)),

                // By what the cutter shows: no plan, or less than planned.
                row(
                        "skimmed without a plan",
                        StepKind.PLAN,
                        "DONE cut without one",
                        v -> v.ready().pass("0.01")),
                row(
                        "skimmed, not clean yet",
                        StepKind.CUT,
                        "BEGUN 0.010 mm off",
                        v -> v.ready().pass("0.01")),
                row(
                        "clean, stop here",
                        StepKind.CUT,
                        "DONE 0.060 mm off, clean",
                        v -> v.ready().pass("0.01").pass("0.05").did(Operation.CUT)),
                row(
                        "clean under the plan",
                        StepKind.CUT,
                        "DONE 0.060 mm off, clean",
                        v -> v.ready().read(OUT).planned("0.15", 4).pass("0.06").did(Operation.CUT)),
                row(
                        "clean, and cut on",
                        StepKind.CUT,
                        "BEGUN 0.080 mm off",
                        v -> v.ready().pass("0.06").did(Operation.CUT).pass("0.02")),
                row(
                        "read within after it",
                        StepKind.CUT,
                        "DONE 0.060 mm off",
                        v -> v.ready().pass("0.06").proven(WITHIN)),
                row(
                        "clean is not proven",
                        StepKind.PROVE,
                        "DUE due",
                        v -> v.ready().pass("0.06").did(Operation.CUT)),
                row(
                        "out, and cut without a plan",
                        StepKind.PLAN,
                        "DONE cut without one",
                        v -> v.ready().read(OUT).pass("0.06").did(Operation.CUT)),
                row(
                        "straightened since it was within",
                        StepKind.FACE,
                        "DUE owed again",
                        v -> v.ready().read(WITHIN).did(Operation.STRAIGHTEN)),
                row(
                        "what rested on the face waits for it",
                        StepKind.PROVE,
                        "WAITS after the face",
                        v -> v.ready().read(WITHIN).did(Operation.STRAIGHTEN)),
                row(
                        "and so does the cut",
                        StepKind.CUT,
                        "WAITS after the face",
                        v -> v.ready().read(WITHIN).did(Operation.STRAIGHTEN)),

                // Proven by within alone, and after the last pass.
                row(
                        "nothing cut, within",
                        StepKind.PROVE,
                        "DONE face within",
                        v -> v.ready().read(WITHIN)),
                row("not read again", StepKind.PROVE, "DUE due", v -> cut(v)),
                row("read within", StepKind.PROVE, "DONE within", v -> cut(v).proven(WITHIN)),
                row("read out", StepKind.PROVE, "BEGUN out by 0.050 mm", v -> cut(v).proven(OUT)),
                row("read, and open", StepKind.PROVE, "BEGUN not proven", v -> cut(v).proven(NOT_PROVEN)),
                row("felt within after", StepKind.PROVE, "DONE within, by feelers", v -> cut(v).provenByFeel(WITHIN)),
                row("felt, and open", StepKind.PROVE, "BEGUN not proven", v -> cut(v).provenByFeel(NOT_PROVEN)),
                row(
                        "cut once more",
                        StepKind.PROVE,
                        "DUE cut since",
                        v -> cut(v).proven(WITHIN).pass("0.02")),
                row(
                        "within, and a cut is planned all the same",
                        StepKind.PROVE,
                        "WAITS after the cut",
                        v -> v.ready().read(WITHIN).planned("0.03", 1)),
                row(
                        "the owner answers for it",
                        StepKind.PROVE,
                        "DONE left out, signed",
                        v -> cut(v).proven(NOT_PROVEN).waived(Operation.PROOF)),

                // What happened to it, ticked at the door, makes checks owed.
                row(
                        "overheated, with a cam",
                        StepKind.LINE,
                        "DUE due",
                        v -> v.ready().came(Happened.OVERHEATED)),
                row(
                        "overheated, a plain lid",
                        StepKind.LINE,
                        "none",
                        v -> v.ready().withoutShafts().came(Happened.OVERHEATED)),
                row("seized", StepKind.LINE, "DUE due", v -> v.ready().came(Happened.SEIZED)),
                row("metal in the oil", StepKind.LINE, "DUE due", v -> v.ready().came(Happened.METAL_FOUND)),
                row("picked up", StepKind.LINE, "DUE due", v -> v.ready().came(Happened.BEARINGS_PICKED_UP)),
                row(
                        "rebuilt by others",
                        StepKind.LINE,
                        "DUE due",
                        v -> v.ready().came(Happened.REBUILT_BY_OTHERS)),
                row("cut before", StepKind.LINE, "DUE due", v -> v.ready().came(Happened.CUT_BEFORE)),
                row("bought", StepKind.LINE, "DUE due", v -> v.ready().came(Happened.BOUGHT_UNMEASURED)),
                row(
                        "a dropped valve",
                        StepKind.VALVES,
                        "DUE due",
                        v -> v.ready().came(Happened.DROPPED_VALVE)),
                row(
                        "and what it hammered",
                        StepKind.PRESSURE,
                        "DUE due",
                        v -> v.ready().came(Happened.DROPPED_VALVE)),
                row("stood wet", StepKind.PRESSURE, "DUE due", v -> v.ready().came(Happened.STOOD_WITH_WATER)),
                row(
                        "stood wet asks no line",
                        StepKind.LINE,
                        "none",
                        v -> v.ready().came(Happened.STOOD_WITH_WATER)),
                row(
                        "a gasket gone asks nothing more",
                        StepKind.PRESSURE,
                        "none",
                        v -> v.ready().came(Happened.GASKET_GONE)),
                row("nothing ticked", StepKind.LINE, "none", VisitOfTests::ready),

                // Lines: tight is not passed.
                row("a cam head that was hot", StepKind.LINE, "DUE due", v -> told(v.ready())),
                row("free", StepKind.LINE, "DONE free", v -> told(v.ready()).lined(Turns.FREE)),
                row(
                        "free needs no work",
                        StepKind.REPAIR,
                        "none",
                        v -> told(v.ready()).lined(Turns.FREE)),
                row(
                        "tight is work",
                        StepKind.REPAIR,
                        "DUE straighten",
                        v -> told(v.ready()).lined(Turns.TIGHT)),
                row(
                        "bound is work",
                        StepKind.REPAIR,
                        "DUE straighten",
                        v -> told(v.ready()).lined(Turns.BINDS)),
                row(
                        "line again after",
                        StepKind.LINE,
                        "DUE owed again",
                        v -> told(v.ready()).lined(Turns.TIGHT).did(Operation.STRAIGHTEN)),
                row(
                        "bored instead",
                        StepKind.REPAIR,
                        "DONE done",
                        v -> told(v.ready()).lined(Turns.BINDS).did(Operation.LINE_BORE)),
                row(
                        "line again after boring",
                        StepKind.LINE,
                        "DUE owed again",
                        v -> told(v.ready()).lined(Turns.BINDS).did(Operation.LINE_BORE)),
                row(
                        "half read",
                        StepKind.LINE,
                        "BEGUN not proven",
                        v -> told(v.ready()).lined(Turns.NOT_PROVEN)),
                row(
                        "two cams, one bound",
                        StepKind.LINE,
                        "WAITS exhaust binds",
                        v -> v.ready().lined("Exhaust", Turns.BINDS).lined("Intake", Turns.FREE)),
                row(
                        "one bound cam is work",
                        StepKind.REPAIR,
                        "DUE straighten",
                        v -> v.ready().lined("Exhaust", Turns.BINDS).lined("Intake", Turns.FREE)),
                row(
                        "one cam is not the other",
                        StepKind.LINE,
                        "BEGUN intake not proven",
                        v -> v.ready().lined("Exhaust", Turns.FREE).toBeLined("Intake")),
                row(
                        "bound is work before the other is read",
                        StepKind.REPAIR,
                        "DUE straighten",
                        v -> v.ready().lined("Exhaust", Turns.BINDS).toBeLined("Intake")),
                row(
                        "both free",
                        StepKind.LINE,
                        "DONE exhaust free",
                        v -> v.ready().lined("Exhaust", Turns.FREE).lined("Intake", Turns.FREE)),
                row("turned stiffly", StepKind.LINE, "DUE due", v -> v.ready().stiff()),
                row(
                        "free, and stiff since",
                        StepKind.LINE,
                        "DUE owed again",
                        v -> v.ready().lined(Turns.FREE).stiff()),
                row(
                        "stiff, and free since",
                        StepKind.LINE,
                        "DONE free",
                        v -> v.ready().stiff().lined(Turns.FREE)),

                // Valves.
                row(
                        "all within",
                        StepKind.VALVES,
                        "DONE all within",
                        v -> v.ready().valves(0, NONE, NONE, NONE)),
                row(
                        "two out",
                        StepKind.VALVES,
                        "DONE 2 of 8 out",
                        v -> v.ready().valves(2, v.todo(2), NONE, NONE)),
                row(
                        "guides to do",
                        StepKind.GUIDES,
                        "DUE 2 guides to do",
                        v -> v.ready().valves(2, v.todo(2), NONE, NONE)),
                row(
                        "new guides make seats due",
                        StepKind.SEATS,
                        "DUE due",
                        v -> v.ready().valves(2, v.finished(2), NONE, NONE)),
                row(
                        "a ring on order",
                        StepKind.INSERTS,
                        "WAITS for parts, Fri",
                        v -> v.ready().valves(1, NONE, v.todo(1), NONE).ordered(Operation.INSERT, 0)),
                row(
                        "a ring that came",
                        StepKind.INSERTS,
                        "DUE 1 insert to do",
                        v -> v.ready().valves(1, NONE, v.todo(1), NONE).ordered(Operation.INSERT, 1)),

                // Pressure.
                row("no reason for it", StepKind.PRESSURE, "none", VisitOfTests::ready),
                row(
                        "a wall in doubt",
                        StepKind.PRESSURE,
                        "DUE due",
                        v -> v.ready().cracked(Remedy.PROVE, false)),
                row(
                        "it leaks",
                        StepKind.PRESSURE,
                        "BEGUN leaks",
                        v -> v.ready().cracked(Remedy.PROVE, false).tested(OUT)),
                row(
                        "it holds",
                        StepKind.PRESSURE,
                        "DONE held",
                        v -> v.ready().cracked(Remedy.PROVE, false).tested(WITHIN)),
                row(
                        "held before the ring",
                        StepKind.PRESSURE,
                        "DUE owed again",
                        v -> v.ready()
                                .valves(1, NONE, v.todo(1), NONE)
                                .tested(WITHIN)
                                .valves(1, NONE, v.finished(1), NONE)),

                // Hand-over.
                row("something is open", StepKind.HAND_OVER, "WAITS waits", VisitOfTests::ready),
                row(
                        "all is borne out",
                        StepKind.HAND_OVER,
                        "DUE due",
                        v -> v.ready().read(WITHIN)),
                row("gone", StepKind.HAND_OVER, "DONE gone", v -> gone(v.ready().read(WITHIN))));
    }

    private static VisitOfTests cut(VisitOfTests v) {
        return v.ready().read(OUT).planned("0.15", 2).pass("0.10").pass("0.05");
    }

    private static VisitOfTests told(VisitOfTests v) {
        v.told.add(VisitFacts.Told.MAY_BE_BENT);
        return v;
    }

    private static VisitOfTests gone(VisitOfTests v) {
        v.released = java.util.Optional.of(v.tick());
        return v;
    }

    @ParameterizedTest(name = "{0}: {1} {2}")
    @MethodSource
    void stands(String name, StepKind step, String expected, UnaryOperator<VisitOfTests> what) {
        assertEquals(expected, what.apply(new VisitOfTests()).on(step));
    }

    private static Arguments may(String name, Operation operation, boolean may, UnaryOperator<VisitOfTests> what) {
        return Arguments.of(name, operation, may, what);
    }

    static Stream<Arguments> mayBeDone() {
        UnaryOperator<VisitOfTests> ringOnOrder = v -> v.ready()
                .valves(1, NONE, v.todo(1), NONE)
                .ordered(Operation.INSERT, 0)
                .read(OUT)
                .planned("0.15", 2);
        return Stream.of(
                may("a dirty casting is not looked over", Operation.CRACK_CHECK, false, v -> v),
                may(
                        "cutting without a plan",
                        Operation.CUT,
                        true,
                        v -> v.ready().read(OUT)),
                may("skimming what was not read", Operation.CUT, true, VisitOfTests::ready),
                may("looking again", Operation.CRACK_CHECK, true, VisitOfTests::ready),
                may("looking again before the ring is in", Operation.CRACK_CHECK, true, ringOnOrder),
                may("testing before the ring is in", Operation.PRESSURE_TEST, true, ringOnOrder),
                may("cutting while a ring is on order", Operation.CUT, true, ringOnOrder),
                may(
                        "cutting what was not looked over",
                        Operation.CUT,
                        false,
                        v -> v.did(Operation.CLEAN).read(OUT).planned("0.15", 2)),
                may(
                        "cutting what is bound",
                        Operation.CUT,
                        false,
                        v -> told(v.ready()).lined(Turns.BINDS).read(OUT).planned("0.15", 2)),
                may(
                        "cutting what is tight",
                        Operation.CUT,
                        false,
                        v -> told(v.ready()).lined(Turns.TIGHT).read(OUT).planned("0.15", 2)),
                may(
                        "cutting what was straightened and not measured",
                        Operation.CUT,
                        false,
                        v -> told(v.ready())
                                .lined(Turns.BINDS)
                                .did(Operation.STRAIGHTEN)
                                .did(Operation.CRACK_CHECK)
                                .read(OUT)
                                .planned("0.15", 2)),
                may(
                        "the owner answers for the line",
                        Operation.CUT,
                        true,
                        v -> told(v.ready()).read(OUT).planned("0.15", 2).waived(Operation.LINE_CHECK)),
                may(
                        "planning from what proves it out",
                        Operation.CUT_PLAN,
                        true,
                        v -> v.ready().read(OUT, 8, 15)),
                may(
                        "stitches come before the cut",
                        Operation.CUT,
                        false,
                        v -> v.ready().cracked(Remedy.STITCH, true).read(OUT).planned("0.15", 2)),
                may(
                        "a ring waits for its guide",
                        Operation.INSERT,
                        false,
                        v -> v.ready().valves(2, v.todo(1), v.todo(1), NONE)),
                may(
                        "a seat waits for its ring",
                        Operation.SEAT_WORK,
                        false,
                        v -> v.ready().valves(2, NONE, v.todo(1), v.todo(1))));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource
    void mayBeDone(String name, Operation operation, boolean may, UnaryOperator<VisitOfTests> what) {
        VisitOfTests v = what.apply(new VisitOfTests());
        assertEquals(
                may,
                English.of(v.standing().route().refusal(operation)).isEmpty(),
                () -> English.of(v.standing().route().refusal(operation)).orElse("may"));
    }

    @Test
    void theCheckAfterARingIsOwedAgainThoughItWasMadeWhileTheRingWasAwaited() {
        VisitOfTests v = new VisitOfTests().ready();
        v.valves(1, NONE, v.todo(1), NONE).did(Operation.CRACK_CHECK);
        assertTrue(v.on(StepKind.CRACKS).startsWith("WAITS after"), v.on(StepKind.CRACKS));
        v.valves(1, NONE, v.finished(1), NONE);
        assertEquals("DUE owed again", v.on(StepKind.CRACKS));
        v.did(Operation.CRACK_CHECK);
        assertEquals("DONE none found", v.on(StepKind.CRACKS));
    }

    @Test
    void nothingLeavesWhileAStepIsOpen() {
        VisitOfTests v = cut(new VisitOfTests());
        assertFalse(ready(v));
        v.proven(NOT_PROVEN);
        assertFalse(ready(v));
        v.proven(WITHIN);
        assertTrue(ready(v));
    }

    private static boolean ready(VisitOfTests v) {
        return v.step(StepKind.HAND_OVER).orElseThrow().mark() == Mark.DUE;
    }

    @Test
    void theStripHasEachStepOnceAndInTheOrderOfTheWork() {
        VisitOfTests v = told(cut(new VisitOfTests())).lined(Turns.BINDS).cracked(Remedy.STITCH, true);
        v.valves(3, v.todo(1), v.todo(1), v.todo(1));
        List<StepKind> kinds = v.standing().strip().stream().map(Step::kind).toList();
        assertEquals(Arrays.stream(StepKind.values()).filter(kinds::contains).toList(), kinds);
    }

    /** A reference cut is in nobody's way, work off it comes before the finish pass, and nothing leaves without that. */
    @Test
    void workOffAReferenceCutComesBeforeTheFinishPass() {
        VisitOfTests v = new VisitOfTests()
                .ready()
                .valves(1, NONE, NONE, new ValveWork(2, 0, Optional.empty()))
                .read(OUT)
                .staged("0.13", "0.15", 4);
        Route before = v.standing().route();
        assertTrue(before.standsAgainst(Operation.CUT).isEmpty());
        assertEquals(List.of(), English.of(before.warnings(Operation.CUT)), "the reference cut is to be made now");
        assertTrue(
                English.of(before.warnings(Operation.SEAT_WORK)).stream().anyMatch(w -> w.contains("reference cut")));
        Route down = v.pass("0.13").standing().route();
        assertTrue(English.of(down.warnings(Operation.CUT)).stream().anyMatch(w -> w.contains("light finish pass")));
        assertTrue(English.of(down.warnings(Operation.SEAT_WORK)).stream().noneMatch(w -> w.contains("reference cut")));
        assertTrue(down.wasDone(Operation.REFERENCE_CUT) && !down.wasDone(Operation.CUT));
        assertTrue(down.open(Operation.CUT).isPresent(), "the finish pass is owed");
        Route finished = v.pass("0.02").standing().route();
        assertTrue(finished.wasDone(Operation.CUT));
    }

    /** What is to be done and what was done are counted together: a price for each holds for all of them. */
    @Test
    void whatWorkIsAboutIsCounted() {
        VisitOfTests v = new VisitOfTests();
        assertEquals(Map.of(), v.standing().counted());
        v.valves(
                2,
                new VisitFacts.ValveWork(2, 1, Optional.of(v.tick())),
                VisitFacts.ValveWork.NONE,
                new VisitFacts.ValveWork(0, 4, Optional.of(v.tick())));
        v.cracked(Remedy.STITCH, false).cracked(Remedy.STITCH_AND_INSERT, true).cracked(Remedy.LEAVE, false);
        assertEquals(
                Map.of(Operation.GUIDE_WORK, 3, Operation.SEAT_WORK, 4, Operation.STITCH, 2),
                v.standing().counted());
    }
}

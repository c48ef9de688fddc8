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
import homalon.core.quantity.Length;
import homalon.core.route.VisitFacts.ValveWork;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import homalon.core.words.Message;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** A step as strip and bench show it: mark, note, what to do and why. */
class StripInFullTest {
    private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");

    private static Arguments row(StepKind step, String expected, UnaryOperator<VisitOfTests> what) {
        return Arguments.of(step, expected, what);
    }

    private static VisitOfTests told(VisitOfTests v, VisitFacts.Told what) {
        v.told.add(what);
        return v;
    }

    private static VisitOfTests liners(VisitOfTests v, Verdict verdict) {
        v.liners = Optional.of(new VisitFacts.Liners(v.tick(), verdict));
        return told(v, VisitFacts.Told.HAS_LINERS);
    }

    private static VisitOfTests index(VisitOfTests v, boolean square, double toSquare) {
        v.index = Optional.of(new VisitFacts.Index(v.tick(), square, toSquare));
        return told(v, VisitFacts.Told.DECK_ASKED);
    }

    private static VisitOfTests chambers(VisitOfTests v, int settled, boolean begun, String said) {
        v.chambers = Optional.of(new VisitFacts.Chambers(
                4, settled, begun, settled == 4 ? List.of(v.tick()) : List.of(), Message.plain(said)));
        return told(v, VisitFacts.Told.CHAMBERS_ASKED);
    }

    private static VisitOfTests valves(VisitOfTests v, int settled, boolean begun, int out, ValveWork... work) {
        v.told.add(VisitFacts.Told.VALVES_ASKED);
        v.valves = Optional.of(new VisitFacts.Valves(
                8,
                settled,
                out,
                begun,
                begun ? Optional.of(v.tick()) : Optional.empty(),
                work.length > 0 ? work[0] : NONE,
                work.length > 1 ? work[1] : NONE,
                work.length > 2 ? work[2] : NONE,
                false));
        return v;
    }

    private static ValveWork some(int due, int done) {
        return new ValveWork(due, done, done > 0 ? Optional.of(NOON) : Optional.empty());
    }

    private static VisitOfTests cracked(VisitOfTests v, Remedy remedy, int... pins) {
        for (int p : pins) {
            v.cracks.add(new VisitFacts.Cracked(v.tick(), remedy, false, p));
        }
        return v;
    }

    private static VisitOfTests test(VisitOfTests v, Verdict verdict, boolean begun, String why) {
        v.tests.add(new VisitFacts.Tested(v.tick(), verdict, begun, Message.plain(why)));
        return v;
    }

    private static VisitOfTests waits(VisitOfTests v, int arrived, String... promised) {
        for (String day : promised) {
            v.orders.add(new VisitFacts.Ordered(
                    Operation.INSERT, arrived, day.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(day))));
        }
        return v;
    }

    private static VisitOfTests felt(VisitOfTests v, boolean complete, int handled) {
        v.felt = Optional.of(new VisitFacts.Felt(v.tick(), NOT_PROVEN, complete, handled, 9));
        return v;
    }

    /** The plan with what stands under A, B, C. */
    private static VisitOfTests shimmed(VisitOfTests v, String... mm) {
        VisitFacts.Plan p = v.plan.orElseThrow();
        v.plan = Optional.of(new VisitFacts.Plan(
                p.at(),
                p.surveyRevision(),
                p.total(),
                p.passes(),
                Stream.of(mm).map(Length::ofMm).toList(),
                p.reference()));
        return v;
    }

    static Stream<Arguments> inFull() {
        return Stream.of(
                row(StepKind.CLEAN, "BEGUN passages to brush | Brush the passages and sign", v -> v.blasted()),
                row(
                        StepKind.CRACKS,
                        "BEGUN 2 marked | Finish the crack check",
                        v -> cracked(v.did(Operation.CLEAN), Remedy.LEAVE, 0, 0)),
                row(StepKind.CRACKS, "DUE due | Look for cracks", v -> v.did(Operation.CLEAN)),
                row(StepKind.CRACKS, "DONE 1 marked |", v -> cracked(v.ready(), Remedy.LEAVE, 0)),
                row(
                        StepKind.CRACKS,
                        "BEGUN scrap | Scrap it, or choose otherwise | a crack that nothing mends",
                        v -> v.ready().cracked(Remedy.SCRAP, false)),
                row(
                        StepKind.CRACKS,
                        "DUE owed again | Look for cracks",
                        v -> cracked(v.ready(), Remedy.WELD, 0).did(Operation.WELD)),

                // Repairs.
                row(StepKind.REPAIR, "none", v -> cracked(v.ready(), Remedy.LEAVE, 0)),
                row(
                        StepKind.REPAIR,
                        "DUE stitch with pins | Stitch with pins | 9 pins; a crack to stitch: pins stop the crack"
                                + " at its tips and close it",
                        v -> cracked(v.ready(), Remedy.STITCH, 4, 5)),
                row(
                        StepKind.REPAIR,
                        "DUE stitch with pins | Stitch with pins | a crack to stitch: pins stop the crack at its"
                                + " tips and close it",
                        v -> cracked(v.ready(), Remedy.STITCH, 0)),
                row(
                        StepKind.REPAIR,
                        "DUE weld | Weld | a crack to weld: aluminium is welded by a specialist",
                        v -> cracked(v.ready(), Remedy.WELD, 3)),
                row(
                        StepKind.REPAIR,
                        "DONE done |",
                        v -> cracked(v.ready(), Remedy.WELD, 0).did(Operation.WELD)),
                row(
                        StepKind.REPAIR,
                        "WAITS seat insert | Seat insert",
                        v -> v.ready()
                                .cracked(Remedy.STITCH_AND_INSERT, false)
                                .did(Operation.STITCH)
                                .valves(1, v.todo(1), NONE, NONE)),
                row(
                        StepKind.REPAIR,
                        "DUE seat insert | Seat insert",
                        v -> v.ready().added(Operation.INSERT)),
                row(
                        "valve by valve they have a page of their own",
                        StepKind.REPAIR,
                        "none",
                        v -> valves(v.ready(), 8, true, 1, NONE, some(1, 0))),

                // Pressure.
                row(StepKind.PRESSURE, "DUE due | Pressure test", v -> v.ready().cracked(Remedy.PROVE, false)),
                row(
                        StepKind.PRESSURE,
                        "DUE due | Pressure test",
                        v -> test(v.ready().cracked(Remedy.PROVE, false), NOT_PROVEN, false, "nothing was read")),
                row(
                        StepKind.PRESSURE,
                        "BEGUN holding | Finish the pressure test | five minutes are left",
                        v -> test(v.ready().cracked(Remedy.PROVE, false), NOT_PROVEN, true, "five minutes are left")),
                row(
                        StepKind.PRESSURE,
                        "BEGUN leaks | It leaks: find where | it falls by half a bar",
                        v -> test(v.ready().cracked(Remedy.PROVE, false), OUT, true, "it falls by half a bar")),
                row(
                        "the last test counts",
                        StepKind.PRESSURE,
                        "DONE held |",
                        v -> test(
                                test(v.ready().cracked(Remedy.PROVE, false), OUT, true, "it falls"), WITHIN, true, "")),
                row(
                        StepKind.PRESSURE,
                        "DONE left out, signed |",
                        v -> v.ready().cracked(Remedy.PROVE, false).waived(Operation.PRESSURE_TEST)),

                // Liners and the deck over its crank line.
                row(
                        "a shaft that was set up and not read is not begun",
                        StepKind.LINE,
                        "DUE due | Check the line",
                        v -> {
                            v.lines.add(new VisitFacts.Line("Cam", Optional.empty(), Turns.NOT_PROVEN));
                            return told(v.ready(), VisitFacts.Told.LINES_ASKED);
                        }),
                row(StepKind.LINERS, "none", VisitOfTests::ready),
                row(StepKind.LINERS, "DUE due | Read the liners", v -> told(v.ready(), VisitFacts.Told.HAS_LINERS)),
                row(StepKind.LINERS, "DUE due | Read the liners", v -> liners(v.ready(), NOT_PROVEN)),
                row(StepKind.LINERS, "DONE within |", v -> liners(v.ready(), WITHIN)),
                row(StepKind.LINERS, "WAITS out | Read the liners", v -> liners(v.ready(), OUT)),
                row(
                        "those that stood right before the cut are read again after it",
                        StepKind.LINERS,
                        "WAITS after the cut | Read the liners | after the cut: a deck cut raises a fixed liner by its depth",
                        v -> liners(v.ready(), WITHIN).read(OUT).planned("0.15", 2)),
                row(
                        StepKind.LINERS,
                        "DUE owed again | Read the liners",
                        v -> liners(v.ready(), OUT).did(Operation.LINER_TRIM)),
                row(StepKind.REPAIR, "DUE trim liners | Trim liners", v -> liners(v.ready(), OUT)),
                row(StepKind.REPAIR, "none", v -> liners(v.ready(), WITHIN)),
                row(
                        StepKind.LINERS,
                        "DUE owed again | Read the liners",
                        v -> liners(v.ready().read(WITHIN), WITHIN).pass("0.05").did(Operation.CUT)),
                row(
                        StepKind.INDEX,
                        "DUE due | Read the deck's height",
                        v -> told(v.ready(), VisitFacts.Told.DECK_ASKED)),
                row(StepKind.INDEX, "DONE 0.020 mm to square |", v -> index(v.ready(), true, 0.02)),
                row(
                        "square enough is no cut",
                        StepKind.PLAN,
                        "DONE no cut needed |",
                        v -> index(v.ready().read(WITHIN), true, 0.02)),
                row(
                        "askew is one",
                        StepKind.PLAN,
                        "DUE due | Cut plan",
                        v -> index(v.ready().read(WITHIN), false, 0.09)),

                // Valves.
                row(
                        StepKind.VALVES,
                        "DUE due | Measure the valves",
                        v -> told(v.ready(), VisitFacts.Told.VALVES_ASKED)),
                row(StepKind.VALVES, "DUE due | Measure the valves", v -> valves(v.ready(), 0, false, 0)),
                row(
                        StepKind.VALVES,
                        "BEGUN 3 of 8 | Go on with the valves | 5 not settled yet",
                        v -> valves(v.ready(), 3, true, 1)),
                row(StepKind.VALVES, "DONE all within |", v -> valves(v.ready(), 8, true, 0)),
                row(StepKind.VALVES, "DONE 1 of 8 out |", v -> valves(v.ready(), 8, true, 1)),
                row(StepKind.GUIDES, "none", v -> valves(v.ready(), 8, true, 0)),
                row(
                        StepKind.GUIDES,
                        "DUE 1 guide to do | Repair the guides",
                        v -> valves(v.ready(), 8, true, 1, some(1, 0))),
                row(
                        StepKind.GUIDES,
                        "BEGUN 2 guides to do | Repair the guides",
                        v -> valves(v.ready(), 8, true, 3, some(2, 1))),
                row(StepKind.GUIDES, "DONE 3 done |", v -> valves(v.ready(), 8, true, 3, some(0, 3))),
                row(
                        "what was measured is worked on, not before",
                        StepKind.GUIDES,
                        "WAITS after the valve check | Repair the guides",
                        v -> valves(v.ready(), 3, true, 1, some(1, 0))),
                row(
                        StepKind.INSERTS,
                        "WAITS for parts, Mon | Fit the inserts",
                        v -> waits(valves(v.ready(), 8, true, 1, NONE, some(2, 0)), 0, "2026-03-12", "2026-03-09")),
                row(
                        "of which nobody knows the day",
                        StepKind.INSERTS,
                        "WAITS for parts | Fit the inserts",
                        v -> waits(valves(v.ready(), 8, true, 1, NONE, some(2, 0)), 0, "")),
                row(
                        "the first that is here frees the work",
                        StepKind.INSERTS,
                        "DUE 2 inserts to do | Fit the inserts",
                        v -> waits(
                                waits(valves(v.ready(), 8, true, 1, NONE, some(2, 0)), 0, "2026-03-12"),
                                1,
                                "2026-03-09")),
                row(
                        StepKind.SEATS,
                        "BEGUN 1 seat to do | Make the seats",
                        v -> valves(v.ready(), 8, true, 1, NONE, NONE, some(1, 7))),
                row(
                        StepKind.SEATS,
                        "WAITS after guide work | Make the seats",
                        v -> valves(v.ready(), 8, true, 1, some(1, 0), NONE, some(1, 0))),

                // Chambers.
                row(StepKind.CHAMBERS, "none", VisitOfTests::ready),
                row(
                        StepKind.CHAMBERS,
                        "DUE due | Fill the chambers",
                        v -> told(v.ready(), VisitFacts.Told.CHAMBERS_ASKED)),
                row(StepKind.CHAMBERS, "DUE due | Fill the chambers", v -> chambers(v.ready(), 0, false, "")),
                row(
                        StepKind.CHAMBERS,
                        "BEGUN 1 of 4 | Go on filling the chambers | 3 not settled yet",
                        v -> chambers(v.ready(), 1, true, "52 cc")),
                row(StepKind.CHAMBERS, "DONE 52 cc |", v -> chambers(v.ready(), 4, true, "52 cc")),
                row(
                        StepKind.CHAMBERS,
                        "DUE owed again | Fill the chambers",
                        v -> chambers(v.ready().read(WITHIN), 4, true, "52 cc")
                                .pass("0.05")
                                .did(Operation.CUT)),
                row(
                        "filled; what waits is the filling after the cut",
                        StepKind.CHAMBERS,
                        "DONE 52 cc |",
                        v -> chambers(v.ready(), 4, true, "52 cc").read(OUT).planned("0.10", 2)),

                // Face.
                row(StepKind.FACE, "DUE due | Check the face | nothing is measured yet", VisitOfTests::ready),
                row(
                        StepKind.FACE,
                        "BEGUN 14 of 15 keyed | Finish the face | 1 place to key",
                        v -> v.ready().read(NOT_PROVEN, 14, 15)),
                row(
                        StepKind.FACE,
                        "BEGUN 8 of 15 keyed | Finish the face | 7 places to key",
                        v -> v.ready().read(NOT_PROVEN, 8, 15)),
                row(
                        StepKind.FACE,
                        "BEGUN not proven | Measure more of the face | the middle is not read",
                        v -> v.ready().read(NOT_PROVEN)),
                row(
                        StepKind.FACE,
                        "BEGUN too few places | Measure more of the face | too few places tell nothing",
                        v -> v.ready().read(NOT_PROVEN, 3, 3)),
                row(
                        StepKind.FACE,
                        "BEGUN out, by feelers | Read the face with an indicator | by feelers it is out; the plan"
                                + " needs its shape",
                        v -> v.ready().felt(OUT)),
                row(
                        StepKind.FACE,
                        "BEGUN 4 of 9 felt | Go on with the feelers | not proven yet",
                        v -> felt(v.ready(), false, 4)),
                row(
                        StepKind.FACE,
                        "BEGUN not proven | Go on with the feelers | not proven yet",
                        v -> felt(v.ready(), true, 9)),

                // Plan and cut.
                row(
                        StepKind.PLAN,
                        "DUE due | Plan the cut | 0.090 mm to clean at the least",
                        v -> v.ready().read(OUT)),
                row(StepKind.PLAN, "WAITS after the face | Plan the cut | ", v -> v.ready()),
                row(
                        StepKind.PLAN,
                        "BEGUN face read since | Plan the cut again | the face was read again since the plan",
                        v -> v.ready().read(OUT).planned("0.15", 4).read(OUT)),
                row(
                        StepKind.PLAN,
                        "DUE asked for | Plan the cut | a cut was asked for at the bench",
                        v -> v.ready().read(WITHIN).added(Operation.CUT)),
                row(
                        "asked for, and nothing is read to plan it from",
                        StepKind.PLAN,
                        "WAITS after the face | Plan the cut | ",
                        v -> v.ready().added(Operation.CUT)),
                row(
                        "out and within lie side by side: the face as read decides",
                        StepKind.PLAN,
                        "DUE due | Plan the cut | 0.090 mm to clean at the least",
                        v -> v.ready().felt(WITHIN).read(OUT)),
                row(
                        "felt out, and answered for, is out all the same",
                        StepKind.PLAN,
                        "WAITS after the face | Plan the cut | ",
                        v -> v.ready().felt(OUT).waived(Operation.FACE_CHECK)),
                row(
                        "felt in part, and answered for",
                        StepKind.PLAN,
                        "DONE no cut |",
                        v -> felt(v.ready(), false, 4).waived(Operation.FACE_CHECK)),
                row(
                        "within by feelers and half read is not within",
                        StepKind.PLAN,
                        "WAITS after the face | Plan the cut | 0.040 mm to clean at the least",
                        v -> v.ready().felt(WITHIN).read(NOT_PROVEN, 8, 15)),
                row(
                        StepKind.CUT,
                        "DUE due | Cut: skim and 3 passes | 0.150 mm to go",
                        v -> v.ready().read(OUT).planned("0.15", 4)),
                row(
                        StepKind.CUT,
                        "DUE due | Cut: skim and 1 pass | 0.150 mm to go · shims A 0.100, C 0.020",
                        v -> shimmed(v.ready().read(OUT).planned("0.15", 2), "0.10", "0", "0.02")),
                row(
                        StepKind.CUT,
                        "BEGUN pass 1 of 4 | Cut on: pass 2 of 4 | 0.140 mm to go",
                        v -> v.ready().read(OUT).planned("0.15", 4).pass("0.01")),
                row(
                        "one more than planned",
                        StepKind.CUT,
                        "BEGUN pass 2 of 2 | Cut on: pass 3 of 3 | 0.130 mm to go",
                        v -> v.ready().read(OUT).planned("0.15", 2).pass("0.01").pass("0.01")),
                row(
                        StepKind.CUT,
                        "BEGUN finish pass owed | Cut the finish pass, last of all | 0.020 mm to go, after the work"
                                + " that is done off the face",
                        v -> v.ready().read(OUT).staged("0.13", "0.15", 4).pass("0.13")),
                row(
                        StepKind.CUT,
                        "DONE 0.050 mm off, left there |",
                        v -> v.ready().read(OUT).planned("0.15", 4).pass("0.05").waived(Operation.CUT)),
                row(
                        "nobody answers for a cut that was not begun",
                        StepKind.CUT,
                        "DONE left out, signed |",
                        v -> v.ready().read(OUT).planned("0.15", 4).waived(Operation.CUT)),
                row(
                        StepKind.CUT,
                        "BEGUN 0.010 mm off | Cut on until it is clean | without a plan it is done when you say that it"
                                + " is clean",
                        v -> v.ready().pass("0.01")),
                row(
                        "within by feelers after it",
                        StepKind.CUT,
                        "DONE 0.060 mm off |",
                        v -> v.ready().pass("0.06").provenByFeel(WITHIN)),
                row(
                        "out by feelers after it",
                        StepKind.CUT,
                        "BEGUN 0.060 mm off | Cut on until it is clean",
                        v -> v.ready().pass("0.06").provenByFeel(OUT)),
                row(
                        "felt within, and cut since",
                        StepKind.CUT,
                        "BEGUN 0.080 mm off | Cut on until it is clean",
                        v -> v.ready().pass("0.06").provenByFeel(WITHIN).pass("0.02")),
                row(
                        "read within, and cut since",
                        StepKind.CUT,
                        "BEGUN 0.080 mm off | Cut on until it is clean",
                        v -> v.ready().pass("0.06").proven(WITHIN).pass("0.02")),
                row(
                        "read open says more than felt within",
                        StepKind.CUT,
                        "BEGUN 0.060 mm off | Cut on until it is clean",
                        v -> v.ready().pass("0.06").provenByFeel(WITHIN).proven(NOT_PROVEN)),

                // Proof.
                row(
                        StepKind.PROVE,
                        "DUE due | Read the face again | the cut is not proven until it is measured",
                        v -> v.ready().read(OUT).planned("0.05", 1).pass("0.05")),
                row(
                        StepKind.PROVE,
                        "DUE cut since | Read the face again | metal came off after it was read",
                        v -> v.ready()
                                .read(OUT)
                                .planned("0.05", 1)
                                .pass("0.05")
                                .proven(WITHIN)
                                .pass("0.01")),
                row(
                        StepKind.PROVE,
                        "WAITS cut since | Read the face again | metal came off after it was read",
                        v -> v.ready()
                                .read(OUT)
                                .planned("0.15", 2)
                                .proven(WITHIN)
                                .pass("0.05")),
                row(
                        StepKind.PROVE,
                        "WAITS after the finish pass | Read the face again | what is read between is no proof of the"
                                + " finished face",
                        v -> v.ready().read(OUT).staged("0.13", "0.15", 4).pass("0.13")),
                row(
                        StepKind.PROVE,
                        "BEGUN out by 0.050 mm | Still out: cut again or stop | out by 0.050 mm",
                        v -> v.ready().read(OUT).planned("0.05", 1).pass("0.05").proven(OUT)),
                row(
                        StepKind.PROVE,
                        "BEGUN out, by feelers | Still out: cut again or stop | out by feelers",
                        v -> v.ready().read(OUT).planned("0.05", 1).pass("0.05").provenByFeel(OUT)),
                row(
                        StepKind.PROVE,
                        "BEGUN not proven | Measure more of the cut face | the middle is not read",
                        v -> v.ready().read(OUT).planned("0.05", 1).pass("0.05").proven(NOT_PROVEN)),
                row(StepKind.PROVE, "BEGUN 8 of 15 keyed | Finish the proof | 7 places to key", v -> {
                    v.ready().read(OUT).planned("0.05", 1).pass("0.05");
                    v.proof = Optional.of(v.readFace(WITHIN, 8, 15));
                    return v;
                }),

                // Hand-over.
                row(
                        StepKind.HAND_OVER,
                        "WAITS waits | Hand over | oil and bag it, print the report, tie the tag on",
                        VisitOfTests::ready),
                row(
                        StepKind.HAND_OVER,
                        "DUE due | Hand over | print the report, tie the tag on",
                        v -> v.ready().read(WITHIN).did(Operation.OIL_AND_BAG)));
    }

    @SuppressWarnings("unused") // the name says what the row is about
    private static Arguments row(String name, StepKind step, String expected, UnaryOperator<VisitOfTests> what) {
        return Arguments.of(step, expected, what);
    }

    /** @param expected mark and note, what to do, why; what is not written there is not asked */
    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource
    void inFull(StepKind step, String expected, UnaryOperator<VisitOfTests> what) {
        Optional<Step> found = what.apply(new VisitOfTests()).step(step);
        String full = found.map(s -> s.mark() + " " + English.of(s.note()) + " | " + English.of(s.todo()) + " | "
                        + English.of(s.detail()))
                .orElse("none");
        String[] asked = expected.split("\\|", -1);
        String[] said = full.split("\\|", -1);
        for (int i = 0; i < asked.length; i++) {
            assertEquals(asked[i].strip(), said[i].strip(), full);
        }
        found.ifPresent(StripInFullTest::neverGoodForWhatIsNot);
    }

    /** What is out is not ticked, nor what was left out, left there or never proven. */
    private static void neverGoodForWhatIsNot(Step step) {
        String note = English.of(step.note());
        Step.Found expected = step.mark() == Step.Mark.DONE ? Step.Found.GOOD : Step.Found.NOT_JUDGED;
        if (note.matches("(still )?out( by .*|, by feelers)?|\\d+ of \\d+ out|.*\\b(binds|tight)")) {
            expected = Step.Found.OUT;
        } else if (note.matches("left out, signed|.*not proven.*|no cut|.*left there|\\d+ marked|.*without one")) {
            expected = Step.Found.NOT_JUDGED;
        }
        assertEquals(expected, step.found(), note);
    }

    @Test
    void theNumberOfTheVisitStandsFirst() {
        VisitOfTests v = new VisitOfTests();
        assertEquals("DONE kept", v.on(StepKind.BOOKED));
        VisitFacts first = v.facts();
        VisitFacts third = new VisitFacts(
                3,
                first.opened(),
                first.released(),
                first.told(),
                first.happened(),
                first.carriesShafts(),
                first.face(),
                first.felt(),
                first.proof(),
                first.proofFelt(),
                first.plan(),
                first.passes(),
                first.work(),
                first.cracks(),
                first.tests(),
                first.lines(),
                first.liners(),
                first.index(),
                first.valves(),
                first.chambers(),
                first.orders(),
                first.doubted());
        Step booked = VisitSteps.of(third, new homalon.core.quantity.LengthWriter(homalon.core.quantity.BenchUnit.MM))
                .strip()
                .get(0);
        assertEquals("visit 3", English.of(booked.note()));
    }

    private static String layers(Route route) {
        return route.steps().stream()
                .map(s -> s.operation() + ":" + s.state() + ":" + s.layer())
                .collect(Collectors.joining(" "));
    }

    /** The whole of a small route, as it is drawn. */
    @Test
    void aStitchedHeadFromCleanToGone() {
        VisitOfTests v = cracked(new VisitOfTests().ready(), Remedy.STITCH, 6);
        assertEquals(
                "CLEAN:DONE:0 CRACK_CHECK:DONE:1 FACE_CHECK:DUE:2 STITCH:DUE:2 PRESSURE_TEST:WAITS:3 OIL_AND_BAG:WAITS:4"
                        + " HAND_OVER:WAITS:5",
                layers(v.standing().route()));
    }

    /** Who lifts what stands in the way is told with it. */
    @Test
    void whatStandsAgainstSaysWhoMayLiftIt() {
        Route check = new VisitOfTests().did(Operation.CLEAN).standing().route();
        assertEquals(
                "First crack check: metal off a cracked casting is lost. The owner may leave that out on the route,"
                        + " with a reason.",
                English.of(check.standsAgainst(Operation.CUT).orElseThrow().sentence()));
        Route work = new VisitOfTests()
                .ready()
                .cracked(Remedy.STITCH, true)
                .standing()
                .route();
        assertEquals(
                "First stitch with pins: pins are cut flush with the face. On the route it can be left out, with a"
                        + " reason and a name.",
                English.of(work.standsAgainst(Operation.CUT).orElseThrow().sentence()));
    }

    /** What a check says holds up only what comes after it. */
    @Test
    void betterSaysWhyAndMustIsNoWarning() {
        Route route = new VisitOfTests().did(Operation.CLEAN).standing().route();
        assertEquals(
                List.of("Better crack check first: a crack may scrap it: the readings were for nothing."),
                English.of(route.warnings(Operation.FACE_CHECK)));
        assertEquals(List.of(), English.of(route.warnings(Operation.CRACK_CHECK)));
        List<String> cut = English.of(route.warnings(Operation.CUT));
        assertTrue(cut.stream().noneMatch(w -> w.contains("crack check")), "that is a must: " + cut);
    }

    /** A hand-over waits for all that leads nowhere else. */
    @Test
    void nothingIsDrawnTwice() {
        VisitOfTests v = cracked(new VisitOfTests().ready(), Remedy.STITCH_AND_INSERT, 6);
        Route route = v.read(OUT).planned("0.15", 2).standing().route();
        List<String> drawn = new ArrayList<>();
        for (Route.Before b : route.drawn()) {
            String edge = route.operation(b.from()) + ">" + route.operation(b.to());
            assertTrue(!drawn.contains(edge), edge);
            drawn.add(edge);
        }
        assertTrue(drawn.contains("STITCH>PRESSURE_TEST") && drawn.contains("PRESSURE_TEST>INSERT"), drawn.toString());
        assertTrue(!drawn.contains("STITCH>INSERT"), "the longer way says it");
        assertTrue(!drawn.contains("STITCH>HAND_OVER"), drawn.toString());
        assertTrue(drawn.contains("OIL_AND_BAG>HAND_OVER"), drawn.toString());
    }

    /** Blasted once more, its passages are to be brushed once more. */
    @Test
    void gritIsBrushedOutEachTime() {
        VisitOfTests v = new VisitOfTests().blasted().brushed();
        assertEquals("DONE clean", v.on(StepKind.CLEAN));
        v.blasted();
        assertEquals("BEGUN passages to brush", v.on(StepKind.CLEAN));
        v.brushed();
        assertEquals("DONE clean", v.on(StepKind.CLEAN));
        assertEquals(
                "BEGUN passages to brush",
                new VisitOfTests().brushed().blasted().on(StepKind.CLEAN));
    }

    /** A cut over a repaired place makes the test owed again; over a crack that was left, or one that is not in the face, not. */
    @ParameterizedTest
    @CsvSource({"STITCH, true, DUE owed again", "STITCH, false, DONE held", "LEAVE, true, none"})
    void aCutOverARepair(Remedy remedy, boolean inFace, String pressure) {
        VisitOfTests v = new VisitOfTests().ready().cracked(remedy, inFace);
        if (remedy == Remedy.STITCH) {
            v.did(Operation.STITCH).tested(WITHIN);
        }
        v.read(OUT).planned("0.10", 1).pass("0.10");
        assertEquals(pressure, v.on(StepKind.PRESSURE));
    }

    @Test
    void whatIsOrderedForOtherWorkHoldsNothingUp() {
        VisitOfTests v = valves(new VisitOfTests().ready(), 8, true, 1, NONE, some(1, 0));
        v.ordered(Operation.GUIDE_WORK, 0);
        assertEquals("DUE 1 insert to do", v.on(StepKind.INSERTS));
    }

    /** Left out by signature, none was filled: the filling after the cut is no reason to call it done. */
    @Test
    void chambersThatNobodyFilledAreNotDone() {
        VisitOfTests v = chambers(new VisitOfTests().ready(), 0, true, "").waived(Operation.CHAMBER_FILL);
        v.read(OUT).planned("0.15", 2);
        assertEquals(Step.Mark.WAITS, v.step(StepKind.CHAMBERS).orElseThrow().mark());
    }

    /** Somebody answers for a face that was not read: whatever was read of it and is out still asks for the cut. */
    @ParameterizedTest
    @CsvSource({"false, NOT_PROVEN, true", "false, OUT, false", "true, NOT_PROVEN, true", "true, OUT, false"})
    void aFaceThatIsLeftOut(boolean felt, Verdict verdict, boolean nothingToCut) {
        VisitOfTests v = new VisitOfTests().ready();
        if (felt) {
            v.felt(verdict);
        } else {
            v.read(verdict, 8, 15);
        }
        v.waived(Operation.FACE_CHECK);
        assertEquals(nothingToCut, v.done(StepKind.CUT), () -> v.on(StepKind.CUT));
    }

    /** Blasted and not brushed through, it is not clean for anything that comes after. */
    @Test
    void gritStandsAgainstTheCrackCheck() {
        VisitOfTests v = new VisitOfTests().blasted();
        assertEquals(
                Operation.CLEAN,
                v.standing()
                        .route()
                        .standsAgainst(Operation.CRACK_CHECK)
                        .orElseThrow()
                        .first());
        v.brushed();
        assertTrue(v.standing().route().standsAgainst(Operation.CRACK_CHECK).isEmpty());
    }

    /** Half read it is not checked, unless what was read is out already. */
    @Test
    void aFaceThatIsHalfReadIsNotChecked() {
        assertTrue(new VisitOfTests()
                .ready()
                .read(NOT_PROVEN, 8, 15)
                .standing()
                .route()
                .open(Operation.FACE_CHECK)
                .isPresent());
        assertTrue(new VisitOfTests()
                .ready()
                .read(OUT, 8, 15)
                .standing()
                .route()
                .open(Operation.FACE_CHECK)
                .isEmpty());
    }

    /** A pass on the way to the reference is not the reference. */
    @Test
    void theReferenceCutIsMadeWhenItIsReached() {
        VisitOfTests v =
                new VisitOfTests().ready().read(OUT).staged("0.13", "0.15", 4).pass("0.05");
        assertTrue(v.standing().route().open(Operation.REFERENCE_CUT).isPresent());
        v.pass("0.08");
        assertTrue(v.standing().route().wasDone(Operation.REFERENCE_CUT));
    }

    /** What was said of a cut holds while a pass stands and none came since. */
    @Test
    void whatWasSaidOfACutThatWasTakenBackDoesNotHold() {
        Instant later = NOON.plusSeconds(60);
        assertTrue(new VisitFacts.Passes(Length.ofMm("0.1"), 1, Optional.of(NOON), Optional.of(NOON)).heldSince(later));
        assertTrue(new VisitFacts.Passes(Length.ofMm("0.1"), 1, Optional.of(NOON), Optional.of(NOON)).heldSince(NOON));
        assertFalse(
                new VisitFacts.Passes(Length.ofMm("0.1"), 1, Optional.of(later), Optional.of(later)).heldSince(NOON));
        assertFalse(new VisitFacts.Passes(Length.ZERO, 0, Optional.empty(), Optional.of(NOON)).heldSince(later));
    }

    /** What is due waits for what must come before it, and says for what. */
    @Test
    void aStepThatIsDueWaitsForWhatMustComeFirst() {
        VisitOfTests v = new VisitOfTests().did(Operation.CLEAN).read(OUT).planned("0.15", 2);
        Step cut = v.step(StepKind.CUT).orElseThrow();
        assertEquals(Step.Mark.WAITS, cut.mark());
        assertEquals("First crack check: metal off a cracked casting is lost.", English.of(cut.detail()));
    }

    @Test
    void whatIsGoneIsHandedOver() {
        VisitOfTests v = new VisitOfTests().ready().read(WITHIN).did(Operation.OIL_AND_BAG);
        assertTrue(v.standing().route().open(Operation.HAND_OVER).isPresent());
        v.released = Optional.of(v.tick());
        assertTrue(v.standing().route().open(Operation.HAND_OVER).isEmpty());
        assertTrue(v.standing().route().wasDone(Operation.HAND_OVER));
        assertEquals("DONE gone", v.on(StepKind.HAND_OVER));
    }

    /** A plan for a face that is out adds nothing to what the face asks; one for a face that is within is a cut that was asked for. */
    @Test
    void aPlanIsACutThatWasAskedFor() {
        Route out = new VisitOfTests()
                .ready()
                .read(OUT)
                .planned("0.10", 1)
                .standing()
                .route();
        assertEquals(
                List.of("face out of its limit: the face is out of its limit"),
                English.of(out.open(Operation.CUT).orElseThrow().because()));
        Route within = new VisitOfTests()
                .ready()
                .read(WITHIN)
                .planned("0.10", 1)
                .standing()
                .route();
        assertEquals(
                List.of("asked for at the bench"),
                English.of(within.open(Operation.CUT).orElseThrow().because()));
        assertTrue(within.wasDone(Operation.CUT_PLAN));
    }

    /** Work that is done off the face comes before the finish pass only where there is one that was kept for the last. */
    @Test
    void onlyAStagedCutWaitsForWorkOffTheFace() {
        VisitOfTests v = valves(new VisitOfTests().ready(), 8, true, 1, some(1, 0), NONE, some(1, 0));
        v.read(OUT).planned("0.15", 4);
        assertTrue(English.of(v.standing().route().warnings(Operation.CUT)).stream()
                .noneMatch(w -> w.contains("light finish pass")));
        v.staged("0.13", "0.15", 4).pass("0.13");
        assertEquals(
                2,
                English.of(v.standing().route().warnings(Operation.CUT)).stream()
                        .filter(w -> w.contains("light finish pass"))
                        .count());
    }

    /** The check that a ring will make owed stands beside the one that is due now. */
    @Test
    void aCheckThatIsDueNowIsNotTheOneThatComesAfter() {
        VisitOfTests v = valves(new VisitOfTests().did(Operation.CLEAN), 8, true, 1, NONE, some(1, 0));
        List<Route.Step> checks = v.standing().route().openSteps().stream()
                .filter(s -> s.operation() == Operation.CRACK_CHECK)
                .toList();
        assertEquals(2, checks.size());
        assertEquals(
                1, checks.stream().filter(s -> s.state() == Route.State.DUE).count());
    }

    /** What came while the other was read is older than it: each check counts from its oldest reading. */
    @Test
    void readBeforeTheWorkProvesNothingOfIt() {
        VisitOfTests v = new VisitOfTests().ready().lined("Intake", Turns.FREE);
        v.did(Operation.STRAIGHTEN).lined("Exhaust", Turns.FREE);
        assertEquals("DUE owed again", v.on(StepKind.LINE), "the intake line is older than the press");
        v.lined("Intake", Turns.FREE);
        assertEquals("DONE exhaust free", v.on(StepKind.LINE));
    }
}

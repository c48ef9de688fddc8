package homalon.core.route;

import homalon.core.integrity.Remedy;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Step.Mark;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import homalon.core.words.Message;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A visit to which things happen, one a minute. */
final class VisitOfTests {
    private Instant now = Instant.parse("2026-03-02T07:00:00Z");
    private final Instant opened = now;
    Optional<Instant> released = Optional.empty();
    final Set<VisitFacts.Told> told = EnumSet.noneOf(VisitFacts.Told.class);
    final Set<Happened> happened = EnumSet.noneOf(Happened.class);
    boolean shafts = true;
    Optional<VisitFacts.Face> face = Optional.empty();
    Optional<VisitFacts.Felt> felt = Optional.empty();
    Optional<VisitFacts.Face> proof = Optional.empty();
    Optional<VisitFacts.Felt> proofFelt = Optional.empty();
    Optional<VisitFacts.Plan> plan = Optional.empty();
    VisitFacts.Passes passes = VisitFacts.Passes.NONE;
    final List<VisitFacts.Entry> work = new ArrayList<>();
    final List<VisitFacts.Cracked> cracks = new ArrayList<>();
    final List<VisitFacts.Tested> tests = new ArrayList<>();
    final List<VisitFacts.Line> lines = new ArrayList<>();
    Optional<VisitFacts.Liners> liners = Optional.empty();
    Optional<VisitFacts.Index> index = Optional.empty();
    Optional<VisitFacts.Valves> valves = Optional.empty();
    Optional<VisitFacts.Chambers> chambers = Optional.empty();
    final List<VisitFacts.Ordered> orders = new ArrayList<>();
    final Set<StepKind> doubtedSteps = EnumSet.noneOf(StepKind.class);
    private long revision;

    Instant tick() {
        now = now.plusSeconds(60);
        return now;
    }

    VisitFacts facts() {
        return new VisitFacts(
                1,
                opened,
                released,
                Set.copyOf(told),
                Set.copyOf(happened),
                shafts,
                face,
                felt,
                proof,
                proofFelt,
                reached(),
                passes,
                List.copyOf(work),
                List.copyOf(cracks),
                List.copyOf(tests),
                List.copyOf(lines),
                liners,
                index,
                valves,
                chambers,
                List.copyOf(orders),
                Set.copyOf(doubtedSteps));
    }

    VisitSteps.Standing standing() {
        return VisitSteps.of(facts(), new LengthWriter(BenchUnit.MM));
    }

    Optional<Step> step(StepKind kind) {
        return standing().strip().stream().filter(s -> s.kind() == kind).findFirst();
    }

    /** Its mark and note, as a machinist reads it on the strip; "none" when it is not there. */
    String on(StepKind kind) {
        return step(kind).map(s -> s.mark() + " " + English.of(s.note())).orElse("none");
    }

    boolean done(StepKind kind) {
        return step(kind).filter(s -> s.mark() == Mark.DONE).isPresent();
    }

    VisitOfTests came(Happened... how) {
        happened.addAll(List.of(how));
        return this;
    }

    VisitOfTests withoutShafts() {
        shafts = false;
        return this;
    }

    VisitOfTests did(Operation operation) {
        work.add(new VisitFacts.DidWork(tick(), operation, false));
        return this;
    }

    VisitOfTests blasted() {
        work.add(new VisitFacts.DidWork(tick(), Operation.CLEAN, true));
        return this;
    }

    VisitOfTests brushed() {
        work.add(new VisitFacts.PassagesBrushed(tick()));
        return this;
    }

    VisitOfTests listed(StepKind step, String words) {
        work.add(new VisitFacts.LineListed(tick(), step, words));
        return this;
    }

    VisitOfTests ticked(StepKind step, String words) {
        work.add(new VisitFacts.LineTicked(tick(), step, words));
        return this;
    }

    VisitOfTests added(Operation operation) {
        work.add(new VisitFacts.AddedWork(tick(), operation));
        return this;
    }

    VisitOfTests waived(Operation operation) {
        work.add(new VisitFacts.WaivedWork(tick(), operation, "Marit", "the customer wants it so"));
        return this;
    }

    /** Cleaned and looked over: what comes before anything is measured. */
    VisitOfTests ready() {
        return did(Operation.CLEAN).did(Operation.CRACK_CHECK);
    }

    VisitOfTests read(Verdict verdict, int handled, int asked) {
        face = Optional.of(readFace(verdict, handled, asked));
        return this;
    }

    VisitOfTests read(Verdict verdict) {
        return read(verdict, 15, 15);
    }

    VisitOfTests proven(Verdict verdict) {
        proof = Optional.of(readFace(verdict, 15, 15));
        return this;
    }

    private boolean doubted;

    /** What is read from now on is read with an instrument that is past due. */
    VisitOfTests doubting() {
        doubted = true;
        return this;
    }

    private boolean settled;

    /** What is read from now on is within with what lies between the places, whatever is left of the walk. */
    VisitOfTests settling() {
        settled = true;
        return this;
    }

    VisitFacts.Face readFace(Verdict verdict, int handled, int asked) {
        double over = verdict == Verdict.OUT ? 0.05 : 0;
        return new VisitFacts.Face(
                asked,
                handled,
                tick(),
                handled < 4
                        ? Optional.empty()
                        : Optional.of(new VisitFacts.FaceFound(
                                verdict,
                                over,
                                0.04 + over,
                                Message.plain("hollow lengthwise"),
                                Message.plain("the middle is not read"))),
                settled,
                doubted,
                ++revision);
    }

    VisitOfTests felt(Verdict verdict) {
        felt = Optional.of(new VisitFacts.Felt(tick(), verdict, true, 9, 9));
        return this;
    }

    VisitOfTests provenByFeel(Verdict verdict) {
        proofFelt = Optional.of(new VisitFacts.Felt(tick(), verdict, true, 9, 9));
        return this;
    }

    VisitOfTests planned(String total, int n) {
        return planned(total, n, Optional.empty());
    }

    /** In stages: so much as a reference cut, the rest as the finish pass. */
    VisitOfTests staged(String reference, String total, int n) {
        return planned(total, n, Optional.of(Length.ofMm(reference)));
    }

    private VisitOfTests planned(String total, int n, Optional<Length> reference) {
        plan = Optional.of(new VisitFacts.Plan(
                tick(),
                face.map(VisitFacts.Face::revision).orElse(0L),
                Length.ofMm(total),
                n,
                List.of(),
                reference.map(r -> new VisitFacts.Reference(r, Optional.empty()))));
        return this;
    }

    /** When the passes so far came down to the reference cut. */
    private Optional<VisitFacts.Plan> reached() {
        return plan.map(p -> new VisitFacts.Plan(
                p.at(),
                p.surveyRevision(),
                p.total(),
                p.passes(),
                p.shims(),
                p.reference().map(r -> {
                    Length off = Length.ZERO;
                    for (Pass pass : cut) {
                        off = off.plus(pass.depth());
                        if (off.compareTo(r.depth()) >= 0) {
                            return new VisitFacts.Reference(r.depth(), Optional.of(pass.at()));
                        }
                    }
                    return r;
                })));
    }

    private record Pass(Length depth, Instant at) {}

    private final List<Pass> cut = new ArrayList<>();

    VisitOfTests pass(String depth) {
        cut.add(new Pass(Length.ofMm(depth), tick()));
        return counted(now);
    }

    /** The last pass, if there is one, as keyed wrong. */
    VisitOfTests takenBack() {
        if (!cut.isEmpty()) {
            cut.remove(cut.size() - 1);
            counted(tick());
        }
        return this;
    }

    private VisitOfTests counted(Instant changed) {
        passes = new VisitFacts.Passes(
                cut.stream().map(Pass::depth).reduce(Length.ZERO, Length::plus),
                cut.size(),
                cut.stream().map(Pass::at).reduce((a, b) -> b),
                Optional.of(changed));
        return this;
    }

    VisitOfTests cracked(Remedy remedy, boolean inFace) {
        cracks.add(new VisitFacts.Cracked(tick(), remedy, inFace, 0));
        return this;
    }

    VisitOfTests tested(Verdict verdict) {
        tests.add(new VisitFacts.Tested(tick(), verdict, true, Message.plain("why")));
        return this;
    }

    VisitOfTests lined(Turns turns) {
        return lined("Cam", turns);
    }

    VisitOfTests lined(String shaft, Turns turns) {
        told.add(VisitFacts.Told.LINES_ASKED);
        lines.removeIf(l -> l.name().equals(shaft));
        lines.add(new VisitFacts.Line(shaft, Optional.of(tick()), turns));
        return this;
    }

    /** Set up, not read yet. */
    VisitOfTests toBeLined(String shaft) {
        told.add(VisitFacts.Told.LINES_ASKED);
        lines.add(new VisitFacts.Line(shaft, Optional.empty(), Turns.NOT_PROVEN));
        return this;
    }

    VisitOfTests asked(Finding why) {
        work.add(new VisitFacts.AskedChoice(tick(), why));
        return this;
    }

    VisitOfTests chose(boolean goesOn) {
        work.add(new VisitFacts.ChoseHow(tick(), goesOn, "Brannoc", Message.plain(goesOn ? "go on" : "stop")));
        return this;
    }

    VisitOfTests stiff() {
        work.add(new VisitFacts.TurnedStiff(tick()));
        return this;
    }

    VisitOfTests valves(
            int out, VisitFacts.ValveWork guides, VisitFacts.ValveWork inserts, VisitFacts.ValveWork seats) {
        told.add(VisitFacts.Told.VALVES_ASKED);
        Instant since = opened.plusSeconds(30);
        valves = Optional.of(
                new VisitFacts.Valves(8, 8, out, true, Optional.of(since), guides, inserts, seats, guides.done() > 0));
        return this;
    }

    VisitFacts.ValveWork todo(int n) {
        return new VisitFacts.ValveWork(n, 0, Optional.empty());
    }

    VisitFacts.ValveWork finished(int n) {
        return new VisitFacts.ValveWork(0, n, Optional.of(tick()));
    }

    VisitOfTests ordered(Operation operation, int arrived) {
        orders.add(new VisitFacts.Ordered(operation, arrived, Optional.of(LocalDate.parse("2026-03-06"))));
        return this;
    }
}

package homalon.core.route;

import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Step.Mark;
import homalon.core.verdict.Verdict;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The steps about the face by themselves: read, planned, cut, proven. What stands against them, the route says. */
final class FaceSteps {
    private final VisitFacts facts;
    private final LengthWriter writer;
    private final Length cut;

    FaceSteps(VisitFacts facts, LengthWriter writer) {
        this.facts = facts;
        this.writer = writer;
        this.cut = facts.passes().off();
    }

    /** Ticked because the face is within: owed again, the face says nothing any more. */
    boolean restsOnFace(Step step) {
        boolean after = step.kind() == StepKind.PLAN || step.kind() == StepKind.CUT || step.kind() == StepKind.PROVE;
        return after
                && step.mark() == Mark.DONE
                && cut.signum() == 0
                && facts.plan().isEmpty();
    }

    private boolean flatEnough() {
        boolean felt = facts.face().isEmpty()
                && facts.felt().filter(f -> f.verdict() == Verdict.WITHIN).isPresent();
        boolean read = facts.face().filter(f -> f.is(Verdict.WITHIN)).isPresent();
        return cut.signum() == 0 && !cutAsked() && (felt || read || faceLeftOut());
    }

    /** Finish, taper, valve height, a new casting: a face that is within may be cut all the same. */
    private boolean cutAsked() {
        return facts.work().stream()
                .anyMatch(e -> e instanceof VisitFacts.AddedWork a && a.operation() == Operation.CUT);
    }

    /** Somebody answers for a face that was not read, or not to its end, and nothing read of it is out. */
    private boolean faceLeftOut() {
        boolean out = facts.face().filter(f -> f.verdict() == Verdict.OUT).isPresent()
                || facts.felt().filter(f -> f.verdict() == Verdict.OUT).isPresent();
        return !out
                && facts.work().stream()
                        .anyMatch(e -> e instanceof VisitFacts.WaivedWork w && w.operation() == Operation.FACE_CHECK);
    }

    Step face() {
        StepKind kind = StepKind.FACE;
        if (facts.face().isEmpty()) {
            return facts.felt()
                    .map(f -> felt(
                            kind,
                            f,
                            "Read the face with an indicator",
                            "by feelers it is out; the plan needs its shape"))
                    .orElse(new Step(kind, Mark.DUE, "due", "Check the face", "nothing is measured yet"));
        }
        VisitFacts.Face f = facts.face().get();
        // A survey that was opened and tells nothing yet decided no cut.
        boolean decided =
                f.finding().isPresent() && (cut.signum() > 0 || facts.plan().isPresent());
        if (!f.complete() && !decided) {
            return new Step(kind, Mark.BEGUN, keyed(f), "Finish the face", left(f));
        }
        if (f.verdict() != Verdict.NOT_PROVEN) {
            return new Step(kind, Mark.DONE, said(f), "", "");
        }
        // A cut was decided on what was read; that it is not proven stands beside the tick.
        return decided
                ? Step.done(kind, "not proven, cut")
                : new Step(
                        kind,
                        Mark.BEGUN,
                        said(f),
                        "Measure more of the face",
                        f.finding().map(VisitFacts.FaceFound::next).orElse("too few places tell nothing"));
    }

    private Step felt(StepKind kind, VisitFacts.Felt f, String whenOut, String detail) {
        return switch (f.verdict()) {
            case WITHIN -> Step.done(kind, "within, by feelers");
            case OUT -> new Step(kind, Mark.BEGUN, "out, by feelers", whenOut, detail);
            case NOT_PROVEN ->
                new Step(
                        kind,
                        Mark.BEGUN,
                        f.complete() ? "not proven" : f.handled() + " of " + f.asked() + " felt",
                        "Go on with the feelers",
                        "not proven yet");
        };
    }

    Step plan() {
        StepKind kind = StepKind.PLAN;
        if (facts.plan().isPresent()) {
            VisitFacts.Plan p = facts.plan().get();
            boolean stale = cut.signum() == 0
                    && facts.face()
                            .filter(f -> f.revision() != p.surveyRevision())
                            .isPresent();
            return stale
                    ? new Step(
                            kind,
                            Mark.BEGUN,
                            "face read since",
                            "Plan the cut again",
                            "the face was read again since the plan")
                    : Step.done(kind, writer.number(p.total()) + " in " + p.passes());
        }
        if (flatEnough()) {
            return Step.done(kind, faceLeftOut() ? "no cut" : "no cut needed");
        }
        if (cut.signum() > 0) {
            return Step.done(kind, "cut without one");
        }
        Optional<VisitFacts.FaceFound> found = facts.face().flatMap(VisitFacts.Face::finding);
        if (cutAsked() && found.isPresent()) {
            return new Step(kind, Mark.DUE, "asked for", "Plan the cut", "a cut was asked for at the bench");
        }
        boolean out = found.filter(f -> f.worst() == Verdict.OUT).isPresent()
                || (found.isPresent() && facts.face().get().complete());
        String zone =
                found.map(f -> writer.full(f.zone()) + " to clean at the least").orElse("");
        return new Step(kind, out ? Mark.DUE : Mark.WAITS, out ? "due" : "after the face", "Plan the cut", zone);
    }

    Step cut() {
        StepKind kind = StepKind.CUT;
        if (facts.plan().isEmpty() && cut.signum() == 0) {
            return flatEnough() ? Step.done(kind, "none") : new Step(kind, Mark.WAITS, "after the plan", "Cut", "");
        }
        if (facts.stopped()) {
            return Step.done(kind, writer.number(cut) + " off, clean");
        }
        if (facts.cutLeftThere()) {
            return Step.done(kind, writer.number(cut) + " off, left there");
        }
        if (facts.plan().isEmpty()) {
            return provenWithin()
                    ? Step.done(kind, writer.number(cut) + " off")
                    : new Step(
                            kind,
                            Mark.BEGUN,
                            writer.number(cut) + " off",
                            "Cut on until it is clean",
                            "without a plan it is done when you say that it is clean");
        }
        Length total = facts.plan().map(VisitFacts.Plan::total).orElse(Length.ZERO);
        if (cut.compareTo(total) >= 0) {
            return Step.done(kind, writer.number(cut) + " off");
        }
        if (downToReference()) {
            return new Step(
                    kind,
                    Mark.BEGUN,
                    "finish pass owed",
                    "Cut the finish pass, last of all",
                    writer.full(total.minus(cut)) + " to go, after the work that is done off the face");
        }
        return passes(kind, total);
    }

    /** Which pass of the plan comes next. */
    private Step passes(StepKind kind, Length total) {
        int planned = facts.plan().map(VisitFacts.Plan::passes).orElse(0);
        int made = facts.passes().number();
        String shims = shims();
        String detail = writer.full(total.minus(cut)) + " to go" + (shims.isEmpty() ? "" : " · shims " + shims);
        String todo = made == 0
                ? "Cut: skim and " + (planned - 1) + (planned == 2 ? " pass" : " passes")
                : "Cut on: pass " + (made + 1) + " of " + Math.max(planned, made + 1);
        String note = made == 0 ? "due" : "pass " + made + " of " + planned;
        return new Step(kind, made == 0 ? Mark.DUE : Mark.BEGUN, note, todo, detail);
    }

    private boolean downToReference() {
        return facts.plan()
                .flatMap(VisitFacts.Plan::reference)
                .filter(r -> cut.compareTo(r.depth()) >= 0)
                .isPresent();
    }

    private String shims() {
        List<Length> shims = facts.plan().map(VisitFacts.Plan::shims).orElse(List.of());
        List<String> words = new ArrayList<>();
        for (int j = 0; j < shims.size(); j++) {
            if (shims.get(j).signum() > 0) {
                words.add((char) ('A' + j) + " " + writer.number(shims.get(j)));
            }
        }
        return String.join(", ", words);
    }

    private boolean provenWithin() {
        Optional<Instant> last = facts.passes().last();
        boolean read = facts.proof()
                .filter(f -> f.is(Verdict.WITHIN))
                .filter(f -> last.filter(at -> at.isAfter(f.oldest())).isEmpty())
                .isPresent();
        return read
                || (facts.proof().isEmpty()
                        && facts.proofFelt()
                                .filter(f -> f.verdict() == Verdict.WITHIN)
                                .filter(f ->
                                        last.filter(at -> at.isAfter(f.begun())).isEmpty())
                                .isPresent());
    }

    /** Proven by <em>within</em> alone, read after the last pass. */
    Step proof() {
        StepKind kind = StepKind.PROVE;
        if (flatEnough() && facts.plan().isEmpty()) {
            return Step.done(kind, faceLeftOut() ? "left out, signed" : "face within");
        }
        boolean cutDone = cut().mark() == Mark.DONE;
        if (!cutDone && downToReference()) {
            return new Step(
                    kind,
                    Mark.WAITS,
                    "after the finish pass",
                    "Read the face again",
                    "what is read between is no proof of the finished face");
        }
        Optional<Instant> read = facts.proof()
                .map(VisitFacts.Face::oldest)
                .or(() -> facts.proofFelt().map(VisitFacts.Felt::begun));
        boolean cutSince = read.isPresent()
                && facts.passes().last().filter(at -> at.isAfter(read.get())).isPresent();
        if (read.isEmpty() || cutSince) {
            String waits = cutDone ? "due" : "after the cut";
            return new Step(
                    kind,
                    cutDone ? Mark.DUE : Mark.WAITS,
                    cutSince ? "cut since" : waits,
                    "Read the face again",
                    cutSince ? "metal came off after it was read" : "the cut is not proven until it is measured");
        }
        if (facts.proof().isEmpty()) {
            return felt(kind, facts.proofFelt().get(), "Still out: cut again or stop", "out by feelers");
        }
        return proven(kind, facts.proof().get());
    }

    private Step proven(StepKind kind, VisitFacts.Face f) {
        if (!f.complete()) {
            return new Step(kind, Mark.BEGUN, keyed(f), "Finish the proof", left(f));
        }
        return switch (f.verdict()) {
            case WITHIN -> Step.done(kind, said(f));
            case OUT -> new Step(kind, Mark.BEGUN, said(f), "Still out: cut again or stop", said(f));
            case NOT_PROVEN ->
                new Step(
                        kind,
                        Mark.BEGUN,
                        said(f),
                        "Measure more of the cut face",
                        f.finding().map(VisitFacts.FaceFound::next).orElse("too few places tell nothing"));
        };
    }

    private static String keyed(VisitFacts.Face f) {
        return f.handled() + " of " + f.asked() + " keyed";
    }

    private static String left(VisitFacts.Face f) {
        int left = f.asked() - f.handled();
        return left + (left == 1 ? " place" : " places") + " to key";
    }

    private String said(VisitFacts.Face f) {
        return f.finding()
                .map(found -> switch (found.worst()) {
                    case WITHIN -> "within";
                    case NOT_PROVEN -> "not proven";
                    case OUT -> "out by " + writer.number(found.over());
                })
                .orElse("too few places");
    }
}

package homalon.core.route;

import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Step.Found;
import homalon.core.route.Step.Mark;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
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
                            Message.of("route.read-the-face-with-an-indicator"),
                            Message.of("route.by-feelers-it-is-out-the-plan-needs-its")))
                    .orElse(new Step(
                            kind,
                            Mark.DUE,
                            Message.of("route.due"),
                            Message.of("route.check-the-face"),
                            Message.of("route.nothing-is-measured-yet")));
        }
        VisitFacts.Face f = facts.face().get();
        // A survey that was opened and tells nothing yet decided no cut.
        boolean decided =
                f.finding().isPresent() && (cut.signum() > 0 || facts.plan().isPresent());
        if (!f.complete() && !decided) {
            return new Step(kind, Mark.BEGUN, keyed(f), Message.of("route.finish-the-face"), left(f));
        }
        if (f.verdict() != Verdict.NOT_PROVEN) {
            return Step.done(kind, said(f), f.verdict() == Verdict.OUT ? Found.OUT : Found.GOOD);
        }
        // A cut was decided on what was read; that it is not proven stands beside the tick.
        return decided
                ? Step.done(kind, Message.of("route.not-proven-cut"), Found.NOT_JUDGED)
                : new Step(
                        kind,
                        Mark.BEGUN,
                        said(f),
                        Message.of("route.measure-more-of-the-face"),
                        f.finding()
                                .map(VisitFacts.FaceFound::next)
                                .orElse(Message.of("route.too-few-places-tell-nothing")));
    }

    private Step felt(StepKind kind, VisitFacts.Felt f, Message whenOut, Message detail) {
        return switch (f.verdict()) {
            case WITHIN -> Step.done(kind, Message.of("route.within-by-feelers"));
            case OUT -> new Step(kind, Mark.BEGUN, Message.of("route.out-by-feelers"), whenOut, detail, Found.OUT);
            case NOT_PROVEN ->
                new Step(
                        kind,
                        Mark.BEGUN,
                        f.complete()
                                ? Message.of("route.not-proven")
                                : Message.of("route.of-felt", f.handled(), f.asked()),
                        Message.of("route.go-on-with-the-feelers"),
                        Message.of("route.not-proven-yet"));
        };
    }

    private Step planned(VisitFacts.Plan p) {
        boolean stale = cut.signum() == 0
                && facts.face().filter(f -> f.revision() != p.surveyRevision()).isPresent();
        return stale
                ? new Step(
                        StepKind.PLAN,
                        Mark.BEGUN,
                        Message.of("route.face-read-since"),
                        Message.of("route.plan-the-cut-again"),
                        Message.of("route.the-face-was-read-again-since-the-plan"))
                : Step.done(StepKind.PLAN, Message.of("route.in", writer.full(p.total()), p.passes()));
    }

    Step plan() {
        StepKind kind = StepKind.PLAN;
        if (facts.plan().isPresent()) {
            return planned(facts.plan().get());
        }
        if (flatEnough()) {
            return faceLeftOut()
                    ? Step.done(kind, Message.of("route.no-cut"), Found.NOT_JUDGED)
                    : Step.done(kind, Message.of("route.no-cut-needed"));
        }
        if (cut.signum() > 0) {
            return Step.done(kind, Message.of("route.cut-without-one"), Found.NOT_JUDGED);
        }
        Optional<VisitFacts.FaceFound> found = facts.face().flatMap(VisitFacts.Face::finding);
        if (cutAsked() && found.isPresent()) {
            return new Step(
                    kind,
                    Mark.DUE,
                    Message.of("route.asked-for"),
                    Message.of("route.plan-the-cut"),
                    Message.of("route.a-cut-was-asked-for-at-the-bench"));
        }
        boolean out = found.filter(f -> f.worst() == Verdict.OUT).isPresent()
                || (found.isPresent() && facts.face().get().complete());
        Message zone = found.map(f -> Message.of("route.to-clean-at-the-least", writer.full(f.zone())))
                .orElse(Message.NONE);
        return new Step(
                kind,
                out ? Mark.DUE : Mark.WAITS,
                out ? Message.of("route.due") : Message.of("route.after-the-face"),
                Message.of("route.plan-the-cut"),
                zone);
    }

    Step cut() {
        StepKind kind = StepKind.CUT;
        if (facts.plan().isEmpty() && cut.signum() == 0) {
            return flatEnough()
                    ? Step.done(kind, Message.of("route.none"))
                    : new Step(
                            kind,
                            Mark.WAITS,
                            Message.of("route.after-the-plan"),
                            Message.of("route.cut"),
                            Message.NONE);
        }
        if (facts.stopped()) {
            return Step.done(kind, Message.of("route.off-clean", writer.full(cut)));
        }
        if (facts.cutLeftThere()) {
            return Step.done(kind, Message.of("route.off-left-there", writer.full(cut)), Found.NOT_JUDGED);
        }
        if (facts.plan().isEmpty()) {
            return provenWithin()
                    ? Step.done(kind, Message.of("route.off", writer.full(cut)))
                    : new Step(
                            kind,
                            Mark.BEGUN,
                            Message.of("route.off", writer.full(cut)),
                            Message.of("route.cut-on-until-it-is-clean"),
                            Message.of("route.without-a-plan-it-is-done-when-you-say"));
        }
        Length total = facts.plan().map(VisitFacts.Plan::total).orElse(Length.ZERO);
        if (cut.compareTo(total) >= 0) {
            return Step.done(kind, Message.of("route.off", writer.full(cut)));
        }
        if (downToReference()) {
            return new Step(
                    kind,
                    Mark.BEGUN,
                    Message.of("route.finish-pass-owed"),
                    Message.of("route.cut-the-finish-pass-last-of-all"),
                    Message.of("route.to-go-after-the-work-that-is-done-off", writer.full(total.minus(cut))));
        }
        return passes(kind, total);
    }

    /** Which pass of the plan comes next. */
    private Step passes(StepKind kind, Length total) {
        int planned = facts.plan().map(VisitFacts.Plan::passes).orElse(0);
        int made = facts.passes().number();
        String shims = shims();
        Message detail = Message.of(
                "route.to-go",
                writer.full(total.minus(cut)),
                shims.isEmpty() ? Message.NONE : Message.of("route.shims", shims));
        Message todo = made == 0
                ? Message.of(
                        "route.cut-skim-and",
                        planned - 1,
                        planned == 2 ? Message.of("route.pass") : Message.of("route.passes"))
                : Message.of("route.cut-on-pass-of", made + 1, Math.max(planned, made + 1));
        Message note = made == 0 ? Message.of("route.due") : Message.of("route.pass-of", made, planned);
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
            return Step.done(
                    kind,
                    faceLeftOut() ? Message.of("route.left-out-signed") : Message.of("route.face-within"),
                    faceLeftOut() ? Found.NOT_JUDGED : Found.GOOD);
        }
        boolean cutDone = cut().mark() == Mark.DONE;
        if (!cutDone && downToReference()) {
            return new Step(
                    kind,
                    Mark.WAITS,
                    Message.of("route.after-the-finish-pass"),
                    Message.of("route.read-the-face-again"),
                    Message.of("route.what-is-read-between-is-no-proof-of-the"));
        }
        Optional<Instant> read = facts.proof()
                .map(VisitFacts.Face::oldest)
                .or(() -> facts.proofFelt().map(VisitFacts.Felt::begun));
        boolean cutSince = read.isPresent()
                && facts.passes().last().filter(at -> at.isAfter(read.get())).isPresent();
        if (read.isEmpty() || cutSince) {
            Message waits = cutDone ? Message.of("route.due") : Message.of("route.after-the-cut");
            return new Step(
                    kind,
                    cutDone ? Mark.DUE : Mark.WAITS,
                    cutSince ? Message.of("route.cut-since") : waits,
                    Message.of("route.read-the-face-again"),
                    cutSince
                            ? Message.of("route.metal-came-off-after-it-was-read")
                            : Message.of("route.the-cut-is-not-proven-until-it-is"));
        }
        if (facts.proof().isEmpty()) {
            return felt(
                    kind,
                    facts.proofFelt().get(),
                    Message.of("route.still-out-cut-again-or-stop"),
                    Message.of("route.the-feelers-find-it-out"));
        }
        return proven(kind, facts.proof().get());
    }

    private Step proven(StepKind kind, VisitFacts.Face f) {
        if (!f.complete()) {
            return new Step(kind, Mark.BEGUN, keyed(f), Message.of("route.finish-the-proof"), left(f));
        }
        return switch (f.verdict()) {
            case WITHIN -> Step.done(kind, said(f));
            case OUT ->
                new Step(
                        kind, Mark.BEGUN, said(f), Message.of("route.still-out-cut-again-or-stop"), said(f), Found.OUT);
            case NOT_PROVEN ->
                new Step(
                        kind,
                        Mark.BEGUN,
                        said(f),
                        Message.of("route.measure-more-of-the-cut-face"),
                        f.finding()
                                .map(VisitFacts.FaceFound::next)
                                .orElse(Message.of("route.too-few-places-tell-nothing")));
        };
    }

    private static Message keyed(VisitFacts.Face f) {
        return Message.of("route.of-keyed", f.handled(), f.asked());
    }

    private static Message left(VisitFacts.Face f) {
        int left = f.asked() - f.handled();
        return Message.of("route.to-key", left, left == 1 ? Message.of("route.place") : Message.of("route.places"));
    }

    private Message said(VisitFacts.Face f) {
        Message found = found(f);
        return f.doubted() ? Message.of("route.with-an-instrument-in-doubt", found) : found;
    }

    private Message found(VisitFacts.Face f) {
        return f.finding()
                .map(found -> switch (found.worst()) {
                    case WITHIN -> Message.of("route.within");
                    case NOT_PROVEN -> Message.of("route.not-proven");
                    case OUT -> Message.of("route.out-by", writer.full(found.over()));
                })
                .orElse(Message.of("route.too-few-places"));
    }
}

package homalon.core.route;

import homalon.core.integrity.Remedy;
import homalon.core.integrity.SmallCheck;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Step.Mark;
import homalon.core.verdict.Verdict;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Where a visit stands: the strip of its steps and its route, a pure function of its facts. What is ticked is borne out by them:
 * a face or a proof by a verdict, a check by its readings, work by what was said to be done.
 */
public final class VisitSteps {
    /** Work that has no page of its own: it is ticked on the route's. */
    public static final Set<Operation> REPAIRS = Set.copyOf(EnumSet.of(
            Operation.STITCH,
            Operation.WELD,
            Operation.SLEEVE,
            Operation.INSERT,
            Operation.STRAIGHTEN,
            Operation.LINE_BORE,
            Operation.LINER_TRIM,
            Operation.TORQUE));

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE", Locale.ENGLISH);

    private static final List<Turns> WORST_FIRST = List.of(Turns.BINDS, Turns.TIGHT, Turns.NOT_PROVEN, Turns.FREE);

    private final VisitFacts facts;
    private final LengthWriter writer;
    private final Length cut;
    private Route route;

    /**
     * Where a visit stands.
     *
     * @param strip its steps in the order of the work
     * @param route what is owed and what comes before what
     */
    public record Standing(List<Step> strip, Route route) {}

    private VisitSteps(VisitFacts facts, LengthWriter writer) {
        this.facts = facts;
        this.writer = writer;
        this.cut = facts.passes().off();
    }

    public static Standing of(VisitFacts facts, LengthWriter writer) {
        return of(facts, writer, Route::of);
    }

    /** @param grow the route of events; the same for the same ones, so that it may be kept */
    public static Standing of(VisitFacts facts, LengthWriter writer, Function<List<Event>, Route> grow) {
        return new VisitSteps(facts, writer).standing(grow);
    }

    private Standing standing(Function<List<Event>, Route> grow) {
        Map<StepKind, Step> own = new EnumMap<>(StepKind.class);
        own.put(StepKind.BOOKED, Step.done(StepKind.BOOKED, facts.number() == 1 ? "kept" : "visit " + facts.number()));
        own.put(StepKind.FACE, face());
        own.put(StepKind.PLAN, plan());
        own.put(StepKind.CUT, cut());
        own.put(StepKind.PROVE, proof());
        Map<StepKind, Mark> marks = new EnumMap<>(StepKind.class);
        own.forEach((kind, step) -> marks.put(kind, step.mark()));
        route = grow.apply(VisitEvents.of(facts, marks));
        List<Step> strip = new ArrayList<>();
        for (StepKind kind : StepKind.values()) {
            Optional.ofNullable(own.get(kind))
                    .map(this::held)
                    .or(() -> beside(kind))
                    .ifPresent(strip::add);
        }
        boolean ready = strip.stream().allMatch(s -> s.mark() == Mark.DONE);
        strip.add(handOver(ready, route.open(Operation.OIL_AND_BAG).isPresent()));
        return new Standing(List.copyOf(strip), route);
    }

    /** A step that was done and is owed again, or that must wait for another. */
    private Step held(Step step) {
        Operation operation = step.kind().operation().orElse(null);
        if (operation == null) {
            return step;
        }
        Optional<Route.Step> open = route.open(operation);
        if (restsOnFace(step) && route.open(Operation.FACE_CHECK).isPresent()) {
            return new Step(step.kind(), Mark.WAITS, "after the face", capital(operation.words()), "");
        }
        if (step.mark() == Mark.DONE && open.isPresent()) {
            boolean due = open.get().state() == Route.State.DUE;
            boolean again = done(operation);
            return new Step(
                    step.kind(),
                    due ? Mark.DUE : Mark.WAITS,
                    again ? "owed again" : due ? "due" : "waits",
                    capital(operation.words()),
                    first(open.get().because()));
        }
        if (open.isEmpty() && step.mark() != Mark.DONE && waived(operation)) {
            return Step.done(step.kind(), "left out, signed");
        }
        if (step.mark() == Mark.DUE && route.refusal(operation).isPresent()) {
            return new Step(
                    step.kind(),
                    Mark.WAITS,
                    "waits",
                    step.todo(),
                    route.refusal(operation).get());
        }
        return step;
    }

    /** Ticked because the face is within; owed again, the face says nothing any more. */
    private boolean restsOnFace(Step step) {
        boolean after = step.kind() == StepKind.PLAN || step.kind() == StepKind.CUT || step.kind() == StepKind.PROVE;
        return after
                && step.mark() == Mark.DONE
                && cut.signum() == 0
                && facts.plan().isEmpty();
    }

    private boolean done(Operation operation) {
        return route.steps().stream().anyMatch(s -> s.operation() == operation && s.state() == Route.State.DONE);
    }

    private boolean waived(Operation operation) {
        return route.steps().stream()
                .filter(s -> s.operation() == operation)
                .reduce((a, b) -> b)
                .filter(s -> s.state() == Route.State.WAIVED)
                .isPresent();
    }

    private static String first(List<String> because) {
        return because.isEmpty() ? "" : because.get(0);
    }

    // ---- face, plan, cut, proof ----

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

    private Step face() {
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
        boolean decided = cut.signum() > 0 || facts.plan().isPresent();
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

    private Step plan() {
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
                || found.isPresent() && facts.face().get().complete();
        String zone =
                found.map(f -> writer.full(f.zone()) + " to clean at the least").orElse("");
        return new Step(kind, out ? Mark.DUE : Mark.WAITS, out ? "due" : "after the face", "Plan the cut", zone);
    }

    private Step cut() {
        StepKind kind = StepKind.CUT;
        if (facts.plan().isEmpty() && cut.signum() == 0) {
            return flatEnough() ? Step.done(kind, "none") : new Step(kind, Mark.WAITS, "after the plan", "Cut", "");
        }
        if (facts.stopped()) {
            return Step.done(kind, writer.number(cut) + " off, clean");
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
                || facts.proof().isEmpty()
                        && facts.proofFelt()
                                .filter(f -> f.verdict() == Verdict.WITHIN)
                                .filter(f ->
                                        last.filter(at -> at.isAfter(f.begun())).isEmpty())
                                .isPresent();
    }

    /** Proven by <em>within</em> alone, read after the last pass. */
    private Step proof() {
        StepKind kind = StepKind.PROVE;
        if (flatEnough() && facts.plan().isEmpty()) {
            return Step.done(kind, faceLeftOut() ? "left out, signed" : "face within");
        }
        boolean cutDone = cut().mark() == Mark.DONE;
        Optional<Instant> read = facts.proof()
                .map(VisitFacts.Face::oldest)
                .or(() -> facts.proofFelt().map(VisitFacts.Felt::begun));
        if (read.isEmpty()) {
            return new Step(
                    kind,
                    cutDone ? Mark.DUE : Mark.WAITS,
                    cutDone ? "due" : "after the cut",
                    "Read the face again",
                    "the cut is not proven until it is measured");
        }
        boolean cutSince =
                facts.passes().last().filter(at -> at.isAfter(read.get())).isPresent();
        if (cutSince) {
            return new Step(
                    kind,
                    cutDone ? Mark.DUE : Mark.WAITS,
                    "cut since",
                    "Read the face again",
                    "metal came off after it was read");
        }
        if (facts.proof().isEmpty()) {
            return felt(kind, facts.proofFelt().get(), "Still out: cut again or stop", "out by feelers");
        }
        VisitFacts.Face f = facts.proof().get();
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

    private Step handOver(boolean ready, boolean bare) {
        if (facts.released().isPresent()) {
            return Step.done(StepKind.HAND_OVER, "gone");
        }
        return new Step(
                StepKind.HAND_OVER,
                ready ? Mark.DUE : Mark.WAITS,
                ready ? "due" : "waits",
                "Hand over",
                bare ? "oil and bag it, print the report, tie the tag on" : "print the report, tie the tag on");
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

    // ---- before and beside the face ----

    /** Empty for a step that this visit does not have. */
    private Optional<Step> beside(StepKind kind) {
        return switch (kind) {
            case CLEAN -> Optional.of(clean());
            case CRACKS -> Optional.of(cracks());
            case REPAIR -> repair();
            case PRESSURE -> concerns(Operation.PRESSURE_TEST) ? Optional.of(pressure()) : Optional.empty();
            case LINE -> concerns(Operation.LINE_CHECK) ? Optional.of(line()) : Optional.empty();
            case LINERS -> concerns(Operation.LINER_CHECK) ? Optional.of(liners()) : Optional.empty();
            case INDEX -> concerns(Operation.DECK_INDEX) ? Optional.of(index()) : Optional.empty();
            case VALVES ->
                facts.valves()
                        .map(this::valves)
                        .or(() -> concerns(Operation.VALVE_CHECK)
                                ? Optional.of(of(kind, Operation.VALVE_CHECK, "", "Measure the valves"))
                                : Optional.empty());
            case CHAMBERS -> concerns(Operation.CHAMBER_FILL) ? Optional.of(chambers()) : Optional.empty();
            case GUIDES -> facts.valves().flatMap(v -> work(kind, v.guides(), "guide", "Mend the guides"));
            case INSERTS -> facts.valves().flatMap(v -> work(kind, v.inserts(), "insert", "Fit the inserts"));
            case SEATS -> facts.valves().flatMap(v -> work(kind, v.seats(), "seat", "Make the seats"));
            case BOOKED, FACE, PLAN, CUT, PROVE, HAND_OVER -> Optional.empty();
        };
    }

    private boolean concerns(Operation operation) {
        return route.steps().stream().anyMatch(s -> s.operation() == operation);
    }

    /** Done, waived, due or waiting as the route has it, with what is said where nothing better is known. */
    private Step of(StepKind kind, Operation operation, String done, String todo) {
        Optional<Route.Step> open = route.open(operation);
        if (open.isEmpty()) {
            return Step.done(kind, waived(operation) ? "left out, signed" : done);
        }
        String because = first(open.get().because());
        if (open.get().state() == Route.State.WAITS) {
            String after = route.comesBefore(open.get()).stream()
                    .findFirst()
                    .map(b -> "after " + operation(b.from()).words())
                    .orElse("waits");
            return new Step(kind, Mark.WAITS, after, todo, because);
        }
        String note = done(operation) ? "owed again" : "due";
        return parts(operation)
                .map(p -> new Step(kind, Mark.WAITS, p, todo, because))
                .orElseGet(() -> new Step(kind, Mark.DUE, note, todo, because));
    }

    /** Nothing of what was ordered for a piece of work is here yet; the first that arrives frees it. */
    private Optional<String> parts(Operation operation) {
        List<VisitFacts.Ordered> ordered = facts.ordered(operation);
        boolean here = ordered.isEmpty() || ordered.stream().anyMatch(o -> o.arrived() > 0);
        return here
                ? Optional.empty()
                : Optional.of("for parts"
                        + ordered.stream()
                                .flatMap(o -> o.promised().stream())
                                .min(Comparator.naturalOrder())
                                .map(d -> ", " + DAY.format(d))
                                .orElse(""));
    }

    private Operation operation(int id) {
        return route.steps().stream()
                .filter(s -> s.id() == id)
                .findFirst()
                .orElseThrow()
                .operation();
    }

    private Step clean() {
        return facts.gritLeft()
                ? new Step(
                        StepKind.CLEAN,
                        Mark.BEGUN,
                        "passages to brush",
                        "Brush the passages and sign",
                        SmallCheck.PASSAGES_BRUSHED.because())
                : of(StepKind.CLEAN, Operation.CLEAN, "clean", "Clean it");
    }

    private Step cracks() {
        int n = facts.cracks().size();
        String found = n == 0 ? "none found" : n == 1 ? "1 marked" : n + " marked";
        if (facts.cracks().stream().anyMatch(c -> c.remedy() == Remedy.SCRAP)) {
            return new Step(
                    StepKind.CRACKS,
                    Mark.BEGUN,
                    "scrap",
                    "Scrap it, or choose otherwise",
                    "a crack that nothing mends");
        }
        Step step = of(StepKind.CRACKS, Operation.CRACK_CHECK, found, "Look for cracks");
        return n > 0 && step.mark() == Mark.DUE && !done(Operation.CRACK_CHECK)
                ? new Step(StepKind.CRACKS, Mark.BEGUN, found, "Finish the crack check", step.detail())
                : step;
    }

    private Optional<Step> repair() {
        List<Route.Step> work = new ArrayList<>();
        boolean any = false;
        for (Route.Step s : route.steps()) {
            boolean ownPage = s.operation() == Operation.INSERT && insertsOfValves();
            boolean repair = REPAIRS.contains(s.operation()) && !ownPage;
            any |= repair;
            if (repair && (s.state() == Route.State.DUE || s.state() == Route.State.WAITS)) {
                work.add(s);
            }
        }
        if (work.isEmpty()) {
            return any ? Optional.of(Step.done(StepKind.REPAIR, "done")) : Optional.empty();
        }
        Optional<Route.Step> due =
                work.stream().filter(s -> s.state() == Route.State.DUE).findFirst();
        Route.Step next = due.orElse(work.get(0));
        String words = next.operation().words();
        return Optional.of(
                new Step(StepKind.REPAIR, due.isPresent() ? Mark.DUE : Mark.WAITS, words, capital(words), pins(next)));
    }

    /** Inserts that were chosen valve by valve have a page of their own. */
    private boolean insertsOfValves() {
        return facts.valves().filter(v -> v.inserts().any()).isPresent();
    }

    private String pins(Route.Step next) {
        String because = first(next.because());
        int pins = facts.cracks().stream().mapToInt(VisitFacts.Cracked::pins).sum();
        return next.operation() != Operation.STITCH || pins == 0 ? because : pins + " pins; " + because;
    }

    private Step pressure() {
        Step step = of(StepKind.PRESSURE, Operation.PRESSURE_TEST, "held", "Pressure test");
        if (step.mark() == Mark.DONE || facts.tests().isEmpty()) {
            return step;
        }
        VisitFacts.Tested last = facts.tests().get(facts.tests().size() - 1);
        if (last.verdict() == Verdict.OUT) {
            return new Step(StepKind.PRESSURE, Mark.BEGUN, "leaks", "It leaks: find where", last.why());
        }
        return last.verdict() == Verdict.NOT_PROVEN && last.begun()
                ? new Step(StepKind.PRESSURE, Mark.BEGUN, "holding", "Finish the pressure test", last.why())
                : step;
    }

    /** The worst of all shafts; named where there are several. */
    private Step line() {
        List<VisitFacts.Line> worst = facts.lines().stream()
                .sorted(Comparator.comparing(l -> WORST_FIRST.indexOf(l.turns())))
                .toList();
        boolean read = worst.stream().anyMatch(l -> l.oldest().isPresent());
        String said = !read
                ? ""
                : (worst.size() > 1 ? worst.get(0).name().toLowerCase(Locale.ROOT) + " " : "")
                        + switch (worst.get(0).turns()) {
                            case FREE -> "free";
                            case TIGHT -> "tight";
                            case BINDS -> "binds";
                            case NOT_PROVEN -> "not proven";
                        };
        Step step = of(StepKind.LINE, Operation.LINE_CHECK, said, "Check the line");
        if (step.mark() == Mark.WAITS && read) {
            return new Step(step.kind(), step.mark(), said, step.todo(), step.detail());
        }
        return step.mark() == Mark.DUE && read && !done(Operation.LINE_CHECK)
                ? new Step(StepKind.LINE, Mark.BEGUN, said, "Finish the line", step.detail())
                : step;
    }

    private Step liners() {
        String said = facts.liners()
                .map(l -> switch (l.verdict()) {
                    case OUT -> "out";
                    case WITHIN -> "within";
                    case NOT_PROVEN -> "not proven";
                })
                .orElse("read");
        return of(StepKind.LINERS, Operation.LINER_CHECK, said, "Read the liners");
    }

    private Step index() {
        String said = facts.index()
                .map(i -> writer.number(i.toSquare()) + " to square")
                .orElse("read");
        return of(StepKind.INDEX, Operation.DECK_INDEX, said, "Read the deck's height");
    }

    private Step valves(VisitFacts.Valves v) {
        String said = v.out() == 0 ? "all within" : v.out() + " of " + v.count() + " out";
        Step step = of(StepKind.VALVES, Operation.VALVE_CHECK, said, "Measure the valves");
        boolean begun = step.mark() == Mark.DUE && v.begun() && !v.complete();
        return begun
                ? new Step(
                        StepKind.VALVES,
                        Mark.BEGUN,
                        v.settled() + " of " + v.count(),
                        "Go on with the valves",
                        (v.count() - v.settled()) + " not settled yet")
                : step;
    }

    private Step chambers() {
        String said = facts.chambers().map(VisitFacts.Chambers::said).orElse("");
        Step step = of(StepKind.CHAMBERS, Operation.CHAMBER_FILL, said, "Fill the chambers");
        if (step.mark() == Mark.WAITS
                && facts.chambers().filter(c -> !c.filled().isEmpty()).isPresent()) {
            // Filled already; what waits is the filling after the cut.
            return Step.done(StepKind.CHAMBERS, said);
        }
        return facts.chambers()
                .filter(c -> step.mark() == Mark.DUE && c.begun() && c.settled() < c.count())
                .map(c -> new Step(
                        StepKind.CHAMBERS,
                        Mark.BEGUN,
                        c.settled() + " of " + c.count(),
                        "Go on filling the chambers",
                        (c.count() - c.settled()) + " not settled yet"))
                .orElse(step);
    }

    /** Work that is done valve by valve. */
    private Optional<Step> work(StepKind kind, VisitFacts.ValveWork work, String one, String todo) {
        Operation operation = kind.operation().orElseThrow();
        if (!work.any() && !concerns(operation)) {
            return Optional.empty();
        }
        Step step = of(kind, operation, work.done() + " done", todo);
        if (step.mark() != Mark.DUE || work.due() == 0) {
            return Optional.of(step);
        }
        String left = work.due() + " " + one + (work.due() == 1 ? "" : "s") + " to do";
        return Optional.of(new Step(kind, work.done() > 0 ? Mark.BEGUN : Mark.DUE, left, todo, step.detail()));
    }

    static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}

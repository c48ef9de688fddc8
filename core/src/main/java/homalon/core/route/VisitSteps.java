package homalon.core.route;

import homalon.core.quantity.LengthWriter;
import homalon.core.route.Step.Mark;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
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

    private final VisitFacts facts;
    private final FaceSteps face;
    private final Route route;
    private final BesideSteps beside;
    /** Those about the face, taken by themselves. */
    private final Map<StepKind, Step> own = new EnumMap<>(StepKind.class);

    /**
     * Where a visit stands.
     *
     * @param strip its steps in the order of the work
     * @param route what is owed and what comes before what
     * @param toTick lines of the shop's own that nobody ticked and that are ticked before it leaves
     * @param counted how many guides, inserts, seats and cracks the work on them is about, done or not; none for what nobody has looked at
     */
    public record Standing(List<Step> strip, Route route, List<String> toTick, Map<Operation, Integer> counted) {}

    private VisitSteps(VisitFacts facts, LengthWriter writer, Function<List<Event>, Route> grow) {
        this.facts = facts;
        this.face = new FaceSteps(facts, writer);
        for (Step step : List.of(face.face(), face.plan(), face.cut(), face.proof())) {
            own.put(step.kind(), step);
        }
        Map<StepKind, Mark> marks = new EnumMap<>(StepKind.class);
        own.forEach((kind, step) -> marks.put(kind, step.mark()));
        this.route = grow.apply(VisitEvents.of(facts, marks));
        this.beside = new BesideSteps(facts, route, writer);
    }

    public static Standing of(VisitFacts facts, LengthWriter writer) {
        return of(facts, writer, Route::of);
    }

    /** @param grow the route of events; the same for the same ones, so that it may be kept */
    public static Standing of(VisitFacts facts, LengthWriter writer, Function<List<Event>, Route> grow) {
        return new VisitSteps(facts, writer, grow).standing();
    }

    private Standing standing() {
        List<Step> strip = new ArrayList<>();
        strip.add(Step.done(
                StepKind.BOOKED,
                facts.number() == 1 ? Message.of("route.kept") : Message.of("route.visit", facts.number())));
        for (StepKind kind : StepKind.values()) {
            Optional.ofNullable(own.get(kind))
                    .map(this::held)
                    .or(() -> beside.step(kind))
                    .map(s -> facts.doubted().contains(kind) ? s.doubted() : s)
                    .ifPresent(strip::add);
        }
        boolean ready = strip.stream().allMatch(s -> s.mark() == Mark.DONE);
        List<String> toTick = facts.toTick(StepKind.HAND_OVER);
        strip.add(handOver(ready, route.open(Operation.OIL_AND_BAG).isPresent(), toTick));
        return new Standing(List.copyOf(strip), route, toTick, facts.counted());
    }

    /** A step that was done and is owed again, or that must wait for another. */
    private Step held(Step step) {
        Operation operation = step.kind().operation().orElseThrow();
        Optional<Route.Step> open = route.open(operation);
        if (route.isStopped() && step.mark() != Mark.DONE) {
            return Step.done(step.kind(), Message.of("route.left-out-signed"), Step.Found.NOT_JUDGED);
        }
        if (face.restsOnFace(step) && route.open(Operation.FACE_CHECK).isPresent()) {
            return new Step(
                    step.kind(),
                    Mark.WAITS,
                    Message.of("route.after-the-face"),
                    capital(operation.words()),
                    Message.NONE);
        }
        if (step.mark() == Mark.DONE && open.isPresent()) {
            boolean due = open.get().state() == Route.State.DUE;
            boolean again = route.wasDone(operation);
            return new Step(
                    step.kind(),
                    due ? Mark.DUE : Mark.WAITS,
                    again ? Message.of("route.owed-again") : due ? Message.of("route.due") : Message.of("route.waits"),
                    capital(operation.words()),
                    first(open.get().because()));
        }
        if (open.isEmpty() && step.mark() != Mark.DONE && route.isWaived(operation)) {
            return Step.done(step.kind(), Message.of("route.left-out-signed"), Step.Found.NOT_JUDGED);
        }
        if (step.mark() == Mark.DUE && route.refusal(operation).isPresent()) {
            return new Step(
                    step.kind(),
                    Mark.WAITS,
                    Message.of("route.waits"),
                    step.todo(),
                    route.refusal(operation).get());
        }
        return step;
    }

    private Step handOver(boolean ready, boolean bare, List<String> toTick) {
        if (facts.released().isPresent()) {
            return Step.done(StepKind.HAND_OVER, Message.of("route.gone"));
        }
        return new Step(
                StepKind.HAND_OVER,
                ready ? Mark.DUE : Mark.WAITS,
                !ready
                        ? Message.of("route.waits")
                        : toTick.isEmpty() ? Message.of("route.due") : BesideSteps.toTick(toTick.size()),
                Message.of("route.hand-over"),
                bare
                        ? Message.of("route.oil-and-bag-it-print-the-report-tie-the")
                        : Message.of("route.print-the-report-tie-the-tag-on"));
    }

    static Message first(List<Message> because) {
        return because.isEmpty() ? Message.NONE : because.get(0);
    }

    static Message capital(Message words) {
        return Message.capital(words);
    }
}

package homalon.core.route;

import homalon.core.integrity.Remedy;
import homalon.core.integrity.SmallCheck;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Step.Mark;
import homalon.core.verdict.Verdict;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The steps before and beside the face, as the route has them: cleaning, cracks, repairs, pressure, lines, valves, chambers. */
final class BesideSteps {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE", Locale.ENGLISH);

    private final VisitFacts facts;
    private final Route route;
    private final LengthWriter writer;

    BesideSteps(VisitFacts facts, Route route, LengthWriter writer) {
        this.facts = facts;
        this.route = route;
        this.writer = writer;
    }

    /** Empty for a step that this visit does not have. */
    Optional<Step> step(StepKind kind) {
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
            return Step.done(kind, route.isWaived(operation) ? "left out, signed" : done);
        }
        String because = VisitSteps.first(open.get().because());
        if (open.get().state() == Route.State.WAITS) {
            String after = route.comesBefore(open.get()).stream()
                    .findFirst()
                    .map(b -> "after " + route.operation(b.from()).words())
                    .orElse("waits");
            return new Step(kind, Mark.WAITS, after, todo, because);
        }
        String note = route.wasDone(operation) ? "owed again" : "due";
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
        return n > 0 && step.mark() == Mark.DUE && !route.wasDone(Operation.CRACK_CHECK)
                ? new Step(StepKind.CRACKS, Mark.BEGUN, found, "Finish the crack check", step.detail())
                : step;
    }

    private Optional<Step> repair() {
        List<Route.Step> work = new ArrayList<>();
        boolean any = false;
        for (Route.Step s : route.steps()) {
            boolean ownPage = s.operation() == Operation.INSERT && insertsOfValves();
            boolean repair = VisitSteps.REPAIRS.contains(s.operation()) && !ownPage;
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
        return Optional.of(new Step(
                StepKind.REPAIR,
                due.isPresent() ? Mark.DUE : Mark.WAITS,
                words,
                VisitSteps.capital(words),
                pins(next)));
    }

    /** Inserts that were chosen valve by valve have a page of their own. */
    private boolean insertsOfValves() {
        return facts.valves().filter(v -> v.inserts().any()).isPresent();
    }

    private String pins(Route.Step next) {
        String because = VisitSteps.first(next.because());
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
                .sorted(Comparator.comparing(l -> Turns.WORST_FIRST.indexOf(l.turns())))
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
        return step.mark() == Mark.DUE && read && !route.wasDone(Operation.LINE_CHECK)
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
        Step step = of(StepKind.LINERS, Operation.LINER_CHECK, said, "Read the liners");
        boolean out = facts.liners().filter(l -> l.verdict() == Verdict.OUT).isPresent();
        return step.mark() == Mark.WAITS && out
                ? new Step(step.kind(), step.mark(), said, step.todo(), step.detail())
                : step;
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
}

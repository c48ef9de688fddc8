package homalon.core.route;

import homalon.core.integrity.Remedy;
import homalon.core.integrity.SmallCheck;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Step.Found;
import homalon.core.route.Step.Mark;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
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
            case CHOICE ->
                concerns(Operation.CHOICE)
                        ? Optional.of(of(kind, Operation.CHOICE, facts.chosen(), Message.of("route.ask-the-customer")))
                        : Optional.empty();
            case VALVES ->
                facts.valves()
                        .map(this::valves)
                        .or(() -> concerns(Operation.VALVE_CHECK)
                                ? Optional.of(of(
                                        kind,
                                        Operation.VALVE_CHECK,
                                        Message.NONE,
                                        Message.of("route.measure-the-valves")))
                                : Optional.empty());
            case CHAMBERS -> concerns(Operation.CHAMBER_FILL) ? Optional.of(chambers()) : Optional.empty();
            case GUIDES ->
                facts.valves().flatMap(v -> work(kind, v.guides(), "guide", Message.of("route.mend-the-guides")));
            case INSERTS ->
                facts.valves().flatMap(v -> work(kind, v.inserts(), "insert", Message.of("route.fit-the-inserts")));
            case SEATS ->
                facts.valves().flatMap(v -> work(kind, v.seats(), "seat", Message.of("route.make-the-seats")));
            case BOOKED, FACE, PLAN, CUT, PROVE, HAND_OVER -> Optional.empty();
        };
    }

    private boolean concerns(Operation operation) {
        return route.steps().stream().anyMatch(s -> s.operation() == operation);
    }

    /** Done, waived, due or waiting as the route has it, with what is said where nothing better is known. */
    private Step of(StepKind kind, Operation operation, Message done, Message todo) {
        Optional<Route.Step> open = route.open(operation);
        if (open.isEmpty()) {
            return route.isWaived(operation)
                    ? Step.done(kind, Message.of("route.left-out-signed"), Found.NOT_JUDGED)
                    : Step.done(kind, done);
        }
        Message because = VisitSteps.first(open.get().because());
        if (open.get().state() == Route.State.WAITS) {
            Message after = route.comesBefore(open.get()).stream()
                    .findFirst()
                    .map(b -> route.operation(b.from()).after())
                    .orElse(Message.of("route.waits"));
            return new Step(kind, Mark.WAITS, after, todo, because);
        }
        Message note = route.wasDone(operation) ? Message.of("route.owed-again") : Message.of("route.due");
        return parts(operation)
                .map(p -> new Step(kind, Mark.WAITS, p, todo, because))
                .orElseGet(() -> new Step(kind, Mark.DUE, note, todo, because));
    }

    /** Nothing of what was ordered for a piece of work is here yet; the first that arrives frees it. */
    private Optional<Message> parts(Operation operation) {
        List<VisitFacts.Ordered> ordered = facts.ordered(operation);
        boolean here = ordered.isEmpty() || ordered.stream().anyMatch(o -> o.arrived() > 0);
        return here
                ? Optional.empty()
                : Optional.of(Message.of(
                        "route.for-parts",
                        ordered.stream()
                                .flatMap(o -> o.promised().stream())
                                .min(Comparator.naturalOrder())
                                .map(d -> ", " + DAY.format(d))
                                .orElse("")));
    }

    /** {@code 2 lines to tick}. */
    static Message toTick(int lines) {
        return lines == 1 ? Message.of("route.one-line-to-tick") : Message.of("route.lines-to-tick", lines);
    }

    private Step clean() {
        Step step = cleaned();
        List<String> toTick = facts.toTick(StepKind.CLEAN);
        return step.mark() == Mark.DONE && !toTick.isEmpty()
                ? new Step(
                        StepKind.CLEAN,
                        Mark.BEGUN,
                        toTick(toTick.size()),
                        Message.of("route.tick-what-is-left-at-the-cleaning"),
                        Message.plain(toTick.get(0)))
                : step;
    }

    private Step cleaned() {
        return facts.gritLeft()
                ? new Step(
                        StepKind.CLEAN,
                        Mark.BEGUN,
                        Message.of("route.passages-to-brush"),
                        Message.of("route.brush-the-passages-and-sign"),
                        SmallCheck.PASSAGES_BRUSHED.because())
                : of(StepKind.CLEAN, Operation.CLEAN, Message.of("route.clean"), Message.of("route.clean-it"));
    }

    private Step cracks() {
        int n = facts.cracks().size();
        Message found = n == 0
                ? Message.of("route.none-found")
                : n == 1 ? Message.of("route.1-marked") : Message.of("route.marked", n);
        boolean scrap = facts.cracks().stream().anyMatch(c -> c.remedy() == Remedy.SCRAP);
        if (scrap && route.isStopped()) {
            return Step.done(StepKind.CRACKS, Message.of("route.scrap"), Found.OUT);
        }
        if (scrap) {
            return new Step(
                    StepKind.CRACKS,
                    Mark.BEGUN,
                    Message.of("route.scrap"),
                    Message.of("route.scrap-it-or-choose-otherwise"),
                    Message.of("route.a-crack-that-nothing-mends"));
        }
        Step step = of(StepKind.CRACKS, Operation.CRACK_CHECK, found, Message.of("route.look-for-cracks"));
        return n > 0 && step.mark() == Mark.DUE && !route.wasDone(Operation.CRACK_CHECK)
                ? new Step(
                        StepKind.CRACKS, Mark.BEGUN, found, Message.of("route.finish-the-crack-check"), step.detail())
                : n > 0 && good(step) ? step.found(Found.NOT_JUDGED) : step;
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
            return any ? Optional.of(Step.done(StepKind.REPAIR, Message.of("route.done"))) : Optional.empty();
        }
        Optional<Route.Step> due =
                work.stream().filter(s -> s.state() == Route.State.DUE).findFirst();
        Route.Step next = due.orElse(work.get(0));
        Message words = next.operation().words();
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

    private Message pins(Route.Step next) {
        Message because = VisitSteps.first(next.because());
        int pins = facts.cracks().stream().mapToInt(VisitFacts.Cracked::pins).sum();
        return next.operation() != Operation.STITCH || pins == 0 ? because : Message.of("route.pins", pins, because);
    }

    private Step pressure() {
        Step step = of(
                StepKind.PRESSURE,
                Operation.PRESSURE_TEST,
                Message.of("route.held"),
                Message.of("route.pressure-test"));
        if (step.mark() == Mark.DONE || facts.tests().isEmpty()) {
            return step;
        }
        VisitFacts.Tested last = facts.tests().get(facts.tests().size() - 1);
        if (last.verdict() == Verdict.OUT) {
            return new Step(
                    StepKind.PRESSURE,
                    Mark.BEGUN,
                    Message.of("route.leaks"),
                    Message.of("route.it-leaks-find-where"),
                    last.why());
        }
        return last.verdict() == Verdict.NOT_PROVEN && last.begun()
                ? new Step(
                        StepKind.PRESSURE,
                        Mark.BEGUN,
                        Message.of("route.holding"),
                        Message.of("route.finish-the-pressure-test"),
                        last.why())
                : step;
    }

    private static Message turns(VisitFacts.Line line, boolean several) {
        return Message.sentences(
                several ? Message.plain(line.name().toLowerCase(Locale.ROOT)) : Message.NONE,
                switch (line.turns()) {
                    case FREE -> Message.of("route.free");
                    case TIGHT -> Message.of("route.tight");
                    case BINDS -> Message.of("route.binds");
                    case NOT_PROVEN -> Message.of("route.not-proven");
                });
    }

    /** The worst of all shafts; named where there are several. */
    private Step line() {
        List<VisitFacts.Line> worst = facts.lines().stream()
                .sorted(Comparator.comparing(l -> Turns.WORST_FIRST.indexOf(l.turns())))
                .toList();
        boolean read = worst.stream().anyMatch(l -> l.oldest().isPresent());
        Message said = read ? turns(worst.get(0), worst.size() > 1) : Message.NONE;
        Step step = of(StepKind.LINE, Operation.LINE_CHECK, said, Message.of("route.check-the-line"));
        if (step.mark() == Mark.WAITS && read) {
            return new Step(step.kind(), step.mark(), said, step.todo(), step.detail());
        }
        return step.mark() == Mark.DUE && read && !route.wasDone(Operation.LINE_CHECK)
                ? new Step(StepKind.LINE, Mark.BEGUN, said, Message.of("route.finish-the-line"), step.detail())
                : read && good(step) ? step.found(found(worst.get(0).turns())) : step;
    }

    private static Found found(Turns turns) {
        return switch (turns) {
            case FREE -> Found.GOOD;
            case TIGHT, BINDS -> Found.OUT;
            case NOT_PROVEN -> Found.NOT_JUDGED;
        };
    }

    private Step liners() {
        Message said = facts.liners()
                .map(l -> switch (l.verdict()) {
                    case OUT -> Message.of("route.out");
                    case WITHIN -> Message.of("route.within");
                    case NOT_PROVEN -> Message.of("route.not-proven");
                })
                .orElse(Message.of("route.read"));
        Step step = of(StepKind.LINERS, Operation.LINER_CHECK, said, Message.of("route.read-the-liners"));
        boolean out = facts.liners().filter(l -> l.verdict() == Verdict.OUT).isPresent();
        if (step.mark() == Mark.WAITS && out) {
            return new Step(step.kind(), step.mark(), said, step.todo(), step.detail(), Found.OUT);
        }
        return out && good(step) ? step.found(Found.OUT) : step;
    }

    /** It is done and was not left out, so that what was found is told of it. */
    private static boolean good(Step step) {
        return step.mark() == Mark.DONE && step.found() == Found.GOOD;
    }

    private Step index() {
        Message said = facts.index()
                .map(i -> Message.of("route.to-square", writer.full(i.toSquare())))
                .orElse(Message.of("route.read"));
        return of(StepKind.INDEX, Operation.DECK_INDEX, said, Message.of("route.read-the-decks-height"));
    }

    private Step valves(VisitFacts.Valves v) {
        Message said = v.out() == 0 ? Message.of("route.all-within") : Message.of("route.of-out", v.out(), v.count());
        Step step = of(StepKind.VALVES, Operation.VALVE_CHECK, said, Message.of("route.measure-the-valves"));
        boolean begun = step.mark() == Mark.DUE && v.begun() && !v.complete();
        return begun
                ? new Step(
                        StepKind.VALVES,
                        Mark.BEGUN,
                        Message.of("route.of", v.settled(), v.count()),
                        Message.of("route.go-on-with-the-valves"),
                        Message.of("route.not-settled-yet", v.count() - v.settled()))
                : v.out() > 0 && good(step) ? step.found(Found.OUT) : step;
    }

    private Step chambers() {
        Message said = facts.chambers().map(VisitFacts.Chambers::said).orElse(Message.NONE);
        Step step = of(StepKind.CHAMBERS, Operation.CHAMBER_FILL, said, Message.of("route.fill-the-chambers"));
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
                        Message.of("route.of", c.settled(), c.count()),
                        Message.of("route.go-on-filling-the-chambers"),
                        Message.of("route.not-settled-yet", c.count() - c.settled())))
                .orElse(step);
    }

    /** Work that is done valve by valve. */
    private Optional<Step> work(StepKind kind, VisitFacts.ValveWork work, String one, Message todo) {
        Operation operation = kind.operation().orElseThrow();
        if (!work.any() && !concerns(operation)) {
            return Optional.empty();
        }
        Step step = of(kind, operation, Message.of("route.so-many-done", work.done()), todo);
        if (step.mark() != Mark.DUE || work.due() == 0) {
            return Optional.of(step);
        }
        Message left = work.due() == 1
                ? Message.of("route.one-to-do", one)
                : Message.of("route.several-to-do", work.due(), one);
        return Optional.of(new Step(kind, work.done() > 0 ? Mark.BEGUN : Mark.DUE, left, todo, step.detail()));
    }
}

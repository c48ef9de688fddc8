package homalon.app.route;

import homalon.app.chambers.ChamberFindings;
import homalon.app.integrity.TestFile;
import homalon.app.lines.LineFinding;
import homalon.app.lines.SheetFindings;
import homalon.app.part.Step;
import homalon.app.part.Step.Mark;
import homalon.app.part.StepKind;
import homalon.app.sheets.Sheet;
import homalon.app.sheets.SheetFile;
import homalon.app.stock.Orders;
import homalon.app.valves.ValveFindings;
import homalon.core.integrity.Remedy;
import homalon.core.integrity.SmallCheck;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.verdict.Verdict;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** The steps before and beside the face: cleaning, cracks, repairs, pressure, lines. */
final class WholeSteps {
    /** Work that has no page of its own: it is ticked on the route's. */
    static final Set<Operation> REPAIRS = EnumSet.of(
            Operation.STITCH,
            Operation.WELD,
            Operation.SLEEVE,
            Operation.INSERT,
            Operation.STRAIGHTEN,
            Operation.LINER_TRIM,
            Operation.TORQUE);

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE", Locale.ENGLISH);

    private final Facts facts;
    private final Route route;
    private final SheetFindings sheets;
    private final LengthWriter writer;

    WholeSteps(Facts facts, Route route, SheetFindings sheets, LengthWriter writer) {
        this.facts = facts;
        this.route = route;
        this.sheets = sheets;
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
            default -> Optional.empty();
        };
    }

    private Step valves(ValveFindings.Standing v) {
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
        String said = facts.chambers().map(ChamberFindings.Standing::said).orElse("");
        Step step = of(StepKind.CHAMBERS, Operation.CHAMBER_FILL, said, "Fill the chambers");
        if (step.mark() == Mark.WAITS
                && facts.chambers().filter(c -> !c.filled().isEmpty()).isPresent()) {
            // Filled already; what waits is the filling after the cut.
            return new Step(StepKind.CHAMBERS, Mark.DONE, said, "", "");
        }
        Optional<ChamberFindings.Standing> begun =
                facts.chambers().filter(c -> step.mark() == Mark.DUE && c.begun() && c.settled() < c.count());
        return begun.map(c -> new Step(
                        StepKind.CHAMBERS,
                        Mark.BEGUN,
                        c.settled() + " of " + c.count(),
                        "Go on filling the chambers",
                        (c.count() - c.settled()) + " not settled yet"))
                .orElse(step);
    }

    /** Work that is done valve by valve. */
    private Optional<Step> work(StepKind kind, ValveFindings.Work work, String one, String todo) {
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

    private boolean concerns(Operation operation) {
        return route.steps().stream().anyMatch(s -> s.operation() == operation);
    }

    /** Done, waived, due or waiting as the route has it, with what is said where nothing better is known. */
    private Step of(StepKind kind, Operation operation, String done, String todo) {
        Optional<Route.Step> open = route.open(operation);
        if (open.isEmpty()) {
            boolean waived = route.steps().stream()
                    .filter(s -> s.operation() == operation)
                    .reduce((a, b) -> b)
                    .filter(s -> s.state() == Route.State.WAIVED)
                    .isPresent();
            return new Step(kind, Mark.DONE, waived ? "left out, signed" : done, "", "");
        }
        String because =
                open.get().because().isEmpty() ? "" : open.get().because().get(0);
        boolean again =
                route.steps().stream().anyMatch(s -> s.operation() == operation && s.state() == Route.State.DONE);
        boolean waits = open.get().state() == Route.State.WAITS;
        String note = waits
                ? route.inTheWay(operation).stream()
                        .findFirst()
                        .map(b -> "after " + operation(b.from()).words())
                        .orElse("waits")
                : again ? "owed again" : "due";
        return waits
                ? new Step(kind, Mark.WAITS, note, todo, because)
                : parts(operation)
                        .map(p -> new Step(kind, Mark.WAITS, p, todo, because))
                        .orElseGet(() -> new Step(kind, Mark.DUE, note, todo, because));
    }

    /** Nothing of what was ordered for a piece of work is here yet; the first that arrives frees it. */
    private Optional<String> parts(Operation operation) {
        List<Orders.Order> ordered = facts.ordered(operation);
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
        return n > 0 && step.mark() == Mark.DUE && !step.note().equals("owed again")
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
            return any ? Optional.of(new Step(StepKind.REPAIR, Mark.DONE, "done", "", "")) : Optional.empty();
        }
        Optional<Route.Step> due =
                work.stream().filter(s -> s.state() == Route.State.DUE).findFirst();
        Route.Step next = due.orElse(work.get(0));
        String words = capital(next.operation().words());
        String because = next.because().isEmpty() ? "" : next.because().get(0);
        return Optional.of(new Step(
                StepKind.REPAIR,
                due.isPresent() ? Mark.DUE : Mark.WAITS,
                next.operation().words(),
                words,
                pins(next, because)));
    }

    /** Inserts that were chosen valve by valve have a page of their own. */
    private boolean insertsOfValves() {
        return facts.valves().filter(v -> v.inserts().any()).isPresent();
    }

    private String pins(Route.Step next, String because) {
        if (next.operation() != Operation.STITCH) {
            return because;
        }
        int pins = facts.cracks().stream()
                .flatMap(c -> c.stitch().stream())
                .mapToInt(s -> s.pins())
                .sum();
        return pins == 0 ? because : pins + " pins; " + because;
    }

    private Step pressure() {
        Step step = of(StepKind.PRESSURE, Operation.PRESSURE_TEST, "held", "Pressure test");
        if (step.mark() == Mark.DONE || facts.tests().isEmpty()) {
            return step;
        }
        TestFile last = facts.tests().get(facts.tests().size() - 1);
        Verdict verdict = last.decay().verdict();
        if (verdict == Verdict.OUT) {
            return new Step(
                    StepKind.PRESSURE,
                    Mark.BEGUN,
                    "leaks",
                    "It leaks: find where",
                    last.decay().why());
        }
        boolean running = verdict == Verdict.NOT_PROVEN && !last.readings().isEmpty();
        return running
                ? new Step(
                        StepKind.PRESSURE,
                        Mark.BEGUN,
                        "holding",
                        "Finish the pressure test",
                        last.decay().why())
                : step;
    }

    private Step line() {
        SheetFile sheet = facts.sheets().get(Sheet.LINE);
        Optional<LineFinding> finding = sheet == null ? Optional.empty() : LineFinding.of(sheet);
        String said = finding.map(f -> switch (f.verdict()) {
                    case FREE -> "free";
                    case TIGHT -> "tight";
                    case BINDS -> "binds";
                    case NOT_PROVEN -> "not proven";
                })
                .orElse("");
        Step step = of(StepKind.LINE, Operation.LINE_CHECK, said, "Check the line");
        boolean begun = step.mark() == Mark.DUE
                && sheet != null
                && !sheet.standing().isEmpty()
                && !step.note().equals("owed again");
        return begun
                ? new Step(StepKind.LINE, Mark.BEGUN, said.isEmpty() ? "begun" : said, "Finish the line", step.detail())
                : step;
    }

    private Step liners() {
        var liners = sheets.liners(facts.part(), facts.sheets().get(Sheet.LINERS));
        String said =
                liners.map(l -> l.verdict() == Verdict.OUT ? "out" : "within").orElse("read");
        return of(StepKind.LINERS, Operation.LINER_CHECK, said, "Read the liners");
    }

    private Step index() {
        String said = sheets.index(facts.part(), facts.sheets().get(Sheet.INDEX))
                .map(i -> writer.number(i.toSquare()) + " to square")
                .orElse("read");
        return of(StepKind.INDEX, Operation.DECK_INDEX, said, "Read the deck's height");
    }

    static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}

package homalon.app.outcome.route;

import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.casting.part.StepPages;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.drawing.RouteDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.Shell;
import homalon.core.input.BadInputException;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.route.RouteRules;
import homalon.core.route.StepKind;
import homalon.core.route.Strength;
import homalon.core.route.VisitSteps;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The route of a part: what is done, due and to come, why, and who answers for what is left out. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class RouteController {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);
    /** What may be asked for beyond what was found. */
    private static final Set<Operation> EXTRA = EnumSet.of(
            Operation.PRESSURE_TEST,
            Operation.FACE_CHECK,
            Operation.CUT,
            Operation.PROOF,
            Operation.LINE_BORE,
            Operation.VALVE_CHECK,
            Operation.LINE_CHECK,
            Operation.DECK_INDEX,
            Operation.LINER_CHECK,
            Operation.STRAIGHTEN,
            Operation.TORQUE,
            Operation.CRACK_CHECK,
            Operation.CLEAN);

    private final Parts parts;
    private final PartShells shells;
    private final WorkLog work;
    private final People people;
    private final Journal journal;
    private final OneRead reading;

    /** A step of the route as the page shows it. */
    record Shown(
            int id,
            Operation operation,
            String words,
            String style,
            String state,
            List<String> because,
            List<String> first,
            List<String> better,
            boolean ticked,
            String path,
            String caution) {}

    /** A line of the log. */
    record Logged(UUID id, String words, String by) {}

    @GetMapping("/parts/{tag}/route")
    String page(@PathVariable String tag, Shell shell, Model model) {
        return reading.of(() -> {
            show(parts.byTag(tag), shell, model);
            return "route/route";
        });
    }

    private void show(PartFile part, Shell shell, Model model) {
        Route route = shells.standing(part, shell.writer()).route();
        Map<UUID, String> names = people.names();
        model.addAttribute("track", RouteDrawing.svg(route));
        model.addAttribute(
                "steps",
                route.openSteps().stream().map(s -> shown(part, route, s)).toList());
        List<Logged> log = new ArrayList<>();
        for (WorkEntry e : work.of(part)) {
            if (e.kind() != WorkEntry.Kind.TICKED || e.what().equals(Finding.TURNS_STIFF.name())) {
                log.add(new Logged(
                        e.id(),
                        said(e),
                        names.getOrDefault(e.by(), "someone") + ", "
                                + WHEN.format(e.at().atZone(ZoneId.systemDefault()))));
            }
        }
        model.addAttribute("log", log);
        model.addAttribute(
                "extra", EXTRA.stream().filter(o -> route.open(o).isEmpty()).toList());
        model.addAttribute("orders", RouteRules.ORDER);
        model.addAttribute("owes", RouteRules.OWES);
        model.addAttribute("makes", RouteRules.MAKES);
        model.addAttribute("head", shells.head(part, StepKind.REPAIR, shell.writer()));
    }

    private static String said(WorkEntry e) {
        if (e.kind() == WorkEntry.Kind.TICKED) {
            return capital(Finding.valueOf(e.what()).words()) + ": " + e.note();
        }
        String what = Operation.valueOf(e.what()).words();
        String note = e.note().isEmpty() ? "" : ": " + e.note();
        return switch (e.kind()) {
            case DID -> capital(what) + " done" + note;
            case ADDED -> capital(what) + " asked for" + note;
            case WAIVED -> capital(what) + " left out" + note;
            default -> what + note;
        };
    }

    private static Shown shown(PartFile part, Route route, Route.Step s) {
        List<String> first = new ArrayList<>();
        List<String> better = new ArrayList<>();
        Map<Integer, Operation> operations = new HashMap<>();
        route.steps().forEach(o -> operations.put(o.id(), o.operation()));
        for (Route.Before b : route.edges()) {
            boolean open = route.openSteps().stream().anyMatch(o -> o.id() == b.from());
            if (b.to() == s.id() && open && s.operation() != Operation.HAND_OVER) {
                boolean said = s.because().stream().anyMatch(w -> w.endsWith(b.because()));
                (b.strength() == Strength.MUST ? first : better)
                        .add(operations.get(b.from()).words() + (said ? "" : ": " + b.because()));
            }
        }
        Optional<StepKind> page = Arrays.stream(StepKind.values())
                .filter(k -> k.operation().equals(Optional.of(s.operation())))
                .findFirst();
        boolean ticked = VisitSteps.REPAIRS.contains(s.operation()) || s.operation() == Operation.OIL_AND_BAG;
        return new Shown(
                s.id(),
                s.operation(),
                capital(s.operation().words()),
                s.state().name().toLowerCase(Locale.ROOT),
                RouteDrawing.words(s.state()),
                s.because(),
                first,
                better,
                ticked && s.state() == Route.State.DUE,
                page.map(k -> "/parts/" + part.tag() + "/" + StepPages.path(k)).orElse(""),
                caution(s.operation()));
    }

    /** What can hurt at a step that has no page of its own; empty where nothing special does. */
    private static String caution(Operation operation) {
        return switch (operation) {
            case STITCH -> "Eye protection: taps and tapered pins snap.";
            case WELD -> "Licensed practice: preheat, fumes, hot casting. Oil in the pores burns.";
            case LINE_BORE ->
                "Long bar, sharp chips: guard closed, eye protection; caps marked and torqued in their order.";
            case STRAIGHTEN -> "Heat and press store force: shield, nobody in line, hot casting marked as hot.";
            case SLEEVE, INSERT ->
                "Pressed rings can shatter: shield, square driver. Cold nitrogen or dry ice burns and pushes the air out: open space, gloves, face shield.";
            case GUIDE_WORK ->
                "Ears and eyes at an air hammer: a driven guide can shatter. A warmed head is marked as hot.";
            case SEAT_WORK -> "Stones burst and cutters snatch: eye protection, guard, no dust in the lungs.";
            case LINER_TRIM -> "Chips and sharp edges: guard closed, deburr.";
            default -> "";
        };
    }

    /** Done says nothing by itself of what was fitted. */
    private static final Set<Operation> NAMES_WHAT = Set.of(Operation.INSERT, Operation.SLEEVE);

    /** Work without a page of its own was done. */
    @ToMachinists
    @PostMapping("/parts/{tag}/route/did")
    String did(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam Operation operation,
            @RequestParam(defaultValue = "") String note,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        if (!VisitSteps.REPAIRS.contains(operation) && operation != Operation.OIL_AND_BAG) {
            throw new BadInputException("operation", "That is done on its own page: open it from the strip.");
        }
        shells.require(part, operation);
        if (NAMES_WHAT.contains(operation) && note.isBlank()) {
            throw new BadInputException(
                    "note",
                    operation == Operation.INSERT
                            ? "No ring is named: say here which was fitted where and with what press, or choose and measure it "
                                    + "valve by valve under Inserts."
                            : "No sleeve is named: say here which was fitted where and with what press.");
        }
        work.write(part, id, WorkEntry.Kind.DID, operation, note, me.id());
        return live(part, shell, model);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/route/add")
    String add(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam Operation operation,
            @RequestParam(defaultValue = "") String note,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        work.write(part, id, WorkEntry.Kind.ADDED, operation, note, me.id());
        return live(part, shell, model);
    }

    /** A check that is owed is left out by the owner only; work by whoever would do it. */
    @ToMachinists
    @PostMapping("/parts/{tag}/route/waive")
    String waive(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam Operation operation,
            @RequestParam(defaultValue = "") String note,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        PartFile part = parts.byTag(tag);
        boolean owner = people.find(me.id()).filter(p -> p.role() == Role.OWNER).isPresent();
        if (operation.isCheck() && !owner) {
            throw new BadInputException(
                    "operation",
                    "A check that is owed is left out by the owner alone, with a reason: ask the owner to sign here.");
        }
        if (operation == Operation.HAND_OVER) {
            throw new BadInputException("operation", "The hand-over is not left out: the part stays until it goes.");
        }
        if (work.write(part, id, WorkEntry.Kind.WAIVED, operation, note, me.id())) {
            journal.write(Journal.What.LEFT_OUT, me.id(), part.tag() + ", " + operation.words() + ": " + note.strip());
        }
        return live(part, shell, model);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/route/take-back")
    String takeBack(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam UUID entry,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        work.takeBack(part, id, entry, me.id());
        return live(part, shell, model);
    }

    private String live(PartFile part, Shell shell, Model model) {
        return reading.of(() -> {
            show(part, shell, model);
            return "route/route :: live";
        });
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}

package homalon.app.outcome.route;

import homalon.app.casting.part.PartPage;
import homalon.app.casting.part.StepPages;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.drawing.RouteDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Signature;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.route.RouteRules;
import homalon.core.route.StepKind;
import homalon.core.route.Strength;
import homalon.core.route.VisitSteps;
import homalon.core.visit.PartFile;
import homalon.core.words.Message;
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
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The route of a part: what is done, due and to come, why, and who answers for what is left out. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class RouteController {
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

    private final WorkLog work;
    private final People people;
    private final Journal journal;

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
    String page(PartPage page) {
        return page.read(() -> {
            show(page);
            return "outcome/route/route";
        });
    }

    private void show(PartPage page) {
        PartFile part = page.part();
        Route route = page.standing().route();
        Map<UUID, String> names = people.names();
        page.show("track", RouteDrawing.svg(route));
        page.show(
                "steps",
                route.openSteps().stream().map(s -> shown(part, route, s)).toList());
        List<Logged> log = new ArrayList<>();
        for (WorkEntry e : work.of(part)) {
            // Lines that are ticked have their own place, at the cleaning and at the hand-over.
            if (e.kind() == WorkEntry.Kind.LISTED || e.kind() == WorkEntry.Kind.LINE_TICKED) {
                continue;
            }
            if (e.kind() != WorkEntry.Kind.TICKED || e.what().equals(Finding.TURNS_STIFF.name())) {
                log.add(new Logged(
                        e.id(),
                        said(e),
                        Signature.of(names, e.by(), e.at(), page.shell().days())));
            }
        }
        page.show("log", log);
        page.show("extra", EXTRA.stream().filter(o -> route.open(o).isEmpty()).toList());
        Map<String, String> letGo = part.rules().letGo();
        RouteRules.InForce rules = RouteRules.InForce.without(letGo.keySet());
        page.show("orders", rules.order());
        page.show("owes", RouteRules.OWES);
        page.show("makes", rules.makes());
        page.show("letGo", letGo(letGo));
        page.frame(StepKind.REPAIR);
    }

    /** What the shop does without, and why. */
    private static List<String> letGo(Map<String, String> why) {
        Stream<String> makes = RouteRules.MAKES.stream()
                .filter(m -> m.mayGo() && why.containsKey(m.name()))
                .map(m -> Words.of(m.finding().words()) + ", "
                        + Words.of(m.operation().words()) + ": " + why.get(m.name()));
        Stream<String> order = RouteRules.ORDER.stream()
                .filter(o -> o.mayGo() && why.containsKey(o.name()))
                .map(o -> Words.of(o.before().words()) + " before "
                        + Words.of(o.after().words()) + ": " + why.get(o.name()));
        return Stream.concat(makes, order).toList();
    }

    private static String said(WorkEntry e) {
        if (e.kind() == WorkEntry.Kind.TICKED) {
            return capital(Words.of(Finding.valueOf(e.what()).words())) + ": " + e.note();
        }
        String what = Words.of(Operation.valueOf(e.what()).words());
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
                boolean said = Words.of(s.because()).stream().anyMatch(w -> w.endsWith(Words.of(b.because())));
                (b.strength() == Strength.MUST ? first : better)
                        .add(Words.of(operations.get(b.from()).words()) + (said ? "" : ": " + Words.of(b.because())));
            }
        }
        Optional<StepKind> page = Arrays.stream(StepKind.values())
                .filter(k -> k.operation().equals(Optional.of(s.operation())))
                .findFirst();
        boolean ticked = VisitSteps.REPAIRS.contains(s.operation()) || s.operation() == Operation.OIL_AND_BAG;
        return new Shown(
                s.id(),
                s.operation(),
                capital(Words.of(s.operation().words())),
                s.state().name().toLowerCase(Locale.ROOT),
                RouteDrawing.words(s.state()),
                Words.of(s.because()),
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
    String did(PartPage page, @RequestParam Operation operation, @RequestParam(defaultValue = "") String note) {
        PartFile part = page.part();
        if (!VisitSteps.REPAIRS.contains(operation) && operation != Operation.OIL_AND_BAG) {
            throw new BadInputException("operation", "app.route.that-is-done-on-its-own-page-open-it");
        }
        page.require(operation);
        if (NAMES_WHAT.contains(operation) && note.isBlank()) {
            throw new BadInputException(
                    "note",
                    operation == Operation.INSERT
                            ? Message.of("app.route.no-ring-is-named-say-here-which-was")
                            : Message.of("app.route.no-sleeve-is-named-say-here-which-was"));
        }
        work.write(part, page.lineId(), WorkEntry.Kind.DID, operation, note, page.me());
        return live(page);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/route/add")
    String add(PartPage page, @RequestParam Operation operation, @RequestParam(defaultValue = "") String note) {
        work.write(page.part(), page.lineId(), WorkEntry.Kind.ADDED, operation, note, page.me());
        return live(page);
    }

    /** A check that is owed is left out by the owner only; work by whoever would do it. */
    @ToMachinists
    @PostMapping("/parts/{tag}/route/waive")
    String waive(PartPage page, @RequestParam Operation operation, @RequestParam(defaultValue = "") String note) {
        PartFile part = page.part();
        if (operation.isCheck() && !page.shell().owner()) {
            throw new BadInputException("operation", "app.route.a-check-that-is-owed-is-left-out-by-the");
        }
        if (operation == Operation.HAND_OVER) {
            throw new BadInputException("operation", "app.route.the-hand-over-is-not-left-out-the-part");
        }
        if (work.write(part, page.lineId(), WorkEntry.Kind.WAIVED, operation, note, page.me())) {
            journal.write(
                    Journal.What.LEFT_OUT,
                    page.me(),
                    part.tag() + ", " + Words.of(operation.words()) + ": " + note.strip());
        }
        return live(page);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/route/take-back")
    String takeBack(PartPage page, @RequestParam UUID entry) {
        work.takeBack(page.part(), page.lineId(), entry, page.me());
        return live(page);
    }

    private String live(PartPage page) {
        return page.read(() -> {
            show(page);
            return "outcome/route/route :: live";
        });
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}

package homalon.app.check.lines;

import homalon.app.casting.part.CameWith;
import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.casting.sheets.Sheet;
import homalon.app.casting.sheets.SheetFile;
import homalon.app.casting.sheets.Sheets;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.Shell;
import homalon.core.input.BadInputException;
import homalon.core.lines.Bearings;
import homalon.core.lines.Liners;
import homalon.core.lines.SaddleGap;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Torque;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Keying of sheets: the line of a shaft, liners, the deck's height. One controller, since each is a walk of places. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class SheetController {
    private final Parts parts;
    private final PartShells shells;
    private final Faces faces;
    private final Sheets sheets;
    private final SheetViews views;
    private final WorkLog work;
    private final OneRead reading;

    @GetMapping("/parts/{tag}/{sheet:line|liners|index}")
    String page(@PathVariable String tag, @PathVariable String sheet, Shell shell, Model model) {
        return reading.of(() -> {
            show(parts.byTag(tag), of(sheet), shell, model);
            return "lines/sheet";
        });
    }

    private void show(PartFile part, Sheet sheet, Shell shell, Model model) {
        SheetFile file = sheets.of(part, sheet);
        LengthWriter writer = shell.writer();
        model.addAttribute("sheet", sheet);
        List<LineSetup> shafts = sheet == Sheet.LINE ? LineSetup.all(file) : List.of();
        boolean begun = sheet == Sheet.LINE ? !shafts.isEmpty() : !file.setup().isEmpty();
        model.addAttribute("begun", begun);
        if (sheet == Sheet.LINE) {
            propose(part, shafts, writer, model);
        }
        if (begun) {
            model.addAttribute("view", views.of(part, file, writer));
            model.addAttribute("places", views.places(part, file).size());
            describe(file, writer, model);
        }
        model.addAttribute(
                "school",
                sheet == Sheet.LINERS && file.setup().isEmpty()
                        ? LinersSetup.proposed(part.visit().gasketKind())
                        : null);
        if (sheet == Sheet.LINE) {
            fillTorque(part, model);
        }
        model.addAttribute("schools", Liners.School.values());
        model.addAttribute("held", Liners.Held.values());
        model.addAttribute("head", shells.head(part, sheet.step(), writer));
    }

    /** A further shaft is proposed as the one before it. */
    private void propose(PartFile part, List<LineSetup> shafts, LengthWriter writer, Model model) {
        boolean cam = part.kind() == PartKind.HEAD;
        if (shafts.isEmpty()) {
            model.addAttribute("at", joined(Bearings.proposed(faces.layout(part.numbers())), writer));
        } else {
            LineSetup like = shafts.get(shafts.size() - 1);
            model.addAttribute("at", joined(like.at(), writer));
            model.addAttribute(
                    "clearance",
                    like.clearance().stream().map(writer::exact).distinct().collect(Collectors.joining(" ")));
        }
        model.addAttribute("running", writer.number(Bearings.runningClearance(cam)));
        List<String> told = part.visit().came().map(CameWith::shafts).orElse(List.of());
        List<String> names = !told.isEmpty()
                ? told
                : cam ? List.of("Exhaust cam", "Intake cam", "Cam") : List.of("Main line", "Cam");
        model.addAttribute("shaftNames", names);
        model.addAttribute(
                "shaftName",
                names.stream()
                        .filter(n -> shafts.stream().noneMatch(l -> l.name().equalsIgnoreCase(n)))
                        .findFirst()
                        .orElse(""));
        model.addAttribute("shafts", shafts.stream().map(LineSetup::name).toList());
        model.addAttribute(
                "awaited",
                told.stream()
                        .filter(n -> shafts.stream().noneMatch(l -> l.name().equalsIgnoreCase(n)))
                        .collect(Collectors.joining(", ")));
    }

    private static String joined(List<Length> at, LengthWriter writer) {
        return at.stream().map(writer::size).map(s -> s.replace(" ", "")).collect(Collectors.joining(" "));
    }

    private static void describe(SheetFile file, LengthWriter writer, Model model) {
        if (file.sheet() == Sheet.LINE) {
            model.addAttribute(
                    "setUp",
                    LineSetup.all(file).stream().map(s -> described(s, writer)).collect(Collectors.joining("; ")));
        } else if (file.sheet() == Sheet.LINERS) {
            model.addAttribute(
                    "setUp",
                    LinersSetup.of(file.setup()).school().words()
                            + " liners, four clock places each; 12 o'clock towards the front");
        } else {
            model.addAttribute("setUp", "crank line to deck at four corners");
        }
    }

    private static String described(LineSetup s, LengthWriter writer) {
        return s.name() + ", " + s.at().size() + " bores, "
                + switch (s.way()) {
                    case FEELERS -> "straightedge and feelers in the saddles: a gap is a bore that stands low";
                    case LIMIT_BLADE ->
                        "straightedge and the " + writer.full(s.blade().orElseThrow())
                                + " blade in the saddles: refused everywhere is good";
                    case INDICATOR ->
                        "indicator over a straight datum: + is high" + (s.sideways() ? ", and sideways" : "");
                }
                + (s.bothSides() ? "; both sides of each saddle" : "");
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/line/set-up")
    String line(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String clearance,
            @RequestParam(defaultValue = "") String running,
            @RequestParam(defaultValue = "INDICATOR") LineSetup.Way way,
            @RequestParam(defaultValue = "") String blade,
            @RequestParam(defaultValue = "false") boolean bothSides,
            @RequestParam(defaultValue = "false") boolean sideways,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        PartFile part = parts.byTag(tag);
        LineSetup setup = LineSetup.typed(
                new LineSetup.Typed(name, at, clearance, running, way, blade, bothSides, sideways), shell.unit());
        sheets.setUp(
                part, id, Sheet.LINE, setup.beside(sheets.of(part, Sheet.LINE)).kept(), me.id());
        return "redirect:/parts/" + part.tag() + "/line";
    }

    /** A shaft that this casting does not have, or that was set up under a wrong name. */
    @ToMachinists
    @PostMapping("/parts/{tag}/line/drop")
    String drop(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam String name,
            @AuthenticationPrincipal Signed me) {
        PartFile part = parts.byTag(tag);
        if (LineSetup.all(sheets.of(part, Sheet.LINE)).stream()
                .noneMatch(l -> l.name().equals(name))) {
            throw new BadInputException("name", "There is no such shaft on this sheet any more.");
        }
        sheets.setUp(part, id, Sheet.LINE, LineSetup.dropped(name), me.id());
        return "redirect:/parts/" + part.tag() + "/line";
    }

    /**
     * How a shaft turns by hand: kept whatever it reads. Over the shop's figure, or stiffer after a rest, it is a finding that
     * owes the line.
     */
    @ToMachinists
    @PostMapping("/parts/{tag}/line/torque")
    String torque(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String turns,
            @RequestParam(defaultValue = "") String most,
            @RequestParam(defaultValue = "false") boolean restarts,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        Torque now = Torque.parse("turns", turns);
        Torque limit = Torque.parse("most", most);
        boolean free = now.newtonMetres() <= limit.newtonMetres() && restarts;
        String words = "turns at " + now.words() + ", at most " + limit.words() + ", "
                + (restarts ? "starts freely after a rest" : "stiffer after a rest");
        if (free) {
            work.write(part, id, WorkEntry.Kind.DID, Operation.TORQUE, words, me.id());
        } else {
            work.write(part, id, WorkEntry.Kind.TICKED, Finding.TURNS_STIFF, words, me.id());
        }
        return live(part, Sheet.LINE, shell, model);
    }

    /** What was read by turning, the last first. */
    private void fillTorque(PartFile part, Model model) {
        List<String> said = new ArrayList<>();
        for (WorkEntry e : work.of(part)) {
            if (e.what().equals(Operation.TORQUE.name()) && e.kind() == WorkEntry.Kind.DID) {
                said.add(0, "Free: " + e.note());
            } else if (e.what().equals(Finding.TURNS_STIFF.name())) {
                said.add(0, "Not free: " + e.note() + ". The line is owed.");
            }
        }
        model.addAttribute("turned", said);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/liners/set-up")
    String liners(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam Liners.School school,
            @RequestParam(defaultValue = "LOOSE") Liners.Held held,
            @RequestParam(defaultValue = "") String least,
            @RequestParam(defaultValue = "") String most,
            @RequestParam(defaultValue = "") String aim,
            @AuthenticationPrincipal Signed me,
            Shell shell) {
        PartFile part = parts.byTag(tag);
        sheets.setUp(
                part,
                id,
                Sheet.LINERS,
                LinersSetup.typed(school, held, least, most, aim, shell.unit()).kept(),
                me.id());
        return "redirect:/parts/" + part.tag() + "/liners";
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/index/set-up")
    String index(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "true") boolean outerAtTop,
            @AuthenticationPrincipal Signed me) {
        PartFile part = parts.byTag(tag);
        sheets.setUp(part, id, Sheet.INDEX, new IndexSetup(outerAtTop).kept(), me.id());
        return "redirect:/parts/" + part.tag() + "/index";
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{sheet:line|liners|index}/readings")
    String key(
            PartFile part,
            @PathVariable String sheet,
            @RequestParam UUID id,
            @RequestParam String place,
            @RequestParam String typed,
            @RequestParam BenchUnit unit,
            @RequestParam(defaultValue = "0") long seen,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        Sheet of = of(sheet);
        List<LineSetup.Place> places = views.places(part, sheets.of(part, of));
        if (places.stream().noneMatch(p -> p.key().equals(place))) {
            throw new BadInputException("place", "That place is not on this sheet any more: go on with another one.");
        }
        Sheets.Hand hand = new Sheets.Hand(id, seen, me.id());
        Optional<LineSetup> saddles = of == Sheet.LINE
                ? LineSetup.all(sheets.of(part, of)).stream()
                        .filter(l -> l.takesBlade(place))
                        .findFirst()
                : Optional.empty();
        if (saddles.isPresent() && !typed.strip().equals("/")) {
            SaddleGap.Tried tried =
                    SaddleGap.Tried.parse(typed, saddles.get().blade().orElseThrow(), unit);
            String said = new LengthWriter(unit).exact(tried.blade()) + (tried.goes() ? "+" : "-");
            sheets.say(part, of, place, Optional.of(tried.blade()), said, unit, hand);
        } else {
            sheets.key(part, of, place, typed, unit, hand);
        }
        return live(part, of, shell, model);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{sheet:line|liners|index}/undo")
    String undo(
            PartFile part,
            @PathVariable String sheet,
            @RequestParam UUID id,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        Optional<String> place = sheets.undo(part, of(sheet), id, me.id());
        if (place.isEmpty()) {
            throw new BadInputException("undo", "Nothing of yours is left to take back here.");
        }
        response.setHeader("X-Place", place.get());
        return live(part, of(sheet), shell, model);
    }

    @GetMapping("/parts/{tag}/{sheet:line|liners|index}/live")
    Object look(
            PartFile part,
            @PathVariable String sheet,
            @RequestParam(defaultValue = "-1") long seen,
            Shell shell,
            Model model) {
        return sheets.of(part, of(sheet)).requireSetUp().revision() == seen
                ? ResponseEntity.noContent().build()
                : live(part, of(sheet), shell, model);
    }

    private String live(PartFile part, Sheet sheet, Shell shell, Model model) {
        return reading.of(() -> {
            show(part, sheet, shell, model);
            return "lines/sheet :: live";
        });
    }

    private static Sheet of(String path) {
        for (Sheet s : Sheet.values()) {
            if (s.path().equals(path)) {
                return s;
            }
        }
        throw new NotHereException("There is no such sheet: go back to the bench.");
    }
}

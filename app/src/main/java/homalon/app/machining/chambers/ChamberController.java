package homalon.app.machining.chambers;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.casting.sheets.Sheet;
import homalon.app.casting.sheets.SheetFile;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.Shell;
import homalon.app.machining.valves.ValveFindings;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.FillState;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.StepKind;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Filling of chambers, and the figures of the engine around them. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class ChamberController {
    private final Parts parts;
    private final PartShells shells;
    private final ChamberFiles files;
    private final WorkOnChambers work;
    private final Sheets sheets;
    private final Ledgers ledgers;
    private final ValveFindings valves;
    private final ChamberViews views;
    private final OneRead reading;

    @GetMapping("/parts/{tag}/chambers")
    String page(
            @PathVariable String tag,
            @RequestParam(defaultValue = "") String of,
            @RequestParam(defaultValue = "") String state,
            Shell shell,
            Model model) {
        return reading.of(() -> {
            PartFile part = parts.byTag(tag);
            ChamberFile file = files.of(part);
            show(file, ChamberWalk.asked(file, of), state(part, state), shell, model);
            form(file, shell.unit(), model);
            return "chambers/chambers";
        });
    }

    /** The state asked for; else the one that the rest of the visit says. */
    private FillState state(PartFile part, String asked) {
        return FillState.byName(asked).orElseGet(() -> suggested(part));
    }

    /** What the rest of the visit says was done, and what was said so when chambers were filled last. */
    private FillState suggested(PartFile part) {
        boolean cut =
                ledgers.of(part).ledger().totals(part.visit().id()).thisJob().signum() > 0;
        boolean seats = valves.of(part, sheets.of(part, Sheet.VALVES))
                .filter(v -> v.seats().finished())
                .isPresent();
        Optional<FillState> last = files.of(part).lastState();
        return FillState.of(
                seats || last.filter(FillState::seatsDone).isPresent(),
                cut || last.filter(FillState::cutDone).isPresent());
    }

    private void show(ChamberFile file, ChamberWalk walk, FillState state, Shell shell, Model model) {
        model.addAttribute("begun", file.begun());
        model.addAttribute("walk", walk);
        model.addAttribute("state", state);
        model.addAttribute("view", views.of(file, walk, state, suggested(file.part()), shell.writer()));
        model.addAttribute("head", shells.head(file.part(), StepKind.CHAMBERS, shell.writer()));
    }

    /** The form of the engine's figures, on whichever page it stands. */
    static void form(ChamberFile file, BenchUnit unit, Model model) {
        model.addAttribute("groups", EngineForm.of(file, unit));
        model.addAttribute(
                "keyed", EngineForm.keyed(file).stream().map(Enum::name).toList());
        model.addAttribute("lastLine", file.sheet().last());
        model.addAttribute("setup", file.setup());
        model.addAttribute("depths", file.setup().shownDepths(new LengthWriter(unit)));
        model.addAttribute("drives", EngineBook.Drive.values());
        model.addAttribute("crowns", EngineBook.Crown.values());
        model.addAttribute("rods", EngineBook.Rods.values());
        model.addAttribute("sources", EngineForm.SOURCES);
    }

    /** Kept as a whole or not at all; what cannot be is told beside the form, which keeps what was typed. */
    @ToMachinists
    @PostMapping("/parts/{tag}/chambers/engine")
    ResponseEntity<Void> engine(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam Map<String, String> form,
            @AuthenticationPrincipal Signed me,
            Shell shell) {
        work.engine(parts.byTag(tag), id, form, shell.unit(), me.id());
        return ResponseEntity.noContent().build();
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/chambers/readings/{of}/{state}")
    String key(
            PartFile part,
            @PathVariable String of,
            @PathVariable FillState state,
            @RequestParam UUID id,
            @RequestParam String place,
            @RequestParam String typed,
            @RequestParam BenchUnit unit,
            @RequestParam(defaultValue = "0") long seen,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        ChamberFile file = require(part);
        ChamberWalk walk = ChamberWalk.asked(file, of);
        ChamberPlace at = walk.places(file, state).stream()
                .filter(p -> p.key().equals(place))
                .findFirst()
                .orElseThrow(() -> new BadInputException(
                        "place", "That place is not on this sheet any more: go on with another one."));
        work.key(file, at, new WorkOnChambers.Keyed(id, typed, unit, seen, sure, me.id()));
        return live(part, of, state, shell, model);
    }

    private ChamberFile require(PartFile part) {
        ChamberFile file = files.of(part);
        if (!file.begun()) {
            throw new BadInputException("chambers", "Begin the sheet first: open Chambers of this part.");
        }
        return file;
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/chambers/undo/{of}/{state}")
    String undo(
            PartFile part,
            @PathVariable String of,
            @PathVariable FillState state,
            @RequestParam UUID id,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        ChamberFile file = require(part);
        List<String> places = ChamberWalk.asked(file, of).places(file, state).stream()
                .map(ChamberPlace::key)
                .toList();
        String place = sheets.undo(part, Sheet.CHAMBERS, id, me.id(), places::contains)
                .orElseThrow(
                        () -> new BadInputException("undo", "Nothing of yours is left to take back in this walk."));
        response.setHeader("X-Place", place);
        return live(part, of, state, shell, model);
    }

    @GetMapping("/parts/{tag}/chambers/live/{of}/{state}")
    Object look(
            PartFile part,
            @PathVariable String of,
            @PathVariable FillState state,
            @RequestParam(defaultValue = "-1") long seen,
            Shell shell,
            Model model) {
        SheetFile sheet = sheets.of(part, Sheet.CHAMBERS);
        return sheet.revision() == seen ? ResponseEntity.noContent().build() : live(part, of, state, shell, model);
    }

    private String live(PartFile part, String of, FillState state, Shell shell, Model model) {
        return reading.of(() -> {
            ChamberFile file = files.of(part);
            show(file, ChamberWalk.asked(file, of), state, shell, model);
            return "chambers/chambers :: live";
        });
    }
}

package homalon.app.machining.chambers;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Keyed;
import homalon.app.machining.valves.ValveFindings;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.FillState;
import homalon.core.input.BadInputException;
import homalon.core.route.StepKind;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.ChamberPlace;
import homalon.core.visit.ChamberSetup;
import homalon.core.visit.ChamberWalk;
import homalon.core.visit.EngineForm;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Filling of chambers, and the figures of the engine around them. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class ChamberController {
    private final ChamberFiles files;
    private final WorkOnChambers work;
    private final Sheets sheets;
    private final ReadingsOfChambers readings;
    private final Ledgers ledgers;
    private final ValveFindings valves;
    private final ChamberViews views;

    @GetMapping("/parts/{tag}/chambers")
    String page(
            PartPage page, @RequestParam(defaultValue = "") String of, @RequestParam(defaultValue = "") String state) {
        return page.read(() -> {
            PartFile part = page.part();
            ChamberFile file = files.of(part);
            show(file, ChamberWalk.asked(file, of), state(part, state), page);
            form(file, files.alike(file), page);
            return "machining/chambers/chambers";
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

    private void show(ChamberFile file, ChamberWalk walk, FillState state, PartPage page) {
        page.show("begun", file.begun());
        page.show("walk", walk);
        page.show("state", state);
        page.show("view", views.of(file, walk, state, suggested(file.part()), page.writer()));
        files.showHand(page, file);
        page.frame(StepKind.CHAMBERS);
    }

    /**
     * The form of the engine's figures, on whichever page it stands.
     *
     * @param alike of a casting like it, with which it is filled to be looked over
     */
    static void form(ChamberFile file, Optional<ChamberFile> alike, PartPage page) {
        ChamberSetup setup = alike.map(ChamberFile::setup).orElse(file.setup());
        page.show("groups", EngineForm.of(file, alike, page.unit()));
        page.show("alike", alike.map(a -> a.part().tag()).orElse(null));
        page.show(
                "keyed",
                EngineForm.keyed(alike.orElse(file)).stream().map(Enum::name).toList());
        page.show("lastLine", file.sheet().last());
        page.show("setup", setup);
        page.show("depths", setup.shownDepths(page.writer()));
        page.show("drives", EngineBook.Drive.values());
        page.show("crowns", EngineBook.Crown.values());
        page.show("rods", EngineBook.Rods.values());
        page.show("sources", EngineForm.SOURCES);
    }

    /** Kept as a whole or not at all; what cannot be is told beside the form, which keeps what was typed. */
    @ToMachinists
    @PostMapping("/parts/{tag}/chambers/engine")
    ResponseEntity<Void> engine(PartPage page, @RequestParam Map<String, String> form) {
        work.engine(page.part(), page.lineId(), form, page.unit(), page.me());
        return ResponseEntity.noContent().build();
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/chambers/readings/{of}/{state}")
    String key(PartPage page, @PathVariable String of, @PathVariable FillState state, Keyed keyed) {
        readings.key(page.part(), Sheet.CHAMBERS.path(), keyed, page.me());
        return live(page, of, state);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/chambers/undo/{of}/{state}")
    String undo(PartPage page, @PathVariable String of, @PathVariable FillState state) {
        PartFile part = page.part();
        ChamberFile file = files.require(part);
        List<String> places = ChamberWalk.asked(file, of).places(file, state).stream()
                .map(ChamberPlace::key)
                .toList();
        String place = sheets.undo(part, Sheet.CHAMBERS, page.lineId(), page.me(), places::contains)
                .orElseThrow(() -> new BadInputException("undo", "app.chambers.nothing-of-yours-is-left-to-take-back"));
        page.standAt(place);
        return live(page, of, state);
    }

    @GetMapping("/parts/{tag}/chambers/live/{of}/{state}")
    Object look(
            PartPage page,
            @PathVariable String of,
            @PathVariable FillState state,
            @RequestParam(defaultValue = "-1") long seen) {
        SheetFile sheet = sheets.of(page.part(), Sheet.CHAMBERS);
        return sheet.revision() == seen ? ResponseEntity.noContent().build() : live(page, of, state);
    }

    private String live(PartPage page, String of, FillState state) {
        return page.read(() -> {
            ChamberFile file = files.of(page.part());
            show(file, ChamberWalk.asked(file, of), state, page);
            return "machining/chambers/chambers :: live";
        });
    }
}

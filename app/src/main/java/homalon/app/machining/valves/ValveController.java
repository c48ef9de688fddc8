package homalon.app.machining.valves;

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
import homalon.core.input.BadInputException;
import homalon.core.part.ChamberShape;
import homalon.core.part.PartKind;
import homalon.core.part.ValveKind;
import homalon.core.part.ValvePattern;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.StepKind;
import homalon.core.rulebook.Source;
import homalon.core.valves.BookItem;
import homalon.core.valves.Look;
import homalon.core.valves.Measure;
import homalon.core.valves.ValveBook;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
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

/** Measuring of valves, one walk after the other. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class ValveController {
    private final Parts parts;
    private final PartShells shells;
    private final ValveFiles files;
    private final ValveKeys keys;
    private final WorkOnValves work;
    private final Sheets sheets;
    private final ValveViews views;
    private final OneRead reading;

    /** A line of the book's form: what was keyed for each kind, and what stands where nothing is. */
    record BookRow(String item, String words, List<Field> fields) {}

    record Field(String name, String value, String usual, String label) {}

    @GetMapping("/parts/{tag}/valves")
    String page(@PathVariable String tag, @RequestParam(defaultValue = "") String of, Shell shell, Model model) {
        return reading.of(() -> {
            PartFile part = parts.byTag(tag);
            Optional<ValveFile> file = files.of(part);
            show(part, file, walk(of, file), shell, model);
            form(file.map(f -> f.sheet().setup()).orElseGet(() -> proposed(part)), shell.writer(), model);
            return "valves/valves";
        });
    }

    private void show(PartFile part, Optional<ValveFile> file, Measure.Walk walk, Shell shell, Model model) {
        model.addAttribute("begun", file.isPresent());
        model.addAttribute("walk", walk);
        file.ifPresent(f -> model.addAttribute("view", views.of(f, walk, shell.writer())));
        model.addAttribute(
                "toSign",
                file.map(f -> f.valves().stream().filter(f::mayBeSigned).count())
                        .orElse(0L));
        model.addAttribute("looks", Look.values());
        model.addAttribute("head", shells.head(part, StepKind.VALVES, shell.writer()));
    }

    /** The walk asked for; else the first that has something to key. */
    private static Measure.Walk walk(String of, Optional<ValveFile> file) {
        for (Measure.Walk w : Measure.Walk.values()) {
            boolean open = of.isEmpty()
                    && !w.instead()
                    && file.map(f -> ValveViews.places(f, w).stream()
                                    .anyMatch(p -> p.standing(f).isEmpty()))
                            .orElse(true);
            if (w.name().equals(of) || open) {
                return w;
            }
        }
        return Measure.Walk.STEMS;
    }

    private static Map<String, String> proposed(PartFile part) {
        Map<String, String> start = new HashMap<>();
        boolean inBlock = part.kind() == PartKind.DECK;
        boolean two = !inBlock && part.numbers().chambers() == ChamberShape.ROUND;
        start.put("intake", two ? "2" : "1");
        start.put("exhaust", two ? "2" : "1");
        start.put(
                "rows",
                (inBlock ? ValvePattern.Rows.IN_BLOCK : two ? ValvePattern.Rows.TWO : ValvePattern.Rows.ONE).name());
        start.put("source", Source.MAKER.name());
        start.put("knurls", "true");
        return start;
    }

    private static void form(Map<String, String> kept, LengthWriter writer, Model model) {
        Map<String, String> values = ValveSetup.shown(kept, writer);
        Map<ValveKind, ValveBook> books = new EnumMap<>(ValveKind.class);
        for (ValveKind kind : ValveKind.values()) {
            books.put(
                    kind, new ValveBook(kind, ValveSetup.keyed(kept, kind), Boolean.parseBoolean(kept.get("racing"))));
        }
        List<BookRow> rows = new ArrayList<>();
        for (BookItem item : BookItem.values()) {
            List<Field> fields = new ArrayList<>();
            for (ValveKind kind : ValveKind.values()) {
                String name = ValveSetup.key(kind, item);
                fields.add(new Field(
                        name,
                        values.getOrDefault(name, ""),
                        ValveSetup.usual(books.get(kind), item, writer),
                        item.words() + ", " + kind.words()));
            }
            rows.add(new BookRow(item.name(), item.words(), fields));
        }
        model.addAttribute("book", rows);
        model.addAttribute("values", values);
        model.addAttribute("rows", ValvePattern.Rows.values());
        model.addAttribute("sources", List.of(Source.MAKER, Source.SHOP));
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/valves/set-up")
    String setUp(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam Map<String, String> form,
            @AuthenticationPrincipal Signed me,
            Shell shell) {
        PartFile part = parts.byTag(tag);
        sheets.setUp(part, id, Sheet.VALVES, ValveSetup.typed(form, shell.unit()), me.id());
        return "redirect:/parts/" + part.tag() + "/valves";
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/valves/readings")
    String key(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam String place,
            @RequestParam String typed,
            @RequestParam BenchUnit unit,
            @RequestParam(defaultValue = "0") long seen,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        ValveFile file = files.require(part);
        ValveViews.Place at = at(file, place);
        keys.key(file, at.valve(), at.measure(), new ValveKeys.Keyed(id, typed, unit, seen, sure, me.id()));
        return live(part, at.measure().walk(), shell, model);
    }

    /** A machinist answers for every guide that was felt and found good. */
    @ToMachinists
    @PostMapping("/parts/{tag}/valves/felt/{of}")
    String felt(
            @PathVariable String tag,
            @PathVariable Measure.Walk of,
            @RequestParam UUID id,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        return live(work.signFelt(tag, id, shell.unit(), me.id()), of, shell, model);
    }

    private static ValveViews.Place at(ValveFile file, String place) {
        for (Measure.Walk w : Measure.Walk.values()) {
            for (ValveViews.Place p : ValveViews.places(file, w)) {
                if (p.key().equals(place)) {
                    return p;
                }
            }
        }
        throw new BadInputException("place", "That place is not on this sheet any more: go on with another one.");
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/valves/undo/{of}")
    String undo(
            PartFile part,
            @PathVariable Measure.Walk of,
            @RequestParam UUID id,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        List<String> places = ValveViews.places(files.require(part), of).stream()
                .map(ValveViews.Place::key)
                .toList();
        String place = sheets.undo(part, Sheet.VALVES, id, me.id(), places::contains)
                .orElseThrow(
                        () -> new BadInputException("undo", "Nothing of yours is left to take back in this walk."));
        response.setHeader("X-Place", place);
        return live(part, of, shell, model);
    }

    @GetMapping("/parts/{tag}/valves/live/{of}")
    Object look(
            PartFile part,
            @PathVariable Measure.Walk of,
            @RequestParam(defaultValue = "-1") long seen,
            Shell shell,
            Model model) {
        SheetFile sheet = sheets.of(part, Sheet.VALVES).requireSetUp();
        return sheet.revision() == seen ? ResponseEntity.noContent().build() : live(part, of, shell, model);
    }

    private String live(PartFile part, Measure.Walk walk, Shell shell, Model model) {
        return reading.of(() -> {
            show(part, files.of(part), walk, shell, model);
            return "valves/valves :: live";
        });
    }
}

package homalon.app.machining.valves;

import homalon.app.casting.part.PartFinder;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.part.ChamberShape;
import homalon.core.part.PartKind;
import homalon.core.part.Valve;
import homalon.core.part.ValveKind;
import homalon.core.part.ValvePattern;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.StepKind;
import homalon.core.rulebook.Source;
import homalon.core.valves.BookItem;
import homalon.core.valves.Look;
import homalon.core.valves.Measure;
import homalon.core.valves.ValveBook;
import homalon.core.visit.EngineForm;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import homalon.core.visit.ValveFile;
import homalon.core.visit.ValveSetup;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Measuring of valves, one walk after the other. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class ValveController {
    private final ValveFiles files;
    private final ReadingsOfValves readings;
    private final WorkOnValves work;
    private final Sheets sheets;
    private final ValveViews views;
    private final SameForAll same;
    private final PartFinder finder;

    /** Of castings like it, as many are looked at for a book. */
    private static final int ALIKE = 5;

    /** A book that was keyed for a casting like it. */
    private record Book(String tag, Map<String, String> setup) {}

    /** A line of the book's form: what was keyed for each kind, and what stands where nothing is. */
    record BookRow(String item, String words, List<Field> fields) {}

    record Field(String name, String value, String usual, String label) {}

    @GetMapping("/parts/{tag}/valves")
    String page(PartPage page, @RequestParam(defaultValue = "") String of) {
        return page.read(() -> {
            PartFile part = page.part();
            Optional<ValveFile> file = files.of(part);
            show(page, file, walk(of, file));
            Optional<Book> alike = file.isPresent() ? Optional.empty() : alike(part);
            page.show("alike", alike.map(Book::tag).orElse(null));
            form(
                    file.map(f -> f.sheet().setup())
                            .or(() -> alike.map(Book::setup))
                            .orElseGet(() -> proposed(part)),
                    page);
            return "machining/valves/valves";
        });
    }

    private void show(PartPage page, Optional<ValveFile> file, Measure.Walk walk) {
        page.show("begun", file.isPresent());
        page.show("walk", walk);
        file.ifPresent(f -> {
            page.show("view", views.of(f, walk, page.writer()));
            files.showHand(page, f);
        });
        page.show("toSign", file.map(ValveController::toSign).orElse(""));
        page.show("looks", Look.values());
        Optional<SameForAll.Offer> offer = file.flatMap(f -> same.offer(f, walk));
        page.show("same", offer.map(o -> o.words(page.writer())).orElse(null));
        page.show("sameSeen", offer.map(SameForAll.Offer::last).orElse(0L));
        page.frame(StepKind.VALVES);
    }

    /** What a machinist may answer for, in words; empty where there is nothing. */
    private static String toSign(ValveFile file) {
        List<Valve> open = file.valves().stream().filter(file::mayBeSigned).toList();
        long felt = open.stream().filter(v -> file.readings(v).feltAlone()).count();
        long near = open.size() - felt;
        String byFeel = felt == 0 ? "" : felt + (felt == 1 ? " guide" : " guides") + " judged by feel";
        String tooNear = near == 0 ? "" : near + (near == 1 ? " valve" : " valves") + " too near a limit to tell";
        return Stream.of(byFeel, tooNear).filter(s -> !s.isEmpty()).collect(Collectors.joining(" and "));
    }

    /** How the valves lie, and the book, of the youngest casting like it that has them: proposed, and kept once it is started with. */
    private Optional<Book> alike(PartFile part) {
        List<PartFile> others = finder.alike(part, ALIKE);
        Map<UUID, Map<Sheet, SheetFile>> begun =
                sheets.ofVisits(others.stream().map(p -> p.visit().id()).toList());
        return others.stream()
                .flatMap(p -> Optional.ofNullable(
                        begun.getOrDefault(p.visit().id(), Map.of()).get(Sheet.VALVES))
                        .filter(s -> !s.setup().isEmpty())
                        .map(s -> new Book(p.tag(), s.setup()))
                        .stream())
                .findFirst();
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

    private static void form(Map<String, String> kept, PartPage page) {
        LengthWriter writer = page.writer();
        Map<String, String> values = ValveSetup.shown(kept, writer);
        Map<ValveKind, ValveBook> books = new EnumMap<>(ValveKind.class);
        for (ValveKind kind : ValveKind.values()) {
            books.put(
                    kind,
                    new ValveBook(
                            kind,
                            ValveSetup.keyed(kept, kind),
                            Boolean.parseBoolean(kept.get("racing")),
                            page.part().rules().books()));
        }
        List<BookRow> rows = new ArrayList<>();
        for (BookItem item : BookItem.values()) {
            List<Field> fields = new ArrayList<>();
            String words = Words.of(item.words())
                    + item.unit()
                            .quantity()
                            .map(q -> ", " + q.unit(page.unit()))
                            .orElse("");
            for (ValveKind kind : ValveKind.values()) {
                String name = ValveSetup.key(kind, item);
                fields.add(new Field(
                        name,
                        values.getOrDefault(name, ""),
                        ValveSetup.usual(books.get(kind), item, writer),
                        words + ", " + Words.of(kind.words())));
            }
            rows.add(new BookRow(item.name(), words, fields));
        }
        page.show("book", rows);
        page.show("values", values);
        page.show("rows", ValvePattern.Rows.values());
        page.show("sources", EngineForm.SOURCES);
        page.show("ownSources", values.keySet().stream().anyMatch(k -> k.startsWith("from.")));
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/valves/set-up")
    String setUp(PartPage page, @RequestParam Map<String, String> form) {
        PartFile part = page.part();
        sheets.setUp(
                part,
                page.lineId(),
                Sheet.VALVES,
                ValveSetup.typed(form, page.unit(), part.rules().books()),
                page.me());
        return "redirect:/parts/" + part.tag() + "/valves";
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/valves/readings")
    String key(PartPage page, Keyed keyed) {
        readings.key(page.part(), Sheet.VALVES.path(), keyed, page.me());
        Measure of =
                ReadingsOfValves.at(files.require(page.part()), keyed.place()).measure();
        return live(page, of.walk());
    }

    /** What was keyed last goes to all valves of its kind that are open on this walk. */
    @ToMachinists
    @PostMapping("/parts/{tag}/valves/same/{of}")
    String same(PartPage page, @PathVariable Measure.Walk of, @RequestParam(defaultValue = "0") long seen) {
        UUID id = page.lineId();
        page.show("filled", same.give(page.part(), id, of, seen, page.me()));
        page.show("given", id);
        return live(page, of);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/valves/same/{of}/take-back")
    String takeBack(PartPage page, @PathVariable Measure.Walk of, @RequestParam UUID given) {
        same.takeBack(page.part(), page.lineId(), given, of, page.me());
        return live(page, of);
    }

    /** A machinist answers for every guide that was felt and found good. */
    @ToMachinists
    @PostMapping("/parts/{tag}/valves/felt/{of}")
    String felt(PartPage page, @PathVariable Measure.Walk of) {
        work.answer(page.part(), page.lineId(), page.unit(), page.me());
        return live(page, of);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/valves/undo/{of}")
    String undo(PartPage page, @PathVariable Measure.Walk of) {
        PartFile part = page.part();
        List<String> places = ValveViews.places(files.require(part), of).stream()
                .map(ValveViews.Place::key)
                .toList();
        String place = sheets.undo(part, Sheet.VALVES, page.lineId(), page.me(), places::contains)
                .orElseThrow(() -> new BadInputException("undo", "app.valves.nothing-of-yours-is-left-to-take-back"));
        page.standAt(place);
        return live(page, of);
    }

    @GetMapping("/parts/{tag}/valves/live/{of}")
    Object look(PartPage page, @PathVariable Measure.Walk of, @RequestParam(defaultValue = "-1") long seen) {
        SheetFile sheet = sheets.of(page.part(), Sheet.VALVES).requireSetUp();
        return sheet.revision() == seen ? ResponseEntity.noContent().build() : live(page, of);
    }

    private String live(PartPage page, Measure.Walk walk) {
        return page.read(() -> {
            show(page, files.of(page.part()), walk);
            return "machining/valves/valves :: live";
        });
    }
}

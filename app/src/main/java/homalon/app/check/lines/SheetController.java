package homalon.app.check.lines;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.sheets.Sheets;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.app.shop.instruments.StepGauges;
import homalon.core.catalogue.Metal;
import homalon.core.gauge.Scale;
import homalon.core.input.BadInputException;
import homalon.core.lines.Bearings;
import homalon.core.lines.Liners;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.quantity.Torque;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.visit.CameWith;
import homalon.core.visit.IndexSetup;
import homalon.core.visit.LineSetup;
import homalon.core.visit.LinersSetup;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import jakarta.validation.Valid;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Keying of sheets: the line of a shaft, liners, the deck's height. One controller, since each is a walk of places. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class SheetController {
    private final Faces faces;
    private final Sheets sheets;
    private final SheetViews views;
    private final WorkLog work;
    private final SheetReadings readings;
    private final StepGauges gauges;

    @GetMapping("/parts/{tag}/{sheet:line|liners|index}")
    String page(PartPage page, @PathVariable Sheet sheet) {
        requireItsOwn(page, sheet);
        return page.read(() -> {
            show(page, sheet);
            return "check/lines/sheet";
        });
    }

    /** Liners and a height over the crank line are those of a block. */
    private static void requireItsOwn(PartPage page, Sheet sheet) {
        if (sheet != Sheet.LINE && page.part().kind() == PartKind.HEAD) {
            throw new BadInputException(
                    "sheet",
                    "app.lines.a-head-has-neither-liners-nor-a",
                    page.part().tag());
        }
    }

    private void show(PartPage page, Sheet sheet) {
        PartFile part = page.part();
        SheetFile file = sheets.of(part, sheet);
        LengthWriter writer = page.writer();
        page.show("sheet", sheet);
        List<LineSetup> shafts = sheet == Sheet.LINE ? LineSetup.all(file) : List.of();
        boolean begun = sheet == Sheet.LINE ? !shafts.isEmpty() : !file.setup().isEmpty();
        page.show("begun", begun);
        page.show("index", IndexSetup.of(sheet == Sheet.INDEX ? file.setup() : Map.of()));
        if (sheet == Sheet.LINE) {
            propose(page, shafts);
        }
        if (begun) {
            page.show("view", views.of(part, file, writer));
            page.show("places", views.places(part, file).size());
            gauges.show(page, file);
            describe(file, page);
        }
        page.show(
                "school",
                sheet == Sheet.LINERS && file.setup().isEmpty()
                        ? LinersSetup.proposed(part.visit().gasketKind())
                        : null);
        if (sheet == Sheet.LINE) {
            fillTorque(page);
        }
        page.show("schools", Liners.School.values());
        page.show("held", Liners.Held.values());
        page.frame(sheet.step());
    }

    /** A further shaft is proposed as the one before it. */
    private void propose(PartPage page, List<LineSetup> shafts) {
        PartFile part = page.part();
        LengthWriter writer = page.writer();
        boolean cam = part.kind() == PartKind.HEAD;
        if (shafts.isEmpty()) {
            page.show("at", joined(Bearings.proposed(faces.layout(part.numbers())), writer));
        } else {
            LineSetup like = shafts.get(shafts.size() - 1);
            page.show("at", joined(like.at(), writer));
            page.show(
                    "clearance",
                    like.clearance().stream().map(writer::exact).distinct().collect(Collectors.joining(" ")));
        }
        BookDefaults shop = part.rules().books();
        page.show("running", writer.number((cam ? BenchFigure.RUNNING_CAM : BenchFigure.RUNNING_MAIN).value(shop)));
        page.show(
                "usualRunning",
                writer.full(BenchFigure.RUNNING_CAM.value(shop)) + " to run with for a cam and "
                        + writer.full(BenchFigure.RUNNING_MAIN.value(shop)) + " for mains");
        List<String> told = part.visit().came().map(CameWith::shafts).orElse(List.of());
        List<String> names = !told.isEmpty()
                ? told
                : cam ? List.of("Exhaust cam", "Intake cam", "Cam") : List.of("Main line", "Cam");
        page.show("shaftNames", names);
        page.show(
                "shaftName",
                names.stream()
                        .filter(n -> shafts.stream().noneMatch(l -> l.name().equalsIgnoreCase(n)))
                        .findFirst()
                        .orElse(""));
        page.show("shafts", shafts.stream().map(LineSetup::name).toList());
        page.show(
                "awaited",
                told.stream()
                        .filter(n -> shafts.stream().noneMatch(l -> l.name().equalsIgnoreCase(n)))
                        .collect(Collectors.joining(", ")));
    }

    private static String joined(List<Length> at, LengthWriter writer) {
        return at.stream().map(writer::size).map(s -> s.replace(" ", "")).collect(Collectors.joining(" "));
    }

    private static void describe(SheetFile file, PartPage page) {
        if (file.sheet() == Sheet.LINE) {
            page.show(
                    "setUp",
                    LineSetup.all(file).stream()
                            .map(s -> described(s, page.writer()))
                            .collect(Collectors.joining("; ")));
        } else if (file.sheet() == Sheet.LINERS) {
            page.show(
                    "setUp",
                    Words.of(LinersSetup.of(file.setup()).school().words())
                            + " liners, four clock places each; 12 o'clock towards the front");
        } else {
            page.show("setUp", "crank line to deck at four corners");
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
    String line(PartPage page, @ModelAttribute LineForm form) {
        PartFile part = page.part();
        LineSetup setup = form.setUp(page.unit()).beside(sheets.of(part, Sheet.LINE));
        sheets.setUp(part, page.lineId(), Sheet.LINE, setup.kept(), page.me());
        return "redirect:/parts/" + part.tag() + "/line";
    }

    /** A shaft that this casting does not have, or that was set up under a wrong name. */
    @ToMachinists
    @PostMapping("/parts/{tag}/line/drop")
    String drop(PartPage page, @RequestParam String name) {
        PartFile part = page.part();
        if (LineSetup.all(sheets.of(part, Sheet.LINE)).stream()
                .noneMatch(l -> l.name().equals(name))) {
            throw new BadInputException("name", "app.lines.there-is-no-such-shaft-on-this-sheet");
        }
        sheets.setUp(part, page.lineId(), Sheet.LINE, LineSetup.dropped(name), page.me());
        return "redirect:/parts/" + part.tag() + "/line";
    }

    /**
     * How a shaft turns by hand: kept whatever it reads. Over the shop's figure, or stiffer after a rest, it is a finding that
     * owes the line.
     */
    @ToMachinists
    @PostMapping("/parts/{tag}/line/torque")
    String torque(
            PartPage page,
            @RequestParam(defaultValue = "") String turns,
            @RequestParam(defaultValue = "") String most,
            @RequestParam(defaultValue = "false") boolean restarts) {
        PartFile part = page.part();
        Torque now = Torque.parse("turns", turns, page.unit());
        Torque limit = Torque.parse("most", most, page.unit());
        boolean free = now.newtonMetres() <= limit.newtonMetres() && restarts;
        String words = "turns at " + now.words(page.unit()) + ", at most " + limit.words(page.unit()) + ", "
                + (restarts ? "starts freely after a rest" : "stiffer after a rest");
        if (free) {
            work.write(part, page.lineId(), WorkEntry.Kind.DID, Operation.TORQUE, words, page.me());
        } else {
            work.write(part, page.lineId(), WorkEntry.Kind.TICKED, Finding.TURNS_STIFF, words, page.me());
        }
        return live(page, Sheet.LINE);
    }

    /** What was read by turning, the last first. */
    private void fillTorque(PartPage page) {
        List<String> said = new ArrayList<>();
        for (WorkEntry e : work.of(page.part())) {
            if (e.what().equals(Operation.TORQUE.name()) && e.kind() == WorkEntry.Kind.DID) {
                said.add(0, "Free: " + e.note());
            } else if (e.what().equals(Finding.TURNS_STIFF.name())) {
                said.add(0, "Not free: " + e.note() + ". The line is owed.");
            }
        }
        page.show("turned", said);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/liners/set-up")
    String liners(PartPage page, @Valid @ModelAttribute LinersForm form) {
        requireItsOwn(page, Sheet.LINERS);
        PartFile part = page.part();
        sheets.setUp(part, page.lineId(), Sheet.LINERS, form.setUp(page.unit()).kept(), page.me());
        return "redirect:/parts/" + part.tag() + "/liners";
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/index/set-up")
    String index(
            PartPage page,
            @RequestParam(defaultValue = "true") boolean outerAtTop,
            @RequestParam(defaultValue = "") String warm,
            @RequestParam(defaultValue = "") String gauge) {
        requireItsOwn(page, Sheet.INDEX);
        PartFile part = page.part();
        Optional<Scale> scale = warm.isBlank() && gauge.isBlank()
                ? Optional.empty()
                : Optional.of(new Scale(
                        celsius(page, warm),
                        celsius(page, gauge),
                        Metal.of(part.material()).alpha() * 1e-6));
        sheets.setUp(part, page.lineId(), Sheet.INDEX, new IndexSetup(outerAtTop, scale).kept(), page.me());
        return "redirect:/parts/" + part.tag() + "/index";
    }

    /** To a tenth; what is no temperature is refused in the words of {@link Scale}. */
    private static double celsius(PartPage page, String typed) {
        OptionalDouble read = Quantity.TEMPERATURE.read(page.writer().temperatureTyped(typed), BenchUnit.MM);
        return read.isPresent() ? Math.rint(read.getAsDouble() * 10) / 10 : Double.NaN;
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{sheet:line|liners|index}/readings")
    String key(PartPage page, @PathVariable Sheet sheet, Keyed keyed) {
        readings.key(page.part(), sheet.path(), keyed, page.me());
        return live(page, sheet);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{sheet:line|liners|index}/undo")
    String undo(PartPage page, @PathVariable Sheet sheet) {
        Optional<String> place = sheets.undo(page.part(), sheet, page.lineId(), page.me());
        if (place.isEmpty()) {
            throw new BadInputException("undo", "app.lines.nothing-of-yours-is-left-to-take-back");
        }
        page.standAt(place.get());
        return live(page, sheet);
    }

    @GetMapping("/parts/{tag}/{sheet:line|liners|index}/live")
    Object look(PartPage page, @PathVariable Sheet sheet, @RequestParam(defaultValue = "-1") long seen) {
        return sheets.of(page.part(), sheet).requireSetUp().revision() == seen
                ? ResponseEntity.noContent().build()
                : live(page, sheet);
    }

    private String live(PartPage page, Sheet sheet) {
        return page.read(() -> {
            show(page, sheet);
            return "check/lines/sheet :: live";
        });
    }
}

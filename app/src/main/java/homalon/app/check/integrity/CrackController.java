package homalon.app.check.integrity;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.drawing.CrackMark;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.WorkingView;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.integrity.Crack;
import homalon.core.integrity.CrackMethod;
import homalon.core.integrity.CrackPlace;
import homalon.core.integrity.CrackRules;
import homalon.core.integrity.CrackSpots;
import homalon.core.integrity.Reach;
import homalon.core.integrity.Remedy;
import homalon.core.integrity.Stitch;
import homalon.core.part.Layout;
import homalon.core.part.Material;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import homalon.core.visit.CrackFile;
import homalon.core.visit.PartFile;
import homalon.core.words.Message;
import jakarta.validation.Valid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Cracks marked on the drawing, and what becomes of each. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class CrackController {
    private final Faces faces;
    private final Cracks cracks;
    private final Photos photos;
    private final WorkLog work;
    private final People people;

    /** A way to look for cracks on this metal. */
    record Look(CrackMethod method, String refusal) {}

    /** A crack as the page shows it. */
    record Shown(
            UUID id,
            int no,
            String words,
            String reaches,
            String by,
            Remedy remedy,
            String rule,
            String because,
            String why,
            List<Remedy> ladder,
            boolean stitched,
            String pin,
            String pins,
            WorkingView working) {}

    @GetMapping("/parts/{tag}/cracks")
    String page(PartPage page) {
        return page.read(() -> {
            show(page);
            return "check/integrity/cracks";
        });
    }

    private void show(PartPage page) {
        PartFile part = page.part();
        Map<UUID, String> names = people.names();
        List<CrackFile> found = cracks.of(part);
        Layout layout = faces.layout(part.numbers());
        page.show(
                "drawing",
                FaceDrawing.of(layout, "cracks", spoken(part, found))
                        .cracks(marks(found))
                        .svg());
        page.show(
                "found", found.stream().map(c -> shown(c, names, page.writer())).toList());
        page.show("counted", counted(found));
        page.show(
                "looks",
                Arrays.stream(CrackMethod.values())
                        .map(m ->
                                new Look(m, Words.of(m.refusal(part.material())).orElse("")))
                        .toList());
        page.show(
                "places",
                Arrays.stream(CrackPlace.values())
                        .filter(p -> p.on(part.kind()))
                        .toList());
        page.show("reaches", Reach.values());
        page.show("bores", layout.bores());
        page.show("lowerEdge", part.numbers().intakeAtTop() ? "exhaust edge" : "intake edge");
        page.show("usual", part.material() == Material.CAST_IRON ? CrackMethod.MAGNETIC_PARTICLE : CrackMethod.DYE);
        page.show("photos", photos.of(part));
        page.show("checked", checked(part, names));
        page.frame(StepKind.CRACKS);
    }

    private static String counted(List<CrackFile> found) {
        long suspected = found.stream().filter(c -> c.what().suspect()).count();
        long seen = found.size() - suspected;
        List<String> words = new ArrayList<>();
        if (seen > 0) {
            words.add(seen + (seen == 1 ? " crack marked" : " cracks marked"));
        }
        if (suspected > 0) {
            words.add(suspected + (suspected == 1 ? " place suspected" : " places suspected"));
        }
        return String.join(", ", words);
    }

    private List<String> checked(PartFile part, Map<UUID, String> names) {
        return work.of(part).stream()
                .filter(e -> e.kind() == WorkEntry.Kind.DID && e.what().equals(Operation.CRACK_CHECK.name()))
                .map(e -> "Checked by " + e.note() + ", " + names.getOrDefault(e.by(), "someone"))
                .toList();
    }

    private static String spoken(PartFile part, List<CrackFile> found) {
        return "Face of " + part.tag() + ", front at the left. "
                + (found.isEmpty()
                        ? "No crack marked."
                        : found.stream()
                                .map(c -> "Crack " + c.no() + " "
                                        + Words.of(c.what().place().words()))
                                .collect(Collectors.joining(", ", "", ".")));
    }

    static List<CrackMark> marks(List<CrackFile> found) {
        List<CrackMark> all = new ArrayList<>();
        for (CrackFile c : found) {
            Optional<Stitch> stitch = c.stitch();
            all.add(new CrackMark(
                    Integer.toString(c.no()),
                    c.what().suspect() ? "suspect" : c.remedy().name().toLowerCase(Locale.ROOT),
                    c.from(),
                    c.what().suspect() ? c.from() : c.to(),
                    stitch.map(s -> s.centres(c.from(), c.to())).orElse(List.of()),
                    c.pin().mm(),
                    "Crack " + c.no() + ", " + Words.of(c.what().place().words()) + ": "
                            + Words.of(c.remedy().words())));
        }
        return all;
    }

    private static Shown shown(CrackFile c, Map<UUID, String> names, LengthWriter writer) {
        Crack what = c.what();
        CrackRules.Rule rule = c.rule();
        boolean stitched = c.remedy() == Remedy.STITCH || c.remedy() == Remedy.STITCH_AND_INSERT;
        String length = what.suspect()
                ? "suspected, no crack seen"
                : writer.size(Length.roundedFromMm(what.length())) + " long";
        Optional<Stitch> stitch = c.stitch();
        return new Shown(
                c.crack(),
                c.no(),
                Words.of(what.place().words()) + ", " + length,
                what.suspect()
                        ? ""
                        : what.reaches().isEmpty()
                                ? "reaches nothing"
                                : "reaches "
                                        + what.reaches().stream()
                                                .map(it -> Words.of(it.words()))
                                                .collect(Collectors.joining(", ")),
                "by " + Words.of(what.method().words()) + ", " + names.getOrDefault(c.by(), "someone"),
                c.remedy(),
                Words.of(rule.remedy().words())
                        + (rule.tests() == 2 ? ", tested twice" : rule.tests() == 1 ? ", tested" : ""),
                Words.of(rule.when()) + ": " + Words.of(rule.because()),
                c.why(),
                CrackRules.ladder(what),
                stitched,
                c.pin().signum() > 0 ? writer.size(c.pin()) : "",
                stitch.map(s -> s.pins() + " pins, " + writer.size(Length.roundedFromMm(s.pitch())) + " apart")
                        .orElse(""),
                stitch.map(s -> WorkingView.of(s.working(), writer)).orElse(null));
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/cracks")
    String mark(PartPage page, @Valid @ModelAttribute CrackForm form) {
        PartFile part = page.part();
        Crack crack = form.crack(part, page.unit());
        CrackSpots.Tips tips = form.tips(faces.layout(part.numbers()), crack, page.unit());
        cracks.mark(part, page.lineId(), crack, form.bore(), tips.from(), tips.to(), page.me());
        return live(page);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/cracks/{crack}")
    String decide(
            PartPage page,
            @PathVariable UUID crack,
            @RequestParam Remedy remedy,
            @RequestParam(defaultValue = "") String why,
            @RequestParam(defaultValue = "") String pin) {
        Length diameter = pin.isBlank() ? Length.ZERO : Length.parseSize(pin, page.unit());
        cracks.decide(page.part(), page.lineId(), crack, remedy, why, diameter, page.me());
        return live(page);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/cracks/{crack}/remove")
    String remove(PartPage page, @PathVariable UUID crack) {
        cracks.remove(page.part(), page.lineId(), crack, page.me());
        return live(page);
    }

    /** All of it was looked at. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cracks/checked")
    String done(PartPage page, @RequestParam(required = false) CrackMethod method) {
        PartFile part = page.part();
        if (method == null) {
            throw new BadInputException("method", "app.integrity.say-how-it-was-looked-at-what-was-not");
        }
        Words.of(method.refusal(part.material())).ifPresent(no -> {
            throw new BadInputException("method", Message.plain(no));
        });
        page.require(Operation.CRACK_CHECK);
        work.write(part, page.lineId(), WorkEntry.Kind.DID, Operation.CRACK_CHECK, Words.of(method.words()), page.me());
        return live(page);
    }

    private String live(PartPage page) {
        return page.read(() -> {
            show(page);
            return "check/integrity/cracks :: live";
        });
    }
}

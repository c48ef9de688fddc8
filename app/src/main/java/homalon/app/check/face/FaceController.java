package homalon.app.check.face;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.PlaceMark;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.web.Shell;
import homalon.app.foundation.web.WriteTransaction;
import homalon.app.foundation.words.Words;
import homalon.app.shop.instruments.Hands;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The keying of surveys: one controller for the face, its proof after the cut, and the thickness. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class FaceController {
    private final Faces faces;
    private final Surveys surveys;
    private final SurveyStarts starts;
    private final SurveyPlaces places;
    private final FacePages pages;
    private final FaceReadings readings;
    private final WriteTransaction writing;

    /** A density and the places it would propose. */
    record Choice(PlaceProposal.Density density, int places) {}

    @GetMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}")
    String page(
            PartPage page,
            @PathVariable SurveyKind kind,
            @RequestParam(defaultValue = "FEWEST") PlaceProposal.Density density) {
        return page.read(() -> survey(page, kind, density));
    }

    private String survey(PartPage page, SurveyKind survey, PlaceProposal.Density density) {
        PartFile part = page.part();
        Optional<SurveyFile> begun = surveys.find(part, survey);
        page.show("kind", survey);
        page.show("risk", FaceViews.risk(part));
        if (begun.isEmpty()) {
            empty(page, survey, density);
            page.frame(survey.step());
        } else {
            pages.show(page, begun.get());
        }
        return begun.isEmpty() ? "check/face/start" : "check/face/survey";
    }

    private void empty(PartPage page, SurveyKind kind, PlaceProposal.Density density) {
        PartFile part = page.part();
        Layout layout = faces.layout(part.numbers());
        PlaceProposal.Density shown = kind.ofHeights() ? density : PlaceProposal.Density.CORNERS;
        List<PlaceMark> marks = new ArrayList<>();
        for (PlaceProposal.Place p : starts.proposed(part, kind, density)) {
            marks.add(new PlaceMark("", p.spot(), PlaceMark.State.OPEN, Integer.toString(marks.size() + 1), p.name()));
        }
        List<Choice> choices = new ArrayList<>();
        for (PlaceProposal.Density d : PlaceProposal.Density.values()) {
            choices.add(new Choice(d, starts.proposed(part, SurveyKind.FACE, d).size()));
        }
        page.show(
                "drawing",
                FaceDrawing.of(layout, "face", "Where to measure: " + marks.size() + " places in walking order")
                        .places(marks)
                        .svg());
        page.show("count", marks.size());
        page.show("density", shown);
        page.show("choices", choices);
        page.show("uncertainty", page.writer().full(RuleBook.DEFAULT_UNCERTAINTY));
        pages.proposed(page, kind);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/start")
    String start(
            PartPage page,
            @PathVariable SurveyKind kind,
            @RequestParam(defaultValue = "FEWEST") PlaceProposal.Density density,
            @RequestParam(defaultValue = "") String uncertainty,
            @RequestParam Map<String, String> typed) {
        PartFile part = page.part();
        Length unsure = uncertainty.isBlank() ? RuleBook.DEFAULT_UNCERTAINTY : Length.parse(uncertainty, page.unit());
        starts.start(part, kind, density, unsure, Hands.chosen(kind.instruments(), typed), page.me());
        return "redirect:/parts/" + part.tag() + "/" + kind.path();
    }

    /** Stores one reading and answers with what it changes on the page; 409 with a question when it seems odd. */
    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/readings")
    Object key(PartPage page, @PathVariable SurveyKind kind, Keyed keyed) {
        writing.of(() -> {
            readings.key(page.part(), kind.path(), keyed, page.me());
            return true;
        });
        // The page holds the other rows of the walk already, and asks for the rest by itself.
        page.show("only", keyed.placeId());
        return pages.afterReading(page, kind);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/undo")
    String undo(PartPage page, @PathVariable SurveyKind kind) {
        Optional<UUID> place = surveys.undo(page.part(), kind, page.lineId(), page.me());
        if (place.isEmpty()) {
            throw new BadInputException("undo", "app.face.nothing-of-yours-is-left-to-take-back");
        }
        page.standAt(place.get().toString());
        return live(page, kind);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/places")
    String add(PartPage page, @PathVariable SurveyKind kind, @RequestParam double x, @RequestParam double y) {
        UUID place = places.add(page.part(), kind, new Spot(x, y), page.me());
        page.standAt(place.toString());
        return live(page, kind);
    }

    /** Several places at once. */
    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof}/several")
    String several(PartPage page, @PathVariable SurveyKind kind) {
        places.addSeveral(page.part(), kind, page.me()).ifPresent(place -> page.standAt(place.toString()));
        return live(page, kind);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/places/{place}")
    String change(
            PartPage page,
            @PathVariable SurveyKind kind,
            @PathVariable UUID place,
            @RequestParam String what,
            @RequestParam(defaultValue = "0") double x,
            @RequestParam(defaultValue = "0") double y) {
        PartFile part = page.part();
        SurveyKind survey = kind;
        switch (what) {
            case "move" ->
                page.standAt(places.move(part, survey, place, new Spot(x, y), page.me())
                        .toString());
            case "drop" -> places.drop(part, survey, place, page.me());
            case "bring-back" -> places.restore(part, survey, place, page.me());
            case "seals" -> places.setSealing(part, survey, place, true, page.me());
            case "does-not-seal" -> places.setSealing(part, survey, place, false, page.me());
            default -> throw new BadInputException("what", "app.face.a-place-can-be-moved-dropped-or-marked");
        }
        return live(page, survey);
    }

    /**
     * What the page shows of a survey now: asked when another browser may have keyed.
     *
     * @param seen revision that the page shows; nothing is answered while it stands
     */
    @GetMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/live")
    Object live(PartPage page, @PathVariable SurveyKind kind, @RequestParam(defaultValue = "-1") long seen) {
        boolean stands = seen >= 0
                && surveys.find(page.part(), kind)
                        .filter(s -> s.revision() == seen)
                        .isPresent();
        return stands ? ResponseEntity.noContent().build() : live(page, kind);
    }

    private String live(PartPage page, SurveyKind kind) {
        return pages.live(page, kind);
    }

    /** What a field's text was taken for. */
    @GetMapping("/echo")
    ResponseEntity<String> echo(
            @RequestParam(defaultValue = "") String typed,
            @RequestParam(defaultValue = "false") boolean size,
            Shell shell) {
        try {
            Length length = size ? Length.parseSize(typed, shell.unit()) : Length.parse(typed, shell.unit());
            LengthWriter other = new LengthWriter(shell.unit().other());
            String words = size
                    ? shell.writer().size(length) + " = " + other.size(length)
                    : shell.writer().full(length) + " = " + other.full(length);
            return sentence(HttpStatus.OK, words);
        } catch (NotALengthException e) {
            return sentence(HttpStatus.OK, typed.isBlank() ? "" : Words.of(e.sentence()));
        }
    }

    private static ResponseEntity<String> sentence(HttpStatus status, String words) {
        return ResponseEntity.status(status)
                .contentType(new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8))
                .body(words);
    }
}

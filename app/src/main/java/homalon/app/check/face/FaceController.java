package homalon.app.check.face;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.PlaceMark;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.People;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.OneWrite;
import homalon.app.foundation.web.Shell;
import homalon.core.face.PlaceProposal;
import homalon.core.face.PlacesWanted;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.Soak;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The keying of surveys: one controller for the face, its proof after the cut, and the thickness. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class FaceController {
    private final Parts parts;
    private final PartShells shells;
    private final Faces faces;
    private final Surveys surveys;
    private final FaceViews views;
    private final People people;
    private final OneRead reading;
    private final OneWrite writing;

    /**
     * A density and the places it would propose.
     *
     * @param lacks how many more it takes to prove every limit; 0 where they do
     */
    record Choice(PlaceProposal.Density density, int places, int lacks) {}

    @GetMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}")
    String page(
            @PathVariable String tag,
            @PathVariable String kind,
            @RequestParam(defaultValue = "USUAL") PlaceProposal.Density density,
            Shell shell,
            Model model) {
        return reading.of(() -> page(parts.byTag(tag), kind(kind), density, shell, model));
    }

    private String page(PartFile part, SurveyKind survey, PlaceProposal.Density density, Shell shell, Model model) {
        Optional<SurveyFile> begun = surveys.find(part, survey);
        model.addAttribute("kind", survey);
        if (begun.isEmpty()) {
            empty(model, part, survey, density, shell.writer());
        } else {
            model.addAttribute("view", views.of(part, begun.get(), shell.unit()));
        }
        model.addAttribute("head", shells.head(part, survey.step(), shell.writer()));
        return begun.isEmpty() ? "face/start" : "face/survey";
    }

    private void empty(
            Model model, PartFile part, SurveyKind kind, PlaceProposal.Density density, LengthWriter writer) {
        Layout layout = faces.layout(part.numbers());
        PlaceProposal.Density shown = kind.ofHeights() ? density : PlaceProposal.Density.CORNERS;
        List<PlaceMark> marks = new ArrayList<>();
        for (PlaceProposal.Place p : surveys.proposed(part, kind, density)) {
            marks.add(new PlaceMark("", p.spot(), PlaceMark.State.OPEN, Integer.toString(marks.size() + 1), p.name()));
        }
        List<Choice> choices = new ArrayList<>();
        for (PlaceProposal.Density d : PlaceProposal.Density.values()) {
            List<Spot> spots = surveys.proposed(part, SurveyKind.FACE, d).stream()
                    .map(PlaceProposal.Place::spot)
                    .toList();
            int lacks = kind.ofHeights()
                    ? PlacesWanted.missing(layout, spots, part.limits(), RuleBook.DEFAULT_COVER.mm())
                            .size()
                    : 0;
            choices.add(new Choice(d, spots.size(), lacks));
        }
        model.addAttribute(
                "drawing",
                FaceDrawing.of(layout, "face", "Where to measure: " + marks.size() + " places in walking order")
                        .places(marks)
                        .svg());
        model.addAttribute("count", marks.size());
        model.addAttribute("density", shown);
        model.addAttribute("choices", choices);
        model.addAttribute("uncertainty", writer.full(RuleBook.DEFAULT_UNCERTAINTY));
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/start")
    String start(
            @PathVariable String tag,
            @PathVariable String kind,
            @RequestParam(defaultValue = "USUAL") PlaceProposal.Density density,
            @RequestParam(defaultValue = "") String uncertainty,
            @AuthenticationPrincipal Signed me,
            Shell shell) {
        PartFile part = parts.byTag(tag);
        Length unsure = uncertainty.isBlank() ? RuleBook.DEFAULT_UNCERTAINTY : Length.parse(uncertainty, shell.unit());
        surveys.start(part, kind(kind), density, unsure, me.id());
        return "redirect:/parts/" + part.tag() + "/" + kind;
    }

    private record Fared(PartFile part, Surveys.Outcome outcome) {}

    /** Stores one reading and answers with what it changes on the page; 409 with a question when it seems odd. */
    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/readings")
    Object key(
            @PathVariable String tag,
            @PathVariable String kind,
            @RequestParam UUID id,
            @RequestParam UUID place,
            @RequestParam String typed,
            @RequestParam BenchUnit unit,
            @RequestParam(defaultValue = "0") long seen,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        Surveys.Keyed keyed = new Surveys.Keyed(id, place, typed, unit, seen, sure);
        Fared fared = writing.of(() -> {
            PartFile part = parts.byTag(tag);
            return new Fared(part, surveys.key(part, kind(kind), keyed, people::nameOf, me.id()));
        });
        if (fared.outcome() instanceof Surveys.Outcome.Asks asks) {
            throw new AskAgainException(asks.sentence(), asks.seen());
        }
        // The page holds the other rows of the walk already.
        model.addAttribute("only", place);
        return live(fared.part(), kind(kind), shell, model);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/undo")
    String undo(
            PartFile part,
            @PathVariable String kind,
            @RequestParam UUID id,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        Optional<UUID> place = surveys.undo(part, kind(kind), id, me.id());
        if (place.isEmpty()) {
            throw new BadInputException("undo", "Nothing of yours is left to take back here.");
        }
        response.setHeader("X-Place", place.get().toString());
        return live(part, kind(kind), shell, model);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/soak")
    String soak(
            PartFile part,
            @PathVariable String kind,
            @RequestParam(defaultValue = "") String warm,
            @RequestParam(defaultValue = "") String room,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        surveys.note(part, kind(kind), new Soak(degrees(warm), degrees(room)), me.id());
        return live(part, kind(kind), shell, model);
    }

    /** Null for what is no number. */
    private static BigDecimal degrees(String typed) {
        String tidy = typed.strip().replace(',', '.').replace('\u2212', '-');
        return tidy.matches("-?[0-9]{1,3}(\\.[0-9])?") ? new BigDecimal(tidy) : null;
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/places")
    String add(
            PartFile part,
            @PathVariable String kind,
            @RequestParam double x,
            @RequestParam double y,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        UUID place = surveys.add(part, kind(kind), new Spot(x, y), me.id());
        response.setHeader("X-Place", place.toString());
        return live(part, kind(kind), shell, model);
    }

    /** The places that the limits in force lack. */
    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof}/wanted")
    String wanted(
            PartFile part,
            @PathVariable String kind,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        surveys.addWanted(part, kind(kind), me.id())
                .ifPresent(place -> response.setHeader("X-Place", place.toString()));
        return live(part, kind(kind), shell, model);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/places/{place}")
    String change(
            PartFile part,
            @PathVariable String kind,
            @PathVariable UUID place,
            @RequestParam String what,
            @RequestParam(defaultValue = "0") double x,
            @RequestParam(defaultValue = "0") double y,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        SurveyKind survey = kind(kind);
        switch (what) {
            case "move" ->
                response.setHeader(
                        "X-Place",
                        surveys.move(part, survey, place, new Spot(x, y), me.id())
                                .toString());
            case "drop" -> surveys.drop(part, survey, place, me.id());
            case "bring-back" -> surveys.restore(part, survey, place, me.id());
            case "seals" -> surveys.setSealing(part, survey, place, true, me.id());
            case "does-not-seal" -> surveys.setSealing(part, survey, place, false, me.id());
            default ->
                throw new BadInputException("what", "A place can be moved, dropped, or marked as sealing or not.");
        }
        return live(part, survey, shell, model);
    }

    /**
     * What the page shows of a survey now: asked when another browser may have keyed.
     *
     * @param seen revision that the page shows; nothing is answered while it stands
     */
    @GetMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/live")
    Object live(
            PartFile part,
            @PathVariable String kind,
            @RequestParam(defaultValue = "-1") long seen,
            Shell shell,
            Model model) {
        boolean stands = seen >= 0
                && surveys.find(part, kind(kind))
                        .filter(s -> s.revision() == seen)
                        .isPresent();
        return stands ? ResponseEntity.noContent().build() : live(part, kind(kind), shell, model);
    }

    private String live(PartFile part, SurveyKind kind, Shell shell, Model model) {
        return reading.of(() -> show(part, kind, shell, model));
    }

    private String show(PartFile part, SurveyKind kind, Shell shell, Model model) {
        SurveyFile survey = surveys.find(part, kind)
                .orElseThrow(() -> new BadInputException("survey", "This survey was not started: start it first."));
        model.addAttribute("kind", kind);
        model.addAttribute("view", views.of(part, survey, shell.unit()));
        model.addAttribute("head", shells.head(part, kind.step(), shell.writer()));
        return "face/survey :: live";
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
            return sentence(HttpStatus.OK, typed.isBlank() ? "" : e.getMessage());
        }
    }

    private static ResponseEntity<String> sentence(HttpStatus status, String words) {
        return ResponseEntity.status(status)
                .contentType(new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8))
                .body(words);
    }

    private static SurveyKind kind(String path) {
        for (SurveyKind kind : SurveyKind.values()) {
            if (kind.path().equals(path)) {
                return kind;
            }
        }
        throw new NotHereException("There is no such survey: go back to the bench.");
    }
}

package homalon.app.check.feelers;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.drawing.EdgeMark;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.People;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.Shell;
import homalon.app.shop.tools.Toolbox;
import homalon.core.face.FeelerProposal;
import homalon.core.face.FeelerSurvey;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.RuleBook;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
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
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Straightedge and feelers on a face, before the cut and after it. */
@ToEverybody
@Controller
@RequestMapping("/parts/{tag}/{kind:feelers|proof-feelers}")
@RequiredArgsConstructor
class FeelerController {
    private final Parts parts;
    private final PartShells shells;
    private final Faces faces;
    private final FeelerSurveys surveys;
    private final FeelerViews views;
    private final Toolbox toolbox;
    private final People people;
    private final OneRead reading;

    @GetMapping
    String page(@PathVariable String tag, @PathVariable String kind, Shell shell, Model model) {
        return reading.of(() -> {
            PartFile part = parts.byTag(tag);
            Optional<FeelerFile> begun = surveys.find(part, kind(kind));
            model.addAttribute("kind", kind(kind));
            model.addAttribute("head", shells.head(part, kind(kind).step(), shell.writer()));
            if (begun.isPresent()) {
                model.addAttribute("view", views.of(part, begun.get(), shell.unit()));
                return "feelers/survey";
            }
            empty(part, shell, model);
            return "feelers/start";
        });
    }

    private void empty(PartFile part, Shell shell, Model model) {
        Layout layout = faces.layout(part.numbers());
        List<FeelerProposal.Line> lines = FeelerProposal.of(layout);
        List<EdgeMark> marks = lines.stream()
                .map(l -> new EdgeMark(
                        l.from(),
                        l.to(),
                        EdgeMark.Rest.UNKNOWN,
                        "",
                        l.places().stream()
                                .map(t -> new EdgeMark.GapMark("", t, false, 0, 0, false, l.name()))
                                .toList(),
                        l.name()))
                .toList();
        model.addAttribute(
                "drawing",
                FaceDrawing.of(layout, "feelers", "Where to lay the edge: " + lines.size() + " lines")
                        .edges(marks, 0.05)
                        .svg());
        model.addAttribute("lines", lines.size());
        model.addAttribute(
                "dowels",
                layout.dowels().stream()
                        .map(d -> PlaceNames.corner(layout, d.centre()))
                        .toList());
        model.addAttribute(
                "blades",
                toolbox.blades(shell.unit()).blades().stream()
                        .map(shell.writer()::number)
                        .toList());
        model.addAttribute("own", toolbox.ownBlades().isPresent());
        model.addAttribute(
                "limitBlade",
                shell.writer().full(toolbox.blades(shell.unit()).asThickAs(RuleBook.overall(part.limits()))));
    }

    @ToMachinists
    @PostMapping("/start")
    String start(
            @PathVariable String tag,
            @PathVariable String kind,
            @RequestParam(defaultValue = "FIND") Way way,
            @RequestParam(defaultValue = "GAP") FeelerSurvey.Kind limitKind,
            @AuthenticationPrincipal Signed me,
            Shell shell) {
        PartFile part = parts.byTag(tag);
        surveys.start(part, kind(kind), limitKind, way, shell.unit(), me.id());
        return "redirect:/parts/" + part.tag() + "/" + kind;
    }

    @ToMachinists
    @PostMapping("/way")
    String use(@PathVariable String tag, @PathVariable String kind, @RequestParam Way way) {
        PartFile part = parts.byTag(tag);
        surveys.use(part, kind(kind), way);
        return "redirect:/parts/" + part.tag() + "/" + kind;
    }

    /** Stores what was keyed and answers with what it changes on the page; 409 with a question when another was there. */
    @ToMachinists
    @PostMapping("/readings")
    Object key(
            PartFile part,
            @PathVariable String kind,
            @RequestParam UUID id,
            @RequestParam UUID place,
            @RequestParam String typed,
            @RequestParam BenchUnit unit,
            @RequestParam(defaultValue = "0") long seen,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        FeelerSurveys.Keyed keyed = new FeelerSurveys.Keyed(id, place, typed, unit, seen, sure);
        FeelerSurveys.Outcome outcome = surveys.key(part, kind(kind), keyed, people::nameOf, me.id());
        if (outcome instanceof FeelerSurveys.Outcome.Asks asks) {
            throw new AskAgainException(asks.sentence(), asks.seen());
        }
        return reading.of(() -> live(part, kind(kind), shell, model));
    }

    @ToMachinists
    @PostMapping("/undo")
    String undo(
            PartFile part,
            @PathVariable String kind,
            @RequestParam UUID id,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        UUID place = surveys.undo(part, kind(kind), id, me.id())
                .orElseThrow(() -> new BadInputException("undo", "Nothing of yours is left to take back here."));
        response.setHeader("X-Place", place.toString());
        return reading.of(() -> live(part, kind(kind), shell, model));
    }

    @GetMapping("/live")
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
        return stands ? ResponseEntity.noContent().build() : reading.of(() -> live(part, kind(kind), shell, model));
    }

    private String live(PartFile part, FeelerKind kind, Shell shell, Model model) {
        FeelerFile survey = surveys.find(part, kind)
                .orElseThrow(() -> new BadInputException("survey", "This face was not begun: start it first."));
        model.addAttribute("kind", kind);
        model.addAttribute("view", views.of(part, survey, shell.unit()));
        model.addAttribute("head", shells.head(part, kind.step(), shell.writer()));
        return "feelers/survey :: live";
    }

    private static FeelerKind kind(String path) {
        for (FeelerKind kind : FeelerKind.values()) {
            if (kind.path().equals(path)) {
                return kind;
            }
        }
        throw new NotHereException("There is no such survey: go back to the bench.");
    }
}

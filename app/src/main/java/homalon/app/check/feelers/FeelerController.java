package homalon.app.check.feelers;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.drawing.EdgeMark;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Keyed;
import homalon.app.shop.instruments.HandView;
import homalon.app.shop.instruments.Hands;
import homalon.app.shop.tools.Toolbox;
import homalon.core.face.FeelerProposal;
import homalon.core.face.FeelerSurvey;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BladeSet;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerWay;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
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
    private final Faces faces;
    private final FeelerSurveys surveys;
    private final FeelerStarts starts;
    private final FeelerViews views;
    private final Toolbox toolbox;
    private final FeelerReadings readings;
    private final Hands hands;

    @GetMapping
    String page(PartPage page, @PathVariable FeelerKind kind) {
        return page.read(() -> {
            PartFile part = page.part();
            Optional<FeelerFile> begun = surveys.find(part, kind);
            page.show("kind", kind);
            page.frame(kind.step());
            if (begun.isPresent()) {
                page.show("tag", part.tag());
                page.show("view", views.of(part, begun.get(), page.unit()));
                inHand(page, begun.get());
                return "check/feelers/survey";
            }
            empty(page, kind);
            return "check/feelers/start";
        });
    }

    private void inHand(PartPage page, FeelerFile survey) {
        page.show("hand", HandView.kinds(hands.choices(survey.kind().instruments(), page.me()), survey.instruments()));
    }

    private void empty(PartPage page, FeelerKind kind) {
        page.show("hand", HandView.proposed(hands.choices(kind.instruments(), page.me())));
        Layout layout = faces.layout(page.part().numbers());
        List<FeelerProposal.Line> lines = FeelerProposal.of(layout);
        BladeSet blades = toolbox.blades(page.unit());
        page.show(
                "drawing",
                FaceDrawing.of(layout, "feelers", "Where to lay the edge: " + lines.size() + " lines")
                        .edges(lines.stream().map(FeelerController::mark).toList(), 0.05)
                        .svg());
        page.show("lines", lines.size());
        page.show(
                "dowels",
                layout.dowels().stream()
                        .map(d -> PlaceNames.corner(layout, d.centre()))
                        .toList());
        page.show("blades", blades.blades().stream().map(page.writer()::number).toList());
        page.show("own", toolbox.ownBlades().isPresent());
        Length limit = RuleBook.overall(page.part().limits());
        page.show("limitBlade", page.writer().full(blades.asThickAs(limit)));
    }

    private static EdgeMark mark(FeelerProposal.Line line) {
        List<EdgeMark.GapMark> gaps = line.places().stream()
                .map(t -> new EdgeMark.GapMark("", t, false, 0, 0, false, line.name()))
                .toList();
        return new EdgeMark(line.from(), line.to(), EdgeMark.Rest.UNKNOWN, "", gaps, line.name());
    }

    @ToMachinists
    @PostMapping("/start")
    String start(
            PartPage page,
            @PathVariable FeelerKind kind,
            @RequestParam(defaultValue = "FIND") FeelerWay way,
            @RequestParam(defaultValue = "GAP") FeelerSurvey.Kind limitKind,
            @RequestParam Map<String, String> typed) {
        PartFile part = page.part();
        starts.start(part, kind, limitKind, way, page.unit(), Hands.chosen(kind.instruments(), typed), page.me());
        return "redirect:/parts/" + part.tag() + "/" + kind.path();
    }

    /** From now on it is in hand. */
    @ToMachinists
    @PostMapping("/with")
    String take(
            PartPage page,
            @PathVariable FeelerKind kind,
            @RequestParam InstrumentKind instrument,
            @RequestParam(defaultValue = "") String code) {
        surveys.take(page.part(), kind, instrument, code, page.me());
        return page.read(() -> live(page, kind));
    }

    @ToMachinists
    @PostMapping("/way")
    String use(PartPage page, @PathVariable FeelerKind kind, @RequestParam FeelerWay way) {
        PartFile part = page.part();
        surveys.use(part, kind, way);
        return "redirect:/parts/" + part.tag() + "/" + kind.path();
    }

    /** Stores what was keyed and answers with what it changes on the page; 409 with a question when another was there. */
    @ToMachinists
    @PostMapping("/readings")
    Object key(PartPage page, @PathVariable FeelerKind kind, Keyed keyed) {
        readings.key(page.part(), kind.path(), keyed, page.me());
        return page.read(() -> {
            FeelerView view = views.atOnce(page.part(), begun(page, kind), page.unit());
            return view.awaited() ? show(page, kind, view, "at-once") : live(page, kind);
        });
    }

    @ToMachinists
    @PostMapping("/undo")
    String undo(PartPage page, @PathVariable FeelerKind kind) {
        UUID place = surveys.undo(page.part(), kind, page.lineId(), page.me())
                .orElseThrow(() -> new BadInputException("undo", "app.feelers.nothing-of-yours-is-left-to-take-back"));
        page.standAt(place.toString());
        return page.read(() -> live(page, kind));
    }

    @GetMapping("/live")
    Object live(PartPage page, @PathVariable FeelerKind kind, @RequestParam(defaultValue = "-1") long seen) {
        boolean stands = seen >= 0
                && surveys.find(page.part(), kind)
                        .filter(s -> s.revision() == seen)
                        .isPresent();
        return stands ? ResponseEntity.noContent().build() : page.read(() -> live(page, kind));
    }

    private FeelerFile begun(PartPage page, FeelerKind kind) {
        return surveys.find(page.part(), kind)
                .orElseThrow(
                        () -> new BadInputException("survey", "app.feelers.this-face-was-not-begun-start-it-first"));
    }

    private String live(PartPage page, FeelerKind kind) {
        FeelerFile survey = begun(page, kind);
        FeelerView view = views.of(page.part(), survey, page.unit());
        inHand(page, survey);
        page.frame(kind.step());
        return show(page, kind, view, "live");
    }

    private static String show(PartPage page, FeelerKind kind, FeelerView view, String fragment) {
        page.show("kind", kind);
        page.show("tag", page.part().tag());
        page.show("view", view);
        return "check/feelers/survey :: " + fragment;
    }
}

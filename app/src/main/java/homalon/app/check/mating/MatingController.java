package homalon.app.check.mating;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.FaceView;
import homalon.app.check.face.FaceViews;
import homalon.app.check.face.FacesBeside;
import homalon.app.check.face.Findings;
import homalon.app.check.face.Surveys;
import homalon.app.check.feelers.FeelerFindings;
import homalon.app.check.feelers.FeelerSurveys;
import homalon.app.foundation.drawing.Bands;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.PlaceMark;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Shell;
import homalon.app.foundation.words.Words;
import homalon.core.face.Mating;
import homalon.core.face.MatingBounds;
import homalon.core.part.Layout;
import homalon.core.part.PartKind;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.StepKind;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A face before and after, and a head on its deck. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class MatingController {
    private final Parts parts;
    private final Faces faces;
    private final Surveys surveys;
    private final Findings findings;
    private final FeelerSurveys feelers;
    private final FeelerFindings felt;
    private final Mates mates;

    @GetMapping("/parts/{tag}/compare")
    String page(PartPage page) {
        return page.read(() -> {
            PartFile part = page.part();
            page.frame(StepKind.FACE);
            page.show("view", view(part, page.shell()));
            return "check/mating/compare";
        });
    }

    /** What the field for the other one proposes while one types. */
    @GetMapping("/parts/{tag}/compare/others")
    String others(PartPage page, @RequestParam(defaultValue = "") String with) {
        return page.read(() -> {
            PartFile part = page.part();
            // The field that holds what was said before is clicked to see what else there is.
            boolean said = mates.of(part).filter(o -> o.tag().equals(with)).isPresent();
            page.show(
                    "candidates",
                    mates.candidates(part, said ? "" : with).stream()
                            .map(p -> new MatingView.Candidate(p.tag(), p.name() + ", " + p.customer()))
                            .toList());
            return "check/mating/compare :: others";
        });
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/compare")
    String with(PartPage page, @RequestParam String with) {
        PartFile part = page.part();
        mates.say(part, parts.byTag(with), page.me());
        return "redirect:/parts/" + part.tag() + "/compare";
    }

    /** A face with what is found on it. */
    private record Read(PartFile part, String title, FaceFinding finding) {}

    private Optional<Read> read(PartFile part, SurveyKind kind, String title) {
        return surveys.find(part, kind)
                .flatMap(s -> findings.of(part, s))
                .filter(f -> f.map().isPresent())
                .map(f -> new Read(part, title, f));
    }

    private MatingView view(PartFile part, Shell shell) {
        Optional<PartFile> other = mates.of(part);
        Optional<Read> own = read(part, SurveyKind.FACE, part.tag() + " on arrival");
        Optional<Read> proof = read(part, SurveyKind.PROOF, part.tag() + " after the cut");
        Optional<Read> its = other.flatMap(o -> latest(o));
        List<Read> all = Stream.of(own, proof, its).flatMap(Optional::stream).toList();
        boolean head = part.kind() == PartKind.HEAD;
        Optional<MatingView.Bounds> bounds = other.filter(o -> own.isEmpty() || its.isEmpty())
                .flatMap(o -> head ? bounds(part, o, shell) : bounds(o, part, shell));
        Bands bands = all.isEmpty()
                ? null
                : FacesBeside.bands(all.stream().map(Read::finding).toList(), shell.unit());
        Optional<Read> last = proof.or(() -> own);
        Optional<MatingView.Gap> gap = its.flatMap(i -> head ? gap(last, its, shell) : gap(its, last, shell));
        List<String> missing = new ArrayList<>();
        if (own.isEmpty() && bounds.isEmpty()) {
            missing.add("Read the face of " + part.tag() + " first.");
        }
        if (other.isPresent() && its.isEmpty() && bounds.isEmpty()) {
            missing.add("Read the face of " + other.get().tag() + " first.");
        }
        if (its.isPresent() && own.isPresent() && gap.isEmpty()) {
            missing.add("These two can be no pair: bores or sizes differ too much.");
        }
        return new MatingView(
                all.stream().map(r -> face(r, bands, shell)).toList(),
                bands == null ? List.of() : FaceViews.legend(bands, shell.writer()),
                gap,
                bounds,
                other.map(PartFile::tag).orElse(""),
                missing);
    }

    /** Without two maps: what feelers allow, or points fitted by bow and twist where the other has those. */
    private Optional<MatingView.Bounds> bounds(PartFile head, PartFile deck, Shell shell) {
        Optional<MatingBounds.Shape> of = shape(head);
        Optional<MatingBounds.Shape> its = shape(deck);
        if (of.isEmpty() || its.isEmpty()) {
            return Optional.empty();
        }
        LengthWriter writer = shell.writer();
        return MatingBounds.of(of.get(), faces.layout(head.numbers()), its.get(), faces.layout(deck.numbers()))
                .map(b -> new MatingView.Bounds(
                        Double.isInfinite(b.gap().most())
                                ? "Gap of at least " + writer.full(b.gap().least()) + ", nothing bounds it yet"
                                : "Gap between " + writer.number(b.gap().least()) + " and "
                                        + writer.full(b.gap().most()),
                        Words.of(b.words())));
    }

    private Optional<MatingBounds.Shape> shape(PartFile part) {
        for (FeelerKind kind : new FeelerKind[] {FeelerKind.PROOF, FeelerKind.FACE}) {
            SurveyKind points = kind == FeelerKind.PROOF ? SurveyKind.PROOF : SurveyKind.FACE;
            Optional<MatingBounds.Shape> shape = surveys.find(part, points)
                    .flatMap(s -> findings.of(part, s))
                    .map(f -> MatingBounds.Shape.of(
                            f.judgement().flatness().bend(), f.judgement().uncertainty()))
                    .or(() -> feelers.find(part, kind)
                            .filter(FeelerFile::begun)
                            .flatMap(f -> MatingBounds.Shape.of(felt.of(part, f).result())));
            if (shape.isPresent()) {
                return shape;
            }
        }
        return Optional.empty();
    }

    private Optional<Read> latest(PartFile part) {
        return read(part, SurveyKind.PROOF, part.tag() + " after its cut")
                .or(() -> read(part, SurveyKind.FACE, part.tag() + " on arrival"));
    }

    private MatingView.Face face(Read read, Bands bands, Shell shell) {
        Layout layout = faces.layout(read.part().numbers());
        FaceViews.Figures figures = FaceViews.figures(read.finding(), layout, shell.unit());
        FaceDrawing picture = FacesBeside.picture(
                read.finding(),
                layout,
                "f" + Integer.toUnsignedString(read.title().hashCode()),
                read.title(),
                bands);
        return new MatingView.Face(
                read.title(),
                figures.headline().words(),
                figures.headline().sentence(),
                figures.headline().style(),
                picture,
                figures.rows());
    }

    private Optional<MatingView.Gap> gap(Optional<Read> head, Optional<Read> deck, Shell shell) {
        if (head.isEmpty() || deck.isEmpty()) {
            return Optional.empty();
        }
        LengthWriter writer = shell.writer();
        return Mating.of(
                        head.get().finding().map().orElseThrow(),
                        deck.get().finding().map().orElseThrow())
                .map(m -> {
                    Bands bands = Bands.of(
                            m.map().range(), head.get().finding().limit().mm(), shell.unit());
                    FaceDrawing picture = FaceDrawing.of(
                                    faces.layout(deck.get().part().numbers()),
                                    "gap",
                                    "Gap between the two, over the deck: widest " + writer.full(m.greatest()))
                            .map(m.map(), bands)
                            .places(List.of(new PlaceMark(
                                    "widest",
                                    m.at(),
                                    PlaceMark.State.READ,
                                    writer.number(m.greatest()),
                                    "widest gap")));
                    List<FaceView.Legend> legend = FaceViews.legend(bands, writer);
                    return new MatingView.Gap(picture, legend, writer.full(m.greatest()), Words.of(m.words()));
                });
    }
}

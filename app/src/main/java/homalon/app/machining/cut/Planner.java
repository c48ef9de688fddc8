package homalon.app.machining.cut;

import homalon.app.casting.part.Faces;
import homalon.app.check.face.Findings;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.shop.tools.Toolbox;
import homalon.core.cut.Comparison;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.Supports;
import homalon.core.cut.TouchCells;
import homalon.core.cut.TouchComparison;
import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.lines.Taper;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.SealingBands;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.sure.CleanUp;
import homalon.core.surface.Noise;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.FaceModel;
import homalon.core.visit.FaceRule;
import homalon.core.visit.PartFile;
import homalon.core.visit.SquareReference;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Asks the core for the set-ups of a face that was read. */
@Component
@RequiredArgsConstructor
public class Planner {
    private final SquareReference square;
    private final Surveys surveys;
    private final Findings findings;
    private final Faces faces;
    private final Toolbox toolbox;
    private final Memory memory;

    /** All that a comparison depends on. */
    private record OfSetUps(
            LayoutNumbers numbers,
            SealingBands bands,
            List<SurveyFile.PlaceFile> face,
            Optional<Plane> reference,
            Supports footing)
            implements Question<Comparison> {
        @Override
        public int kilobytes() {
            return 128;
        }
    }

    /** All that a depth with its spread depends on. */
    private record OfCleaning(
            LayoutNumbers numbers,
            SealingBands bands,
            List<SurveyFile.PlaceFile> face,
            List<FlatnessLimit> limits,
            FaceRule rule,
            FaceModel.Habit habit,
            Noise noise,
            Plane plane,
            List<TouchComparison.Look> looks,
            List<Double> depths)
            implements Question<Optional<CleanUp>> {}

    /**
     * How much a cut in a set-up cleans, shims and all, with what lies between the places.
     *
     * @param looks what the cutter was seen to touch
     * @param depths from first touch that are asked about
     */
    Optional<CleanUp> cleanUp(
            PartFile part,
            ComparedFace compared,
            SetUpMethod school,
            List<TouchComparison.Look> looks,
            List<Length> depths) {
        Plane plane = compared.setUps()
                .with(school)
                .orElseGet(() -> compared.setUps().removals().get(0))
                .setUp()
                .onShims();
        FaceFinding finding = compared.finding();
        FaceModel model = findings.model(part, SurveyKind.FACE);
        List<Double> down = depths.stream().map(Length::mm).toList();
        return memory.answer(
                new OfCleaning(
                        part.numbers(),
                        part.bands(),
                        finding.all(),
                        part.limits(),
                        FaceRule.of(part),
                        model.habit(),
                        finding.noise(),
                        plane,
                        List.copyOf(looks),
                        down),
                () -> finding.cleanUp(part, model, faces.land(part), plane, looks, down));
    }

    /** Whether the face was read since it was cut: that says more than what was read before. */
    boolean readAgain(PartFile part) {
        return surveys.find(part, SurveyKind.PROOF).filter(s -> s.read() > 0).isPresent();
    }

    /** Empty while the face cannot be judged. */
    public Optional<ComparedFace> compare(PartFile part, Supports footing) {
        Optional<SurveyFile> survey = surveys.find(part, SurveyKind.FACE);
        return survey.flatMap(s -> findings.of(part, s)).flatMap(f -> compare(part, survey.get(), f, footing));
    }

    /** The supports that are proposed for every casting, on the shims that the shop has. */
    public Supports usual(PartFile part, BenchUnit unit) {
        return Supports.usual(faces.layout(part.numbers()).box(), toolbox.shims(unit));
    }

    public Box box(PartFile part) {
        return faces.layout(part.numbers()).box();
    }

    /** The face in cells, as it is painted. */
    Layout layout(PartFile part) {
        return faces.layout(part.numbers());
    }

    TouchCells cells(PartFile part) {
        return TouchCells.of(faces.land(part));
    }

    private Optional<ComparedFace> compare(PartFile part, SurveyFile survey, FaceFinding finding, Supports footing) {
        if (finding.map().isEmpty()) {
            return Optional.empty();
        }
        boolean crankLine = toCrankLine(part);
        Optional<Plane> reference = square.over(part).or(() -> thickness(part));
        OfSetUps question = new OfSetUps(part.numbers(), part.bands(), finding.all(), reference, footing);
        return Optional.of(new ComparedFace(
                survey,
                finding,
                memory.answer(question, () -> ComparedFace.compare(finding, reference, footing)),
                crankLine));
    }

    /** Whether a cut set up parallel goes by the crank line, which the deck's index gave. */
    public boolean toCrankLine(PartFile part) {
        return square.over(part).isPresent();
    }

    private Optional<Plane> thickness(PartFile part) {
        return surveys.find(part, SurveyKind.THICKNESS)
                .flatMap(s -> Taper.of(
                        SurveyFile.points(s.corrected()),
                        faces.layout(part.numbers()).box()))
                .map(Taper::plane);
    }
}

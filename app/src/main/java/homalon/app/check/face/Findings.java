package homalon.app.check.face;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.face.Cover;
import homalon.core.face.FaceMap;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.SealingBands;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.surface.SurfacePrior;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.FaceModel;
import homalon.core.visit.FaceRule;
import homalon.core.visit.FaceWalk;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What a survey says of a face, worked out by the core once for each state of it. */
@Component
@RequiredArgsConstructor
public class Findings {

    private record Version(
            long revision,
            LayoutNumbers numbers,
            SealingBands bands,
            List<FlatnessLimit> limits,
            FaceRule rule,
            FaceModel.Habit habit) {}

    private final Faces faces;
    private final FaceModels models;
    private final Memory memory;

    /** What the readings of each survey were last found to say. */
    private record Said(UUID survey) implements Question<Optional<FaceFinding>> {
        @Override
        public int kilobytes() {
            return 128;
        }
    }

    /** The same with what lies between the places. */
    private record Known(UUID survey) implements Question<Optional<FaceFinding>> {
        @Override
        public int kilobytes() {
            return 64;
        }
    }

    private record WalkOf(LayoutNumbers numbers, List<FlatnessLimit> limits, SurfacePrior prior)
            implements Question<List<PlaceProposal.Place>> {
        @Override
        public int kilobytes() {
            return 4;
        }
    }

    /** A land is kept once for its layout: the same land is the same object, which is asked sooner than all its numbers. */
    private record Places(LandRaster land, List<Spot> spots) {
        static Places of(LandRaster land, Points points) {
            return new Places(
                    land,
                    IntStream.range(0, points.size()).mapToObj(points::spot).toList());
        }
    }

    // What depends on where the places are and not on what was read there: a place read again changes none of it.

    private record CoverOf(Places places) implements Question<Cover> {
        @Override
        public int kilobytes() {
            return 64;
        }
    }

    private record GroundOf(Places places) implements Question<FaceMap.Ground> {
        @Override
        public int kilobytes() {
            return 256;
        }
    }

    private record Reach(LandRaster land, Spot place) implements Question<double[]> {
        @Override
        public int kilobytes() {
            return 64;
        }
    }

    /**
     * What it says, the chance that it is out between the places included. Empty while fewer than four sealing places are read, or all
     * on one line.
     */
    public Optional<FaceFinding> of(PartFile part, SurveyFile survey) {
        return memory.at(
                new Known(survey.id()),
                version(part, survey),
                () -> byReadings(part, survey).map(f -> f.knowing(part, model(part, survey.kind()))));
    }

    /** What the readings say by themselves, at once: out, or not proven. */
    Optional<FaceFinding> byReadings(PartFile part, SurveyFile survey) {
        return memory.at(new Said(survey.id()), version(part, survey), () -> find(part, survey));
    }

    /** What another survey of the same face would say; kept nowhere. */
    Optional<FaceFinding> asIf(PartFile part, SurveyFile survey) {
        return find(part, survey).map(f -> f.knowing(part, model(part, survey.kind())));
    }

    private Version version(PartFile part, SurveyFile survey) {
        return new Version(
                survey.revision(),
                part.numbers(),
                part.bands(),
                part.limits(),
                FaceRule.of(part),
                model(part, survey.kind()).habit());
    }

    /** Places with which a face begins to be read. */
    List<PlaceProposal.Place> walk(PartFile part, SurveyKind kind, PlaceProposal.Density density) {
        if (density != PlaceProposal.Density.FEWEST) {
            return PlaceProposal.of(faces.layout(part.numbers()), density);
        }
        FaceModel model = models.coming(part, kind);
        return memory.answer(
                new WalkOf(part.numbers(), part.limits(), model.prior()),
                () -> FaceWalk.of(faces.layout(part.numbers()), model, density));
    }

    /** Several places more, together with what was read. */
    List<Spot> more(PartFile part, SurveyKind kind, Points read, int count) {
        return FaceWalk.more(model(part, kind), read, count);
    }

    /** What the face is asked, and what such faces are like. */
    public FaceModel model(PartFile part, SurveyKind kind) {
        return models.of(part, kind);
    }

    private Optional<FaceFinding> find(PartFile part, SurveyFile survey) {
        LandRaster land = faces.land(part);
        return FaceFinding.of(
                survey,
                land,
                part.limits(),
                FaceRule.of(part),
                (places, asked) -> memory.answer(new CoverOf(Places.of(land, places)), () -> Cover.of(places, asked)),
                new KeptOf(land));
    }

    private final class KeptOf implements FaceMap.Kept {
        private final LandRaster land;

        KeptOf(LandRaster land) {
            this.land = land;
        }

        @Override
        public FaceMap.Ground ground(Points places) {
            return memory.answer(new GroundOf(Places.of(land, places)), () -> FaceMap.ground(land, places));
        }

        @Override
        public double[] reach(Spot place) {
            return memory.answer(new Reach(land, place), () -> FaceMap.reach(land, place));
        }
    }
}

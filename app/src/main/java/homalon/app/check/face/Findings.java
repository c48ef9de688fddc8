package homalon.app.check.face;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.face.Cover;
import homalon.core.face.FaceMap;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.SealingBands;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
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

    private record Version(long revision, LayoutNumbers numbers, SealingBands bands, List<FlatnessLimit> limits) {}

    private final Faces faces;
    private final Memory memory;

    /** What each survey was last found to say. */
    private record Said(UUID survey) implements Question<Optional<FaceFinding>> {
        @Override
        public int kilobytes() {
            return 128;
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

    /** Empty while fewer than four sealing places are read, or all on one line. */
    public Optional<FaceFinding> of(PartFile part, SurveyFile survey) {
        Version version = new Version(survey.revision(), part.numbers(), part.bands(), part.limits());
        return memory.at(new Said(survey.id()), version, () -> find(part, survey));
    }

    private Optional<FaceFinding> find(PartFile part, SurveyFile survey) {
        LandRaster land = faces.land(part);
        return FaceFinding.of(
                survey,
                land,
                part.limits(),
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

package homalon.app.check.face;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.app.casting.part.Faces;
import homalon.app.foundation.store.Latest;
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

    /** What each survey was last found to say. */
    private final Latest<UUID, Optional<FaceFinding>> known = new Latest<>(400);

    /** A land is kept once for its layout: the same land is the same object, which is asked sooner than all its numbers. */
    private record Places(LandRaster land, List<Spot> spots) {
        static Places of(LandRaster land, Points points) {
            return new Places(
                    land,
                    IntStream.range(0, points.size()).mapToObj(points::spot).toList());
        }
    }

    private record Reach(LandRaster land, Spot place) {}

    /** What depends on where the places are and not on what was read there: a place read again changes none of it. */
    private final Cache<Places, Cover> covers =
            Caffeine.newBuilder().maximumSize(200).build();

    private final Cache<Places, FaceMap.Ground> grounds =
            Caffeine.newBuilder().maximumSize(100).build();
    private final Cache<Reach, double[]> reaches =
            Caffeine.newBuilder().maximumSize(800).build();

    /** Empty while fewer than four sealing places are read, or all on one line. */
    public Optional<FaceFinding> of(PartFile part, SurveyFile survey) {
        Version version = new Version(survey.revision(), part.numbers(), part.bands(), part.limits());
        return known.at(survey.id(), version, () -> find(part, survey));
    }

    private Optional<FaceFinding> find(PartFile part, SurveyFile survey) {
        LandRaster land = faces.land(part);
        return FaceFinding.of(
                survey,
                land,
                part.limits(),
                (places, asked) -> covers.get(Places.of(land, places), p -> Cover.of(places, asked)),
                new KeptOf(land));
    }

    private final class KeptOf implements FaceMap.Kept {
        private final LandRaster land;

        KeptOf(LandRaster land) {
            this.land = land;
        }

        @Override
        public FaceMap.Ground ground(Points places) {
            return grounds.get(Places.of(land, places), p -> FaceMap.ground(land, places));
        }

        @Override
        public double[] reach(Spot place) {
            return reaches.get(new Reach(land, place), r -> FaceMap.reach(land, place));
        }
    }
}

package homalon.app.check.face;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartFile;
import homalon.core.face.Cover;
import homalon.core.face.FaceJudge;
import homalon.core.face.FaceMap;
import homalon.core.face.FaceWords;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.SealingBands;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.RuleBook;
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

    /**
     * @param all every place that was read
     * @param points their heights, in that order
     * @param judgement from the sealing places
     * @param map through every place that was read
     * @param shape in words
     * @param limit overall, in force
     */
    public record Finding(
            List<SurveyFile.PlaceFile> all,
            Points points,
            FaceJudge.Judgement judgement,
            Optional<FaceMap> map,
            String shape,
            Length limit) {

        /** Heights that the map's full colours stand for at the least, mm: a zone of the limit spans them. */
        public double colourReach() {
            return limit.mm() / 2;
        }
    }

    private record Key(long revision, LayoutNumbers numbers, SealingBands bands, List<FlatnessLimit> limits) {}

    private final Faces faces;

    private record Known(Key key, Optional<Finding> finding) {}

    /** What each survey was last found to say. */
    private final Cache<UUID, Known> known =
            Caffeine.newBuilder().maximumSize(400).build();

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
    public Optional<Finding> of(PartFile part, SurveyFile survey) {
        Key key = new Key(survey.revision(), part.numbers(), part.bands(), part.limits());
        Known before = known.getIfPresent(survey.id());
        if (before != null && before.key().equals(key)) {
            return before.finding();
        }
        Optional<Finding> finding = find(part, survey);
        known.put(survey.id(), new Known(key, finding));
        return finding;
    }

    private Optional<Finding> find(PartFile part, SurveyFile survey) {
        List<SurveyFile.PlaceFile> all = survey.readPlaces();
        List<SurveyFile.PlaceFile> sealing =
                all.stream().filter(SurveyFile.PlaceFile::sealing).toList();
        if (sealing.size() < 4) {
            return Optional.empty();
        }
        Points seal = SurveyFile.points(sealing);
        if (seal.onOneLine()) {
            return Optional.empty();
        }
        var land = faces.land(part);
        FaceJudge.Judgement judgement = FaceJudge.judge(
                seal,
                sealing.stream().map(SurveyFile.PlaceFile::name).toList(),
                new FaceJudge.Settings(
                        land.layout(),
                        part.limits(),
                        RuleBook.DEFAULT_COVER.mm(),
                        survey.uncertainty().mm()),
                (places, asked) -> covers.get(Places.of(land, places), p -> Cover.of(places, asked)));
        Points points = SurveyFile.points(all);
        Optional<FaceMap> map =
                FaceMap.of(points, judgement.flatness().minimumZone().middle(), land, new KeptOf(land));
        String shape = FaceWords.shape(judgement.flatness(), seal, land.layout());
        Length overall = RuleBook.overall(part.limits());
        return Optional.of(new Finding(all, points, judgement, map, shape, overall));
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

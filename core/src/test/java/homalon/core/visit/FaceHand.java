package homalon.core.visit;

import homalon.core.face.Cover;
import homalon.core.face.FaceMap;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.LandRaster;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.sure.FaceGrid;
import homalon.core.visit.SurveyFile.ReadingFile.Kind;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Reads a face in memory, and finds what it says. */
final class FaceHand {
    private static final UUID INES = new UUID(1, 1);

    private FaceHand() {}

    static SurveyFile.ReadingFile reading(int seq, UUID place, Kind kind, Optional<Length> value) {
        return new SurveyFile.ReadingFile(
                seq,
                new UUID(3, seq),
                place,
                "place " + seq,
                kind,
                value.map(Length::toString).orElse("/"),
                BenchUnit.MM,
                value,
                Optional.empty(),
                INES,
                SheetHand.START.plusSeconds(60L * seq),
                true);
    }

    static SurveyFile survey(PartFile part, List<SurveyFile.PlaceFile> places) {
        return new SurveyFile(
                new UUID(4, 1),
                part.visit().id(),
                SurveyKind.FACE,
                ReadWith.keyed(RuleBook.DEFAULT_UNCERTAINTY),
                INES,
                SheetHand.START,
                places,
                List.of(),
                places.stream().flatMap(p -> p.reading().stream()).toList(),
                Optional.empty(),
                3);
    }

    static Optional<FaceFinding> found(PartFile part, LandRaster land, SurveyFile survey) {
        return FaceFinding.of(survey, land, part.limits(), FaceRule.of(part), Cover::of, new Kept(land))
                .map(f -> f.knowing(part, FaceModel.general(FaceGrid.of(Ground.of(land.layout()), part.limits()))));
    }

    private record Kept(LandRaster land) implements FaceMap.Kept {
        @Override
        public FaceMap.Ground ground(Points places) {
            return FaceMap.ground(land, places);
        }

        @Override
        public double[] reach(Spot place) {
            return FaceMap.reach(land, place);
        }
    }
}

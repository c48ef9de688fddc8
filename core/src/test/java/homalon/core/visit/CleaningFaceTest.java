package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.cut.Removal;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.Supports;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.ShopRules;
import homalon.core.sim.SeededFace;
import homalon.core.sure.CleanUp;
import homalon.core.sure.FaceGrid;
import homalon.core.visit.SurveyFile.ReadingFile.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is said of a cut beside the map's own figures counts the land that they count. */
class CleaningFaceTest {
    private static final PartFile HEAD = Castings.of(PartKind.HEAD, 4);
    private static final Layout LAYOUT = Layout.of(HEAD.numbers());
    private static final LandRaster LAND = LandRaster.of(LAYOUT, 84);

    private static Beside read(SeededFace face, Predicate<Spot> seals) {
        List<SurveyFile.PlaceFile> places = new ArrayList<>();
        for (PlaceProposal.Place place : PlaceProposal.of(LAYOUT, PlaceProposal.Density.CLOSE)) {
            int seq = places.size() + 1;
            UUID id = new UUID(4, seq);
            Length height =
                    Length.roundedFromMm(face.at(place.spot().x(), place.spot().y()));
            places.add(new SurveyFile.PlaceFile(
                    id,
                    seq,
                    "place " + seq,
                    place.spot(),
                    seals.test(place.spot()),
                    Optional.of(FaceHand.reading(seq, id, Kind.KEYED, Optional.of(height)))));
        }
        SurveyFile survey = FaceHand.survey(HEAD, places);
        FaceFinding finding = FaceHand.found(HEAD, LAND, survey).orElseThrow();
        Supports footing = Supports.usual(LAYOUT.box(), RuleBook.shims(BenchUnit.MM));
        ComparedFace compared =
                new ComparedFace(survey, finding, ComparedFace.compare(finding, Optional.empty(), footing), false);
        return new Beside(compared.setUps().with(SetUpMethod.LEAST_REMOVAL).orElseThrow(), compared);
    }

    private record Beside(Removal map, ComparedFace face) {
        CleanUp cleanUp(List<Double> depths) {
            Plane plane = map.setUp().onShims();
            FaceModel model = FaceModel.general(FaceGrid.of(Ground.of(LAYOUT), HEAD.limits()));
            return face.finding()
                    .cleanUp(HEAD, model, LAND, plane, List.of(), depths)
                    .orElseThrow();
        }
    }

    /** A bow of a tenth, read closely: little is open, so that both say the same. */
    @ParameterizedTest
    @ValueSource(doubles = {0.05, 0.1, 0.2})
    void ofAFaceReadCloselyBothSayTheSame(double bow) {
        Beside both = read(new SeededFace(LAYOUT.box(), 0.1, 0, bow, 0, bow / 2, List.of()), s -> true);
        double toClean = both.map().setUp().toClean();
        CleanUp cleaning = both.cleanUp(List.of(toClean / 3, toClean));
        assertEquals(toClean, cleaning.depth().likely(), 0.012, "what cleans it");
        assertTrue(cleaning.depth().mostly() >= cleaning.depth().likely());
        double share = both.face().setUps().sealedShare(both.map(), Length.roundedFromMm(toClean / 3));
        assertEquals(share, cleaning.shares().get(0).likely(), 0.08, "what a third of it cleans");
        assertTrue(cleaning.shares().get(1).likely() > 0.97);
    }

    /** A corner that was marked as not sealing may stay low. */
    @Test
    void whatDoesNotSealNeedNotComeClean() {
        Spot corner = LAYOUT.box().corners().get(0);
        SeededFace low = new SeededFace(LAYOUT.box(), 0, 0, 0.01, 0, 0, List.of(new SeededFace.Dip(corner, 0.15, 40)));
        double all = read(low, s -> true).cleanUp(List.of()).depth().likely();
        double without = read(low, s -> s.distance(corner) > 60)
                .cleanUp(List.of())
                .depth()
                .likely();
        assertTrue(all > without + 0.04, all + " with the corner, " + without + " without it");
    }

    /** Handed over while that was not asked, nothing is said. */
    @Test
    void whatWasHandedOverBeforeIsNotAsked() {
        FaceFinding finding = read(new SeededFace(LAYOUT.box(), 0.1, 0, 0.05, 0, 0, List.of()), s -> true)
                .face()
                .finding();
        ShopRules before = HEAD.rules().asBefore(new ShopRules.Before(true, true, true, true, true));
        PartFile old = Castings.by(HEAD, before);
        FaceModel model = FaceModel.general(FaceGrid.of(Ground.of(LAYOUT), HEAD.limits()));
        assertEquals(Optional.empty(), finding.cleanUp(old, model, LAND, new Plane(0, 0, 0), List.of(), List.of()));
    }
}

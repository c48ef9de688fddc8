package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.ShopRules;
import homalon.core.rulebook.Source;
import homalon.core.sim.SeededFace;
import homalon.core.sure.FaceGrid;
import homalon.core.verdict.Verdict;
import homalon.core.visit.SurveyFile.ReadingFile.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What a face is asked for to be called within, and what it begins with. */
class FaceRuleTest {
    private static final PartFile HEAD = Castings.of(PartKind.HEAD, 4);
    private static final Layout LAYOUT = Layout.of(HEAD.numbers());

    private static PartFile told(String history) {
        return Castings.of(PartKind.HEAD, 4, Optional.empty(), history, "");
    }

    @ParameterizedTest
    @CsvSource({
        "'overheated, gasket gone between 2 and 3', 2",
        "'Gasket gone between 3 and 2', 2",
        "'blew between cylinders 1 and 2, came on a trailer', 1",
        "'leaks water between bores 3 and 4', 3",
        "'etched between 1 and 2; gasket blown between 3 and 4', 1 3",
        "'gasket gone between 1 and 4', ''",
        "'valve 2 burnt. Shipped between 2 and 3 May', ''",
        "'came between 2 and 3', ''",
        "'overheated', ''",
    })
    void bridgesAtWhichTheGasketWasGoneAreReadFromTheStory(String story, String bridges) {
        List<Integer> expected = bridges.isEmpty()
                ? List.of()
                : List.of(bridges.split(" ")).stream().map(Integer::parseInt).toList();
        FaceRule rule = FaceRule.of(told(story));
        assertEquals(expected, rule.gone());
        List<Spot> spots = rule.spots(Ground.of(LAYOUT));
        assertEquals(expected.size(), spots.size());
        for (int k = 0; k < spots.size(); k++) {
            Spot before = LAYOUT.bores().get(expected.get(k) - 1).centre();
            Spot after = LAYOUT.bores().get(expected.get(k)).centre();
            assertEquals((before.x() + after.x()) / 2, spots.get(k).x(), 1e-9);
            assertEquals(before.y(), spots.get(k).y(), 1e-9);
        }
    }

    private static PartFile by(ShopRules rules) {
        return Castings.by(HEAD, rules);
    }

    private static ShopRules with(BenchFigure figure, double value) {
        ShopRules r = ShopRules.of(BenchUnit.MM);
        return new ShopRules(
                r.faces(),
                new BookDefaults(BenchUnit.MM, Map.of(figure.ofShop(), new BookDefaults.Own(value, "our own"))),
                r.lines(),
                r.letGo(),
                r.paper(),
                r.tags(),
                r.before());
    }

    @Test
    void theShopSetsTheRiskAndMayKeepARuleOfCover() {
        assertEquals(0.01, FaceRule.of(HEAD).risk().getAsDouble(), 1e-12);
        assertTrue(FaceRule.of(HEAD).cover().isEmpty());
        assertEquals(
                0.002, FaceRule.of(by(with(BenchFigure.FACE_RISK, 500))).risk().getAsDouble(), 1e-12);
        assertEquals(
                60, FaceRule.of(by(with(BenchFigure.FACE_COVER, 60))).cover().getAsDouble());
    }

    /** Racing, and whatever has a limit by the rules of its class, leaves less room for being wrong. */
    @Test
    void whereMoreHangsOnItLessIsLeftOpen() {
        PartFile.Visit v = HEAD.visit();
        PartFile race = with(
                List.of(),
                new PartFile.Visit(
                        v.id(),
                        v.no(),
                        v.history(),
                        v.came(),
                        v.wishes(),
                        v.gasket(),
                        Optional.of(GasketKind.RACE),
                        v.bands(),
                        v.due(),
                        v.promised(),
                        v.with(),
                        v.stuck(),
                        v.openedBy(),
                        v.openedAt(),
                        v.releasedBy(),
                        v.releasedAt(),
                        v.releasedNote()));
        assertEquals(0.001, FaceRule.of(race).risk().getAsDouble(), 1e-12);
        Length most = Length.ofMm("0.05");
        assertEquals(
                0.001,
                FaceRule.of(with(List.of(FlatnessLimit.overall(most, Source.RULES)), v))
                        .risk()
                        .getAsDouble(),
                1e-12);
        assertEquals(
                0.01,
                FaceRule.of(with(List.of(FlatnessLimit.overall(most, Source.MAKER)), v))
                        .risk()
                        .getAsDouble(),
                1e-12);
    }

    private static PartFile with(List<FlatnessLimit> entered, PartFile.Visit visit) {
        return new PartFile(
                HEAD.id(),
                HEAD.tag(),
                HEAD.kind(),
                HEAD.name(),
                HEAD.customer(),
                HEAD.material(),
                HEAD.castingNumber(),
                HEAD.stamps(),
                HEAD.numbers(),
                entered,
                visit,
                HEAD.visits(),
                HEAD.version(),
                HEAD.rules());
    }

    @Test
    void whatWasHandedOverByCoverAloneStaysJudgedByIt() {
        FaceRule rule = FaceRule.of(
                by(ShopRules.of(BenchUnit.MM).asBefore(new ShopRules.Before(true, true, true, false, false))));
        assertTrue(rule.risk().isEmpty());
        assertEquals(RuleBook.DEFAULT_COVER.mm(), rule.cover().getAsDouble());
    }

    @Test
    void aScanThatWasHandedOverByCoverStaysJudgedByItAndNothingElseDoes() {
        PartFile part = by(ShopRules.of(BenchUnit.MM).asBefore(new ShopRules.Before(false, false, false, true, false)));
        assertEquals(RuleBook.DEFAULT_COVER.mm(), FaceRule.ofScan(part).cover().getAsDouble());
        assertTrue(FaceRule.ofScan(part).risk().isEmpty());
        assertTrue(FaceRule.of(part).risk().isPresent());
        assertTrue(FaceRule.ofScan(by(ShopRules.of(BenchUnit.MM))).risk().isPresent());
    }

    /** Read flat at the four corners and twice beside them: by either rule not within; read flat all over, within by both. */
    @ParameterizedTest
    @CsvSource({"false, false, NOT_PROVEN", "true, false, NOT_PROVEN", "false, true, WITHIN", "true, true, WITHIN"})
    void readAllOverAFlatFaceIsWithinByEitherRule(boolean byCover, boolean everywhere, Verdict verdict) {
        ShopRules rules = ShopRules.of(BenchUnit.MM);
        PartFile part = by(byCover ? rules.asBefore(new ShopRules.Before(true, true, true, false, false)) : rules);
        List<Spot> spots = new ArrayList<>(
                PlaceProposal.of(LAYOUT, everywhere ? PlaceProposal.Density.CLOSE : PlaceProposal.Density.CORNERS)
                        .stream()
                        .map(PlaceProposal.Place::spot)
                        .toList());
        assertEquals(verdict, found(part, spots).judgement().worst());
        assertEquals(!byCover, found(part, spots).sureness().isPresent());
    }

    private static FaceFinding found(PartFile part, List<Spot> spots) {
        SeededFace flat = new SeededFace(LAYOUT.box(), 0.1, 0, 0, 0, 0, List.of());
        List<SurveyFile.PlaceFile> places = new ArrayList<>();
        for (Spot spot : spots) {
            int seq = places.size() + 1;
            UUID id = new UUID(3, seq);
            places.add(new SurveyFile.PlaceFile(
                    id,
                    seq,
                    "place " + seq,
                    spot,
                    true,
                    Optional.of(FaceHand.reading(
                            seq, id, Kind.KEYED, Optional.of(Length.roundedFromMm(flat.at(spot.x(), spot.y())))))));
        }
        return FaceHand.found(part, LandRaster.of(LAYOUT, 60), FaceHand.survey(part, places))
                .orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(PlaceProposal.Density.class)
    void aWalkBeginsOnMetalWithPlacesThatDiffer(PlaceProposal.Density density) {
        FaceGrid grid = FaceGrid.of(Ground.of(LAYOUT), HEAD.limits());
        List<Spot> walk = FaceWalk.of(LAYOUT, FaceModel.general(grid), density).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        assertEquals(walk.size(), walk.stream().distinct().count());
        assertTrue(walk.stream().allMatch(s -> LandRaster.clear(LAYOUT, s, 2.4)));
        if (density == PlaceProposal.Density.FEWEST) {
            assertEquals(9, walk.size(), "a head of four");
        }
    }

    @Test
    void severalMoreAreFarFromWhatWasRead() {
        FaceGrid grid = FaceGrid.of(Ground.of(LAYOUT), HEAD.limits());
        List<Spot> walk = FaceWalk.of(LAYOUT, FaceModel.general(grid), PlaceProposal.Density.FEWEST).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        Points read = Points.of(
                walk.stream().mapToDouble(Spot::x).toArray(),
                walk.stream().mapToDouble(Spot::y).toArray(),
                new double[walk.size()]);
        List<Spot> more = FaceWalk.more(FaceModel.general(grid), read, 4);
        assertEquals(4, more.size());
        for (Spot m : more) {
            assertTrue(walk.stream().allMatch(s -> s.distance(m) > 20), m + " beside what was read");
        }
    }
}

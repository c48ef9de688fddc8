package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.cut.Comparison;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.Supports;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Gap;
import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.route.VisitFacts;
import homalon.core.rulebook.BladeSet;
import homalon.core.rulebook.RuleBook;
import homalon.core.verdict.Verdict;
import homalon.core.visit.SurveyFile.ReadingFile.Kind;
import homalon.core.words.English;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Faces as surveys and feelers leave them. */
class FacesOfAVisitTest {
    private static final PartFile HEAD = Castings.of(PartKind.HEAD, 4);
    private static final Layout LAYOUT = Layout.of(HEAD.numbers());
    private static final LandRaster LAND = LandRaster.of(LAYOUT, 200);
    private static final UUID INES = new UUID(1, 1);

    /** Read on a grid of bolts and bridges; every so many skipped. */
    private static SurveyFile survey(DoubleBinaryOperator height, int along, int across, int skipEvery) {
        List<SurveyFile.PlaceFile> places = new ArrayList<>();
        Box box = LAYOUT.box();
        int seq = 0;
        for (int i = 0; i < along; i++) {
            for (int j = 0; j < across; j++) {
                seq++;
                double x = 8 + i * (box.width() - 16) / (along - 1);
                double y = 8 + j * (box.height() - 16) / (across - 1);
                UUID id = new UUID(2, seq);
                boolean skipped = skipEvery > 0 && seq % skipEvery == 0;
                Optional<Length> value =
                        skipped ? Optional.empty() : Optional.of(Length.roundedFromMm(height.applyAsDouble(x, y)));
                places.add(new SurveyFile.PlaceFile(
                        id,
                        seq,
                        "place " + seq,
                        new Spot(x, y),
                        true,
                        Optional.of(FaceHand.reading(seq, id, skipped ? Kind.SKIPPED : Kind.KEYED, value))));
            }
        }
        return of(places);
    }

    private static SurveyFile of(List<SurveyFile.PlaceFile> places) {
        return FaceHand.survey(HEAD, places);
    }

    private static Optional<FaceFinding> found(SurveyFile survey) {
        return FaceHand.found(HEAD, LAND, survey);
    }

    @Test
    void aSurveyIsCompleteWhenAllWasHandledAndSomethingRead() {
        SurveyFile some = survey((x, y) -> 0, 5, 3, 4);
        assertEquals(15, some.handled());
        assertEquals(12, some.read());
        assertTrue(some.complete());
        assertEquals(12, some.readPlaces().size());
        assertTrue(some.places().get(3).isSkipped());
        assertFalse(some.places().get(0).isSkipped());
        assertTrue(some.holds(new UUID(3, 4)));
        assertFalse(some.holds(new UUID(3, 99)));
        assertFalse(survey((x, y) -> 0, 2, 2, 1).complete());
        assertFalse(of(List.of()).complete());
        SurveyFile.ReadingFile line = some.history().get(0);
        assertTrue(line.stands());
        assertFalse(line.superseded().stands());
        assertEquals(line.id(), line.superseded().id());
    }

    @Test
    void nothingIsFoundOfThreePlacesOrOfOneLine() {
        assertTrue(found(survey((x, y) -> 0, 2, 2, 4)).isEmpty());
        assertTrue(found(survey((x, y) -> 0, 2, 2, 0)).isPresent());
        List<SurveyFile.PlaceFile> row = survey((x, y) -> 0, 6, 2, 0).places().stream()
                .filter(p -> p.spot().y() < 20)
                .toList();
        assertEquals(6, row.size());
        assertTrue(found(of(row)).isEmpty());
    }

    @Test
    void aBowIsFoundWithItsLimitItsShapeAndWhatTheRouteHears() {
        double middle = LAYOUT.box().width() / 2;
        SurveyFile bowed = survey((x, y) -> 0.12 * (1 - Math.pow((x - middle) / middle, 2)), 9, 4, 0);
        FaceFinding f = found(bowed).orElseThrow();
        assertEquals(Verdict.OUT, f.judgement().worst());
        assertTrue(f.map().isPresent());
        assertEquals(36, f.all().size());
        assertEquals(f.limit().mm() / 2, f.colourReach(), 1e-12);
        VisitFacts.Face face = RouteFacts.face(bowed, Optional.of(f));
        assertEquals(36, face.asked());
        assertEquals(36, face.handled());
        assertEquals(SheetHand.START.plusSeconds(60), face.oldest());
        VisitFacts.FaceFound heard = face.finding().orElseThrow();
        assertEquals(Verdict.OUT, heard.worst());
        assertTrue(heard.over() > 0.01, "over " + heard.over());
        assertEquals(English.of(f.shape()), English.of(heard.shape()));
        SurveyFile flat = survey((x, y) -> 0, 9, 4, 0);
        VisitFacts.FaceFound within =
                RouteFacts.face(flat, found(flat)).finding().orElseThrow();
        assertEquals(0, within.over(), 1e-12);
        assertEquals(
                SheetHand.START,
                RouteFacts.face(of(List.of()), Optional.empty()).oldest());
    }

    /** A place that was marked as sealing nothing does not hold the depth of the cut up. */
    @Test
    void aLowSpotThatSealsNothingCostsNoDepth() {
        DoubleBinaryOperator low = (x, y) -> x < 20 && y < 20 ? -0.3 : 0;
        SurveyFile all = survey(low, 9, 4, 0);
        SurveyFile without = of(all.places().stream()
                .map(p -> p.value().signum() < 0
                        ? new SurveyFile.PlaceFile(p.id(), p.seq(), p.name(), p.spot(), false, p.reading())
                        : p)
                .toList());
        Supports footing = Supports.usual(LAYOUT.box(), RuleBook.shims(BenchUnit.MM));
        double with = clean(ComparedFace.compare(found(all).orElseThrow(), Optional.empty(), footing));
        double less = clean(ComparedFace.compare(found(without).orElseThrow(), Optional.empty(), footing));
        assertTrue(with > less + 0.02, with + " and " + less);
        Comparison parallel = ComparedFace.compare(found(all).orElseThrow(), Optional.of(new Plane(0, 0, 0)), footing);
        assertTrue(parallel.with(SetUpMethod.PARALLEL).isPresent());
        assertTrue(ComparedFace.compare(found(all).orElseThrow(), Optional.empty(), footing)
                .with(SetUpMethod.PARALLEL)
                .isEmpty());
    }

    private static double clean(Comparison setUps) {
        return setUps.with(SetUpMethod.LEAST_REMOVAL).orElseThrow().setUp().toClean();
    }

    private static final BladeSet BLADES =
            new BladeSet(List.of(Length.ofMm("0.02"), Length.ofMm("0.03"), Length.ofMm("0.05"), Length.ofMm("0.10")));
    private static final Length LIMIT = Length.ofMm("0.05");

    private static FeelerFile.PlaceFile place(int n, Asked asked, double at, Gap gap, Rest rest) {
        return new FeelerFile.PlaceFile(new UUID(5, n), asked, at, gap, rest, false, 0, Optional.empty());
    }

    private static Gap gap(String goes, String refuses) {
        return new Gap(
                goes.isEmpty() ? Optional.empty() : Optional.of(Length.ofMm(goes)),
                refuses.isEmpty() ? Optional.empty() : Optional.of(Length.ofMm(refuses)));
    }

    private static FeelerFile felt(FeelerWay way, Rest rest, Gap station, Gap ends, boolean begun) {
        FeelerFile.LineFile line = new FeelerFile.LineFile(
                new UUID(6, 1),
                "along",
                new Spot(10, 70),
                new Spot(390, 70),
                List.of(
                        place(1, Asked.REST, 0, Gap.UNTRIED, rest),
                        place(2, Asked.STATION, 0.5, station, Rest.NOT_NOTED),
                        place(3, Asked.STATION, 0.25, Gap.UNTRIED, Rest.NOT_NOTED),
                        place(4, Asked.ENDS, 0, ends, Rest.NOT_NOTED),
                        place(5, Asked.SLID, 0.1, gap("0.02", ""), Rest.NOT_NOTED)));
        List<FeelerFile.TryFile> tries = begun
                ? List.of(new FeelerFile.TryFile(
                        1,
                        new UUID(8, 1),
                        new UUID(5, 1),
                        FeelerSaid.SITS,
                        Optional.empty(),
                        Optional.empty(),
                        "s",
                        BenchUnit.MM,
                        INES,
                        SheetHand.START,
                        true))
                : List.of();
        return new FeelerFile(
                new UUID(4, 2),
                new UUID(7, 2),
                FeelerKind.FACE,
                FeelerSurvey.Kind.GAP,
                way,
                BLADES,
                INES,
                SheetHand.START,
                List.of(line),
                tries,
                List.of(),
                1);
    }

    @Test
    void bladesUnderTheEndsAreAskedWhereTheEdgeRocksOnly() {
        FeelerFile still = felt(FeelerWay.FIND, Rest.SITS_STILL, Gap.UNTRIED, gap("0.02", "0.03"), true);
        FeelerFile rocks = felt(FeelerWay.FIND, Rest.ROCKS, Gap.UNTRIED, gap("0.02", "0.03"), true);
        assertEquals(3, still.asked().size());
        assertEquals(4, rocks.asked().size());
        assertEquals(1, still.handled(LIMIT));
        assertEquals(2, rocks.handled(LIMIT));
        assertEquals(Rest.ROCKS, rocks.lines().get(0).rest());
        Box box = LAYOUT.box();
        assertTrue(still.survey(box, LIMIT).lines().get(0).ends().equals(Gap.UNTRIED.tried()));
        assertEquals(
                gap("0.02", "0.03").tried(),
                rocks.survey(box, LIMIT).lines().get(0).ends());
        assertEquals(1, still.survey(box, LIMIT).lines().get(0).stations().size(), "what was slid over counts");
    }

    @ParameterizedTest
    @CsvSource({
        "FIND, 0.03, 0.05, true",
        "FIND, 0.02, 0.05, false",
        "FIND, '', 0.05, false",
        "FIND, '', 0.02, true",
        "LIMIT, '', 0.05, true",
        "LIMIT, 0.05, '', true",
        "LIMIT, 0.03, '', false",
    })
    void aStationIsDoneByTheWayOfWorking(FeelerWay way, String goes, String refuses, boolean done) {
        FeelerFile file = felt(way, Rest.SITS_STILL, gap(goes, refuses), Gap.UNTRIED, true);
        assertEquals(done, file.done(file.lines().get(0).places().get(1), LIMIT));
    }

    @Test
    void aFaceIsCompleteOnlyOnceItWasBegun() {
        FeelerFile none = felt(FeelerWay.LIMIT, Rest.NOT_NOTED, Gap.UNTRIED, Gap.UNTRIED, false);
        assertFalse(none.begun());
        assertFalse(none.complete(LIMIT));
        FeelerFile begun = felt(FeelerWay.LIMIT, Rest.SITS_STILL, gap("", "0.05"), Gap.UNTRIED, true);
        assertTrue(begun.begun());
        assertFalse(begun.complete(LIMIT), "a station is open");
        VisitFacts.Felt heard = RouteFacts.felt(begun, Verdict.NOT_PROVEN, LIMIT);
        assertFalse(heard.complete());
        assertEquals(2, heard.handled());
        assertEquals(3, heard.asked());
    }

    /** An edge that does not reach the rims sees less of the bow, off its middle less still: the blade is thinner by as much. */
    @Test
    void theProvingBladeIsThinnerWhereLessOfTheBowIsSeen() {
        Box box = new Box(0, 0, 400, 140);
        FeelerFile file = felt(FeelerWay.FIND, Rest.SITS_STILL, Gap.UNTRIED, Gap.UNTRIED, true);
        FeelerFile.LineFile line = file.lines().get(0);
        FeelerFile.PlaceFile middle = line.places().get(1);
        FeelerFile.PlaceFile quarter = line.places().get(2);
        // (380 / 400)^2 of a bow of 0.10 is 0.090 in the middle, 0.068 at a quarter.
        assertEquals(Length.ofMm("0.05"), file.proving(line, middle, box, Length.ofMm("0.10")));
        assertEquals(Length.ofMm("0.05"), file.proving(line, quarter, box, Length.ofMm("0.10")));
        assertEquals(Length.ofMm("0.03"), file.proving(line, quarter, box, Length.ofMm("0.06")));
        assertEquals(Length.ofMm("0.03"), file.first(line, middle, box, LIMIT));
        assertEquals(Length.ofMm("0.05"), file.first(line, quarter, box, LIMIT));
        assertEquals(Length.ofMm("0.03"), file.along(line, box, LIMIT));
        assertEquals(380, line.length(), 1e-9);
        assertEquals(new Spot(105, 70), line.spot(quarter));
        assertEquals(new Spot(200, 70), line.spot(line.places().get(3)));
    }

    @Test
    void supportsComeBackAsTheyWereWritten() {
        List<Spot> supports = List.of(new Spot(25, 25), new Spot(375.5, 25), new Spot(200, 125));
        assertEquals("25000000,25000000 375500000,25000000 200000000,125000000", SupportsInput.write(supports));
        assertEquals(supports, SupportsInput.read(SupportsInput.write(supports)));
        List<Length> shims = List.of(Length.ofMm("0.05"), Length.ZERO);
        assertEquals(shims, SupportsInput.lengths(SupportsInput.lengths(shims)));
        assertEquals(List.of(), SupportsInput.lengths(""));
        Box box = new Box(10, 20, 410, 160);
        Supports keyed = SupportsInput.keyed(
                List.of("25", "375", "200", " "),
                List.of("25", "25", "100", ""),
                box,
                RuleBook.shims(BenchUnit.MM),
                BenchUnit.MM);
        assertEquals(new Spot(35, 45), keyed.supports().get(0));
        assertEquals(3, keyed.supports().size());
        assertThrows(
                BadInputException.class,
                () -> SupportsInput.keyed(List.of("25"), List.of(), box, RuleBook.shims(BenchUnit.MM), BenchUnit.MM));
    }

    @Test
    void aMomentIsOfTheFirstReadingThatCounts() {
        Instant first =
                RouteFacts.face(survey((x, y) -> 0, 3, 3, 0), Optional.empty()).oldest();
        assertEquals(SheetHand.START.plusSeconds(60), first);
    }
}

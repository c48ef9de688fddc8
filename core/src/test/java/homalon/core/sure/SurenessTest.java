package homalon.core.sure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FaceJudge;
import homalon.core.face.LimitVerdict;
import homalon.core.face.LimitVerdict.Readings;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.sim.SeededFace;
import homalon.core.surface.Fault;
import homalon.core.surface.SurfacePrior;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of a face beyond its readings, and where to read next. */
class SurenessTest {
    private static final double NOISE = 0.001;
    private static final Layout HEAD =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final List<FlatnessLimit> LIMITS =
            FaceDefaults.of(BenchUnit.MM).limits(4);
    private static final FaceGrid GRID = FaceGrid.of(Ground.of(HEAD), LIMITS);
    private static final SurfacePrior PRIOR = SurfacePrior.usual(0.02);
    private static final List<Spot> PLACES = FirstPlaces.of(GRID, PRIOR, 24, NOISE);

    private static SeededFace face(double longBow, double crossBow, SeededFace.Dip... dips) {
        return new SeededFace(HEAD.box(), 0.3, -0.1, longBow, crossBow, 0, List.of(dips));
    }

    private static Sureness sure(Points read, List<Spot> gone, double risk) {
        return Sureness.of(new Sureness.Question(GRID, PRIOR, NOISE, gone, risk), read);
    }

    private static FaceJudge.Judgement readings(Points read) {
        return FaceJudge.judge(
                read,
                IntStream.range(0, read.size()).mapToObj(Integer::toString).toList(),
                FaceJudge.Settings.ofReadings(HEAD, LIMITS, 2 * NOISE));
    }

    private static Spot bridge() {
        Spot a = HEAD.bores().get(1).centre();
        Spot b = HEAD.bores().get(2).centre();
        return new Spot((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
    }

    @Test
    void aGoodFaceIsWithinOnceEnoughOfItIsKnown() {
        SeededFace good = face(0.008, 0.002);
        Points few = good.read(PLACES.subList(0, 6), NOISE / 2, 3);
        Sureness early = sure(few, List.of(), 0.01);
        assertTrue(early.any() > 0.02, "six places leave much open: " + early.any());
        FaceJudge.Judgement open = early.judge(readings(few));
        assertEquals(Verdict.NOT_PROVEN, open.worst());
        Points many = good.read(PLACES, NOISE / 2, 3);
        Sureness late = sure(many, List.of(), 0.01);
        assertTrue(late.any() < 0.01, "of all is left " + late.any());
        FaceJudge.Judgement within = late.judge(readings(many));
        assertEquals(Verdict.WITHIN, within.worst());
        assertTrue(within.limits().stream()
                .allMatch(l -> l.verdict() == Verdict.WITHIN && l.why().code().isEmpty()));
        assertEquals(
                readings(many).limits().get(0).working().lines().size() + 3,
                within.limits().get(0).working().lines().size(),
                "the working tells chance, model and risk");
    }

    @Test
    void outIsProvenByReadingsAloneAndNeverByTheModel() {
        Points bent = face(0.09, 0).read(PLACES.subList(0, 9), 0, 1);
        FaceJudge.Judgement judged = sure(bent, List.of(), 0.01).judge(readings(bent));
        assertEquals(Verdict.OUT, judged.worst());
        // Told of a gone gasket, and unread there: much may be, nothing is proven.
        List<Spot> away = PLACES.stream().filter(s -> s.distance(bridge()) > 60).toList();
        Points unread = face(0, 0).read(away, 0, 1);
        Sureness doubtful = sure(unread, List.of(bridge()), 0.01);
        assertTrue(doubtful.any() > 0.1);
        assertEquals(Verdict.NOT_PROVEN, doubtful.judge(readings(unread)).worst());
    }

    @Test
    void byReadingsAloneNothingIsWithin() {
        Points many = face(0, 0).read(PLACES, 0, 3);
        FaceJudge.Judgement judged = readings(many);
        assertTrue(judged.limits().stream().allMatch(l -> l.readings() == Readings.UNDER));
        assertEquals(Verdict.NOT_PROVEN, judged.worst());
    }

    /** A reading as near to the limit as the gauge tells stays open, however sure the rest is. */
    @Test
    void whatIsCloserThanTheGaugeTellsStaysOpen() {
        double ofThree = readings(face(0.03, 0).read(PLACES, 0, 3))
                .limits()
                .get(0)
                .value()
                .getAsDouble();
        Points close = face(0.03 * 0.0495 / ofThree, 0).read(PLACES, 0, 3);
        Sureness sure = sure(close, List.of(), 0.4);
        LimitVerdict whole = sure.judge(readings(close)).limits().get(0);
        assertEquals(Readings.CLOSE, whole.readings());
        assertEquals(Verdict.NOT_PROVEN, whole.verdict());
        assertEquals("face.closer-to-the-limit-than-the-instrument", whole.why().code());
    }

    @Test
    void theRiskThatIsAllowedDecides() {
        Points read = face(0.012, 0.003).read(PLACES.subList(0, 10), NOISE / 2, 5);
        double any = sure(read, List.of(), 0.01).any();
        assertTrue(any > 0.002 && any < 0.5, "between the two risks: " + any);
        assertEquals(
                Verdict.WITHIN,
                sure(read, List.of(), 2 * any).judge(readings(read)).worst());
        assertEquals(
                Verdict.NOT_PROVEN,
                sure(read, List.of(), any / 20).judge(readings(read)).worst());
    }

    @Test
    void noLimitIsLikelierToBeBrokenThanAnyOfThem() {
        Random random = new Random(8);
        for (int i = 0; i < 6; i++) {
            Points read = face(0.03 * random.nextDouble(), 0.01 * random.nextDouble())
                    .read(PLACES.subList(0, 8 + i), NOISE, i);
            Sureness sure = sure(read, List.of(), 0.01);
            double sum = 0;
            for (int l = 0; l < LIMITS.size(); l++) {
                assertTrue(sure.chance(l) <= sure.any() + 1e-12);
                sum += sure.chance(l);
            }
            assertTrue(sure.any() <= sum + 1e-12);
        }
    }

    @Test
    void theSameReadingsGiveTheSameChance() {
        Points read = face(0.02, 0).read(PLACES.subList(0, 10), NOISE, 2);
        assertEquals(
                sure(read, List.of(), 0.01).any(), sure(read, List.of(), 0.01).any());
    }

    @Test
    void howAPartLiesOnItsSupportsChangesNothing() {
        SeededFace flat = new SeededFace(HEAD.box(), 0, 0, 0.02, 0, 0, List.of());
        SeededFace tilted = new SeededFace(HEAD.box(), 1.2, -0.7, 0.02, 0, 0, List.of());
        List<Spot> ten = PLACES.subList(0, 10);
        assertEquals(
                sure(flat.read(ten, 0, 1), List.of(), 0.01).any(),
                sure(tilted.read(ten, 0, 1), List.of(), 0.01).any(),
                1e-3);
    }

    @Test
    void aDipThatWasToldOfIsLookedForWhereItWasTold() {
        List<Spot> away =
                PLACES.stream().filter(s -> s.distance(bridge()) > 50).limit(12).toList();
        Points read = face(0.004, 0).read(away, NOISE / 2, 7);
        Spot told = sure(read, List.of(bridge()), 0.01).next().orElseThrow();
        assertTrue(told.distance(bridge()) < 40, told + " lies off the bridge at " + bridge());
    }

    /** Readings taken where it says find a dip that was told of, and call the face out. */
    @Test
    void readingOnWhereItSaysFindsTheDip() {
        SeededFace dipped = face(0.004, 0.001, new SeededFace.Dip(bridge(), 0.06, 22));
        List<Spot> at = new ArrayList<>(
                PLACES.stream().filter(s -> s.distance(bridge()) > 50).limit(6).toList());
        Verdict verdict = Verdict.NOT_PROVEN;
        while (at.size() < 12 && verdict == Verdict.NOT_PROVEN) {
            Points read = dipped.read(at, 0, 1);
            Sureness sure = sure(read, List.of(bridge()), 0.01);
            verdict = sure.judge(readings(read)).worst();
            at.add(sure.next().orElseThrow());
        }
        assertEquals(Verdict.OUT, verdict);
        assertTrue(at.size() - 1 <= 10, "found after " + (at.size() - 1));
    }

    /** Never at a place that was read, never where no tip stands. */
    @Test
    void theNextPlaceCanBeStoodOnAndIsNew() {
        List<Spot> at = new ArrayList<>(PLACES.subList(0, 5));
        SeededFace face = face(0.01, 0.004);
        for (int i = 0; i < 8; i++) {
            Spot next = sure(face.read(at, NOISE, i), List.of(), 0.001).next().orElseThrow();
            assertTrue(at.stream().allMatch(s -> s.distance(next) >= 8));
            assertTrue(GRID.standable(GRID.spots().indexOf(next)));
            at.add(next);
        }
    }

    @Test
    void aFaultIsSuspectedWhenReadingsSpeakForIt() {
        SeededFace dipped = face(0, 0, new SeededFace.Dip(bridge(), 0.08, 20));
        List<Spot> at = new ArrayList<>(PLACES);
        at.add(new Spot(bridge().x(), bridge().y() + 2));
        Sureness sure = sure(dipped.read(at, 0, 1), List.of(bridge()), 0.01);
        assertEquals(List.of(Fault.GASKET), sure.suspected());
        assertEquals(
                "The readings speak for a hollow where the gasket was gone.",
                English.of(sure.causes().get(0).words()));
        assertTrue(sure.chanceOf(Fault.GASKET) > 0.9);
        assertTrue(sure(face(0, 0).read(at, 0, 1), List.of(bridge()), 0.01)
                .suspected()
                .isEmpty());
    }

    @Test
    void whatIsKnownLeastLiesFurthestFromTheReadings() {
        Points left = face(0, 0)
                .read(
                        PLACES.stream()
                                .filter(s -> s.x() < HEAD.box().width() / 2)
                                .toList(),
                        NOISE,
                        1);
        List<Sureness.Unknown> unknown = sure(left, List.of(), 0.01).unknown();
        double middle = HEAD.box().width() / 2;
        assertTrue(unknown.stream().noneMatch(u -> u.grade() == 3 && u.cell().x1() < middle - 40));
        assertTrue(unknown.stream().filter(u -> u.cell().x0() > middle + 120).allMatch(u -> u.grade() == 3));
        assertTrue(unknown.stream().filter(u -> u.cell().x0() > middle + 120).count() > 20);
    }

    @ParameterizedTest
    @CsvSource({
        "0.5, 2000, sure.in-10, 5",
        "0.149, 2000, sure.1-in, 7",
        "0.0166, 2000, sure.1-in, 60",
        "0.00301, 20000, sure.1-in, 330",
        "0.97, 2000, sure.more-than-19-in-20, ",
        "0.0001, 2400, sure.fewer-than-1-in, 2400",
        "0, 120, sure.fewer-than-1-in, 120",
        "0.01, 2147483647, sure.1-in, 100",
    })
    void aChanceIsSaidAsOneSaysIt(double chance, int drawn, String code, Long figure) {
        assertEquals(code, Odds.of(chance, drawn).code());
        assertEquals(
                figure == null ? List.of() : List.of(figure),
                Odds.of(chance, drawn).args());
    }

    /** Every limit with its own patches; heights that break one are found. */
    @Test
    void theZonesOfKnownHeightsAreTheFaces() {
        double[] heights = new double[GRID.spots().size()];
        SeededFace face = face(0.04, 0.01);
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < heights.length; i++) {
            Spot at = GRID.spots().get(i);
            heights[i] = face.at(at.x(), at.y());
            double bent = 0.04 * Math.pow(HEAD.box().u(at.x()), 2)
                    + 0.01 * Math.pow(HEAD.box().v(at.y()), 2);
            least = Math.min(least, bent);
            most = Math.max(most, bent);
        }
        double[] zones = GRID.zones(heights);
        assertEquals(most - least, zones[0], 1e-6, "no tilt makes a symmetric bow smaller");
        assertEquals(0.01, zones[1], 0.0006, "the cross bow, from rim to rim");
        double square = 0.04 * Math.pow(100 / HEAD.box().width(), 2);
        assertTrue(zones[2] > square && zones[2] < 0.02, "of both bows in 100: " + zones[2]);
        assertFalse(GRID.spots().isEmpty());
        assertEquals(LIMITS, GRID.limits());
    }
}

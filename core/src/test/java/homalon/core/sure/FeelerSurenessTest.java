package homalon.core.sure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FeelerEvidence;
import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerProposal;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerResult.Try;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.FeelerSurvey.Kind;
import homalon.core.face.Feelers;
import homalon.core.gauge.Sag;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import homalon.core.surface.SurfacePrior;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FeelerSurenessTest {
    private static final double LIMIT = 0.05;
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final FaceGrid GRID =
            FaceGrid.of(Ground.of(LAYOUT), List.of(FlatnessLimit.overall(Length.ofMm("0.05"), Source.MAKER)));
    private static final List<Double> BLADES = List.of(0.013, 0.02, 0.025, 0.03, 0.04, 0.05, 0.06, 0.08, 0.1);
    private static final List<FeelerProposal.Line> PROPOSED = FeelerProposal.of(LAYOUT);

    private static SeededFace face(double longBow, double crossBow, SeededFace.Dip... dips) {
        return new SeededFace(LAYOUT.box(), 0.1, 0.05, longBow, crossBow, 0, List.of(dips));
    }

    /** Tried on these lines of the proposal as a hand does that looks for the gap at each place; on none of the others. */
    private static List<FeelerLine> tried(SeededFace face, int... lines) {
        return IntStream.range(0, PROPOSED.size())
                .mapToObj(l -> IntStream.of(lines).anyMatch(k -> k == l)
                        ? found(face, PROPOSED.get(l))
                        : new FeelerLine(
                                PROPOSED.get(l).from(), PROPOSED.get(l).to(), Rest.NOT_NOTED, Tried.NOTHING, List.of()))
                .toList();
    }

    private static List<FeelerLine> triedAllOver(SeededFace face) {
        return tried(face, IntStream.range(0, PROPOSED.size()).toArray());
    }

    private static FeelerLine found(SeededFace face, FeelerProposal.Line line) {
        FeelerHand.Laid laid = FeelerHand.lay(face, line.from(), line.to());
        List<Station> stations = line.places().stream()
                .map(t -> new Station(t, gap(laid.gap(t))))
                .toList();
        return new FeelerLine(
                line.from(),
                line.to(),
                laid.rocks() ? Rest.ROCKS : Rest.SITS_STILL,
                laid.rocks() ? gap(laid.rock()) : Tried.NOTHING,
                stations);
    }

    private static Tried gap(double gap) {
        OptionalDouble goes = OptionalDouble.empty();
        for (double blade : BLADES) {
            if (gap < blade) {
                return new Tried(goes, OptionalDouble.of(blade));
            }
            goes = OptionalDouble.of(blade);
        }
        return new Tried(goes, OptionalDouble.empty());
    }

    private static List<FeelerLine> asked() {
        return PROPOSED.stream()
                .map(l -> new FeelerLine(
                        l.from(),
                        l.to(),
                        Rest.NOT_NOTED,
                        Tried.NOTHING,
                        l.places().stream()
                                .map(t -> new Station(t, Tried.NOTHING))
                                .toList()))
                .toList();
    }

    private static FeelerSurvey survey(List<FeelerLine> lines, Kind kind) {
        return new FeelerSurvey(LAYOUT.box(), BLADES.get(0), lines, LIMIT, kind);
    }

    private static FeelerSureness sure(List<FeelerLine> lines, Kind kind, Spot... gone) {
        return sure(lines, kind, 0.01, gone);
    }

    private static FeelerSureness sure(List<FeelerLine> lines, Kind kind, double risk, Spot... gone) {
        return sure(lines, kind, risk, true, gone);
    }

    private static FeelerSureness sure(List<FeelerLine> lines, Kind kind, double risk, boolean strictly, Spot... gone) {
        return FeelerSureness.of(new FeelerSureness.Question(
                survey(lines, kind),
                GRID,
                SurfacePrior.usual(LIMIT),
                List.of(gone),
                risk,
                asked(),
                BLADES,
                FeelerEvidence.Tools.USUAL,
                strictly));
    }

    /** Within leaves room for how few faces were drawn; what was handed over before is asked as it was. */
    @ParameterizedTest
    @CsvSource({
        "0.004, 0.004, true",
        "0.006, 0.004, true",
        "0.006, 0.0041, false",
        "0.0099, 0.002, false",
        "0.0099, 0, true",
        "0, 0, true",
        "0.0101, 0, false"
    })
    void withinLeavesRoomForTheErrorOfTheDraw(double chance, double error, boolean within) {
        FeelerSureness sure =
                new FeelerSureness(chance, error, 0.01, 1000, new Range(0, 1), 0, 0, List.of(), Optional.empty());
        assertEquals(within, sure.withinRisk());
    }

    @Test
    void nearTheRiskMoreAreDrawnWhereItIsAskedStrictly() {
        List<FeelerLine> lines = triedAllOver(face(0.025, 0.012));
        double near = sure(lines, Kind.ZONE).chance();
        assertTrue(near > 0.001 && near < 0.999, near + ": neither clear");
        FeelerSureness before = sure(lines, Kind.ZONE, near, false);
        FeelerSureness now = sure(lines, Kind.ZONE, near, true);
        assertEquals(0, before.error());
        assertTrue(before.drawn() > 900 && before.drawn() < 1100, before.drawn() + " drawn");
        assertTrue(now.drawn() > 2300, now.drawn() + " drawn");
        assertTrue(now.error() > 0 && now.error() < 0.06, now.error() + " open");
        assertEquals(before.chance(), now.chance(), 4 * Math.hypot(now.error(), now.error() * 1.6));
    }

    /** The same answers with an edge that may be as far off as the limit prove nothing. */
    @Test
    void aCoarseEdgeLeavesMoreOpen() {
        List<FeelerLine> lines = triedAllOver(face(0.004, 0.002));
        double fine = sure(lines, Kind.GAP).chance();
        FeelerSureness coarse = FeelerSureness.of(new FeelerSureness.Question(
                survey(lines, Kind.GAP),
                GRID,
                SurfacePrior.usual(LIMIT),
                List.of(),
                0.01,
                asked(),
                BLADES,
                new FeelerEvidence.Tools(0.002, 0.05, Sag.NONE, Optional.empty()),
                true));
        assertTrue(coarse.chance() > 3 * fine && coarse.chance() > 0.02, coarse.chance() + " beside " + fine);
        assertFalse(coarse.withinRisk());
    }

    private static Spot bridge() {
        Spot a = LAYOUT.bores().get(1).centre();
        Spot b = LAYOUT.bores().get(2).centre();
        return new Spot((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
    }

    @Test
    void aStraightFaceTriedAllOverIsWithin() {
        List<FeelerLine> lines = triedAllOver(face(0.004, 0.002));
        FeelerSureness sure = sure(lines, Kind.GAP);
        assertTrue(sure.withinRisk(), "1 in 100 at the most: " + sure.chance());
        FeelerResult judged = sure.judge(Feelers.look(survey(lines, Kind.GAP)));
        assertEquals(Verdict.WITHIN, judged.verdict());
        assertTrue(judged.next().isEmpty(), "the hand stops");
        assertTrue(sure.toClean() < sure.toCleanMostly() && sure.toCleanMostly() < LIMIT, "depth with its spread");
    }

    /** Fewer lines leave more open; bow and twist alone call it within all the same. */
    @Test
    void aFewLinesLeaveMoreOpenThanAll() {
        SeededFace flat = face(0.03, 0.006);
        FeelerSureness six = sure(tried(flat, 0, 1, 2, 3, 4, 5), Kind.ZONE, 0.001);
        FeelerSureness all = sure(triedAllOver(flat), Kind.ZONE);
        assertTrue(six.chance() > 2 * all.chance(), six.chance() + " by six, " + all.chance() + " by all");
        FeelerSurvey survey = survey(tried(flat, 0, 1, 2, 3, 4, 5), Kind.ZONE);
        assertEquals(Verdict.WITHIN, Feelers.look(survey).verdict(), "by bow and twist");
        FeelerResult judged = six.judge(Feelers.look(survey));
        assertEquals(Verdict.NOT_PROVEN, judged.verdict());
        Try next = judged.next().orElseThrow();
        assertTrue(next.line().getAsInt() > 5, "a line that was not laid yet: " + next);
        assertTrue(BLADES.contains(next.blade()), "a blade at hand");
    }

    @Test
    void theZoneOfABentFaceLiesInWhatIsSaid() {
        FeelerSureness bent = sure(triedAllOver(face(0.07, 0.01)), Kind.ZONE);
        assertTrue(bent.zone().least() < 0.08 && bent.zone().most() > 0.065, "about 0.075: " + bent.zone());
        assertTrue(bent.chance() > 0.9, "out: " + bent.chance());
        assertTrue(bent.toClean() > 0.055 && bent.toCleanMostly() < 0.12, bent.toClean() + ", " + bent.toCleanMostly());
    }

    /** Thinner blades say no more of a face that is likely out: a blade as thick as the limit that goes proves it, or nothing does. */
    @Test
    void ofAFaceThatIsLikelyOutProofIsAsked() {
        FeelerSureness bent = sure(tried(face(0.075, 0.01), 1, 3, 4, 5), Kind.GAP);
        assertTrue(bent.chance() > 0.6, "" + bent.chance());
        Try proof = bent.next().orElseThrow();
        assertTrue(proof.blade() >= LIMIT, "the limit blade: " + proof);
        assertTrue(proof.line().getAsInt() == 0 || proof.line().getAsInt() == 2, "where no edge was laid: " + proof);
        SeededFace twisted = new SeededFace(LAYOUT.box(), 0.1, 0.05, 0, 0, 0.24, List.of());
        FeelerSureness known = sure(triedAllOver(twisted), Kind.GAP);
        known.next().ifPresent(n -> assertTrue(n.blade() >= LIMIT, "" + n));
    }

    /** A dip under one line, where bow and twist alone contradict: it says what it may be, and no reading is called a slip. */
    @Test
    void aDipIsAShapeLikeAnother() {
        List<FeelerLine> lines = triedAllOver(face(0.004, 0.002, new SeededFace.Dip(bridge(), 0.03, 24)));
        FeelerResult byBowAndTwist = Feelers.look(survey(lines, Kind.GAP));
        assertFalse(byBowAndTwist.consistent());
        FeelerSureness sure = sure(lines, Kind.GAP);
        FeelerResult judged = sure.judge(byBowAndTwist);
        assertEquals(List.of(), judged.odd(), "what blades and hand leave open explains it: " + sure.doubted());
        assertTrue(sure.zone().most() < 0.1 && sure.zone().least() > 0.01, "" + sure.zone());
    }

    /** One blade noted ten times too thick: all the rest speaks against it. */
    @Test
    void aSlipIsNamedWhereItLies() {
        List<FeelerLine> lines = new ArrayList<>(triedAllOver(face(0.004, 0.002)));
        FeelerLine first = lines.get(0);
        List<Station> stations = new ArrayList<>(first.stations());
        stations.set(1, new Station(stations.get(1).at(), new Tried(OptionalDouble.of(0.3), OptionalDouble.of(0.4))));
        lines.set(0, new FeelerLine(first.from(), first.to(), first.rest(), first.ends(), stations));
        FeelerSureness sure = sure(lines, Kind.GAP);
        assertEquals(1, sure.doubted().size(), "" + sure.doubted());
        assertEquals(0, sure.doubted().get(0).line());
        assertEquals(1, sure.doubted().get(0).station());
        assertEquals(0.3, survey(lines, Kind.GAP).proven(), "a blade that went, went: out until it is tried again");
    }

    /** Where the gasket was told to be gone a dip is common, and the next blade goes there. */
    @Test
    void whatWasToldAtIntakeCounts() {
        // both long edges and both ends: nothing lies near the bridge
        List<FeelerLine> lines = tried(face(0.004, 0.002), 0, 2, 5, PROPOSED.size() - 1);
        FeelerSureness plain = sure(lines, Kind.ZONE);
        FeelerSureness told = sure(lines, Kind.ZONE, bridge());
        assertTrue(told.chance() > plain.chance() + 0.05, told.chance() + " told, " + plain.chance() + " not");
        Try next = told.next().orElseThrow();
        double t = next.at();
        Spot at = new Spot(
                next.from().x() + t * (next.to().x() - next.from().x()),
                next.from().y() + t * (next.to().y() - next.from().y()));
        assertTrue(Math.abs(at.x() - bridge().x()) < 25, "between 2 and 3: " + at);
    }

    /** The shape that bow and twist would have proves nothing where the chance does not agree. */
    @Test
    void outByBowAndTwistNeedsTheChanceToAgree() {
        List<FeelerLine> lines = triedAllOver(face(0.004, 0.002));
        FeelerSureness sure = sure(lines, Kind.GAP);
        FeelerResult byBlades = Feelers.look(survey(lines, Kind.GAP));
        FeelerResult bent = byBlades.judged(Verdict.OUT, List.of(), byBlades.next());
        assertEquals(Verdict.WITHIN, sure.judge(bent).verdict());
    }

    /** A twist hides from along and across: a face that only the diagonals see bent is not within by gap. */
    @Test
    void aTwistCountsUnderTheDiagonals() {
        SeededFace twisted = new SeededFace(LAYOUT.box(), 0.1, 0.05, 0, 0, 0.24, List.of());
        List<FeelerLine> lines = triedAllOver(twisted);
        FeelerSureness alongAndAcross = sure(tried(twisted, 0, 1, 2, 5, 7, PROPOSED.size() - 1), Kind.GAP);
        assertFalse(alongAndAcross.withinRisk(), "nothing is known of the diagonals: " + alongAndAcross.chance());
        assertTrue(
                sure(lines, Kind.GAP).chance() > 0.8, "" + sure(lines, Kind.GAP).chance());
    }

    @Test
    void anEdgeNotLaidOnAllFiveLinesProvesNothing() {
        int[] butDiagonals = IntStream.range(0, PROPOSED.size())
                .filter(l -> l != 3 && l != 4)
                .toArray();
        List<FeelerLine> lines = tried(face(0.004, 0.002), butDiagonals);
        FeelerSureness sure = sure(lines, Kind.GAP);
        FeelerResult judged = sure.judge(Feelers.look(survey(lines, Kind.GAP)));
        assertEquals(Verdict.NOT_PROVEN, judged.verdict(), "chance " + sure.chance());
        assertTrue(judged.next().isPresent());
    }

    @Test
    void theSameAnswersHaveTheSameChance() {
        List<FeelerLine> lines = tried(face(0.02, 0.01), 0, 2, 3);
        assertEquals(sure(lines, Kind.ZONE), sure(lines, Kind.ZONE));
    }
}

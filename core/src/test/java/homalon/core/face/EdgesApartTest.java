package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerResult.Fits;
import homalon.core.face.FeelerResult.Judged;
import homalon.core.face.FeelerSurvey.Kind;
import homalon.core.geometry.Box;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.numeric.LinearBounds;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Faces of which one long edge is bowed and the other is not. */
class EdgesApartTest {
    private static final Box BOX = new Box(0, 0, 412, 150);

    private static SeededFace face(double e, double f, double lift, double g) {
        return new SeededFace(BOX, 0.2, -0.1, e, f, lift, g, List.of());
    }

    private static List<FeelerLine> measured(SeededFace face) {
        return new ArrayList<>(FeelerHand.lines(BOX, 3).stream()
                .map(l -> FeelerHand.findGap(face, l))
                .toList());
    }

    private static FeelerSurvey survey(List<FeelerLine> lines, double limit) {
        return new FeelerSurvey(BOX, FeelerHand.BLADES[0], lines, limit, Kind.GAP);
    }

    /** Greatest gap under an edge, or height of the crown that it rocks on, between any two places of the outline. */
    private static double bow(SeededFace face) {
        List<Spot> rim = new ArrayList<>();
        for (int i = 0; i <= 12; i++) {
            rim.add(new Spot(412 * i / 12.0, 0));
            rim.add(new Spot(412 * i / 12.0, 150));
            rim.add(new Spot(0, 150 * i / 12.0));
            rim.add(new Spot(412, 150 * i / 12.0));
        }
        double most = 0;
        for (int i = 0; i < rim.size(); i++) {
            Spot a = rim.get(i);
            for (Spot b : rim.subList(i + 1, rim.size())) {
                if (a.distance(b) > 40) {
                    FeelerHand.Laid laid = FeelerHand.lay(face, a, b);
                    for (double t = 0.1; t < 0.95; t += 0.1) {
                        most = Math.max(most, laid.gap(t));
                        double x = a.x() + t * (b.x() - a.x());
                        double y = a.y() + t * (b.y() - a.y());
                        double chord = face.at(a.x(), a.y()) + t * (face.at(b.x(), b.y()) - face.at(a.x(), a.y()));
                        most = Math.max(most, face.at(x, y) - chord);
                    }
                }
            }
        }
        return most;
    }

    @ParameterizedTest
    @CsvSource({
        "0.03, 0, 0, 0.03, 0.07, WITHIN",
        "0.03, 0, 0, 0.03, 0.061, NOT_PROVEN",
        "0.03, 0, 0, 0.03, 0.05, OUT",
        "0.03, 0, 0, -0.03, 0.05, OUT",
        "0.015, 0, 0, 0.015, 0.10, WITHIN",
        "-0.03, 0, 0, 0.05, 0.10, WITHIN",
        "-0.03, 0, 0, 0.05, 0.06, OUT"
    })
    void anEdgeThatBowsAloneIsAnOrdinaryFaceAndNoDip(
            double e, double f, double lift, double g, double limit, Verdict verdict) {
        FeelerSurvey survey = survey(measured(face(e, f, lift, g)), limit);
        FeelerResult plain = Feelers.judge(survey);
        assertEquals(Fits.NOTHING, plain.fits(), "one bow would do");
        assertEquals(5, plain.bows().stream().filter(FeelerResult.Bow::tried).count(), "all five were laid");
        FeelerResult result = Feelers.look(survey);
        assertEquals(Fits.EDGES_APART, result.fits());
        assertEquals(verdict, result.verdict());
        assertTrue(result.odd().isEmpty());
        double apart = result.edgesApart().orElseThrow();
        assertTrue(Math.signum(apart) == Math.signum(g) && Math.abs(apart) <= 2 * Math.abs(g) + 1e-9);
        for (FeelerResult.Bow bow : result.bows()) {
            double there = bow.line() == Judged.UPPER_EDGE ? e + g : bow.line() == Judged.LOWER_EDGE ? e - g : 0;
            if (there != 0) {
                assertTrue(bow.quarterK().orElseThrow().least() <= there
                        && there <= bow.quarterK().orElseThrow().most());
            }
        }
    }

    @Test
    void noVerdictIsFalseAndTheBowItAllowsHoldsTheTrueOne() {
        Random random = new Random(31);
        int apart = 0;
        for (int i = 0; i < 400; i++) {
            SeededFace face = face(
                    0.03 * random.nextGaussian(),
                    0.01 * random.nextGaussian(),
                    0.04 * random.nextGaussian(),
                    0.02 * random.nextGaussian());
            double limit = 0.04 + 0.02 * random.nextInt(4);
            FeelerResult result = Feelers.look(survey(measured(face), limit));
            if (result.fits() != Fits.EDGES_APART) {
                continue;
            }
            apart++;
            double bow = bow(face);
            assertTrue(bow <= result.gapPossible() + 1e-9, () -> bow + " over " + result.gapPossible() + " of " + face);
            assertFalse(result.verdict() == Verdict.WITHIN && bow > limit + 1e-9, () -> "false within: " + face);
            assertFalse(result.verdict() == Verdict.OUT && bow < limit - 1e-9, () -> "false out: " + face);
            double zone = EdgesApart.zone(
                    new double[] {face.longBow(), face.crossBow(), face.fourthCornerLift() / 4, face.edgesApart()});
            var allowed = result.shape().orElseThrow().zone();
            assertTrue(zone >= allowed.least() - 1e-9 && zone <= allowed.most() + 1e-9);
        }
        assertTrue(apart > 60, "only " + apart);
    }

    /** Where the edges bow alike it is the plain bow and twist: gap and zone are those that are told of one, within its grid. */
    @Test
    void edgesThatBowAlikeAreAPlainBow() {
        Random random = new Random(37);
        for (int n = 0; n < 60; n++) {
            double[] x = {0.05 * random.nextGaussian(), 0.03 * random.nextGaussian(), 0.03 * random.nextGaussian(), 0};
            double[] plain = {x[0], x[1], x[2]};
            EdgesApart.Bounds both = EdgesApart.over(exactly(x), List.of(x));
            Range gap = ChordGap.over(exactly(plain), List.of(plain));
            double zone = BowTwistZone.of(plain);
            assertEquals(gap.most(), both.gap().most(), 0.03 * gap.most() + 1e-6);
            assertEquals(zone, EdgesApart.zone(x), 0.02 * zone + 1e-6);
            assertEquals(zone, both.zone().most(), 0.03 * zone + 1e-6);
            assertTrue(both.gap().least() <= gap.most() + 1e-9 && both.gap().least() >= 0.95 * gap.most() - 1e-6);
        }
    }

    private static List<LinearBounds.Band> exactly(double[] x) {
        List<LinearBounds.Band> bands = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            double[] form = new double[x.length];
            form[i] = 1;
            bands.add(new LinearBounds.Band(form, x[i], x[i]));
        }
        return bands;
    }

    /** u^2 v less the tilt v / 2 runs from -1/2 to 1/2 on either edge: half of what the edges are apart by. */
    @Test
    void theZoneOfAnEdgeIsTakenAfterTheBestTilt() {
        assertEquals(0.03, EdgesApart.zone(new double[] {0, 0, 0, 0.03}), 1e-9);
        assertEquals(0.05, EdgesApart.zone(new double[] {0.05, 0, 0, 0}), 1e-9);
    }

    private static List<FeelerLine> flatWithADip(int line) {
        List<FeelerLine> lines = measured(face(0, 0, 0, 0));
        FeelerLine edge = lines.get(line);
        List<Station> stations = new ArrayList<>(edge.stations());
        stations.set(2, new Station(stations.get(2).at(), new Tried(OptionalDouble.of(0.04), OptionalDouble.of(0.05))));
        lines.set(line, new FeelerLine(edge.from(), edge.to(), edge.rest(), edge.ends(), stations));
        return lines;
    }

    @ParameterizedTest
    @CsvSource({"0, 0.05", "1, 0.05", "3, 0.05", "6, 0.05"})
    void aDipStaysADipAndTheOtherLinesKeepTheirBounds(int line, double limit) {
        FeelerResult result = Feelers.look(survey(flatWithADip(line), limit));
        assertEquals(Fits.ALL_BUT_ONE_LINE, result.fits());
        assertFalse(result.consistent());
        assertEquals(Verdict.NOT_PROVEN, result.verdict());
        assertEquals(
                List.of(line),
                result.odd().stream().map(FeelerResult.Odd::line).distinct().toList());
        assertEquals(OptionalInt.of(line), result.next().orElseThrow().line());
        assertTrue(Double.isFinite(result.shape().orElseThrow().crossBow().most()));
    }

    @Test
    void aBladeOfTheLimitInTheDipIsOutAllTheSame() {
        FeelerResult result = Feelers.look(survey(flatWithADip(0), 0.04));
        assertEquals(Verdict.OUT, result.verdict());
        assertTrue(result.next().isEmpty());
    }

    @Test
    void dipsUnderTwoLinesLeaveNothingToJudgeBy() {
        List<FeelerLine> lines = flatWithADip(0);
        lines.set(4, flatWithADip(4).get(4));
        FeelerResult result = Feelers.look(survey(lines, 0.05));
        assertEquals(Fits.NOTHING, result.fits());
        assertTrue(result.shape().isEmpty());
    }
}

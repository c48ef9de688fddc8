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
import java.util.function.DoubleUnaryOperator;
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
        return new FeelerSurvey(BOX, FeelerHand.THINNEST, lines, limit, Kind.GAP);
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

    private static double height(double[] x, double u, double v) {
        return x[0] * u * u + x[1] * v * v + x[2] * u * v + x[3] * u * u * v;
    }

    /** Any four terms, some of them of nothing. */
    private static double[] bent(Random random) {
        double[] x = new double[4];
        for (int k = 0; k < 4; k++) {
            x[k] = random.nextInt(5) == 0 ? 0 : 0.04 * random.nextGaussian();
        }
        return x;
    }

    /** Greatest distance between face and chord, by heights alone, over all chords between places of a fine grid. */
    private static double widest(double[] x) {
        double most = 0;
        int places = 25 * 9;
        for (int i = 0; i < places; i++) {
            double u = (i % 25) / 12.0 - 1;
            double v = Math.floorDiv(i, 25) / 4.0 - 1;
            for (int j = i + 1; j < places; j++) {
                double to = (j % 25) / 12.0 - 1;
                double up = Math.floorDiv(j, 25) / 4.0 - 1;
                for (double t = 0.05; t < 0.99; t += 0.05) {
                    double chord = (1 - t) * height(x, u, v) + t * height(x, to, up);
                    most = Math.max(most, Math.abs(chord - height(x, u + t * (to - u), v + t * (up - v))));
                }
            }
        }
        return most;
    }

    /** What is told of four known terms is what their heights say, and no less. */
    @Test
    void theGapIsTheWidestUnderAnyChord() {
        Random random = new Random(41);
        for (int n = 0; n < 40; n++) {
            double[] x = bent(random);
            double widest = widest(x);
            Range gap = EdgesApart.over(exactly(x), List.of(x)).gap();
            assertTrue(gap.most() >= widest - 1e-9 && gap.most() <= 1.03 * widest + 1e-9, gap + " of " + widest);
            LinearBounds.Touch touch = EdgesApart.gap(x);
            double bySlope = 0;
            for (int k = 0; k < 4; k++) {
                bySlope += touch.slope()[k] * x[k];
            }
            assertEquals(touch.value(), bySlope, 1e-12, "twice the shape is twice the gap");
            // Looked at every twentieth of a chord, its widest place is missed by up to 0.3 %.
            assertTrue(gap.least() <= 1.003 * widest && gap.least() >= 0.97 * widest - 1e-9, gap + " of " + widest);
        }
    }

    /** The least gap that readings allow is found: no face that they allow, sought at random ever nearer, has less. */
    @Test
    void noAllowedFaceHasLessThanTheLeastGap() {
        Random random = new Random(53);
        for (int n = 0; n < 12; n++) {
            double[] middle = bent(random);
            double[] half = new double[4];
            List<LinearBounds.Band> bands = new ArrayList<>();
            for (int k = 0; k < 4; k++) {
                half[k] = 0.02 * random.nextDouble();
                double[] form = FaceTerms.EDGES_APART.only(k, 1);
                bands.add(new LinearBounds.Band(form, middle[k] - half[k], middle[k] + half[k]));
            }
            double least = EdgesApart.over(bands, List.of(middle)).gap().least();
            double sought = sought(middle, half, random);
            assertTrue(least <= sought * 1.001 + 1e-6, least + " told, " + sought + " found");
        }
    }

    /** Least gap of a face within the box, by steps that shrink where they no longer help. */
    private static double sought(double[] middle, double[] half, Random random) {
        double[] best = middle.clone();
        double least = gapOf(best);
        for (int step = 0; step < 1500; step++) {
            double[] next = new double[4];
            for (int k = 0; k < 4; k++) {
                double to = best[k] + half[k] * Math.exp(-step / 200.0) * random.nextGaussian();
                next[k] = Math.max(middle[k] - half[k], Math.min(middle[k] + half[k], to));
            }
            double gap = gapOf(next);
            if (gap < least) {
                least = gap;
                best = next;
            }
        }
        return least;
    }

    private static double gapOf(double[] x) {
        return EdgesApart.gap(x).value();
    }

    /** t (1 - t) (a + b t) is nowhere farther from 0 than at its turn: of one sign, of two, and where either sum vanishes. */
    @ParameterizedTest
    @CsvSource({
        "1, 0",
        "-1, 0",
        "1, 1",
        "1, -0.5",
        "1, -1",
        "1, -1.5",
        "0.5, -1.5",
        "-0.5, 1.5",
        "0, 1",
        "0, -1",
        "1, 1e-12",
        "1e-12, 1",
        "0, 0"
    })
    void aRunTurnsWhereItIsFarthest(double a, double b) {
        double turn = EdgesApart.turn(a, b);
        assertTrue(turn > 0 && turn < 1, "at " + turn);
        double there = Math.abs(turn * (1 - turn) * (a + b * turn));
        for (double t = 0; t <= 1; t += 0.001) {
            assertTrue(Math.abs(t * (1 - t) * (a + b * t)) <= there + 1e-12, "farther at " + t);
        }
    }

    /** Along any line, from edge to edge or aslant: the edge may rest on any two places on either side of the blade. */
    @Test
    void underAPlaceIsTheWidestThatAnyRestLeaves() {
        Random random = new Random(43);
        for (int n = 0; n < 60; n++) {
            double[] x = bent(random);
            Spot from = new Spot(412 * random.nextDouble(), 150 * random.nextDouble());
            Spot to = new Spot(412 * random.nextDouble(), 150 * random.nextDouble());
            FeelerLine line = new FeelerLine(from, to, FeelerLine.Rest.NOT_NOTED, Tried.NOTHING, List.of());
            double at = 0.2 + 0.6 * random.nextDouble();
            double widest = 0;
            for (double a = 0; a < at; a += 0.01) {
                for (double b = 1; b > at; b -= 0.01) {
                    double t = (at - a) / (b - a);
                    double chord = (1 - t) * along(x, from, to, a) + t * along(x, from, to, b);
                    widest = Math.max(widest, chord - along(x, from, to, at));
                }
            }
            double told = EdgesApart.under(line, BOX, at, List.of(x));
            assertEquals(widest, told, 0.03 * widest + 1e-4, "at " + at + " of " + from + " to " + to);
        }
    }

    private static double along(double[] x, Spot from, Spot to, double t) {
        double u = (from.x() + t * (to.x() - from.x())) / 206 - 1;
        double v = (from.y() + t * (to.y() - from.y())) / 75 - 1;
        return height(x, u, v);
    }

    /** The range of the heights that are left when the best tilt is taken off, sought by halves along one tilt and the other. */
    @Test
    void theZoneIsWhatTheBestTiltLeaves() {
        Random random = new Random(47);
        for (int n = 0; n < 12; n++) {
            double[] x = bent(random);
            double left = lowest(a -> lowest(b -> spread(x, a, b)));
            assertEquals(left, EdgesApart.zone(x), 0.01 * left + 1e-6);
        }
    }

    private static double spread(double[] x, double a, double b) {
        double high = Double.NEGATIVE_INFINITY;
        double low = Double.POSITIVE_INFINITY;
        for (double u = -1; u <= 1.001; u += 0.05) {
            for (double v = -1; v <= 1.001; v += 0.05) {
                double z = height(x, u, v) - a * u - b * v;
                high = Math.max(high, z);
                low = Math.min(low, z);
            }
        }
        return high - low;
    }

    /** Least value of a convex sum between -1 and 1. */
    private static double lowest(DoubleUnaryOperator of) {
        double from = -1;
        double to = 1;
        while (to - from > 1e-5) {
            double third = (to - from) / 3;
            if (of.applyAsDouble(from + third) < of.applyAsDouble(to - third)) {
                to -= third;
            } else {
                from += third;
            }
        }
        return of.applyAsDouble((from + to) / 2);
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

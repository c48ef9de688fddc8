package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import homalon.core.sim.SeededFace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class CutTest {
    private static final List<Spot> SUPPORTS = List.of(new Spot(30, 30), new Spot(400, 40), new Spot(200, 140));

    private static Points face(int seed) {
        Random random = new Random(seed);
        List<Spot> places =
                new ArrayList<>(List.of(new Spot(5, 5), new Spot(415, 5), new Spot(5, 145), new Spot(415, 145)));
        for (int i = 0; i < 20; i++) {
            places.add(new Spot(420 * random.nextDouble(), 150 * random.nextDouble()));
        }
        return new SeededFace(new Box(0, 0, 420, 150), 0.2, -0.1, 0.08, 0.02, 0.05, List.of()).read(places, 0.01, seed);
    }

    private static SetUpSettings settings(boolean[] sealing, Slopes parallel, double step, double... depths) {
        return new SetUpSettings(
                sealing, on(SUPPORTS, step), new int[] {0, 1, 2}, Optional.ofNullable(parallel), depths);
    }

    private static Supports on(List<Spot> supports, double step) {
        return new Supports(supports, ShimStock.inSteps(Length.roundedFromMm(step)));
    }

    private static boolean[] all(Points points) {
        boolean[] sealing = new boolean[points.size()];
        Arrays.fill(sealing, true);
        return sealing;
    }

    @Test
    void noSetUpTakesLessThanLeastRemovalAndFineShimsCostNothing() {
        for (int seed = 1; seed <= 60; seed++) {
            Points points = face(seed);
            List<SetUp> setups = SetUps.of(points, settings(all(points), new Slopes(1e-4, 2e-4), 1e-6, 0));
            double least = setups.get(0).depth();
            for (SetUp s : setups) {
                assertTrue(s.depth() >= least - 1e-9);
                assertEquals(s.depth(), s.depthWithShims(), 2e-6, "shims must level the plane, not double its tilt");
                assertEquals(0, s.shims().stream().mapToDouble(x -> x).min().orElseThrow());
            }
        }
    }

    @Test
    void cleanUpGrowsWithDepthAndIsCompleteAtTheDepth() {
        Points points = face(5);
        double depth =
                SetUps.of(points, settings(all(points), null, 0.01)).get(1).depth();
        SetUp average = SetUps.of(points, settings(all(points), null, 0.01, 0, depth / 2, depth))
                .get(1);
        List<Double> shares =
                average.cleanUp().stream().map(SetUp.CleanUp::share).toList();
        assertTrue(shares.get(0) > 0 && shares.get(0) < shares.get(1) && shares.get(1) < 1);
        assertEquals(1, shares.get(2));
    }

    @Test
    void aHighPlaceThatDoesNotSealIsTouchedFirstButNotCounted() {
        Points points = face(9);
        double before =
                SetUps.of(points, settings(all(points), null, 0.01)).get(1).depth();
        points.zs()[10] += 0.5;
        boolean[] sealing = all(points);
        sealing[10] = false;
        SetUp average = SetUps.of(points, settings(sealing, null, 0.01)).get(1);
        assertTrue(average.depth() <= before + 0.05);
        assertTrue(average.firstTouch() > 0.3);
    }

    /** Two rows of equal bow leave the cross tilt free over a range: it must settle at the reference. */
    @Test
    void amongEqualPlanesTheOneNearestTheReferenceIsTaken() {
        List<double[]> rows = new ArrayList<>();
        for (double y : new double[] {0, 100}) {
            rows.add(new double[] {0, y, 0.1});
            rows.add(new double[] {200, y, y == 0 ? 0 : 0.04});
            rows.add(new double[] {400, y, 0.1});
        }
        Points points = Points.of(rows.toArray(double[][]::new));
        for (double wanted : new double[] {0.0002, -0.0003, 0.0009}) {
            SetUp least = SetUps.of(
                            points,
                            new SetUpSettings(
                                    all(points),
                                    on(SUPPORTS, 0.01),
                                    new int[] {0, 2, 3},
                                    Optional.of(new Slopes(0, wanted)),
                                    new double[0]))
                    .get(0);
            assertEquals(0.1, least.depth(), 1e-9);
            assertEquals(0, least.plane().a(), 1e-9);
            // Tilts from 0 to 0.0004 across share the least distance of 0.1.
            assertEquals(Math.max(0, Math.min(wanted, 0.0004)), least.plane().b(), 1e-8);
        }
    }

    @Test
    void theParallelSetUpLeavesAnEvenThickness() {
        Points points = face(3);
        double[] thickness = new double[points.size()];
        for (int i = 0; i < thickness.length; i++) {
            thickness[i] = 90 + 0.0004 * points.x(i) - 0.0007 * points.y(i);
        }
        Plane face = LeastSquaresPlane.fit(points);
        Plane thick = LeastSquaresPlane.fit(Points.of(points.xs(), points.ys(), thickness));
        Slopes reference = Slopes.ofReference(face, thick);
        SetUp parallel =
                SetUps.of(points, settings(all(points), reference, 0.01)).get(3);
        // Cutting to that plane takes face - plane off; what is left of the thickness has no slope.
        assertEquals(0, thick.a() - (face.a() - parallel.plane().a()), 1e-12);
        assertEquals(0, thick.b() - (face.b() - parallel.plane().b()), 1e-12);
    }

    @Test
    void passesAddUpExactlyAndNoneIsTooDeep() {
        Length grain = Length.ofMm("0.005");
        for (int um = 0; um <= 900; um += 7) {
            PassPlan plan = PassPlan.toClean(um / 1000.0, PassPlan.Depths.usual(BenchUnit.MM), grain);
            Length sum = Length.ZERO;
            for (PassPlan.Pass pass : plan.passes()) {
                sum = sum.plus(pass.depth());
                assertEquals(sum, pass.total());
                assertTrue(pass.depth().compareTo(Length.ofMm("0.05")) <= 0);
            }
            assertTrue(sum.mm() >= um / 1000.0 - 1e-9, "cleans up " + um);
            assertTrue(sum.mm() <= um / 1000.0 + 0.03 + 1e-9, "and not much more: " + um + " " + sum);
            assertEquals(um == 0, plan.passes().isEmpty());
        }
        PassPlan thou = PassPlan.toClean(
                0.1,
                new PassPlan.Depths(Length.ofThou("0.5"), Length.ofThou("2"), Length.ofThou("1")),
                Length.ofThou("0.5"));
        assertEquals(Length.ofThou("4"), thou.total());
        assertThrows(
                BadInputException.class, () -> new PassPlan.Depths(Length.ofMm("40"), Length.ofMm("-1"), Length.ZERO));
    }

    @Test
    void badSettingsAreAllNamed() {
        Points points = face(1);
        BadInputException e = assertThrows(
                BadInputException.class,
                () -> SetUps.of(
                        points,
                        new SetUpSettings(
                                new boolean[2],
                                on(List.of(new Spot(0, 0), new Spot(1, 1), new Spot(2, 2)), 0.01),
                                new int[] {0, 0, 99},
                                Optional.empty(),
                                new double[] {-1})));
        assertEquals(
                List.of("sealing", "supports", "corners", "depths"),
                e.problems().stream().map(BadInputException.Problem::field).toList());
    }
}

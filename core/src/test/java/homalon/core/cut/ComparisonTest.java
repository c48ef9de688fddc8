package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FaceMap;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.ShimStock;
import homalon.core.sim.SeededFace;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ComparisonTest {
    private static final Layout LAYOUT = Layout.of(new LayoutNumbers(
            4,
            1,
            1,
            Length.ofMm("87"),
            Length.ofMm("98"),
            Length.ofMm("412"),
            Length.ofMm("150"),
            BoltRows.TWO,
            Length.ofMm("12"),
            4,
            ChamberShape.CUT_OFF,
            false));

    private static Comparison compare(Points points, Optional<Plane> thickness, ShimStock stock) {
        boolean[] sealing = new boolean[points.size()];
        Arrays.fill(sealing, true);
        FaceMap map = FaceMap.of(points, Plane.LEVEL, LandRaster.of(LAYOUT, 84)).orElseThrow();
        return Comparison.of(
                new Comparison.Question(points, sealing, map, thickness, Supports.usual(LAYOUT.box(), stock)));
    }

    private static Points read(SeededFace face) {
        List<Spot> spots = PlaceProposal.of(LAYOUT, PlaceProposal.Density.CLOSE).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        return face.read(spots, 0, 1);
    }

    /** A plane that rises 0.10 to the back is levelled by shims and needs no cut, but what was thick stays thick. */
    @Test
    void aFlatFaceOnATaperedHeadCostsNothingLevelAndTheTaperParallel() {
        Points points = read(new SeededFace(LAYOUT.box(), 0.10, 0, 0, 0, 0, List.of()));
        Plane thickness = new Plane(0.04 / 412, 0, 120);
        Comparison c = compare(points, Optional.of(thickness), ShimStock.inSteps(Length.ofNanometres(1)));
        Removal level = c.with(SetUpMethod.LEAST_REMOVAL).orElseThrow();
        assertEquals(0, level.setUp().toClean(), 1e-6);
        assertEquals(0.04, level.taperLeft().orElseThrow().along(), 1e-5);
        Removal parallel = c.with(SetUpMethod.PARALLEL).orElseThrow();
        assertTrue(parallel.taperLeft().orElseThrow().none());
        double span = points.xs()[0] < 0
                ? 0
                : Arrays.stream(points.xs()).max().getAsDouble()
                        - Arrays.stream(points.xs()).min().getAsDouble();
        assertEquals(0.04 * span / 412, parallel.setUp().depth(), 1e-4);
        assertEquals(
                parallel.setUp().toClean() - level.setUp().toClean(),
                parallel.moreThanLeast(),
                1e-12,
                "by what is really cut");
        // The thick end reaches to the outline, past the last place: the cutter touches there first.
        assertTrue(
                parallel.setUp().firstTouch() > 0.0005,
                () -> "touches " + parallel.setUp().firstTouch());
        Removal.At most = parallel.corners().get(1);
        assertEquals("rear exhaust", most.name());
        assertTrue(most.depth() > parallel.corners().get(0).depth(), "the thick end gives the metal");
        assertTrue(parallel.bores().get(3).depth() > parallel.bores().get(0).depth());
    }

    /** Over seeded faces: nothing beats least removal, all is clean after its depth, and shares only grow. */
    @Test
    void leastRemovalIsLeastAndCleanUpGrowsToAll() {
        Random random = new Random(11);
        for (int n = 0; n < 60; n++) {
            SeededFace face = new SeededFace(
                    LAYOUT.box(),
                    random.nextGaussian() * 0.2,
                    random.nextGaussian() * 0.2,
                    random.nextGaussian() * 0.06,
                    random.nextGaussian() * 0.03,
                    random.nextGaussian() * 0.1,
                    List.of());
            Comparison c = compare(read(face), Optional.empty(), RuleBook.shims(BenchUnit.MM));
            assertEquals(3, c.removals().size(), "parallel needs a thickness");
            for (Removal r : c.removals()) {
                assertTrue(r.setUp().depth() >= c.removals().get(0).setUp().depth() - 1e-9);
                assertTrue(r.corners().stream().allMatch(a -> a.depth() >= 0 && a.depth() < 1));
                double before = 0;
                Length total = Length.ZERO;
                for (int k = 0; k < 12; k++) {
                    double share = c.cleanShare(r, total);
                    assertTrue(share >= before);
                    assertTrue(k > 0 || share == 0, "nothing is clean before the first cut");
                    before = share;
                    total = total.plus(Length.roundedFromMm(r.setUp().toClean() * 1.25 / 11));
                }
                assertEquals(1, before, 0.002, "a tenth of overshoot of the map lies under the places read");
                Length clean = Length.ofNanometres((long) Math.ceil(r.setUp().toClean() * 1e6) + 1);
                assertEquals(1, c.sealedShare(r, clean), "clean by its own forecast where it seals");
                assertEquals(0, c.sealedShare(r, Length.ZERO));
                Length half = Length.ofNanometres(clean.nanometres() / 2);
                assertTrue(
                        r.setUp().toClean() < 0.004 || c.sealedShare(r, half) < 1,
                        "half of it does not do: " + r.setUp().toClean());
                Length deeper = clean.plus(Length.ofMm("0.1"));
                for (int corner = 0; corner < 4; corner++) {
                    Length first = r.taken(Length.ZERO, half).each().get(corner);
                    Length rest = r.taken(half, deeper.minus(half)).each().get(corner);
                    Length whole = r.taken(Length.ZERO, deeper).each().get(corner);
                    assertTrue(first.signum() >= 0 && rest.compareTo(deeper.minus(half)) <= 0);
                    assertEquals(whole.mm(), first.plus(rest).mm(), 3e-6, "two passes are one");
                    assertTrue(
                            whole.compareTo(r.taken(Length.ZERO, clean).each().get(corner)) >= 0);
                }
            }
            CutPlan plan = CutPlan.of(
                    c, c.removals().get(0), PassPlan.Depths.usual(BenchUnit.MM), RuleBook.dialStep(BenchUnit.MM));
            assertTrue(plan.passes().total().compareTo(plan.toClean()) >= 0);
            assertEquals(
                    0, plan.shims().stream().mapToLong(Length::nanometres).min().orElseThrow());
            assertTrue(plan.shims().stream()
                    .allMatch(
                            s -> s.nanometres() % plan.footing().stock().step().nanometres() == 0));
        }
    }

    /** Four places that are not near four corners still give a plane for the corners. */
    @Test
    void fewPlacesInAHeapStillGiveCorners() {
        Points heap = Points.of(new double[][] {{200, 70, 0.01}, {206, 70, 0.02}, {212, 70, 0.01}, {206, 90, 0.03}});
        Comparison c = compare(heap, Optional.empty(), RuleBook.shims(BenchUnit.MM));
        assertTrue(Double.isFinite(
                c.with(SetUpMethod.CORNERS).orElseThrow().setUp().depth()));
    }

    /** A face flat but for one hollow at its front end, with places there that seal or do not. */
    private static Comparison hollowAtTheFront(boolean seals) {
        Points points = read(
                new SeededFace(LAYOUT.box(), 0, 0, 0, 0, 0, List.of(new SeededFace.Dip(new Spot(0, 75), 0.2, 30))));
        boolean[] sealing = new boolean[points.size()];
        for (int i = 0; i < sealing.length; i++) {
            sealing[i] = seals || points.spot(i).x() > 60;
        }
        FaceMap map = FaceMap.of(points, Plane.LEVEL, LandRaster.of(LAYOUT, 84)).orElseThrow();
        return Comparison.of(new Comparison.Question(
                points,
                sealing,
                map,
                Optional.empty(),
                Supports.usual(LAYOUT.box(), ShimStock.inSteps(Length.ofMm("0.01")))));
    }

    /** What is marked as not sealing leaves the depth, and its part of the bands with it. */
    @Test
    void whatDoesNotSealLeavesTheDepthAndItsBands() {
        double all = hollowAtTheFront(true)
                .with(SetUpMethod.LEAST_REMOVAL)
                .orElseThrow()
                .setUp()
                .toClean();
        double some = hollowAtTheFront(false)
                .with(SetUpMethod.LEAST_REMOVAL)
                .orElseThrow()
                .setUp()
                .toClean();
        assertTrue(some < all - 0.03, some + " against " + all);
        Comparison c = hollowAtTheFront(false);
        Removal least = c.with(SetUpMethod.LEAST_REMOVAL).orElseThrow();
        Length enough = Length.roundedFromMm(some + 1e-4);
        assertEquals(1, c.sealedShare(least, enough), 1e-9, "the bands that count are clean");
        assertTrue(c.cleanShare(least, enough) < 1, "the hollow is not");
        assertEquals(0, c.sealedShare(least, Length.ZERO));
        assertEquals(0, c.cleanShare(least, Length.ZERO));
    }

    /** The same set-ups, asked for alone. */
    @Test
    void setUpsAloneAreThoseThatAreCompared() {
        Points points = read(new SeededFace(LAYOUT.box(), 0.1, -0.03, 0.05, 0.01, 0.02, List.of()));
        boolean[] sealing = new boolean[points.size()];
        Arrays.fill(sealing, true);
        FaceMap map = FaceMap.of(points, Plane.LEVEL, LandRaster.of(LAYOUT, 84)).orElseThrow();
        Supports footing = Supports.usual(LAYOUT.box(), ShimStock.inSteps(Length.ofMm("0.01")));
        Comparison.Question q = new Comparison.Question(points, sealing, map, Optional.empty(), footing);
        Comparison c = Comparison.of(q);
        assertEquals(c.removals().stream().map(Removal::setUp).toList(), Comparison.setUps(q));
        assertEquals(footing.supports(), c.supports());
        assertEquals(footing, c.footing());
        assertEquals(map, c.map());
        assertEquals(LAYOUT, c.layout());
    }

    /** Four places, three of them along one edge: the fourth carries the plane, wherever it stands in the list. */
    @Test
    void fewPlacesStillMakeAPlane() {
        double[][] rows = {{10, 10, 0}, {205, 10, 0.02}, {400, 10, 0.04}, {205, 140, 0.1}};
        for (int turn = 0; turn < 4; turn++) {
            double[][] turned = new double[4][];
            for (int i = 0; i < 4; i++) {
                turned[i] = rows[(i + turn) % 4];
            }
            Points points = Points.of(turned);
            List<SetUp> all = Comparison.setUps(
                    points,
                    new boolean[] {true, true, true, true},
                    LAYOUT,
                    Optional.empty(),
                    Supports.usual(LAYOUT.box(), ShimStock.inSteps(Length.ofNanometres(1))));
            assertEquals(0, all.get(0).depth(), 1e-9, "four places on one plane cost nothing, turned by " + turn);
        }
    }
}

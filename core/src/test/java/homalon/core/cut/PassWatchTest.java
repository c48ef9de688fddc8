package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FaceMap;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import homalon.core.sim.SeededFace;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleBiFunction;
import org.junit.jupiter.api.Test;

class PassWatchTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98")));
    private static final LandRaster LAND = LandRaster.of(LAYOUT, 84);
    private static final TouchCells GRID = TouchCells.of(LAND);
    private static final SeededFace HOLLOW = new SeededFace(LAYOUT.box(), 0, 0, 0.12, 0.03, 0.02, List.of());

    private final Comparison comparison = compare();
    private final Removal removal = comparison.with(SetUpMethod.LEAST_REMOVAL).orElseThrow();

    private static Comparison compare() {
        List<Spot> spots = PlaceProposal.of(LAYOUT, PlaceProposal.Density.CLOSE).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        Points points = HOLLOW.read(spots, 0, 1);
        boolean[] sealing = new boolean[points.size()];
        Arrays.fill(sealing, true);
        FaceMap map = FaceMap.of(points, Plane.LEVEL, LAND).orElseThrow();
        return Comparison.of(new Comparison.Question(
                points,
                sealing,
                map,
                Optional.empty(),
                Supports.usual(LAND.layout().box(), ShimStock.inSteps(Length.ofNanometres(1000)))));
    }

    /** Cells that a cutter touches whose height over the plane, at a place, is the one given. */
    private BitSet touched(ToDoubleBiFunction<Double, Double> cutter) {
        Raster heights = removal.heights();
        Raster above = LAND.grid();
        for (int j = 0; j < above.rows(); j++) {
            for (int i = 0; i < above.columns(); i++) {
                above.set(i, j, heights.get(i, j) - cutter.applyAsDouble(above.x(i), above.y(j)));
            }
        }
        return GRID.touchedAt(above, 0);
    }

    private PassWatch watch(String cut, ToDoubleBiFunction<Double, Double> cutter) {
        return PassWatch.of(comparison, removal, GRID, Length.ofMm(cut), touched(cutter));
    }

    @Test
    void whatIsSeenAsExpectedLeavesTheDepthOnTheDial() {
        double down = removal.firstTouch() - 0.07;
        PassWatch seen = watch("0.07", (x, y) -> down);
        assertFalse(seen.lags());
        assertEquals(seen.expected(), seen.seen(), 0.06);
        assertEquals(removal.setUp().toClean() - 0.07, seen.expectedLeft(), 1e-9);
        assertEquals(seen.expectedLeft(), seen.left(), 0.008);
        assertEquals(0, seen.misfit(), 0.03);
    }

    @Test
    void aDialThatSaysTooMuchIsFoundAndTheDepthLeftIsEstimatedAnew() {
        double down = removal.firstTouch() - 0.07 + 0.035;
        PassWatch seen = watch("0.07", (x, y) -> down);
        assertTrue(seen.lags(), seen.toString());
        assertEquals(PassWatch.Reason.DIAL, seen.reasons().get(0));
        assertEquals(seen.expectedLeft() + 0.035, seen.left(), 0.008);
    }

    @Test
    void aCastingThatHasTippedIsSaidToHaveMoved() {
        double down = removal.firstTouch() - 0.07;
        double half = LAYOUT.box().width() / 2;
        PassWatch seen = watch("0.07", (x, y) -> down + 0.06 + 0.08 * (x - half) / half);
        assertTrue(seen.lags(), seen.toString());
        assertEquals(PassWatch.Reason.MOVED, seen.reasons().get(0));
        assertEquals(3, seen.reasons().size());
        assertTrue(seen.left() >= seen.expectedLeft() - 1e-9, seen.toString());
    }

    @Test
    void aLowThatNobodyReadIsNamed() {
        double down = removal.firstTouch() - 0.11;
        Spot front = LAYOUT.bores().get(0).centre();
        Spot back = LAYOUT.bores().get(3).centre();
        PassWatch seen = watch("0.11", (x, y) -> {
            double near = Math.min(front.distance(new Spot(x, y)), back.distance(new Spot(x, y)));
            return down + 0.2 * Math.exp(-Math.pow(near / 62, 4));
        });
        assertTrue(seen.lags(), seen.toString());
        assertEquals(PassWatch.Reason.UNSEEN_LOW, seen.reasons().get(0));
    }

    /** Less touched than expected never leaves less than the map says, however little less it is. */
    @Test
    void lessTouchedNeverLowersTheDepthLeft() {
        for (int i = 1; i <= 20; i++) {
            double missing = 0.002 * i;
            double down = removal.firstTouch() - 0.07 + missing;
            PassWatch seen = watch("0.07", (x, y) -> down);
            if (seen.seen() < seen.expected() - 0.01) {
                assertTrue(seen.left() >= seen.expectedLeft() - 1e-9, () -> "short by " + missing + ": " + seen);
            }
        }
    }

    /** More touched than the dial says leaves less than it says: what is seen counts. */
    @Test
    void moreTouchedThanExpectedLeavesLess() {
        double down = removal.firstTouch() - 0.07;
        PassWatch seen = watch("0.03", (x, y) -> down);
        assertTrue(seen.seen() > seen.expected() + 0.1, seen.toString());
        assertEquals(removal.setUp().toClean() - 0.07, seen.left(), 0.008);
        assertTrue(seen.left() < seen.expectedLeft() - 0.03);
    }

    /** A share that was told leaves what the same share leaves when it is painted: the highest land is touched first. */
    @Test
    void aShareThatIsToldIsTheHighestLand() {
        for (double deep : new double[] {0.03, 0.05, 0.07, 0.09}) {
            double down = removal.firstTouch() - deep;
            PassWatch painted = watch("0.01", (x, y) -> down);
            PassWatch told = PassWatch.ofShare(comparison, removal, GRID, Length.ofMm("0.01"), painted.seen());
            assertEquals(painted.left(), told.left(), 0.01, () -> deep + ": " + painted + told);
            Length dial = Length.roundedFromMm(deep);
            assertFalse(
                    PassWatch.ofShare(comparison, removal, GRID, dial, painted.seen())
                            .lags(),
                    "as much as the dial says");
        }
    }

    @Test
    void nothingTouchedWhereMuchWasExpectedLags() {
        Length dial = Length.ofMm("0.09");
        assertTrue(comparison.cleanShare(removal, dial) > 0.2);
        assertTrue(PassWatch.ofShare(comparison, removal, GRID, dial, 0).lags());
    }

    /** A share alone says how far the cutter has come down, too. */
    @Test
    void halfTouchedSaysHowFarItCame() {
        PassWatch half = PassWatch.ofShare(comparison, removal, GRID, Length.ofMm("0.14"), 0.5);
        assertEquals(0.5, half.seen());
        assertTrue(half.lags(), "the map says more: " + half.expected());
        assertTrue(half.left() >= half.expectedLeft());
        double before = Double.POSITIVE_INFINITY;
        for (double share = 0; share <= 1; share += 0.1) {
            PassWatch seen = PassWatch.ofShare(comparison, removal, GRID, Length.ofMm("0.01"), share);
            assertTrue(seen.left() <= before + 1e-9, "more touched leaves no more");
            before = seen.left();
        }
    }

    @Test
    void moreTouchedNeverLeavesMoreToCut() {
        BitSet touched = new BitSet();
        double before = Double.POSITIVE_INFINITY;
        double down = removal.firstTouch();
        for (int i = 0; i <= 30; i++) {
            double here = down - 0.005 * i;
            touched.or(touched((x, y) -> here));
            PassWatch seen = PassWatch.of(comparison, removal, GRID, Length.ofMm("0.01"), touched);
            assertTrue(seen.left() <= before + 1e-9, "step " + i);
            assertTrue(seen.misfit() <= 0.03 && seen.left() >= 0);
            before = seen.left();
        }
        GRID.cells().forEach(c -> touched.set(c.number()));
        PassWatch all = PassWatch.of(comparison, removal, GRID, Length.ofMm("0.01"), touched);
        assertEquals(1, all.seen(), 1e-12);
        assertEquals(0, all.left());
    }
}

package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Raster;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;

class TouchComparisonTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98")));
    private static final LandRaster LAND = LandRaster.of(LAYOUT, 84);
    private static final TouchCells GRID = TouchCells.of(LAND);
    private static final Box BOX = LAYOUT.box();

    /** What a level cutter touches of a face at a depth from first touch. */
    private static BitSet touched(DoubleBinaryOperator face, double depth) {
        Raster heights = LAND.grid();
        double highest = Double.NEGATIVE_INFINITY;
        for (int j = 0; j < heights.rows(); j++) {
            for (int i = 0; i < heights.columns(); i++) {
                double z = face.applyAsDouble(BOX.u(heights.x(i)), BOX.v(heights.y(j)));
                heights.set(i, j, z);
                if (LAND.isLand(heights, i, j)) {
                    highest = Math.max(highest, z);
                }
            }
        }
        return GRID.touchedAt(heights, highest - depth);
    }

    private static double toClean(DoubleBinaryOperator face) {
        double depth = 0;
        while (touched(face, depth).cardinality() < GRID.cells().size()) {
            depth += 0.002;
        }
        return depth;
    }

    private static TouchComparison after(DoubleBinaryOperator face, double... depths) {
        List<TouchComparison.Look> looks = new ArrayList<>();
        for (double d : depths) {
            looks.add(new TouchComparison.Look(d, touched(face, d), new BitSet()));
        }
        return TouchComparison.of(GRID, BOX, looks, new BitSet());
    }

    /** Of faces with a tilt, bows and a twist, the depth that is really left lies between the bounds; more looks never widen them. */
    @Test
    void whatIsLeftLiesBetweenTheBounds() {
        Random random = new Random(41);
        int bounded = 0;
        for (int n = 0; n < 12; n++) {
            double a = 0.06 * (random.nextDouble() - 0.5);
            double b = 0.03 * (random.nextDouble() - 0.5);
            double e = 0.12 * random.nextDouble();
            double f = 0.03 * random.nextDouble();
            double d = 0.05 * (random.nextDouble() - 0.5);
            DoubleBinaryOperator face = (u, v) -> a * u + b * v + e * u * u + f * v * v + d * u * v;
            double clean = toClean(face);
            double[] depths = {0.2 * clean, 0.45 * clean, 0.7 * clean};
            TouchComparison seen = after(face, depths);
            double left = clean - depths[2];
            assertFalse(seen.clean());
            assertTrue(seen.explained(), "a face of the kind is explained");
            assertTrue(seen.least() <= left + 0.006, () -> "at least " + seen.least() + " of " + left);
            if (seen.greatest().isPresent()) {
                bounded++;
                assertTrue(seen.greatest().getAsDouble() >= left - 0.006, () -> seen.greatest() + " of " + left);
                TouchComparison before = after(face, depths[0], depths[1]);
                double reach = before.greatest().orElse(9) + depths[1];
                assertTrue(seen.greatest().getAsDouble() + depths[2] <= reach + 1e-6, "a further look never widens");
            }
        }
        assertTrue(bounded >= 8, "bounded " + bounded);
    }

    @Test
    void whatIsCleanLeavesNothing() {
        DoubleBinaryOperator face = (u, v) -> 0.05 * u * u;
        TouchComparison all = after(face, 0.02, 0.2);
        assertTrue(all.clean() && all.explained());
        assertEquals(0, all.greatest().orElseThrow());
        // Specks where no gasket seals do not count.
        BitSet touched = new BitSet();
        GRID.cells().forEach(c -> touched.set(c.number(), c.column() > 0));
        List<TouchComparison.Look> looks = List.of(new TouchComparison.Look(0.05, touched, new BitSet()));
        BitSet inner = new BitSet();
        GRID.cells().stream().filter(c -> c.column() > 2).forEach(c -> inner.set(c.number()));
        assertTrue(TouchComparison.of(GRID, BOX, looks, inner).clean());
        assertFalse(TouchComparison.of(GRID, BOX, looks, new BitSet()).clean());
    }

    /** Touched nowhere, a face may be as deep as it likes; touched at its ends it is bounded widely, further in closely. */
    @Test
    void littleSeenBoundsLittle() {
        TouchComparison none = TouchComparison.of(
                GRID, BOX, List.of(new TouchComparison.Look(0.1, new BitSet(), new BitSet())), new BitSet());
        assertTrue(none.greatest().isEmpty() && none.explained(), none::toString);
        assertEquals(0, none.least(), 1e-6, "a hair more may do");
        DoubleBinaryOperator hollow = (u, v) -> 0.2 * u * u;
        TouchComparison ends = after(hollow, 0.05);
        double wide = ends.greatest().orElseThrow();
        assertTrue(ends.explained() && wide > 0.15, ends::toString);
        TouchComparison slope = after(hollow, 0.05, 0.1);
        assertTrue(slope.least() > 0.03 && slope.least() <= 0.102, slope::toString);
        assertTrue(slope.greatest().orElse(9) + 0.1 < wide + 0.05, slope::toString);
    }

    /** A dip in the middle of a bow, a cell that was touched and is not any more: no smooth face shows that. */
    @Test
    void whatNoSmoothFaceShowsIsNotBounded() {
        BitSet stripes = new BitSet();
        GRID.cells().forEach(c -> stripes.set(c.number(), c.column() % 6 < 3));
        TouchComparison odd = TouchComparison.of(
                GRID,
                BOX,
                List.of(
                        new TouchComparison.Look(0.05, stripes, new BitSet()),
                        new TouchComparison.Look(0.3, stripes, new BitSet())),
                new BitSet());
        assertFalse(odd.explained());
        assertTrue(odd.greatest().isEmpty() && !odd.clean());
    }

    /** Said by bores and ends, where the bare metal stops is not told: words that are true of a face are explained by one. */
    @Test
    void roughWordsAreTakenRoughly() {
        List<TouchComparison.Look> looks = new ArrayList<>();
        for (String words : List.of("f r", "1 4")) {
            Touched said = Touched.said(words, LAYOUT, GRID);
            looks.add(new TouchComparison.Look(0.05 * (looks.size() + 1), said.cells(), said.unsure(GRID)));
        }
        TouchComparison rough = TouchComparison.of(GRID, BOX, looks, new BitSet());
        assertTrue(rough.explained() && !rough.clean(), rough::toString);
        assertTrue(rough.least() < rough.greatest().orElse(9), rough::toString);
    }

    /** A hollow lid told in words: its ends at once, its outer bores next; what is left of the middle is bounded from both sides. */
    @Test
    void aHollowLidToldInWords() {
        Layout lid = Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 3, Length.ofMm("84"), Length.ofMm("104")));
        TouchCells grid = TouchCells.of(LandRaster.of(lid, 84));
        List<TouchComparison.Look> looks = new ArrayList<>();
        for (String words : List.of("f r", "1 3")) {
            Touched said = Touched.said(words, lid, grid);
            looks.add(new TouchComparison.Look(looks.isEmpty() ? 0.03 : 0.05, said.cells(), said.unsure(grid)));
        }
        TouchComparison seen = TouchComparison.of(grid, lid.box(), looks, grid.sealing());
        assertTrue(seen.explained() && !seen.clean(), seen::toString);
        double greatest = seen.greatest().orElseThrow();
        assertTrue(seen.least() <= greatest && greatest > 0.002 && greatest < 0.06, seen::toString);
        // Its edges touched too, and the middle not, is no even bow any more: the ends would have had to be deeper.
        Touched edges = Touched.said("f r e i", lid, grid);
        assertFalse(TouchComparison.of(
                        grid,
                        lid.box(),
                        List.of(looks.get(0), new TouchComparison.Look(0.07, edges.cells(), edges.unsure(grid))),
                        grid.sealing())
                .explained());
    }
}

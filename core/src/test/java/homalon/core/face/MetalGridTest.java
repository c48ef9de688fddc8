package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The grid counts at once what each demand would say of each spot. */
class MetalGridTest {
    private static final Layout LAYOUT = Layout.of(new LayoutNumbers(
            4,
            1,
            1,
            Length.ofMm("86"),
            Length.ofMm("96"),
            Length.ofMm("412"),
            Length.ofMm("148"),
            BoltRows.TWO,
            Length.ofMm("11"),
            2,
            ChamberShape.ROUND,
            false));
    private final MetalGrid grid = MetalGrid.of(LAYOUT);

    private int[] oneByOne(List<PlaceDemand> demands) {
        return grid.spots().stream()
                .mapToInt(s -> (int)
                        demands.stream().filter(d -> d.holds(s.x(), s.y())).count())
                .toArray();
    }

    @Test
    void countsWhatEachDemandHolds() {
        Random random = new Random(17);
        Box face = LAYOUT.box();
        for (int round = 0; round < 40; round++) {
            List<PlaceDemand> demands = new ArrayList<>();
            for (int n = 0; n < 30; n++) {
                double x = face.x0() - 30 + random.nextDouble() * (face.width() + 60);
                double y = face.y0() - 30 + random.nextDouble() * (face.height() + 60);
                double size = 1 + random.nextDouble() * 120;
                demands.add(
                        n % 3 == 0
                                ? PlaceDemand.around(new Spot(x, y), n % 2 == 0 ? 0 : size / 2, size, 1)
                                : PlaceDemand.in(new Box(x, y, x + size, y + size / 2), 4));
            }
            assertArrayEquals(oneByOne(demands), grid.serving(demands));
        }
    }

    @Test
    void edgesThatRunThroughSpotsServeThem() {
        Spot first = grid.spots().get(0);
        Spot other = grid.spots().get(grid.spots().size() / 2);
        Box through = new Box(
                Math.min(first.x(), other.x()),
                Math.min(first.y(), other.y()),
                Math.max(first.x(), other.x()) + MetalGrid.STEP,
                Math.max(first.y(), other.y()) + MetalGrid.STEP);
        List<PlaceDemand> demands = List.of(PlaceDemand.in(through, 1));
        int[] serving = grid.serving(demands);
        assertEquals(1, serving[0]);
        assertEquals(1, serving[grid.spots().size() / 2]);
        assertArrayEquals(oneByOne(demands), serving);
    }

    @Test
    void everySpotLiesInTheFaceAndNoStepIsLeftOut() {
        Box face = LAYOUT.box();
        assertTrue(grid.spots().stream()
                .allMatch(s -> s.x() > face.x0() && s.x() < face.x1() && s.y() > face.y0() && s.y() < face.y1()));
        // On an outline without holes every step would be there: those that are, lie on one grid from the lower left
        // corner.
        assertTrue(grid.spots().stream().allMatch(s -> onStep(s.x() - face.x0()) && onStep(s.y() - face.y0())));
        double last = grid.spots().stream().mapToDouble(Spot::x).max().orElseThrow();
        assertTrue(face.x1() - last < 2 * MetalGrid.STEP);
    }

    private static boolean onStep(double from) {
        double steps = (from - MetalGrid.STEP / 2) / MetalGrid.STEP;
        return Math.abs(steps - Math.rint(steps)) < 1e-9;
    }

    @Test
    void aDemandIsMetOnceItsPlacesAreSet() {
        PlaceDemand two = PlaceDemand.around(new Spot(100, 60), 10, 20, 2);
        two.place(new Spot(100, 60));
        two.place(new Spot(110, 60));
        two.place(new Spot(200, 60));
        assertFalse(two.met());
        two.place(new Spot(100, 80));
        assertTrue(two.met());
        two.place(new Spot(100, 80));
        assertTrue(two.met(), "one more than wanted is no demand again");
    }
}

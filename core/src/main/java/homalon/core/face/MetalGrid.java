package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

/** Places on a grid where a tip stands on metal; counts for all of them at once how many places wanted they would serve. */
final class MetalGrid {
    /** Steps of the places that are tried, mm. */
    static final double STEP = 7;

    private final double[] xs;
    private final double[] ys;
    private final List<Spot> spots = new ArrayList<>();
    /** Where each spot lies among the counts. */
    private final int[] cells;

    private MetalGrid(double[] xs, double[] ys, PointOnGeometryLocator land) {
        this.xs = xs;
        this.ys = ys;
        this.cells = IntStream.range(0, xs.length * ys.length)
                .filter(n -> land.locate(new Coordinate(x(n), y(n))) != Location.EXTERIOR)
                .toArray();
        for (int n : cells) {
            spots.add(new Spot(x(n), y(n)));
        }
    }

    static MetalGrid of(Layout layout) {
        Box box = layout.box();
        return new MetalGrid(
                steps(box.x0(), box.x1()), steps(box.y0(), box.y1()), LandRaster.clearLand(layout, PlaceProposal.TIP));
    }

    private static double[] steps(double from, double to) {
        return IntStream.range(0, (int) Math.ceil((to - from) / STEP - 0.5))
                .mapToDouble(k -> from + STEP / 2 + k * STEP)
                .toArray();
    }

    private double x(int cell) {
        return xs[cell % xs.length];
    }

    private double y(int cell) {
        return ys[cell / xs.length];
    }

    /** Row by row, from the lower edge. */
    List<Spot> spots() {
        return spots;
    }

    /**
     * How many of the places wanted each spot would serve, one number a spot.
     *
     * <p>A rectangle changes the counts at its corners alone, and the counts are summed from there: a face has a thousand
     * windows and as many spots.
     */
    int[] serving(List<PlaceDemand> demands) {
        int wide = xs.length + 1;
        int[] corners = new int[wide * (ys.length + 1)];
        int[] rings = new int[xs.length * ys.length];
        for (PlaceDemand demand : demands) {
            Box box = demand.reach();
            int i0 = first(xs, box.x0());
            int i1 = after(xs, box.x1());
            int j0 = first(ys, box.y0());
            int j1 = after(ys, box.y1());
            if (demand.fillsItsReach()) {
                corners[j0 * wide + i0]++;
                corners[j0 * wide + i1]--;
                corners[j1 * wide + i0]--;
                corners[j1 * wide + i1]++;
            } else {
                for (int j = j0; j < j1; j++) {
                    for (int i = i0; i < i1; i++) {
                        rings[j * xs.length + i] += demand.holds(xs[i], ys[j]) ? 1 : 0;
                    }
                }
            }
        }
        for (int j = 0; j < ys.length; j++) {
            int row = 0;
            for (int i = 0; i < xs.length; i++) {
                row += corners[j * wide + i];
                // Added up over the rows below as well, one after the other.
                corners[j * wide + i] = row + (j == 0 ? 0 : corners[(j - 1) * wide + i]);
                rings[j * xs.length + i] += corners[j * wide + i];
            }
        }
        return Arrays.stream(cells).map(n -> rings[n]).toArray();
    }

    /** The first at or beyond a value. */
    private static int first(double[] steps, double value) {
        int at = Arrays.binarySearch(steps, value);
        return at >= 0 ? at : -at - 1;
    }

    /** The first beyond a value. */
    private static int after(double[] steps, double value) {
        int at = Arrays.binarySearch(steps, value);
        return at >= 0 ? at + 1 : -at - 1;
    }
}

package homalon.core.part;

import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import java.util.BitSet;
import org.jspecify.annotations.Nullable;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

/**
 * Which nodes of a grid over a face lie on its land: made once per layout, used for every map and every clean-up share.
 */
public final class LandRaster {
    private final Layout layout;
    private final int cellsAlong;
    private final BitSet onLand;
    private final SealingBands bands;
    /** Found when first asked for; twice the same by two hands. */
    private @Nullable BitSet sealing;

    private LandRaster(Layout layout, int cellsAlong, BitSet onLand, SealingBands bands) {
        this.layout = layout;
        this.cellsAlong = cellsAlong;
        this.onLand = onLand;
        this.bands = bands;
    }

    /** The same land under another gasket. */
    public LandRaster under(SealingBands gasket) {
        return gasket.equals(bands) ? this : new LandRaster(layout, cellsAlong, onLand, gasket);
    }

    public SealingBands bands() {
        return bands;
    }

    /** @param cellsAlong about how many cells along the face, 20 to 400 */
    public static LandRaster of(Layout layout, int cellsAlong) {
        Raster grid = Raster.over(layout.box(), cellsAlong);
        IndexedPointInAreaLocator locator = new IndexedPointInAreaLocator(layout.land());
        BitSet bits = new BitSet(grid.columns() * grid.rows());
        for (int j = 0; j < grid.rows(); j++) {
            for (int i = 0; i < grid.columns(); i++) {
                boolean inside = locator.locate(new Coordinate(grid.x(i), grid.y(j))) != Location.EXTERIOR;
                bits.set(j * grid.columns() + i, inside);
            }
        }
        return new LandRaster(layout, cellsAlong, bits, SealingBands.USUAL);
    }

    public Layout layout() {
        return layout;
    }

    /** An empty grid of the same shape. */
    public Raster grid() {
        return Raster.over(layout.box(), cellsAlong);
    }

    public boolean isLand(Raster grid, int column, int row) {
        return onLand.get(row * grid.columns() + column);
    }

    /** Nodes of the land where the gasket seals; the whole land where a face has neither bores with a ring nor holes. */
    public BitSet sealing() {
        BitSet known = sealing;
        if (known == null) {
            known = findSealing();
            sealing = known;
        }
        return (BitSet) known.clone();
    }

    private BitSet findSealing() {
        Raster grid = grid();
        BitSet found = new BitSet();
        for (int n = onLand.nextSetBit(0); n >= 0; n = onLand.nextSetBit(n + 1)) {
            Spot spot = new Spot(grid.x(n % grid.columns()), grid.y(n / grid.columns()));
            found.set(n, bands.seals(layout, spot));
        }
        return found.isEmpty() ? (BitSet) onLand.clone() : found;
    }

    /** Number of nodes on the land. */
    public int landNodes() {
        return onLand.cardinality();
    }

    /** The land drawn in by a clearance from every edge and hole, ready to be asked for many places. */
    public static PointOnGeometryLocator clearLand(Layout layout, double clearance) {
        return new IndexedPointInAreaLocator(layout.land().buffer(-clearance));
    }

    /** True when a place is on the land and at least the clearance away from every edge and hole, mm. */
    public static boolean clear(Layout layout, Spot spot, double clearance) {
        var point = layout.land().getFactory().createPoint(new Coordinate(spot.x(), spot.y()));
        return layout.land().contains(point) && layout.land().getBoundary().distance(point) >= clearance;
    }
}

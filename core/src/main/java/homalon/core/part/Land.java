package homalon.core.part;

import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;

/**
 * The land of a face, ready to be asked for many places: its index is made once, at the first question. Immutable to its users
 * and safe between threads.
 */
public final class Land {
    private final Geometry shape;
    private final PointOnGeometryLocator locator;

    private Land(Geometry shape) {
        this.shape = shape;
        this.locator = new IndexedPointInAreaLocator(shape);
    }

    public static Land of(Geometry shape) {
        return new Land(shape);
    }

    public Geometry shape() {
        return shape;
    }

    /** True on the land and on its edge. */
    public boolean holds(Coordinate place) {
        return locator.locate(place) != Location.EXTERIOR;
    }
}

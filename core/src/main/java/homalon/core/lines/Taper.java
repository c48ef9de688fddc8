package homalon.core.lines;

import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.numeric.LeastSquaresPlane;
import java.util.Optional;

/**
 * How evenly thick a casting is: a least-squares plane through thickness readings. Lengths in millimetres.
 *
 * @param plane of the thickness over the face
 * @param along how much thicker the rear end is than the front, over the whole length
 * @param across how much thicker the upper edge of the drawing is than the lower, over the whole width
 * @param thinnest index of the thinnest reading, which governs what may come off
 */
public record Taper(Plane plane, double along, double across, int thinnest) {

    /** Empty with fewer than three readings, or all on one line. */
    public static Optional<Taper> of(Points thickness, Box box) {
        if (thickness.size() < 3 || thickness.onOneLine()) {
            return Optional.empty();
        }
        Plane plane = LeastSquaresPlane.fit(thickness);
        int thinnest = 0;
        for (int i = 1; i < thickness.size(); i++) {
            thinnest = thickness.z(i) < thickness.z(thinnest) ? i : thinnest;
        }
        return Optional.of(new Taper(plane, plane.a() * box.width(), plane.b() * box.height(), thinnest));
    }
}

package homalon.core.face;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * Flatness in the ring around a bore where the gasket's fire ring seals: the minimum zone of the points with
 * d/2 &lt;= r &lt;= d/2 + band from the bore's centre.
 *
 * @param zone empty with fewer than four points in the ring, mm
 * @param points how many lie in the ring
 */
public record BoreFlatness(OptionalDouble zone, int points) {

    /**
     * @param diameter of the bore, mm
     * @param band width of the ring, mm
     * @param slack how far outside a point may lie by rounding and still count, mm
     */
    public static BoreFlatness of(Points points, Spot centre, double diameter, double band, double slack) {
        int[] ring = IntStream.range(0, points.size())
                .filter(i -> {
                    double r = points.spot(i).distance(centre);
                    return r >= diameter / 2 - slack && r <= diameter / 2 + band + slack;
                })
                .toArray();
        OptionalDouble zone = ring.length < 4
                ? OptionalDouble.empty()
                : OptionalDouble.of(MinimumZone.of(points.pick(ring)).zone());
        return new BoreFlatness(zone, ring.length);
    }
}

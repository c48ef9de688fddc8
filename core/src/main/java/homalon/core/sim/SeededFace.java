package homalon.core.sim;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import java.util.List;
import java.util.Random;

/**
 * A face of known shape: tilt, bow, twist and dips, with the reading noise of a named seed.
 *
 * @param box of the face, mm
 * @param tiltX rise from end to end as it lies on its supports, mm
 * @param tiltY rise across, mm
 * @param longBow e of the shape, + hollow, mm
 * @param crossBow f of the shape, + hollow, mm
 * @param fourthCornerLift 4 d of the shape, mm
 * @param edgesApart g of the shape: the edge at y1 bows by so much more than the middle, that at y0 by so much less, mm
 * @param dips round hollows added to it
 */
public record SeededFace(
        Box box,
        double tiltX,
        double tiltY,
        double longBow,
        double crossBow,
        double fourthCornerLift,
        double edgesApart,
        List<Dip> dips) {

    /** One whose two long edges bow alike. */
    public SeededFace(
            Box box,
            double tiltX,
            double tiltY,
            double longBow,
            double crossBow,
            double fourthCornerLift,
            List<Dip> dips) {
        this(box, tiltX, tiltY, longBow, crossBow, fourthCornerLift, 0, dips);
    }

    /**
     * A round hollow with a smooth edge.
     *
     * @param centre of it, mm
     * @param depth at the centre, + down, mm
     * @param radius where it has risen to a third, mm
     */
    public record Dip(Spot centre, double depth, double radius) {}

    /** Height at a place, without noise, mm. */
    public double at(double x, double y) {
        double u = box.u(x);
        double v = box.v(y);
        double z = tiltX * u / 2
                + tiltY * v / 2
                + longBow * u * u
                + crossBow * v * v
                + fourthCornerLift / 4 * u * v
                + edgesApart * u * u * v;
        for (Dip dip : dips) {
            double r = dip.centre().distance(new Spot(x, y)) / dip.radius();
            z -= dip.depth() * Math.exp(-r * r);
        }
        return z;
    }

    /** Readings at the places with normal noise of the given standard deviation, mm. */
    public Points read(List<Spot> places, double noise, long seed) {
        Random random = new Random(seed);
        double[][] rows = new double[places.size()][];
        for (int i = 0; i < rows.length; i++) {
            Spot s = places.get(i);
            rows[i] = new double[] {s.x(), s.y(), at(s.x(), s.y()) + noise * random.nextGaussian()};
        }
        return Points.of(rows);
    }
}

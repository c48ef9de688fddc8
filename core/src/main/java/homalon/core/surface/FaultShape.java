package homalon.core.surface;

import homalon.core.geometry.Spot;

/**
 * One way in which a fault may lie on a face: its height for an amplitude of 1 mm, and how likely this way is.
 *
 * @param fault kind
 * @param weight share of all faces that have it just so
 * @param size standard deviation of the amplitude, mm
 * @param shape height at a place, mm
 * @param middle about where it lies
 */
record FaultShape(Fault fault, double weight, double size, Height shape, Spot middle) {
    /** Height over the plane of the face, mm. */
    interface Height {
        double at(double x, double y);
    }

    /** A round hollow of depth 1 that has risen to a third at the radius. */
    static Height dip(Spot centre, double radius) {
        return (x, y) -> -Math.exp(-(square(x - centre.x()) + square(y - centre.y())) / square(radius));
    }

    static double square(double a) {
        return a * a;
    }
}

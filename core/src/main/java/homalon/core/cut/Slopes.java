package homalon.core.cut;

import homalon.core.geometry.Plane;

/** Slopes of a plane, mm per mm along x and y. */
public record Slopes(double a, double b) {
    public static Slopes of(Plane plane) {
        return new Slopes(plane.a(), plane.b());
    }

    /**
     * Slopes of the reference deck in the frame in which the face was read: the face's own slopes less those of the
     * thickness, both by least squares. (Face height = reference height + thickness at every place.)
     */
    public static Slopes ofReference(Plane face, Plane thickness) {
        return new Slopes(face.a() - thickness.a(), face.b() - thickness.b());
    }
}

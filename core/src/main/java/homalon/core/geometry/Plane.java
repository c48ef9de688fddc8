package homalon.core.geometry;

/** The plane z = a x + b y + c; a and b are slopes (mm per mm), c in millimetres. */
public record Plane(double a, double b, double c) {
    public static final Plane LEVEL = new Plane(0, 0, 0);

    public double at(double x, double y) {
        return a * x + b * y + c;
    }

    /** Cosine of the angle between this plane's normal and z: what turns a height along z into a distance square to it. */
    public double cosTilt() {
        return 1 / Math.sqrt(1 + a * a + b * b);
    }

    public Plane raisedBy(double dz) {
        return new Plane(a, b, c + dz);
    }

    public Plane plus(Plane other) {
        return new Plane(a + other.a, b + other.b, c + other.c);
    }
}

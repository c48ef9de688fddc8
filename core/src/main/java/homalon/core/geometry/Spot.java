package homalon.core.geometry;

/** A place on the face, in millimetres: x along the length from the front end, y across. */
public record Spot(double x, double y) {
    public double distance(Spot other) {
        double dx = x - other.x;
        double dy = y - other.y;
        return Math.sqrt(dx * dx + dy * dy);
    }
}

package homalon.core.geometry;

/** Least and greatest of some values, in millimetres. */
public record Range(double least, double most) {
    public double extent() {
        return most - least;
    }
}
